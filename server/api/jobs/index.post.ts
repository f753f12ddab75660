import { z } from 'zod'
import { readJob } from '#core/job'
import { loadCatalogue } from '../../db/catalogue'
import { insertJob } from '../../db/jobs'

const newJobSchema = z.object({ id: z.uuid('A new job has an id of its own.'), job: z.unknown() })

/** Opens a new job as somebody has begun it; asked twice with one id, one job is opened. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, job } = await readChecked(event, newJobSchema, 4_000_000)
  return await inFirm(event, 'jobs', async ({ client, firmId }) => {
    const read = readJob(job, await loadCatalogue(client))
    if (!read.ok) refuse(422, read.problems)
    setResponseStatus(event, 201)
    return { jobId: await insertJob(client, firmId, id, read.value) }
  })
})
