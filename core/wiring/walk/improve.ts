import { tourCost } from './problem'

/** Longest stretch that is moved as it is. */
const LONGEST_MOVED = 10
const JUST = 1e-7
/** Longest of the two stretches that a jump changes round: jumps near by are found good more often. */
const LONGEST_KICKED = 8

/** From a node to the nearest not yet walked, again and again. */
export function nearestTour(cost: Float64Array[], first: number): number[] {
  const left = new Set(cost.keys())
  const tour = [0]
  left.delete(0)
  let at = first
  while (left.size) {
    left.delete(at)
    tour.push(at)
    let next = -1
    for (const one of left) if (next < 0 || cost[at]![one]! < cost[at]![next]!) next = one
    at = next
  }
  return tour
}

/** Moves stretches elsewhere, as they are or turned round, and turns stretches, until nothing gets cheaper. Costs may differ by direction. */
export function improved(cost: Float64Array[], start: number[]): number[] {
  let tour = start
  let own = tourCost(cost, tour)
  for (let again = true; again;) {
    again = false
    const better = orOpt(cost, tour) ?? twoOpt(cost, tour)
    if (!better) break
    const value = tourCost(cost, better)
    if (value < own - JUST) [tour, own, again] = [better, value, true]
  }
  return tour
}

/** The first move of a stretch that makes the tour cheaper; null where there is none. */
function orOpt(cost: Float64Array[], tour: number[]): number[] | null {
  const n = tour.length
  for (let size = 1; size <= Math.min(LONGEST_MOVED, n - 2); size++) {
    for (let from = 1; from + size <= n; from++) {
      const to = from + size - 1
      const [a, b, c, d] = [tour[from - 1]!, tour[from]!, tour[to]!, tour[(to + 1) % n]!]
      const freed = cost[a]![b]! + cost[c]![d]! - cost[a]![d]!
      let turned = 0
      for (let i = from; i < to; i++) turned += cost[tour[i + 1]!]![tour[i]!]! - cost[tour[i]!]![tour[i + 1]!]!
      for (let at = 0; at < n; at++) {
        if (at >= from - 1 && at <= to) continue
        const [p, q] = [tour[at]!, tour[(at + 1) % n]!]
        const straight = cost[p]![b]! + cost[c]![q]! - cost[p]![q]!
        const round = cost[p]![c]! + cost[b]![q]! - cost[p]![q]! + turned
        if (Math.min(straight, round) < freed - JUST) {
          const stretch = tour.slice(from, to + 1)
          if (round < straight) stretch.reverse()
          const rest = [...tour.slice(0, from), ...tour.slice(to + 1)]
          const place = rest.indexOf(p) + 1
          return [...rest.slice(0, place), ...stretch, ...rest.slice(place)]
        }
      }
    }
  }
  return null
}

/** The first turned stretch that makes the tour cheaper. */
function twoOpt(cost: Float64Array[], tour: number[]): number[] | null {
  const n = tour.length
  for (let from = 1; from < n - 1; from++) {
    let turned = 0
    for (let to = from + 1; to < n; to++) {
      turned += cost[tour[to]!]![tour[to - 1]!]! - cost[tour[to - 1]!]![tour[to]!]!
      const [a, b, c, d] = [tour[from - 1]!, tour[from]!, tour[to]!, tour[(to + 1) % n]!]
      if (cost[a]![c]! + cost[b]![d]! - cost[a]![b]! - cost[c]![d]! + turned < -JUST) return [...tour.slice(0, from), ...tour.slice(from, to + 1).reverse(), ...tour.slice(to + 1)]
    }
  }
  return null
}

/** Three cuts, the middle stretches changed round: a jump that the moves above can't undo. */
export function kicked(tour: number[], next: () => number): number[] {
  const n = tour.length
  if (n < 6) return tour
  const a = 1 + Math.floor(next() * (n - 3))
  const b = a + 1 + Math.floor(next() * Math.min(LONGEST_KICKED, n - a - 2))
  const c = b + 1 + Math.floor(next() * Math.min(LONGEST_KICKED, n - b - 1))
  return [...tour.slice(0, a), ...tour.slice(b, c), ...tour.slice(a, b), ...tour.slice(c)]
}
