import type { Interval } from '../geometry'
import type { Candidate, LocalRules } from './candidates'
import { fewest, shortfalls, type Steps, stepsFor } from './fewest'
import { FULL, type RailJudge } from './judge'
import { cheapest, dropped, fewestFixings, keepsRules, type LayeredRail, plainStarts, stepsGiven } from './search'
import { type FixingOption, listPaths, MOST_OPTIONS, unevenness } from './options'

/** One rail waiting for its fixings. */
export interface RailProblem {
  candidates: Candidate[]
  reach: Interval
  /** Null where nobody has said what loads the roof. */
  judge: RailJudge | null
  /** Even layouts as indices of candidates, for a rail with support all along; null where its places are what they are. */
  even: number[][] | null
  /** Whether its places are all there are: along an interval a fixing may stand anywhere. */
  finite: boolean
}

/** All ways worth having to fix one rail. */
export interface Ways {
  /** Most even first among those with equally many fixings. Whether one passes the whole-rail check is asked with `passes`. */
  options: FixingOption[]
  passes: (option: FixingOption) => boolean
  /** Fixings of the best way. */
  fewest: number
  /** So many fixings and fewer were excluded: they break a rule, can't bear the load, or no way with so many passes. */
  excluded: number
  /** True when all ways with so many fixings are listed. */
  complete: boolean
  /** Worst share of the best way, where no way passes; null where one does or nothing is judged. */
  over: number | null
}

/** True when no way has fewer. */
export const isProved = ({ fewest, excluded, over }: Ways): boolean => over === null && excluded >= fewest - 1

/** What has been found out about rails, by what sets them apart. */
export type WaysMemo = Map<string, Ways>

export const singleSteps = ({ candidates, reach }: Pick<RailProblem, 'candidates' | 'reach'>, rules: LocalRules): Steps =>
  stepsFor(candidates.length, [{ atMm: candidates.map(one => one.atMm), reach }], rules)

const byEvenness = (a: FixingOption, b: FixingOption): number => a.picks.length - b.picks.length || a.unevenness - b.unevenness

/** The first of them, and whether there are no more. */
function firstOf<T>(all: Iterable<T>, most: number): { list: T[], complete: boolean } {
  const list: T[] = []
  for (const one of all) {
    if (list.length >= most) return { list, complete: false }
    list.push(one)
  }
  return { list, complete: true }
}

/**
 * Ways to fix a rail with the fewest fixings that keep the local rules and pass the whole-rail check, and with up to `extra` more.
 * Where loads are known each number from below is excluded by a relaxation of the whole rail or met by a way that passes. More
 * fixings can make a reaction larger, so a number that fails says nothing of the next.
 */
export function waysFor(rail: RailProblem, rules: LocalRules, extra: number): Ways {
  const { candidates, judge, reach } = rail
  if (!candidates.length) return { options: [{ picks: [], unevenness: 0 }], passes: () => true, fewest: 0, excluded: 0, complete: true, over: null }
  // Where even a fixing in every place breaks a local rule, the least broken way stands and a finding says so.
  if (!judge || shortfalls(candidates, reach, rules).length) return byRules(rail, rules, extra)
  if (rail.even) return byEvenWays(rail, judge, rail.even, rules)
  return byLoad(rail, judge, rules, extra)
}

const optionOf = ({ candidates, reach }: RailProblem, rules: LocalRules) => (picks: number[]): FixingOption => ({ picks, unevenness: unevenness(picks, candidates, reach, rules) })

function byRules(rail: RailProblem, rules: LocalRules, extra: number): Ways {
  const steps = singleSteps(rail, rules)
  const least = fewest(steps)
  const { paths, complete } = rail.even ? evenPaths(rail.even, 0, least + extra) : listPaths(steps, least + extra, MOST_OPTIONS)
  return { options: paths.map(optionOf(rail, rules)).sort(byEvenness), complete, passes: () => true, fewest: least, excluded: least - 1, over: null }
}

/** Whole rails as their judge has them, and the least used of all that were asked about. */
function judged({ candidates }: RailProblem, judge: RailJudge) {
  let nearest: { picks: number[], worst: number } = { picks: [], worst: Infinity }
  const worst = (picks: number[]): number => {
    const share = judge.worst(picks.map(i => candidates[i]!.atMm))
    if (share < nearest.worst) nearest = { picks, worst: share }
    return share
  }
  return { worst, passes: (picks: number[]) => worst(picks) <= FULL, nearest: () => nearest }
}

/** A number of fixings with up to so many ways is tried way by way. */
const MOST_TRIED = 400
/** Of one with more ways only the most even few are. */
const QUICK = 12

/**
 * Under load: the least number that the rules and the whole load allow is mostly met by one of its most even ways. Where it is not,
 * the search goes up from there. Along intervals a fixing may stand anywhere and there are more places than can be searched: the most
 * even ways of each number, and then what dropping finds; only rules and the whole load exclude there.
 */
