import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { chooseParts, mismatches, unknownParts } from '../catalogue'
import { allowedRailLines, courseLines } from '../coverings'
import { plainKeepClear, rafterRow } from '../job'
import { keepClear, noClaims } from '../keepclear'
import { railLimits } from '../rails'
import { shapeOf } from '../roof'
import { modulesThatFit } from '../rows'
import { raftersOf } from '../supports'
import { areaMm2, bounds } from '../geometry'
import { changesBetween, planFaceOf, planJob } from './index'

const face = (...args: Parameters<typeof changed>) => planFaceOf(changed(...args), catalogue, 'main')

describe('rafters', () => {
  it('stand at the spacing, all of them moved by where one was found', () => {
    const { outline } = threeRowsOfSix().faces[0]!
    const rafters = raftersOf(rafterRow(inch(12), inch(24), inch(1.5), [{ rafter: 3, centreMm: 1500 }]), outline, null)
    // 336 in of eave, first at 12 in, every 24 in: 12, 36, … 324. The third found 0.94 in left of its place brings all others along.
    expect(rafters.map(rafter => Math.round(rafter.centreMm / 25.4 + 0.94))).toEqual([12, 36, 60, 84, 108, 132, 156, 180, 204, 228, 252, 276, 300, 324])
    expect(rafters.map(rafter => rafter.state).filter(state => state === 'proved')).toHaveLength(1)
    expect(rafters[2]!.nominalMm).toBeCloseTo(inch(60), 9)
  })
})

describe('keep-clear', () => {
  it('leaves the hand-worked rectangle', () => {
    const { region, strips } = keepClear(threeRowsOfSix().faces[0]!, plainKeepClear, noClaims)
    // 336 - 36 - 36 by 240 - 6 - 18 inches.
    expect(areaMm2(region)).toBeCloseTo(inch(264) * inch(216), 0)
    const box = bounds(region)!
    expect([box.along.fromMm, box.along.toMm, box.up.fromMm, box.up.toMm].map(mm => mm / 25.4)).toEqual([36, 300, 6, 222].map(n => expect.closeTo(n, 4)))
    expect(strips.map(strip => strip.of)).toEqual(['eave', 'right rake', 'ridge', 'left rake'])
  })
  it('has no strip where the setback is nothing, and no region where strips meet', () => {
    const { setbacks } = threeRowsOfSix().faces[0]!
    expect(keepClear({ ...threeRowsOfSix().faces[0]!, setbacks: { ...setbacks, eaveMm: 0 } }, plainKeepClear, noClaims).strips).toHaveLength(3)
    expect(areaMm2(keepClear({ ...threeRowsOfSix().faces[0]!, setbacks: { ...setbacks, ridgeMm: 9000 } }, plainKeepClear, noClaims).region)).toBe(0)
  })
})

describe('courses', () => {
  it('lie an exposure apart and let a foot sit whole on one', () => {
    const { covering, outline } = threeRowsOfSix().faces[0]!
    const lines = courseLines(covering, outline)
    expect(lines[1]! - lines[0]!).toBeCloseTo(inch(5.625), 9)
    expect(lines.at(-1)!).toBeLessThanOrEqual(shapeOf(outline).up.toMm)
    const heights = allowedRailLines(covering, outline, [{ mount: { halfFootprintMm: inch(1.25), hook: null }, closure: null }], 'across')
    expect(heights[0]!.fromMm).toBeCloseTo(inch(5 + 1.25), 9)
    expect(heights[0]!.toMm).toBeCloseTo(inch(5 + 5.625 - 1.25), 9)
    expect(allowedRailLines(covering, outline, [{ mount: { halfFootprintMm: inch(3), hook: null }, closure: null }], 'across')).toEqual([])
  })
})

describe('rows', () => {
  it('hold as many modules as widths and gaps allow', () => {
    expect(modulesThatFit(6 * 1038 + 5 * 12.7, 1038, 12.7)).toBe(6)
    expect(modulesThatFit(6 * 1038 + 5 * 12.7 - 0.1, 1038, 12.7)).toBe(5)
    expect(modulesThatFit(100, 1038, 12.7)).toBe(0)
  })
  it('run module by module at width and gap, without drift', () => {
    const { rows } = face({}).rows
    const [row] = rows
    row!.moduleLeftsMm.forEach((left, i) => expect(left).toBeCloseTo(row!.leftMm + i * (1038 + 12.7), 9))
    expect(row!.rightMm).toBeCloseTo(row!.moduleLeftsMm.at(-1)! + 1038, 9)
  })
  it('are centred, held, dropped and added to', () => {
    const plain = face({})
    expect(plain.rows.rows[0]!.leftMm - plain.rows.rows[0]!.free!.fromMm).toBeCloseTo(plain.rows.rows[0]!.free!.toMm - plain.rows.rows[0]!.rightMm, 6)
    const held = planJob(after(threeRowsOfSix(), { type: 'set-row', faceId: 'main', row: 1, values: { count: 4 } }), catalogue)
    expect(held.faces[0]!.rows.rows.map(row => row.count)).toEqual([6, 4, 6])
    expect(held.totals.modules).toBe(16)
    expect(face({}, { rowCount: 2 }).rows.rows).toHaveLength(2)
  })
  it('lift every row above when one gap grows', () => {
    const lifted = planFaceOf(after(threeRowsOfSix(), { type: 'set-row', faceId: 'main', row: 1, values: { gapBelowMm: 50 } }), catalogue, 'main')
    const plain = face({})
    expect(lifted.rows.rows[2]!.bottomMm - plain.rows.rows[2]!.bottomMm).toBeCloseTo(50 - 12.7, 6)
  })
})

