import { findPicture } from '../../../../db/photographs'
import { pictureStore } from '../../../../pictures/store'

/** The picture itself, or with `?size=small` its small copy. It never changes under its id, so it may be kept. */
export default defineEventHandler(async (event) => {
  const size = getQuery(event).size === 'small' ? 'small' : 'whole'
  const { picture, key } = await inJob(event, 'read', async ({ client, firmId, jobId }) => {
    const photoId = photoIdOf(event)
    return { picture: await findPicture(client, jobId, photoId, size) ?? noSuchPhotograph(), key: { firmId, jobId, photoId } }
  })
  setResponseHeaders(event, { 'content-type': picture.contentType, 'cache-control': 'private, max-age=31536000, immutable' })
  return picture.bytes ?? await folder().read(key)
})

const folder = () => pictureStore() ?? refuse(503, [{ path: 'photo', sentence: 'This photograph lies in a folder that this server was not given. Whoever runs it sets NUXT_PICTURES.' }])
