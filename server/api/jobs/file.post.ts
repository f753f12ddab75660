import { randomUUID } from 'node:crypto'

/** A job file may be so large, bytes. */
const MOST_BYTES = 4_000_000

/** Opens a job from a job file. */
export default defineEventHandler(async (event) => {
  await requireCookie(event)
  return await openNewJob(event, randomUUID(), await readJson(event, MOST_BYTES, 'A job file is at most 4 MB.', 'This file is not a job file: it is not JSON at all.'))
})
