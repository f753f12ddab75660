import type { PoolClient } from 'pg'
import { type HistoryEntry, type Job, upgraded } from '#core/job'

export interface StoredJob { jobId: string, job: Job, version: number, updatedAt: string }

/** An entry of a job's history with who made it and when. */
export interface StoredEntry extends HistoryEntry { version: number, personId: string, personName: string, madeAt: string }

const columns = 'job_id as "jobId", document as job, version, updated_at as "updatedAt"'

/** Documents that an earlier version wrote, with the facts that have come since. */
const read = (row: StoredJob): StoredJob => ({ ...row, job: upgraded(row.job) as Job })

export async function listJobs(client: PoolClient): Promise<StoredJob[]> {
  return (await client.query<StoredJob>(`select ${columns} from jobs order by created_at, job_id`)).rows.map(read)
}

export async function findJob(client: PoolClient, jobId: string): Promise<StoredJob | null> {
  return (await client.query<StoredJob>(`select ${columns} from jobs where job_id = $1`, [jobId])).rows.map(read)[0] ?? null
}

/** Finds a job and holds it until the transaction ends, so that two writers take turns. */
export async function lockJob(client: PoolClient, jobId: string): Promise<StoredJob | null> {
  return (await client.query<StoredJob>(`select ${columns} from jobs where job_id = $1 for update`, [jobId])).rows.map(read)[0] ?? null
}

export async function insertJob(client: PoolClient, firmId: string, job: Job): Promise<string> {
  const { rows } = await client.query<{ jobId: string }>('insert into jobs (firm_id, document) values ($1, $2) returning job_id as "jobId"', [firmId, job])
  return rows[0]!.jobId
}

export async function saveJob(client: PoolClient, jobId: string, job: Job, version: number): Promise<void> {
  await client.query('update jobs set document = $2, version = $3, updated_at = now() where job_id = $1', [jobId, job, version])
}

/** The history after a version, oldest first. */
export async function entriesSince(client: PoolClient, jobId: string, version: number): Promise<StoredEntry[]> {
  const { rows } = await client.query<StoredEntry>(
    `select e.edit_id as id, e.version, e.kind, e.edit, e.inverse, e.person_id as "personId", p.name as "personName", e.made_at as "madeAt"
     from job_edits e join people p using (firm_id, person_id)
     where e.job_id = $1 and e.version > $2 order by e.version`, [jobId, version])
  return rows
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
}

export async function appendEntry(client: PoolClient, entry: NewEntry): Promise<void> {
  await client.query(
    `insert into job_edits (firm_id, job_id, version, edit_id, person_id, kind, edit, inverse) values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [entry.firmId, entry.jobId, entry.version, entry.id, entry.personId, entry.kind, entry.edit, entry.inverse])
}
