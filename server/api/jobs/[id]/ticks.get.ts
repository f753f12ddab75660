import { listTicks } from '../../../db/ticks'

/** What has been ticked off on one of the job's lists. */
export default defineEventHandler(event => inJob(event, 'read', async ({ client, jobId }) => {
  const list = tickListOf(getQuery(event).list)
  return { items: await listTicks(client, jobId, list) }
}))
