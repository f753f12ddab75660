import type { H3Event } from 'h3'
import { loadCatalogue } from '../db/catalogue'
import { insertJob } from '../db/jobs'
import { tellNews } from '../news/tell'

/** Opens a job from what may be one, checked in a thread since it may be large; answers 422 with what is wrong and where. */
export async function openNewJob(event: H3Event, jobId: string, data: unknown): Promise<{ jobId: string }> {
  const { firmId, catalogue } = await inFirm(event, 'jobs', async ({ client, firmId }) => ({ firmId, catalogue: await loadCatalogue(client) }))
  const read = await workFor(firmId, 'readJob', { data, catalogue }, 'This job file takes too long to read. There is more in it than a roof has.')
  if (!read.ok) refuse(422, read.problems)
  return await inFirm(event, 'jobs', async ({ client }) => {
    setResponseStatus(event, 201)
    await insertJob(client, firmId, jobId, read.value)
    await tellNews(client, firmId, { jobId, list: true })
    return { jobId }
  })
}
