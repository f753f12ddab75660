import { sheetChanges, markoutSheet } from '#core/sheets/markout'
import { loadoutOf } from '#core/sheets/loadout'
import { asFirm } from '../../../db/pool'
import { findSheet, listSheets } from '../../../db/sheets'

/** The job with its plan as the server works it out, for sheets: load-out, issued revisions and what changed since the last. */
export default defineEventHandler(async (event) => {
  const { firmId } = await requireSignedIn(event)
  const { jobId, job, plan, catalogue, version, updatedAt } = await plannedJob(event)
  const { issued, changes } = await asFirm(firmId, async (client) => {
    const sheets = await listSheets(client, jobId)
    const last = sheets[0] ? await findSheet(client, jobId, sheets[0].revision) : null
    return { issued: sheets, changes: last ? sheetChanges(last.sheet.faces, markoutSheet(job, plan).faces) : [] }
  })
  return { job, plan, version, updatedAt, loadout: loadoutOf(job, plan.faces, catalogue), issued, changes }
})
