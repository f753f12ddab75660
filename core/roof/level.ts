import type { Point } from '../geometry'

/**
 * An edge counts as level up to this rise along its run: taped faces are never true to a millimetre. It decides only which rule
 * an edge is under; distances are always taken square to the edge as it lies. The one definition of level in the project.
 */
export const LEVEL_WITHIN = 0.02

type Line = { from: Point, to: Point }

/** Whether an edge is level within 2 %. */
export const isLevel = ({ from, to }: Line): boolean => Math.abs(to.y - from.y) <= LEVEL_WITHIN * Math.abs(to.x - from.x)

/** An edge that is no farther out than this over its whole length is drawn and marked as true, mm: no tape shows it. */
const TRUE_MM = 0.5

/** Whether a line is level, or straight up the slope, as far as a tape can tell: one reading marks it. */
export const readsLevel = ({ from, to }: Line): boolean => Math.abs(to.y - from.y) < TRUE_MM
export const readsUpright = ({ from, to }: Line): boolean => Math.abs(to.x - from.x) < TRUE_MM

/** Up to which height points are level with the lowest of them, mm. */
export function lowestLineMm(points: Point[]): number {
  const xs = points.map(point => point.x)
  return Math.min(...points.map(point => point.y)) + LEVEL_WITHIN * (Math.max(...xs) - Math.min(...xs))
}

/** Where the tapes are hooked: of the lowest points, level with each other, the leftmost. */
export function lowestLeft<P extends Point>(points: P[]): P {
  const lineMm = lowestLineMm(points)
  return points.filter(point => point.y <= lineMm).reduce((best, point) => point.x < best.x || (point.x === best.x && point.y < best.y) ? point : best)
}
