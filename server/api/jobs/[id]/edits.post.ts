import { z } from 'zod'
import { editSchema, inverseOf, MOST_ENTRIES, readEdit } from '#core/job'
import { sentencesOf } from '#core/outcome'
import { loadCatalogue } from '../../../db/catalogue'
import { appendEntry, entriesSince, knownIds, lockJob, saveJob } from '../../../db/jobs'

const bodySchema = z.object({
  /** The version the edits were made on; null puts them on top of whatever the job is by now. */
  baseVersion: z.number().int().min(0).nullable(),
  entries: z.array(z.object({ id: z.uuid(), kind: z.enum(['edit', 'undo', 'redo']), edit: editSchema })).min(1).max(MOST_ENTRIES),
})

/**
 * Makes edits on a job, in order. Ids already in the history are passed over, so a repeat is harmless; one that can't be made is
 * answered by its id with the reason, and the others are made without it. When somebody else has changed the job since, nothing is
 * made and 409 answers with what they changed.
 */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const jobId = jobIdOf(event)
  const { baseVersion, entries } = await readChecked(event, bodySchema)
  return await inFirm(event, at => makeEdits(at, jobId, baseVersion, entries))
})

async function makeEdits({ client, firmId, personId }: AtFirm, jobId: string, baseVersion: number | null, entries: z.infer<typeof bodySchema>['entries']) {
  const stored = await lockJob(client, jobId) ?? noSuchJob()
  const known = await knownIds(client, jobId, entries.map(entry => entry.id))
  const fresh = entries.filter(entry => !known.has(entry.id))
  if (fresh.length && baseVersion !== null && stored.version !== baseVersion) {
    const since = await entriesSince(client, jobId, baseVersion)
    throw createError({
      statusCode: 409,
      statusMessage: 'Changed meanwhile',
      message: 'Somebody else has changed this job since. Nothing is lost: look at both changes.',
      data: { version: stored.version, job: stored.job, entries: since },
    })
  }
  const catalogue = fresh.length ? await loadCatalogue(client) : null
  const refused: { id: string, sentence: string }[] = []
  let { job, version } = stored
  for (const { id, kind, edit } of fresh) {
    const read = readEdit(edit, job, catalogue!)
    if (!read.ok) {
      refused.push({ id, sentence: sentencesOf(read.problems) })
      continue
    }
    await appendEntry(client, { firmId, jobId, version: ++version, id, personId, kind, edit, inverse: inverseOf(job, edit) })
    job = read.value.job
  }
  if (version > stored.version) await saveJob(client, jobId, job, version)
  return { version, refused }
}
