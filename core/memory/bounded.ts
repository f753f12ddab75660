import { LRUCache } from 'lru-cache'

const texts = new WeakMap<object, string>()

/** Facts as they are written: a planner in its own thread gets a new copy of all it is given every time, and a server reads one. */
function written(fact: unknown): string {
  if (typeof fact !== 'object' || fact === null) return JSON.stringify(fact) ?? ''
  const ready = texts.get(fact)
  if (ready !== undefined) return ready
  const text = JSON.stringify(fact)
  texts.set(fact, text)
  return text
}

/**
 * A memory of its own for one kind of thing, the longest unused going first.
 * @returns what was worked out before from the very same facts, else what `work` makes of them now
 */
export function bounded<T extends object>(most: number): (facts: unknown[], work: () => T) => T {
  const known = new LRUCache<string, T>({ max: most })
  return (facts, work) => {
    const key = facts.map(written).join('\n')
    const ready = known.get(key)
    if (ready) return ready
    const made = work()
    known.set(key, made)
    return made
  }
}

/** Catalogues that one server plans with in turn before the longest unused is forgotten. */
const MOST_CATALOGUES = 16

/** The same for each catalogue apart: what one firm plans pushes out nothing of another's. */
export function memoryOf<T extends object>(most: number): (catalogue: object, facts: unknown[], work: () => T) => T {
  const ofCatalogue = bounded<ReturnType<typeof bounded<T>>>(MOST_CATALOGUES)
  return (catalogue, facts, work) => ofCatalogue([catalogue], () => bounded<T>(most))(facts, work)
}

/**
 * Short names for long texts, so that many keys can hold the same one: a text has one name for as long as it is among the `most` used last.
 */
export function namesFor(most: number): (text: string) => string {
  const known = new LRUCache<string, string>({ max: most })
  let next = 0
  return (text) => {
    const name = known.get(text) ?? `n${next++}`
    known.set(text, name)
    return name
  }
}
