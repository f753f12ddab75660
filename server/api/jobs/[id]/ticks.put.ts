import { z } from 'zod'
import { findJob } from '../../../db/jobs'
import { listTicks, setTicks } from '../../../db/ticks'

const bodySchema = z.object({ ticks: z.array(z.object({ item: z.string().min(1).max(200), done: z.boolean() })).min(1).max(2000) })

/** Sets or takes off ticks, in their order; answers with the list as it stands. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const jobId = jobIdOf(event)
  const list = tickListOf(getQuery(event).list)
  const { ticks } = await readChecked(event, bodySchema)
  return await inFirm(event, async ({ client, firmId, personId }) => {
    if (!await findJob(client, jobId)) noSuchJob()
    await setTicks(client, { firmId, jobId, personId, list }, ticks)
    return { items: await listTicks(client, jobId, list) }
  })
})
