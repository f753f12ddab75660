import { deleteJob } from '../../../db/jobs'
import { tellNews } from '../../../news/tell'

/** Deletes a job with all that belongs to it. */
export default defineEventHandler(event => inJob(event, 'jobs', async ({ client, firmId, jobId }) => {
  if (!await deleteJob(client, jobId)) noSuchJob()
  await tellNews(client, firmId, { jobId, list: true })
  return { deleted: jobId }
}))
