import { balanceFigures, better, candidatesOf, evenEnds, type FixingsPlan, fixMoved, type Judges, shiftsToTry } from '../fixings'
import type { FixingPattern } from '../job'
import { movedRail, type RailLimits, type RailPlan } from '../rails'
import type { RowsPlan } from '../rows'
import { placesOutside, type PlacesForRail } from '../supports'

/** An array in the middle of its region, and what it would stand on. */
export interface Standing {
  rows: Pick<RowsPlan, 'slack'>
  rails: RailPlan[]
  places: PlacesForRail
  limits: RailLimits
  pattern: FixingPattern
  /** The rails' judges when the array has moved; null where no loads are known. */
  judgesAt: ((shiftMm: number) => Judges) | null
}

/** Shifts looked at by the local rules alone. */
const MOST_LOOKED_AT = 90
/** Of those, so many are fixed in earnest. */
const MOST_TRIED = 5

/**
 * Where a new array stands along the eave, mm to the right of the middle: with the fewest fixings and then overhangs alike. Many
 * shifts are ranked by the local rules, with the spans that the middle really takes under load; the best few are then fixed and
 * judged as they would be built. Best of those tried; `balance` looks at more of them.
 */
export function standingShift({ rows: { slack }, rails, places, limits, pattern, judgesAt }: Standing): number {
  if (!slack || !rails.some(rail => rail.way === 'across')) return 0
  const at = (shiftMm: number): FixingsPlan => fixMoved(rails, shiftMm, places, limits, pattern, judgesAt?.(shiftMm))
  const middle = at(0)
  const rules = judgesAt ? usedRules(middle, limits) : limits
  const shifts = shiftsToTry(rails, places, limits, slack, MOST_LOOKED_AT)
  const ranked = shifts.map((shiftMm) => {
    const each = rails.map((rail) => {
      const moved = movedRail(rail, shiftMm)
      return evenEnds(candidatesOf(placesOutside(places(moved), moved.keepsOff), moved.reach, rules), moved.reach, rules)
    })
    const sum = (of: (one: typeof each[number]) => number) => each.reduce((total, one) => total + of(one), 0)
    return { shiftMm, figures: { shortfalls: sum(one => one.shortfalls), fixings: sum(one => one.fixings), overhangDifferenceMm: Math.max(...each.map(one => one.differenceMm)) } }
  }).sort((a, b) => better(a, b) ? -1 : better(b, a) ? 1 : 0)
  let best = { shiftMm: 0, figures: balanceFigures(middle) }
  for (const { shiftMm } of ranked.filter(one => one.shiftMm !== 0).slice(0, MOST_TRIED)) {
    const tried = { shiftMm, figures: balanceFigures(at(shiftMm)) }
    if (better(tried, best)) best = tried
  }
  return best.shiftMm
}

/** The local rules as loads narrow them: no longer spans and overhangs than the middle really has. */
function usedRules(plan: FixingsPlan, { maxSpanMm, maxOverhangMm }: RailLimits): Pick<RailLimits, 'maxSpanMm' | 'maxOverhangMm'> {
  const longest = Math.max(0, ...plan.rails.map(rail => rail.longestSpanMm))
  return { maxSpanMm: longest > 0 ? Math.min(maxSpanMm, longest * 1.02) : maxSpanMm, maxOverhangMm }
}
