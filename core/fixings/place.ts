import { type FixingPattern, fixingPatterns } from '../job'
import type { RailLimits, RailPlan } from '../rails'
import { placesOutside, type PlacesForRail, type SupportState } from '../supports'
import { count, length } from '../units'
import type { Working } from '../working'
import { candidatesOf, evenWays } from './candidates'
import { fewestWords, followedClaim } from './claims'
import { doubledEnds } from './doubled'
import { type Shortfall, shortfalls } from './fewest'
import { type Followed, followRail, type RailRound } from './follow'
import type { RailJudge } from './judge'
import { choosePattern, type PatternResult } from './patterns'
import type { RailProblem, WaysMemo } from './ways'

/** One fixing where it is driven. */
export interface Fixing {
  /** Its own name: it keeps it as long as its rail is driven into the same thing there. */
  id: string
  /** Along its rail, mm. */
  atMm: number
  member: string
  state: SupportState
  /** Chance, 0 to 1, that all of its mount's fasteners are in sound timber. */
  chance: number
  /** Chance that they are in timber at all. */
  timber: number
}

/** The fixings of one rail with what they leave between and past them. */
export interface RailFixings {
  railId: string
  fixings: Fixing[]
  /** Distances between neighbouring fixings, mm, left to right. */
  spansMm: number[]
  longestSpanMm: number
  /** From the last fixing to the module's edge, mm; the whole row when there is no fixing at all. */
  overhangStartMm: number
  overhangEndMm: number
  /** Where the rules can't be kept on this rail with any choice of fixings. */
  shortfalls: Shortfall[]
  /** Worst share of what is allowed over the whole rail; null where no loads are known. */
  worst: number | null
  /** True when no choice has fewer fixings. */
  fewestProved: boolean
  /** So many fixings and fewer are excluded. */
  excluded: number
  /** How it was fixed round what is there; null where it was planned from nothing. */
  followed: Omit<Followed, 'picks'> | null
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

/** Judges of rails by their place in the list; empty where nobody has said what loads the roof. */
export type Judges = (RailJudge | null)[]

/** Every rail's places, rules and judge, with what has been found out about them. */
export interface FixingProblem { rails: RailProblem[], ways: WaysMemo, chosen: Map<FixingPattern, PatternResult | null> }

/** The choice by one pattern, made once. */
function chosenBy({ rails, ways, chosen }: FixingProblem, limits: RailLimits, pattern: FixingPattern): PatternResult | null {
  const ready = chosen.get(pattern)
  if (ready !== undefined) return ready
  const made = choosePattern(pattern, rails, limits, ways)
  chosen.set(pattern, made)
  return made
}

/** Where every rail may be fixed, by which rules and judged by what. */
export function fixingProblem(rails: RailPlan[], places: PlacesForRail, limits: RailLimits, judges: Judges = []): FixingProblem {
  return {
    ways: new Map(), chosen: new Map(),
    rails: rails.map((rail, r) => {
      const { reach } = rail
      const own = placesOutside(places(rail), rail.keepsOff)
      const judge = judges[r] ?? null
      const even = judge && evenWays(own, reach, judge.rules, judge.atLeast)
      return even?.ways.length
        ? { reach, judge, candidates: even.candidates, even: even.ways, finite: false }
        : {
            reach,
            judge,
            candidates: candidatesOf(own, reach, judge?.rules ?? limits),
            even: null,
            finite: !own.intervals.length,
          }
    }),
  }
}

/**
 * Fixes every rail of an array: the fewest fixings whose spans and overhangs keep the local rules, chosen over
 * all rails together by the pattern asked for, and pass the whole-rail check where there is one.
 * @param doubled every rail's ends are held by two fixings each, whatever the fewest are
 */
export function placeFixings(rails: RailPlan[], problem: FixingProblem, limits: RailLimits, wanted: FixingPattern, doubled = false): FixingsPlan {
  const { rails: problems } = problem
  const asked = chosenBy(problem, limits, wanted)
  const chosen = asked ?? chosenBy(problem, limits, 'soft-stagger')!
  const picks = chosen.picks.map((own, r) => doubled ? doubledEnds(own, problems[r]!.candidates) : own)
  return {
    rails: rails.map((rail, r) => railFixings(rail, problems[r]!, picks[r]!, { fewestProved: chosen.proved[r]!, excluded: chosen.excluded[r]! }, limits, picks[r]!.length - chosen.picks[r]!.length)),
    total: picks.reduce((sum, own) => sum + own.length, 0), pattern: asked ? wanted : 'soft-stagger',
    // Ends that are doubled take more than the fewest: nothing is claimed of those.
    membersUsed: doubled ? new Set(picks.flatMap((own, r) => own.map(i => problems[r]!.candidates[i]!.member))).size : chosen.members, fewestProved: !doubled && chosen.proved.every(Boolean), spreadProved: !doubled && chosen.spreadProved,
  }
}

/**
 * Fixes every rail round what is there on the roof, each by itself: holes in use stay, and as little changes as can.
 * @param hurried first answers are wanted at once
 */
export function followFixings(rails: RailPlan[], problem: FixingProblem, limits: RailLimits, pattern: FixingPattern, rounds: RailRound[], { hurried, doubled }: { hurried: boolean, doubled: boolean }): FixingsPlan {
  const followed = problem.rails.map((rail, r) => {
    const own = followRail(rail, limits, rounds[r]!, hurried)
    return doubled ? { ...own, picks: doubledEnds(own.picks, rail.candidates) } : own
  })
  const members = new Set(followed.flatMap(({ picks }, r) => picks.map(i => problem.rails[r]!.candidates[i]!.member)))
  return {
    rails: rails.map((rail, r) => {
      const { picks, ...how } = followed[r]!
      const fixed = railFixings(rail, problem.rails[r]!, picks, { fewestProved: false, excluded: 0 }, limits)
      return { ...fixed, followed: how, working: { ...fixed.working, formula: 'least changes from the layout followed, holes in use kept, xᵢ₊₁ − xᵢ ≤ s, overhangs ≤ o', source: followedClaim(how), basis: how.proved ? 'solved exactly' : 'best of those tried' } }
    }),
    total: followed.reduce((sum, { picks }) => sum + picks.length, 0), pattern, membersUsed: members.size, fewestProved: false, spreadProved: false,
  }
}

/** What every pattern would take on these rails, so that the price of one can be seen before it is asked for. */
export const patternTotals = (problem: FixingProblem, limits: RailLimits): PatternTotals =>
  Object.fromEntries(fixingPatterns.map(pattern => [pattern, chosenBy(problem, limits, pattern)?.total ?? null])) as PatternTotals

function railFixings(rail: RailPlan, { candidates, reach, judge }: RailProblem, picks: number[], { fewestProved, excluded }: Pick<RailFixings, 'fewestProved' | 'excluded'>, limits: RailLimits, added = 0): RailFixings {
  const times = new Map<string, number>()
  const fixings = picks.map((i): Fixing => {
    const { atMm, member, state, chance, timber } = candidates[i]!
    const nth = (times.get(member) ?? 0) + 1
    times.set(member, nth)
    return { id: `${rail.id} ${member}${nth > 1 ? ` ${nth}` : ''}`, atMm, member, state, chance, timber }
  })
  const spansMm = fixings.slice(1).map((fixing, i) => fixing.atMm - fixings[i]!.atMm)
  const whole = reach.toMm - reach.fromMm
  const missing = shortfalls(candidates, reach, limits)
  const worst = judge && fixings.length ? judge.worst(fixings.map(fixing => fixing.atMm)) : null
  const known = Math.max(0, Math.min(excluded, candidates.length))
  const claim = claimOf({ fixings, shortfalls: missing, fewestProved, excluded: known, worst }, judge !== null, picks.length - added)
  return {
    railId: rail.id, fixings, spansMm, longestSpanMm: Math.max(0, ...spansMm),
    overhangStartMm: fixings.length ? fixings[0]!.atMm - reach.fromMm : whole,
    overhangEndMm: fixings.length ? reach.toMm - fixings.at(-1)!.atMm : whole,
    shortfalls: missing, fewestProved, excluded: known, worst, followed: null,
    working: {
      what: `Fixings of rail ${rail.number}`,
      formula: `fewest k with x₁ − L ≤ o, xᵢ₊₁ − xᵢ ≤ s, R − xₖ ≤ o${added ? `, and ${added} to double its ends` : ''}`,
      values: [
        { symbol: 'L', what: 'where its modules begin', value: length(reach.fromMm) },
        { symbol: 'R', what: 'where they end', value: length(reach.toMm) },
        { symbol: 's', what: 'allowed span', value: length(limits.maxSpanMm), from: limits.spanWorking.what },
        { symbol: 'o', what: 'allowed overhang', value: length(limits.maxOverhangMm), from: limits.overhangWorking.what },
        { symbol: 'c', what: 'places on supports under the rail', value: count(candidates.length, 'places') },
      ],
      result: count(fixings.length, fixings.length === 1 ? 'fixing' : 'fixings'),
      source: added ? `${claim}; ${added} more double its ends` : claim, basis: fewestProved && !added ? 'solved exactly' : 'best of those tried',
    },
  }
}

/** What may be said of a rail's count. */
function claimOf(rail: Pick<RailFixings, 'fixings' | 'shortfalls' | 'fewestProved' | 'excluded' | 'worst'>, judged: boolean, found: number): string {
  if (rail.shortfalls.length) return 'Shortest path over the places under the rail; the rules can’t all be kept here and are broken as little as can be'
  if (!judged) return 'Shortest path over the places under the rail, so no choice has fewer'
  const how = 'a rail as stiff at its splices as elsewhere, with couplers that turn'
  return rail.fewestProved
    ? `Every choice with ${found - 1} or fewer breaks a rule or fails a check of the whole rail: excluded by bounds that hold for every choice, on ${how}`
    : `${found} found${fewestWords(rail)}, on ${how}`
}
