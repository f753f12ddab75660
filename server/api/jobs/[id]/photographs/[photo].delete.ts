import { deletePhotograph } from '../../../../db/photographs'

/** Takes a photograph away. */
export default defineEventHandler(async (event) => {
  if (!await inJob(event, 'log', ({ client, jobId }) => deletePhotograph(client, jobId, photoIdOf(event)))) noSuchPhotograph()
  setResponseStatus(event, 204)
  return null
})
