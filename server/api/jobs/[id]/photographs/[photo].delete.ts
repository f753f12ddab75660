import { deletePhotograph } from '../../../../db/photographs'
import { asFirm } from '../../../../db/pool'

/** Takes a photograph away. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const [jobId, photoId] = [jobIdOf(event), photoIdOf(event)]
  if (!await asFirm(firmId, client => deletePhotograph(client, jobId, photoId))) noSuchPhotograph()
  setResponseStatus(event, 204)
  return null
})
