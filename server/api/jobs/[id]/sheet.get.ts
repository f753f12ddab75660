import { findSheet, listSheets } from '../../../db/sheets'

/** The job with its plan as the server works it out, for sheets: load-out, issued revisions and what changed since the last. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event, async ({ client, jobId }) => {
    const sheets = await listSheets(client, jobId)
    return { issued: sheets, last: sheets[0] ? await findSheet(client, jobId, sheets[0].revision) : null }
  })
  const { job, version, updatedAt, issued, last } = opened
  return { job, version, updatedAt, issued, ...await workOn(opened, 'sheetPage', { issued: last?.sheet ?? null }) }
})
