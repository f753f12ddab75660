import { type Face, type Job, noPlaceLoads, plainRow, rafterRow, starterJob } from '../../core/job'
import { usualCovering } from '../../core/coverings'
import { blankRoof, startedJob } from '../../core/start'
import { pitchFromRise } from '../../core/units'
import { beforeMain, threePhases, toSubPanel, wholeBackup } from './grounds'
import { finishedJob } from './finished'
import { halfWayUp } from './half-way'
import { eelgrass, fennel, mizzen } from './in-roof-jobs'
import { groups, wiredBrackwater, wiredHaven } from './wiring'
import { brackwaterLoads, havenLoads, judged, laterLoads, loaded } from './weather'
import { alsoFaces, finds, hits, imperialParts, inch, job, metricParts, setbacks } from './make'

/** Invented jobs in invented towns. Their sizes, counts and sums are their own. */

/** Eleven of its rafters were found; the row plan is settled and nothing stops it. A gable: the front face is left bare. */
const ropewalkStart = starterJob('14 Ropewalk Rise', 'Saltmarsh Haven', 'imperial', imperialParts)
const ropewalk = job(ropewalkStart, {
  name: 'Rear face',
  outline: { kind: 'rectangle', eaveLengthMm: inch(31, 4.5), slopeLengthMm: inch(17, 2) },
  pitchDeg: pitchFromRise(7),
  place: { azimuthDeg: 195, eastMm: 0, northMm: 0, eaveHeightMm: inch(17, 6), storeys: 2 },
  supports: rafterRow(inch(0, 9.25), inch(1, 11.875), inch(0, 1.5), finds([[2, inch(2, 9)], [3, inch(4, 8.875)], [4, inch(6, 8.75)], [5, inch(8, 8.375)], [6, inch(10, 8.5)], [
    7,
    inch(12, 8.125),
  ],
  [9, inch(16, 7.75)], [10, inch(18, 7.875)], [12, inch(22, 7.5)], [13, inch(24, 7.25)], [14, inch(26, 7.375)]])),
  setbacks: setbacks(inch(1, 0), inch(1, 6), inch(3, 0), inch(3, 0), inch(1, 6), inch(1, 6), inch(1, 0)), windStripMm: inch(1, 0),
}, { rows: [plainRow, { ...plainRow, count: 6 }], rowCount: 2, shiftMm: inch(0, 3) }, {
  access: 'ladder', accessNote: 'Side gate, gravel to the rear wall.', altitudeM: 14, exposure: 'built-up', streetDeg: 15, drivewayDeg: 105,
  coveringState: 'sound', coveringAgeYears: 6, coveringYearsLeft: 28, decision: 'go-ahead', decisionNote: 'Shingle lifts without cracking at 60 °F.',
  hazards: ['high-eave', 'steep'], bring: ['ladder', 'roof-ladder', 'harness-anchors'], bringNote: 'Second ladder for the porch corner.',
})
ropewalk.faces.push(...alsoFaces(ropewalk, {
  kind: 'gable',
  lengthMm: inch(31, 4.5),
  depthMm: 2 * inch(17, 2) * Math.cos(Math.atan(7 / 12)),
  pitchDeg: pitchFromRise(7),
  azimuthDeg: 195,
}, ['Front'],
{ supports: rafterRow(inch(0, 9.25), inch(1, 11.875), inch(0, 1.5)), setbacks: ropewalk.faces[0]!.setbacks }, { rowCount: 0 }).map(face => ({ ...face, name: 'Street face' })))

