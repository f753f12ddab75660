import { describe, expect, it } from 'vitest'
import { catalogue } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { normal } from '../../tests/fixtures/random-normal'
import type { Mount } from '../catalogue'
import { type Face, type Outline, rafterRow, type Supports, supportsSchema } from '../job'
import { chanceInTimber, safeStrip, SCREW_REACH_MM, supportSystem } from './index'

const mount = (id: string): Mount => catalogue.mounts.find(one => one.id === id)!
const outline: Outline = { kind: 'rectangle', eaveLengthMm: 6000, slopeLengthMm: 4000 }
const system = (supports: Supports, mountId: string) => supportSystem({ supports, outline } as Pick<Face, 'supports' | 'outline'>, mount(mountId), 'across')
const whole = { fromMm: 500, toMm: 5500 }
const across = (lineMm: number) => ({ way: 'across' as const, lineMm, reach: whole })

describe('the safe strip', () => {
  it('of 1 1/2 in timber for a 5/16 in lag at 1.5 D is 0.56 in', () => {
    const strip = safeStrip(1.5 * 25.4, mount('limpet-flashed').fasteners!)!
    expect((strip.toMm - strip.fromMm) / 25.4).toBeCloseTo(0.5625, 9)
  })
  it.each([38, 47])('of a %i mm rafter for an 8 mm screw at 4 d is empty', width => expect(safeStrip(width, { diameterMm: 8, edgeDiameters: 4, acrossMm: [0] })).toBeNull())
  it('of a group is what all its screws have in common', () => {
    expect(safeStrip(60, { diameterMm: 6, edgeDiameters: 2.5, acrossMm: [0, 20] })).toEqual({ fromMm: -15, toMm: -5 })
    expect(safeStrip(45, { diameterMm: 6, edgeDiameters: 2.5, acrossMm: [-10, 10] })).toBeNull()
  })
})

describe('the chance that all fasteners are in sound timber', () => {
  it('has the values of the normal table: 68.27 % within one, 95.00 % within 1.96 deviations', () => {
    expect(chanceInTimber({ fromMm: -5, toMm: 5 }, 5)).toBeCloseTo(0.6827, 4)
    expect(chanceInTimber({ fromMm: -9.8, toMm: 9.8 }, 5)).toBeCloseTo(0.9500, 4)
    expect(chanceInTimber(null, 5)).toBe(0)
    expect([chanceInTimber({ fromMm: -5, toMm: 5 }, 0, 4), chanceInTimber({ fromMm: -5, toMm: 5 }, 0, 6)]).toEqual([1, 0])
  })
  it('agrees with 40 000 throws for one, two and four screws', () => {
    const random = seeded(9)
    for (const acrossMm of [[0], [-8, 8], [-6, -6, 6, 6]]) {
      const fasteners = { diameterMm: 6, edgeDiameters: 1.5, acrossMm }
      const [width, sd, offset] = [45, 9, 4]
      let inside = 0
      for (let i = 0; i < 40_000; i++) {
        const timber = sd * normal(random)
        if (acrossMm.every(across => Math.abs(offset + across - timber) <= width / 2 - 9)) inside++
      }
      expect(chanceInTimber(safeStrip(width, fasteners), sd, offset)).toBeCloseTo(inside / 40_000, 1.9)
    }
  })
})

describe('places where a rail may be fixed', () => {
  it('rafters: a point where the rail crosses each, askew ones at another reading higher up', () => {
    const hits = [300, 900, 1500, 2700, 3900].flatMap((x, i) => [0, 1].map(top => ({
      id: `${i}-${top}`,
      xMm: x + 0.03 * (500 + 3000 * top),
      yMm: 500 + 3000 * top,
      state: 'seen' as const,
      use: 'rafter' as const,
    })))
    const { places, plan } = system({ ...rafterRow(300, 600, 45), layout: 'fitted', hits }, 'limpet-flashed')
    const low = places(across(500)).points
    const high = places(across(3500)).points
    expect(high[0]!.atMm - low[0]!.atMm).toBeCloseTo(90, -1)
    expect(low.map(point => point.member)).toContain('rafter 2')
    expect(low.every(point => point.chance > 0 && point.chance <= 1)).toBe(true)
    expect(plan.railLines).toBeNull()
  })
  it('purlins: anywhere along a rail that lies on one, nowhere between, and heights to match', () => {
    const { places, plan } = system({
      kind: 'purlins',
      member: 'purlin',
      firstMm: 400,
      spacingMm: 900,
      widthMm: 75,
      thicknessMm: 100,
      batten: null,
      found: [{ line: 2, centreMm: 1310 }],
    }, 'cleat-sheet-foot')
    expect(plan.across.map(line => line.centreMm)).toEqual([400, 1310, 2200, 3100, 4000])
    expect(places(across(1310)).intervals).toEqual([expect.objectContaining({ fromMm: 500, toMm: 5500, member: 'purlin 2', state: 'proved' })])
    expect(places(across(1750))).toEqual({ points: [], intervals: [] })
    expect(plan.railLines).toHaveLength(5)
    expect(plan.railLines![0]!.toMm - plan.railLines![0]!.fromMm).toBeCloseTo(75 - 2 * 1.5 * 6.3, 9)
  })
  it('seams: a point on each', () => {
    const { places } = system({ kind: 'seams', firstMm: 100, spacingMm: 430 }, 'cleat-seam')
    expect(places(across(1000)).points.map(point => point.atMm)).toEqual([530, 960, 1390, 1820, 2250, 2680, 3110, 3540, 3970, 4400, 4830, 5260])
  })
  it('screws: only where a rail runs over a row of them', () => {
    const { places } = system({ kind: 'screws', firstMm: 120, spacingMm: 500, firstRowMm: 300, rowSpacingMm: 800 }, 'cleat-sheet-foot')
    expect(places(across(1100 + SCREW_REACH_MM - 1)).points).toHaveLength(10)
    expect(places(across(1100 + SCREW_REACH_MM + 1)).points).toEqual([])
  })
  it('sheathing: the sound stretches', () => {
    const area = (fromXMm: number, toXMm: number, toYMm = 4000) => ({ fromXMm, toXMm, fromYMm: 0, toYMm })
    const { places } = system({ kind: 'sheathing', thicknessMm: 18, areas: [area(0, 2000), area(1500, 3000), area(4000, 6000, 1000)] }, 'limpet-sheathing')
    expect(places(across(500)).intervals.map(one => [one.fromMm, one.toMm])).toEqual([[500, 3000], [4000, 5500]])
    expect(places(across(2000)).intervals.map(one => [one.fromMm, one.toMm])).toEqual([[500, 3000]])
    const all = system({ kind: 'sheathing', thicknessMm: 18, areas: [] }, 'limpet-sheathing')
    expect(all.places(across(2000)).intervals.map(one => [one.fromMm, one.toMm])).toEqual([[500, 5500]])
  })
  it('refuses sizes that can’t be, with a sentence', () => {
    const bad = [
      { kind: 'sheathing', thicknessMm: 18, areas: [{ fromXMm: 900, toXMm: 100, fromYMm: 0, toYMm: 10 }] },
      { ...rafterRow(1, 10, 45) },
      { ...rafterRow(1, 600, 45), spacings: { kind: 'free', fromMm: 600, toMm: 500 } },
    ]
    for (const supports of bad) expect(supportsSchema.safeParse(supports).error!.issues[0]!.message).toMatch(/\w+ .*\w+/)
  })
})
