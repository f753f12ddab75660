import { usualCovering } from '../coverings'
import {
  type Codes, CODES_KEY, COVERING_STATE_KEY, type Covering, type Face, factKey, type Job, noLoads, type PlaceLoads, plainKeepClear, placeValues, rulesOf, rulesUnder, starterFace, starterJob, type StartingParts, type Supports, usualSupports,
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
  /** Eave above ground, mm: wind goes by it. */
  eaveHeightMm: number | null
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
/** What fixings hold on to under a covering: a standing seam and a screwed sheet carry them themselves. */
export const usualSupport = (covering: Covering['kind']): Supports['kind'] => covering === 'standing-seam' ? 'seams' : covering === 'screwed-sheet' ? 'screws' : 'rafters'

/** A job as it is opened: what was said stands, the rest stands at usual sizes and is assumed until somebody reads it. */
export function startedJob(draft: JobDraft, parts: StartingParts): Outcome<Job> {
  const { units, roof, codes } = draft
  const laid = facesOf(roof, units)
  if (!laid.ok) return laid
  const plain = starterJob(draft.title, draft.place, units, parts)
  const covering = overRafters(draft.covering ?? usualOn(units), draft)
  const faces = laid.value.map((one, i): Face => {
    const face = starterFace(`face-${i + 1}`, one.name, units, parts)
    return {
      ...face, outline: one.outline, pitchDeg: one.pitchDeg, place: { ...face.place, ...one.place, ...(draft.eaveHeightMm === null ? {} : { eaveHeightMm: draft.eaveHeightMm }) }, covering,
      supports: supportsOf(draft, covering),
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

/**
 * Where columns begin is not asked before somebody stands at the eave: assumed so that the first rafter lies in the middle of a
 * pan, where a hook can leave; the survey asks for it.
 */
function overRafters(covering: Covering, draft: JobDraft): Covering {
  const supports = supportsOf(draft, covering)
  if (covering.kind !== 'interlocking-tile' || supports.kind !== 'rafters') return covering
  const { pan, coverWidthMm } = covering
  return { ...covering, firstColumnMm: ((supports.firstCentreMm - (pan.fromMm + pan.toMm) / 2) % coverWidthMm + coverWidthMm) % coverWidthMm }
}

function supportsOf({ units, spacingMm, firstCentreMm }: JobDraft, covering: Covering): Supports {
  const usual = usualSupports(usualSupport(covering.kind), units)
  if (usual.kind === 'seams' && covering.kind === 'standing-seam') return { ...usual, spacingMm: covering.coverWidthMm }
  return usual.kind === 'rafters' ? { ...usual, spacingMm: spacingMm ?? usualSpacingMm(units), firstCentreMm: firstCentreMm ?? usual.firstCentreMm } : usual
}

function assumedOf({ roof, covering, spacingMm, codes, eaveHeightMm }: JobDraft, faces: Face[]): string[] {
  // A wing that nobody has measured leaves the faces round it open.
  const wingOpen = roof.form === 'cross-gable' && [roof.wing.widthMm, roof.wing.outMm, roof.wing.atMm].includes(null)
  const onFaces = faces.flatMap(({ id }) => [
    ...(roof.eaveMm === null || wingOpen ? [factKey(id, 'outline/eaveLengthMm')] : []),
    ...(roof.slopeMm === null || wingOpen || (roof.reading !== 'slope' && roof.pitchDeg === null) ? [factKey(id, 'outline/slopeLengthMm')] : []),
    ...(roof.pitchDeg === null ? [factKey(id, 'pitchDeg')] : []),
    ...(roof.azimuthDeg === null ? [factKey(id, 'place/azimuthDeg')] : []),
    ...(eaveHeightMm === null ? [factKey(id, 'place/eaveHeightMm')] : []),
    ...(covering === null ? [factKey(id, 'covering')] : []), factKey(id, 'covering/courses'),
    ...(spacingMm === null ? [factKey(id, 'supports')] : []),
  ])
  return [...onFaces, ...(codes.kind === 'unsaid' ? [CODES_KEY] : []), COVERING_STATE_KEY].sort()
}
