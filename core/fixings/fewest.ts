import type { Interval } from '../geometry'
import type { Candidate, LocalRules } from './candidates'

/** A span or overhang keeps its limit within this: rafters at half the allowed span must not lose it to the last digit of a fit. */
const KEPT_WITHIN_MM = 0.01

/** Where a rail breaks the local rules even with a fixing in every place there is. */
export type Shortfall
  = | { kind: 'no-support' }
    | { kind: 'overhang', end: 'start' | 'end', overhangMm: number, nearest: Candidate }
    | { kind: 'span', spanMm: number, left: Candidate, right: Candidate }

/**
 * Why no choice among `candidates` keeps the rules on this rail; empty when some choice does.
 * Complete: more fixings only shorten spans and overhangs, so if a fixing in every place keeps the rules some choice
 * does, and if it does not, none does.
 */
export function shortfalls(candidates: Candidate[], reach: Interval, rules: LocalRules): Shortfall[] {
  const first = candidates[0]
  const last = candidates.at(-1)
  if (!first || !last) return [{ kind: 'no-support' }]
  const found: Shortfall[] = []
  const leftMm = first.atMm - reach.fromMm
  const rightMm = reach.toMm - last.atMm
  if (leftMm > rules.maxOverhangMm + KEPT_WITHIN_MM) found.push({ kind: 'overhang', end: 'start', overhangMm: leftMm, nearest: first })
  for (let i = 1; i < candidates.length; i++) {
    const spanMm = candidates[i]!.atMm - candidates[i - 1]!.atMm
    if (spanMm > rules.maxSpanMm + KEPT_WITHIN_MM) found.push({ kind: 'span', spanMm, left: candidates[i - 1]!, right: candidates[i]! })
  }
  if (rightMm > rules.maxOverhangMm + KEPT_WITHIN_MM) found.push({ kind: 'overhang', end: 'end', overhangMm: rightMm, nearest: last })
  return found
}

/** A shortest-path problem over candidates in order: which may come first, follow each other, and come last. */
export interface Steps {
  n: number
  mayStart: (i: number) => boolean
  mayFollow: (i: number, j: number) => boolean
  /** None past this one may follow. */
  farthest: (i: number) => number
  mayEnd: (i: number) => boolean
  /** Rails that a fixing at this candidate would serve, and so what choosing it costs. */
  cost: (i: number) => number
}

/** One rail's places in a list of columns that several rails may share; null where the rail has none. */
export interface RailColumns { atMm: (number | null)[], reach: Interval }

/**
 * The local rules of rails that are fixed in the same columns, as a shortest-path problem over those columns; a rail
 * of its own is the case of one. Where a rule can't be kept at all it is broken only as far as it must be: the
 * nearest place at an end, neighbouring places across a gap.
 */
export function stepsFor(n: number, rails: RailColumns[], rules: LocalRules): Steps {
  // Each rail needs a fixing in the stretch of columns at each of its ends: no step may pass over such a stretch.
  const needed = rails.flatMap(rail => endStretches(rail, rules))
  const spans = rails.map(rail => farthestNext(rail.atMm, rules.maxSpanMm))
  const costs = Array.from({ length: n }, (_, i) => rails.reduce((sum, rail) => sum + (rail.atMm[i] === null ? 0 : 1), 0))
  // Past its farthest a rail lets pass only columns in which it has no place.
  const gapsTo = rails.map(rail => rail.atMm.lastIndexOf(null))
  const farthest = Array.from({ length: n }, (_, i) => Math.min(
    n - 1,
    ...needed.flatMap(stretch => i < stretch.first ? [stretch.last] : []),
    ...spans.map((next, r) => Math.max(next[i]!, gapsTo[r]!)),
  ))
  const withGaps = spans.flatMap((next, r) => gapsTo[r]! < 0 ? [] : [{ next, stands: rails[r]!.atMm.map(x => x !== null) }])
  return {
    n,
    mayStart: i => needed.every(stretch => i <= stretch.last),
    mayEnd: i => needed.every(stretch => i >= stretch.first),
    farthest: i => farthest[i]!,
    mayFollow: (i, j) => {
      if (j > farthest[i]!) return false
      // A plain loop: columns over open support are a thousand, each asked about every other.
      for (const { next, stands } of withGaps) if (j > next[i]! && stands[j]) return false
      return true
    },
    cost: i => costs[i]!,
  }
}

/** The columns at a rail's two ends of which each end must use at least one. */
function endStretches({ atMm, reach }: RailColumns, rules: LocalRules): { first: number, last: number }[] {
  const own = atMm.flatMap((x, i) => x === null ? [] : [{ x, i }])
  if (!own.length) return []
  const fromLeft = Math.max(reach.fromMm + rules.maxOverhangMm, own[0]!.x) + KEPT_WITHIN_MM
  const fromRight = Math.min(reach.toMm - rules.maxOverhangMm, own.at(-1)!.x) - KEPT_WITHIN_MM
  return [
    { first: own[0]!.i, last: own.filter(({ x }) => x <= fromLeft).at(-1)!.i },
    { first: own.find(({ x }) => x >= fromRight)!.i, last: own.at(-1)!.i },
  ]
}

/** For each column of a rail, the farthest that may come next: inside the span, or the very next where none is; any where the rail has no place. */
function farthestNext(atMm: (number | null)[], maxSpanMm: number): number[] {
  const next = atMm.map(() => atMm.length)
  const own = atMm.flatMap((x, i) => x === null ? [] : [{ x, i }])
  let to = 0
  own.forEach(({ x, i }, at) => {
    // What one place reaches the next reaches too, unless columns in order on other rails cross on this one.
    if (at > 0 && x < own[at - 1]!.x) to = at
    to = Math.max(to, Math.min(at + 1, own.length - 1))
    while (to + 1 < own.length && own[to + 1]!.x - x <= maxSpanMm + KEPT_WITHIN_MM) to++
    next[i] = own[to]!.i
  })
  return next
}

/** Least cost from each candidate to the end of the rail, itself included; Infinity where the end can't be reached. */
export function costToEnd(steps: Steps): number[] {
  const toEnd = new Array<number>(steps.n).fill(Infinity)
  for (let i = steps.n - 1; i >= 0; i--) {
    if (steps.mayEnd(i)) toEnd[i] = steps.cost(i)
    for (let j = i + 1; j <= steps.farthest(i); j++) {
      if (toEnd[j]! + steps.cost(i) < toEnd[i]! && steps.mayFollow(i, j)) toEnd[i] = toEnd[j]! + steps.cost(i)
    }
  }
  return toEnd
}

/** Least cost of any whole path: the proved fewest fixings under these rules. Infinity when there is no path. */
export function fewest(steps: Steps): number {
  return costToEnd(steps).reduce((best, cost, i) => steps.mayStart(i) ? Math.min(best, cost) : best, Infinity)
}
