import { z } from 'zod'
import { findSheet } from '../../../db/sheets'
import { vouchedLines } from '../../../edits/vouched'
import { papers } from '../../../documents/paper'

const querySchema = z.object({
  paper: z.enum(papers).optional(),
  revision: z.coerce.number().int().min(1).max(MOST_COUNT).optional(),
})

/** The mark-out for print: a revision as it was issued, or the plan as it stands. A link to one sheet shows that revision only. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'query', sentence: 'The paper is A4 or LETTER, and a revision is a whole number from 1.' }])
  const { revision } = query.data
  const opened = await openedJob(event, async ({ client, jobId, revision: shown, pack }, stored) => {
    if (pack !== null) refuse(403, [{ path: 'right', sentence: 'This link shows a hand-over pack and nothing beside it.' }])
    if (shown !== null && shown !== revision) refuse(403, [{ path: 'revision', sentence: 'This link shows one issued sheet and nothing beside it.' }])
    return { vouched: await vouchedLines(client, stored), issued: revision === undefined ? null : await findSheet(client, jobId, revision) ?? refuse(404, [{ path: 'revision', sentence: 'This revision was never issued.' }]) }
  }, 'read-sheet')
  const { job, issued } = opened
  const { paper = job.units === 'imperial' ? 'LETTER' : 'A4' } = query.data
  const pdf = await workOn(opened, 'markoutPdf', {
    issued: issued?.sheet ?? null, paper, vouched: opened.vouched,
    standing: { revision: issued?.revision ?? null, issuedBy: issued?.issuedBy ?? '', issuedAt: issued ? new Date(issued.issuedAt).toISOString() : '', note: issued?.note ?? '' },
  })
  return sendFile(event, job.title, 'mark-out.pdf', 'application/pdf', pdf)
})
