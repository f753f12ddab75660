import { chooseParts, demoCatalogue } from '../../core/catalogue'
import { demoJobs } from '../../db/demo/jobs'
import { fixingProblem, placeFixings } from '../../core/fixings'
import { type Job, orientations, plainKeepClear } from '../../core/job'
import { keepClear, noClaims } from '../../core/keepclear'
import { loadingOf } from '../../core/loads'
import { fillRows, moduleSize, mostModules } from '../../core/rows'
import { cutSticks, spliceWindows } from '../../core/sticks'
import { checkRail, faceStrength, settingOf } from '../../core/strength'
import { wayOf } from '../../core/rails'
import { supportSystem } from '../../core/supports'
import { roofClearOf, layOut, planJob } from '../../core/plan'
import { eight, forty, scattered } from './houses'
import { finishFace, judgesOf, placesOf, settingsOf } from '../../core/plan/face'

const modulesOf = (job: Job) => planJob(job, demoCatalogue).totals.modules
const large = modulesOf(eight)
if (modulesOf(forty) !== 40) throw new Error(`The benchmark's job has ${modulesOf(forty)} modules, not 40.`)
if (planJob(forty, demoCatalogue).totals.stops + planJob(eight, demoCatalogue).totals.stops) throw new Error('The benchmark’s jobs must not be stopped: cures would be timed instead of plans.')
if (large < 200) throw new Error(`The benchmark's large job has ${large} modules, fewer than 200.`)

/** The same job after an edit of its first face, as a planner plans it again and again. */
let edits = 0
const edited = (job: Job, all = false): Job => ({
  ...job,
  faces: job.faces.map((face, i) => all || i === 0 ? { ...face, array: { ...face.array, trimTailMm: 70 + ++edits / 1000 } } : face),
})

