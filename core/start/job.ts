import { usualCovering } from '../coverings'
import {
  type Codes, CODES_KEY, COVERING_STATE_KEY, type Covering, type Face, factKey, type Job, noLoads, type PlaceLoads, plainKeepClear, placeValues, rulesOf, rulesUnder, starterFace, starterJob, type StartingParts,
} from '../job'
import { done, type Outcome } from '../outcome'
import type { UnitSystem } from '../units'
import { facesOf, type RoofDraft } from './roof'

/** What somebody says of a new job before it is opened; null where he has not. */
export interface JobDraft {
  title: string
  place: string
  units: UnitSystem
  codes: Codes
  roof: RoofDraft
  /** Names of the faces that carry modules; the others stay bare. */
  carries: string[]
  covering: Covering | null
  /** Rafters' spacing, centre to centre, and the first one's centre from the eave's left end, mm. */
  spacingMm: number | null
  firstCentreMm: number | null
  /** Modules for the whole roof; null: as many as fit. */
  wanted: number | null
  loads: PlaceLoads
}

/** The covering that most roofs of a country's tapes have (common practice). */
export const usualKind = (units: UnitSystem): Covering['kind'] => units === 'imperial' ? 'coursed-shingle' : 'interlocking-tile'
export const usualOn = (units: UnitSystem): Covering => usualCovering(usualKind(units), units === 'imperial')
export const usualSpacingMm = (units: UnitSystem): number => units === 'imperial' ? 24 * 25.4 : 600

/** A job as it is opened: what was said stands, the rest stands at usual sizes and is assumed until somebody reads it. */
export function startedJob(draft: JobDraft, parts: StartingParts): Outcome<Job> {
  const { units, roof, codes } = draft
  const laid = facesOf(roof, units)
  if (!laid.ok) return laid
  const plain = starterJob(draft.title, draft.place, units, parts)
  const covering = draft.covering ?? usualOn(units)
  const faces = laid.value.map((one, i): Face => {
    const face = starterFace(`face-${i + 1}`, one.name, units, parts)
    if (face.supports.kind !== 'rafters') return face
    const spacingMm = draft.spacingMm ?? usualSpacingMm(units)
    return {
      ...face, outline: one.outline, pitchDeg: one.pitchDeg, place: { ...face.place, ...one.place }, covering,
      supports: { ...face.supports, spacingMm, firstCentreMm: draft.firstCentreMm ?? face.supports.firstCentreMm },
      array: { ...face.array, rowCount: draft.carries.includes(one.name) ? null : 0 },
    }
  })
  const under = rulesUnder(codes)
  const loads = { ...noLoads, ...(under ? placeValues({ ...draft.loads, edition: under.loads }) : {}) }
  return done({
    ...plain, codes, wanted: draft.wanted, faces, loads, assumed: assumedOf(draft, faces),
    keepClear: under ? { ...plainKeepClear, ...rulesOf(under.keepClear) } : plainKeepClear,
  })
}

function assumedOf({ roof, covering, spacingMm, codes }: JobDraft, faces: Face[]): string[] {
  const onFaces = faces.flatMap(({ id }) => [
    ...(roof.eaveMm === null ? [factKey(id, 'outline/eaveLengthMm')] : []),
    ...(roof.slopeMm === null || (roof.reading !== 'slope' && roof.pitchDeg === null) ? [factKey(id, 'outline/slopeLengthMm')] : []),
    ...(roof.pitchDeg === null ? [factKey(id, 'pitchDeg')] : []),
    ...(roof.azimuthDeg === null ? [factKey(id, 'place')] : []),
    ...(covering === null ? [factKey(id, 'covering')] : []),
    ...(spacingMm === null ? [factKey(id, 'supports')] : []),
  ])
  return [...onFaces, ...(codes.kind === 'unsaid' ? [CODES_KEY] : []), COVERING_STATE_KEY].sort()
}
