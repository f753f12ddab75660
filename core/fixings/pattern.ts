import type { Interval } from '../geometry'
import type { FixingPattern } from '../job'
import type { Candidate, LocalRules } from './candidates'
import { fewest, type Steps, stepsFor, shortfalls } from './fewest'
import { type FixingOption, listPaths, MOST_OPTIONS, optionsFor, unevenness } from './options'

/** One rail waiting for its fixings. */
export interface RailProblem { candidates: Candidate[], reach: Interval }

/** A choice of fixings for every rail of an array, lowest rail first. */
export interface PatternResult {
  /** Indices into each rail's candidates. */
  picks: number[][]
  total: number
  /** Distinct supports that carry at least one fixing. */
  members: number
  /** True when no choice inside the pattern's rule has fewer fixings. */
  fewestProved: boolean
  /** True when, with that many fixings, no choice uses more distinct supports. Only the soft stagger seeks this. */
  spreadProved: boolean
}

/** A hard stagger may cost at most this many fixings more than the fewest on any one rail. */
export const MOST_EXTRA_A_RAIL = 3
/** Sets of used supports kept while the widest spread is being proved. */
const MOST_SPREAD_STATES = 3000

const singleSteps = ({ candidates, reach }: RailProblem, rules: LocalRules): Steps =>
  stepsFor(candidates.length, [{ xMm: candidates.map(one => one.xMm), reach }], rules)

/**
 * Chooses the fixings of all rails by one pattern. Null when the pattern can't be had on these supports (a soft stagger
 * always can). Rails without any candidate get no fixings.
 */
export function choosePattern(pattern: FixingPattern, rails: RailProblem[], rules: LocalRules): PatternResult | null {
  switch (pattern) {
    case 'soft-stagger': return softStagger(rails, rules)
    case 'aligned': return aligned(rails, rules)
    case 'hard-stagger': return hardStagger(rails, rules)
  }
}

/** Options of every rail with at most `extra` fixings over its own fewest; equal rails share one list. */
function optionLists(rails: RailProblem[], rules: LocalRules, extra: number) {
  const known = new Map<string, { list: FixingOption[], complete: boolean, fewest: number }>()
  return rails.map((rail) => {
    const key = JSON.stringify([rail.reach, rail.candidates.map(one => [one.xMm, one.key])])
    const ready = known.get(key)
    if (ready) return ready
    const steps = singleSteps(rail, rules)
    const least = rail.candidates.length ? fewest(steps) : 0
    const { options, complete } = rail.candidates.length
      ? optionsFor(steps, least + extra, rail.candidates, rail.reach, rules)
      : { options: [{ picks: [], unevenness: 0 }], complete: true }
    const made = { list: options, complete, fewest: least }
    known.set(key, made)
    return made
  })
}

const distinctMembers = (rails: RailProblem[], picks: number[][]): number =>
  new Set(picks.flatMap((own, r) => own.map(i => rails[r]!.candidates[i]!.member))).size

/** Among the fewest fixings on every rail, as many distinct supports as possible over all rails. */
function softStagger(rails: RailProblem[], rules: LocalRules): PatternResult {
  const lists = optionLists(rails, rules, 0)
  const membersOf = (r: number, option: FixingOption) => option.picks.map(i => rails[r]!.candidates[i]!.member)
  let chosen = spreadByTurns(rails, lists.map(one => one.list))
  const reachable = new Set(lists.flatMap((one, r) => one.complete
    ? one.list.flatMap(option => membersOf(r, option))
    : rails[r]!.candidates.map(candidate => candidate.member)))
  const total = lists.reduce((sum, one) => sum + one.fewest, 0)
  const bound = Math.min(total, reachable.size)
  let members = distinctMembers(rails, chosen)
  let spreadProved = members === bound
  if (!spreadProved) {
    const exact = widestSpread(rails, lists.map(one => one.list))
    if (exact.members > members) {
      chosen = exact.picks
      members = exact.members
    }
    spreadProved = members === bound || (exact.complete && lists.every(one => one.complete))
  }
  return { picks: chosen, total, members, fewestProved: true, spreadProved }
}

/**
 * Rail by rail, takes the option with most unused supports, then with the least-loaded ones, then the most even;
 * repeats until a whole turn changes nothing.
 */
