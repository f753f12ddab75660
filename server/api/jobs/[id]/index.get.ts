import { stacksOf } from '#core/job'
import { lastEntries } from '../../../db/jobs'

/** So much of the history is looked at for what can be undone, and so much can be. */
const MOST_HISTORY = 400
const MOST_UNDO = 100

/** A job to work on: document, version, catalogue, what the caller can take back, and which of the entries last made are there. */
export default defineEventHandler(async (event) => {
  const { jobId, job, version, catalogue, stacks, made } = await openedJob(event, async ({ client, personId, jobId: id }) => {
    const entries = await lastEntries(client, id, MOST_HISTORY)
    return {
      stacks: stacksOf(entries.map(entry => ({ ...entry, own: entry.personId === personId })), MOST_UNDO),
      made: entries.filter(entry => entry.personId === personId).map(entry => entry.id),
    }
  })
  return { jobId, job, version, catalogue, stacks, made }
})
