import { z } from 'zod'
import { lockJob } from '../../../db/jobs'
import { insertSheet, revisionOf } from '../../../db/sheets'
import { vouchedLines } from '../../../edits/vouched'
import { tellNews } from '../../../news/tell'

const bodySchema = z.object({
  /** Made by whoever issues it, so that asking twice issues one. */
  id: z.uuid('A sheet has an id of its own.'),
  /** The version that the person who issues it has seen. */
  version: z.number().int().min(0).max(MOST_COUNT),
  note: z.string().trim().max(200, 'A note has at most 200 letters.'),
  /** Why it is issued although something stops the work. */
  reason: z.string().trim().max(300, 'A reason has at most 300 letters.').default(''),
})
const changed = (): never => refuse(409, [{ path: 'version', sentence: 'The job has changed since this sheet was shown. Look at it as it stands now, then issue it.' }])

/** Issues the mark-out as the plan stands: its next revision, kept as it is from then on. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, version, note, reason } = await readChecked(event, bodySchema)
  const opened = await openedJob(event, async ({ client, jobId }, stored) => ({ issued: await revisionOf(client, jobId, id), vouched: await vouchedLines(client, stored) }), 'issue')
  setResponseStatus(event, 201)
  if (opened.issued !== null) return { revision: opened.issued }
  if (opened.version !== version) changed()
  // Worked out while nothing is held; whether the job is still the same is looked at when it is written.
  const { stops, sheet } = await workOn(opened, 'markout', { reason, vouched: opened.vouched })
  if (stops.length && !reason) refuse(409, [{
    path: 'reason',
    sentence: `${stops.length === 1 ? 'A stop is' : `${stops.length} stops are`} open. Put ${stops.length === 1 ? 'it' : 'them'} right, or say why the sheet is issued all the same.`,
  }])
  if (!sheet.faces.length) refuse(409, [{ path: 'faces', sentence: 'There is nothing to issue yet: no face carries modules.' }])
  const planner = useRuntimeConfig().plannerVersion
  return await inJob(event, 'issue', async ({ client, firmId, personId, jobId }) => {
    const stored = await lockJob(client, jobId) ?? noSuchJob()
    const known = await revisionOf(client, jobId, id)
    if (known !== null) return { revision: known }
    if (stored.version !== version) changed()
    const revision = await insertSheet(client, { firmId, jobId, personId, sheetId: id, jobVersion: version, planner, note, sheet })
    await tellNews(client, firmId, { jobId, sheet: revision })
    return { revision }
  })
})