describe('rails', () => {
  it('run inside the clamp zone of the edge they hold, and whole on a course where the zone has one', () => {
    for (const orientation of ['upright', 'on-side'] as const) {
      const plan = face({}, { orientation })
      const zone = plan.parts.module.clampZones[orientation === 'upright' ? 'longEdge' : 'shortEdge']
      for (const rail of plan.rails) {
        const row = plan.rows.rows[rail.row]!
        const inset = rail.side === 'lower' ? rail.lineMm - row.bottomMm : row.topMm - rail.lineMm
        expect(inset).toBeGreaterThanOrEqual(zone.fromMm - 1e-6)
        expect(inset).toBeLessThanOrEqual(zone.toMm + 1e-6)
        expect(rail.inZone).toBe(true)
        expect(rail.onCourse).toBe(rail.bestMm !== null)
      }
    }
  })
  it('take the job’s limit before the maker’s and the maker’s before common practice', () => {
    const [light, deep] = catalogue.rails
    const none = { allowedSpanMm: null, allowedOverhangMm: null }
    expect(railLimits(light!, catalogue.mounts[0]!, none, false)).toMatchObject({ maxSpanMm: inch(48), maxOverhangMm: inch(24), overhangWorking: { basis: 'common practice' } })
    expect(railLimits(deep!, catalogue.mounts[0]!, none, false)).toMatchObject({ maxOverhangMm: inch(26), overhangWorking: { basis: 'maker' } })
    expect(railLimits(deep!, catalogue.mounts[0]!, { allowedSpanMm: 900, allowedOverhangMm: 200 }, true)).toMatchObject({ maxSpanMm: 900, maxOverhangMm: 200, spanWorking: { basis: 'typed on this job' } })
  })
  it('keep the maker’s span and overhang beside larger ones that are typed, until an engineer is named, and say so', () => {
    const [light, deep] = catalogue.rails
    const sheathing = catalogue.mounts.find(mount => mount.greatestSpanMm !== null && mount.into.includes('sheathing'))!
    const typed = { allowedSpanMm: inch(72), allowedOverhangMm: inch(40) }
    expect(railLimits(light!, sheathing, typed, true)).toMatchObject({ maxSpanMm: inch(48), overMaker: [{ what: 'span', typedMm: inch(72), makerMm: inch(48), engineer: '' }] })
    expect(railLimits(light!, sheathing, typed, true, 'An engineer')).toMatchObject({ maxSpanMm: inch(72) })
    expect(railLimits(deep!, catalogue.mounts[0]!, typed, false)).toMatchObject({ maxSpanMm: inch(72), maxOverhangMm: inch(26) })
    const job = changed({}, { allowedSpanMm: inch(80) })
    const sentence = (engineer: string) => planJob({ ...job, loads: { ...job.loads, engineer: { asked: engineer !== '', name: engineer } } }, catalogue).findings.find(finding => finding.id.startsWith('over-maker-span'))!.sentence
    expect(sentence('')).toContain('so the maker’s is kept')
    expect(sentence('An engineer')).toContain('rests on the work of An engineer')
  })
})

describe('catalogue', () => {
  it('knows what goes with what', () => {
    const { array } = threeRowsOfSix().faces[0]!
    const ground = { covering: 'coursed-shingle', support: 'rafters' } as const
    expect(mismatches(catalogue, chooseParts(catalogue, array), ground)).toEqual([])
    const odd = mismatches(catalogue, chooseParts(catalogue, { ...array, railId: 'hawser-mid', moduleId: 'lantern-460', clampsId: 'pinch-hidden' }), ground)
    expect(odd.map(one => one.between)).toEqual(['rail-mount', 'clamps'])
    const slate = mismatches(catalogue, chooseParts(catalogue, array), { covering: 'slate', support: 'purlins' })
    expect(slate.map(one => one.between)).toEqual(['mount-covering', 'mount-support'])
    expect(unknownParts(catalogue, { ...array, mountId: 'x' })).toEqual([{ field: 'mountId', id: 'x' }])
    expect(() => chooseParts(catalogue, { ...array, mountId: 'x' })).toThrow('x')
  })
})

it('says what a change did to the plan', () => {
  const plan = planJob(threeRowsOfSix(), catalogue)
  const fewer = planJob(changed({}, { rowCount: 2 }), catalogue)
  expect(changesBetween(plan.totals, fewer.totals)).toEqual(['modules −6', 'fixings −12', `sticks −${plan.totals.sticks - fewer.totals.sticks}`, `splices −${plan.totals.splices - fewer.totals.splices}`, 'power −2.55 kW'])
  expect(changesBetween(plan.totals, plan.totals)).toEqual([])
})
