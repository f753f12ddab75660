import { expect, it } from 'vitest'
import { type ArrayRules, plainRow } from '../../core/job'
import { fillRows, mostModules, moduleSize } from '../../core/rows'
import { catalogue, threeRowsOfSix } from '../fixtures/jobs'
import { seeded } from '../fixtures/random'
import { areaOutsideMm2, randomRegion } from '../fixtures/regions'

type Rect = { x: number, y: number, w: number, h: number }
const overlap = (a: Rect, b: Rect): number => Math.max(0, Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x)) * Math.max(0, Math.min(a.y + a.h, b.y + b.h) - Math.max(a.y, b.y))

it('rows filled by rule on 200 random faces: every module on the face, none over another, never more than the exact most, and none at all only where none fits', { timeout: 120_000 }, () => {
  const random = seeded(2027)
  let [filled, best, rectangles] = [0, 0, 0]
  for (let i = 0; i < 200; i++) {
    const region = randomRegion(random)
    const module = random.pick(catalogue.modules)
    const clamps = catalogue.clamps[0]!
    const orientation = random.pick(['upright', 'on-side'] as const)
    const array: ArrayRules = {
      ...threeRowsOfSix().faces[0]!.array, orientation, shiftMm: null, rowCount: null, columns: random.pick([
        'aligned',
        'free',
        'brick',
      ]), stackFrom: random.pick(['eave', 'ridge']), rowGapMm: random.pick([12.7, 30]),
      rows: random.pick([[], [], [{ ...plainRow, skip: [2] }], [{ ...plainRow, breaks: [2] }]]),
    }
    const name = `face ${i}, ${orientation}, from the ${array.stackFrom}`
    const { rows, columnGapMm } = fillRows(region, array, { module, clamps })
    const rects = rows.flatMap(row => row.moduleLeftsMm.map((x): Rect => ({ x, y: row.bottomMm, w: row.moduleWidthMm, h: row.moduleHeightMm })))
    expect(rows.every(row => row.fits), name).toBe(true)
    for (const { x, y, w, h } of rects) {
      rectangles++
      expect(areaOutsideMm2([[x, y], [x + w, y], [x + w, y + h], [x, y + h]], region), name).toBeLessThan(8)
    }
    rects.forEach((one, k) => {
      for (const other of rects.slice(k + 1)) expect(overlap(one, other), name).toBe(0)
    })
    const { modules } = mostModules({ region, kinds: [{ orientation, ...moduleSize(module, orientation) }], gaps: { columnMm: columnGapMm, rowMm: array.rowGapMm } })
    expect(rects.length, name).toBeLessThanOrEqual(modules)
    if (array.rows.length === 0) expect(rects.length === 0, `${name}: ${modules} would fit`).toBe(modules === 0)
    filled += rects.length
    best += modules
  }
  console.log(`200 faces: ${filled} modules by rule, ${best} at the most; ${rectangles} rectangles inside`)
  expect(filled / best).toBeGreaterThan(0.7)
})
