import { z } from 'zod'
import { jobSchema } from '#core/job'
import { findJob, insertJob } from '../../../db/jobs'
import { tellNews } from '../../../news/tell'

const bodySchema = z.object({ id: z.uuid('A new job has an id of its own.') })
const MOST_TITLE = jobSchema.shape.title.maxLength!

/** Opens a job like another: what was read and decided, without its history, photographs, issued sheets, ticks and proof. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id } = await readChecked(event, bodySchema)
  return await inJob(event, 'jobs', async ({ client, firmId, jobId }) => {
    const { job } = await findJob(client, jobId) ?? noSuchJob()
    setResponseStatus(event, 201)
    await tellNews(client, firmId, { jobId: id, list: true })
    return { jobId: await insertJob(client, firmId, id, { ...job, proof: [], title: `${job.title.slice(0, MOST_TITLE - 6)}, copy` }) }
  })
})
