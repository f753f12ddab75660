import { listPhotographs } from '../../../../db/photographs'
import { asFirm } from '../../../../db/pool'

/** A job's photographs with their captions, oldest first. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const jobId = jobIdOf(event)
  return await asFirm(firmId, client => listPhotographs(client, jobId))
})
