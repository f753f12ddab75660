import type { Interval } from './interval'
import type { Point, Region } from './point'

/**
 * The stretch of a straight line that lies on a region, from where it first enters to where it last leaves, in the line's own
 * direction; null where the line misses it. The line goes on beyond both its points.
 */
export function lineAcross({ from, to }: { from: Point, to: Point }, region: Region): { from: Point, to: Point } | null {
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const lengthSquared = dx * dx + dy * dy
  if (lengthSquared === 0) return null
  const offOf = (point: Point) => (point.x - from.x) * dy - (point.y - from.y) * dx
  const alongOf = (point: Point) => ((point.x - from.x) * dx + (point.y - from.y) * dy) / lengthSquared
  const hits = region.flatMap(ring => ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length]!
    const [p, q] = [offOf(a), offOf(b)]
    // Touching along an edge counts from end to end.
    if (p === 0 && q === 0) return [alongOf(a), alongOf(b)]
    if ((p > 0 && q > 0) || (p < 0 && q < 0)) return []
    const share = p / (p - q)
    return [alongOf({ x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) })]
  }))
  if (hits.length < 2) return null
  const at = (share: number): Point => ({ x: from.x + share * dx, y: from.y + share * dy })
  return { from: at(Math.min(...hits)), to: at(Math.max(...hits)) }
}

/** The stretches of a level line at one height that lie in a region, from the left, mm; an edge along the line counts with what lies above it. */
export function stretchesAt(region: Region, yMm: number): Interval[] {
  const crossings = region.flatMap(ring => ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length]!
    if ((a.y > yMm) === (b.y > yMm)) return []
    return [a.x + (b.x - a.x) * (yMm - a.y) / (b.y - a.y)]
  })).sort((a, b) => a - b)
  return crossings.flatMap((toMm, i) => i % 2 ? [{ fromMm: crossings[i - 1]!, toMm }] : [])
}

/** The same for a line straight up the face, from below. */
export const stretchesUp = (region: Region, xMm: number): Interval[] => stretchesAt(region.map(ring => ring.map(({ x, y }) => ({ x: y, y: x }))), xMm)
