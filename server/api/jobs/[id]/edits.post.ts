import { z } from 'zod'
import { editSchema, inverseOf, readEdit } from '#core/job'
import { loadCatalogue } from '../../../db/catalogue'
import { appendEntry, entriesSince, knownIds, lockJob, saveJob } from '../../../db/jobs'
import { asFirm } from '../../../db/pool'

const bodySchema = z.object({
  /** The version the edits were made on. */
  baseVersion: z.number().int().min(0),
  entries: z.array(z.object({ id: z.uuid(), kind: z.enum(['edit', 'undo', 'redo']), edit: editSchema })).min(1).max(200),
})

/**
 * Makes edits on a job, all or none. Ids already in the history are passed over, so a repeat is harmless. When
 * somebody else has changed the job since, nothing is made and 409 answers with what they changed.
 */
export default defineEventHandler(async (event) => {
  const { firmId, personId } = await requireSignedIn(event)
  const jobId = jobIdOf(event)
  const { baseVersion, entries } = await readChecked(event, bodySchema)
  return await asFirm(firmId, async (client) => {
    const stored = await lockJob(client, jobId) ?? noSuchJob()
    const known = await knownIds(client, jobId, entries.map(entry => entry.id))
    const fresh = entries.filter(entry => !known.has(entry.id))
    if (fresh.length && stored.version !== baseVersion) {
      const since = await entriesSince(client, jobId, baseVersion)
      throw createError({ statusCode: 409, statusMessage: 'Changed meanwhile', message: 'Somebody else has changed this job since. Nothing is lost: look at both changes.', data: { version: stored.version, job: stored.job, entries: since } })
    }
    const catalogue = fresh.length ? await loadCatalogue(client) : null
    let { job, version } = stored
    for (const { id, kind, edit } of fresh) {
      const read = readEdit(edit, job, catalogue!)
      if (!read.ok) refuse(422, read.problems)
      await appendEntry(client, { firmId, jobId, version: ++version, id, personId, kind, edit, inverse: inverseOf(job, edit) })
      job = read.value.job
    }
    if (fresh.length) await saveJob(client, jobId, job, version)
    return { version }
  })
})
