import { z } from 'zod'
import { archiveJob } from '../../../db/jobs'

const bodySchema = z.object({ archived: z.boolean('Say whether the job is archived.') })

/** Puts a job away, or brings it back. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { archived } = await readChecked(event, bodySchema)
  return await inJob(event, 'jobs', async ({ client, jobId }) => await archiveJob(client, jobId, archived) ? { archived } : noSuchJob())
})
