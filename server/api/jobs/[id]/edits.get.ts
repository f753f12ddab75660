import { entriesSince } from '../../../db/jobs'
import { MOST_SINCE } from '../../../edits/make'

/** What has been changed since the version the caller has, oldest first; whoever lacks more asks again. */
export default defineEventHandler(event => inJob(event, 'read', async ({ client, jobId }) => {
  const since = Number(getQuery(event).since)
  if (!Number.isInteger(since) || since < 0 || since > MOST_COUNT) refuse(400, [{ path: 'since', sentence: 'Say since which version, as a whole number from 0.' }])
  return { entries: await entriesSince(client, jobId, since, MOST_SINCE) }
}))
