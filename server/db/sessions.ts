import type { PoolClient } from 'pg'

/** A signed-in person. */
export interface SignedIn { firmId: string, firmName: string, personId: string, personName: string, role: string }

/** Opens a session for a firm's first planner; null when the firm has none. */
export async function openSession(client: PoolClient, hours: number): Promise<string | null> {
  const { rows } = await client.query<{ session_id: string }>(
    `insert into sessions (firm_id, person_id, expires_at)
     select firm_id, person_id, now() + make_interval(hours => $1)
     from people where role = 'planner' order by created_at, person_id limit 1
     returning session_id`, [hours])
  return rows[0]?.session_id ?? null
}

/** Who is signed in by this session; null when it is unknown or has run out. */
export async function personOfSession(client: PoolClient, sessionId: string): Promise<SignedIn | null> {
  const { rows } = await client.query<SignedIn>(
    `select f.firm_id as "firmId", f.name as "firmName", p.person_id as "personId", p.name as "personName", p.role
     from sessions s join people p using (firm_id, person_id) join firms f using (firm_id)
     where s.session_id = $1 and s.expires_at > now()`, [sessionId])
  return rows[0] ?? null
}
