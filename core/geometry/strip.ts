import { type Interval, unite } from './interval'
import type { Point, Region } from './point'

/** Corners of a region are kept to this, mm: an edge that reaches no farther into a strip only touches it. */
const TOUCH_MM = 1e-4

/**
 * The stretches of x at which the whole height of `band` lies inside the region: where a rectangle of that height may
 * stand. Exact for straight edges: an edge that passes through the band blocks just the stretch it passes over, and what is
 * left between blocked stretches lies wholly inside or wholly outside.
 */
export function freeIntervals(region: Region, band: Interval): Interval[] {
  const [lo, hi] = [band.fromMm + TOUCH_MM, band.toMm - TOUCH_MM]
  if (hi <= lo) return []
  const blocked: Interval[] = []
  for (const ring of region) {
    for (let i = 0; i < ring.length; i++) {
      const over = passesOver(ring[i]!, ring[(i + 1) % ring.length]!, lo, hi)
      if (over) blocked.push(over)
    }
  }
  const middle = (lo + hi) / 2
  const free: Interval[] = []
  const stretches = unite(blocked)
  for (let i = 1; i < stretches.length; i++) {
    const between = { fromMm: stretches[i - 1]!.toMm, toMm: stretches[i]!.fromMm }
    if (isInside(region, { x: (between.fromMm + between.toMm) / 2, y: middle })) free.push(between)
  }
  return free
}

/** The stretch of x over which the part of an edge between two heights runs; null where it stays outside them. */
function passesOver(a: Point, b: Point, lo: number, hi: number): Interval | null {
  const [low, high] = a.y <= b.y ? [a, b] : [b, a]
  if (high.y <= lo || low.y >= hi) return null
  const rise = high.y - low.y
  const at = (y: number) => rise === 0 ? low.x : low.x + (high.x - low.x) * (y - low.y) / rise
  const [x1, x2] = rise === 0 ? [low.x, high.x] : [at(Math.max(lo, low.y)), at(Math.min(hi, high.y))]
  return { fromMm: Math.min(x1, x2), toMm: Math.max(x1, x2) }
}

/** Whether a point lies inside a region, by counting the edges to its right. */
export function isInside(region: Region, { x, y }: Point): boolean {
  let inside = false
  for (const ring of region) {
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!]
      if ((a.y > y) !== (b.y > y) && x < a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y)) inside = !inside
    }
  }
  return inside
}
