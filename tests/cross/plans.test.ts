import { differenceD, FillRule, type PathsD } from 'clipper2-ts'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { areaMm2, rectangle, type Region } from '../../core/geometry'
import { forbiddenStrips, usualCovering } from '../../core/coverings'
import { coveringKinds } from '../../core/catalogue'
import { applyEdit, columnRules, type Edit, hitStates, type Job, loadEditions, orientations, type PlainEdit, plainRules, rafterRow, readJob, ruleSets, rulesOf, starterJob } from '../../core/job'
import { type FacePlan, planJob } from '../../core/plan'
import { onFace } from '../../core/rails'
import { readingAlong } from '../../core/roof'
import { rafterAt } from '../../core/supports'
import { catalogue } from '../fixtures/jobs'
import { notFinite } from '../fixtures/not-finite'
import { type Random, seeded } from '../fixtures/random'

const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }

/** A job as a hurried person might leave it: odd sizes, odd rules, half a hit log. */
function randomJob(random: Random): Job {
  const units = random.pick(['imperial', 'metric'] as const)
  const faceId = 'main'
  const supports: Extract<PlainEdit, { type: 'set-face' }>['values']['supports'][] = [
    { ...rafterRow(random.between(50, 700), random.between(350, 900), random.between(35, 75)), layout: random.pick(['nominal', 'fitted', 'irregular'] as const), hits: Array.from({ length: random.whole(0, 9) }, (_, i) => ({ id: `h${i}`, xMm: random.between(0, 9000), yMm: random.between(0, 4000), state: random.pick(hitStates), use: random.pick(['rafter', 'rafter', 'rafter', 'doubled', 'set-aside'] as const) })) },
    { kind: 'purlins', member: 'purlin', firstMm: random.between(50, 500), spacingMm: random.between(300, 1500), widthMm: random.between(40, 90), found: [] },
    { kind: 'seams', firstMm: random.between(0, 400), spacingMm: random.between(250, 600) },
    { kind: 'screws', firstMm: random.between(0, 300), spacingMm: random.between(150, 400), firstRowMm: random.between(50, 400), rowSpacingMm: random.between(300, 900) },
    { kind: 'sheathing', thicknessMm: 18, areas: random.next() < 0.5 ? [] : [{ fromXMm: 500, toXMm: random.between(2000, 7000), fromYMm: 0, toYMm: 5000 }] },
  ]
  const w = random.between(3000, 14_000)
  const h = random.between(2500, 7000)
  const edits: Edit[] = [
    { type: 'set-face', faceId, values: {
      supports: random.pick(supports)!, covering: usualCovering(random.pick(coveringKinds), units === 'imperial'), pitchDeg: random.between(5, 60), datum: random.pick(['left', 'right']), windStripMm: random.pick([0, 0, 300]),
      outline: random.next() < 0.4
        ? { kind: 'rectangle', eaveLengthMm: w, slopeLengthMm: h }
        : { kind: 'corners', corners: ([[0, 0, 'eave'], [w, 0, 'hip'], [w * random.between(0.55, 0.95), h, 'ridge'], [w * random.between(0, 0.4), h, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })) },
      obstructions: Array.from({ length: random.whole(0, 3) }, (_, i) => ({ id: `o${i}`, kind: random.pick(['vent', 'chimney', 'escape-window'] as const), round: random.next() < 0.5, xMm: random.between(0, w), yMm: random.between(0, h), widthMm: random.between(80, 900), heightMm: random.between(80, 900), clearanceMm: random.between(0, 300) })),
    } },
    { type: 'set-array', faceId, values: { orientation: random.pick(orientations), columns: random.pick(columnRules), stackFrom: random.pick(['eave', 'ridge']), shiftMm: random.pick([0, 0, 120, -300]), rowCount: random.pick([null, null, 1, 3]), fixingPattern: random.pick(['soft-stagger', 'aligned', 'hard-stagger']) } },
    { type: 'set-row', faceId, row: random.whole(0, 2), values: { count: random.pick([null, 2, 6]), skip: random.pick([[], [2]]), orientation: random.pick([null, 'on-side']), held: random.pick([[], [random.between(500, 3000)]]) } },
    { type: 'set-loads', values: { rules: plainRules(random.pick(loadEditions)), building: { form: random.pick([null, 'hip', 'monopitch'] as const), heightMm: random.pick([null, 9000]), widthMm: null, lengthMm: null } } },
    { type: 'set-array', faceId, values: { loadPath: random.pick(['line', 'clamps']), spliceAs: random.pick(['butted', 'bridged']), deflectionOver: random.pick([120, 300]), allowedSpanMm: random.pick([null, 1100]) } },
    { type: 'set-array', faceId, values: random.pick([{ railWay: 'across' }, { railWay: 'up', railInMm: random.pick([null, null, 240]) }, { railId: 'thole-coupled', mountId: 'thole-edge-foot', clampsId: 'thole-grip', rowGapMm: random.pick([12.7, 40]) }, { railId: 'hawser-mid', mountId: 'windlass-tile-hook', clampsId: 'hawser-grip' }] as const) },
    { type: 'set-row', faceId, row: 0, values: { breaks: random.pick([[], [], [2], [1, 3]]) } },
    { type: 'set-van', values: { longestMm: random.pick([null, 3600, 700]), offcuts: random.pick([[], [{ railId: parts.railId, mm: 1900, pieces: 2 }]]) } },
    { type: 'set-keep-clear', values: { ...rulesOf(random.pick(ruleSets)), sprinklers: random.next() < 0.3 } },
  ]
  return edits.reduce(applyEdit, starterJob('Random', '', units, parts))
}

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
    for (const row of face.rows.rows) {
      expect(row.count).toBe(row.moduleLeftsMm.length)
      for (const block of row.blocks.filter(one => one.fits)) {
        // A polygon library of its own holds what is said to fit inside the region.
        const over = differenceD(rectangle({ fromMm: block.leftMm, toMm: block.rightMm }, { fromMm: row.bottomMm, toMm: row.topMm }) as PathsD, face.region as PathsD, FillRule.NonZero, 4) as Region
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
        // A fixing on a rafter stands where the rail crosses it, or lies on it all the way up.
        const rafter = face.supports.rafters.find(one => fixing.member === `rafter ${one.number}`)
        const { xMm, yMm } = onFace(rail, fixing.atMm)
        if (rafter) expect(Math.abs(rafterAt(rafter, yMm) - xMm)).toBeLessThan(rail.way === 'across' ? 1e-6 : rafter.widthMm / 2 + 1e-6)
        // Nothing stands where couplers, corners or the covering forbid it.
        for (const strip of [...rail.keepsOff, ...forbiddenStrips(own.covering, own.outline, face.parts.mount, rail)]) expect(fixing.atMm > strip.fromMm + 1e-6 && fixing.atMm < strip.toMm - 1e-6).toBe(false)
      }
    })
    // Every module is carried by lines that bear all of its width between them.
    const borne = new Map<string, number>()
    for (const one of face.rails.flatMap(rail => rail.carries)) borne.set(`${one.row}/${one.module}`, (borne.get(`${one.row}/${one.module}`) ?? 0) + one.bearsMm)
    for (const row of face.rows.rows) row.moduleLeftsMm.forEach((_, m) => expect(borne.get(`${row.index}/${m}`)!).toBeGreaterThan((face.rails[0]!.way === 'up' ? row.moduleWidthMm : row.moduleHeightMm) - 1e-6))
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
