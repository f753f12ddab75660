import { z } from 'zod'
import { archiveJob } from '../../../db/jobs'
import { tellNews } from '../../../news/tell'

const bodySchema = z.object({ archived: z.boolean('Say whether the job is archived.') })

/** Puts a job away, or brings it back. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { archived } = await readChecked(event, bodySchema)
  return await inJob(event, 'jobs', async ({ client, firmId, jobId }) => {
    if (!await archiveJob(client, jobId, archived)) noSuchJob()
    await tellNews(client, firmId, { jobId, list: true })
    return { archived }
  })
})
