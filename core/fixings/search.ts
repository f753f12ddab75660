import type { Interval } from '../geometry'
import { type Found, fewestByDropping, type Judged, keepsRules } from './drop'
import type { Steps } from './fewest'
import { FULL, type RailJudge } from './judge'
import { layersOf, windowsOf } from './windows'

/** What was found for one rail by search: not proved, but no more than dropping one at a time finds. */
export interface SearchResult {
  /** Choices that pass, all with the fewest fixings found. */
  found: Found[]
  /** The least used of all that were checked, where none passes. */
  nearest: Found
}

/** A choice whose worst window is over this is not tried as a whole. */
const NEAR = 1.1
/** Choices of one number that are tried as a whole. */
const MOST_CHOICES = 150
/** Whole rails checked while one choice is mended. */
const MOST_MENDS = 240
/** Choices that pass and are handed on, so that a pattern can choose among them. */
const MOST_FOUND = 40

/**
 * Fewest fixings on a rail with too many ways to list them. From above: dropping one at a time from every place and from every
 * second to fourth. Then every smaller number that the windows do not rule out is tried by the choices with the least worst windows,
 * and the best of them mended by moving single fixings. Where nothing plain passes, larger numbers are tried too.
 * @param least no fewer than this is tried
 * @param roughly what dropping finds is enough: whether the rail can be fixed at all is all that is asked
 */
export function searchFewest(xs: number[], reach: Interval, steps: Steps, judge: RailJudge, least: number, roughly = false): SearchResult {
  let nearest: Found = { picks: [], worst: Infinity }
  const judged: Judged = {
    steps, worst: (picks) => {
      const worst = judge.worst(picks.map(i => xs[i]!))
      if (worst < nearest.worst) nearest = { picks, worst }
      return worst
    },
  }
  const dropped = fewestByDropping(judged)
  if (dropped && roughly) return { found: [dropped], nearest }
  const most = dropped ? dropped.picks.length - 1 : steps.n
  const layers = most >= Math.max(3, least) ? layersOf(steps, windowsOf(xs, reach, judge), most) : null
  for (let count = Math.max(3, least); layers && count <= most; count++) {
    if (layers.leastOf(count) > NEAR) continue
    const choices = layers.choices(count, NEAR, MOST_CHOICES)
    const passing = firstPassing(judged, choices) ?? mended(judged, choices[0]!)
    if (passing) return { found: alikes(judged, passing), nearest }
  }
  return dropped ? { found: alikes(judged, dropped), nearest } : { found: [], nearest }
}

function firstPassing({ worst }: Judged, choices: number[][]): Found | null {
  for (const picks of choices) {
    const share = worst(picks)
    if (share <= FULL) return { picks, worst: share }
  }
  return null
}

/** Choices in which one fixing has moved by up to two places. */
function* oneMoved(steps: Steps, picks: number[]): Generator<number[]> {
  for (let k = 0; k < picks.length; k++) {
    for (const by of [-1, 1, -2, 2]) {
      const to = picks[k]! + by
      if (to <= (picks[k - 1] ?? -1) || to >= (picks[k + 1] ?? steps.n)) continue
      const moved = picks.map((pick, i) => i === k ? to : pick)
      if (keepsRules(steps, moved)) yield moved
    }
  }
}

/** Moves one fixing at a time to where the rail is used least, until it passes; null where no move helps any more. */
function mended({ steps, worst }: Judged, start: number[]): Found | null {
  let now: Found = { picks: start, worst: worst(start) }
  for (let checks = 0; now.worst > FULL;) {
    let best = now
    for (const picks of oneMoved(steps, now.picks)) {
      checks++
      const share = worst(picks)
      if (share < best.worst - 1e-9) best = { picks, worst: share }
    }
    if (best === now || checks > MOST_MENDS) return best.worst <= FULL ? best : null
    now = best
  }
  return now
}

/** A choice that passes with others as good in number, least used first. */
function alikes({ steps, worst }: Judged, first: Found): Found[] {
  const found = new Map([[first.picks.join(), first]])
  for (const from of [...found.values()]) {
    for (const picks of oneMoved(steps, from.picks)) {
      const share = worst(picks)
      if (share <= FULL) found.set(picks.join(), { picks, worst: share })
      if (found.size >= MOST_FOUND) break
    }
  }
  return [...found.values()].sort((a, b) => a.worst - b.worst)
}
