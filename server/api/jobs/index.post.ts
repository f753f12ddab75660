import { z } from 'zod'

const newJobSchema = z.object({ id: z.uuid('A new job has an id of its own.'), job: z.unknown() })

/** Opens a new job as somebody has begun it; asked twice with one id, one job is opened. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id, job } = await readChecked(event, newJobSchema, 4_000_000)
  return await openNewJob(event, id, job)
})
