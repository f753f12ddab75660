import { z } from 'zod'
import { countJobs, listJobs, listOrders, MOST_COUNTED } from '../../db/job-list'
import { renewSummaries, stateOf } from '../../summaries/renew'

const MOST = 50
/** More words than these narrow nothing down. */
const MOST_WORDS = 8
const querySchema = z.object({
  order: z.enum(listOrders).default('changed'),
  archived: z.enum(['true', 'false']).default('false'),
  search: z.string().max(200, 'At most 200 letters are looked for.').refine(isStorable, 'There is a sign in it that can’t be looked for.').default(''),
  /** Where the page before ended, as it was answered. */
  after: z.string().max(400).optional(),
})
const afterSchema = z.tuple([z.string(), z.uuid()])

function placeOf(after: string | undefined): { value: string, jobId: string } | null {
  if (after === undefined) return null
  try {
    const [value, jobId] = afterSchema.parse(JSON.parse(Buffer.from(after, 'base64url').toString('utf8')))
    if (isStorable(value)) return { value, jobId }
  }
  catch {
    // Said below.
  }
  return refuse(400, [{ path: 'after', sentence: 'This is no place in the list. Load it from the start.' }])
}

/**
 * A page of the firm's jobs with the figures that tell them apart, as they were worked out last. It plans nothing: rows whose job, shelf
 * or planner is another since are said to be older, and are worked out anew in the background.
 */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { order, archived, search, after } = readQuery(event, querySchema)
  const place = placeOf(after)
  const { firmId, found, counts, shelf } = await inFirm(event, 'read-shelf', async ({ client, firmId, shelf }) => ({
    firmId, shelf,
    // One more than is shown says whether there are more.
    found: await listJobs(client, { order, archived: archived === 'true', words: search.split(/\s+/).filter(Boolean).slice(0, MOST_WORDS), after: place, most: MOST + 1 }),
    counts: await countJobs(client),
  }))
  const listed = found.slice(0, MOST)
  const jobs = listed.map(({ summaryOf, position: _, summary, ...job }) => ({
    ...job,
    summary: summary && 'problem' in summary ? null : summary,
    problem: summary && 'problem' in summary ? summary.problem : null,
    older: summaryOf !== stateOf(job.version, shelf),
  }))
  void renewSummaries(firmId, jobs.filter(job => job.older && !job.archived).map(job => job.jobId))
  const last = found.length > MOST ? listed.at(-1)! : null
  return { jobs, ...counts, mostCounted: MOST_COUNTED, next: last && Buffer.from(JSON.stringify([last.position, last.jobId])).toString('base64url') }
})
