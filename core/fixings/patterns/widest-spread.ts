import type { FixingOption } from '../options'
import type { RailProblem } from '../ways'

/** Sets of used supports kept while the widest spread is being proved. */
const MOST_SPREAD_STATES = 800

/** The most distinct supports that one option a rail can use: dynamic programming over the sets used so far. */
export function widestSpread(rails: RailProblem[], lists: FixingOption[][]): { options: FixingOption[], members: number, complete: boolean } | null {
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
    const own = rails[r]!.candidates.map(({ member }) => bitOf(member))
    const masks = options.map(option => option.picks.reduce((mask, i) => mask | own[i]!, 0n))
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
      states = widest(states, MOST_SPREAD_STATES)
    }
  })
  const best = states.reduce((a, b) => b.members > a.members ? b : a)
  const options: FixingOption[] = []
  for (let state: State | null = best; state?.option; state = state.before) options.unshift(state.option)
  return { options, members: best.members, complete }
}

/** The states with the most members, the first ones first among equals; by counting, since there are tens of thousands. */
function widest<S extends { members: number }>(states: S[], most: number): S[] {
  const byMembers: S[][] = []
  for (const state of states) (byMembers[state.members] ??= []).push(state)
  return byMembers.reverse().flat().slice(0, most)
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
