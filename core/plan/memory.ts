import type { Catalogue } from '../catalogue'

/** Faces remembered at a time: those of the largest job with the cures that were tried on them. */
const MOST_FACES = 120
/** Where arrays stand is one figure a face: many are kept, so that cures do not push out what the next edit asks for again. */
const MOST_STANDS = 400

const written = new WeakMap<Catalogue, string>()

const writtenOut = (catalogue: Catalogue): string => {
  const ready = written.get(catalogue)
  if (ready) return ready
  const text = JSON.stringify(catalogue)
  written.set(catalogue, text)
  return text
}

/** A memory of its own for one kind of thing, the longest unused going first. By the catalogue as it is written: a planner in its own thread gets a new copy of all it is given every time. */
function memoryOf(most: number) {
  const known = new Map<string, Map<string, unknown>>()
  return <T>(catalogue: Catalogue, facts: unknown[], work: () => T): T => {
    const shelf = writtenOut(catalogue)
    if (!known.has(shelf)) known.clear()
    const kept = known.get(shelf) ?? new Map<string, unknown>()
    known.set(shelf, kept)
    const key = JSON.stringify(facts)
    const made = kept.has(key) ? kept.get(key) as T : work()
    kept.delete(key)
    kept.set(key, made)
    if (kept.size > most) kept.delete(kept.keys().next().value!)
    return made
  }
}

/** What was worked out before from the very same facts: a face's plan is a pure function of them, and most edits touch one face of several. */
export const remembered = memoryOf(MOST_FACES)
/** Where an array stands, from the facts that decide it. */
export const rememberedStand = memoryOf(MOST_STANDS)
