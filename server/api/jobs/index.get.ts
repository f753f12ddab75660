import { planJob } from '#core/plan'
import { loadCatalogue } from '../../db/catalogue'
import { listJobs } from '../../db/jobs'
import { asFirm } from '../../db/pool'

/** The firm's jobs with the figures that tell them apart. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  return await asFirm(firmId, async (client) => {
    const catalogue = await loadCatalogue(client)
    return (await listJobs(client)).map(({ jobId, job, version, updatedAt }) => ({
      jobId, version, updatedAt, title: job.title, place: job.place, units: job.units,
      outlines: job.faces.map(face => face.outline), totals: planJob(job, catalogue).totals,
    }))
  })
})
