import { type Face, type Job, plainRow, starterJob } from '../../core/job'
import { pitchFromRise } from '../../core/units'

/** Invented jobs in invented towns. Their sizes, counts and sums are their own. */

const inch = (feet: number, inches: number) => (feet * 12 + inches) * 25.4
const imperialParts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const metricParts = { moduleId: 'lantern-460', railId: 'hawser-mid', mountId: 'windlass-flashed', clampsId: 'hawser-grip' }

/** A starter job with some facts of its one face replaced. */
function job(base: Job, face: Partial<Omit<Face, 'array'>>, array: Partial<Face['array']>): Job {
  const [first] = base.faces
  return { ...base, faces: [{ ...first!, ...face, array: { ...first!.array, ...array } }] }
}

/** Eleven of its rafters were found; the row plan is settled and nothing stops it. */
const ropewalk = job(starterJob('14 Ropewalk Rise', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Rear face',
  outline: { kind: 'rectangle', eaveLengthMm: inch(31, 4.5), slopeLengthMm: inch(17, 2) },
  pitchDeg: pitchFromRise(7),
  supports: {
    kind: 'rafters', firstCentreMm: inch(0, 9.25), spacingMm: inch(1, 11.875), widthMm: inch(0, 1.5),
    found: [[2, inch(2, 9)], [3, inch(4, 8.875)], [4, inch(6, 8.75)], [5, inch(8, 8.375)], [6, inch(10, 8.5)], [7, inch(12, 8.125)],
      [9, inch(16, 7.75)], [10, inch(18, 7.875)], [12, inch(22, 7.5)], [13, inch(24, 7.25)], [14, inch(26, 7.375)]].map(([rafter, centreMm]) => ({ rafter: rafter!, centreMm: centreMm! })),
  },
  setbacks: { eaveMm: inch(1, 0), ridgeMm: inch(1, 6), leftRakeMm: inch(3, 0), rightRakeMm: inch(3, 0), hipMm: inch(1, 6), valleyMm: inch(1, 6), wallMm: inch(1, 0) },
}, { rows: [plainRow, { ...plainRow, count: 6 }], rowCount: 2, shiftMm: inch(0, 3) })

/** Old timber: one gap wider than a light rail may span, and the setbacks push the row past the last rafter. */
const tallowYard = job(starterJob('3 Tallow Yard', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Street face', datum: 'right',
  outline: { kind: 'rectangle', eaveLengthMm: inch(26, 10), slopeLengthMm: inch(14, 7.5) },
  pitchDeg: pitchFromRise(9),
  supports: {
    kind: 'rafters', firstCentreMm: inch(1, 5), spacingMm: inch(2, 8), widthMm: inch(0, 2),
    found: [[1, inch(1, 5)], [2, inch(4, 3.5)], [3, inch(6, 6.25)], [4, inch(10, 8.5)], [5, inch(12, 1.5)], [6, inch(14, 10)], [7, inch(17, 3)], [8, inch(19, 11.5)]].map(([rafter, centreMm]) => ({ rafter: rafter!, centreMm: centreMm! })),
  },
  setbacks: { eaveMm: inch(1, 0), ridgeMm: inch(3, 0), leftRakeMm: inch(3, 0), rightRakeMm: inch(1, 6), hipMm: inch(1, 6), valleyMm: inch(1, 6), wallMm: inch(1, 0) },
}, { moduleId: 'skerry-390', orientation: 'on-side', rowGapMm: inch(0, 0.5) })

