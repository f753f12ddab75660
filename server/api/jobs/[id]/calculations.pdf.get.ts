import { calculationSheet } from '#core/sheets/calculation'
import { calculationPdf } from '../../../documents/calculation'
import { documentFonts } from '../../../documents/fonts'

/** Every check of a job, with clause, formula, values and result. */
export default defineEventHandler(async (event) => {
  const { job, plan, version, updatedAt } = await plannedJob(event)
  const printed = `As of change ${version}, ${new Date(updatedAt).toISOString().slice(0, 10)}`
  const pdf = await calculationPdf(calculationSheet(job, plan), job.units, await documentFonts(), printed)
  return sendFile(event, job.title, 'calculations.pdf', 'application/pdf', pdf)
})
