import { describe, expect, it } from 'vitest'
import { formatLength } from '#core/units'
import { lanesFor, spread } from './lanes'
import { tapeTicks } from './ticks'
import { lengthRuns } from './typeset'

describe('typeset lengths', () => {
  it.each([[3746.5, '12′ 3|1|⁄|2|″'], [11.1125, '|7|⁄|16|″'], [304.8 + 12.7, '1′ 0|1|⁄|2|″'], [3657.6, '12′ 0″'], [-25.4, '−1″']])('%f mm', (mm, runs) => {
    expect(lengthRuns(mm, 'imperial').map(run => run.text).join('|')).toBe(runs)
  })
  it('says the same as plain text', () => {
    for (let mm = 0; mm < 4000; mm += 13.3) {
      const plain = formatLength(mm, 'imperial').replace(/(\d+)' (\d+\/)/, '$1\' 0 $2').replace(/[ '"]/g, '')
      expect(lengthRuns(mm, 'imperial').map(run => run.text).join('').replace(/[ ′″]/g, '').replace('⁄', '/')).toBe(plain)
    }
  })
})

describe('tags', () => {
  it('share a lane only where they do not touch', () => {
    expect(lanesFor([{ middle: 0, width: 40 }, { middle: 30, width: 40 }, { middle: 60, width: 40 }, { middle: 62, width: 30 }], 2)).toEqual([0, 1, 0, 2])
  })
  it('are spread apart inside their limits, in order', () => {
    const places = spread([10, 12, 14, 95], 20, 0, 100)
    places.slice(1).forEach((place, i) => expect(place - places[i]!).toBeGreaterThanOrEqual(20 - 1e-9))
    expect(places.at(-1)!).toBeLessThanOrEqual(90)
  })
})

describe('tape divisions', () => {
  it.each([
    ['imperial', 9000, 0.07],
    ['imperial', 3000, 0.4],
    ['metric', 9000, 0.07],
    ['metric', 30_000, 0.02],
  ] as const)('%s tape of %i mm at %f px per mm has legible numerals', (units, mm, px) => {
    const numerals = tapeTicks(mm, units, px).filter(tick => tick.numeral)
    expect(numerals.length).toBeGreaterThan(1)
    expect((numerals[1]!.mm - numerals[0]!.mm) * px).toBeGreaterThanOrEqual(18)
    const [first] = numerals
    expect(units === 'imperial' ? Number(first!.numeral) * 304.8 : Number(first!.numeral) * 1000).toBeCloseTo(first!.mm, 6)
  })
})