/** Metric, fixings held in line, modules upright in two rows of unlike length. */
const kelpQuay = job(starterJob('Kelp Quay 22', 'Brackwater', 'metric', metricParts), {
  name: 'South face',
  outline: { kind: 'rectangle', eaveLengthMm: 10_460, slopeLengthMm: 5_870 },
  pitchDeg: 38,
  supports: { kind: 'rafters', firstCentreMm: 265, spacingMm: 610, widthMm: 60, found: [[3, 1492], [6, 3302], [9, 5161], [12, 6968], [15, 8811]].map(([rafter, centreMm]) => ({ rafter: rafter!, centreMm: centreMm! })) },
  setbacks: { eaveMm: 450, ridgeMm: 500, leftRakeMm: 640, rightRakeMm: 640, hipMm: 450, valleyMm: 450, wallMm: 300 },
}, { fixingPattern: 'aligned', rows: [plainRow, { ...plainRow, count: 5 }], allowedSpanMm: 1250 })

/** A hip side taped with both diagonals, a chimney and a vent on it. */
const netLoft = job(starterJob('5 Net Loft Row', 'Brackwater', 'metric', metricParts), {
  name: 'West face',
  outline: {
    kind: 'taped', form: 'quadrilateral', tapeSdMm: 3,
    sides: [{ mm: 12_440, edge: 'eave' }, { mm: 5982, edge: 'hip' }, { mm: 6015, edge: 'ridge' }, { mm: 5968, edge: 'hip' }],
    diagonals: [{ from: 0, to: 2, mm: 10_497 }, { from: 1, to: 3, mm: 10_512 }],
  },
  pitchDeg: 32,
  supports: { kind: 'rafters', firstCentreMm: 320, spacingMm: 600, widthMm: 47, found: [[3, 1526], [6, 3318], [8, 4524], [11, 6322], [14, 8117], [17, 9926]].map(([rafter, centreMm]) => ({ rafter: rafter!, centreMm: centreMm! })) },
  setbacks: { eaveMm: 300, ridgeMm: 400, leftRakeMm: 400, rightRakeMm: 400, hipMm: 350, valleyMm: 400, wallMm: 300 },
  obstructions: [
    { id: 'chimney', kind: 'chimney', round: false, xMm: 8420, yMm: 3790, widthMm: 620, heightMm: 480, clearanceMm: 200 },
    { id: 'vent', kind: 'vent', round: true, xMm: 3370, yMm: 4180, widthMm: 110, heightMm: 110, clearanceMm: 120 },
  ],
}, { moduleId: 'skerry-390', allowedSpanMm: 1250 })

/** An L by running readings, low on the right where a porch's wall rises. */
const capstanWalk = job(starterJob('30 Capstan Walk', 'Saltmarsh Haven', 'imperial', imperialParts), {
  name: 'Garden face',
  outline: {
    kind: 'corners',
    corners: ([[0, 0, 'eave'], [inch(37, 8), 0, 'rake'], [inch(37, 8), inch(8, 7), 'ridge'], [inch(22, 5), inch(8, 7), 'wall'], [inch(22, 5), inch(18, 3), 'ridge'], [0, inch(18, 3), 'rake']] as const)
      .map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
  },
  pitchDeg: pitchFromRise(5),
  supports: { kind: 'rafters', firstCentreMm: inch(0, 11), spacingMm: inch(2, 0), widthMm: inch(0, 1.5), found: [[2, inch(2, 10.75)], [5, inch(8, 11.25)], [9, inch(16, 11)], [13, inch(24, 10.5)], [17, inch(32, 11)]].map(([rafter, centreMm]) => ({ rafter: rafter!, centreMm: centreMm! })) },
  setbacks: { eaveMm: inch(1, 0), ridgeMm: inch(1, 6), leftRakeMm: inch(3, 0), rightRakeMm: inch(1, 0), hipMm: inch(1, 6), valleyMm: inch(1, 6), wallMm: inch(1, 0) },
}, { orientation: 'upright' })

/** Not begun: a starter face and nothing measured yet. */
const lampSteps = starterJob('Lamp Steps 8', 'Brackwater', 'metric', metricParts)

export const demoJobs: { id: string, job: Job }[] = [
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001', job: ropewalk },
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0002', job: tallowYard },
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0003', job: kelpQuay },
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0004', job: lampSteps },
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0005', job: netLoft },
  { id: '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0006', job: capstanWalk },
]
