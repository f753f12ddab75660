import { z } from 'zod'
import { papers } from '../../../documents/paper'
import { vouchedLines } from '../../../edits/vouched'

const querySchema = z.object({ paper: z.enum(papers).optional() })

/** The permit pack: site plan, faces, structure, one-line, walls, schedule, connection, labels. */
export default defineEventHandler(async (event) => {
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'query', sentence: 'The paper is A4 or LETTER.' }])
  const opened = await openedJob(event, async ({ client }, stored) => ({ vouched: await vouchedLines(client, stored) }))
  const printed = `As of change ${opened.version}, ${new Date(opened.updatedAt).toISOString().slice(0, 10)}`
  const { paper = opened.job.units === 'imperial' ? 'LETTER' : 'A4' } = query.data
  const pdf = await workOn(opened, 'permitPdf', { printed, paper, vouched: opened.vouched }) ?? refuse(404, [{ path: 'ground', sentence: 'Nothing stands between the roof and the grid yet: begin on the rung “Wall & grid”.' }])
  return sendFile(event, opened.job.title, 'permit-pack.pdf', 'application/pdf', pdf)
})
