import { listPhotographs } from '../../../../db/photographs'

/** A job's photographs with their captions, oldest first. */
export default defineEventHandler(async (event) => {
  return await inJob(event, 'read', ({ client, jobId }) => listPhotographs(client, jobId))
})
