import type { LocalRules } from '../candidates'
import { fewest, shortfalls, stepsFor } from '../fewest'
import { FULL } from '../judge'
import { listPaths, MOST_OPTIONS, unevenness } from '../options'
import { type RailProblem, singleSteps } from '../ways'
import { distinctMembers, type PatternResult } from './result'

/** Fixings over the fewest, on every rail, that columns in line may cost where loads decide. */
const MORE_ALIGNED = 3

/** The same supports on every rail that reaches them: one shortest path in which a column costs one fixing a rail. */
export function aligned(rails: RailProblem[], rules: LocalRules): PatternResult | null {
  const columns = new Map<string, number[]>()
  rails.forEach(rail => rail.candidates.forEach(one => columns.set(one.key, [...(columns.get(one.key) ?? []), one.atMm])))
  const mean = (xs: number[]) => xs.reduce((sum, x) => sum + x, 0) / xs.length
  const keys = [...columns.keys()].sort((a, b) => mean(columns.get(a)!) - mean(columns.get(b)!))
  // For each rail, which of its candidates stands in each column.
  const inColumn = rails.map((rail) => {
    const at = new Map(rail.candidates.map((one, i) => [one.key, i]))
    return keys.map(key => at.get(key) ?? null)
  })
  const steps = stepsFor(keys.length, rails.map((rail, r) => ({ reach: rail.reach, atMm: inColumn[r]!.map(i => i === null ? null : rail.candidates[i]!.atMm) })), rules)
  if (!keys.length) return { picks: rails.map(() => []), total: 0, members: 0, proved: rails.map(() => true), excluded: rails.map(() => -1), spreadProved: false }
  const least = fewest(steps)
  let complete = true
  for (let total = least; total <= least + MORE_ALIGNED * rails.length; total++) {
    const listed = listPaths(steps, total, MOST_OPTIONS)
    const costOf = (path: number[]) => path.reduce((sum, i) => sum + steps.cost(i), 0)
    // Of equally cheap columns, the most even over all rails.
    const options = listed.paths.filter(path => costOf(path) === total).map((path) => {
      const picks = inColumn.map(column => path.flatMap(i => column[i] ?? []))
      return { picks, unevenSum: picks.reduce((sum, own, r) => sum + (own.length ? unevenness(own, rails[r]!.candidates, rails[r]!.reach, rules) : 0), 0) }
    }).sort((a, b) => a.unevenSum - b.unevenSum)
    // Rails of unlike reach over open support share no columns: some would be left without what they need.
    const good = options.find(({ picks }) => rails.every((rail, r) => !leavesShort(rail, picks[r]!, rules) && (!judged(rail, rules) || rail.judge!.worst(picks[r]!.map(i => rail.candidates[i]!.atMm)) <= FULL)))
    if (good) {
      const { picks } = good
      return {
        picks, total, members: distinctMembers(rails, picks), spreadProved: false, proved: rails.map(() => complete),
        // Columns in line are excluded as a whole; of one rail alone only the local rules exclude any.
        excluded: rails.map((rail, r) => complete ? picks[r]!.length - 1 : fewest(singleSteps(rail, rules)) - 1),
      }
    }
    complete &&= listed.complete
  }
  return null
}

/** Whether the whole-rail check has a say: on a rail that no choice can keep to the rules, a finding has. */
const judged = (rail: RailProblem, rules: LocalRules): boolean => rail.judge !== null && !shortfalls(rail.candidates, rail.reach, rules).length

/** Whether a choice fails a rail that its candidates could carry. */
const leavesShort = (rail: RailProblem, picks: number[], rules: LocalRules): boolean =>
  !shortfalls(rail.candidates, rail.reach, rules).length && shortfalls(picks.map(i => rail.candidates[i]!), rail.reach, rules).length > 0
