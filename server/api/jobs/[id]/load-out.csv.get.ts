import { partsCsv } from '#core/parts'

/** The parts of all faces as a table. */
export default defineEventHandler(async (event) => {
  const { job, plan } = await plannedJob(event)
  return sendFile(event, job.title, 'load-out.csv', 'text/csv; charset=utf-8', partsCsv(plan.list, job.units))
})
