import { describe, expect, it } from 'vitest'
import { changed, catalogue } from '../../tests/fixtures/jobs'
import { usualCovering } from '../coverings'
import { type Face, noLoads, plainBatten } from '../job'
import { planJob } from '../plan'
import { trainOver } from './index'
import { plainRules } from '../../tests/fixtures/plain-rules'

describe('fixings over a batten’s span', () => {
  it('one load: P L / 4 in the middle, all of it as shear and on one rafter', () => {
    const one = trainOver([{ xMm: 5000, n: 1000 }], 600)
    expect(one.moment).toBeCloseTo(1000 * 600 / 4, 6)
    expect(one.shear).toBeCloseTo(1000, 6)
    expect(one.pull).toBe(0)
    expect(trainOver([{ xMm: 5000, n: -1000 }], 600).pull).toBeCloseTo(1000, 6)
  })
  it('two equal loads a apart on a span L: P (L − a/2)²/ 2L, the textbook’s moving pair, where that is more than one alone', () => {
    const [P, a, L] = [1000, 200, 600]
    expect(trainOver([{ xMm: 0, n: P }, { xMm: a, n: P }], L).moment / (P * (L - a / 2) ** 2 / (2 * L))).toBeCloseTo(1, 2)
    // Farther apart than the span, they never share one.
    expect(trainOver([{ xMm: 0, n: P }, { xMm: 700, n: P }], L).moment).toBeCloseTo(P * L / 4, 6)
  })
})

describe('an array on battens', () => {
  const battens = (over: object): Face['supports'] => ({
    kind: 'purlins',
    member: 'batten',
    firstMm: 300,
    spacingMm: 350,
    widthMm: 50,
    thicknessMm: 60,
    batten: plainBatten,
    found: [],
    ...over,
  })
  const planned = (over: object, edition: 'en' | 'us-2010' = 'en') => planJob({
    ...changed({ supports: battens(over), covering: usualCovering('screwed-sheet', false) }, {
      mountId: 'cleat-sheet-foot',
      railId: 'hawser-mid',
      clampsId: 'hawser-grip',
      rows: [],
    }),
    loads: { ...noLoads, rules: plainRules(edition) },
  }, catalogue)
  const stops = (over: object) => planned(over).findings.filter(one => one.severity === 'stop').map(one => one.id.split(':')[0])
  it('is stopped where nobody knows how the battens are made or how thick they are', () => {
    expect(stops({ batten: null })).toContain('battens-not-known')
    expect(stops({ thicknessMm: null })).toEqual(expect.arrayContaining(['no-thickness', 'battens-not-known']))
  })
  it('is stopped where a thin batten bends, its nails draw out or its screws find no timber', () => {
    expect(stops({ thicknessMm: 25 })).toEqual(expect.arrayContaining(['short-thread']))
    expect(stops({ thicknessMm: 60 })).toEqual(expect.arrayContaining(['batten-nails']))
    const { battens: use } = planned({ thicknessMm: 60 }).faces[0]!
    expect(use!.shares.map(one => one.check).sort()).toEqual(['bending', 'nails', 'shear'])
  })
  it('stands on a deep purlin: the member itself is the engineer’s, only thread is counted', () => {
    expect(stops({ member: 'purlin', thicknessMm: 120, batten: null }).filter(id => id!.startsWith('batten') || id === 'short-thread')).toEqual([])
  })
  it('wants two rafters’ nails between a fixing and the batten’s end', () => {
    const { nearEnd } = planned({ batten: { ...plainBatten, rafterSpacingMm: 900 } }).faces[0]!.battens!
    expect(nearEnd.length).toBeGreaterThan(0)
    const { nearEnd: none } = planned({ batten: { ...plainBatten, rafterSpacingMm: 400 } }).faces[0]!.battens!
    expect(none).toEqual([])
  })
})
