import { planJob } from '#core/plan'
import { loadCatalogue } from '../../db/catalogue'
import { listJobs } from '../../db/jobs'

/** The firm's jobs with the figures that tell them apart. */
export default defineEventHandler(async (event) => {
  return await inFirm(event, async ({ client }) => {
    const catalogue = await loadCatalogue(client)
    return (await listJobs(client)).map(({ jobId, job, version, updatedAt }) => {
      const plan = planJob(job, catalogue)
      return {
        jobId, version, updatedAt, title: job.title, place: job.place, units: job.units, totals: plan.totals,
        faces: job.faces.map((_, f) => ({
          along: plan.faces[f]!.shape.along, up: plan.faces[f]!.shape.up, region: plan.faces[f]!.shape.region,
          rows: plan.faces[f]!.rows.rows.map(({ leftMm, rightMm, bottomMm, topMm }) => ({ leftMm, rightMm, bottomMm, topMm })),
        })),
      }
    })
  })
})
