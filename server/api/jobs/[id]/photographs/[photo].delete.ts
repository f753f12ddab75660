import { deletePhotograph } from '../../../../db/photographs'

/** Takes a photograph away. */
export default defineEventHandler(async (event) => {
  const [jobId, photoId] = [jobIdOf(event), photoIdOf(event)]
  if (!await inFirm(event, ({ client }) => deletePhotograph(client, jobId, photoId))) noSuchPhotograph()
  setResponseStatus(event, 204)
  return null
})
