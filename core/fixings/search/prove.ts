import { aliveFrom, type Budget, type LayeredRail, Layers, type Node, tailKey, waysTo } from './layers'

/** How many of the last fixings are told apart, in turn, until a cost is excluded or a rail that passes is found; and whole rails checked before the next. */
const DEPTHS = [{ depth: 3, checks: 3 }, { depth: 5, checks: 6 }, { depth: 7, checks: 12 }, { depth: 10, checks: 40 }, { depth: 99, checks: 300 }]
/** Fixings tried on nodes in one search. */
const MOST_STEPS = 40_000

/** The least cost of a rail, as far as it was settled. */
export interface Proved {
  /** The cheapest that passes, and all that may with the same cost, the most even first. Null where none was found. */
  found: { cost: number, picks: number[], ways: () => Generator<number[]> } | null
  /** No rail that costs so much or less passes. */
  excluded: number
}

/**
 * The cheapest fixings of a rail, from below: each cost in turn is excluded by the relaxation, or a rail of that cost is found that passes the
 * whole check. Where all ways that the relaxation leaves fail, or too many of them, it is made again from more of the last
 * fixings, over those ways alone. A cost that is still open then is passed over, and nothing is claimed past it.
 * @param railFor the rail's relaxation, which may depend on the greatest cost that is asked about
 * @param passes the check of the whole rail
 * @param from nothing cheaper passes
 */
export function cheapest(railFor: (cost: number) => LayeredRail, passes: (picks: number[]) => boolean, from: number, mostSteps = MOST_STEPS): Proved {
  const budget: Budget = { left: mostSteps }
  let excluded = from - 1
  let proving = true
  let rail = railFor(from)
  // The least cost that the steps alone allow is often met: of all ways only those that can come to it are looked at first.
  const first = toEnd(rail)
  let shallow = new Layers(rail, DEPTHS[0]!.depth, budget, (cost, tail) => cost + first[tail.at(-1)!]! <= from)
  for (let cost: number | null = from; cost !== null && budget.left > 0;) {
    const outcome = settle(shallow, rail, cost, passes)
    if (Array.isArray(outcome)) {
      const { picks, ends } = outcome[0]!
      const { xs } = rail
      return { found: { cost, picks, ways: () => waysTo(ends, xs) }, excluded }
    }
    if (outcome === 'open') proving = false
    if (cost === from) shallow = new Layers(rail, DEPTHS[0]!.depth, budget)
    const after = shallow.costAfter(cost)
    // Nothing goes on, so nothing dearer passes either.
    if (budget.left > 0 && proving) excluded = after === null ? Infinity : after - 1
    cost = after
    const own = cost === null ? rail : railFor(cost)
    if (own !== rail) [rail, shallow] = [own, new Layers(own, DEPTHS[0]!.depth, budget)]
  }
  return { found: null, excluded }
}

/** The least that the steps alone ask from each place on; Infinity where the end can't be reached. */
function toEnd({ xs, steps, aim }: LayeredRail): number[] {
  const least = xs.map((_, i) => steps.mayEnd(i) ? aim.end(i) : Infinity)
  for (let i = xs.length - 1; i >= 0; i--) for (const j of steps.next[i]!) least[i] = Math.min(least[i]!, aim.step(i, j) + least[j]!)
  return least
}

type Settled = { picks: number[], ends: Node[] }[] | 'excluded' | 'open'

/** Whether a rail of just this cost passes. */
function settle(shallow: Layers, rail: LayeredRail, cost: number, passes: (picks: number[]) => boolean): Settled {
  const tried = new Set<string>()
  let layers = shallow
  for (const [at, { checks }] of DEPTHS.entries()) {
    const ends = layers.ends(cost)
    if (layers.budget.left <= 0) return 'open'
    let turn = 0
    let complete = true
    for (const picks of waysTo(ends, rail.xs)) {
      if (turn++ >= checks) {
        complete = false
        break
      }
      const key = picks.join()
      if (!tried.has(key) && passes(picks)) return [{ picks, ends }]
      tried.add(key)
    }
    if (complete) return 'excluded'
    const alive = aliveFrom(ends)
    const { depth } = layers
    const deeper = DEPTHS[at + 1]
    if (deeper) layers = new Layers(rail, deeper.depth, layers.budget, (own, tail) => alive.get(own)?.has(tailKey(tail, depth)) ?? false)
  }
  return 'open'
}
