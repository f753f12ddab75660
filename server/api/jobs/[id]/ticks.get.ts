import { findJob } from '../../../db/jobs'
import { listTicks } from '../../../db/ticks'

/** What has been ticked off on one of the job's lists. */
export default defineEventHandler(event => inFirm(event, async ({ client }) => {
  const jobId = jobIdOf(event)
  const list = tickListOf(getQuery(event).list)
  if (!await findJob(client, jobId)) noSuchJob()
  return { items: await listTicks(client, jobId, list) }
}))
