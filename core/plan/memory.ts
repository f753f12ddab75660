import type { Catalogue } from '../catalogue'

/** Faces remembered at a time: those of the largest job with the cures that were tried on them. */
const MOST_REMEMBERED = 120

/** By the catalogue as it is written: a planner in its own thread gets a new copy of all it is given every time. */
const known = new Map<string, Map<string, unknown>>()
const written = new WeakMap<Catalogue, string>()

const writtenOut = (catalogue: Catalogue): string => {
  const ready = written.get(catalogue)
  if (ready) return ready
  const text = JSON.stringify(catalogue)
  written.set(catalogue, text)
  return text
}

/**
 * What was worked out before from the very same facts. A face's plan is a pure function of them, and most edits touch one face
 * of several; the longest unused go first.
 */
export function remembered<T>(catalogue: Catalogue, facts: unknown[], work: () => T): T {
  const shelf = writtenOut(catalogue)
  if (!known.has(shelf)) known.clear()
  const faces = known.get(shelf) ?? new Map<string, unknown>()
  known.set(shelf, faces)
  const key = JSON.stringify(facts)
  const ready = faces.get(key) as T | undefined
  const made = ready ?? work()
  faces.delete(key)
  faces.set(key, made)
  if (faces.size > MOST_REMEMBERED) faces.delete(faces.keys().next().value!)
  return made
}
