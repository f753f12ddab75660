import { type Face, plainInRoof, rafterRow, starterJob } from '../../core/job'
import { usualCovering } from '../../core/coverings'
import { alsoFaces, finds, job, metricParts, setbacks } from './make'

/** Plain tile on one side; the other is stripped to felt and battens for an in-roof array. Bats were seen. */
const mizzenStart = starterJob('Mizzen Terrace 11', 'Brackwater', 'metric', metricParts)
export const mizzen = job(mizzenStart, {
  name: 'Garden side', outline: { kind: 'rectangle', eaveLengthMm: 7340, slopeLengthMm: 5210 }, pitchDeg: 44, place: {
    azimuthDeg: 180,
    eastMm: 0,
    northMm: 0,
    eaveHeightMm: 5400,
    storeys: 2,
  },
  covering: usualCovering('plain-tile', false), supports: rafterRow(210, 400, 50, finds([[2, 612], [6, 2205], [11, 4213], [16, 6220]])),
  setbacks: setbacks(400, 400, 500, 500),
  obstructions: [{ id: 'window', kind: 'escape-window', round: false, xMm: 5900, yMm: 3100, widthMm: 780, heightMm: 980, clearanceMm: 150 }],
}, { moduleId: 'skerry-390', mountId: 'windlass-tile-hook' }, {
  access: 'tower',
  exposure: 'built-up',
  streetDeg: 0,
  coveringState: 'worn',
  coveringAgeYears: 70,
  coveringYearsLeft: 15,
  stops: [{ kind: 'bats', cleared: 'Licensed ecologist, letter of 3 April 2026: no roost' }],
  hazards: ['high-eave', 'steep', 'public-below'],
  bring: ['tower', 'tarpaulin'],
})
/** Ring-shank nails by an invented maker's figure: smooth ones don't hold battens down under an array that is the covering. */
const ringNailed = { rafterSpacingMm: 400, bendingMpa: 20, shearMpa: 3.6, nails: { kind: 'ring-shank' as const, diameterMm: 3.4, lengthMm: 90, headMm: 8, faxMpa: 7.2, perRafter: 2 } }
// The street side is covered anew, with framed modules stepped round a chimney.
mizzen.faces.push(...alsoFaces(mizzen, { kind: 'gable', lengthMm: 7340, depthMm: 2 * 5210 * Math.cos(44 * Math.PI / 180), pitchDeg: 44, azimuthDeg: 180 }, ['Front'], {
  covering: { ...usualCovering('plain-tile', false), firstColumnMm: 38, battenMm: 50 } as Face['covering'],
  supports: rafterRow(210, 400, 50),
  setbacks: mizzen.faces[0]!.setbacks,
  obstructions: [{ id: 'chimney', kind: 'chimney', round: false, xMm: 6050, yMm: 3560, widthMm: 690, heightMm: 560, clearanceMm: 150 }],
  inRoof: {
    ...plainInRoof, systemId: 'foreshore-frame', work: 're-roof', school: 'row', batten: ringNailed, found: { felt: 'done', battens: 'done', windows: 'unseen', vents: 'unseen', scaffold: 'done' }, foundBy: 'Crew lead', foundOn: '2026-04-20', coursesLaid: 2,
    battensRead: [{ batten: 1, mm: 266 }, { batten: 11, mm: 1264 }, { batten: 26, mm: 2767 }, { batten: 44, mm: 4569 }],
  },
}, { mountId: 'windlass-tile-hook', moduleId: 'skerry-390' }).map(face => ({ ...face, name: 'Street side' })))

