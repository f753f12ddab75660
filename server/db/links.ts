import type { PoolClient } from 'pg'

/** What a link shows: an issued sheet, a hand-over pack, or, with neither, the job. */
export interface Shows { revision: number | null, pack: 'householder' | 'inspector' | null }
export interface ShareLink extends Shows { linkId: string, note: string, madeBy: string, madeAt: string, expiresAt: string, takenBackAt: string | null, openedAt: string | null }

/** Keeps a link; one whose answer was lost and that is made again under its id has the new secret. */
export async function addLink(client: PoolClient, firmId: string, personId: string, link: Shows & { linkId: string, secretHash: string, jobId: string, note: string, days: number }): Promise<void> {
  await client.query(
    `insert into share_links (firm_id, link_id, secret_hash, job_id, revision, note, made_by, expires_at, pack) values ($1, $2, $3, $4, $5, $6, $7, now() + make_interval(days => $8), $9)
     on conflict (firm_id, link_id) do update set secret_hash = excluded.secret_hash where share_links.opened_at is null and share_links.made_by = excluded.made_by`,
    [firmId, link.linkId, link.secretHash, link.jobId, link.revision, link.note, personId, link.days, link.pack])
}

/** Links to a job and its sheets, the newest first; those that ended stay to be seen. */
export async function listLinks(client: PoolClient, jobId: string): Promise<ShareLink[]> {
  return (await client.query<ShareLink>(
    `select l.link_id as "linkId", l.revision, l.pack, l.note, p.name as "madeBy", l.made_at as "madeAt", l.expires_at as "expiresAt", l.taken_back_at as "takenBackAt", l.opened_at as "openedAt"
     from share_links l join people p on p.firm_id = l.firm_id and p.person_id = l.made_by where l.job_id = $1 order by l.made_at desc`, [jobId])).rows
}

/** Takes a link back at once; false where there is none that still holds. */
export async function takeLinkBack(client: PoolClient, jobId: string, linkId: string): Promise<boolean> {
  return (await client.query('update share_links set taken_back_at = now() where job_id = $1 and link_id = $2 and taken_back_at is null', [jobId, linkId])).rowCount === 1
}

/** A link that still holds, marked as opened; null where there is none. */
export async function openLink(client: PoolClient, linkId: string): Promise<Shows & { hash: string, jobId: string } | null> {
  return (await client.query<Shows & { hash: string, jobId: string }>(
    `select secret_hash as hash, l.job_id as "jobId", revision, pack from share_links l join jobs j using (firm_id, job_id)
     where link_id = $1 and taken_back_at is null and expires_at > now() and j.deleted_at is null`, [linkId])).rows[0] ?? null
}

export async function sawLink(client: PoolClient, linkId: string): Promise<void> {
  await client.query('update share_links set opened_at = now() where link_id = $1', [linkId])
}