/** Old timber: an irregular set, one gap wider than a light rail may span, and setbacks that push the row past the last rafter. */
const tallowYard = job(starterJob('3 Tallow Yard', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Street face', datum: 'right',
  outline: { kind: 'rectangle', eaveLengthMm: inch(26, 10), slopeLengthMm: inch(14, 7.5) },
  pitchDeg: pitchFromRise(9), place: { azimuthDeg: 140, eastMm: 0, northMm: 0, eaveHeightMm: inch(9, 2), storeys: 1 },
  supports: {
    ...rafterRow(inch(1, 5), inch(2, 8), inch(0, 2)), layout: 'irregular', timber: 'old',
    hits: hits([[inch(1, 5), 900, 'seen'], [inch(4, 3.5), 900, 'pilot-hit'], [inch(4, 4.25), 3300, 'knock'], [inch(6, 6.25), 900, 'knock'], [
      inch(10, 8.5),
      1200,
      'pilot-hit',
    ], [inch(12, 1.5), 900, 'seen'], [inch(14, 10), 900, 'knock'],
    [inch(14, 10.75), 3200, 'knock'], [inch(17, 3), 900, 'seen'], [inch(19, 11.5), 900, 'pilot-hit'], [inch(8, 7), 1000, 'pilot-miss']]),
  },
  setbacks: setbacks(inch(1, 0), inch(3, 0), inch(3, 0), inch(1, 6), inch(1, 6), inch(1, 6), inch(1, 0)),
}, { moduleId: 'skerry-390', orientation: 'on-side', rowGapMm: inch(0, 0.5), closureId: 'surface' }, {
  access: 'tower', exposure: 'coast', altitudeM: 5, streetDeg: 140, coveringState: 'brittle', coveringAgeYears: 24, coveringYearsLeft: 8, hazards: [
    'fragile',
    'public-below',
    'rotten-timber',
  ], bring: ['tower', 'walk-boards', 'debris-net'],
})

/** Metric, interlocking tile on hooks, fixings held in line, two rows of unlike length. */
const kelpQuay = job(starterJob('Kelp Quay 22', 'Brackwater', 'metric', metricParts), {
  name: 'South face',
  outline: { kind: 'rectangle', eaveLengthMm: 10_460, slopeLengthMm: 5870 },
  pitchDeg: 38, place: { azimuthDeg: 172, eastMm: 0, northMm: 0, eaveHeightMm: 5100, storeys: 2 },
  covering: { kind: 'interlocking-tile', gaugeMm: 338, coverWidthMm: 302, lengthMm: 420, firstCourseMm: 322, firstColumnMm: 75, pan: { fromMm: 70, toMm: 238 }, coursesRead: [{ course: 9, mm: 2689 }], coursesCounted: 18, battenMm: 38, battenDeepMm: 25 },
  supports: rafterRow(265, 610, 60, finds([[3, 1492], [6, 3302], [9, 5161], [12, 6968], [15, 8811]])),
  setbacks: setbacks(450, 500, 640, 640),
  broken: [{ id: 'broken-1', course: 3, unit: 4, by: 'Crew, on the way up', supplies: 'householder', on: '2026-05-04' }],
}, { mountId: 'windlass-tile-hook', fixingPattern: 'aligned', rows: [plainRow, { ...plainRow, count: 5 }] }, {
  access: 'tower', altitudeM: 9, exposure: 'coast', streetDeg: 352, coveringState: 'sound', coveringAgeYears: 19, coveringYearsLeft: 35, decision: 'go-ahead', hazards: [
    'high-eave',
    'slippery',
  ], bring: [
    'tower',
    'roof-ladder',
    'edge-protection',
  ],
})

