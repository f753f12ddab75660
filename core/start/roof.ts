import type { Outline } from '../job'
import { done, type Outcome, refused } from '../outcome'
import { type LaidFace, roofFaces, type RoofFormKind } from '../roof'
import { radians, type UnitSystem } from '../units'

/** What a tape can give of how far a slope goes: along it, in plan, or the ridge's height over the eave. */
export const slopeReadings = ['slope', 'run', 'ridge-height'] as const
export type SlopeReading = typeof slopeReadings[number]

/** A roof by what a tape gives on the ground and at the eave; null where nobody has read it yet. */
export interface RoofDraft {
  form: RoofFormKind
  /** Along the front eave, end to end, mm. */
  eaveMm: number | null
  reading: SlopeReading
  /** That reading of the front slope, mm. */
  slopeMm: number | null
  pitchDeg: number | null
  /** Of a hip's ends; null: as the sides. */
  endPitchDeg: number | null
  /** Of a cross gable: its width, how far it stands out, its middle from the front's left end, its pitch (null: as the roof). */
  wing: { widthMm: number | null, outMm: number | null, atMm: number | null, pitchDeg: number | null }
  /** Which way the front looks, degrees from north. */
  azimuthDeg: number | null
}

export const blankRoof: RoofDraft = {
  form: 'gable', eaveMm: null, reading: 'slope', slopeMm: null, pitchDeg: null, endPitchDeg: null, wing: { widthMm: null, outMm: null, atMm: null, pitchDeg: null }, azimuthDeg: null,
}

const FEET_MM = 304.8
/** A usual small house (common practice), to draw something true to scale until the tape has spoken. */
export const usualRoof = (units: UnitSystem) => units === 'imperial'
  ? { eaveMm: 30 * FEET_MM, slopeMm: 16 * FEET_MM, pitchDeg: 26.565051177077994, azimuthDeg: 180 }
  : { eaveMm: 9000, slopeMm: 5000, pitchDeg: 35, azimuthDeg: 180 }

/** Slope length from a reading, mm: s = run / cos(pitch), or s = height / sin(pitch). */
export function slopeLengthFrom(reading: SlopeReading, mm: number, pitchDeg: number): number {
  if (reading === 'slope') return mm
  return reading === 'run' ? mm / Math.cos(radians(pitchDeg)) : mm / Math.sin(radians(pitchDeg))
}

/** Corners that enclose a plain rectangle are two lengths, each to be typed over by itself. */
function plain(outline: Outline): Outline {
  if (outline.kind !== 'corners' || outline.corners.length !== 4) return outline
  const [a, b, c, d] = outline.corners.map(({ xMm, yMm }) => ({ xMm, yMm }))
  const kinds = outline.corners.map(one => one.edge).join()
  const near = (p: number, q: number) => Math.abs(p - q) < 0.01
  const square = near(a!.yMm, b!.yMm) && near(c!.yMm, d!.yMm) && near(b!.xMm, c!.xMm) && near(a!.xMm, d!.xMm) && near(a!.xMm, 0) && near(a!.yMm, 0)
  return square && kinds === 'eave,rake,ridge,rake' ? { kind: 'rectangle', eaveLengthMm: b!.xMm, slopeLengthMm: c!.yMm } : outline
}

/** The faces of a roof as far as it has been read, the rest at usual sizes; or a sentence that says what can't be. */
export function facesOf(roof: RoofDraft, units: UnitSystem): Outcome<LaidFace[]> {
  const usual = usualRoof(units)
  const pitchDeg = roof.pitchDeg ?? usual.pitchDeg
  const slopeMm = slopeLengthFrom(roof.reading, roof.slopeMm ?? usual.slopeMm * (roof.reading === 'slope' ? 1 : roof.reading === 'run' ? Math.cos(radians(pitchDeg)) : Math.sin(radians(pitchDeg))), pitchDeg)
  const lengthMm = roof.eaveMm ?? usual.eaveMm
  const runMm = slopeMm * Math.cos(radians(pitchDeg))
  const azimuthDeg = roof.azimuthDeg ?? usual.azimuthDeg
  if (slopeMm > 30_000) return refused('A slope is at most 30 m (98 ft) long: check the reading and the pitch.')
  const base = { lengthMm, depthMm: roof.form === 'lean-to' ? runMm : 2 * runMm, pitchDeg, azimuthDeg }
  const { wing } = roof
  const widthMm = wing.widthMm ?? Math.min(lengthMm, runMm) * 0.6
  const faces = roof.form === 'hip'
    ? roofFaces({ kind: 'hip', ...base, endPitchDeg: roof.endPitchDeg ?? pitchDeg })
    : roof.form === 'cross-gable'
      ? roofFaces({ kind: 'cross-gable', ...base, wingWidthMm: widthMm, wingOutMm: wing.outMm ?? 1500, wingAtMm: wing.atMm ?? lengthMm / 2, wingPitchDeg: wing.pitchDeg ?? pitchDeg })
      : roofFaces({ kind: roof.form, ...base })
  return faces.ok ? done(faces.value.map(face => ({ ...face, outline: plain(face.outline) }))) : faces
}
