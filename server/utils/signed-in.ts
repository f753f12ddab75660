import type { H3Event } from 'h3'
import { z } from 'zod'
import { asFirm } from '../db/pool'
import { openSession, personOfSession, type SignedIn } from '../db/sessions'

/** What the sealed cookie carries; the session's row in the database decides whether it still holds. */
const cookieSchema = z.object({ firmId: z.uuid(), sessionId: z.uuid() })
const SESSION_HOURS = 8

/** Who is signed in, or null. */
export async function findSignedIn(event: H3Event): Promise<SignedIn | null> {
  const cookie = cookieSchema.safeParse((await getUserSession(event)).secure)
  if (!cookie.success) return null
  return await asFirm(cookie.data.firmId, client => personOfSession(client, cookie.data.sessionId))
}

/** Who is signed in; answers 401 when nobody is. */
export async function requireSignedIn(event: H3Event): Promise<SignedIn> {
  return await findSignedIn(event)
    ?? refuse(401, [{ path: 'session', sentence: 'You are signed out. Load the page again to sign in; what you typed is kept on this device.' }])
}

/** Signs a visitor in as a firm's planner. */
export async function signInAsPlannerOf(event: H3Event, firmId: string): Promise<void> {
  const sessionId = await asFirm(firmId, client => openSession(client, SESSION_HOURS))
  if (sessionId) await setUserSession(event, { secure: { firmId, sessionId } })
}
