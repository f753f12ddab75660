import type { Point, Region } from './point'

const SIDES = 64

/** A polygon that holds a whole disc: its sides touch the circle from outside, so nothing inside the circle is left out. */
export function discAround(middle: Point, radiusMm: number): Region {
  const outer = radiusMm / Math.cos(Math.PI / SIDES)
  return [Array.from({ length: SIDES }, (_, i) => {
    const angle = (i + 0.5) * 2 * Math.PI / SIDES
    return { x: middle.x + outer * Math.cos(angle), y: middle.y + outer * Math.sin(angle) }
  })]
}
