import { captionSchema, isPhotoType, MOST_PHOTO_BYTES, MOST_PHOTOS, photoProblem } from '#core/job'
import { countPhotographs, insertPhotograph } from '../../../../db/photographs'
import { findJob } from '../../../../db/jobs'
import { lookAtPicture } from '../../../../documents/picture'

/** Takes in one photograph: the body is the picture itself, `?caption=` its caption. */
export default defineEventHandler(async (event) => {
  // A picture is large and takes work to look at: whose session has run out is told so first.
  await inFirm(event, async () => {})
  const jobId = jobIdOf(event)
  const caption = captionSchema.safeParse(String(getQuery(event).caption ?? ''))
  if (!caption.success) refuse(400, [{ path: 'caption', sentence: caption.error.issues[0]!.message }])
  const type = getRequestHeader(event, 'content-type')?.split(';')[0] ?? ''
  const early = photoProblem(type, Number(getRequestHeader(event, 'content-length') ?? 1))
  if (early) refuse(isPhotoType(type) ? 413 : 415, [{ path: 'body', sentence: early }])
  const picture = await readLimited(event, MOST_PHOTO_BYTES)
  if (!picture) refuse(413, [{ path: 'body', sentence: photoProblem(type, MOST_PHOTO_BYTES + 1)! }])
  const seen = picture.length ? await lookAtPicture(picture) : null
  if (!seen) refuse(415, [{ path: 'body', sentence: 'This file calls itself a picture but can’t be opened as one. Take it again or save it as JPEG.' }])
  return await inFirm(event, async ({ client, firmId, personId }) => {
    if (!await findJob(client, jobId)) noSuchJob()
    if (await countPhotographs(client, jobId) >= MOST_PHOTOS) refuse(409, [{ path: 'body', sentence: `A job keeps ${MOST_PHOTOS} photographs at most. Take some away first.` }])
    setResponseStatus(event, 201)
    return { photoId: await insertPhotograph(client, { firmId, jobId, personId, caption: caption.data, picture, ...seen }) }
  })
})
