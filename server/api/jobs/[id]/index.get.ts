import { entriesSince } from '../../../db/jobs'
import { asFirm } from '../../../db/pool'

/** A job to work on: document, version, catalogue, and the caller's own history for undo. */
export default defineEventHandler(async (event) => {
  const { firmId, personId } = await requireSignedIn(event)
  const { jobId, job, version, catalogue } = await openedJob(event)
  const entries = await asFirm(firmId, client => entriesSince(client, jobId, 0))
  const history = entries.filter(entry => entry.personId === personId).map(({ id, kind, inverse }) => ({ id, kind, inverse }))
  return { jobId, job, version, catalogue, history }
})
