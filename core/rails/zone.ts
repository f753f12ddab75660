import { type Interval, contains, intersect, middleOf, nearest } from '../geometry'
import { length, words } from '../units'
import type { Working } from '../working'
import type { RailLines } from '../rows'
import type { RailPlan } from './rail'

/** One line of each stretch, nearest to a zone's middle, the nearest of all first. */
const fromMiddle = (open: Interval[], middleMm: number): number[] => open.map(one => nearest([one], middleMm)!).sort((a, b) => Math.abs(a - middleMm) - Math.abs(b - middleMm))

/**
 * The line in a zone nearest its middle that both supports and covering let a rail run on; where the two share nothing, one on
 * which there is at least something to fix it to. Null where the zone has no such line.
 */
function bestLine(zone: Interval, { covering, supports, best }: RailLines, reaches: Interval[]): number | null {
  const open = intersect(intersect([zone], covering), supports ?? [zone])
  const found = best && reaches.length && open.length > 1 ? best(fromMiddle(open, middleOf(zone)), reaches) : nearest(open, middleOf(zone))
  return found ?? (supports && nearest(intersect([zone], supports), middleOf(zone)))
}

/**
 * Where a rail runs in its zone. One that nobody has placed runs at the middle of the clamp zone, or as near to it as supports
 * and covering let it; where they share nothing the zone wins and a finding says so.
 */
export function lineIn(zone: Interval, lines: RailLines, typedMm: number | null, reaches: Interval[] = []): Pick<RailPlan, 'lineMm' | 'zone' | 'inZone' | 'onCourse' | 'onSupport' | 'bestMm' | 'typed' | 'working'> {
  const bestMm = bestLine(zone, lines, reaches)
  const lineMm = typedMm ?? bestMm ?? middleOf(zone)
  return {
    lineMm, zone, bestMm, typed: typedMm !== null, inZone: contains(zone, lineMm), onCourse: lines.covering.some(interval => contains(interval, lineMm)),
    onSupport: lines.supports === null || lines.supports.some(interval => contains(interval, lineMm)), working: lineWorking(lineMm, zone, typedMm !== null, bestMm !== null),
  }
}

const lineWorking = (lineMm: number, zone: Interval, typed: boolean, onCourse: boolean): Working => ({
  what: 'Line of the rail',
  formula: typed ? 'y as typed' : onCourse ? 'y = place on a course nearest to (z₁ + z₂) / 2' : 'y = (z₁ + z₂) / 2',
  values: [
    { symbol: 'z₁', what: 'lower end of the clamp zone', value: length(zone.fromMm) },
    { symbol: 'z₂', what: 'upper end of the clamp zone', value: length(zone.toMm) },
    { symbol: 'c', what: 'mount whole on one course', value: words(onCourse ? 'yes, somewhere in the zone' : 'nowhere in the zone') },
  ],
  result: length(lineMm),
  source: 'Clamp zone by the module’s maker; course lines by the survey', basis: typed ? 'typed on this job' : 'maker',
})

/**
 * Share of a module's load that each of two rails takes, by the lever rule: a module whose middle lies between them at m has
 * its load carried in the ratio of the distances.
 * @param lowMm, highMm rails from the module's edge; `widthMm` its size across the rails
 */
export function leverShares(lowMm: number, highMm: number, widthMm: number): { low: number, high: number } {
  const apart = highMm - lowMm
  if (apart <= 1) return { low: 0.5, high: 0.5 }
  // A module that stands out far past one rail would lift off the other; neither is ever taken to carry less than a third.
  const low = Math.min(1.5, Math.max(1 / 3, (highMm - widthMm / 2) / apart))
  const high = Math.min(1.5, Math.max(1 / 3, (widthMm / 2 - lowMm) / apart))
  return { low, high }
}
