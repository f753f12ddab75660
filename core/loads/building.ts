import type { Face, Job, RoofFormKind, RoofFraming } from '../job'
import { type FaceShape, shapeOf } from '../roof'
import { radians } from '../units'

/** The building as the wind sees it. */
export interface Building {
  form: RoofFormKind
  /** Mean roof height, mm. */
  meanHeightMm: number
  /** Ridge height, mm. */
  topMm: number
  /** In plan, across and along the ridge, mm. */
  widthMm: number
  lengthMm: number
  /** In plan from eave to ridge: the longer of half the width and the face's own run, mm. */
  runMm: number
  framing: RoofFraming
}

/** Typed sizes, or those that follow from the face: a gable twice as wide as its run and as long as its eave. */
export function buildingOf({ loads: { building } }: Pick<Job, 'loads'>, face: Face): Building {
  const shape = shapeOf(face.outline)
  const angle = radians(face.pitchDeg)
  const riseMm = (shape.up.toMm - shape.up.fromMm) * Math.sin(angle)
  const runMm = (shape.up.toMm - shape.up.fromMm) * Math.cos(angle)
  const form = building.form ?? (hasHips(shape) ? 'hip' : 'gable')
  const widthMm = building.widthMm ?? (form === 'monopitch' ? runMm : 2 * runMm)
  return {
    form, framing: building.framing,
    meanHeightMm: building.heightMm ?? Math.max(1000, face.place.eaveHeightMm + riseMm / 2),
    topMm: building.heightMm ?? Math.max(1000, face.place.eaveHeightMm + riseMm),
    widthMm, runMm: Math.max(runMm, form === 'monopitch' ? widthMm : widthMm / 2),
    lengthMm: building.lengthMm ?? shape.along.toMm - shape.along.fromMm,
  }
}

const hasHips = (shape: FaceShape): boolean => shape.edges.some(edge => edge.kind === 'hip')
