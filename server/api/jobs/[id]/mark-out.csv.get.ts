import { marksCsv } from '#core/sheets/markout'

/** The marks of every face as a table. */
export default defineEventHandler(async (event) => {
  const { job, plan } = await plannedJob(event)
  return sendFile(event, job.title, 'mark-out.csv', 'text/csv; charset=utf-8', marksCsv(job.faces.map(({ name }, i) => ({ name, marks: plan.faces[i]!.marks })), job.units))
})
