import { z } from 'zod'
import { captionSchema } from '#core/job'
import { setCaption } from '../../../../db/photographs'
import { asFirm } from '../../../../db/pool'

/** Changes a photograph's caption. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const [jobId, photoId] = [jobIdOf(event), photoIdOf(event)]
  const { caption } = await readChecked(event, z.object({ caption: captionSchema }))
  if (!await asFirm(firmId, client => setCaption(client, jobId, photoId, caption))) noSuchPhotograph()
  return { caption }
})
