import type { Interval } from '../geometry'
import type { Candidate, LocalRules } from './candidates'
import { fewest, shortfalls, type Steps, stepsFor } from './fewest'
import { FULL, type RailJudge } from './judge'
import { searchFewest } from './search'
import { type FixingOption, listPaths, MOST_OPTIONS, unevenness } from './options'

/** One rail waiting for its fixings. */
export interface RailProblem {
  candidates: Candidate[]
  reach: Interval
  /** Null where nobody has said what loads the roof. */
  judge: RailJudge | null
  /** Even layouts as indices of candidates, for a rail with support all along; null where its places are what they are. */
  even: number[][] | null
  /** Only whether it can be fixed is asked, as when a cure is tried. */
  roughly?: boolean
}

/** All ways worth having to fix one rail. */
export interface Ways {
  /** Most even first among those with equally many fixings. Whether one passes the whole-rail check is asked with `passes`. */
  options: FixingOption[]
  passes: (option: FixingOption) => boolean
  /** Fixings of the best way. */
  fewest: number
  /** True when no way has fewer: fewer break a rule, can't bear the load, or were all checked and failed. */
  proved: boolean
  /** True when all ways with so many fixings are listed. */
  complete: boolean
  /** Worst share of the best way, where no way passes; null where one does or nothing is judged. */
  over: number | null
  /** Whole rails that were checked. */
  checked: number
}

/** What has been found out about rails, by what sets them apart. */
export type WaysMemo = Map<string, Ways>

/** A count with up to so many ways is checked way by way, which excludes it or not. */
const MOST_CHECKS = 400
/** Of a count with more ways only the most even few are checked before they are searched instead of listed. */
const QUICK_CHECKS = 12

export const singleSteps = ({ candidates, reach }: Pick<RailProblem, 'candidates' | 'reach'>, rules: LocalRules): Steps =>
  stepsFor(candidates.length, [{ atMm: candidates.map(one => one.atMm), reach }], rules)

const byEvenness = (a: FixingOption, b: FixingOption): number => a.picks.length - b.picks.length || a.unevenness - b.unevenness

/**
 * Ways to fix a rail with the fewest fixings that keep the local rules and pass the whole-rail check, and with up to `extra` more.
 * The count is proved from below: by the shortest path on the local rules narrowed to what strength could ever pass, by the
 * total load, and by checking every path with fewer where those can be listed. Where they are too many, `searchFewest` looks for
 * few from above and nothing is proved. More fixings can make a reaction larger, so a count that fails says nothing of the next.
 */
export function waysFor(rail: RailProblem, rules: LocalRules, extra: number): Ways {
  const { candidates, judge, reach } = rail
  if (!candidates.length) return { options: [{ picks: [], unevenness: 0 }], passes: () => true, fewest: 0, proved: true, complete: true, over: null, checked: 0 }
  const known = new Map<FixingOption, number>()
  const worstOf = (option: FixingOption): number => {
    if (!judge) return 0
    const ready = known.get(option)
    if (ready !== undefined) return ready
    const worst = judge.worst(option.picks.map(i => candidates[i]!.atMm))
    known.set(option, worst)
    return worst
  }
  const passes = (option: FixingOption) => worstOf(option) <= FULL
  const list = (steps: Steps, least: number, most: number, cap: number) => {
    const { paths, complete } = rail.even ? evenPaths(rail.even, least, most) : listPaths(steps, most, cap)
    return {
      complete,
      options: paths.filter(path => path.length >= least).map((picks): FixingOption => ({ picks, unevenness: unevenness(picks, candidates, reach, rules) })).sort(byEvenness),
    }
  }
  // Where even a fixing in every place breaks a local rule, the least broken way stands and a finding says so.
  if (!judge || shortfalls(candidates, reach, rules).length) {
    const steps = singleSteps(rail, rules)
    const least = fewest(steps)
    const { options, complete } = list(steps, 0, least + extra, MOST_OPTIONS)
    return { options, complete, passes: () => true, fewest: least, proved: true, over: null, checked: 0 }
  }
  const narrow = shortfalls(candidates, reach, judge.rules).length === 0
  const steps = singleSteps(rail, narrow ? judge.rules : rules)
  const byRules = rail.even ? Math.min(...rail.even.map(way => way.length)) : fewest(steps)
  const least = Math.max(byRules, judge.atLeast)
  // Even layouts are not all there are: a count is excluded only by rule or load.
  let proved = true
  let best: { option: FixingOption, worst: number } | null = null
  const firstGood = (options: FixingOption[]) => options.find((option) => {
    const worst = worstOf(option)
    if (!best || worst < best.worst) best = { option, worst }
    return worst <= FULL
  })
  for (let count = least; count <= candidates.length; count++) {
    const { options, complete } = list(steps, count, count, MOST_CHECKS)
    const good = firstGood(complete ? options : options.slice(0, QUICK_CHECKS))
    if (good) {
      const all = extra ? list(steps, count, count + extra, MOST_OPTIONS) : { options, complete }
      const shown = all.options.slice(0, extra ? undefined : MOST_OPTIONS)
      return {
        options: shown.includes(good) ? shown : [good, ...shown.slice(1)],
        complete: all.complete && options.length <= MOST_OPTIONS,
        passes,
        fewest: count,
        proved,
        over: null,
        checked: known.size,
      }
    }
    if (rail.even) {
      proved = false
      if (count >= Math.max(...rail.even.map(way => way.length))) break
      continue
    }
    if (!complete) return bySearch(count)
  }
  return best ? failing(best) : bySearch(least)

  function bySearch(from: number): Ways {
    const { found, nearest } = searchFewest(candidates.map(one => one.atMm), reach, steps, judge!, from, rail.roughly)
    if (!found.length) {
      const near = best && best.worst <= nearest.worst ? best : { option: { picks: nearest.picks, unevenness: 0 }, worst: nearest.worst }
      return failing(near)
    }
    const options = found.map(({ picks }): FixingOption => ({ picks, unevenness: unevenness(picks, candidates, reach, rules) })).sort(byEvenness)
    const { length } = options[0]!.picks
    return { options, complete: false, passes, fewest: length, proved: proved && length === from, over: null, checked: known.size }
  }

  function failing({ option, worst }: { option: FixingOption, worst: number }): Ways {
    const [fallback] = option.picks.length ? [] : list(singleSteps(rail, rules), 0, fewest(singleSteps(rail, rules)), 1).options
    const shown = fallback ?? option
    return { options: [shown], complete: true, passes: () => true, fewest: shown.picks.length, proved: false, over: fallback ? worstOf(fallback) : worst, checked: known.size }
  }
}

function evenPaths(even: number[][], least: number, most: number): { paths: number[][], complete: boolean } {
  const wanted = even.filter(way => way.length <= most)
  const shortest = Math.min(...even.map(way => way.length))
  return { paths: wanted.length ? wanted : even.filter(way => way.length === Math.max(least, shortest)), complete: true }
}
