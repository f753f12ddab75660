import { type FixingPattern, fixingPatterns } from '../job'
import type { RailLimits, RailPlan } from '../rails'
import type { PlacesForRail, SupportState } from '../supports'
import { count, length } from '../units'
import type { Working } from '../working'
import { candidatesOf } from './candidates'
import { type Shortfall, shortfalls } from './fewest'
import { choosePattern, type RailProblem } from './pattern'

/** One fixing where it is driven. */
export interface Fixing {
  xMm: number
  member: string
  state: SupportState
  /** Chance, 0 to 1, that all of its mount's fasteners are in sound timber. */
  chance: number
}

/** The fixings of one rail with what they leave between and past them. */
export interface RailFixings {
  railId: string
  fixings: Fixing[]
  /** Distances between neighbouring fixings, mm, left to right. */
  spansMm: number[]
  longestSpanMm: number
  /** From the last fixing to the module's edge, mm; the whole row when there is no fixing at all. */
  overhangLeftMm: number
  overhangRightMm: number
  /** Where the rules can't be kept on this rail with any choice of fixings. */
  shortfalls: Shortfall[]
  working: Working
}

/** Fixings that each pattern would take; null where a pattern can't be had. */
export type PatternTotals = Record<FixingPattern, number | null>

export interface FixingsPlan {
  rails: RailFixings[]
  total: number
  /** The pattern that was really used: a hard stagger that can't be had falls back to the soft one. */
  pattern: FixingPattern
  membersUsed: number
  fewestProved: boolean
  spreadProved: boolean
}

const problemsFor = (rails: RailPlan[], places: PlacesForRail, limits: RailLimits): RailProblem[] =>
  rails.map((rail) => {
    const reach = { fromMm: rail.leftMm, toMm: rail.rightMm }
    return { reach, candidates: candidatesOf(places(rail.yMm, reach), reach, limits) }
  })

/**
 * Fixes every rail of an array: the fewest fixings whose spans and overhangs keep the local rules, chosen over
 * all rails together by the pattern asked for.
 */
export function placeFixings(rails: RailPlan[], places: PlacesForRail, limits: RailLimits, wanted: FixingPattern): FixingsPlan {
  const problems = problemsFor(rails, places, limits)
  const asked = choosePattern(wanted, problems, limits)
  const chosen = asked ?? choosePattern('soft-stagger', problems, limits)!
  return {
    rails: rails.map((rail, r) => railFixings(rail, problems[r]!, chosen.picks[r]!, limits)),
    total: chosen.total, pattern: asked ? wanted : 'soft-stagger',
    membersUsed: chosen.members, fewestProved: chosen.fewestProved, spreadProved: chosen.spreadProved,
  }
}

/** What every pattern would take on these rails, so that the price of one can be seen before it is asked for. */
export function patternTotals(rails: RailPlan[], places: PlacesForRail, limits: RailLimits): PatternTotals {
  const problems = problemsFor(rails, places, limits)
  return Object.fromEntries(fixingPatterns.map(pattern => [pattern, choosePattern(pattern, problems, limits)?.total ?? null])) as PatternTotals
}

function railFixings(rail: RailPlan, { candidates, reach }: RailProblem, picks: number[], limits: RailLimits): RailFixings {
  const fixings = picks.map((i): Fixing => ({ xMm: candidates[i]!.xMm, member: candidates[i]!.member, state: candidates[i]!.state, chance: candidates[i]!.chance }))
  const spansMm = fixings.slice(1).map((fixing, i) => fixing.xMm - fixings[i]!.xMm)
  const whole = reach.toMm - reach.fromMm
  const missing = shortfalls(candidates, reach, limits)
  return {
    railId: rail.id, fixings, spansMm, longestSpanMm: Math.max(0, ...spansMm),
    overhangLeftMm: fixings.length ? fixings[0]!.xMm - reach.fromMm : whole,
    overhangRightMm: fixings.length ? reach.toMm - fixings.at(-1)!.xMm : whole,
    shortfalls: missing,
    working: {
      what: `Fixings of rail ${rail.number}`,
      formula: 'fewest k with x₁ − L ≤ o, xᵢ₊₁ − xᵢ ≤ s, R − xₖ ≤ o',
      values: [
        { symbol: 'L', what: 'left edge of the modules', value: length(reach.fromMm) },
        { symbol: 'R', what: 'right edge of the modules', value: length(reach.toMm) },
        { symbol: 's', what: 'allowed span', value: length(limits.maxSpanMm) },
        { symbol: 'o', what: 'allowed overhang', value: length(limits.maxOverhangMm) },
        { symbol: 'c', what: 'places on supports under the rail', value: count(candidates.length, 'places') },
      ],
      result: count(fixings.length, fixings.length === 1 ? 'fixing' : 'fixings'),
      source: missing.length
        ? 'Shortest path over the places under the rail; the rules can’t all be kept here and are broken as little as can be'
        : 'Shortest path over the places under the rail, so no choice has fewer',
      basis: 'solved exactly',
    },
  }
}
