import type { Point } from '#core/geometry'
import { faceAxes } from '#core/roof'

/** The roof from above as it is drawn: y runs down on a screen and north is up. */
export const planPath = (points: Point[]): string => `M${points.map(point => `${point.x} ${-point.y}`).join('L')}Z`

/** What a drawing of outlines has to show, mm, with room round it as a share of the larger side. */
export function planBox(outlines: Point[][], room: number) {
  const all = outlines.flat()
  const [xs, ys] = [all.map(point => point.x), all.map(point => point.y)]
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const pad = Math.max(maxX - minX, maxY - minY) * room
  return { x: minX - pad, y: -maxY - pad, width: maxX - minX + 2 * pad, height: maxY - minY + 2 * pad, middle: { x: (minX + maxX) / 2, y: -(minY + maxY) / 2 } }
}

/** The middle of an outline's corners, as it is drawn. */
export const planMiddle = (points: Point[]): Point => ({ x: points.reduce((sum, point) => sum + point.x, 0) / points.length, y: -points.reduce((sum, point) => sum + point.y, 0) / points.length })

/** A short line down the slope of a face, so that it can be seen which way it falls; it begins `fromMm` below the middle. */
export function downhillPath(azimuthDeg: number, points: Point[], fromMm: number, lengthMm: number): string {
  const { uphill } = faceAxes(azimuthDeg)
  const at = planMiddle(points)
  return `M${at.x - fromMm * uphill.x} ${at.y + fromMm * uphill.y} l${-lengthMm * uphill.x} ${lengthMm * uphill.y}`
}
