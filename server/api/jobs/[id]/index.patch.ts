import { z } from 'zod'
import { archiveJob } from '../../../db/jobs'

const bodySchema = z.object({ archived: z.boolean('Say whether the job is archived.') })

/** Puts a job away, or brings it back. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const jobId = jobIdOf(event)
  const { archived } = await readChecked(event, bodySchema)
  return await inFirm(event, async ({ client }) => await archiveJob(client, jobId, archived) ? { archived } : noSuchJob())
})
