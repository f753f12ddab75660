import { z } from 'zod'
import { captionSchema } from '#core/job'
import { setCaption } from '../../../../db/photographs'

/** Changes a photograph's caption. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const [jobId, photoId] = [jobIdOf(event), photoIdOf(event)]
  const { caption } = await readChecked(event, z.object({ caption: captionSchema }))
  if (!await inFirm(event, ({ client }) => setCaption(client, jobId, photoId, caption))) noSuchPhotograph()
  return { caption }
})