/** The middle of many times, and the least: other work on the machine only ever adds. What goes before each run is not timed. */
export function timesOf(work: () => void, runs: number, before = () => {}): { median: number, least: number } {
  const times = Array.from({ length: runs }, () => {
    before()
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return { median: times[Math.floor(runs / 2)]!, least: times[0]! }
}
export const printTimes = (what: string, work: () => void, runs: number) => {
  const { median, least } = timesOf(work, runs)
  console.log(`${what}: median ${median.toFixed(2)} ms, least ${least.toFixed(2)} ms of ${runs} runs`)
}

/** What each step of a face's plan takes, one after the other, as shares of all of them. */
function printShares(job: Job) {
  const face = job.faces[0]!
  const { clear, parts: chosen, rows, rails, limits, loading, strength, fixings, sticks } = layOut(face, demoCatalogue, job, roofClearOf(job, demoCatalogue).faces[0]!)
  const places = placesOf(face, demoCatalogue, job)
  const judges = () => strength ? judgesOf(settingsOf(face, chosen, rails, strength), limits) : []
  const all = layOut(face, demoCatalogue, job, clear)
  const steps: [string, () => unknown][] = [
    ['supports', () => supportSystem({ ...face, supports: { ...face.supports } }, chosen.mount, wayOf(face.array, chosen))],
    ['region', () => keepClear(face, job.keepClear, clear)],
    ['rows', () => fillRows(keepClearRegion, face.array, chosen)],
    ['loads', () => loadingOf(job, face, chosen).loads && faceStrength(face, loading.loads!, chosen, rows.rows, rails)],
    ['fixings', () => placeFixings(rails, fixingProblem(rails, places, limits, judges()), limits, face.array.fixingPattern)],
    [
      'sticks',
      () => cutSticks(rails.map((rail, r) => ({
        railId: rail.id,
        fromMm: rail.fromMm - 76,
        toMm: rail.toMm + 76,
        windows: spliceWindows(fixings.rails[r]!, chosen.rail.splice),
      })), { rail: chosen.rail, spliceAs: 'butted', van: job.van }),
    ],
    ['whole-rail check', () => rails.map((rail, r) => checkRail(settingOf(strength!, r, rail, chosen, face.array), fixings.rails[r]!.fixings.map(one => one.atMm)))],
    ['parts and marks', () => finishFace(face, job, demoCatalogue, all)],
  ]
  const keepClearRegion = all.region
  const times = steps.map(([name, work]) => ({ name, ms: timesOf(work, 40).median }))
  const total = times.reduce((sum, one) => sum + one.ms, 0)
  console.log(`Share of each step on a face of ${all.modules} modules (${total.toFixed(1)} ms): ${times.map(one => `${one.name} ${Math.round(100 * one.ms / total)} %`).join(', ')}; ${sticks.sticks.length} sticks`)
}

/** How many rails' fewest fixings are proved, over all demo jobs. */
function printProved() {
  const rails = demoJobs.flatMap(({ job }) => planJob(job, demoCatalogue).faces.flatMap(face => face.fixings.rails))
  const sticks = demoJobs.flatMap(({ job }) => planJob(job, demoCatalogue).faces.filter(face => face.rails.length).map(face => face.sticks))
  console.log(`Fewest fixings proved on ${rails.filter(rail => rail.fewestProved).length} of ${rails.length} rails of the demo jobs; cheapest sticks proved on ${sticks.filter(one => one.proved).length} of ${sticks.length} faces`)
}

printTimes('Plan of 40 modules on 2 faces, all faces edited', () => planJob(edited(forty, true), demoCatalogue), 100)
printTimes('Plan of 40 modules on 2 faces, one face edited', () => planJob(edited(forty), demoCatalogue), 120)
printTimes(`Plan of ${large} modules on 8 faces, all faces edited`, () => planJob(edited(eight, true), demoCatalogue), 30)
printTimes(`Plan of ${large} modules on 8 faces, one face edited`, () => planJob(edited(eight), demoCatalogue), 40)
printShares(forty)
printProved()

const obstruction = (i: number, xMm: number, yMm: number, kind: 'vent' | 'chimney' | 'roof-window', sizeMm: number) =>
  ({ id: `o${i}`, kind, round: kind === 'vent', xMm, yMm, widthMm: sizeMm, heightMm: sizeMm, clearanceMm: 150 })
const busy = {
  ...scattered('busy', 12_800, 8600), outline: {
    kind: 'corners' as const,
    corners: [
      [0, 0, 'eave'],
      [15_600, 0, 'hip'],
      [13_600, 8600, 'ridge'],
      [900, 8600, 'hip'],
    ].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })),
  },
  obstructions: [
    obstruction(1, 2600, 6900, 'vent', 110),
    obstruction(2, 9800, 7300, 'vent', 160),
    obstruction(3, 12_200, 2100, 'chimney', 700),
    obstruction(4, 7000, 7900, 'vent', 110),
    obstruction(5, 1700, 3000, 'roof-window', 800),
    obstruction(6, 11_900, 5200, 'roof-window', 600),
  ],
}
const parts40 = chooseParts(demoCatalogue, busy.array)
const regionAndRows = () => fillRows(keepClear(busy, plainKeepClear, noClaims).region, busy.array, parts40)
const clearRegion = keepClear(busy, plainKeepClear, noClaims).region
const kinds = orientations.map(orientation => ({ orientation, ...moduleSize(parts40.module, orientation) }))

const inRows = regionAndRows().rows.reduce((sum, row) => sum + row.count, 0)

printTimes(`Region and rows by rule, ${inRows} modules, six obstructions`, regionAndRows, 200)
printTimes(`Region and rows of ${large} modules on 8 faces, rules over the whole roof`, () => roofClearOf({
  ...eight,
  keepClear: { ...eight.keepClear, values: { ...eight.keepClear.values } },
}, demoCatalogue), 60)
printTimes('The most modules of that face, upright and on their side, proved', () => mostModules({ region: clearRegion, kinds, gaps: { columnMm: 12.7, rowMm: 12.7 } }), 5)
