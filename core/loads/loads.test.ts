import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { planOf, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { chooseParts, demoCatalogue } from '../catalogue'
import { areaMm2, common } from '../geometry'
import { type EnWind, type Job, type LoadRules, plainRules, type UsWind } from '../job'
import { MS_PER_MPH, PA_PER_PSF } from '../units'
import { combinationsOf, enCoefficients, enVelocityPressure, equalisation, exposedModules, loadingOf, railLine, roofSlopeFactor, roofSnow, shapeCoefficient, touchedBy, usCoefficients, usEdgeZone, usVelocityPressure, zonesOf, zoneWords } from '.'
import { leverShares } from '../rails'

const usWind = (rules: LoadRules): UsWind => (rules as Extract<LoadRules, { edition: 'us-2010' }>).wind as UsWind
const b115: UsWind = { ...usWind(plainRules('us-2010')), speedMs: 115 * MS_PER_MPH, exposure: 'B' }
const loaded = (job: Job, rules: LoadRules): Job => ({ ...job, loads: { ...job.loads, rules } })
const ft2 = (n: number) => n * 92_903.04
const psf = (pa: number) => pa / PA_PER_PSF

describe('velocity pressure', () => {
  it('is 20.1 psf by the 2010 edition and 16.4 psf by the 2016 one at 115 mph, exposure B, 15 ft', () => {
    expect(psf(usVelocityPressure('us-2010', b115, 15 * 304.8).pa)).toBeCloseTo(20.1, 1)
    expect(psf(usVelocityPressure('us-2016', { ...b115, ke: 1 }, 15 * 304.8).pa)).toBeCloseTo(16.4, 1)
  })
  it('has the exposure factor of EN 1991-1-4, figure 4.2: about 2.35 at 10 m in terrain II', () => {
    const wind = { ...((plainRules('en') as Extract<LoadRules, { edition: 'en' }>).wind as EnWind), speedMs: 26 }
    expect(enVelocityPressure(wind, 10_000).pa / (0.5 * 1.25 * 26 ** 2)).toBeCloseTo(2.35, 1)
    // Below z_min it does not fall any more: 5 m in terrain III.
    const town = { ...wind, terrain: 'III' as const }
    expect(enVelocityPressure(town, 2000).pa).toBe(enVelocityPressure(town, 5000).pa)
  })
})

describe('pressure coefficients', () => {
  it('follow ASCE 7-10 figures 30.4-2B and C, linear in the logarithm of the area', () => {
    const low = usCoefficients('us-2010', 26.57)!
    expect([low.at('1', ft2(10)).up, low.at('2', ft2(10)).up, low.at('3', ft2(10)).up]).toEqual([0.9, 1.7, 2.6])
    expect([low.at('1', ft2(100)).up, low.at('2', ft2(100)).up, low.at('3', ft2(100)).up]).toEqual([0.8, 1.2, 2])
    expect(low.at('2', ft2(Math.sqrt(1000))).up).toBeCloseTo(1.45, 6)
    expect(usCoefficients('us-2010', 40)!.at('1', ft2(10))).toEqual({ up: 1, down: 0.9 })
    expect(usCoefficients('us-2010', 5)).toBeNull()
    expect(usCoefficients('us-2016', 50)).toBeNull()
  })
  it('has γa of 0.8 to 10 ft², 0.4 beyond 100 ft² and 1.2 − 0.4 log A between', () => {
    expect(equalisation(ft2(5))).toBe(0.8)
    expect(equalisation(ft2(10))).toBeCloseTo(0.8, 9)
    expect(equalisation(ft2(31.6227766))).toBeCloseTo(0.6, 6)
    expect(equalisation(ft2(200))).toBe(0.4)
  })
  it('has the c_pe,10 of EN 1991-1-4 tables 7.4a and 7.4b at 15, 30 and 45°', () => {
    const at = (deg: number) => enCoefficients('gable', deg, 10e6)!
    expect(['F', 'G', 'H', 'I', 'J'].map(zone => at(15)[zone]!.up)).toEqual([0.9, 0.8, 0.3, 0.4, 1])
    expect(['F', 'G', 'H', 'I', 'J'].map(zone => at(30)[zone]!.up)).toEqual([0.5, 0.5, 0.2, 0.4, 0.5])
    expect(['F', 'G', 'H'].map(zone => at(30)[zone]!.down)).toEqual([0.7, 0.7, 0.4])
    expect(['F', 'G', 'H', 'I', 'J'].map(zone => at(45)[zone]!.up)).toEqual([0, 0, 0, 0.2, 0.3])
    expect(['aF', 'aG', 'aH', 'aI'].map(zone => at(30)[zone]!.up)).toEqual([1.1, 1.4, 0.8, 0.5])
    expect(['aF', 'aG', 'aH', 'aI'].map(zone => at(45)[zone]!.up)).toEqual([1.1, 1.4, 0.9, 0.5])
  })
  it('interpolates suction and pressure each by itself and the area by its logarithm', () => {
    const between = enCoefficients('gable', 22.5, 10e6)!
    expect(between.F!.up).toBeCloseTo(0.7, 9)
    expect(between.F!.down).toBeCloseTo(0.45, 9)
    expect(enCoefficients('gable', 15, 1e6)!.F!.up).toBeCloseTo(2, 9)
    expect(enCoefficients('gable', 15, Math.sqrt(10) * 1e6)!.F!.up).toBeCloseTo((2 + 0.9) / 2, 9)
    expect(enCoefficients('gable', 3, 1e6)).toBeNull()
    expect(enCoefficients('gable', 80, 1e6)).toBeNull()
  })
})

describe('snow', () => {
  it('on a slope of 30° is 0.750 normal and 0.433 down the slope of what lies on plan', () => {
    const a = Math.PI / 6
    expect(Math.cos(a) ** 2).toBeCloseTo(0.75, 3)
    expect(Math.sin(a) * Math.cos(a)).toBeCloseTo(0.433, 3)
  })
  it('follows ASCE 7: flat roof 0.7 Ce Ct Is pg times the slope factor', () => {
    const rules = plainRules('us-2010')
    expect(psf(roofSnow(rules, 20).pa)).toBeCloseTo(0.7 * 1 * 1.1 * 1 * 20, 6)
    expect(psf(roofSnow(plainRules('us-2022'), 20).pa)).toBeCloseTo(0.7 * 1.1 * 20, 6)
    expect(roofSlopeFactor(30, 1, false)).toBe(1)
    expect(roofSlopeFactor(50, 1, false)).toBeCloseTo(0.5, 9)
    expect(roofSlopeFactor(37.5, 1.1, false)).toBe(1)
    expect(roofSlopeFactor(37.5, 1, true)).toBeCloseTo(0.5, 9)
    expect(roofSlopeFactor(70, 1.2, true)).toBe(0)
  })
  it('follows EN 1991-1-3 table 5.2: 0.8 to 30°, nothing from 60°, never under 0.8 where it is held', () => {
    expect([0, 30, 45, 60, 75].map(deg => Number(shapeCoefficient(deg, false).toFixed(9)))).toEqual([0.8, 0.8, 0.4, 0, 0])
    expect(shapeCoefficient(60, true)).toBe(0.8)
  })
})

it('combines as ASCE 7, 2.4.1, and EN 1990, 6.10, one by one', () => {
  const by = (edition: 'us-2010' | 'us-2022' | 'en') => combinationsOf(edition)!.strength.map(({ name, dead, snow, wind, windActs }) => [name, dead, snow, wind, windActs])
  expect(by('us-2010')).toEqual([['D', 1, 0, 0, 'none'], ['D + S', 1, 1, 0, 'none'], ['D + 0.6W', 1, 0, 0.6, 'down'], ['D + 0.75S + 0.75(0.6W)', 1, 0.75, 0.45, 'down'], ['0.6D + 0.6W', 0.6, 0, 0.6, 'up']])
  expect(by('us-2022')[1]).toEqual(['D + 0.7S', 1, 0.7, 0, 'none'])
  expect(by('en').filter(([name]) => String(name).includes('W'))).toEqual([['1.35G + 1.5S + 0.9W', 1.35, 1.5, 0.9, 'down'], ['1.35G + 1.5W + 0.75S', 1.35, 0.75, 1.5, 'down'], ['1.0G + 1.5W', 1, 0, 1.5, 'up']])
  expect(combinationsOf('none')).toBeNull()
})

describe('roof zones', () => {
  const outline = { kind: 'rectangle' as const, eaveLengthMm: 12_000, slopeLengthMm: 6000 }
  it('divide a face wholly, without overlap, whatever the scheme', () => {
    for (const scheme of [{ kind: 'us-2010', edgeMm: 1000 }, { kind: 'us-2016', edgeMm: 1000 }, ...(['gable', 'hip', 'monopitch'] as const).map(form => ({ kind: 'en' as const, form, acrossEMm: 9000, alongEMm: 8000 }))] as const) {
      for (const set of zonesOf(outline, 30, scheme)) {
        expect(set.zones.reduce((sum, zone) => sum + areaMm2(zone.region), 0)).toBeCloseTo(12_000 * 6000, -3)
        set.zones.forEach((zone, i) => set.zones.slice(i + 1).forEach(other => expect(areaMm2(common(zone.region, other.region))).toBeLessThan(50)))
      }
    }
  })
  it('are as deep in plan as the edition says: corners of a by a over cos 30° on the slope', () => {
    const [set] = zonesOf(outline, 30, { kind: 'us-2010', edgeMm: 1000 })
    const corner = set!.zones.find(zone => zone.name === '3')!
    expect(areaMm2(corner.region)).toBeCloseTo(4 * 1000 * 1000 / Math.cos(Math.PI / 6), -2)
    const [across] = zonesOf(outline, 30, { kind: 'en', form: 'gable', acrossEMm: 8000, alongEMm: 8000 })
    const F = across!.zones.find(zone => zone.name === 'F')!
    expect(areaMm2(F.region)).toBeCloseTo(2 * 2000 * 800 / Math.cos(Math.PI / 6), -2)
  })
  it('a band that two zones share is touched by both', () => {
    const [set] = zonesOf(outline, 30, { kind: 'us-2010', edgeMm: 1000 })
    const along = { fromMm: 0, toMm: 12_000 }
    const [one, two] = ['1', '2'].map(name => set!.zones.find(zone => zone.name === name)!)
    const [stretch] = touchedBy(one!, along, { fromMm: 1100, toMm: 2000 }, 'across')
    expect(stretch!.fromMm).toBeCloseTo(1000, 2)
    expect(stretch!.toMm).toBeCloseTo(11_000, 2)
    const beside = touchedBy(two!, along, { fromMm: 2000, toMm: 3000 }, 'across')
    expect(beside.map(({ fromMm, toMm }) => [Math.round(fromMm), Math.round(toMm)])).toEqual([[0, 1000], [11_000, 12_000]])
  })
  it('have names that say which wind they are of', () => {
    expect(['1', '3r', 'F', 'aF', 'bG', 'aFu'].map(zoneWords)).toEqual(['1', '3r', 'F', 'F along', 'G from the high side', 'F high along'])
  })
  it('the US edge zone is a tenth of the width or 0.4 h, at least 0.04 of the width and 3 ft', () => {
    const zone = (widthMm: number, meanHeightMm: number) => usEdgeZone({ form: 'gable', widthMm, lengthMm: 50_000, meanHeightMm, topMm: meanHeightMm })
    expect(zone(12_000, 5000)).toBeCloseTo(1200, 9)
    expect(zone(20_000, 3000)).toBeCloseTo(1200, 9)
    expect(zone(5000, 3000)).toBeCloseTo(914.4, 9)
    expect(zone(40_000, 3000)).toBeCloseTo(1600, 9)
  })
})

describe('loads along a rail', () => {
  const job = loaded(threeRowsOfSix(), plainRules('us-2010'))
  const face = job.faces[0]!
  const parts = chooseParts(demoCatalogue, face.array)
  const { loads } = loadingOf(job, face, parts)
  it('add up to the share of the modules they come from', () => {
    const strip = { band: { fromMm: 2000, toMm: 2500 }, bearsMm: 1755 / 2, modules: [{ fromMm: 3000, toMm: 4038, exposed: false }, { fromMm: 4050, toMm: 5088, exposed: false }] }
    const line = railLine(loads!, [strip], 'across')
    const dead = line.reduce((sum, one) => sum + one.dead * (one.toMm - one.fromMm), 0)
    expect(dead).toBeCloseTo(loads!.deadPa * Math.cos(face.pitchDeg * Math.PI / 180) * 1e-6 * 1755 / 2 * (5088 - 3000), 6)
    expect(line[0]!.fromMm).toBe(3000)
    expect(line.at(-1)!.toMm).toBe(5088)
  })
  it('two rails share a module by the lever rule', () => {
    expect(leverShares(400, 1200, 1600)).toEqual({ low: 0.5, high: 0.5 })
    const uneven = leverShares(300, 1100, 1600)
    expect(uneven.low).toBeCloseTo(0.375, 9)
    expect(uneven.low + uneven.high).toBeCloseTo(1, 9)
  })
  it('an effective area is frozen: moving fixings or rows does not change the pressure of a zone', () => {
    const other = loadingOf(job, { ...face, array: { ...face.array, shiftMm: 300, fixingPattern: 'aligned' } }, parts)
    expect(other.loads!.wind).toEqual(loads!.wind)
  })
  it('says what it does not cover and gives no loads then', () => {
    const flat = loadingOf(job, { ...face, pitchDeg: 5 }, parts)
    expect(flat.loads).toBeNull()
    expect(flat.notCovered[0]).toContain('5.0°')
    const shed = loadingOf({ ...job, loads: { ...job.loads, building: { ...job.loads.building, form: 'monopitch' } } }, face, parts)
    expect(shed.notCovered[0]).toContain('single-pitch')
  })
  it('raises uplift on exposed modules only by the edition that says so', () => {
    const exposed = { shape: planOf(face).shape, heightMm: 3000, flat: 0.9, beyondRidgeMm: 4000 }
    const rows = planOf(face).rows.rows
    const found = exposedModules(rows, exposed)
    // Its rakes are 5 ft and its eave 1 ft from the edge of a roof 3 m high: no end is over 1.5 m away but the one at the ridge.
    expect(found[0]!.some(Boolean)).toBe(false)
    expect(exposedModules(rows, { ...exposed, heightMm: 40_000 }).flat().some(Boolean)).toBe(false)
    expect(exposedModules(rows, { ...exposed, heightMm: 1000 }).flat().some(Boolean)).toBe(true)
  })
})

it('every demo job’s loads are finite and its zones lie on the face', () => {
  for (const { job } of demoJobs) {
    for (const face of job.faces) {
      const { loads, notCovered } = loadingOf(job, face, chooseParts(demoCatalogue, face.array))
      if (!loads) {
        expect(job.loads.rules.edition === 'none' || notCovered.length > 0).toBe(true)
        continue
      }
      for (const part of Object.values(loads.wind)) for (const { upPa, downPa } of Object.values(part)) expect(Number.isFinite(upPa) && Number.isFinite(downPa) && upPa >= 0 && downPa >= 0).toBe(true)
    }
  }
})
