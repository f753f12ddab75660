import type { LocalRules } from '../candidates'
import type { FixingOption } from '../options'
import { isProved, type RailProblem, type Ways, type WaysMemo } from '../ways'
import { distinctMembers, passing, type PatternResult, waysOfAll } from './result'

/** A hard stagger may cost at most this many fixings more than the fewest on any one rail. */
export const MOST_EXTRA_A_RAIL = 3

/**
 * No support carries fixings of two neighbouring rails. Rail lists grow by one fixing at a time; the result is proved
 * once no rail could gain by going further over its fewest.
 */
export function hardStagger(rails: RailProblem[], rules: LocalRules, known: WaysMemo): PatternResult | null {
  let best: { options: FixingOption[], total: number } | null = null
  const result = (found: { options: FixingOption[], total: number }, ways: Ways[], all: boolean): PatternResult => {
    const picks = found.options.map(option => option.picks)
    const proved = ways.map(one => all && one.complete && isProved(one))
    return { picks, total: found.total, members: distinctMembers(rails, picks), proved, excluded: ways.map((one, r) => proved[r] ? picks[r]!.length - 1 : one.excluded), spreadProved: false }
  }
  for (let extra = 0; extra <= MOST_EXTRA_A_RAIL; extra++) {
    const ways = waysOfAll(rails, rules, extra, known)
    const found = passing(ways, lists => cheapestDisjoint(rails, lists))
    if (found && (!best || found.total < best.total)) best = found
    const floor = ways.reduce((sum, one) => sum + one.fewest, 0)
    // A better choice would have to spend more than `extra` over the fewest on some rail.
    if (best && best.total <= floor + extra + 1) return result(best, ways, true)
  }
  return best && result(best, waysOfAll(rails, rules, 0, known), false)
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