/** A hipped slate roof: its west side taped with both diagonals, a chimney and a vent on it, rafters by a hit log with one slip. */
const netLoftStart = starterJob('5 Net Loft Row', 'Brackwater', 'metric', metricParts)
const slate: Face['covering'] = {
  kind: 'slate', lengthMm: 500, coverWidthMm: 250, lapMm: 90, nailing: 'centre', mayCut: true, firstCourseMm: 205, firstColumnMm: 30, coursesRead: [{ course: 10, mm: 1846 }, { course: 20, mm: 3872 }], coursesCounted: null, battenMm: 50, battenDeepMm: 25,
}
const netLoft = job(netLoftStart, {
  name: 'West face',
  outline: {
    kind: 'taped', form: 'quadrilateral', tapeSdMm: 3,
    sides: [{ mm: 12_440, edge: 'eave' }, { mm: 5982, edge: 'hip' }, { mm: 6015, edge: 'ridge' }, { mm: 5968, edge: 'hip' }],
    diagonals: [{ from: 0, to: 2, mm: 10_497 }, { from: 1, to: 3, mm: 10_512 }],
  },
  pitchDeg: 32, place: { azimuthDeg: 258, eastMm: 0, northMm: 0, eaveHeightMm: 2850, storeys: 1 }, covering: slate,
  supports: {
    ...rafterRow(320, 600, 47), layout: 'fitted',
    hits: hits([
      [1526, 900, 'pilot-hit'],
      [2717, 900, 'knock'],
      [3318, 2600, 'edge-left'],
      [4524, 900, 'seen'],
      [5098, 900, 'knock'],
      [6322, 3100, 'knock'],
      [7338, 900, 'knock'],
      [8117, 900, 'pilot-hit'],
      [9926, 800, 'knock'],
      [9940, 900, 'pilot-hit'],
    ]),
  },
  setbacks: setbacks(300, 400, 400, 400, 350, 400),
  obstructions: [
    { id: 'chimney', kind: 'chimney', round: false, xMm: 8420, yMm: 3790, widthMm: 620, heightMm: 480, clearanceMm: 200 },
    { id: 'vent', kind: 'vent', round: true, xMm: 3370, yMm: 4180, widthMm: 110, heightMm: 110, clearanceMm: 120 },
  ],
}, { moduleId: 'skerry-390', mountId: 'windlass-slate-hook', openFirst: { count: 3, mountId: 'windlass-slate-plate' }, rows: [plainRow, { ...plainRow, count: 4, gapBelowMm: 55 }] }, {
  access: 'ladder', altitudeM: 22, exposure: 'open', streetDeg: 78, coveringState: 'worn', coveringAgeYears: 61, coveringYearsLeft: 30, decision: 'go-ahead', decisionNote: 'Slates ring true; twelve spare in the shed.', hazards: [
    'fragile',
    'slippery',
  ], bring: [
    'ladder',
    'roof-ladder',
    'walk-boards',
  ],
})
netLoft.faces.push(...alsoFaces(netLoft, {
  kind: 'hip',
  lengthMm: 12_440,
  depthMm: 8640,
  pitchDeg: 32,
  endPitchDeg: 39.5,
  azimuthDeg: 258,
}, ['Front'], { covering: slate, supports: rafterRow(320, 600, 47), setbacks: netLoft.faces[0]!.setbacks }, { mountId: 'windlass-slate-hook', rowCount: 0 })
  .map((face, i) => ({ ...face, name: ['South end', 'East face', 'North end'][i]! })))

/** An L by running readings, low on the right where a porch's wall rises; its rafters run askew. */
const lean = 0.018
const capstanWalk = job(starterJob('30 Capstan Walk', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Garden face',
  outline: {
    kind: 'corners',
    corners: ([
      [0, 0, 'eave'],
      [inch(37, 8), 0, 'rake'],
      [inch(37, 8), inch(8, 7), 'ridge'],
      [inch(22, 5), inch(8, 7), 'wall'],
      [inch(22, 5), inch(18, 3), 'ridge'],
      [0, inch(18, 3), 'rake'],
    ] as const)
      .map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
  },
  pitchDeg: pitchFromRise(5), place: { azimuthDeg: 210, eastMm: 0, northMm: 0, eaveHeightMm: inch(8, 10), storeys: 1 },
  supports: {
    ...rafterRow(inch(0, 11), inch(2, 0), inch(0, 1.5)), layout: 'fitted',
    hits: hits(([
      [2, 600, -3, 'knock'],
      [2, 4800, 4, 'knock'],
      [5, 1400, 2, 'pilot-hit'],
      [8, 3900, -6, 'knock'],
      [10, 700, 5, 'edge-left'],
      [12, 2100, 180, 'knock'],
      [13, 1500, -2, 'seen'],
      [16, 900, 7, 'knock'],
      [18, 2200, -4, 'pilot-hit'],
    ] as const)
      .map(([rafter, yMm, off, state]) => [inch(0, 11) + (rafter - 1) * inch(2, 0) + lean * yMm + off - (state === 'edge-left' ? inch(0, 0.75) : 0), yMm, state])),
  },
  setbacks: setbacks(inch(1, 0), inch(1, 6), inch(3, 0), inch(1, 0), inch(1, 6), inch(1, 6), inch(1, 0)),
}, { orientation: 'upright', closureId: 'rings' }, {
  access: 'ladder',
  exposure: 'sheltered',
  altitudeM: 31,
  streetDeg: 30,
  drivewayDeg: 300,
  coveringState: 'sound',
  coveringAgeYears: 9,
  coveringYearsLeft: 26,
  decision: 'go-ahead',
  bring: ['ladder', 'harness-anchors'],
})

