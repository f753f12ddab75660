import { randomUUID } from 'node:crypto'
import { z } from 'zod'

/** A job file may be so large, bytes. */
const MOST_BYTES = 4_000_000
const querySchema = z.object({ /** Made by whoever opens it, so that asking twice opens one. */ id: z.uuid('A new job has an id of its own.').default(() => randomUUID()) })

/** Opens a job from a job file: the body is the file itself. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  const { id } = readQuery(event, querySchema)
  return await openNewJob(event, id, await readJson(event, MOST_BYTES, 'A job file is at most 4 MB.', 'This file is not a job file: it is not JSON at all.'))
})
