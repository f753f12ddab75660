/** Remembers what follows from one thing that is never changed once made, for as long as that thing is there. */
export function onceFor<K extends object, T extends object>(work: (facts: K) => T): (facts: K) => T {
  const known = new WeakMap<K, T>()
  return (facts) => {
    const ready = known.get(facts)
    if (ready) return ready
    const made = work(facts)
    known.set(facts, made)
    return made
  }
}
