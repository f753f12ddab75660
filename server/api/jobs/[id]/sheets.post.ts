import { z } from 'zod'
import { markoutSheet, stopsOf } from '#core/sheets/markout'
import { planJob } from '#core/plan'
import { loadCatalogue } from '../../../db/catalogue'
import { lockJob } from '../../../db/jobs'
import { insertSheet } from '../../../db/sheets'

const bodySchema = z.object({
  /** The version that the person who issues it has seen. */
  version: z.number().int().min(0),
  note: z.string().trim().max(200, 'A note has at most 200 letters.'),
  /** Why it is issued although something stops the work. */
  reason: z.string().trim().max(300, 'A reason has at most 300 letters.').default(''),
})

/** Issues the mark-out as the plan stands: its next revision, kept as it is from then on. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const jobId = jobIdOf(event)
  const { version, note, reason } = await readChecked(event, bodySchema)
  return await inFirm(event, async ({ client, firmId, personId }) => {
    const stored = await lockJob(client, jobId) ?? noSuchJob()
    if (stored.version !== version) refuse(409, [{ path: 'version', sentence: 'The job has changed since this sheet was shown. Look at it as it stands now, then issue it.' }])
    const plan = planJob(stored.job, await loadCatalogue(client))
    const stops = stopsOf(plan)
    if (stops.length && !reason) refuse(409, [{
      path: 'reason',
      sentence: `${stops.length === 1 ? 'A stop is' : `${stops.length} stops are`} open. Put ${stops.length === 1 ? 'it' : 'them'} right, or say why the sheet is issued all the same.`,
    }])
    const sheet = markoutSheet(stored.job, plan, reason)
    if (!sheet.faces.length) refuse(409, [{ path: 'faces', sentence: 'There is nothing to issue yet: no face carries modules.' }])
    const revision = await insertSheet(client, { firmId, jobId, personId, jobVersion: version, note, sheet })
    setResponseStatus(event, 201)
    return { revision }
  })
})
