import { deleteJob } from '../../../db/jobs'

/** Deletes a job with all that belongs to it. */
export default defineEventHandler(event => inFirm(event, async ({ client }) => {
  const jobId = jobIdOf(event)
  if (!await deleteJob(client, jobId)) noSuchJob()
  return { deleted: jobId }
}))
