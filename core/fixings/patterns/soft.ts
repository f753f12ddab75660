import type { FixingOption } from '../options'
import { isProved, type RailProblem, type Ways } from '../ways'
import { distinctMembers, passing, type PatternResult } from './result'
import { widestSpread } from './widest-spread'

/** Of equally spread options, so many are compared by their worst share. */
const MOST_COMPARED = 6

/** Among the fewest fixings on every rail, as many distinct supports as possible over all rails. */
export function softStagger(rails: RailProblem[], ways: Ways[]): PatternResult {
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
  return { picks: mostEven(rails, ways, chosen).map(option => option.picks), total, members, proved: ways.map(isProved), excluded: ways.map(one => one.excluded), spreadProved }
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
    const worst = (one: FixingOption) => judge.worst(one.picks.map(i => candidates[i]!.atMm))
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
