import type { Point } from '../geometry'
import type { Face, FacePlace } from '../job'
import { radians } from '../units'
import { shapeOf } from './outline'

/** Directions in plan (x east, y north) of a face: along its eave to the right as seen from outside, and uphill. */
export function faceAxes(azimuthDeg: number): { along: Point, uphill: Point } {
  const angle = radians(azimuthDeg)
  const uphill = { x: -Math.sin(angle), y: -Math.cos(angle) }
  return { along: { x: uphill.y, y: -uphill.x }, uphill }
}

type Placed = { place: Pick<FacePlace, 'azimuthDeg' | 'eastMm' | 'northMm'>, pitchDeg: number }

/** A point of a face in plan, mm east and north. */
export function toPlan({ place, pitchDeg }: Placed, { x, y }: Point): Point {
  const { along, uphill } = faceAxes(place.azimuthDeg)
  const run = y * Math.cos(radians(pitchDeg))
  return { x: place.eastMm + x * along.x + run * uphill.x, y: place.northMm + x * along.y + run * uphill.y }
}

/** A point in plan as it lies on a face: along the eave and up the slope, mm. */
export function fromPlan({ place, pitchDeg }: Placed, point: Point): Point {
  const { along, uphill } = faceAxes(place.azimuthDeg)
  const [east, north] = [point.x - place.eastMm, point.y - place.northMm]
  return { x: east * along.x + north * along.y, y: (east * uphill.x + north * uphill.y) / Math.cos(radians(pitchDeg)) }
}

/** A face's outline in plan, mm east and north. */
export const planOutline = (face: Placed & Pick<Face, 'outline'>): Point[] => shapeOf(face.outline).region[0]!.map(point => toPlan(face, point))
