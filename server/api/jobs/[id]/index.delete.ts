import { deleteJob } from '../../../db/jobs'

/** Deletes a job with all that belongs to it. */
export default defineEventHandler(event => inJob(event, 'jobs', async ({ client, jobId }) => {
  if (!await deleteJob(client, jobId)) noSuchJob()
  return { deleted: jobId }
}))
