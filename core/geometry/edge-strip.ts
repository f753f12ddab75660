import { discAround } from './disc'
import type { Point, Region } from './point'
import { together } from './polygon'
import { isInnerCorner } from './ring'

/**
 * Everything within `depthMm` of a straight edge, inward of it. Edges run anticlockwise, so inward is to their left. Round an
 * inner corner the strip goes on as part of a disc; at outer corners the neighbours' strips close it.
 */
export function stripAlong(edge: { from: Point, to: Point }, ring: Point[], depthMm: number): Region {
  const dx = edge.to.x - edge.from.x
  const dy = edge.to.y - edge.from.y
  const length = Math.hypot(dx, dy)
  const inward = (point: Point): Point => ({ x: point.x - dy / length * depthMm, y: point.y + dx / length * depthMm })
  const corners = [edge.from, edge.to].filter(point => isInnerCorner(ring, ring.indexOf(point))).map(point => discAround(point, depthMm))
  return together([[[edge.from, edge.to, inward(edge.to), inward(edge.from)]], ...corners])
}
