import { loadoutOf } from '#core/sheets/loadout'
import { loadoutXlsx } from '../../../documents/loadout'

/** The load-out as a workbook. */
export default defineEventHandler(async (event) => {
  const { job, plan, catalogue } = await plannedJob(event)
  return sendFile(event, job.title, 'load-out.xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', await loadoutXlsx(job, loadoutOf(job, plan.faces, catalogue)))
})
