import { z } from 'zod'
import { takeLinkBack } from '../../../../db/links'

/** Takes a link back: who has it open reads nothing more. */
export default defineEventHandler(event => inJob(event, 'share', async ({ client, firmId, personId, jobId }) => {
  const linkId = z.uuid().safeParse(getRouterParam(event, 'link')).data
  if (!linkId || !await takeLinkBack(client, jobId, linkId)) refuse(404, [{ path: 'link', sentence: 'There is no such link, or it was taken back already.' }])
  record(event, 'link-taken-back', { firmId, personId, linkId })
  return { takenBack: linkId }
}))
