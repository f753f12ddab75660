import type { Point } from './point'

/** Area of a ring by the shoelace formula, square mm: positive when it runs anticlockwise. */
export const signedAreaMm2 = (ring: Point[]): number =>
  ring.reduce((sum, point, i) => {
    const next = ring[(i + 1) % ring.length]!
    return sum + point.x * next.y - next.x * point.y
  }, 0) / 2

/** Twice the area of the triangle a, b, c: positive when they turn left. */
const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)

const touches = (a: Point, b: Point, c: Point): boolean =>
  turn(a, b, c) === 0 && Math.min(a.x, b.x) <= c.x && c.x <= Math.max(a.x, b.x) && Math.min(a.y, b.y) <= c.y && c.y <= Math.max(a.y, b.y)

function meet(a: Point, b: Point, c: Point, d: Point): boolean {
  const across = turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0
  return across || touches(a, b, c) || touches(a, b, d) || touches(c, d, a) || touches(c, d, b)
}

/** The first two edges of a ring that meet other than at a shared corner, by the corners they start at; null for a simple ring. */
export function firstCrossing(ring: Point[]): [number, number] | null {
  const n = ring.length
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const neighbours = j === i + 1 || (i === 0 && j === n - 1)
      const [a, b, c, d] = [ring[i]!, ring[(i + 1) % n]!, ring[j]!, ring[(j + 1) % n]!]
      if (neighbours ? foldsBack(a, b, c, d) : meet(a, b, c, d)) return [i, j]
    }
  }
  return null
}

/** Two edges that share a corner may not run back over each other. */
function foldsBack(a: Point, b: Point, c: Point, d: Point): boolean {
  const shared = b.x === c.x && b.y === c.y
  const [tip, one, other] = shared ? [b, a, d] : [a, b, c]
  const along = (one.x - tip.x) * (other.x - tip.x) + (one.y - tip.y) * (other.y - tip.y)
  return turn(tip, one, other) === 0 && along > 0
}

/** True where the ring (anticlockwise) turns right: an inner corner, as in the crook of an L. */
export const isInnerCorner = (ring: Point[], i: number): boolean =>
  turn(ring[(i + ring.length - 1) % ring.length]!, ring[i]!, ring[(i + 1) % ring.length]!) < 0
