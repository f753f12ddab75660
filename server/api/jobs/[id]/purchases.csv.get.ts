import { loadoutOf, purchasesCsv } from '#core/sheets/loadout'

/** What is bought of whom, as a table. */
export default defineEventHandler(async (event) => {
  const { job, plan, catalogue } = await plannedJob(event)
  return sendFile(event, job.title, 'purchases.csv', 'text/csv; charset=utf-8', purchasesCsv(loadoutOf(job, plan.faces, catalogue), job.units))
})
