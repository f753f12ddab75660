import pg, { type PoolClient } from 'pg'

/** A session that nobody used for so long has ended: a weekend may lie between. `who_asks` holds it too. */
export const REST_HOURS = 72
/** And however much it was used, somebody signs in again after so long. */
export const SESSION_DAYS = 30

/** What a request's cookie names: a session, or a link. */
export type Credential = { sessionId: string } | { linkId: string }

const uuid = (id: string | null): string => id === null ? 'null' : pg.escapeLiteral(id)

/** The statement that finds who asks, and whether the job of the address is there; no row where the session has ended or the link was taken back. */
export const whoAsks = (credential: Credential, jobId: string | null): string => 'sessionId' in credential
  ? `select * from who_asks(${uuid(credential.sessionId)}, null, ${uuid(jobId)})`
  : `select * from who_asks(null, ${uuid(credential.linkId)}, ${uuid(jobId)})`

export async function openSession(client: PoolClient, firmId: string, personId: string, device: string): Promise<string> {
  const { rows } = await client.query<{ session_id: string }>(
    'insert into sessions (firm_id, person_id, device, expires_at) values ($1, $2, $3, now() + make_interval(days => $4)) returning session_id',
    [firmId, personId, device.slice(0, 200), SESSION_DAYS])
  return rows[0]!.session_id
}

export async function sawSession(client: PoolClient, sessionId: string): Promise<void> {
  await client.query('update sessions set seen_at = now() where session_id = $1', [sessionId])
}

export async function endSession(client: PoolClient, sessionId: string): Promise<void> {
  await client.query('delete from sessions where session_id = $1', [sessionId])
}

/** Ends all sessions of a person; those that have run out go with them. */
export async function endSessionsOf(client: PoolClient, personId: string, but: string | null = null): Promise<void> {
  await client.query('delete from sessions where (person_id = $1 and session_id is distinct from $2) or expires_at < now()', [personId, but])
}

export interface Session { sessionId: string, device: string, createdAt: string, seenAt: string }

export async function sessionsOf(client: PoolClient, personId: string): Promise<Session[]> {
  return (await client.query<Session>(
    `select session_id as "sessionId", device, created_at as "createdAt", seen_at as "seenAt" from sessions
     where person_id = $1 and expires_at > now() and seen_at > now() - make_interval(hours => $2) order by seen_at desc`, [personId, REST_HOURS])).rows
}
