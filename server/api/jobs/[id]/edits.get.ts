import { entriesSince } from '../../../db/jobs'

/** What has been changed since the version the caller has. */
export default defineEventHandler(event => inFirm(event, async ({ client }) => {
  const jobId = jobIdOf(event)
  const since = Number(getQuery(event).since)
  if (!Number.isInteger(since) || since < 0) refuse(400, [{ path: 'since', sentence: 'Say since which version, as a whole number from 0.' }])
  return { entries: await entriesSince(client, jobId, since) }
}))
