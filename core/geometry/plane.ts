import type { Interval } from './interval'
import type { Region } from './point'
import { signedAreaMm2 } from './ring'

/** Area in square mm, holes taken off. */
export const areaMm2 = (region: Region): number => Math.abs(region.reduce((sum, ring) => sum + signedAreaMm2(ring), 0))

/** Length of all edges, round holes too, mm. */
export const perimeterMm = (region: Region): number => region.reduce((sum, ring) => sum + ring.reduce((own, { x, y }, i) => {
  const to = ring[(i + 1) % ring.length]!
  return own + Math.hypot(to.x - x, to.y - y)
}, 0), 0)

/** An upright rectangle as a region. */
export const rectangle = (along: Interval, up: Interval): Region => [[
  { x: along.fromMm, y: up.fromMm }, { x: along.toMm, y: up.fromMm },
  { x: along.toMm, y: up.toMm }, { x: along.fromMm, y: up.toMm },
]]

/** Least upright rectangle round a region; null for an empty one. */
export function bounds(region: Region): { along: Interval, up: Interval } | null {
  const along = { fromMm: Infinity, toMm: -Infinity }
  const up = { fromMm: Infinity, toMm: -Infinity }
  // Plain loops: rows are sought at hundreds of heights, each of which asks.
  for (const ring of region) {
    for (const { x, y } of ring) {
      along.fromMm = Math.min(along.fromMm, x)
      along.toMm = Math.max(along.toMm, x)
      up.fromMm = Math.min(up.fromMm, y)
      up.toMm = Math.max(up.toMm, y)
    }
  }
  return along.fromMm === Infinity ? null : { along, up }
}
