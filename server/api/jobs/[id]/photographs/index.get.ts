import { listPhotographs } from '../../../../db/photographs'

/** A job's photographs with their captions, oldest first. */
export default defineEventHandler(async (event) => {
  const jobId = jobIdOf(event)
  return await inFirm(event, ({ client }) => listPhotographs(client, jobId))
})