function byLoad(rail: RailProblem, judge: RailJudge, rules: LocalRules, extra: number): Ways {
  const steps = singleSteps(rail, shortfalls(rail.candidates, rail.reach, judge.rules).length ? rules : judge.rules)
  const least = Math.max(fewest(steps), judge.atLeast)
  const whole = judged(rail, judge)
  for (let count = least; count <= (rail.finite ? least : rail.candidates.length); count++) {
    const { paths, complete } = listPaths(steps, count, MOST_TRIED)
    const options = paths.filter(path => path.length === count).map(optionOf(rail, rules)).sort(byEvenness)
    const good = options.slice(0, complete ? undefined : QUICK).find(option => whole.passes(option.picks))
    if (good) {
      const all = extra ? listPaths(steps, count + extra, MOST_OPTIONS) : { paths: options.map(option => option.picks), complete }
      const shown = all.paths.filter(path => path.length >= count && path.join() !== good.picks.join()).map(optionOf(rail, rules)).sort(byEvenness)
      return {
        options: [good, ...shown.slice(0, MOST_OPTIONS - 1)].sort(byEvenness), complete: all.complete && shown.length < MOST_OPTIONS, passes: option => whole.passes(option.picks),
        fewest: count, excluded: least - 1, over: null,
      }
    }
    if (rail.finite) return bySearch(rail, judge, rules, { steps, whole, from: complete ? least + 1 : least, extra })
    if (!complete) break
  }
  return byDropping(rail, rules, { steps, whole, excluded: least - 1 })
}

type Judgement = ReturnType<typeof judged>

function byDropping(rail: RailProblem, rules: LocalRules, { steps, whole, excluded }: { steps: Steps, whole: Judgement, excluded: number }): Ways {
  const one = dropped({ steps, worst: whole.worst })
  if (!one) return failing(rail, rules, whole.nearest(), excluded)
  return { options: [optionOf(rail, rules)(one.picks)], complete: false, passes: option => whole.passes(option.picks), fewest: one.picks.length, excluded, over: null }
}

/** Each number from below is excluded by the relaxation or met by a way that passes. */
function bySearch(rail: RailProblem, judge: RailJudge, rules: LocalRules, { steps: plain, whole, from, extra }: { steps: Steps, whole: Judgement, from: number, extra: number }): Ways {
  const xs = rail.candidates.map(one => one.atMm)
  const steps = stepsGiven(plain, xs)
  const made = (most: number): LayeredRail => ({ xs, steps, aim: fewestFixings, relaxed: judge.relaxed(xs, steps, most) })
  let once: LayeredRail | null = null
  const railFor = (count: number) => judge.byCount ? made(count) : once ??= made(xs.length)
  const { found, excluded } = cheapest(railFor, whole.passes, from)
  if (!found) return excluded === Infinity ? failing(rail, rules, whole.nearest(), excluded) : byDropping(rail, rules, { steps: plain, whole, excluded })
  const listed = firstOf(found.ways(), MOST_OPTIONS)
  const options = [found.picks, ...listed.list.filter(picks => picks.join() !== found.picks.join())]
  let { complete } = listed
  for (let count = found.cost + 1; count <= found.cost + extra; count++) {
    const next = cheapest(railFor, whole.passes, count)
    if (next.found?.cost !== count) {
      complete &&= next.excluded >= count
      continue
    }
    const wider = firstOf(next.found.ways(), MOST_OPTIONS)
    options.push(...wider.list)
    complete &&= wider.complete
  }
  return { options: options.map(optionOf(rail, rules)).sort(byEvenness), complete, passes: option => whole.passes(option.picks), fewest: found.cost, excluded, over: null }
}

/** More places than this are not all fixed at once to see what is least used. */
const MOST_AT_ONCE = 60

/** Nothing passes, or nothing was found that does: the least used of what was tried stands, and by how much it is over. */
function failing(rail: RailProblem, rules: LocalRules, { picks, worst }: { picks: number[], worst: number }, excluded: number): Ways {
  const judge = rail.judge!
  const { candidates } = rail
  const steps = singleSteps(rail, rules)
  const plain = rail.even || candidates.length > MOST_AT_ONCE ? [] : plainStarts(candidates.length).filter(own => keepsRules(steps, own))
  const least = rail.even ? rail.even.slice(0, 1) : listPaths(steps, fewest(steps), 1).paths
  const all = [...least, ...plain].map(own => ({ picks: own, worst: judge.worst(own.map(i => candidates[i]!.atMm)) })).concat(picks.length ? [{ picks, worst }] : [])
  const best = all.reduce((a, b) => b.worst < a.worst ? b : a)
  return { options: [optionOf(rail, rules)(best.picks)], complete: true, passes: () => true, fewest: best.picks.length, excluded: Math.min(excluded, candidates.length), over: best.worst }
}

/** Along an unbroken support only even layouts are tried; they are not all there are, so a number is excluded only by rule or load. */
function byEvenWays(rail: RailProblem, judge: RailJudge, even: number[][], rules: LocalRules): Ways {
  const { worst, passes, nearest } = judged(rail, judge)
  const counts = [...new Set(even.map(way => way.length))].sort((a, b) => a - b)
  const least = Math.max(counts[0]!, judge.atLeast)
  for (const count of counts) {
    if (count < judge.atLeast) continue
    const options = even.filter(way => way.length === count).map(optionOf(rail, rules)).sort(byEvenness)
    if (options.some(option => worst(option.picks) <= FULL)) {
      return { options: options.slice(0, MOST_OPTIONS), complete: options.length <= MOST_OPTIONS, passes: option => passes(option.picks), fewest: count, excluded: least - 1, over: null }
    }
  }
  return failing(rail, rules, nearest(), least - 1)
}

function evenPaths(even: number[][], least: number, most: number): { paths: number[][], complete: boolean } {
  const wanted = even.filter(way => way.length <= most)
  const shortest = Math.min(...even.map(way => way.length))
  return { paths: wanted.length ? wanted : even.filter(way => way.length === Math.max(least, shortest)), complete: true }
}
