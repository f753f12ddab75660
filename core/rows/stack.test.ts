import { describe, expect, it } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { areaMm2, common, type Point, rectangle, type Region } from '../geometry'
import { type ArrayRules, plainRow } from '../job'
import { fillRows, gapBelow } from './fill'

const parts = { module: catalogue.modules[0]!, clamps: catalogue.clamps[0]! }
const { longMm, shortMm } = parts.module
const array = (values: Partial<ArrayRules> = {}): ArrayRules => ({ ...threeRowsOfSix().faces[0]!.array, shiftMm: null, rowCount: null, ...values })
const held = (region: Region, values: Partial<ArrayRules> = {}) => fillRows(region, array(values), parts).rows.reduce((sum, row) => sum + row.count, 0)
const modulesOf = (region: Region, values: Partial<ArrayRules> = {}) => fillRows(region, array(values), parts).rows.flatMap(row => row.moduleLeftsMm.map(leftMm => rectangle({
  fromMm: leftMm,
  toMm: leftMm + row.moduleWidthMm,
}, { fromMm: row.bottomMm, toMm: row.topMm })))
const quadrilateral = (a: Point, b: Point, c: Point, d: Point): Region => [[a, b, c, d]]

describe('rows on a face out of true', () => {
  it.each([3, -3, 40, -40, 140])('an eave that is %d mm out of level holds as many as a level one with room to spare', (mm) => {
    const [w, h] = [7200, 2 * longMm + 400]
    const level = held(quadrilateral({ x: 0, y: 0 }, { x: w, y: 0 }, { x: w, y: h }, { x: 0, y: h }))
    expect(level).toBe(12)
    for (const stackFrom of ['eave', 'ridge'] as const) {
      expect(held(quadrilateral({ x: 0, y: 0 }, { x: w, y: mm }, { x: w, y: h }, { x: 0, y: h }), { stackFrom })).toBe(level)
      expect(held(quadrilateral({ x: 0, y: 0 }, { x: w, y: 0 }, { x: w, y: h + mm }, { x: 0, y: h }), { stackFrom })).toBe(level)
    }
  })
  it('300 random faces with four corners up to 25 mm out: never fewer than the level face that lies wholly inside them', () => {
    const random = seeded(3)
    const off = () => random.between(-25, 25)
    for (let i = 0; i < 300; i++) {
      const [w, h] = [random.between(3000, 12_000), random.between(2200, 6500)]
      const [l, r] = [random.pick([0, random.between(0, 1500)]), random.pick([0, random.between(0, 1500)])]
      const corners = [{ x: off(), y: off() }, { x: w + off(), y: off() }, { x: w - r + off(), y: h + off() }, { x: l + off(), y: h + off() }] as const
      const inside = rectangle({ fromMm: -1e5, toMm: 1e5 }, { fromMm: Math.max(corners[0].y, corners[1].y), toMm: Math.min(corners[2].y, corners[3].y) })
      const region: Region = [[...corners]]
      for (const stackFrom of ['eave', 'ridge'] as const) {
        expect(held(region, { stackFrom }), `face ${i} from the ${stackFrom}: ${JSON.stringify(corners)}`).toBeGreaterThanOrEqual(held(common(region, inside), { stackFrom }))
        // By the polygon library's own areas every module lies on the face.
        for (const module of modulesOf(region, { stackFrom })) expect(areaMm2(common(module, region))).toBeCloseTo(longMm * shortMm, -2)
      }
    }
  })
  it('begins as low as it can: the first row stands on the higher end of its line, not above it', () => {
    const [first] = fillRows(quadrilateral({ x: 0, y: 0 }, { x: 7200, y: 30 }, { x: 7200, y: 4000 }, { x: 0, y: 4000 }), array(), parts).rows
    expect(first!.bottomMm).toBe(30)
  })
  it('a vent at the lower edge does not lift the rows: its top is no part of the line', () => {
    const region: Region = [[
      { x: 0, y: 0 },
      { x: 3000, y: 0 },
      { x: 3000, y: 90 },
      { x: 3200, y: 90 },
      { x: 3200, y: 0 },
      { x: 7200, y: 0 },
      { x: 7200, y: 4000 },
      { x: 0, y: 4000 },
    ]]
    expect(fillRows(region, array(), parts).rows[0]!.bottomMm).toBe(0)
  })
})

describe('a face that widens upwards', () => {
  it('has its rows at the lowest heights that take the most modules', () => {
    // Between two valleys that open by 45 degrees, too narrow at the bottom for a module; two rows, with 1.2 m to spare.
    const h = 2 * longMm + array().rowGapMm + 1200
    const region = quadrilateral({ x: 0, y: 0 }, { x: 800, y: 0 }, { x: 800 + h, y: h }, { x: -h, y: h })
    const { rows } = fillRows(region, array(), parts)
    const gap = parts.clamps.gapMm
    // Width at a height is 800 mm and twice the height, so n modules stand from here up.
    const from = (n: number) => (n * shortMm + (n - 1) * gap - 800) / 2
    const count = (mm: number) => Math.floor((800 + 2 * mm + gap + 1e-3) / (shortMm + gap))
    const best = Math.max(...Array.from({ length: 1201 }, (_, mm) => count(mm) + count(mm + longMm + array().rowGapMm)))
    expect(rows.map(row => row.count).reduce((a, b) => a + b)).toBe(best)
    expect(rows[0]!.bottomMm).toBeLessThanOrEqual(1200)
    expect(Math.min(...[rows[0]!, rows[1]!].map(row => row.bottomMm - from(row.count)))).toBeCloseTo(0, 2)
  })
  it('and one that comes to a point has its top row as high as it fits, where rows come down from the ridge', () => {
    const region: Region = [[{ x: 0, y: 0 }, { x: 8000, y: 0 }, { x: 4000, y: 5000 }]]
    const { rows } = fillRows(region, array({ stackFrom: 'ridge' }), parts)
    expect(rows.every(row => row.fits && row.count > 0)).toBe(true)
    // The triangle is as wide as its top row where that ends: 8 m less 1.6 m for each metre up.
    const top = rows.at(-1)!
    expect(8000 - 1.6 * top.topMm).toBeCloseTo(top.count * shortMm + (top.count - 1) * parts.clamps.gapMm, 1)
  })
  it('comes to nothing only where no module fits anywhere', () => {
    expect(held(quadrilateral({ x: 0, y: 0 }, { x: 100, y: 0 }, { x: 600, y: 5000 }, { x: -400, y: 5000 }))).toBe(0)
  })
})

describe('the gap below a row', () => {
  const region = quadrilateral({ x: 0, y: 0 }, { x: 7200, y: 12 }, { x: 7200, y: 4200 }, { x: 0, y: 4200 })
  it('is what stands there, and typed as it stands changes nothing', () => {
    const plan = fillRows(region, array(), parts)
    expect(gapBelow(plan, 0)).toBe(12)
    expect(gapBelow(plan, 1)).toBeCloseTo(array().rowGapMm, 9)
    const typed = fillRows(region, array({ rows: [{ ...plainRow, gapBelowMm: gapBelow(plan, 0) }] }), parts)
    expect(typed.rows.map(row => row.bottomMm)).toEqual(plan.rows.map(row => row.bottomMm))
  })
  it('counts from the lower edge itself where somebody typed it', () => {
    expect(fillRows(region, array({ rows: [{ ...plainRow, gapBelowMm: 100 }] }), parts).rows[0]!.bottomMm).toBe(100)
  })
})
