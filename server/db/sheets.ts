import type { PoolClient } from 'pg'
import type { MarkoutSheet } from '#core/sheets/markout'

/** An issued mark-out without its pages. */
export interface IssuedLine { revision: number, issuedBy: string, issuedAt: string, jobVersion: number, note: string, despite: MarkoutSheet['despite'] }
export interface IssuedSheet extends IssuedLine { sheet: MarkoutSheet }

const line = 's.revision, p.name as "issuedBy", s.issued_at as "issuedAt", s.job_version as "jobVersion", s.note, s.sheet->\'despite\' as despite'
const from = 'from issued_sheets s join people p using (firm_id, person_id) where s.job_id = $1'

/** A job's issued mark-outs, the newest first. */
export async function listSheets(client: PoolClient, jobId: string): Promise<IssuedLine[]> {
  return (await client.query<IssuedLine>(`select ${line} ${from} order by s.revision desc`, [jobId])).rows
}

export async function findSheet(client: PoolClient, jobId: string, revision: number): Promise<IssuedSheet | null> {
  return (await client.query<IssuedSheet>(`select ${line}, s.sheet ${from} and s.revision = $2`, [jobId, revision])).rows[0] ?? null
}

/** The revision that was issued under an id; null where none was. */
export async function revisionOf(client: PoolClient, jobId: string, sheetId: string): Promise<number | null> {
  return (await client.query<{ revision: number }>('select revision from issued_sheets where job_id = $1 and sheet_id = $2', [jobId, sheetId])).rows[0]?.revision ?? null
}

/** Issues the next revision. The job must be locked, so that two issues at once take turns. */
export async function insertSheet(client: PoolClient, sheet: {
  firmId: string
  jobId: string
  personId: string
  sheetId: string
  jobVersion: number
  /** The planner's version that worked it out. */
  planner: string
  note: string
  sheet: MarkoutSheet
}): Promise<number> {
  const { rows } = await client.query<{ revision: number }>(
    `insert into issued_sheets (firm_id, job_id, revision, person_id, job_version, note, sheet, sheet_id, planner)
     select $1, $2, coalesce(max(revision), 0) + 1, $3, $4, $5, $6, $7, $8 from issued_sheets where job_id = $2 returning revision`,
    [sheet.firmId, sheet.jobId, sheet.personId, sheet.jobVersion, sheet.note, sheet.sheet, sheet.sheetId, sheet.planner])
  return rows[0]!.revision
}
