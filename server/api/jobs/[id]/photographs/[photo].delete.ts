import { deletePhotograph } from '../../../../db/photographs'
import { pictureStore } from '../../../../pictures/store'

/** Takes a photograph away. */
export default defineEventHandler(async (event) => {
  const key = await inJob(event, 'log', async ({ client, firmId, jobId }) => {
    const photoId = photoIdOf(event)
    return await deletePhotograph(client, jobId, photoId) ? { firmId, jobId, photoId } : noSuchPhotograph()
  })
  await pictureStore()?.remove(key)
  setResponseStatus(event, 204)
  return null
})
