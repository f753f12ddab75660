import type { H3Event } from 'h3'
import type { PoolClient } from 'pg'
import { z } from 'zod'
import { asFirm } from '../db/pool'
import { openSession, personOfSession, type SignedIn } from '../db/sessions'

/** What the sealed cookie carries; the session's row in the database decides whether it still holds. */
const cookieSchema = z.object({ firmId: z.uuid(), sessionId: z.uuid() })
type SessionCookie = z.infer<typeof cookieSchema>
const SESSION_HOURS = 8

const signedOut = (): never => refuse(401, [{ path: 'session', sentence: 'You are signed out. Load the page again to sign in; what you typed is kept on this device.' }])

/** The session that a request names, or null; whether it holds is not known yet. */
async function cookieOf(event: H3Event): Promise<SessionCookie | null> {
  const cookie = cookieSchema.safeParse((await getUserSession(event)).secure)
  return cookie.success ? cookie.data : null
}

/** Answers 401 where a request names no session: before its body is read, so that nobody holds the server up from outside. */
export async function requireCookie(event: H3Event): Promise<SessionCookie> {
  return await cookieOf(event) ?? signedOut()
}

/** Who is signed in, and the connection on which only their firm's rows are seen. */
export interface AtFirm extends SignedIn { client: PoolClient }

/**
 * Does a request's work in one transaction that begins with its session: the firm's rows only. Answers 401 when nobody is signed
 * in. A body is read before, so that a slow sender holds no connection.
 */
export async function inFirm<T>(event: H3Event, work: (at: AtFirm) => Promise<T>): Promise<T> {
  const { firmId, sessionId } = await requireCookie(event)
  return await asFirm(firmId, async client => await work({ client, ...await personOfSession(client, sessionId) ?? signedOut() }))
}

/** Who is signed in, or null. */
export async function findSignedIn(event: H3Event): Promise<SignedIn | null> {
  const cookie = await cookieOf(event)
  return cookie && await asFirm(cookie.firmId, client => personOfSession(client, cookie.sessionId))
}

/** Signs a visitor in as a firm's planner. */
export async function signInAsPlannerOf(event: H3Event, firmId: string): Promise<void> {
  const sessionId = await asFirm(firmId, client => openSession(client, SESSION_HOURS))
  if (sessionId) await setUserSession(event, { secure: { firmId, sessionId } })
}
