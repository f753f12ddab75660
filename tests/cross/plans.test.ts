import { differenceD, FillRule, type PathsD } from 'clipper2-ts'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { areaMm2, rectangle, type Region } from '../../core/geometry'
import { footOf, forbiddenStrips } from '../../core/coverings'
import { flashSchools, type Job, plainInRoof, readJob, reliefs } from '../../core/job'
import { type FacePlan, planJob } from '../../core/plan'
import { onFace } from '../../core/rails'
import { readingAlong } from '../../core/roof'
import { drilledOn } from '../../core/rooflog'
import { rafterAt } from '../../core/supports'
import { after, catalogue } from '../fixtures/jobs'
import { notFinite } from '../fixtures/not-finite'
import { seeded } from '../fixtures/random'
import { randomJob } from '../fixtures/random-job'

/** What must hold of any plan, however odd its job. */
function check(job: Job): FacePlan[] {
  const read = readJob(job, catalogue)
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const plan = planJob(read.value, catalogue)
  expect(notFinite(plan)).toEqual([])
  expect(JSON.parse(JSON.stringify(plan))).toEqual(plan)
  for (const finding of plan.findings) expect(finding.sentence).not.toMatch(/NaN|Infinity|undefined|\[object/)
  plan.faces.forEach((face, f) => {
    const own = job.faces[f]!
    const holes = drilledOn(job.log, own.id)
    for (const row of face.rows.rows) {
      expect(row.count).toBe(row.moduleLeftsMm.length)
      for (const block of row.blocks.filter(one => one.fits)) {
        // A polygon library of its own holds what is said to fit inside the region.
        const over = differenceD(rectangle({
          fromMm: block.leftMm,
          toMm: block.rightMm,
        }, { fromMm: row.bottomMm, toMm: row.topMm }) as PathsD, face.region as PathsD, FillRule.NonZero, 4) as Region
        expect(areaMm2(over)).toBeLessThan(20)
      }
    }
    face.rails.forEach((rail, r) => {
      const { fixings, shortfalls, overhangStartMm, overhangEndMm, longestSpanMm } = face.fixings.rails[r]!
      expect(fixings.map(fixing => fixing.atMm)).toEqual([...fixings].map(fixing => fixing.atMm).sort((a, b) => a - b))
      if (!shortfalls.length) {
        expect(Math.max(overhangStartMm, overhangEndMm)).toBeLessThanOrEqual(face.limits.maxOverhangMm + 1e-3)
        expect(longestSpanMm).toBeLessThanOrEqual(face.limits.maxSpanMm + 1e-3)
      }
      const use = face.uses[r]
      // What is said to keep every limit does, as it is really built, and every fixing has its duty.
      if (use) {
        expect(use.fixings).toHaveLength(fixings.length)
        if (use.worst > 1 + 1e-6 && !shortfalls.length) expect(plan.findings.some(finding => finding.severity === 'stop' && finding.id.startsWith(`strength:${own.id}`))).toBe(true)
      }
      for (const fixing of fixings) {
        expect(fixing.chance).toBeGreaterThanOrEqual(0)
        expect(fixing.chance).toBeLessThanOrEqual(1)
        // A fixing on a rafter stands where the rail crosses it, or lies on it all the way up; in a hole where it was drilled, and beside a miss.
        const rafter = face.supports.rafters.find(one => fixing.member === `rafter ${one.number}`)
        const { xMm, yMm } = onFace(rail, fixing.atMm)
        const isDrilled = holes.some(hole => hole.state === 'used' && Math.hypot(hole.xMm - xMm, hole.yMm - yMm) < 1e-6)
        const isBeside = rafter && holes.some(hole => hole.missed && Math.hypot(hole.xMm - xMm, hole.yMm - yMm) < rafter.widthMm)
        if (rafter && !isDrilled) expect(Math.abs(rafterAt(rafter, yMm) - xMm)).toBeLessThan(rail.way === 'up' ? rafter.widthMm / 2 + 1e-6 : isBeside ? rafter.widthMm : 1e-6)
        // Nothing stands where couplers, corners or the covering forbid it.
        for (const strip of [
          ...rail.keepsOff,
          ...forbiddenStrips(own.covering, own.outline, footOf(own, face.parts.mount), rail),
        ]) expect(fixing.atMm > strip.fromMm + 1e-6 && fixing.atMm < strip.toMm - 1e-6).toBe(false)
      }
    })
    // Every module is carried by lines that bear all of its width between them.
    const borne = new Map<string, number>()
    for (const one of face.rails.flatMap(rail => rail.carries)) borne.set(`${one.row}/${one.module}`, (borne.get(`${one.row}/${one.module}`) ?? 0) + one.bearsMm)
    if (!face.inRoof) for (const row of face.rows.rows) row.moduleLeftsMm.forEach((_, m) => expect(borne.get(`${row.index}/${m}`)!).toBeGreaterThan((face.rails[0]!.way === 'up' ? row.moduleWidthMm : row.moduleHeightMm) - 1e-6))
    // In the roof each is held by screws, on as many lines as its system wants.
    for (const part of face.inRoof?.parts ?? []) for (const cell of part.cells) if (face.inRoof!.battens) expect(new Set(face.inRoof!.battens.screws.filter(one => one.moduleId === cell.id).map(one => one.line)).size).toBe(face.inRoof!.system.lines.filter(one => one.wayUp === part.orientation).length)
    // Every fixing's mark is the plan's place, read from the datum.
    face.rails.forEach((rail, r) => {
      const step = face.marks.find(one => one.id === `fixings-${rail.id}`)
      const places = face.fixings.rails[r]!.fixings.map(fixing => rail.way === 'across' ? readingAlong(own, fixing.atMm) : fixing.atMm).sort((a, b) => a - b)
      expect(step?.marks.map(mark => mark.readingMm) ?? []).toEqual(places)
    })
    const pieces = (kind: string) => face.list.filter(part => part.kind === kind).reduce((sum, part) => sum + part.pieces, 0)
    expect([pieces('module'), pieces('mount'), pieces('stick') + pieces('offcut')]).toEqual([face.modules, face.fixings.total, face.sticks.sticks.length])
    expect(face.strips.reduce((sum, strip) => sum + strip.takesMm2, 0) + face.regionAreaMm2).toBeCloseTo(areaMm2(face.shape.region), -3)
  })
  return plan.faces
}

describe('any plan', () => {
  it('of 40 random jobs with the array in the roof holds as well, and says why where none stands', { timeout: 300_000 }, () => {
    let [standing, bare] = [0, 0]
    for (let i = 0; i < 40; i++) {
      const random = seeded(15_000 + i)
      const system = random.pick(catalogue.inRoofs)
      const job = after(randomJob(random), { type: 'take-in-roof', faceId: 'main', inRoof: {
        ...plainInRoof, systemId: system.id, school: random.pick(flashSchools), relief: random.pick(reliefs), closedBehind: random.next() < 0.5, changeAtRow: random.pick([null, null, 2, 3]), leftMm: random.pick([null, null, 1200]), bottomMm: random.pick([null, null, 900]),
        battensRead: random.pick([[], [{ batten: 1, mm: 310 }, { batten: 4, mm: 1290 }, { batten: 9, mm: 2990 }]]), battenStockMm: random.pick([2400, 4800]),
      } })
      const [face] = check(job)
      if (face!.modules) standing++
      else {
        bare++
        expect(planJob(job, catalogue).findings.some(finding => finding.faceId === 'main' && finding.severity === 'stop')).toBe(true)
      }
    }
    expect([standing > 7, bare > 3]).toEqual([true, true])
  })

  it('of 110 random jobs is finite, survives JSON, keeps its own limits and counts', { timeout: 300_000 }, () => {
    const random = seeded(2026)
    let withRows = 0
    for (let i = 0; i < 110; i++) if (check(randomJob(random)).some(face => face.modules > 0)) withRows++
    expect(withRows).toBeGreaterThan(55)
  })
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('of the demo job %s too', (_, job) => {
    check(job)
  })
  it('is the same for the same job, and a job is left as it was', () => {
    for (const { job } of demoJobs.slice(0, 3)) {
      const before = JSON.stringify(job)
      expect(planJob(job, catalogue)).toEqual(planJob(structuredClone(job), structuredClone(catalogue)))
      expect(JSON.stringify(job)).toBe(before)
    }
  })
})
