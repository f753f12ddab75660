import { sessionsOf } from '../../db/sessions'

/** Where somebody is signed in. */
export default defineEventHandler(async (event) => {
  const cookie = await requireCookie(event)
  return await inFirm(event, 'read-sheet', async ({ client, personId }) => personId
    ? (await sessionsOf(client, personId)).map(({ sessionId, ...session }) => ({ ...session, here: 'sessionId' in cookie && cookie.sessionId === sessionId }))
    : [])
})
