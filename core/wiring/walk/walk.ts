import { bounded } from '../../memory'
import { lowerBound } from './bound'
import { exactTour, MOST_EXACT } from './exact'
import { improved, kicked, nearestTour } from './improve'
import { costTable, tourCost, type WalkAsk } from './problem'

/** A string as it is joined. */
export interface Walk {
  /** Modules in order: the first one's + lead goes home, the last one's - lead. */
  order: number[]
  /** Hops past the leads' reach: from which place in the order, and the least extension lead that bridges it, mm. */
  extensions: { after: number, mm: number }[]
  plusHomeMm: number
  minusHomeMm: number
  /** Way through the modules, mm. */
  hopsMm: number
  /** From where the + lead to where the - lead of the string ends, mm. */
  endsApartMm: number
  /** Area that the string and its home runs lie round, m². */
  loopM2: number
  cost: number
  /** No walk costs less than this. */
  leastCost: number
  proved: boolean
}

/** Jumps from a good walk to try from anew. */
const KICKS = 40
/** Beginnings of a walk that is only to be compared. */
const ROUGH_STARTS = 3
/**
 * How much is done for a walk: only to be compared with others; to be judged, as when a cure is tried; or to be built, with all subsets gone
 * through to sixteen modules.
 */
export type Effort = 'rough' | 'judge' | 'build'
/** Tours as good as this far are told apart by the area they lie round. */
const ALIKE_MM = 0.5

/** A generator of its own, so that the same string is always walked alike (Park and Miller's, 1988). */
function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = state * 48_271 % 2_147_483_647
    return state / 2_147_483_647
  }
}

function loopM2({ at, box }: WalkAsk, order: number[]): number {
  const ring = [box, ...order.map(module => at[module]!)]
  return Math.abs(ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length]!
    return sum + a.x * b.y - b.x * a.y
  }, 0)) / 2 / 1e6
}

const told = (ask: WalkAsk, order: number[], cost: number, leastCost: number): Walk => {
  const hops = order.slice(1).map((to, i) => ask.hopMm(order[i]!, to))
  const [first, last] = [order[0]!, order.at(-1)!]
  return {
    order, cost, leastCost, proved: cost - leastCost <= 1e-6 * Math.max(1, cost),
    extensions: hops.flatMap((mm, after) => mm > ask.reachMm + 1e-6 ? [{ after, mm: mm - ask.reachMm }] : []),
    plusHomeMm: ask.plusHomeMm(first), minusHomeMm: ask.minusHomeMm(last), hopsMm: hops.reduce((sum, mm) => sum + mm, 0),
    endsApartMm: first === last ? 0 : ask.hopMm(last, first), loopM2: loopM2(ask, order),
  }
}

const known = bounded<Walk>(400)

/**
 * The order in which a string is joined: no lead past its reach where that can be; then the least cable of home runs, which brings both ends
 * side by side towards the box; then the shortest way. Solved from many beginnings; excluded below by a 1-tree, and to sixteen modules by
 * going through all subsets where that leaves a gap.
 */
export function walkString(ask: WalkAsk, effort: Effort = 'build'): Walk {
  if (!ask.modules) throw new Error('A string has one module at least.')
  const cost = costTable(ask)
  return known([effort, cost.map(row => [...row].map(value => value === Infinity ? -1 : Math.round(value * 1000))), ask.at, ask.box], () => solved(ask, cost, effort))
}

function solved(ask: WalkAsk, cost: Float64Array[], effort: Effort): Walk {
  const n = ask.modules
  if (n <= 2) {
    const { tour, cost: least } = exactTour(cost)
    return told(ask, tour.slice(1).map(node => node - 1), least, least)
  }
  const next = seeded(7919)
  const order = (tour: number[]) => tour.slice(1).map(node => node - 1)
  let best: number[] = []
  let least = Infinity
  let loop = Infinity
  const offer = (tour: number[]) => {
    const value = tourCost(cost, tour)
    if (value > least + ALIKE_MM) return
    const area = loopM2(ask, order(tour))
    // The cheaper one; of those alike, the one that lies round less.
    if (value < least - ALIKE_MM || (area < loop - 1e-9 && value <= least + 1e-9)) [best, least, loop] = [tour, value, area]
    else if (value < least - 1e-9) [best, least, loop] = [tour, value, area]
  }
  const step = effort === 'rough' ? Math.max(1, Math.floor(n / ROUGH_STARTS)) : 1
  for (let first = 1; first <= n; first += step) offer(improved(cost, nearestTour(cost, first)))
  if (effort === 'rough') return told(ask, order(best), least, 0)
  let bound = lowerBound(cost, least)
  if (least - bound > 1e-6 * least) {
    for (let kick = 0; kick < (effort === 'judge' ? 10 : KICKS); kick++) offer(improved(cost, kicked(best, next)))
    bound = lowerBound(cost, least)
  }
  if (effort === 'build' && n <= MOST_EXACT && least - bound > 1e-6 * least) {
    const exact = exactTour(cost)
    if (exact.cost < least - 1e-9) [best, least] = [exact.tour, exact.cost]
    bound = exact.cost
  }
  return told(ask, order(best), least, bound)
}
