import { describe, expect, it } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import type { Interval, Region } from '../geometry'
import { plainRow } from '../job'
import { closedUp, fillRows, mostModules, type RowKind } from './index'

const box = (wideMm: number, highMm: number): Region => [[{ x: 0, y: 0 }, { x: wideMm, y: 0 }, { x: wideMm, y: highMm }, { x: 0, y: highMm }]]
/** Allowed stretches at whole millimetres, one every so often, as courses give them. */
const courses = (firstMm: number, gaugeMm: number, wideMm: number, topMm: number): Interval[] =>
  Array.from({ length: Math.ceil(topMm / gaugeMm) }, (_, i) => ({ fromMm: firstMm + i * gaugeMm, toMm: firstMm + i * gaugeMm + wideMm }))

/** The least total of gaps of so many rows by going through every whole millimetre of every row: no stretch's end is favoured. */
function leastByEnumeration(rows: number, heightMm: number, gapMm: number, topMm: number, allowed: Interval[]): number {
  const may = Array.from({ length: topMm + 1 }, (_, y) => y + heightMm <= topMm && allowed.some(one => y >= one.fromMm && y <= one.toMm))
  let cost = may.map(ok => ok ? 0 : Infinity)
  for (let r = 1; r < rows; r++) {
    // Best of all rows below so far, less how high it stands: what a row above adds is the distance to it.
    let best = Infinity
    cost = may.map((ok, y) => {
      const below = y - heightMm - gapMm
      if (below >= 0) best = Math.min(best, cost[below]! - below)
      return ok ? best + y - heightMm : Infinity
    })
  }
  return Math.min(...cost)
}

describe('row gaps that the covering opens', () => {
  it('come to the least on 300 random roofs, by going through every millimetre of every row', () => {
    const random = seeded(1407)
    let [opened, none] = [0, 0]
    for (let i = 0; i < 300; i++) {
      const module = { ...catalogue.modules[0]!, longMm: random.whole(900, 1800), shortMm: 700 }
      const [topMm, gapMm] = [random.whole(3800, 7000), random.whole(10, 40)]
      const allowed = courses(random.whole(-300, 200), random.whole(150, 420), random.whole(4, 120), topMm)
      const array = { ...threeRowsOfSix().faces[0]!.array, orientation: 'upright' as const, rowGapMm: gapMm, rowCount: null, rows: [], stackFrom: 'eave' as const }
      const { rows, rowsThatFit } = fillRows(box(3000, topMm), array, { module, clamps: catalogue.clamps[0]! }, null, () => allowed)
      if (rowsThatFit < 2) continue
      const total = rows.slice(1).reduce((sum, row, r) => sum + row.bottomMm - rows[r]!.topMm, 0)
      const least = leastByEnumeration(rowsThatFit, module.longMm, gapMm, topMm, allowed)
      if (!rows.every(row => allowed.some(one => row.bottomMm >= one.fromMm - 1e-6 && row.bottomMm <= one.toMm + 1e-6))) {
        // Only where the rows that fit can't all be had.
        none++
        expect(least, `roof ${i}`).toBe(Infinity)
        continue
      }
      if (total > gapMm * (rowsThatFit - 1) + 0.5) opened++
      expect(total, `roof ${i}`).toBeCloseTo(least, 6)
    }
    console.log(`300 roofs: ${opened} opened gaps, ${none} found no such stack`)
    expect(opened).toBeGreaterThan(60)
  })
  it('of the best rows too: as many modules as without closing up, and no gap less by enumeration', () => {
    const random = seeded(1408)
    let closed = 0
    for (let i = 0; i < 120; i++) {
      const kind: RowKind = { orientation: 'upright', widthMm: 1000, heightMm: random.whole(900, 1800) }
      const [topMm, gapMm] = [random.whole(4000, 6800), random.whole(10, 40)]
      const allowed = courses(random.whole(-200, 200), random.whole(200, 420), random.whole(10, 100), topMm)
      const region = box(3300, topMm)
      const gaps = { columnMm: 20, rowMm: gapMm }
      const { rows } = mostModules({ region, kinds: [kind], gaps, heights: () => allowed })
      if (rows.length < 2) continue
      const best = closedUp(rows, region, gaps, () => allowed)
      const total = (list: typeof rows) => list.slice(1).reduce((sum, row, r) => sum + row.bottomMm - list[r]!.bottomMm - kind.heightMm, 0)
      expect(best.map(row => row.count)).toEqual(rows.map(row => row.count))
      expect(total(best), `roof ${i}`).toBeCloseTo(leastByEnumeration(rows.length, kind.heightMm, gapMm, topMm, allowed), 4)
      if (total(best) < total(rows) - 0.5) closed++
    }
    expect(closed).toBeGreaterThan(10)
  })
  it('are left alone where somebody typed them, and where rows need not wait', () => {
    const { array } = threeRowsOfSix().faces[0]!
    const parts = { module: catalogue.modules[0]!, clamps: catalogue.clamps[0]! }
    const allowed = courses(0, 300, 40, 6000)
    const typed = fillRows(box(4000, 6000), { ...array, rows: [{ ...plainRow, gapBelowMm: 77 }, { ...plainRow, gapBelowMm: 99 }], rowCount: 2 }, parts, null, () => allowed)
    expect([typed.rows[0]!.bottomMm, typed.rows[1]!.bottomMm - typed.rows[0]!.topMm]).toEqual([77, 99])
    const free = (heights: (() => Interval[] | null) | null) => fillRows(box(4000, 6000), { ...array, rows: [], rowCount: null }, parts, null, heights).rows.map(row => row.bottomMm)
    expect(free(() => [{ fromMm: 0, toMm: 6000 }])).toEqual(free(null))
  })
})
