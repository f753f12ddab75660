import type { PoolClient } from 'pg'
import type { Job } from '#core/job'
import type { JobSummary } from '#core/plan'

/** Why a job could not be worked out for the list. */
export interface SummaryProblem { kind: 'broken' | 'too-long', sentence: string }
/** What was worked out of a job last: what it comes to, or why that can't be said. */
export type KeptSummary = JobSummary | { problem: SummaryProblem }

/** A job as the list knows it: what was worked out of it last, and of which state of the job, the shelf and the planner. */
export interface ListedJob { jobId: string, title: string, place: string, units: Job['units'], version: number, createdAt: string, updatedAt: string, archived: boolean, summary: KeptSummary | null, summaryOf: string | null, /** Its place in the order that was asked for. */ position: string }

/** How a list is sorted: by which column, its type, and which way. */
const orders = {
  changed: { column: 'updated_at', type: 'timestamptz', way: 'desc' },
  opened: { column: 'created_at', type: 'timestamptz', way: 'desc' },
  name: { column: 'title', type: 'text', way: 'asc' },
  settle: { column: 'stops', type: 'int', way: 'desc' },
  due: { column: 'due', type: 'text', way: 'asc' },
} as const
export type ListOrder = keyof typeof orders
export const listOrders = Object.keys(orders) as [ListOrder, ...ListOrder[]]

export interface ListAsked { order: ListOrder, archived: boolean, words: string[], after: { value: string, jobId: string } | null, most: number }

const likeOf = (word: string): string => `%${word.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`

/** A page of the firm's jobs without their documents: those whose name or place has every word, in order, from behind a place in it. */
export async function listJobs(client: PoolClient, { order, archived, words, after, most }: ListAsked): Promise<ListedJob[]> {
  const { column, type, way } = orders[order]
  const beyond = way === 'desc' ? '<' : '>'
  return (await client.query<ListedJob>(
    `select job_id as "jobId", title, place, units, version, created_at as "createdAt", updated_at as "updatedAt", archived, summary, summary_of as "summaryOf", ${column}::text as position
     from jobs where firm_id = current_firm() and deleted_at is null and archived = $1
       ${after ? `and (${column}, job_id) ${beyond} ($3::${type}, $4)` : ''} ${words.map((_, i) => `and sought like $${i + (after ? 5 : 3)}`).join(' ')}
     order by ${column} ${way}, job_id ${way} limit $2`,
    [archived, most, ...after ? [after.value, after.jobId] : [], ...words.map(likeOf)])).rows
}

/** More jobs than these are not counted for a page of them. */
export const MOST_COUNTED = 10_000
const counted = (archived: boolean) => `(select count(*)::int from (select from jobs where firm_id = current_firm() and deleted_at is null and archived = ${archived} limit ${MOST_COUNTED}) as here)`

/** How many jobs the firm has at work, and put away; `MOST_COUNTED` stands for as many and more. */
export async function countJobs(client: PoolClient): Promise<{ atWork: number, archived: number }> {
  return (await client.query<{ atWork: number, archived: number }>(`select ${counted(false)} as "atWork", ${counted(true)} as archived`)).rows[0]!
}

/** Open jobs that name a part, or named it before something was undone, in the order of their ids, from behind one of them. */
export async function jobsNaming(client: PoolClient, shelf: string, itemId: string, after: string | null, most: number): Promise<string[]> {
  const { rows } = await client.query<{ jobId: string }>(
    `select p.job_id as "jobId" from job_parts p join jobs j using (firm_id, job_id)
     where p.firm_id = current_firm() and p.shelf = $1 and p.item_id = $2 and j.deleted_at is null and not j.archived and ($3::uuid is null or p.job_id > $3) order by p.job_id limit $4`,
    [shelf, itemId, after, most])
  return rows.map(one => one.jobId)
}

/** The state of the shelf: what was worked out with another no longer holds. */
export async function catalogueVersion(client: PoolClient): Promise<number> {
  return (await client.query<{ n: number }>('select catalogue_version as n from firms where firm_id = current_firm()')).rows[0]?.n ?? 0
}

/** Says that the shelf is another from now on. */
export async function changedCatalogue(client: PoolClient): Promise<void> {
  await client.query('update firms set catalogue_version = catalogue_version + 1 where firm_id = current_firm()')
}

/** Keeps what the list shows of a job. One that has changed meanwhile is left to be worked out again. */
export async function saveSummary(client: PoolClient, jobId: string, version: number, summary: KeptSummary, summaryOf: string): Promise<boolean> {
  return (await client.query('update jobs set summary = $3, summary_of = $4 where job_id = $1 and version = $2', [jobId, version, summary, summaryOf])).rowCount === 1
}
