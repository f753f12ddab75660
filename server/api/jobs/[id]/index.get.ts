import { entriesSince } from '../../../db/jobs'

/** A job to work on: document, version, catalogue, and the caller's own history for undo. */
export default defineEventHandler(async (event) => {
  const { jobId, job, version, catalogue, history } = await openedJob(event, async ({ client, personId }, id) => {
    const entries = await entriesSince(client, id, 0)
    return { history: entries.filter(entry => entry.personId === personId).map(({ id: entryId, kind, inverse }) => ({ id: entryId, kind, inverse })) }
  })
  return { jobId, job, version, catalogue, history }
})