function spreadByTurns(rails: RailProblem[], lists: FixingOption[][]): number[][] {
  const uses = new Map<string, number>()
  const count = (r: number, picks: number[], by: number) => {
    for (const i of picks) {
      const { member } = rails[r]!.candidates[i]!
      uses.set(member, (uses.get(member) ?? 0) + by)
    }
  }
  const chosen: number[][] = lists.map(() => [])
  for (let turn = 0, changed = true; changed && turn < 6; turn++) {
    changed = false
    lists.forEach((options, r) => {
      count(r, chosen[r]!, -1)
      let best: FixingOption | null = null
      let bestKey = [0, 0, 0]
      for (const option of options) {
        const loads = option.picks.map(i => uses.get(rails[r]!.candidates[i]!.member) ?? 0)
        const key = [-loads.filter(load => load === 0).length, loads.reduce((sum, load) => sum + load, 0), option.unevenness]
        if (!best || before(key, bestKey)) {
          best = option
          bestKey = key
        }
      }
      const picks = best?.picks ?? []
      if (picks !== chosen[r]) changed = true
      chosen[r] = picks
      count(r, picks, 1)
    })
  }
  return chosen
}

/** Lexicographic order of figures, lower first; differences of rounding size are ties. */
function before(a: number[], b: number[]): boolean {
  for (let i = 0; i < a.length; i++) {
    if (Math.abs(a[i]! - b[i]!) > 1e-9) return a[i]! < b[i]!
  }
  return false
}

/** The most distinct supports that one option a rail can use: dynamic programming over the sets used so far. */
function widestSpread(rails: RailProblem[], lists: FixingOption[][]): { picks: number[][], members: number, complete: boolean } {
  const bits = new Map<string, bigint>()
  const bitOf = (member: string) => {
    const bit = bits.get(member) ?? 1n << BigInt(bits.size)
    bits.set(member, bit)
    return bit
  }
  interface State { mask: bigint, picks: number[], before: State | null }
  let states: State[] = [{ mask: 0n, picks: [], before: null }]
  let complete = true
  lists.forEach((options, r) => {
    const masks = options.map(option => option.picks.reduce((mask, i) => mask | bitOf(rails[r]!.candidates[i]!.member), 0n))
    const next = new Map<bigint, State>()
    for (const state of states) {
      options.forEach((option, o) => {
        const mask = state.mask | masks[o]!
        if (!next.has(mask)) next.set(mask, { mask, picks: option.picks, before: state })
      })
    }
    states = [...next.values()]
    if (states.length > MOST_SPREAD_STATES) {
      complete = false
      states = states.sort((a, b) => ones(b.mask) - ones(a.mask)).slice(0, MOST_SPREAD_STATES)
    }
  })
  const best = states.reduce((a, b) => ones(b.mask) > ones(a.mask) ? b : a)
  const picks: number[][] = []
  for (let state: State | null = best; state?.before; state = state.before) picks.unshift(state.picks)
  return { picks, members: ones(best.mask), complete }
}

const ones = (mask: bigint): number => mask.toString(2).replaceAll('0', '').length

/** The same supports on every rail that reaches them: one shortest path in which a column costs one fixing a rail. */
function aligned(rails: RailProblem[], rules: LocalRules): PatternResult | null {
  const columns = new Map<string, number[]>()
  rails.forEach(rail => rail.candidates.forEach(one => columns.set(one.key, [...(columns.get(one.key) ?? []), one.xMm])))
  const mean = (xs: number[]) => xs.reduce((sum, x) => sum + x, 0) / xs.length
  const keys = [...columns.keys()].sort((a, b) => mean(columns.get(a)!) - mean(columns.get(b)!))
  const steps = stepsFor(keys.length, rails.map(rail => ({
    reach: rail.reach, xMm: keys.map(key => rail.candidates.find(one => one.key === key)?.xMm ?? null),
  })), rules)
  const total = keys.length ? fewest(steps) : 0
  // Of equally cheap columns, the most even over all rails.
  const { paths } = keys.length ? listPaths(steps, total, MOST_OPTIONS) : { paths: [[]] }
  const options = paths.map((path) => {
    const chosen = new Set(path.map(i => keys[i]!))
    const picks = rails.map(rail => rail.candidates.flatMap((one, i) => chosen.has(one.key) ? [i] : []))
    const cost = picks.reduce((sum, own, r) => sum + (own.length ? unevenness(own, rails[r]!.candidates, rails[r]!.reach, rules) : 0), 0)
    return { picks, cost }
  })
  const { picks } = options.reduce((best, next) => next.cost < best.cost - 1e-9 ? next : best)
  // Rails of unlike reach over open support share no columns: some would be left without what they need.
  if (rails.some((rail, r) => leavesShort(rail, picks[r]!, rules))) return null
  return { picks, total, members: distinctMembers(rails, picks), fewestProved: true, spreadProved: false }
}

