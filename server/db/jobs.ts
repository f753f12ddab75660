import pg, { type PoolClient } from 'pg'
import { type Edit, type HistoryEntry, type Job, upgraded } from '#core/job'

export interface StoredJob { jobId: string, job: Job, version: number, updatedAt: string }

/** An entry of a job's history with who made it and when. */
export interface StoredEntry extends HistoryEntry { version: number, personId: string, role: NewEntry['role'], personName: string, madeAt: string }

const columns = 'job_id as "jobId", document as job, version, updated_at as "updatedAt"'

/** Documents that an earlier version wrote, with the facts that have come since. */
const read = (row: StoredJob): StoredJob => ({ ...row, job: upgraded(row.job) as Job })

export async function findJobs(client: PoolClient, jobIds: string[]): Promise<StoredJob[]> {
  return (await client.query<StoredJob>(`select ${columns} from jobs where job_id = any($1) and deleted_at is null`, [jobIds])).rows.map(read)
}

/** The adopted codes that the firm last gave a job of these units; null where it never has. */
export async function lastCodes(client: PoolClient, units: Job['units']): Promise<Job['codes'] | null> {
  const { rows } = await client.query<{ codes: Job['codes'] }>(
    `select document -> 'codes' as codes from jobs where firm_id = current_firm() and units = $1 and document -> 'codes' ->> 'kind' = 'us' order by created_at desc, job_id limit 1`, [units])
  return rows[0]?.codes ?? null
}

/** The jobs at work that somebody is on, those changed last first. */
export async function jobsOfCrew(client: PoolClient, personId: string, most: number): Promise<{ jobId: string, version: number }[]> {
  const { rows } = await client.query<{ jobId: string, version: number }>(
    'select job_id as "jobId", version from jobs where document -> \'site\' -> \'crew\' @> to_jsonb($1::text) and deleted_at is null and archived_at is null order by updated_at desc, job_id limit $2', [personId, most])
  return rows
}

export async function findJob(client: PoolClient, jobId: string): Promise<StoredJob | null> {
  return (await client.query<StoredJob>(`select ${columns} from jobs where job_id = $1 and deleted_at is null`, [jobId])).rows.map(read)[0] ?? null
}

/** Finds a job and holds it until the transaction ends, so that two writers take turns. */
export async function lockJob(client: PoolClient, jobId: string): Promise<StoredJob | null> {
  return (await client.query<StoredJob>(`select ${columns} from jobs where job_id = $1 and deleted_at is null for update`, [jobId])).rows.map(read)[0] ?? null
}

/** Opens a job. Its id is made by whoever asks, so that asking twice opens one. */
export async function insertJob(client: PoolClient, firmId: string, jobId: string, job: Job): Promise<string> {
  await client.query('insert into jobs (firm_id, job_id, document) values ($1, $2, $3) on conflict (firm_id, job_id) do nothing', [firmId, jobId, job])
  return jobId
}

/** Puts a job away or brings it back; false where there is none. */
export async function archiveJob(client: PoolClient, jobId: string, archived: boolean): Promise<boolean> {
  const { rowCount } = await client.query('update jobs set archived_at = case when $2 then coalesce(archived_at, now()) end where job_id = $1', [jobId, archived])
  return rowCount === 1
}

/** Takes a job out of sight with all that belongs to it; the keeper of the tables takes it away for good a month later. False where there is none. */
export async function deleteJob(client: PoolClient, jobId: string): Promise<boolean> {
  return (await client.query('update jobs set deleted_at = now() where job_id = $1 and deleted_at is null', [jobId])).rowCount === 1
}

export async function saveJob(client: PoolClient, jobId: string, job: Job, version: number): Promise<void> {
  await client.query('update jobs set document = $2, version = $3, updated_at = now() where job_id = $1', [jobId, job, version])
}

/** The history after a version, oldest first, at most `most` of it. */
export async function entriesSince(client: PoolClient, jobId: string, version: number, most: number): Promise<StoredEntry[]> {
  const { rows } = await client.query<StoredEntry>(
    `select e.edit_id as id, e.version, e.kind, e.edit, e.inverse, e.role, e.person_id as "personId", p.name as "personName", e.made_at as "madeAt"
     from job_edits e join people p using (firm_id, person_id)
     where e.job_id = $1 and e.version > $2 order by e.version limit $3`, [jobId, version, most])
  return rows
}

/** An entry as undo needs it. */
export type OwnEntry = HistoryEntry & { personId: string }
export type OpenedRow = Omit<StoredJob, 'job'> & { document: Job, entries: OwnEntry[] }

/** A job with the last `most` entries of its history, as a statement for `readInOne`; `openedOf` makes the job of its row. */
export const openStatement = (jobId: string, most: number): string => `select * from open_job(${pg.escapeLiteral(jobId)}, ${most})`
/** The job of such a row; its entries oldest first. */
export function openedOf({ document, entries, ...row }: OpenedRow): StoredJob & { entries: OwnEntry[] } {
  return { ...read({ ...row, job: document }), entries: entries.reverse() }
}
/** Which of these client-made ids are in the history already. */
export async function knownIds(client: PoolClient, jobId: string, ids: string[]): Promise<Set<string>> {
  const { rows } = await client.query<{ id: string }>('select edit_id as id from job_edits where job_id = $1 and edit_id = any($2)', [jobId, ids])
  return new Set(rows.map(row => row.id))
}

/** An entry about to be written. */
export interface NewEntry extends HistoryEntry {
  firmId: string
  jobId: string
  version: number
  personId: string
  /** As what they made it. */
  role: 'owner' | 'planner' | 'lead'
  /** Under which they vouch for a figure in it; null where there is none to vouch for. */
  licence: string | null
}

/** Edits that bring figures somebody vouched for, oldest first, with who, when and under which licence. */
export async function vouchedEntries(client: PoolClient, jobId: string): Promise<{ edit: Edit, name: string, licence: string, madeAt: Date }[]> {
  return (await client.query<{ edit: Edit, name: string, licence: string, madeAt: Date }>(
    `select e.edit, p.name, e.licence, e.made_at as "madeAt" from job_edits e join people p using (firm_id, person_id)
     where e.job_id = $1 and e.licence is not null order by e.version`, [jobId])).rows
}

export async function appendEntry(client: PoolClient, entry: NewEntry): Promise<void> {
  await client.query(
    `insert into job_edits (firm_id, job_id, version, edit_id, person_id, role, licence, kind, edit, inverse) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [entry.firmId, entry.jobId, entry.version, entry.id, entry.personId, entry.role, entry.licence, entry.kind, entry.edit, entry.inverse])
}
