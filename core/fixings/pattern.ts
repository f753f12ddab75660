import type { FixingPattern } from '../job'
import type { LocalRules } from './candidates'
import { fewest, shortfalls, stepsFor } from './fewest'
import { FULL } from './judge'
import { type FixingOption, listPaths, MOST_OPTIONS, unevenness } from './options'
import { type RailProblem, type Ways, waysFor, type WaysMemo } from './ways'

/** A choice of fixings for every rail of an array, lowest rail first. */
export interface PatternResult {
  /** Indices into each rail's candidates. */
  picks: number[][]
  total: number
  /** Distinct supports that carry at least one fixing. */
  members: number
  /** For each rail, whether no choice inside the pattern's rule has fewer fixings. */
  proved: boolean[]
  /** True when, with that many fixings, no choice uses more distinct supports. Only the soft stagger seeks this. */
  spreadProved: boolean
}

/** A hard stagger may cost at most this many fixings more than the fewest on any one rail. */
export const MOST_EXTRA_A_RAIL = 3
/** Sets of used supports kept while the widest spread is being proved. */
const MOST_SPREAD_STATES = 800
/** Choices over all rails that are made again without an option that failed the whole-rail check. */
const MOST_RETRIES = 12
/** Of equally spread options, so many are compared by their worst share. */
const MOST_COMPARED = 6

/**
 * Chooses the fixings of all rails by one pattern. Null when the pattern can't be had on these supports (a soft stagger
 * always can). Rails without any candidate get no fixings.
 * @param known what was found out about these rails before
 */
export function choosePattern(pattern: FixingPattern, rails: RailProblem[], rules: LocalRules, known: WaysMemo = new Map()): PatternResult | null {
  switch (pattern) {
    case 'soft-stagger': return softStagger(rails, waysOfAll(rails, rules, 0, known))
    case 'aligned': return aligned(rails, rules)
    case 'hard-stagger': return hardStagger(rails, rules, known)
  }
}

/** Ways of every rail with at most `extra` fixings over its own fewest; rails alike share one list. */
function waysOfAll(rails: RailProblem[], rules: LocalRules, extra: number, known: WaysMemo): Ways[] {
  return rails.map((rail) => {
    const key = JSON.stringify([extra, rail.reach, rail.judge?.key, rail.candidates.map(one => [one.xMm, one.key])])
    const made = known.get(key) ?? waysFor(rail, rules, extra)
    known.set(key, made)
    return made
  })
}

const distinctMembers = (rails: RailProblem[], picks: number[][]): number =>
  new Set(picks.flatMap((own, r) => own.map(i => rails[r]!.candidates[i]!.member))).size

/** Among the fewest fixings on every rail, as many distinct supports as possible over all rails. */
function softStagger(rails: RailProblem[], ways: Ways[]): PatternResult {
  const membersOf = (r: number, option: FixingOption) => option.picks.map(i => rails[r]!.candidates[i]!.member)
  let chosen = spreadByTurns(rails, ways)
  const reachable = new Set(ways.flatMap((one, r) => one.complete
    ? one.options.flatMap(option => membersOf(r, option))
    : rails[r]!.candidates.map(candidate => candidate.member)))
  const total = ways.reduce((sum, one) => sum + one.fewest, 0)
  const bound = Math.min(total, reachable.size)
  let members = distinctMembers(rails, chosen.map(option => option.picks))
  let spreadProved = members === bound
  if (!spreadProved) {
    const exact = passing(ways, lists => widestSpread(rails, lists))
    if (exact && exact.members > members) {
      chosen = exact.options
      members = exact.members
    }
    spreadProved = members === bound || Boolean(exact?.complete && ways.every(one => one.complete))
  }
  return { picks: mostEven(rails, ways, chosen).map(option => option.picks), total, members, proved: ways.map(one => one.proved), spreadProved }
}

/** A choice of one option a rail, by whatever is best, none of which fails the whole-rail check: those that do are left out in turn. */
function passing<T extends { options: FixingOption[] }>(ways: Ways[], choose: (lists: FixingOption[][]) => T | null): T | null {
  let lists = ways.map(one => one.options)
  for (let turn = 0; turn < MOST_RETRIES; turn++) {
    const found = choose(lists)
    if (!found) return null
    const failed = new Set(found.options.filter((option, r) => !ways[r]!.passes(option)))
    if (!failed.size) return found
    lists = lists.map(list => list.some(option => failed.has(option)) ? list.filter(option => !failed.has(option)) : list)
  }
  return null
}

