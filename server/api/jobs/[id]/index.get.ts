import { z } from 'zod'
import { stacksOf } from '#core/job'
import { loadCatalogue } from '../../../db/catalogue'
import { openedOf, type OpenedRow, openStatement } from '../../../db/jobs'

/** So much of the history is looked at for what can be undone, and so much can be. */
const MOST_HISTORY = 400
const MOST_UNDO = 100

const querySchema = z.object({ /** The state of the shelf that the caller has already. */ shelf: z.coerce.number().int().min(0).max(MOST_COUNT).optional() })

/** A job to work on: document, version, the shelf where the caller has another or none, what the caller can take back, and which of the entries last made are there. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const known = readQuery(event, querySchema).shelf
  const { at, rows: [[row]] } = await readOfJob<[OpenedRow[]]>(event, 'read', id => [openStatement(id, MOST_HISTORY)])
  const { job, version, entries } = openedOf(row ?? noSuchJob())
  return {
    jobId: at.jobId, job, version, shelf: at.shelf,
    catalogue: known === at.shelf ? null : await inFirm(event, 'read', ({ client }) => loadCatalogue(client)),
    stacks: stacksOf(entries.map(entry => ({ ...entry, own: entry.personId === at.personId })), MOST_UNDO),
    made: entries.filter(entry => entry.personId === at.personId).map(entry => entry.id),
  }
})
