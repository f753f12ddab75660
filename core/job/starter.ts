import { MM_PER_INCH } from '../units'
import { plainKeepClear } from './rule-sets'
import type { SupportKind } from '../catalogue'
import { type Face, type FacePlace, type Job, noLoads, plainBuild, plainFeet, plainLoadout, plainTimber, plainVan, plainWiring, type RafterSupports, type Site, type Supports } from './schema'

const inch = (n: number) => n * MM_PER_INCH

/** The parts a new array starts from. */
export interface StartingParts { moduleId: string, railId: string, mountId: string, clampsId: string, supplyIds?: string[] }

/**
 * A new job with one face at common sizes, every one of which is there to be typed over with the tape's reading.
 * Spacing and setbacks are the usual nominal ones (common practice: 24 in or 600 mm, three feet or a metre).
 */
export function starterJob(title: string, place: string, units: Job['units'], parts: StartingParts): Job {
  return {
    format: 'upper-deck-job',
    formatVersion: 1,
    title,
    place,
    units,
    codes: { kind: 'unsaid' },
    wanted: null,
    assumed: [],
    site: plainSite,
    keepClear: plainKeepClear,
    loads: noLoads,
    van: plainVan,
    loadout: plainLoadout,
    wiring: plainWiring,
    log: [], proof: [], ground: null,
    faces: [starterFace('main', 'Main face', units, parts)],
  }
}

/** A site sheet nobody has filled in. */
export const plainSite: Site = {
  access: null, accessNote: '', altitudeM: null, exposure: null, streetDeg: null, drivewayDeg: null,
  coveringState: 'unseen', coveringAgeYears: null, coveringYearsLeft: null, decision: 'open', decisionNote: '', hazards: [], stops: [], bring: [], bringNote: '', crew: [],
}

/** Courses of which only the first has been read. */
export const nothingRead = { coursesRead: [], coursesCounted: null }

/** A face whose lie nobody has typed: facing south, over one storey. */
export const plainPlace: FacePlace = { azimuthDeg: 180, eastMm: 0, northMm: 0, eaveHeightMm: 2700, storeys: 1 }

/** Rafters at a typed spacing with nothing logged yet. */
export const rafterRow = (firstCentreMm: number, spacingMm: number, widthMm: number, found: RafterSupports['found'] = []): RafterSupports =>
  ({ kind: 'rafters', layout: 'nominal', firstCentreMm, spacingMm, widthMm, found, timber: 'sawn', spacings: { kind: 'nominals' }, hits: [] })

/** Supports of a kind at usual sizes (common practice), to be typed over with what is found. */
export function usualSupports(kind: SupportKind, units: Job['units']): Supports {
  const mm = (inches: number, metric: number) => units === 'imperial' ? inch(inches) : metric
  switch (kind) {
    case 'rafters': return rafterRow(mm(12, 300), mm(24, 600), mm(1.5, 45))
    case 'purlins': return { kind, member: 'purlin', firstMm: mm(12, 300), spacingMm: mm(24, 600), widthMm: mm(1.5, 50), thicknessMm: null, batten: null, found: [] }
    case 'seams': return { kind, firstMm: mm(8, 200), spacingMm: mm(16, 430) }
    case 'screws': return { kind, firstMm: mm(4.5, 125), spacingMm: mm(9, 250), firstRowMm: mm(6, 150), rowSpacingMm: mm(24, 600) }
    case 'sheathing': return { kind, thicknessMm: mm(0.625, 18), areas: [] }
  }
}

export function starterFace(id: string, name: string, units: Job['units'], parts: StartingParts): Face {
  const us = units === 'imperial'
  return {
    id, name, datum: 'left',
    outline: { kind: 'rectangle', eaveLengthMm: us ? inch(360) : 9000, slopeLengthMm: us ? inch(192) : 5000 },
    pitchDeg: us ? 26.565051177077994 : 35,
    covering: { kind: 'coursed-shingle', exposureMm: us ? inch(5.625) : 143, tabMm: null, firstCourseMm: us ? inch(5.625) : 143, firstColumnMm: 0, ...nothingRead },
    place: plainPlace,
    supports: usualSupports('rafters', units),
    timber: { ...plainTimber, ...(us ? { sheathingMm: inch(0.5) } : { sheathingMm: 0, densityKgM3: 350 }) },
    setbacks: us
      ? { eaveMm: inch(12), ridgeMm: inch(36), leftRakeMm: inch(36), rightRakeMm: inch(36), hipMm: inch(18), valleyMm: inch(18), wallMm: inch(12) }
      : { eaveMm: 300, ridgeMm: 900, leftRakeMm: 900, rightRakeMm: 900, hipMm: 450, valleyMm: 450, wallMm: 300 },
    yieldShare: 1, windStripMm: 0, reserved: [], lowEdgeMm: null, broken: [], obstructions: [], inRoof: null, feet: plainFeet, following: null,
    array: {
      ...plainBuild, ...parts, orientation: 'upright', columnGapMm: null, rowGapMm: us ? inch(0.5) : 15, rowCount: null, shiftMm: null, rows: [],
      columns: 'aligned', stackFrom: 'eave', fixingPattern: 'soft-stagger', allowedSpanMm: null, allowedOverhangMm: null, trimTailMm: us ? inch(3) : 80,
    },
  }
}
