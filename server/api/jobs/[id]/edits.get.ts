import { entriesSince } from '../../../db/jobs'
import { asFirm } from '../../../db/pool'

/** What has been changed since the version the caller has. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const jobId = jobIdOf(event)
  const since = Number(getQuery(event).since)
  if (!Number.isInteger(since) || since < 0) refuse(400, [{ path: 'since', sentence: 'Say since which version, as a whole number from 0.' }])
  return await asFirm(firmId, async client => ({ entries: await entriesSince(client, jobId, since) }))
})
