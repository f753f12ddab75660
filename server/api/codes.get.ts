import { z } from 'zod'
import { jobSchema } from '#core/job'
import { lastCodes } from '../db/jobs'

/** The editions that the firm's last job of these units goes by, to be offered for the next; null where none says so. */
export default defineEventHandler(async (event) => {
  const units = z.object({ units: jobSchema.shape.units }).safeParse(getQuery(event))
  if (!units.success) refuse(400, [{ path: 'units', sentence: 'Say for which units: imperial or metric.' }])
  return { codes: await inFirm(event, ({ client }) => lastCodes(client, units.data.units)) }
})
