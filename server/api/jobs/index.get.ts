import { planJob } from '#core/plan'
import { loadCatalogue } from '../../db/catalogue'
import { listJobs } from '../../db/jobs'

/** The firm's jobs with the figures that tell them apart. */
export default defineEventHandler(async (event) => {
  const { catalogue, jobs } = await inFirm(event, async ({ client }) => ({ catalogue: await loadCatalogue(client), jobs: await listJobs(client) }))
  // A firm's season takes longer to plan than a transaction should stay open.
  return jobs.map(({ jobId, job, version, updatedAt }) => {
    const plan = planJob(job, catalogue)
    return {
      jobId, version, updatedAt, title: job.title, place: job.place, units: job.units, totals: plan.totals,
      faces: plan.faces.map(({ shape, rows }) => ({
        along: shape.along, up: shape.up, region: shape.region,
        rows: rows.rows.map(({ leftMm, rightMm, bottomMm, topMm }) => ({ leftMm, rightMm, bottomMm, topMm })),
      })),
    }
  })
})
