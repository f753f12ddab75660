import { z } from 'zod'
import { sheetChanges, markoutSheet } from '#core/sheets/markout'
import { findSheet } from '../../../db/sheets'
import { documentFonts } from '../../../documents/fonts'
import { markoutPdf } from '../../../documents/markout'
import { papers } from '../../../documents/pdf'

const querySchema = z.object({
  paper: z.enum(papers).optional(),
  revision: z.coerce.number().int().min(1).optional(),
})

/** The mark-out for print: a revision as it was issued, or the plan as it stands. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'query', sentence: 'The paper is A4 or LETTER, and a revision is a whole number from 1.' }])
  const { revision } = query.data
  const { job, plan, issued } = await plannedJob(event, async ({ client }, jobId) => ({
    issued: revision === undefined ? null : await findSheet(client, jobId, revision) ?? refuse(404, [{ path: 'revision', sentence: 'This revision was never issued.' }]),
  }))
  const { paper = job.units === 'imperial' ? 'LETTER' : 'A4' } = query.data
  const now = markoutSheet(job, plan)
  const changed = issued ? sheetChanges(issued.sheet.faces, now.faces).reduce((sum, face) => sum + face.changes.length, 0) : 0
  const pdf = await markoutPdf(issued?.sheet ?? now, {
    revision: issued?.revision ?? null, issuedBy: issued?.issuedBy ?? '', issuedAt: issued ? new Date(issued.issuedAt).toISOString() : '', note: issued?.note ?? '', changedSince: changed,
  }, paper, await documentFonts())
  return sendFile(event, job.title, 'mark-out.pdf', 'application/pdf', pdf)
})
