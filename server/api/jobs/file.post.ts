import { randomUUID } from 'node:crypto'
import { readJob } from '#core/job'
import { loadCatalogue } from '../../db/catalogue'
import { insertJob } from '../../db/jobs'

/** A job file may be so large, bytes. */
const MOST_BYTES = 4_000_000

/** Opens a job from a job file; the file is checked as the command line checks it. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const data = await readJson(event, MOST_BYTES, 'A job file is at most 4 MB.', 'This file is not a job file: it is not JSON at all.')
  return await inFirm(event, 'jobs', async ({ client, firmId }) => {
    const read = readJob(data, await loadCatalogue(client))
    if (!read.ok) refuse(422, read.problems)
    setResponseStatus(event, 201)
    return { jobId: await insertJob(client, firmId, randomUUID(), read.value) }
  })
})
