import { z } from 'zod'
import { packsFor } from '#core/sheets/handover'
import { thumbnailsOf } from '../../../db/photographs'
import { papers } from '../../../documents/paper'
import { vouchedLines } from '../../../edits/vouched'

const querySchema = z.object({ paper: z.enum(papers).optional(), for: z.enum(packsFor).default('householder') })

/** The hand-over pack, all of it from the record; a link to one pack shows that pack only. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const query = querySchema.safeParse(getQuery(event))
  if (!query.success) refuse(400, [{ path: 'query', sentence: 'The paper is A4 or LETTER, and a pack is for the householder or the inspector.' }])
  const kind = query.data.for
  const opened = await openedJob(event, async ({ client, jobId, firmName, revision, pack }, stored) => {
    if (revision !== null || (pack !== null && pack !== kind)) refuse(403, [{ path: 'right', sentence: 'This link shows something else and nothing beside it.' }])
    const ids = stored.job.proof.flatMap(entry => entry.kind === 'photograph' ? [entry.photoId] : [])
    return { firmName, vouched: await vouchedLines(client, stored), pictures: await thumbnailsOf(client, jobId, ids) }
  }, 'read-sheet')
  const { job, firmName: firm, vouched, pictures } = opened
  const { paper = job.units === 'imperial' ? 'LETTER' : 'A4' } = query.data
  const printed = `As of change ${opened.version}, ${new Date(opened.updatedAt).toISOString().slice(0, 10)}`
  return sendFile(event, job.title, kind === 'householder' ? 'hand-over.pdf' : 'inspector.pdf', 'application/pdf', await workOn(opened, 'handOverPdf', { kind, firm, printed, paper, vouched, pictures }))
})
