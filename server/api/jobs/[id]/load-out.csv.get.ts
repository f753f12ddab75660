import { loadoutCsv, loadoutOf } from '#core/sheets/loadout'

/** What goes on the van as a table. */
export default defineEventHandler(async (event) => {
  const { job, plan, catalogue } = await plannedJob(event)
  return sendFile(event, job.title, 'load-out.csv', 'text/csv; charset=utf-8', loadoutCsv(loadoutOf(job, plan.faces, catalogue), job.units))
})
