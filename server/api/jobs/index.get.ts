import { type JobSummary, planJob, summaryOf } from '#core/plan'
import { loadCatalogue } from '../../db/catalogue'
import { findJobs, listJobs, saveSummary } from '../../db/jobs'

/** So long a list is worked on before it is answered with what is known; the rest is asked for again. */
const MOST_MS = 1200

/**
 * The firm's jobs with the figures that tell them apart. Those are kept with the job; where a job, the shelf or the program has changed since
 * they are worked out anew, as many as the time allows: the others have none yet.
 */
export default defineEventHandler(async (event) => {
  const build = useRuntimeConfig().app.buildId
  const listed = await inFirm(event, ({ client }) => listJobs(client))
  const stateOf = (version: number) => `${version}@${build}`
  const stale = listed.filter(job => !job.archived && job.summaryOf !== stateOf(job.version))
  const fresh = new Map<string, JobSummary>()
  const failed = new Set<string>()
  if (stale.length) {
    const end = Date.now() + MOST_MS
    const { catalogue, jobs } = await inFirm(event, async ({ client }) => ({ catalogue: await loadCatalogue(client), jobs: await findJobs(client, stale.map(job => job.jobId)) }))
    const done: { jobId: string, version: number, summary: JobSummary }[] = []
    let tried = 0
    // A season takes longer to plan than a transaction should stay open.
    for (const { jobId, job, version } of jobs) {
      if (tried++ && Date.now() > end) break
      try {
        done.push({ jobId, version, summary: summaryOf(planJob(job, catalogue)) })
      }
      catch (error) {
        // One job must not keep the others from being seen.
        console.error(`Job ${jobId} can’t be planned for the list:`, error)
        failed.add(jobId)
      }
    }
    await inFirm(event, async ({ client }) => {
      for (const { jobId, version, summary } of done) await saveSummary(client, jobId, version, summary, stateOf(version))
    })
    for (const { jobId, summary } of done) fresh.set(jobId, summary)
  }
  return listed.map(({ summaryOf: known, ...job }) => ({ ...job, failed: failed.has(job.jobId), summary: fresh.get(job.jobId) ?? (job.archived || known === stateOf(job.version) ? job.summary : null) }))
})
