import type { ChosenParts } from '../catalogue'
import { intersect, type Interval, spanOf, unite } from '../geometry'
import type { ArrayRules, Orientation } from '../job'

/** Lines that a rail may run on, mm on the axis across it, by what limits them; null where nothing does. */
export interface RailLines {
  covering: Interval[]
  supports: Interval[] | null
  /** Chooses the line of a row's rail among those that its zone has, one a course, the nearest to the zone's middle first; none where all are alike. */
  best?: (options: number[], reaches: Interval[]) => number
}

/** Heights of a row's lower edge at which both its rails find a line, by how its modules lie; null where any height will do. */
export type RowHeights = (lies: { orientation: Orientation, heightMm: number }) => Interval[] | null

/** Rows keep this far inside, so that a rail never hangs on rounding, mm. */
const INSIDE_MM = 0.25

/**
 * Row heights that lines for rails across the roof leave: the rail nearest each edge has to find a line in its clamp zone.
 * @param up the face's own height: lines that cover all of it limit nothing
 */
export function heightsByLines({ module, rail }: Pick<ChosenParts, 'module' | 'rail'>, { railWay }: Pick<ArrayRules, 'railWay'>, { covering, supports }: RailLines, up: Interval): RowHeights {
  const lines = intersect(covering, supports ?? [up])
  const open = lines.some(line => spanOf(line) >= spanOf(up) - 1e-6)
  return ({ orientation, heightMm }) => {
    if (open || (railWay === 'up' && !rail.frame)) return null
    const { longEdge, shortEdge } = module.clampZones
    const zone = rail.frame ? { fromMm: 0, toMm: 0 } : orientation === 'upright' ? longEdge : shortEdge
    const zones = [zone, { fromMm: heightMm - zone.toMm, toMm: heightMm - zone.fromMm }]
    const [low, high] = zones.map(one => unite(lines.map(line => ({ fromMm: line.fromMm - one.toMm + INSIDE_MM, toMm: line.toMm - one.fromMm - INSIDE_MM })).filter(place => place.fromMm <= place.toMm)))
    const both = unite(intersect(low!, high!))
    // A covering finer than the clamp zone allows every height: no limit at all.
    return both.length === 1 && spanOf(both[0]!) > spanOf(up) ? null : both
  }
}

/** The lowest allowed height from one up; null where there is none. */
export const raisedTo = (allowed: Interval[] | null, mm: number): number | null =>
  allowed === null ? mm : allowed.reduce<number | null>((best, one) => one.toMm < mm - 1e-9 ? best : Math.min(best ?? Infinity, Math.max(one.fromMm, mm)), null)

/** One row of a stack, as far as heights go: what is allowed and how high it is; the gap below it that was typed, else the least. */
export interface Stacked { allowed: Interval[] | null, heightMm: number, gapMm: number, typed: boolean }

/** Lower edges of a stack whose first row stands no lower than a height, each as low as it may; null where one finds none. */
export function stackedFrom(fromMm: number, rows: Stacked[]): number[] | null {
  const bottoms: number[] = []
  let topMm: number | null = null
  for (const { allowed, heightMm, gapMm, typed } of rows) {
    const least: number = topMm === null ? fromMm : topMm + gapMm
    const bottomMm: number | null = typed && topMm !== null ? least : raisedTo(allowed, least)
    if (bottomMm === null) return null
    bottoms.push(bottomMm)
    topMm = bottomMm + heightMm
  }
  return bottoms
}

/** What the gaps between rows come to, mm. */
export const gapsOf = (bottoms: number[], rows: Stacked[]): number => bottoms.slice(1).reduce((sum, mm, i) => sum + mm - bottoms[i]! - rows[i]!.heightMm, 0)

/**
 * Heights of a first row at which the total of the gaps above it can be least. As the first row rises the total falls wherever a row
 * waits for its height, and stays where none does: it is least at the upper end of such a rise, which is where a row that stands tight on
 * those below it reaches the end of an allowed stretch, or begins one.
 */
export function firstHeights(rows: Stacked[], fromMm: number, toMm: number): number[] {
  const found = [fromMm, toMm]
  let belowMm = 0
  for (const { allowed, heightMm, gapMm } of rows) {
    if (belowMm > 0) belowMm += gapMm
    for (const one of allowed ?? []) found.push(one.fromMm - belowMm, one.toMm - belowMm)
    belowMm += heightMm
  }
  const first = rows[0]?.allowed ?? null
  const usable = found.filter(mm => mm >= fromMm - 1e-9 && mm <= toMm + 1e-9).flatMap(mm => raisedTo(first, mm) ?? [])
  return [...new Set(usable)].sort((a, b) => a - b)
}
