import type { H3Event } from 'h3'
import { LRUCache } from 'lru-cache'
import type { PoolClient } from 'pg'
import { z } from 'zod'
import { may, refusalOf, type Right, type SignedIn } from '#core/people'
import { asFirm, DatabaseAway, inTransaction, readInOne } from '../db/pool'
import { type Credential, sawSession, whoAsks } from '../db/sessions'

/** What the sealed cookie carries; the row in the database decides whether it still holds. */
const cookieSchema = z.union([z.object({ firmId: z.uuid(), sessionId: z.uuid() }), z.object({ firmId: z.uuid(), linkId: z.uuid() })])
/** The cookie's name, as the configuration has it. */
const SESSION_COOKIE = 'upper-deck'
export type SessionCookie = { firmId: string } & Credential

const signedOut = (): never => refuse(401, [{ path: 'session', sentence: 'You are signed out. Sign in again; what you typed is kept on this device.' }])

/** What sealed cookies carry, the longest unused forgotten: opening one takes longer than all else that a short answer does. */
const opened = new LRUCache<string, SessionCookie>({ max: 5000, ttl: 10 * 60_000 })

/** What a request names, or null; whether it holds is not known yet. */
export async function cookieOf(event: H3Event): Promise<SessionCookie | null> {
  const sealed = getCookie(event, SESSION_COOKIE)
  const known = sealed && opened.get(sealed)
  if (known) return known
  const cookie = cookieSchema.safeParse((await getUserSession(event)).secure)
  if (!cookie.success) return null
  if (sealed) opened.set(sealed, cookie.data)
  return cookie.data
}

/** Answers 401 where a request names no session: before its body is read, so that nobody holds the server up from outside. */
export async function requireCookie(event: H3Event): Promise<SessionCookie> {
  return await cookieOf(event) ?? signedOut()
}

/** Who is signed in, and the connection on which only their firm's rows are seen. */
export interface AtFirm extends SignedIn { client: PoolClient }
export interface AtJob extends AtFirm { jobId: string }

type Found = SignedIn & { unseen: boolean, jobThere: boolean }

/** Answers for a database that is away: what was asked can be asked again. */
export async function orAway<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  }
  catch (error) {
    const { code = '', message } = error as { code?: string, message?: string }
    if (error instanceof DatabaseAway) {
      console.error('The database can’t be reached:', message)
      return refuse(503, [{ path: 'server', sentence: 'The office’s database can’t be reached just now. Nothing is lost: what you typed is kept and sent again.' }])
    }
    // By SQLSTATE (PostgreSQL, appendix A): locks and deadlocks, statements that took too long, values that have no place.
    if (/^(40|55P03|57014)/.test(code)) return refuse(503, [{ path: 'server', sentence: 'Many people are at the same thing just now. Nothing is lost: it is tried again.' }])
    if (code.startsWith('22')) return refuse(400, [{ path: '(value)', sentence: 'There is a value in it that can’t be kept: too large, too long, or of another kind.' }])
    throw error
  }
}

/** Whoever asks, if they may; answers 401, 403 or 404. */
function checked(event: H3Event, found: Found | undefined, right: Right, addressJob: string | null): SignedIn {
  const { unseen: _, jobThere, ...at } = found ?? signedOut()
  if (!mayHere(at, right)) {
    record(event, 'not-allowed', { firmId: at.firmId, personId: at.personId, right })
    refuse(403, [{ path: 'right', sentence: refusalOf(at.role, right) }])
  }
  if (!jobThere || (addressJob && at.jobId && at.jobId !== addressJob)) noSuchJob()
  return at
}

async function within<T>(event: H3Event, right: Right, addressJob: string | null, work: (at: AtFirm) => Promise<T>): Promise<T> {
  const { firmId, ...credential } = await requireCookie(event)
  return await orAway(() => inTransaction<T, Found>({ firmId }, async (client, [found]) => {
    const at = checked(event, found, right, addressJob)
    if (found!.unseen && 'sessionId' in credential) await sawSession(client, credential.sessionId)
    return await work({ client, ...at })
  }, whoAsks(credential, addressJob)))
}

/** A link to one sheet or pack shows that and nothing beside it. */
const mayHere = ({ role, revision, pack }: SignedIn, right: Right): boolean => may(role, right) && ((revision === null && pack === null) || right === 'read-sheet')

/**
 * Does a request's work in one transaction that begins with its session: the firm's rows only. Answers 401 when nobody is signed
 * in, 403 with who may when their role lacks the right, 503 while the database is away. A body is read before, so that a slow sender
 * holds no connection.
 */
export const inFirm = <T>(event: H3Event, right: Right, work: (at: AtFirm) => Promise<T>): Promise<T> => within(event, right, null, work)

/** The same for the job of the address; answers 404 where it is not there, or not for whoever asks. */
export async function inJob<T>(event: H3Event, right: Right, work: (at: AtJob) => Promise<T>): Promise<T> {
  await requireCookie(event)
  const jobId = jobIdOf(event)
  return await within(event, right, jobId, at => work({ ...at, jobId }))
}

/** Whether whoever asks is signed in to a firm, by a session that still holds. */
export async function worksFor(event: H3Event, firmId: string): Promise<boolean> {
  const cookie = await cookieOf(event)
  if (!cookie || cookie.firmId !== firmId || !('sessionId' in cookie)) return false
  const [who] = await orAway(() => readInOne({ firmId }, [whoAsks(cookie, null)]))
  return who!.length > 0
}

/** Says by its cookie who comes from now on. */
export const setCookieFor = async (event: H3Event, cookie: SessionCookie): Promise<void> => void await replaceUserSession(event, { secure: cookie })

/**
 * What is read of the address's job by some statements, for whoever may read it: in one round trip, since it is asked for more than all else.
 * @param statements with their values in them, escaped
 */
export async function readOfJob<Rows extends unknown[][]>(event: H3Event, right: Right, statements: (jobId: string) => { [I in keyof Rows]: string }): Promise<{ at: SignedIn & { jobId: string }, rows: Rows }> {
  const { firmId, ...credential } = await requireCookie(event)
  const jobId = jobIdOf(event)
  const [who, ...rows] = await orAway(() => readInOne({ firmId }, [whoAsks(credential, jobId), ...statements(jobId)]))
  const found = who![0] as Found | undefined
  const at = checked(event, found, right, jobId)
  if (found!.unseen && 'sessionId' in credential) await orAway(() => asFirm(firmId, client => sawSession(client, credential.sessionId)))
  return { at: { ...at, jobId }, rows: rows as unknown as Rows }
}