/** A screwed sheet over purlins, two of which were found: rails up the slope cross them. */
const oakumShed = job(starterJob('Oakum Shed 2', 'Brackwater', 'metric', metricParts), {
  name: 'Yard face', outline: { kind: 'rectangle', eaveLengthMm: 13_900, slopeLengthMm: 6240 }, pitchDeg: 15, place: {
    azimuthDeg: 188,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: 3600,
    storeys: 1,
  },
  covering: usualCovering('screwed-sheet', false),
  supports: {
    kind: 'purlins',
    member: 'purlin',
    firstMm: 190,
    spacingMm: 575,
    widthMm: 75,
    thicknessMm: 100,
    batten: null,
    found: [{ line: 2, centreMm: 771 }, { line: 5, centreMm: 2486 }],
  },
  setbacks: setbacks(350, 350, 500, 500),
}, { moduleId: 'skerry-390', mountId: 'cleat-sheet-foot', orientation: 'on-side', rowGapMm: 18, railWay: 'up' }, {
  access: 'lift',
  exposure: 'open',
  coveringState: 'sound',
  coveringAgeYears: 12,
  coveringYearsLeft: 30,
  decision: 'go-ahead',
  hazards: ['fragile', 'overhead-line'],
  bring: ['lift', 'edge-protection'],
})

/** A sheet fixed at its own screws: a foot takes the place of one. */
const gantryStore = job(starterJob('Gantry Store', 'Brackwater', 'metric', metricParts), {
  name: 'South slope', outline: { kind: 'rectangle', eaveLengthMm: 9870, slopeLengthMm: 4480 }, pitchDeg: 12, place: {
    azimuthDeg: 165,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: 4200,
    storeys: 1,
  },
  covering: { ...usualCovering('screwed-sheet', false), kind: 'screwed-sheet', ribMm: 245, coverWidthMm: 980, firstColumnMm: 0 },
  supports: { kind: 'screws', firstMm: 122, spacingMm: 245, firstRowMm: 160, rowSpacingMm: 350 },
  setbacks: setbacks(300, 300, 500, 500),
}, { moduleId: 'skerry-390', mountId: 'cleat-sheet-foot', rowGapMm: 58, rows: [{ ...plainRow, gapBelowMm: 200 }] }, {
  access: 'tower',
  exposure: 'open',
  coveringState: 'worn',
  coveringAgeYears: 20,
  coveringYearsLeft: 25,
  decision: 'go-ahead',
})

/** Clamps on standing seams: nothing goes through the metal. */
const bellbuoy = job(starterJob('1 Bellbuoy Lane', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Harbour face', outline: { kind: 'rectangle', eaveLengthMm: inch(28, 3), slopeLengthMm: inch(15, 9) }, pitchDeg: pitchFromRise(8), place: {
    azimuthDeg: 225,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: inch(18, 4),
    storeys: 2,
  },
  covering: { kind: 'standing-seam', coverWidthMm: inch(0, 16.5), profile: 'snap-lock', firstColumnMm: inch(0, 4) }, supports: { kind: 'seams', firstMm: inch(0, 4), spacingMm: inch(0, 16.5) },
  setbacks: setbacks(inch(1, 0), inch(1, 6), inch(3, 0), inch(3, 0)),
}, { mountId: 'cleat-seam' }, {
  access: 'lift',
  exposure: 'coast',
  coveringState: 'sound',
  coveringAgeYears: 3,
  coveringYearsLeft: 40,
  decision: 'go-ahead',
  hazards: ['slippery', 'high-eave'],
  bring: ['lift'],
})

