import type { Point } from '../geometry'
import type { EdgeKind, FacePlace, Outline } from '../job'
import { lowestLeft } from './level'
import { fromPlan } from './placement'

/** One face drawn in plan: its corners anticlockwise, mm east and north, and what the edge after each is. */
export interface PlanFace { name: string, azimuthDeg: number, pitchDeg: number, corners: (Point & { edge: EdgeKind })[] }

/** A face taken from its plan into its own plane, with where it lies. */
export interface LaidFace { name: string, pitchDeg: number, outline: Outline, place: Pick<FacePlace, 'azimuthDeg' | 'eastMm' | 'northMm'> }

/** Readings below this are rounding, mm. */
const NOTHING_MM = 1e-6
const clean = (mm: number): number => Math.abs(mm) < NOTHING_MM ? 0 : mm

/**
 * Lays a face that is given in plan into its own plane at true lengths: along the eave as in plan, up the slope by
 * 1/cos(pitch). Its corners begin at the left end of its lowest eave, where the tapes are hooked.
 */
export function layFace({ name, azimuthDeg, pitchDeg, corners }: PlanFace): LaidFace {
  const loose = { place: { azimuthDeg, eastMm: 0, northMm: 0 }, pitchDeg }
  const local = corners.map(corner => ({ ...fromPlan(loose, corner), edge: corner.edge }))
  const eaves = local.filter(corner => corner.edge === 'eave')
  const first = local.indexOf(lowestLeft(eaves.length ? eaves : local))
  const origin = local[first]!
  const turned = [...local.slice(first), ...local.slice(0, first)]
  return {
    name, pitchDeg, place: { azimuthDeg, eastMm: corners[first]!.x, northMm: corners[first]!.y },
    outline: { kind: 'corners', corners: turned.map(({ x, y, edge }) => ({ xMm: clean(x - origin.x), yMm: clean(y - origin.y), edge })) },
  }
}
