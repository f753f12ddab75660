import { endSessionsOf } from '../../db/sessions'

/** Signs somebody out everywhere but here. */
export default defineEventHandler(async (event) => {
  const cookie = await requireCookie(event)
  return await inFirm(event, 'read-sheet', async ({ client, personId }) => {
    if (personId && 'sessionId' in cookie) await endSessionsOf(client, personId, cookie.sessionId)
    return { ended: true }
  })
})
