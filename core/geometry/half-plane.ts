import type { Point, Region, Ring } from './point'

/** How far a point lies to the left of a directed line, times the line's length: negative to its right. */
const leftOf = (from: Point, to: Point, { x, y }: Point): number => (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)

/**
 * The part of a ring to the left of a directed line (Sutherland and Hodgman, 1974). Where the ring is hollowed, its parts stay joined
 * by edges along the line, which enclose nothing.
 */
function leftPart(ring: Ring, from: Point, to: Point): Ring {
  return ring.flatMap((point, i): Point[] => {
    const next = ring[(i + 1) % ring.length]!
    const [here, there] = [leftOf(from, to, point), leftOf(from, to, next)]
    const share = here / (here - there)
    const crossing = here * there < 0 ? [{ x: point.x + share * (next.x - point.x), y: point.y + share * (next.y - point.y) }] : []
    return here >= 0 ? [point, ...crossing] : crossing
  })
}

/** A region between two lines that both run upwards, the left one first: quick, and without the booleans that a page would have to load for it. */
export const between = (region: Region, left: [Point, Point], right: [Point, Point]): Region =>
  region.map(ring => leftPart(leftPart(ring, left[1], left[0]), right[0], right[1])).filter(ring => ring.length > 2)
