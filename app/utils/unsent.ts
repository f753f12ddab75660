import { z } from 'zod'
import { editSchema, type UnsentEntry } from '#core/job'

const schema = z.array(z.object({ id: z.uuid(), kind: z.enum(['edit', 'undo', 'redo']), edit: editSchema }))
const keyOf = (jobId: string) => `upper-deck/unsent/${jobId}`

/**
 * Edits that have not reached the server are kept on this device until they have. Their ids are made once, so an
 * edit that is sent twice, by two windows or after a reload, is made once.
 */
export function unsentOf(jobId: string): UnsentEntry[] {
  const text = localStorage.getItem(keyOf(jobId))
  if (!text) return []
  try {
    return schema.parse(JSON.parse(text))
  }
  catch {
    // Not ours, or from an older form of edit: it can't be sent, and must not stop the job from opening.
    return []
  }
}

export const keepUnsent = (jobId: string, entry: UnsentEntry): void =>
  localStorage.setItem(keyOf(jobId), JSON.stringify([...unsentOf(jobId), entry]))

export function dropUnsent(jobId: string, ids: string[]): void {
  const left = unsentOf(jobId).filter(entry => !ids.includes(entry.id))
  if (left.length) localStorage.setItem(keyOf(jobId), JSON.stringify(left))
  else localStorage.removeItem(keyOf(jobId))
}