/** A new build in stages: felt and battens are there, one course is laid, the roof window is set, and the roofer is asked for the rest. */
const fennelStart = starterJob('Fennel Field, plot 7', 'Brackwater', 'metric', metricParts)
export const fennel = job(fennelStart, {
  name: 'South face', outline: { kind: 'rectangle', eaveLengthMm: 9860, slopeLengthMm: 6180 }, pitchDeg: 35,
  place: { azimuthDeg: 176, eastMm: 0, northMm: 0, eaveHeightMm: 5050, storeys: 2 },
  covering: { kind: 'interlocking-tile', gaugeMm: 340, coverWidthMm: 300, lengthMm: 420, firstCourseMm: 318, firstColumnMm: 26, pan: { fromMm: 70, toMm: 236 }, coursesRead: [], coursesCounted: null, battenMm: 50, battenDeepMm: 25 },
  supports: rafterRow(180, 450, 47), setbacks: setbacks(300, 300, 350, 350),
  obstructions: [
    { id: 'window', kind: 'roof-window', round: false, xMm: 4940, yMm: 3260, widthMm: 780, heightMm: 980, clearanceMm: 60 },
    { id: 'soil-vent', kind: 'vent', round: true, xMm: 930, yMm: 4620, widthMm: 110, heightMm: 110, clearanceMm: 150 },
  ],
  inRoof: {
    ...plainInRoof, systemId: 'saltings-tray', work: 'new', batten: { ...ringNailed, rafterSpacingMm: 450 }, foundBy: 'Crew lead', foundOn: '2026-05-11', coursesLaid: 1,
    found: { felt: 'done', battens: 'done', windows: 'done', vents: 'done', scaffold: 'done' }, battensRead: [{ batten: 1, mm: 398 }, { batten: 4, mm: 1419 }, { batten: 9, mm: 3116 }, { batten: 15, mm: 5157 }],
    tasks: [
      { id: 'task-courses', trade: 'roofer', what: 'Lay the second course, whole tiles, and leave two pallets by the scaffold', due: '2026-05-18', done: false },
      { id: 'task-collar', trade: 'roofer', what: 'Set the collar for the cables in the felt under the top course', due: '2026-05-18', done: false },
    ],
    kwhPerKwp: 960,
  },
}, { moduleId: 'skerry-425', orientation: 'on-side' }, {
  access: 'tower', altitudeM: 18, exposure: 'built-up', streetDeg: 356, coveringState: 'sound', coveringAgeYears: 0, coveringYearsLeft: 60, decision: 'go-ahead', bring: ['edge-protection'],
})

/** A retrofit in a tiled roof, to be compared with rails on hooks on the same face. */
export const eelgrass = job(starterJob('2 Eelgrass Cottages', 'Brackwater', 'metric', metricParts), {
  name: 'Garden face', datum: 'right', outline: { kind: 'rectangle', eaveLengthMm: 8430, slopeLengthMm: 5340 }, pitchDeg: 40,
  place: { azimuthDeg: 205, eastMm: 0, northMm: 0, eaveHeightMm: 4300, storeys: 2 },
  covering: { kind: 'interlocking-tile', gaugeMm: 338, coverWidthMm: 302, lengthMm: 420, firstCourseMm: 330, firstColumnMm: 55, pan: { fromMm: 70, toMm: 238 }, coursesRead: [{ course: 9, mm: 2701 }], coursesCounted: 15, battenMm: 50, battenDeepMm: 25 },
  supports: rafterRow(240, 400, 50), setbacks: setbacks(350, 350, 400, 400),
  inRoof: {
    ...plainInRoof, systemId: 'foreshore-frame', work: 'retrofit', school: 'module', batten: ringNailed, found: { felt: 'done', battens: 'done', windows: 'unseen', vents: 'unseen', scaffold: 'missing' }, foundBy: 'Surveyor', foundOn: '2026-06-03', coursesLaid: 14,
    battensRead: [{ batten: 2, mm: 750 }, { batten: 6, mm: 2103 }, { batten: 9, mm: 3121 }, { batten: 13, mm: 4474 }], tasks: [{ id: 'task-scaffold', trade: 'scaffolder', what: 'Put up the scaffold with its lift below the eave', due: '2026-06-22', done: false }], kwhPerKwp: 930,
  },
}, { moduleId: 'skerry-390', mountId: 'windlass-tile-hook' }, {
  access: 'tower', altitudeM: 11, exposure: 'open', streetDeg: 25, coveringState: 'sound', coveringAgeYears: 22, coveringYearsLeft: 35, decision: 'go-ahead', bring: ['tower', 'edge-protection'],
})
