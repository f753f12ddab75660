import { z } from 'zod'
import { markoutSheet, planJob } from '#core/plan'
import { loadCatalogue } from '../../../db/catalogue'
import { lockJob } from '../../../db/jobs'
import { asFirm } from '../../../db/pool'
import { insertSheet } from '../../../db/sheets'

const bodySchema = z.object({
  /** The version that the person who issues it has seen. */
  version: z.number().int().min(0),
  note: z.string().trim().max(200, 'A note has at most 200 letters.'),
})

/** Issues the mark-out as the plan stands: its next revision, kept as it is from then on. */
export default defineEventHandler(async (event) => {
  const { firmId, personId } = await requireSignedIn(event)
  const jobId = jobIdOf(event)
  const { version, note } = await readChecked(event, bodySchema)
  return await asFirm(firmId, async (client) => {
    const stored = await lockJob(client, jobId) ?? noSuchJob()
    if (stored.version !== version) refuse(409, [{ path: 'version', sentence: 'The job has changed since this sheet was shown. Look at it as it stands now, then issue it.' }])
    const sheet = markoutSheet(stored.job, planJob(stored.job, await loadCatalogue(client)))
    if (!sheet.faces.length) refuse(409, [{ path: 'faces', sentence: 'There is nothing to issue yet: no face carries modules.' }])
    const revision = await insertSheet(client, { firmId, jobId, personId, jobVersion: version, note, sheet })
    setResponseStatus(event, 201)
    return { revision }
  })
})
