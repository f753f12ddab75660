import { z } from 'zod'
import { captionSchema } from '#core/job'
import { setCaption } from '../../../../db/photographs'

/** Changes a photograph's caption. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { caption } = await readChecked(event, z.object({ caption: captionSchema }))
  if (!await inJob(event, 'log', ({ client, jobId }) => setCaption(client, jobId, photoIdOf(event), caption))) noSuchPhotograph()
  return { caption }
})
