import { findPicture } from '../../../../db/photographs'

/** The picture itself, or with `?size=small` its small copy. It never changes under its id, so it may be kept. */
export default defineEventHandler(async (event) => {
  const size = getQuery(event).size === 'small' ? 'small' : 'whole'
  const picture = await inJob(event, 'read', ({ client, jobId }) => findPicture(client, jobId, photoIdOf(event), size)) ?? noSuchPhotograph()
  setResponseHeaders(event, { 'content-type': picture.contentType, 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' })
  return picture.bytes
})
