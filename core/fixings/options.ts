import type { Interval } from '../geometry'
import type { Candidate, LocalRules } from './candidates'
import { type Steps, costToEnd } from './fewest'

/** One way to fix a rail: indices into its candidates, in order. */
export interface FixingOption { picks: number[], unevenness: number }

/** More ways than this to fix one rail are not listed; the plan then says that its spread is not proved. */
export const MOST_OPTIONS = 200

/** All paths of cost at most `budget`, by depth-first search that never enters a branch that can't finish inside it. */
export function listPaths(steps: Steps, budget: number, most: number): { paths: number[][], complete: boolean } {
  const toEnd = costToEnd(steps)
  const paths: number[][] = []
  let complete = true
  const walk = (path: number[], spent: number) => {
    const at = path.at(-1)!
    if (steps.mayEnd(at)) {
      if (paths.length >= most) {
        complete = false
        return
      }
      paths.push(path)
    }
    for (let j = at + 1; j <= steps.farthest(at) && complete; j++) {
      if (spent + toEnd[j]! <= budget && steps.mayFollow(at, j)) walk([...path, j], spent + steps.cost(j))
    }
  }
  for (let i = 0; i < steps.n && complete; i++) {
    if (steps.mayStart(i) && toEnd[i]! <= budget) walk([i], steps.cost(i))
  }
  return { paths, complete }
}

/**
 * How unevenly a choice of fixings shares a rail: the greatest span as a share of the allowed one, or the greatest
 * overhang as a share of its limit, whichever is worse, and after that the difference between the two overhangs.
 */
export function unevenness(picks: number[], candidates: Candidate[], reach: Interval, rules: LocalRules): number {
  let worst = 0
  for (let i = 1; i < picks.length; i++) {
    worst = Math.max(worst, (candidates[picks[i]!]!.atMm - candidates[picks[i - 1]!]!.atMm) / rules.maxSpanMm)
  }
  const leftMm = candidates[picks[0]!]!.atMm - reach.fromMm
  const rightMm = reach.toMm - candidates[picks.at(-1)!]!.atMm
  const longest = Math.max(spanOfReach(reach), 1)
  const overhangLimit = Math.max(rules.maxOverhangMm, 1)
  return Math.max(worst, leftMm / overhangLimit, rightMm / overhangLimit) + Math.abs(leftMm - rightMm) / longest * 0.5
}

const spanOfReach = (reach: Interval): number => reach.toMm - reach.fromMm
