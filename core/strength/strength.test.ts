import { describe, expect, it } from 'vitest'
import { loadedRail, stronger, windier } from '../../tests/fixtures/loaded-rails'
import { catalogue, changed, inch, planOf, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { notFinite } from '../../tests/fixtures/not-finite'
import { seeded } from '../../tests/fixtures/random'
import { catalogueSchema } from '../catalogue'
import { applyEdit, type Edit, type Job, noLoads, plainTimber, rafterRow, readEdit, readJob, upgraded } from '../job'
import { sentencesOf } from '../outcome'
import { calculationSheet } from '../sheets/calculation'
import { compareRails, pricePatterns } from '../asks'
import { layOut, planJob, roofClearOf } from '../plan'
import { PA_PER_PSF } from '../units'
import { levelCurve, windAlong } from '../loads'
import { checkRail, moduleUse, railCurves, ratingAt, screenRafter, solveRail, supportSums } from './index'
import { plainRules } from '../../tests/fixtures/plain-rules'

const us = (job: Job, edits: Edit[] = []): Job => edits.reduce(applyEdit, { ...job, loads: { ...noLoads, rules: plainRules('us-2010') } })
const stormy = (mph: number): Edit => {
  const rules = plainRules('us-2010')
  return { type: 'set-loads', values: { rules: { ...rules, wind: { ...(rules as { wind: object }).wind, speedMs: mph * 0.44704 } } as typeof rules } }
}

describe('a loaded rail', () => {
  it('bears less of what it has when the wind rises and more of it with a smaller section', () => {
    const random = seeded(12)
    let compared = 0
    for (let i = 0; i < 60; i++) {
      const rail = loadedRail(random)
      const xs = rail.candidates.map(one => one.atMm)
      const own = checkRail(rail.setting, xs)
      if (!own) continue
      compared++
      const bending = (use: typeof own) => use!.shares.bending!.share
      expect(bending(checkRail(stronger(rail, 2).setting, xs)!)).toBeCloseTo(bending(own) / 2, 6)
      expect(checkRail(windier(rail, 2).setting, xs)!.shares['fixing-up']!.share).toBeGreaterThanOrEqual(own.shares['fixing-up']!.share)
    }
    expect(compared).toBeGreaterThan(30)
  })
  it('in quick mode has the same worst share as in full', () => {
    const random = seeded(13)
    for (let i = 0; i < 150; i++) {
      const rail = loadedRail(random)
      const xs = rail.candidates.map(one => one.atMm)
      expect(checkRail(rail.setting, xs, [], { quick: true })?.worst).toBe(checkRail(rail.setting, xs)?.worst)
    }
  })
  it('has no moment at a hinged splice, and can’t stand with one fixing', () => {
    const rail = loadedRail(seeded(3))
    const xs = rail.candidates.map(one => one.atMm)
    const middle = (xs[1]! + xs[2]!) / 2
    const [combination] = rail.setting.loads.combinations.strength
    const momentAt = (joints: {
      xMm: number
      stiffness: number
    }[]) => railCurves(rail.setting, xs, joints, combination!)!.pieces.find(piece => Math.abs(piece.fromMm - middle) < 1e-6)?.moment
    expect(momentAt([{ xMm: middle, stiffness: 0 }])!).toBeCloseTo(0, 6)
    expect(Math.abs(momentAt([{ xMm: middle, stiffness: 1e12 }])!)).toBeGreaterThan(1)
    expect(checkRail(rail.setting, xs.slice(0, 1))).toBeNull()
    expect(checkRail(rail.setting, [])).toBeNull()
  })
  it('hands its whole load to its fixings: snow and mass press as much as lies on it, wind lifts by each fixing’s own area', () => {
    const random = seeded(14)
    for (let i = 0; i < 40; i++) {
      const { setting, candidates } = loadedRail(random)
      const xs = candidates.map(one => one.atMm)
      const rail = solveRail(setting, xs, [])
      if (!rail) continue
      const lengthMm = setting.line.reduce((sum, one) => sum + one.toMm - one.fromMm, 0)
      expect(rail.gravity.reactions.reduce((sum, n) => sum + n, 0)).toBeCloseTo(lengthMm, 3)
      // Under one level pressure all areas are alike, and the pulls add up to the whole.
      const level = {
        ...setting,
        loads: {
          ...setting.loads,
          wind: { ...setting.loads.wind, curves: Object.fromEntries(Object.keys(setting.loads.wind.curves).map(zone => [zone, levelCurve({ upPa: 1000, downPa: 500 })])) },
        },
      }
      const pulls = solveRail(level, xs, [])!.fixingUp.reduce((sum, n) => sum + n, 0)
      const all = setting.line.reduce((sum, one) => sum + windAlong(level.loads, one, 1).up * (one.toMm - one.fromMm), 0)
      expect(pulls / all).toBeCloseTo(1, 9)
    }
  })
})

describe('a plan with loads', () => {
  const job = us(changed({}, { allowedSpanMm: null }))
  const plan = planJob(job, catalogue)
  const face = plan.faces[0]!
  it('goes by the makers’ greatest span and checks every rail whole', () => {
    expect(face.limits.maxSpanMm).toBe(inch(64))
    expect(face.uses.every(use => use && use.worst <= 1)).toBe(true)
    expect(face.fixings.fewestProved).toBe(true)
    expect(plan.findings.some(finding => finding.id.startsWith('span-basis'))).toBe(false)
  })
  it('needs no fewer fixings in a stronger wind, until nothing holds: then it stops and offers cures that hold', () => {
    const counts = [90, 120, 150, 175].map(mph => planJob(us(job, [stormy(mph)]), catalogue).totals.fixings)
    counts.slice(1).forEach((n, i) => expect(n).toBeGreaterThanOrEqual(counts[i]!))
    const torn = us(job, [stormy(260)])
    const found = planJob(torn, catalogue)
    const stop = found.findings.find(finding => finding.id.startsWith('strength:'))!
    expect(stop.severity).toBe('stop')
    expect(stop.sentence).toMatch(/is at \d+ %/)
    for (const cure of stop.cures) expect(planJob(applyEdit(torn, cure.edit), catalogue).findings.some(finding => finding.id === stop.id)).toBe(false)
  })
  it('says how every pattern is priced and what every rail comes to', () => {
    const prices = pricePatterns(job, catalogue, 'main')
    expect(prices['soft-stagger']).toBe(face.fixings.total)
    const { table, choices } = compareRails(job, catalogue, 'main')
    expect(choices.find(one => one.railId === 'bollard-light')!.fixings).toBe(face.fixings.total)
    expect(choices.find(one => one.railId === 'bollard-deep')!.fixings).toBeLessThanOrEqual(face.fixings.total)
    // Deeper rails span farther, and more suction never farther.
    for (const row of table) {
      const span = (railId: string) => row.cells.find(cell => cell.railId === railId)!.spanMm
      expect(span('bollard-deep')).toBeGreaterThanOrEqual(span('bollard-light'))
    }
    const [one, , three] = table
    expect(three!.cells[0]!.spanMm).toBeLessThanOrEqual(one!.cells[0]!.spanMm)
  })
  it('a span of the table passes with three equal spans and fails with a hair more', () => {
    const clear = roofClearOf(job, catalogue).faces[0]!
    const { strength } = layOut(job.faces[0]!, catalogue, job, clear)
    expect(strength).not.toBeNull()
    for (const row of compareRails(job, catalogue, 'main').table) {
      for (const cell of row.cells) if (cell.governs !== 'greatest by the maker') expect(cell.spanMm).toBeCloseTo(Math.min(...Object.values(cell.byCheck)), 6)
    }
  })
  it('puts every check on the calculation sheet with formula, result and source', () => {
    const sheet = calculationSheet(job, plan)
    const workings = sheet.sections.flatMap(section => section.workings)
    expect(sheet.sections.length).toBeGreaterThan(6)
    for (const working of workings) {
      expect(working.formula.length).toBeGreaterThan(0)
      expect(working.source.length).toBeGreaterThan(5)
    }
    expect(workings.some(working => working.source.includes('NDS 12.2'))).toBe(true)
    expect(JSON.stringify(sheet)).not.toMatch(/NaN|Infinity|undefined/)
  })
  it('takes no allowable value for European loads: it stops and says so', () => {
    const other = planJob({ ...job, loads: { ...noLoads, rules: plainRules('en') } }, catalogue)
    expect(other.findings.find(finding => finding.id.startsWith('strength:'))!.sentence).toContain('nothing is known that holds')
  })
})

describe('modules and clamps', () => {
  it('are rated by where the rail holds them', () => {
    const [module] = catalogue.modules
    expect(ratingAt(module!, 'long', 350)!.upPa).toBe(2800)
    expect(ratingAt(module!, 'long', 280)!.upPa).toBe(2400)
    expect(ratingAt(module!, 'long', 50)).toBeNull()
    const job = us(threeRowsOfSix())
    const plan = planJob(job, catalogue).faces[0]!
    const use = moduleUse(plan.strength!, 0, plan.rails[0]!, plan.parts)
    expect(Object.keys(use).sort()).toEqual(['clamp-slope', 'clamp-up', 'module-down', 'module-up'])
    expect(use['module-up']!.limit).toBe(ratingAt(plan.parts.module, 'long', plan.rails[0]!.lineMm - plan.rows.rows[0]!.bottomMm)!.upPa)
  })
})

describe('the rafters below', () => {
  it('get the sums of their fixings, and a first look that never signs', () => {
    const job = us(changed({ timber: { ...plainTimber, depthMm: 140, spanMm: 3600, bendingMpa: 6, roofDeadPa: 15 * PA_PER_PSF } }))
    const plan = planJob(job, catalogue)
    const face = plan.faces[0]!
    const fixings = face.uses.flatMap((use, r) => use!.fixings.map((duty, i) => ({ duty, member: face.fixings.rails[r]!.fixings[i]!.member })))
    const sums = supportSums(fixings)
    expect(sums.reduce((sum, one) => sum + one.fixings, 0)).toBe(face.fixings.total)
    const seen = screenRafter(job.faces[0]!, face.strength!.loads, sums)!
    expect(seen.after).toBeGreaterThan(seen.before)
    expect(plan.findings.find(finding => finding.id.startsWith('screening'))!.sentence).toContain('not a sign-off')
    expect(screenRafter({ ...job.faces[0]!, timber: plainTimber }, face.strength!.loads, sums)).toBeNull()
  })
})

describe('bad input', () => {
  const job = us(threeRowsOfSix())
  const refusal = (edit: unknown) => {
    const read = readEdit(edit, job, catalogue)
    return read.ok ? '' : sentencesOf(read.problems)
  }
  const rules = plainRules('us-2010') as Extract<ReturnType<typeof plainRules>, { edition: 'us-2010' }>
  it('a wind of 900 mph, a negative snow and a fixing that holds nothing are refused with a sentence', () => {
    expect(refusal({ type: 'set-loads', values: { rules: { ...rules, wind: { ...rules.wind, speedMs: 900 * 0.44704 } } } })).toContain('at most 300 mph')
    expect(refusal({ type: 'set-loads', values: { rules: { ...rules, snow: { ...rules.snow, groundPa: -1 } } } })).toContain('can’t be below 0')
    expect(refusal({ type: 'set-array', faceId: 'main', values: { heldUpN: 0 } })).toContain('holds nothing')
    expect(refusal({ type: 'set-loads', values: { rules: { edition: 'us-2022', wind: rules.wind, snow: rules.snow } } })).not.toBe('')
  })
  it('a rail of no section is no part of any catalogue', () => {
    const [rail, ...others] = catalogue.rails
    for (const section of [
      { ...rail!.section, zxMm3: 0 },
      { ...rail!.section, ixMm4: 0 },
      { ...rail!.section, eMpa: -1 },
    ]) expect(catalogueSchema.safeParse({ ...catalogue, rails: [{ ...rail!, section }, ...others] }).success).toBe(false)
  })
  it.each([
    ['no rafter under the array', changed({ supports: rafterRow(inch(12), inch(110), 38) })],
    [
      'one rafter',
      changed({ supports: { ...rafterRow(inch(100), 3000, 38), layout: 'irregular', hits: [{ id: 'a', xMm: 4000, yMm: 1000, state: 'seen', use: 'rafter' }] } }, { rowCount: 1 }),
    ],
    ['a row of one', changed({}, { rows: [], rowCount: 1 })],
    ['no overhang allowed', changed({}, { allowedOverhangMm: 0 })],
    ['a very flat roof', changed({ pitchDeg: 2 })],
    ['a wall of a roof', changed({ pitchDeg: 75 })],
  ])('%s: sentences, never a figure that is none', (_, odd) => {
    for (const edition of ['us-2010', 'us-2016', 'us-2022', 'en'] as const) {
      const plan = planJob({ ...odd, loads: { ...noLoads, rules: plainRules(edition) } }, catalogue)
      expect(notFinite(plan)).toEqual([])
      for (const finding of plan.findings) expect(finding.sentence).not.toMatch(/NaN|Infinity|undefined/)
      const { loads } = plan.faces[0]!.loading
      if (loads?.wind.unknown.length && plan.faces[0]!.rails.length) expect(plan.findings.some(finding => finding.severity === 'stop' && finding.id.startsWith('wind-not-known'))).toBe(true)
    }
  })
  it('a van too short for any stick is a caution, and the plan still stands', () => {
    const plan = planJob(us(threeRowsOfSix(), [{ type: 'set-van', values: { longestMm: 900, offcuts: [] } }]), catalogue)
    expect(plan.faces[0]!.sticks.tooLongForVan).toBe(true)
    expect(plan.findings.some(finding => finding.id.startsWith('van:'))).toBe(true)
  })
})

it('job files from before loads were worked out still open, at what they took for granted', () => {
  const { loads, van, ...old } = threeRowsOfSix()
  const faces = old.faces.map(({ timber, ...face }) => ({
    ...face,
    array: Object.fromEntries(Object.entries(face.array).filter(([key]) => !['loadPath', 'spliceAs', 'deflectionOver', 'heldUpN', 'heldDownN', 'heldSlopeN'].includes(key))),
    gone: timber && undefined,
  }))
  const read = readJob({ ...old, faces }, catalogue)
  expect(read.ok && read.value.loads).toEqual(loads)
  expect(read.ok && read.value.van).toEqual(van)
  expect(upgraded(7)).toBe(7)
  expect(upgraded({ faces: 'none' })).toEqual({ faces: 'none' })
  expect(planOf(threeRowsOfSix().faces[0]!).uses.every(use => use === null)).toBe(true)
})