/** Whether a choice fails a rail that its candidates could carry. */
const leavesShort = (rail: RailProblem, picks: number[], rules: LocalRules): boolean =>
  !shortfalls(rail.candidates, rail.reach, rules).length && shortfalls(picks.map(i => rail.candidates[i]!), rail.reach, rules).length > 0

/**
 * No support carries fixings of two neighbouring rails. Rail lists grow by one fixing at a time; the result is proved
 * once no rail could gain by going further over its fewest.
 */
function hardStagger(rails: RailProblem[], rules: LocalRules): PatternResult | null {
  let best: { picks: number[][], total: number } | null = null
  for (let extra = 0; extra <= MOST_EXTRA_A_RAIL; extra++) {
    const lists = optionLists(rails, rules, extra)
    const found = cheapestDisjoint(rails, lists.map(one => one.list))
    if (found && (!best || found.total < best.total)) best = found
    const floor = lists.reduce((sum, one) => sum + one.fewest, 0)
    // A better choice would have to spend more than `extra` over the fewest on some rail.
    if (best && best.total <= floor + extra + 1) {
      return { ...best, members: distinctMembers(rails, best.picks), fewestProved: lists.every(one => one.complete), spreadProved: false }
    }
  }
  return best && { ...best, members: distinctMembers(rails, best.picks), fewestProved: false, spreadProved: false }
}

/** One option a rail, neighbours sharing no support, with the fewest fixings in all and then the most even. */
function cheapestDisjoint(rails: RailProblem[], lists: FixingOption[][]): { picks: number[][], total: number } | null {
  interface State { at: number, option: FixingOption, total: number, cost: number, before: State | null }
  const apart = disjointTable()
  let states: State[] = []
  for (const [r, options] of lists.entries()) {
    const ordered = [...states].sort((a, b) => a.total - b.total || a.cost - b.cost)
    const mayFollow = r === 0 ? null : apart(rails[r - 1]!, lists[r - 1]!, rails[r]!, options)
    states = options.flatMap((option, at) => {
      const from = mayFollow ? ordered.find(state => mayFollow(state.at, at)) : null
      if (from === undefined) return []
      return [{ at, option, before: from, total: (from?.total ?? 0) + option.picks.length, cost: (from?.cost ?? 0) + option.unevenness }]
    })
    if (!states.length) return null
  }
  if (!states.length) return { picks: [], total: 0 }
  const best = states.reduce((a, b) => b.total < a.total || (b.total === a.total && b.cost < a.cost) ? b : a)
  const picks: number[][] = []
  for (let state: State | null = best; state; state = state.before) picks.unshift(state.option.picks)
  return { picks, total: best.total }
}

/**
 * Whether an option of one rail shares no support with one of the next, worked out once for each pair of lists. Supports
 * are bits in 32-bit words: the table is asked for often enough to be the slowest thing in a plan otherwise.
 */
function disjointTable() {
  const bits = new Map<string, number>()
  const masks = new Map<FixingOption[], number[][]>()
  const tables = new Map<FixingOption[], Map<FixingOption[], Uint8Array>>()
  const masksOf = (rail: RailProblem, options: FixingOption[]): number[][] => {
    const known = masks.get(options)
    if (known) return known
    for (const { member } of rail.candidates) if (!bits.has(member)) bits.set(member, bits.size)
    const made = options.map((option) => {
      const words: number[] = []
      for (const pick of option.picks) {
        const bit = bits.get(rail.candidates[pick]!.member)!
        words[bit >> 5] = (words[bit >> 5] ?? 0) | (1 << (bit & 31))
      }
      return words
    })
    masks.set(options, made)
    return made
  }
  const fill = (from: number[][], to: number[][]): Uint8Array => {
    const table = new Uint8Array(from.length * to.length)
    for (let i = 0; i < from.length; i++) {
      for (let j = 0; j < to.length; j++) {
        let shared = 0
        for (let word = 0; word < from[i]!.length; word++) shared |= (from[i]![word] ?? 0) & (to[j]![word] ?? 0)
        table[i * to.length + j] = shared ? 0 : 1
      }
    }
    return table
  }
  return (below: RailProblem, from: FixingOption[], above: RailProblem, to: FixingOption[]) => {
    const row = tables.get(from) ?? new Map<FixingOption[], Uint8Array>()
    tables.set(from, row)
    const table = row.get(to) ?? fill(masksOf(below, from), masksOf(above, to))
    row.set(to, table)
    return (i: number, j: number): boolean => table[i * to.length + j] === 1
  }
}
