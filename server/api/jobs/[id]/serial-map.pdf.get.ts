import { z } from 'zod'
import { papers } from '../../../documents/paper'

const querySchema = z.object({ paper: z.enum(papers).optional(), blank: z.enum(['true', 'false']).default('false') })

/** The map of serial numbers for print: as read, or with room for labels that are stuck on and read later. */
export default defineEventHandler(async (event) => {
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'query', sentence: 'The paper is A4 or LETTER.' }])
  const opened = await openedJob(event)
  const { paper = opened.job.units === 'imperial' ? 'LETTER' : 'A4', blank } = query.data
  const printed = `As of change ${opened.version}, ${new Date(opened.updatedAt).toISOString().slice(0, 10)}`
  return sendFile(event, opened.job.title, 'serial-map.pdf', 'application/pdf', await workOn(opened, 'serialMapPdf', { blank: blank === 'true', printed, paper }))
})
