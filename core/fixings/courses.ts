import type { Interval } from '../geometry'
import type { RailLimits } from '../rails'
import type { PlacesForRail } from '../supports'
import { candidatesOf } from './candidates'
import { fewest, shortfalls, stepsFor } from './fewest'

/**
 * Chooses among the courses that a row's rail could be fixed in: where units are laid in a broken bond each course lets mounts through at
 * other places. The one that breaks the fewest local rules wins, then the one with the fewest fixings, then the first named.
 */
export const bestCourse = (places: PlacesForRail, limits: RailLimits) => (options: number[], reaches: Interval[]): number => {
  const judged = options.map((lineMm) => {
    const each = reaches.map((reach) => {
      const candidates = candidatesOf(places({ way: 'across', lineMm, reach }), reach, limits)
      const broken = shortfalls(candidates, reach, limits).length
      return { broken, fixings: candidates.length && !broken ? fewest(stepsFor(candidates.length, [{ atMm: candidates.map(one => one.atMm), reach }], limits)) : candidates.length }
    })
    return { lineMm, broken: each.reduce((sum, one) => sum + one.broken, 0), fixings: each.reduce((sum, one) => sum + one.fixings, 0) }
  })
  return judged.reduce((a, b) => b.broken < a.broken || (b.broken === a.broken && b.fixings < a.fixings) ? b : a).lineMm
}
