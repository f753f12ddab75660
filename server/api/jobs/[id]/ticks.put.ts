import { z } from 'zod'
import { listTicks, setTicks } from '../../../db/ticks'
import { tellNews } from '../../../news/tell'

const bodySchema = z.object({ ticks: z.array(z.object({ item: z.string().min(1).max(200), done: z.boolean() })).min(1).max(2000) })

/** Sets or takes off ticks, in their order; answers with the list as it stands. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const list = tickListOf(getQuery(event).list)
  const { ticks } = await readChecked(event, bodySchema)
  return await inJob(event, 'tick', async ({ client, firmId, personId, jobId }) => {
    await setTicks(client, { firmId, jobId, personId, list }, ticks)
    await tellNews(client, firmId, { jobId, ticks: list, personId })
    return { items: await listTicks(client, jobId, list) }
  })
})
