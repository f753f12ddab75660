import { sheetChanges, markoutSheet } from '#core/sheets/markout'
import { loadoutOf } from '#core/sheets/loadout'
import { findSheet, listSheets } from '../../../db/sheets'

/** The job with its plan as the server works it out, for sheets: load-out, issued revisions and what changed since the last. */
export default defineEventHandler(async (event) => {
  const { job, plan, catalogue, version, updatedAt, issued, last } = await plannedJob(event, async ({ client }, jobId) => {
    const sheets = await listSheets(client, jobId)
    return { issued: sheets, last: sheets[0] ? await findSheet(client, jobId, sheets[0].revision) : null }
  })
  const changes = last ? sheetChanges(last.sheet.faces, markoutSheet(job, plan).faces) : []
  return { job, plan, version, updatedAt, loadout: loadoutOf(job, plan.faces, catalogue), issued, changes }
})
