import { inTransaction } from '../../db/pool'
import { endSession } from '../../db/sessions'

/** Signs out: the session ends for whoever else may have its cookie, too. */
export default defineEventHandler(async (event) => {
  const cookie = await cookieOf(event)
  if (cookie && 'sessionId' in cookie) await orAway(() => inTransaction({ firmId: cookie.firmId }, client => endSession(client, cookie.sessionId)))
  await clearUserSession(event)
  if (cookie) record(event, 'signed-out', { firmId: cookie.firmId })
  setResponseStatus(event, 204)
  return null
})
