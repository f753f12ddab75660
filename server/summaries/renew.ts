import type { H3Event } from 'h3'
import { bigness } from '#core/job'
import { loadCatalogue } from '../db/catalogue'
import { catalogueVersion, type KeptSummary, saveSummary } from '../db/job-list'
import { findJob } from '../db/jobs'
import { asFirm } from '../db/pool'
import { tellNews } from '../news/tell'
import { TooBusy, TooLong, work } from '../threads/pool'

/** The state that a summary is of: the job's version, the shelf's and the planner's. */
export const stateOf = (version: number, shelf: number): string => `${version}@${shelf}@${useRuntimeConfig().plannerVersion}`

/** Jobs that this copy of the server has in hand; another may do the same, which does no harm. */
const inHand = new Set<string>()

/** Works out anew what the list shows of jobs, in threads, one after the other; nobody waits for it, and pages hear of it. */
export async function renewSummaries(firmId: string, jobIds: string[]): Promise<void> {
  for (const jobId of jobIds) {
    const key = `${firmId} ${jobId}`
    if (inHand.has(key)) continue
    inHand.add(key)
    try {
      await renewOne(firmId, jobId)
    }
    catch (error) {
      // It stays as it is, and the next list tries again.
      console.error(`What job ${jobId} comes to was not worked out:`, (error as Error).message)
    }
    finally {
      inHand.delete(key)
    }
  }
}

async function renewOne(firmId: string, jobId: string): Promise<void> {
  const read = await asFirm(firmId, async client => ({ stored: await findJob(client, jobId), catalogue: await loadCatalogue(client), shelf: await catalogueVersion(client) }))
  if (!read.stored) return
  const { job, version } = read.stored
  const summary = await work(firmId, 'summary', { job, catalogue: read.catalogue }, 'background').catch((error: unknown): KeptSummary => {
    // That says nothing of the job.
    if (error instanceof TooBusy) throw error
    return error instanceof TooLong
      ? { problem: { kind: 'too-long', sentence: `Takes too long to work out: ${bigness(job)}.` } }
      : { problem: { kind: 'broken', sentence: 'It can’t be worked out: a part it names may be gone from the shelf.' } }
  })
  await asFirm(firmId, async (client) => {
    if (await saveSummary(client, jobId, version, summary, stateOf(version, read.shelf))) await tellNews(client, firmId, { jobId, list: true })
  })
}

/** So soon after an edit: while somebody types nothing is worked out for the list. */
const AFTER_MS = 2500
const soon = new Map<string, NodeJS.Timeout>()

/** Works the job of the address out for the list once nobody has changed it for a moment. */
export async function renewSummary(event: H3Event): Promise<void> {
  const { firmId } = await requireCookie(event)
  const jobId = jobIdOf(event)
  const key = `${firmId} ${jobId}`
  clearTimeout(soon.get(key))
  soon.set(key, setTimeout(() => {
    soon.delete(key)
    void renewSummaries(firmId, [jobId])
  }, AFTER_MS).unref())
}