/**
 * Rail by rail, takes the option with most unused supports, then with the least-loaded ones, then the most even, that
 * passes; repeats until a whole turn changes nothing.
 */
function spreadByTurns(rails: RailProblem[], ways: Ways[]): FixingOption[] {
  const uses = usesOf(rails)
  const chosen: (FixingOption | null)[] = ways.map(() => null)
  for (let turn = 0, changed = true; changed && turn < 6; turn++) {
    changed = false
    ways.forEach(({ options, passes }, r) => {
      uses.count(r, chosen[r], -1)
      const ranked = options.map(option => ({ option, key: uses.key(r, option) })).sort((a, b) => before(a.key, b.key) ? -1 : before(b.key, a.key) ? 1 : 0)
      const best = ranked.find(({ option }) => passes(option))?.option ?? options[0]!
      if (best !== chosen[r]) changed = true
      chosen[r] = best
      uses.count(r, best, 1)
    })
  }
  return chosen.map(option => option!)
}

/** How often each support is used by the options chosen so far. */
function usesOf(rails: RailProblem[]) {
  const uses = new Map<string, number>()
  const members = (r: number, option: FixingOption) => option.picks.map(i => rails[r]!.candidates[i]!.member)
  return {
    count: (r: number, option: FixingOption | null | undefined, by: number) => {
      if (option) for (const member of members(r, option)) uses.set(member, (uses.get(member) ?? 0) + by)
    },
    key: (r: number, option: FixingOption): number[] => {
      const loads = members(r, option).map(member => uses.get(member) ?? 0)
      return [-loads.filter(load => load === 0).length, loads.reduce((sum, load) => sum + load, 0), option.unevenness]
    },
  }
}

/** Where options use supports alike, the one whose worst share of what is allowed is least, from the most even few. */
function mostEven(rails: RailProblem[], ways: Ways[], chosen: FixingOption[]): FixingOption[] {
  const uses = usesOf(rails)
  chosen.forEach((option, r) => uses.count(r, option, 1))
  return chosen.map((option, r) => {
    const { judge, candidates } = rails[r]!
    if (!judge || ways[r]!.over !== null) return option
    uses.count(r, option, -1)
    const own = uses.key(r, option)
    const alike = ways[r]!.options.filter(one => one !== option && uses.key(r, one).every((value, k) => k === 2 || value === own[k])).slice(0, MOST_COMPARED)
    const worst = (one: FixingOption) => judge.worst(one.picks.map(i => candidates[i]!.xMm))
    const best = alike.reduce((a, b) => worst(b) < worst(a) - 1e-9 ? b : a, option)
    uses.count(r, best, 1)
    return best
  })
}

/** Lexicographic order of figures, lower first; differences of rounding size are ties. */
function before(a: number[], b: number[]): boolean {
  for (let i = 0; i < a.length; i++) {
    if (Math.abs(a[i]! - b[i]!) > 1e-9) return a[i]! < b[i]!
  }
  return false
}

/** The most distinct supports that one option a rail can use: dynamic programming over the sets used so far. */
function widestSpread(rails: RailProblem[], lists: FixingOption[][]): { options: FixingOption[], members: number, complete: boolean } | null {
  if (lists.some(list => !list.length)) return null
  const bits = new Map<string, bigint>()
  const bitOf = (member: string) => {
    const bit = bits.get(member) ?? 1n << BigInt(bits.size)
    bits.set(member, bit)
    return bit
  }
  interface State { mask: bigint, members: number, option: FixingOption | null, before: State | null }
  let states: State[] = [{ mask: 0n, members: 0, option: null, before: null }]
  let complete = true
  lists.forEach((options, r) => {
    const masks = options.map(option => option.picks.reduce((mask, i) => mask | bitOf(rails[r]!.candidates[i]!.member), 0n))
    const next = new Map<bigint, State>()
    for (const state of states) {
      options.forEach((option, o) => {
        const mask = state.mask | masks[o]!
        if (!next.has(mask)) next.set(mask, { mask, members: ones(mask), option, before: state })
      })
    }
    states = [...next.values()]
    if (states.length > MOST_SPREAD_STATES) {
      complete = false
      states = states.sort((a, b) => b.members - a.members).slice(0, MOST_SPREAD_STATES)
    }
  })
  const best = states.reduce((a, b) => b.members > a.members ? b : a)
  const options: FixingOption[] = []
  for (let state: State | null = best; state?.option; state = state.before) options.unshift(state.option)
  return { options, members: best.members, complete }
}

