import type { ChosenParts } from '../catalogue'
import { type Interval, contains, intersect, middleOf, nearest } from '../geometry'
import { type ArrayRules, plainRow } from '../job'
import type { RowPlan } from '../rows'
import type { Working } from '../working'
import { length, words } from '../units'

export type RailSide = 'lower' | 'upper'

/** One rail as it runs across the face. */
export interface RailPlan {
  id: string
  /** From the eave, 1 first. */
  number: number
  row: number
  /** Which run of its row it carries, 0 first from the left. */
  block: number
  side: RailSide
  /** Height of the rail's centre line up the slope, mm. */
  yMm: number
  /** Clamp zone at this rail, mm up the slope. */
  zone: Interval
  inZone: boolean
  /** True when a mount under the rail sits whole on one course. */
  onCourse: boolean
  /** True when there is something under the rail to fix it to, as far as its height decides that. */
  onSupport: boolean
  /** The height nearest the middle of the zone that the supports and the covering allow too; null when there is none. */
  bestMm: number | null
  typed: boolean
  /** Outer edges of the modules it carries: overhangs are measured to these, mm. */
  leftMm: number
  rightMm: number
  /** The rail's own trimmed ends, mm. */
  fromMm: number
  toMm: number
  working: Working
}

/** Zone in which a rail may run, mm up the slope, for one side of a row. */
function zoneOf(row: Pick<RowPlan, 'bottomMm' | 'topMm'>, side: RailSide, zone: Interval): Interval {
  return side === 'lower'
    ? { fromMm: row.bottomMm + zone.fromMm, toMm: row.bottomMm + zone.toMm }
    : { fromMm: row.topMm - zone.toMm, toMm: row.topMm - zone.fromMm }
}

/** Heights up the slope that a rail may run at, mm, by what limits them; null where nothing does. */
export interface RailHeights { covering: Interval[], supports: Interval[] | null }

/**
 * The height in a zone nearest its middle at which both supports and covering let a rail run; where the two share nothing,
 * one at which there is at least something to fix it to. Null where the zone has no such height.
 */
function bestHeight(zone: Interval, { covering, supports }: RailHeights): number | null {
  const found = nearest(intersect(intersect([zone], covering), supports ?? [zone]), middleOf(zone))
  return found ?? (supports && nearest(intersect([zone], supports), middleOf(zone)))
}

/**
 * Two rails for every run of a row. A rail that nobody has placed runs at the middle of the clamp zone, or as near to
 * it as supports and covering let it; where they share nothing the zone wins and a finding says so.
 */
export function placeRails(rows: RowPlan[], array: ArrayRules, parts: ChosenParts, heights: RailHeights): RailPlan[] {
  const zones = parts.module.clampZones
  let number = 0
  return rows.flatMap((row) => {
    const rule = array.rows[row.index] ?? plainRow
    const zoneOnEdge = row.orientation === 'upright' ? zones.longEdge : zones.shortEdge
    return row.blocks.flatMap((block, b) => (['lower', 'upper'] as const).map((side): RailPlan => {
      const zone = zoneOf(row, side, zoneOnEdge)
      const typedMm = side === 'lower' ? rule.lowerRailMm : rule.upperRailMm
      const bestMm = bestHeight(zone, heights)
      const yMm = typedMm === null ? bestMm ?? middleOf(zone) : row.bottomMm + typedMm
      return {
        id: `row${row.index + 1}${b ? `-${b + 1}` : ''}-${side}`, number: ++number, row: row.index, block: b, side, yMm, zone,
        inZone: contains(zone, yMm), onCourse: heights.covering.some(interval => contains(interval, yMm)),
        onSupport: heights.supports === null || heights.supports.some(interval => contains(interval, yMm)), bestMm, typed: typedMm !== null,
        leftMm: block.leftMm, rightMm: block.rightMm,
        fromMm: block.leftMm - parts.clamps.railPastMm, toMm: block.rightMm + parts.clamps.railPastMm,
        working: heightWorking(yMm, zone, typedMm !== null, bestMm !== null),
      }
    }))
  })
}

const heightWorking = (yMm: number, zone: Interval, typed: boolean, onCourse: boolean): Working => ({
  what: 'Height of the rail up the slope',
  formula: typed ? 'y as typed' : onCourse ? 'y = place on a course nearest to (z₁ + z₂) / 2' : 'y = (z₁ + z₂) / 2',
  values: [
    { symbol: 'z₁', what: 'lower end of the clamp zone', value: length(zone.fromMm) },
    { symbol: 'z₂', what: 'upper end of the clamp zone', value: length(zone.toMm) },
    { symbol: 'c', what: 'mount whole on one course', value: words(onCourse ? 'yes, somewhere in the zone' : 'nowhere in the zone') },
  ],
  result: length(yMm),
  source: 'Clamp zone by the module’s maker; course heights by the survey', basis: typed ? 'typed on this job' : 'maker',
})