/** Pressed metal tile, which dents unless one steps on the right part of it. */
const cinderLane = job(starterJob('6 Cinder Lane', 'Brackwater', 'metric', metricParts), {
  name: 'East face', outline: { kind: 'rectangle', eaveLengthMm: 8930, slopeLengthMm: 4990 }, pitchDeg: 24, place: {
    azimuthDeg: 95,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: 2650,
    storeys: 1,
  },
  covering: { kind: 'pressed-metal-tile', gaugeMm: 369, coverWidthMm: 1260, profile: 'pan', firstCourseMm: 350, firstColumnMm: 0, coursesRead: [], coursesCounted: null },
  supports: {
    ...rafterRow(240, 450, 45),
    hits: hits([
      [252, 800, 'seen'],
      [1149, 800, 'knock'],
      [2060, 1900, 'knock'],
      [2944, 800, 'edge-left'],
      [4296, 2500, 'knock'],
      [5660, 800, 'knock'],
      [6548, 800, 'pilot-hit'],
      [7894, 800, 'knock'],
    ]),
  },
  setbacks: setbacks(300, 300, 450, 450),
}, { moduleId: 'skerry-390', mountId: 'windlass-metal-tile' }, {
  access: 'ladder',
  exposure: 'built-up',
  coveringState: 'sound',
  coveringAgeYears: 15,
  coveringYearsLeft: 25,
  decision: 'go-ahead',
  hazards: ['fragile', 'slippery'],
  bring: ['ladder', 'walk-boards'],
  bringNote: 'Half-inch ply cut to the tile’s pitch.',
})

/** Shingle over plywood: feet made for sheathing, with one soft patch kept out. */
const sailmaker = job(starterJob('18 Sailmaker Court', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'South face', outline: { kind: 'rectangle', eaveLengthMm: inch(24, 9), slopeLengthMm: inch(16, 2) }, pitchDeg: pitchFromRise(6), place: {
    azimuthDeg: 170,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: inch(9, 0),
    storeys: 1,
  },
  supports: {
    kind: 'sheathing',
    thicknessMm: inch(0, 0.625),
    areas: [{ fromXMm: 0, toXMm: inch(17, 0), fromYMm: 0, toYMm: inch(16, 2) }, { fromXMm: inch(19, 0), toXMm: inch(24, 9), fromYMm: 0, toYMm: inch(16, 2) }],
  },
  setbacks: setbacks(inch(1, 0), inch(1, 6), inch(3, 0), inch(3, 0)),
}, { mountId: 'limpet-sheathing', closureId: 'underside' }, { access: 'ladder', exposure: 'sheltered', coveringState: 'sound', coveringAgeYears: 4, coveringYearsLeft: 30, decision: 'go-ahead' })

/** No rail at all: the modules' own frames are coupled, with a skirt along the eave. */
const halyardClose = job(starterJob('9 Halyard Close', 'Saltmarsh Haven', 'imperial', {
  ...imperialParts,
  railId: 'thole-coupled',
  mountId: 'thole-edge-foot',
  clampsId: 'thole-grip',
}), {
  name: 'Lane face', outline: { kind: 'rectangle', eaveLengthMm: inch(31, 4), slopeLengthMm: inch(15, 2) }, pitchDeg: pitchFromRise(6), place: {
    azimuthDeg: 205,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: inch(9, 3),
    storeys: 1,
  },
  supports: rafterRow(inch(0, 10), inch(1, 4), inch(0, 1.5), finds([[4, inch(4, 10.25)], [11, inch(14, 1.75)], [19, inch(24, 10)]])),
  setbacks: setbacks(inch(0, 9), inch(1, 6), inch(3, 0), inch(3, 0)),
}, { rowGapMm: inch(0, 0.5), orientation: 'on-side', closureId: 'half-circle' }, {
  access: 'ladder',
  exposure: 'sheltered',
  coveringState: 'sound',
  coveringAgeYears: 6,
  coveringYearsLeft: 24,
  decision: 'go-ahead',
})

/** Not begun: a starter face and nothing measured yet. */
const lampStart = startedJob({
  title: 'Lamp Steps 8', place: 'Brackwater', units: 'metric', codes: { kind: 'european' }, roof: blankRoof, carries: ['Front'], covering: null, eaveHeightMm: null, spacingMm: null, firstCentreMm: null, wanted: null, loads: noPlaceLoads,
}, { ...metricParts, mountId: 'windlass-tile-hook' })
if (!lampStart.ok) throw new Error(lampStart.problem)
const lampSteps = lampStart.value

