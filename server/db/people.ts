import type { PoolClient } from 'pg'
import type { Role } from '#core/people'

export interface Person { personId: string, name: string, role: Role, email: string | null, vouches: boolean, licence: string, jobTitle: string | null, createdAt: string, leftAt: string | null, seenAt: string | null }

/** The firm's people, those who have left last. */
export async function listPeople(client: PoolClient): Promise<Person[]> {
  return (await client.query<Person>(
    `select p.person_id as "personId", p.name, p.role, p.email, p.vouches, p.licence, j.document ->> 'title' as "jobTitle", p.created_at as "createdAt", p.left_at as "leftAt", s.seen_at as "seenAt"
     from people p left join jobs j using (firm_id, job_id)
     left join lateral (select max(seen_at) as seen_at from sessions where firm_id = p.firm_id and person_id = p.person_id) s on true
     order by p.left_at is not null, p.created_at, p.person_id`)).rows
}

type Held = Pick<Person, 'name' | 'role' | 'vouches' | 'licence' | 'leftAt'>

/** Somebody of the firm, held until the transaction ends. */
export async function findPerson(client: PoolClient, personId: string): Promise<Held | null> {
  return (await client.query<Held>('select name, role, vouches, licence, left_at as "leftAt" from people where person_id = $1 for update', [personId])).rows[0] ?? null
}

/** Whoever works in the firm under an address; a guest works elsewhere. */
export async function worksUnder(client: PoolClient, email: string): Promise<Pick<Person, 'name' | 'role'> | null> {
  return (await client.query<Pick<Person, 'name' | 'role'>>('select name, role from people where email = $1 and left_at is null and role <> \'guest\' for update', [email])).rows[0] ?? null
}

/** Somebody of a role who can sign in to the demo; null where there is none. */
export async function firstOfRole(client: PoolClient, role: Role): Promise<string | null> {
  return (await client.query<{ id: string }>('select person_id as id from people where role = $1 and left_at is null order by created_at, person_id limit 1', [role])).rows[0]?.id ?? null
}

export interface NewPerson { personId: string, name: string, role: Role, email: string, vouches: boolean, licence: string, jobId: string | null }

/** Takes somebody in; whoever was here before under the same address comes back as they are said to be now. */
export async function addPerson(client: PoolClient, firmId: string, { personId, name, role, email, vouches, licence, jobId }: NewPerson): Promise<string> {
  const { rows } = await client.query<{ id: string }>(
    `insert into people (firm_id, person_id, name, role, email, vouches, licence, job_id) values ($1, $2, $3, $4, $5, $6, $7, $8)
     on conflict (firm_id, email) where email is not null do update set name = excluded.name, role = excluded.role, vouches = excluded.vouches, licence = excluded.licence, job_id = excluded.job_id, left_at = null
     returning person_id as id`, [firmId, personId, name, role, email, vouches, licence, jobId])
  return rows[0]!.id
}

/** How many owners the firm would have without somebody; counted with the owners held, so that two can't leave at once. */
export async function otherOwners(client: PoolClient, personId: string): Promise<number> {
  return (await client.query('select from people where role = \'owner\' and left_at is null and person_id <> $1 for update', [personId])).rowCount ?? 0
}

export async function changePerson(client: PoolClient, personId: string, { role, vouches, licence, left }: { role?: Role, vouches?: boolean, licence?: string, left?: boolean }): Promise<void> {
  await client.query(
    `update people set role = coalesce($2, role), vouches = coalesce($3, vouches), licence = coalesce($4, licence),
       left_at = case when $5::boolean is null then left_at when $5 then coalesce(left_at, now()) end where person_id = $1`,
    [personId, role ?? null, vouches ?? null, licence ?? null, left ?? null])
}

export async function firmName(client: PoolClient): Promise<string> {
  return (await client.query<{ name: string }>('select name from firms where firm_id = current_firm()')).rows[0]!.name
}

export async function nameFirm(client: PoolClient, name: string): Promise<void> {
  await client.query('update firms set name = $1 where firm_id = current_firm()', [name])
}
