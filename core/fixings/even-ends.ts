import type { Interval } from '../geometry'
import type { Candidate, LocalRules } from './candidates'
import { type RailColumns, shortfalls, stepsFor } from './fewest'

/** The fewest fixings that the local rules allow on one rail, and of such choices the least difference of the two end overhangs. */
export interface EvenEnds { fixings: number, differenceMm: number, shortfalls: number }

/**
 * By dynamic programming from every place that may come first: quick enough to be asked at many shifts of an array. Loads have
 * no say here but in the rules.
 */
export function evenEnds(candidates: Candidate[], reach: Interval, rules: LocalRules): EvenEnds {
  const broken = shortfalls(candidates, reach, rules).length
  const rail: RailColumns = { atMm: candidates.map(one => one.atMm), reach }
  const n = candidates.length
  const steps = stepsFor(n, [rail], rules)
  let best: EvenEnds = { fixings: n ? Infinity : 0, differenceMm: reach.toMm - reach.fromMm, shortfalls: broken }
  for (let first = 0; first < n; first++) {
    if (!steps.mayStart(first)) continue
    const count = new Array<number>(n).fill(Infinity)
    count[first] = 1
    for (let i = first; i < n; i++) {
      if (count[i] === Infinity) continue
      if (steps.mayEnd(i)) {
        const differenceMm = Math.abs((candidates[first]!.atMm - reach.fromMm) - (reach.toMm - candidates[i]!.atMm))
        if (count[i]! < best.fixings || (count[i] === best.fixings && differenceMm < best.differenceMm)) best = { fixings: count[i]!, differenceMm, shortfalls: broken }
      }
      for (let j = i + 1; j < n && steps.mayFollow(i, j); j++) count[j] = Math.min(count[j]!, count[i]! + 1)
    }
  }
  return best
}
