import { z } from 'zod'
import { captionSchema, isPhotoType, MOST_PHOTO_BYTES, MOST_PHOTOS, photoProblem } from '#core/job'
import { countPhotographs, insertPhotograph, photographThere } from '../../../../db/photographs'
import { lockJob } from '../../../../db/jobs'
import { lookAtPicture } from '../../../../documents/picture'
import { pictureStore } from '../../../../pictures/store'

const querySchema = z.object({
  caption: captionSchema.refine(isStorable, 'There is a sign in it that can’t be kept.').default(''),
  /** Made by whoever takes it, so that sending it twice keeps one. */
  id: z.uuid('A photograph has an id of its own.').optional(),
})

/** Takes in one photograph: the body is the picture itself, `?caption=` its caption. */
export default defineEventHandler(async (event) => {
  // A picture is large and takes work to look at: whose session has run out, or who may not, is told so first.
  await inJob(event, 'log', async () => {})
  const { caption, id = crypto.randomUUID() } = readQuery(event, querySchema)
  const type = getRequestHeader(event, 'content-type')?.split(';')[0] ?? ''
  const early = photoProblem(type, Number(getRequestHeader(event, 'content-length') ?? 1))
  if (early) refuse(isPhotoType(type) ? 413 : 415, [{ path: 'body', sentence: early }])
  const bytes = await readLimited(event, MOST_PHOTO_BYTES)
  if (!bytes) refuse(413, [{ path: 'body', sentence: photoProblem(type, MOST_PHOTO_BYTES + 1)! }])
  const seen = bytes.length ? await lookAtPicture(bytes) : null
  if (!seen) refuse(415, [{ path: 'body', sentence: 'This file calls itself a picture but can’t be opened as one. Take it again or save it as JPEG.' }])
  return await inJob(event, 'log', async ({ client, firmId, personId, jobId }) => {
    // Held while they are counted: of many that come at once none slips past the limit.
    await lockJob(client, jobId)
    setResponseStatus(event, 201)
    if (await photographThere(client, jobId, id)) return { photoId: id }
    if (await countPhotographs(client, jobId) >= MOST_PHOTOS) refuse(409, [{ path: 'body', sentence: `A job keeps ${MOST_PHOTOS} photographs at most. Take some away first.` }])
    const store = pictureStore()
    // Written before it is named: a file without a row does no harm.
    await store?.keep({ firmId, jobId, photoId: id }, seen.picture)
    return { photoId: await insertPhotograph(client, { ...seen, photoId: id, firmId, jobId, personId, caption, picture: store ? null : seen.picture }) }
  })
})
