import { type Interval, TOLERANCE_MM } from '../geometry'
import { movedRail, type RailLimits, type RailPlan } from '../rails'
import type { PlacesForRail } from '../supports'
import type { FixingPattern } from '../job'
import { FULL } from './judge'
import { type FixingsPlan, fixingProblem, type Judges, placeFixings } from './place'

/** What balancing an array would do. */
export interface Balance {
  /** Move of the whole array from where it stands, mm to the right. */
  shiftMm: number
  before: BalanceFigures
  after: BalanceFigures
  /** Shifts that were tried. */
  tried: number
}

export interface BalanceFigures { fixings: number, shortfalls: number, overhangDifferenceMm: number }

/** Greatest difference between the two end overhangs of any rail, mm. */
export const overhangDifferenceMm = (plan: FixingsPlan): number =>
  Math.max(0, ...plan.rails.map(rail => Math.abs(rail.overhangStartMm - rail.overhangEndMm)))

/** What a choice of fixings comes to where shifts are compared. */
export const balanceFigures = (plan: FixingsPlan): BalanceFigures => ({
  fixings: plan.total,
  shortfalls: plan.rails.reduce((sum, rail) => sum + rail.shortfalls.length + (rail.worst !== null && rail.worst > FULL ? 1 : 0), 0),
  overhangDifferenceMm: overhangDifferenceMm(plan),
})

/** The rails' fixings when the whole array has moved, mm to the right. */
export function fixMoved(rails: RailPlan[], shiftMm: number, places: PlacesForRail, limits: RailLimits, pattern: FixingPattern, judges: Judges = []): FixingsPlan {
  const moved = rails.map(rail => movedRail(rail, shiftMm))
  return placeFixings(moved, fixingProblem(moved, places, limits, judges), limits, pattern)
}

/** More shifts than this are thinned out evenly before they are tried. */
const MOST_SHIFTS = 600
/** And fewer still where every rail is checked whole at each. */
const MOST_JUDGED_SHIFTS = 120

/**
 * Finds the shift of the whole array that breaks the fewest rules, then needs the fewest fixings, then has the least
 * difference of end overhangs over all rails, then moves least. Tried are the shifts at which the number of fixings
 * can change (a support comes to a module's edge or to an overhang's limit) and those at which two supports lie evenly inside
 * a rail; between such shifts nothing but the overhangs changes, and they change linearly.
 * @param slack how far the array may move and still fit, mm
 * @param judgesAt the rails' judges when the array has moved, where loads are known
 */
export function balance(rails: RailPlan[], places: PlacesForRail, limits: RailLimits, pattern: FixingPattern, slack: Interval, judgesAt: ((shiftMm: number) => Judges) | null = null): Balance {
  const at = (shiftMm: number) => balanceFigures(fixMoved(rails, shiftMm, places, limits, pattern, judgesAt?.(shiftMm)))
  const shifts = shiftsToTry(rails, places, limits, slack, judgesAt ? MOST_JUDGED_SHIFTS : MOST_SHIFTS)
  const before = at(0)
  let best = { shiftMm: 0, figures: before }
  for (const shiftMm of shifts) {
    const figures = at(shiftMm)
    if (better({ shiftMm, figures }, best)) best = { shiftMm, figures }
  }
  return { shiftMm: best.shiftMm, before, after: best.figures, tried: shifts.length }
}

/** A shift with what it comes to. */
export interface Tried { shiftMm: number, figures: BalanceFigures }

/** Fewer broken rules, then fewer fixings, then overhangs more alike, then the lesser shift. */
export function better(a: Tried, b: Tried): boolean {
  if (a.figures.shortfalls !== b.figures.shortfalls) return a.figures.shortfalls < b.figures.shortfalls
  if (a.figures.fixings !== b.figures.fixings) return a.figures.fixings < b.figures.fixings
  const difference = a.figures.overhangDifferenceMm - b.figures.overhangDifferenceMm
  if (Math.abs(difference) > 0.01) return difference < 0
  return Math.abs(a.shiftMm) < Math.abs(b.shiftMm) - 0.01
}

/** The shifts worth trying, inside the slack, without repeats. */
export function shiftsToTry(rails: RailPlan[], places: PlacesForRail, limits: RailLimits, slack: Interval, most = MOST_SHIFTS): number[] {
  const shifts = [slack.fromMm, 0, slack.toMm]
  const seen = new Set<string>()
  for (const rail of rails) {
    // Moving along the eave does nothing to the ends of a rail up the slope; it may only come to lie on other supports.
    if (rail.way === 'up') continue
    const { fromMm: leftMm, toMm: rightMm } = rail.reach
    const { points, intervals } = places({ ...rail, reach: { fromMm: leftMm + slack.fromMm, toMm: rightMm + slack.toMm } })
    const xs = [...new Set([...points.map(point => point.atMm), ...intervals.flatMap(one => [one.fromMm, one.toMm])])]
    const key = JSON.stringify([leftMm, rightMm, xs])
    if (seen.has(key)) continue
    seen.add(key)
    for (const x of xs) {
      shifts.push(x - leftMm, x - leftMm - limits.maxOverhangMm, x - rightMm, x - rightMm + limits.maxOverhangMm)
    }
    // First and last fixing evenly inside the rail: (x₁ + x₂) / 2 in the middle of the row.
    const middleMm = (leftMm + rightMm) / 2
    const evens = xs.flatMap((x1, i) => xs.slice(i).map(x2 => (x1 + x2) / 2 - middleMm))
    shifts.push(...evens)
  }
  const inside = [...new Set(shifts.map(shift => Math.round(shift * 1e6) / 1e6))]
    .filter(shift => shift >= slack.fromMm - TOLERANCE_MM && shift <= slack.toMm + TOLERANCE_MM)
    .sort((a, b) => Math.abs(a) - Math.abs(b))
  const step = Math.ceil(inside.length / most)
  return inside.filter((_, i) => i % step === 0)
}
