import type { LocalRules } from '../candidates'
import type { FixingOption } from '../options'
import { type RailProblem, type Ways, waysFor, type WaysMemo } from '../ways'

/** A choice of fixings for every rail of an array, lowest rail first. */
export interface PatternResult {
  /** Indices into each rail's candidates. */
  picks: number[][]
  total: number
  /** Distinct supports that carry at least one fixing. */
  members: number
  /** For each rail, whether no choice inside the pattern's rule has fewer fixings. */
  proved: boolean[]
  /** For each rail, so many fixings and fewer are excluded, inside the pattern's rule or without it. */
  excluded: number[]
  /** True when, with that many fixings, no choice uses more distinct supports. Only the soft stagger seeks this. */
  spreadProved: boolean
}

/** Choices over all rails that are made again without an option that failed the whole-rail check. */
const MOST_RETRIES = 12

/** Ways of every rail with at most `extra` fixings over its own fewest; rails alike share one list. */
export function waysOfAll(rails: RailProblem[], rules: LocalRules, extra: number, known: WaysMemo): Ways[] {
  return rails.map((rail) => {
    const key = JSON.stringify([extra, rail.reach, rail.judge?.key, rail.candidates.map(one => [one.atMm, one.key])])
    const made = known.get(key) ?? waysFor(rail, rules, extra)
    known.set(key, made)
    return made
  })
}

export const distinctMembers = (rails: RailProblem[], picks: number[][]): number =>
  new Set(picks.flatMap((own, r) => own.map(i => rails[r]!.candidates[i]!.member))).size

/** A choice of one option a rail, by whatever is best, none of which fails the whole-rail check: those that do are left out in turn. */
export function passing<T extends { options: FixingOption[] }>(ways: Ways[], choose: (lists: FixingOption[][]) => T | null): T | null {
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
