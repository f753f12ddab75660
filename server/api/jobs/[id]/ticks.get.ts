import { asFirm } from '../../../db/pool'
import { listTicks } from '../../../db/ticks'

/** What has been ticked off on one of the job's lists. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const { jobId } = await openedJob(event)
  const list = tickListOf(getQuery(event).list)
  return { items: await asFirm(firmId, client => listTicks(client, jobId, list)) }
})