/** How many bits are set, 32 at a time: long numbers are slow to write out. */
function ones(mask: bigint): number {
  let count = 0
  for (let rest = mask; rest > 0n; rest >>= 32n) {
    let word = Number(rest & 0xFFFFFFFFn)
    for (; word; word = (word & (word - 1)) >>> 0) count++
  }
  return count
}

/** The same supports on every rail that reaches them: one shortest path in which a column costs one fixing a rail. */
function aligned(rails: RailProblem[], rules: LocalRules): PatternResult | null {
  const columns = new Map<string, number[]>()
  rails.forEach(rail => rail.candidates.forEach(one => columns.set(one.key, [...(columns.get(one.key) ?? []), one.xMm])))
  const mean = (xs: number[]) => xs.reduce((sum, x) => sum + x, 0) / xs.length
  const keys = [...columns.keys()].sort((a, b) => mean(columns.get(a)!) - mean(columns.get(b)!))
  // For each rail, which of its candidates stands in each column.
  const inColumn = rails.map((rail) => {
    const at = new Map(rail.candidates.map((one, i) => [one.key, i]))
    return keys.map(key => at.get(key) ?? null)
  })
  const steps = stepsFor(keys.length, rails.map((rail, r) => ({ reach: rail.reach, xMm: inColumn[r]!.map(i => i === null ? null : rail.candidates[i]!.xMm) })), rules)
  if (!keys.length) return { picks: rails.map(() => []), total: 0, members: 0, proved: rails.map(() => true), spreadProved: false }
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
    const good = options.find(({ picks }) => rails.every((rail, r) => !leavesShort(rail, picks[r]!, rules) && (!judged(rail, rules) || rail.judge!.worst(picks[r]!.map(i => rail.candidates[i]!.xMm)) <= FULL)))
    if (good) return { picks: good.picks, total, members: distinctMembers(rails, good.picks), proved: rails.map(() => complete), spreadProved: false }
    complete &&= listed.complete
  }
  return null
}

/** Fixings over the fewest, on every rail, that columns in line may cost where loads decide. */
const MORE_ALIGNED = 3

/** Whether the whole-rail check has a say: on a rail that no choice can keep to the rules, a finding has. */
const judged = (rail: RailProblem, rules: LocalRules): boolean => rail.judge !== null && !shortfalls(rail.candidates, rail.reach, rules).length

/** Whether a choice fails a rail that its candidates could carry. */
const leavesShort = (rail: RailProblem, picks: number[], rules: LocalRules): boolean =>
  !shortfalls(rail.candidates, rail.reach, rules).length && shortfalls(picks.map(i => rail.candidates[i]!), rail.reach, rules).length > 0

/**
 * No support carries fixings of two neighbouring rails. Rail lists grow by one fixing at a time; the result is proved
 * once no rail could gain by going further over its fewest.
 */
function hardStagger(rails: RailProblem[], rules: LocalRules, known: WaysMemo): PatternResult | null {
  let best: { options: FixingOption[], total: number } | null = null
  const result = (found: { options: FixingOption[], total: number }, proved: boolean[]): PatternResult => {
    const picks = found.options.map(option => option.picks)
    return { picks, total: found.total, members: distinctMembers(rails, picks), proved, spreadProved: false }
  }
  for (let extra = 0; extra <= MOST_EXTRA_A_RAIL; extra++) {
    const ways = waysOfAll(rails, rules, extra, known)
    const found = passing(ways, lists => cheapestDisjoint(rails, lists))
    if (found && (!best || found.total < best.total)) best = found
    const floor = ways.reduce((sum, one) => sum + one.fewest, 0)
    // A better choice would have to spend more than `extra` over the fewest on some rail.
    if (best && best.total <= floor + extra + 1) return result(best, ways.map(one => one.complete && one.proved))
  }
  return best && result(best, rails.map(() => false))
}

/** One option a rail, neighbours sharing no support, with the fewest fixings in all and then the most even. */
function cheapestDisjoint(rails: RailProblem[], lists: FixingOption[][]): { options: FixingOption[], total: number } | null {
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
  if (!states.length) return { options: [], total: 0 }
  const best = states.reduce((a, b) => b.total < a.total || (b.total === a.total && b.cost < a.cost) ? b : a)
  const options: FixingOption[] = []
  for (let state: State | null = best; state; state = state.before) options.unshift(state.option)
  return { options, total: best.total }
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
