import { vouchedLines } from '../../../edits/vouched'

/** Every check of a job, with clause, formula, values and result. */
export default defineEventHandler(async (event) => {
  const opened = await openedJob(event, async ({ client }, stored) => ({ vouched: await vouchedLines(client, stored) }))
  const printed = `As of change ${opened.version}, ${new Date(opened.updatedAt).toISOString().slice(0, 10)}`
  return sendFile(event, opened.job.title, 'calculations.pdf', 'application/pdf', await workOn(opened, 'calculationPdf', { printed, vouched: opened.vouched }))
})
