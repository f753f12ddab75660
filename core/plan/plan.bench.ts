import { bench, describe } from 'vitest'
import { chooseParts, demoCatalogue } from '../catalogue'
import { orientations, plainKeepClear, rafterRow, rulesOf, starterJob } from '../job'
import { keepClear, noClaims } from '../keepclear'
import { fillRows, moduleSize, mostModules } from '../rows'
import { roofClearOf } from './clear'
import { planJob } from './job'

const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const base = starterJob('Bench', '', 'imperial', parts)
const [first] = base.faces

/** Four rows of ten upright on rafters with a little scatter, so that no two rails are quite alike. */
const forty = {
  ...base, faces: [{
    ...first!, outline: { kind: 'rectangle' as const, eaveLengthMm: 12_800, slopeLengthMm: 8600 },
    supports: rafterRow(304.8, 609.6, 38.1, Array.from({ length: 20 }, (_, i) => ({ rafter: i + 1, centreMm: 304.8 + 609.6 * i + ((i * 37) % 11 - 5) * 2 }))),
    array: { ...first!.array, allowedSpanMm: 1300 },
  }],
}
const planned = planJob(forty, demoCatalogue)
if (planned.totals.modules !== 40) throw new Error(`The benchmark's job has ${planned.totals.modules} modules, not 40.`)

describe('planJob', () => {
  bench('40 modules on one face', () => {
    planJob(forty, demoCatalogue)
  }, { time: 3000 })
})

const obstruction = (i: number, xMm: number, yMm: number, kind: 'vent' | 'chimney' | 'roof-window', sizeMm: number) =>
  ({ id: `o${i}`, kind, round: kind === 'vent', xMm, yMm, widthMm: sizeMm, heightMm: sizeMm, clearanceMm: 150 })
const busy = {
  ...forty.faces[0]!, outline: { kind: 'corners' as const, corners: [[0, 0, 'eave'], [15_600, 0, 'hip'], [13_600, 8600, 'ridge'], [900, 8600, 'hip']].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })) },
  obstructions: [obstruction(1, 2600, 6900, 'vent', 110), obstruction(2, 9800, 7300, 'vent', 160), obstruction(3, 12_200, 2100, 'chimney', 700), obstruction(4, 7000, 7900, 'vent', 110), obstruction(5, 1700, 3000, 'roof-window', 800), obstruction(6, 11_900, 5200, 'roof-window', 600)],
}
const parts40 = chooseParts(demoCatalogue, busy.array)
const regionAndRows = () => fillRows(keepClear(busy, plainKeepClear, noClaims).region, busy.array, parts40)
const clearRegion = keepClear(busy, plainKeepClear, noClaims).region
const kinds = orientations.map(orientation => ({ orientation, ...moduleSize(parts40.module, orientation) }))

/** Eight faces of a long house with two cross gables' worth of slopes, by the rules over the whole roof. */
const eight = {
  ...base, keepClear: { ...base.keepClear, ...rulesOf('us-2018') }, site: { ...base.site, streetDeg: 0 },
  faces: Array.from({ length: 8 }, (_, i) => ({ ...forty.faces[0]!, outline: { kind: 'rectangle' as const, eaveLengthMm: 9800, slopeLengthMm: 6900 }, id: `face-${i}`, name: `Face ${i + 1}`, place: { ...forty.faces[0]!.place, azimuthDeg: i % 2 ? 0 : 180, eastMm: i * 20_000 } })),
}
const large = planJob(eight, demoCatalogue).totals.modules

/** The benchmark's table has no median, so it is printed beside it. */
function printMedian(what: string, work: () => void, runs: number) {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  console.log(`${what}: median ${times[Math.floor(runs / 2)]!.toFixed(2)} ms of ${runs} runs`)
}

const inRows = regionAndRows().rows.reduce((sum, row) => sum + row.count, 0)

printMedian(`Region and rows by rule, ${inRows} modules, six obstructions`, regionAndRows, 200)
printMedian(`Region and rows of ${large} modules on 8 faces, rules over the whole roof`, () => roofClearOf({ ...eight, keepClear: { ...eight.keepClear } }, demoCatalogue), 60)

describe('keep-clear and rows', () => {
  bench(`region and rows by rule, ${inRows} modules, six obstructions`, () => {
    regionAndRows()
  }, { time: 2000 })
  bench('the most modules of that face, upright and on their side, proved', () => {
    mostModules({ region: clearRegion, kinds, gaps: { columnMm: 12.7, rowMm: 12.7 } })
  }, { time: 3000 })
  bench(`region and rows of ${large} modules on 8 faces, rules over the whole roof`, () => {
    roofClearOf({ ...eight, keepClear: { ...eight.keepClear } }, demoCatalogue)
  }, { time: 4000 })
})
