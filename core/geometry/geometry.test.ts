import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/fixtures/random'
import { areaMm2, between, bounds, common, contains, freeIntervals, intersect, nearest, type Point, rectangle, type Region, subtract, unite, without } from './index'

const box = (x1: number, y1: number, x2: number, y2: number): Region => rectangle({ fromMm: x1, toMm: x2 }, { fromMm: y1, toMm: y2 })

describe('intervals', () => {
  it('unites what overlaps or touches', () => {
    expect(unite([{ fromMm: 5, toMm: 7 }, { fromMm: 0, toMm: 2 }, { fromMm: 2, toMm: 3 }, { fromMm: 6, toMm: 9 }])).toEqual([{ fromMm: 0, toMm: 3 }, { fromMm: 5, toMm: 9 }])
  })
  it('subtracts holes, also ones that reach outside', () => {
    expect(subtract({ fromMm: 0, toMm: 10 }, [{ fromMm: -5, toMm: 1 }, { fromMm: 4, toMm: 6 }, { fromMm: 9, toMm: 20 }])).toEqual([{ fromMm: 1, toMm: 4 }, { fromMm: 6, toMm: 9 }])
    expect(subtract({ fromMm: 0, toMm: 10 }, [{ fromMm: -1, toMm: 11 }])).toEqual([])
  })
  it('agrees with point-by-point membership on random holes', () => {
    const interval = fc.tuple(fc.integer({ min: -20, max: 120 }), fc.integer({ min: 1, max: 30 })).map(([from, width]) => ({ fromMm: from, toMm: from + width }))
    fc.assert(fc.property(fc.array(interval, { maxLength: 6 }), (holes) => {
      const left = subtract({ fromMm: 0, toMm: 100 }, holes)
      for (let x = 0.5; x < 100; x++) {
        const inHole = holes.some(hole => x > hole.fromMm && x < hole.toMm)
        expect(left.some(one => x > one.fromMm && x < one.toMm)).toBe(!inHole)
      }
    }))
  })
  it('intersects and finds the nearest place', () => {
    const shared = intersect([{ fromMm: 0, toMm: 10 }], [{ fromMm: 8, toMm: 20 }, { fromMm: -5, toMm: 2 }])
    expect(shared).toEqual([{ fromMm: 0, toMm: 2 }, { fromMm: 8, toMm: 10 }])
    expect(nearest(shared, 6)).toBe(8)
    expect(nearest(shared, 1)).toBe(1)
    expect(nearest([], 1)).toBeNull()
    expect(contains({ fromMm: 0, toMm: 1 }, 1 + 1e-9)).toBe(true)
  })
})

describe('regions', () => {
  it('has the areas of hand-worked rectangles', () => {
    const cut = without(box(0, 0, 100, 50), box(20, 10, 40, 30))
    expect(areaMm2(cut)).toBeCloseTo(100 * 50 - 20 * 20, 6)
    expect(areaMm2(common(box(0, 0, 10, 10), box(5, 5, 20, 20)))).toBeCloseTo(25, 6)
    expect(bounds(cut)).toEqual({ along: { fromMm: 0, toMm: 100 }, up: { fromMm: 0, toMm: 50 } })
    expect(bounds([])).toBeNull()
  })
  it('finds where a strip is free beside a hole', () => {
    const region = without(box(0, 0, 100, 50), box(20, 10, 40, 30))
    expect(freeIntervals(region, { fromMm: 5, toMm: 25 })).toEqual([{ fromMm: 0, toMm: 20 }, { fromMm: 40, toMm: 100 }])
    expect(freeIntervals(region, { fromMm: 30, toMm: 50 })).toEqual([{ fromMm: 0, toMm: 100 }])
    expect(freeIntervals(region, { fromMm: 40, toMm: 60 })).toEqual([])
  })
  it('narrows a strip in a triangle to its upper edge', () => {
    const triangle: Region = [[{ x: 0, y: 0 }, { x: 100, y: 0 }, { x: 50, y: 50 }]]
    const [free] = freeIntervals(triangle, { fromMm: 0, toMm: 20 })
    expect(free!.fromMm).toBeCloseTo(20, 3)
    expect(free!.toMm).toBeCloseTo(80, 3)
  })
})

describe('between two lines', () => {
  it('400 random bands across random faces, hollowed ones too: as much as the booleans give, and nothing outside', () => {
    const random = seeded(77)
    for (let i = 0; i < 400; i++) {
      const notch = random.between(500, 3000)
      const ring = random.pick([
        [{ x: 0, y: 0 }, { x: 9000, y: random.between(-30, 30) }, { x: 8000, y: 5000 }, { x: 900, y: 5000 }],
        [{ x: 0, y: 0 }, { x: 9000, y: 0 }, { x: 9000, y: 5000 }, { x: 6000, y: 5000 }, { x: 6000, y: notch }, { x: 3000, y: notch }, { x: 3000, y: 5000 }, { x: 0, y: 5000 }],
        [{ x: 0, y: 0 }, { x: 9000, y: 0 }, { x: 4500, y: 4200 }],
      ])
      const [low, lean, wide] = [random.between(-200, 9000), random.between(-300, 300), random.between(20, 400)]
      const edge = (aside: number): [Point, Point] => [{ x: low + aside, y: -50 }, { x: low + lean + aside, y: 5050 }]
      const band = [[edge(0)[0], edge(wide)[0], edge(wide)[1], edge(0)[1]]]
      const got = between([ring], edge(0), edge(wide))
      expect(areaMm2(got) - areaMm2(common([ring], band))).toBeCloseTo(0, -1)
      expect(areaMm2(without(got, band))).toBeLessThan(1)
      expect(areaMm2(without(got, [ring]))).toBeLessThan(1)
    }
  })
})
