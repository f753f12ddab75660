import { z } from 'zod'
import { stacksOf } from '#core/job'
import { loadCatalogue } from '../../../db/catalogue'
import { findJob, lastEntries } from '../../../db/jobs'

/** So much of the history is looked at for what can be undone, and so much can be. */
const MOST_HISTORY = 400
const MOST_UNDO = 100

const querySchema = z.object({ /** The state of the shelf that the caller has already. */ shelf: z.coerce.number().int().min(0).max(MOST_COUNT).optional() })

/** A job to work on: document, version, the shelf where the caller has another or none, what the caller can take back, and which of the entries last made are there. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const known = readQuery(event, querySchema).shelf
  return await inJob(event, 'read', async ({ client, jobId, personId, shelf }) => {
    const { job, version } = await findJob(client, jobId) ?? noSuchJob()
    const entries = await lastEntries(client, jobId, MOST_HISTORY)
    return {
      jobId, job, version, shelf,
      catalogue: known === shelf ? null : await loadCatalogue(client),
      stacks: stacksOf(entries.map(entry => ({ ...entry, own: entry.personId === personId })), MOST_UNDO),
      made: entries.filter(entry => entry.personId === personId).map(entry => entry.id),
    }
  })
})
