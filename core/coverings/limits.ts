import type { Mount } from '../catalogue'
import { type Interval, subtract } from '../geometry'
import type { Covering, Outline, RailWay } from '../job'
import { shapeOf } from '../roof'
import type { RailLine } from '../supports'
import { courseLines } from './courses'

/** What of a mount meets the covering. */
export type Footprint = Pick<Mount, 'halfFootprintMm' | 'hook'>

/**
 * Heights at which a mount sits whole on one course of shingle, so that no part of it overhangs the course's lower edge: each
 * course less half the mount's footprint at both ends, and nothing where the footprint is taller than the course shows (common
 * practice: stay near the middle of the exposure). Null for coverings that have no such rule.
 */
function onCourses(covering: Covering, outline: Outline, { halfFootprintMm }: Footprint): Interval[] | null {
  if (covering.kind !== 'coursed-shingle') return null
  return courseLines(covering, outline)
    .map(line => ({ fromMm: line + halfFootprintMm, toMm: line + covering.exposureMm - halfFootprintMm }))
    .filter(interval => interval.fromMm <= interval.toMm)
}

/**
 * Stretches along the eave over which a hook's arm can leave an interlocking tile in its pan, clear of the side laps: the pan less
 * the arm's width, wider by what the arm may be set to either side of its plate. Null where no hook goes through such tiles.
 */
function inPans(covering: Covering, outline: Outline, { hook }: Footprint): Interval[] | null {
  if (covering.kind !== 'interlocking-tile' || !hook) return null
  const { along } = shapeOf(outline)
  const playMm = hook.travelMm - hook.armMm / 2
  const first = Math.floor((along.fromMm - covering.firstColumnMm) / covering.coverWidthMm) - 1
  const last = Math.ceil((along.toMm - covering.firstColumnMm) / covering.coverWidthMm)
  return Array.from({ length: last - first + 1 }, (_, k) => covering.firstColumnMm + (first + k) * covering.coverWidthMm)
    .map(left => ({ fromMm: left + covering.pan.fromMm - playMm, toMm: left + covering.pan.toMm + playMm }))
    .filter(pan => pan.fromMm <= pan.toMm)
}

/** How far a place along the eave stands from the nearest where a hook's arm can leave an interlocking tile, mm; 0 where it can. */
export function besidePanMm({ firstColumnMm, coverWidthMm, pan }: Extract<Covering, { kind: 'interlocking-tile' }>, hook: NonNullable<Mount['hook']>, xMm: number): number {
  const playMm = hook.travelMm - hook.armMm / 2
  const inTileMm = ((xMm - firstColumnMm) % coverWidthMm + coverWidthMm) % coverWidthMm
  const from = pan.fromMm - playMm
  const to = pan.toMm + playMm
  return Math.max(0, Math.min(...[inTileMm - coverWidthMm, inTileMm, inTileMm + coverWidthMm].map(x => Math.max(from - x, x - to))))
}

/** Lines on which the covering lets a rail run: heights of rails across, places along the eave of rails up the slope, mm. */
export function allowedRailLines(covering: Covering, outline: Outline, foot: Footprint, way: RailWay): Interval[] {
  const { along, up } = shapeOf(outline)
  return way === 'across' ? onCourses(covering, outline, foot) ?? [up] : inPans(covering, outline, foot) ?? [along]
}

/** Stretches along a rail in which the covering lets no mount stand: side laps of tiles across the roof, edges of courses up the slope. */
export function forbiddenStrips(covering: Covering, outline: Outline, foot: Footprint, { way, reach }: Pick<RailLine, 'way' | 'reach'>): Interval[] {
  const allowed = way === 'across' ? inPans(covering, outline, foot) : onCourses(covering, outline, foot)
  return allowed ? subtract(reach, allowed) : []
}