/** One long row on a boat hall, more than a branch holds: it has to be split. */
const longshore = job(starterJob('Longshore Boat Hall', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'South slope', outline: { kind: 'rectangle', eaveLengthMm: inch(74, 3), slopeLengthMm: inch(11, 10) }, pitchDeg: pitchFromRise(5), place: {
    azimuthDeg: 184,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: inch(10, 4),
    storeys: 1,
  },
  supports: rafterRow(inch(1, 1), inch(2, 0), inch(0, 1.5), finds([[2, inch(3, 1.125)], [9, inch(17, 0.75)], [16, inch(31, 1.25)], [23, inch(45, 0.875)], [30, inch(59, 1.125)], [36, inch(71, 0.75)]])),
  setbacks: setbacks(inch(1, 0), inch(3, 0), inch(1, 6), inch(1, 6)),
}, { rows: [{ ...plainRow, count: 20, breaks: [10] }], rowCount: 1, closureId: 'underside' }, {
  access: 'ladder',
  exposure: 'open',
  altitudeM: 4,
  streetDeg: 4,
  coveringState: 'sound',
  coveringAgeYears: 7,
  coveringYearsLeft: 22,
  decision: 'go-ahead',
})

const settledJobs: Job[] = [
  wiredHaven(loaded(judged(ropewalk, 'us-2018'), havenLoads(132, 26, 'C')), groups.single), loaded(tallowYard, havenLoads(124, 22, 'C')), wiredBrackwater(loaded(kelpQuay, brackwaterLoads(26, 600)), groups.pair), lampSteps,
  wiredBrackwater(loaded(judged(netLoft, 'european'), brackwaterLoads(25, 700)), groups.four), wiredHaven(loaded(capstanWalk, laterLoads(120, 25)), groups.shutdown), wiredBrackwater(loaded(oakumShed, brackwaterLoads(24, 600)), groups.optimised), wiredBrackwater(loaded(gantryStore, brackwaterLoads(24, 600)), groups.strings('quillon-high')),
  wiredHaven(loaded(judged(bellbuoy, 'us-2012'), havenLoads(122, 22, 'C')), groups.pair), wiredBrackwater(loaded(cinderLane, brackwaterLoads(25, 800)), groups.single, { feed: 'middle' }), wiredBrackwater(loaded(mizzen, brackwaterLoads(25, 600)), groups.strings('quillon-high')), wiredHaven(loaded(sailmaker, laterLoads(112, 20)), groups.shutdown), wiredHaven(loaded(halyardClose, havenLoads(115, 20)), groups.single),
  wiredBrackwater(loaded(fennel, brackwaterLoads(24, 600)), groups.single, { feed: 'middle' }), wiredBrackwater(loaded(eelgrass, brackwaterLoads(24, 600)), groups.single, { feed: 'middle' }),
  wiredHaven(loaded(longshore, havenLoads(118, 20)), groups.pair, { school: 'fill', feed: 'middle' }),
]

/** Those that reach the grid too: they have to be wired before their boxes can be placed, so that is done when they are first looked at. */
const reach: Record<string, (job: Job) => Job> = { [bellbuoy.title]: toSubPanel, [capstanWalk.title]: wholeBackup, [halyardClose.title]: beforeMain, [fennel.title]: threePhases }

const idOf = (i: number): string => `2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d${String(i + 1).padStart(4, '0')}`
let halfWay: Job | null = null
const reached = new Map<string, Job>()

/** All of the demo. The last two are half-way up, and finished: they have to be planned before their crews can drill, so that is done when they are first looked at. */
export const demoJobs: { id: string, job: Job }[] = [
  ...settledJobs.map((settled, i) => ({
    id: idOf(i),
    get job() {
      const job = reached.get(settled.title) ?? reach[settled.title]?.(settled) ?? settled
      reached.set(settled.title, job)
      return job
    },
  })),
  {
    id: idOf(settledJobs.length),
    get job() {
      return halfWay ??= halfWayUp()
    },
  },
  {
    id: idOf(settledJobs.length + 1),
    get job() {
      return finishedJob()
    },
  },
]
