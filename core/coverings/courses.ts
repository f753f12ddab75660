import type { Interval } from '../geometry'
import type { Covering, Outline } from '../job'
import { shapeOf } from '../roof'

/** Lower edges of the courses, mm up the slope, from the first regular one to the ridge. */
export function courseLines(covering: Covering, outline: Outline): number[] {
  const lines: number[] = []
  const count = Math.floor((shapeOf(outline).up.toMm - covering.firstCourseMm) / covering.exposureMm + 1e-9)
  for (let i = 0; i <= count; i++) lines.push(covering.firstCourseMm + i * covering.exposureMm)
  return lines
}

/**
 * Heights at which a mount sits whole on one course of shingles, so that no part of it overhangs the course's
 * lower edge: each course less half the mount's footprint at both ends. Empty where the footprint is taller
 * than the course shows. Common practice: stay near the middle of the exposure.
 */
export function allowedRailHeights(covering: Covering, outline: Outline, halfFootprintMm: number): Interval[] {
  return courseLines(covering, outline)
    .map(line => ({ fromMm: line + halfFootprintMm, toMm: line + covering.exposureMm - halfFootprintMm }))
    .filter(interval => interval.fromMm <= interval.toMm)
}
