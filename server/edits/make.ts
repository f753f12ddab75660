import { collide, inverseOf, type Job, readEdit, touches, type UnsentEntry } from '#core/job'
import { editRefusal, isFieldChange, typesFigure } from '#core/people'
import { sentencesOf } from '#core/outcome'
import { loadCatalogue } from '../db/catalogue'
import { appendEntry, entriesSince, knownIds, lockJob, saveJob, type StoredEntry } from '../db/jobs'
import { tellNews } from '../news/tell'

/** So many entries are sent along to whoever lacks them; whoever lacks more gets the job as it is. */
export const MOST_SINCE = 300

export type Refused = { id: string, sentence: string }[]

/** What the plan says of changes on the roof: by the entry's id, why it does not keep every limit, or null; of one state of the job. */
export interface FieldAnswers { version: number, why: Map<string, string | null> }

export interface Asked {
  /** The version the edits were made on; null puts them on top of whatever the job is by now. */
  baseVersion: number | null
  /** Whether they go on top though somebody else has changed the same facts since: whoever sends them has been told. */
  insist: boolean
  entries: UnsentEntry[]
}

/** What the office answers: what it did not take, and what else happened since the sender's version. */
export type Made
  = | { kind: 'made', version: number, refused: Refused, since: StoredEntry[] | null, job: Job | null }
    | { kind: 'changed', version: number, since: StoredEntry[] | null, job: Job | null }
    | { kind: 'ask-plan', version: number }

/** What a reader of `since` lacks: the entries, or, where they are many, the job. */
async function lacking(at: AtJob, since: number, job: Job, version: number): Promise<{ since: StoredEntry[] | null, job: Job | null }> {
  if (version - since > MOST_SINCE) return { since: null, job }
  return { since: version === since ? [] : await entriesSince(at.client, at.jobId, since, MOST_SINCE), job: null }
}

/**
 * Makes edits on a job, in order. Ids that are in the history already are passed over, so a repeat is harmless; one that can't be
 * made is answered by its id, and the others are made without it. What somebody else has changed since the sender's version does not
 * matter where no fact is the same; where one is, nothing is made, and the answer says who changed it.
 * @param field answers of the plan to changes on the roof; without them, where they are needed, the answer asks for them
 */
export async function makeEdits(at: AtJob, { baseVersion, insist, entries }: Asked, field: FieldAnswers | null): Promise<Made> {
  const { client, firmId, jobId, personId, role } = at
  const stored = await lockJob(client, jobId) ?? noSuchJob()
  if (baseVersion !== null && baseVersion > stored.version) refuse(409, [{ path: 'baseVersion', sentence: 'The office has not seen this version of the job. Load the page again; what you typed is kept.' }])
  const known = await knownIds(client, jobId, entries.map(entry => entry.id))
  const fresh = entries.filter(entry => !known.has(entry.id))
  const behind = baseVersion === null ? { since: [], job: null } : await lacking(at, baseVersion, stored.job, stored.version)

  if (fresh.length && baseVersion !== null && !insist && stored.version > baseVersion) {
    const own = new Set(entries.map(entry => entry.id))
    const theirs = behind.since?.filter(entry => !own.has(entry.id)).flatMap(entry => touches(entry.edit))
    if (!theirs || collide(fresh.flatMap(entry => touches(entry.edit)), theirs)) return { kind: 'changed', version: stored.version, ...behind }
  }
  if (fresh.some(({ edit }) => isFieldChange(edit, role)) && field?.version !== stored.version) return { kind: 'ask-plan', version: stored.version }

  const catalogue = fresh.length ? await loadCatalogue(client) : null
  const refused: Refused = []
  let { job, version } = stored
  for (const { id, kind, edit } of fresh) {
    const right = editRefusal(edit, job, at) ?? (isFieldChange(edit, role) ? field!.why.get(id) ?? null : null)
    const read = right === null ? readEdit(edit, job, catalogue!) : null
    if (!read?.ok) {
      refused.push({ id, sentence: right ?? sentencesOf(read!.ok ? [] : read!.problems) })
      continue
    }
    await appendEntry(client, { firmId, jobId, version: ++version, id, personId, role: role === 'owner' || role === 'lead' ? role : 'planner', licence: typesFigure(edit, job) ? at.licence : null, kind, edit, inverse: inverseOf(job, edit) })
    job = read.value.job
  }
  if (version > stored.version) {
    await saveJob(client, jobId, job, version)
    await tellNews(client, firmId, { jobId, version, personId })
  }
  return { kind: 'made', version, refused, ...behind }
}
