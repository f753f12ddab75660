import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { laidOf } from '../../core/inroof'
import { type Covering, type Face, plainInRoof } from '../../core/job'
import { planJob } from '../../core/plan'
import { KERF_MM } from '../../core/sticks'
import { demoJobs } from '../../db/demo/jobs'
import { randomFace } from '../fixtures/in-roof-faces'
import { after, catalogue } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'

const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job

/** Jobs whose faces, coverings and systems differ at random. */
function randomJob(random: Random) {
  const { face: _, ask, laid } = randomFace(random)
  const base = demo('2 Eelgrass Cottages')
  const covering = { ...laid.covering, battenMm: random.pick([38, 50]) } as Covering
  const supports = { ...base.faces[0]!.supports, firstCentreMm: random.whole(150, 350), spacingMm: random.whole(350, 620) } as Face['supports']
  return after(
    base,
    {
      type: 'set-face',
      faceId: 'main',
      values: {
        covering,
        supports,
        outline: { kind: 'rectangle', eaveLengthMm: random.whole(5000, 9900), slopeLengthMm: random.whole(3900, 6600) },
        obstructions: [],
      },
    },
    { type: 'take-in-roof', faceId: 'main', inRoof: { ...plainInRoof, systemId: ask.system.id, battenStockMm: random.pick([3600, 4200, 4800]) } },
    { type: 'set-array', faceId: 'main', values: { orientation: ask.widthMm > ask.heightMm ? 'on-side' : 'upright' } },
  )
}

describe('the battens', () => {
  const jobs = Array.from({ length: 60 }, (_, i) => randomJob(seeded(9000 + i)))
  const plans = jobs.map(job => ({ face: job.faces[0]!, plan: planJob(job, catalogue).faces[0]! }))

  it('on 60 random faces: every screw of every module is on timber, by timber drawn anew', () => {
    let screws = 0
    for (const { face, plan } of plans) {
      const { battens, system, parts } = plan.inRoof!
      const { covering, courses, lengthMm } = laidOf(face)!
      const bw = (covering as { battenMm: number }).battenMm
      const gauge = courses[0]!.toMm - courses[0]!.fromMm
      // All that the roofer nailed, the lowest courses' own among them.
      const lying = [...Array.from({ length: 6 }, (_, i) => courses[0]!.fromMm - (i + 1) * gauge), ...courses.map(one => one.fromMm)].map(mm => mm + lengthMm)
      const timber = (x: number, y: number): boolean => {
        const on = (upper: number) => y < upper - system.screw.edgeMm + 1e-6 && y > upper - bw + system.screw.edgeMm - 1e-6
        const taken = (upper: number) =>
          battens!.steps.some(one => (one.act === 'cut' || one.act === 'move') && Math.abs(one.wasMm - upper) < 1e-6 && x >= one.fromMm && x <= one.toMm)
        return (
          lying.some(upper => on(upper) && !taken(upper))
          || battens!.steps.some(one => (one.act === 'add' || one.act === 'move') && on(one.upperMm) && x >= one.fromMm - 1e-6 && x <= one.toMm + 1e-6)
        )
      }
      for (const part of parts)
        for (const cell of part.cells) {
          const own = battens!.screws.filter(one => one.moduleId === cell.id)
          const lines = system.lines.filter(one => one.wayUp === part.orientation)
          expect(own).toHaveLength(lines.reduce((n, one) => n + one.screws, 0))
          for (const { xMm, yMm, line } of own) {
            expect(timber(xMm, yMm)).toBe(true)
            expect([
              yMm - cell.bottomMm >= lines[line]!.fromMm - 1e-6,
              yMm - cell.bottomMm <= lines[line]!.toMm + 1e-6,
              xMm > cell.leftMm,
              xMm < cell.rightMm,
            ]).toEqual([true, true, true, true])
            screws++
          }
        }
      expect(battens!.loose).toEqual([])
    }
    expect(screws).toBeGreaterThan(2000)
  })

  it('that are added reach from rafter to rafter, and lie in no other that stays', () => {
    for (const { face, plan } of plans) {
      const { battens, system } = plan.inRoof!
      const { covering, courses, lengthMm } = laidOf(face)!
      const bw = (covering as { battenMm: number }).battenMm
      for (const one of battens!.steps.filter(step => step.act === 'add')) {
        for (const end of [one.fromMm, one.toMm])
          expect(
            Math.min(
              ...plan.supports.rafters.map(rafter => Math.abs(rafter.centreMm - end)),
              Math.abs(end - plan.shape.along.fromMm),
              Math.abs(end - plan.shape.along.toMm),
              ...(one.rows.length ? [] : [0]),
            ) < 1e-6 || plan.supports.rafters.every(rafter => (end < one.fromMm + 1 ? rafter.centreMm > one.fromMm : rafter.centreMm < one.toMm)),
          ).toBe(true)
        if (system.kind === 'frame') for (const course of courses) expect(Math.abs(course.fromMm + lengthMm - one.upperMm)).toBeGreaterThanOrEqual(bw - 1e-6)
      }
    }
  })

  it('are cut from as few lengths as an integer program needs', { timeout: 120_000 }, async () => {
    const highs = await highsLoader({})
    let compared = 0
    for (const { plan } of plans) {
      const { cuts } = plan.inRoof!.battens!
      if (!cuts.pieces.length || cuts.pieces.length > 12) continue
      const lengths = cuts.pieces.map(one => one.toMm - one.fromMm)
      const bins = cuts.sticks.length
      const x = (i: number, b: number) => `x${i}_${b}`
      const all = Array.from({ length: bins }, (_, b) => b)
      const model = [
        'Minimize',
        ` obj: ${all.map(b => `u${b}`).join(' + ')}`,
        'Subject To',
        ...lengths.map((_, i) => ` one${i}: ${all.map(b => x(i, b)).join(' + ')} = 1`),
        ...all.map(b => ` room${b}: ${lengths.map((mm, i) => `${(mm + KERF_MM).toFixed(4)} ${x(i, b)}`).join(' + ')} - ${cuts.stockMm + KERF_MM} u${b} <= 0.001`),
        ...all.slice(1).map(b => ` sym${b}: u${b - 1} - u${b} >= 0`),
        'Binary',
        ...all.map(b => ` u${b}`),
        ...lengths.flatMap((_, i) => all.map(b => ` ${x(i, b)}`)),
        'End',
      ].join('\n')
      expect([Math.round(highs.solve(model).ObjectiveValue), cuts.proved]).toEqual([bins, true])
      // Every piece once, and no length overfull.
      expect(cuts.sticks.flatMap(stick => stick.cuts.map(cut => cut.rail)).sort((a, b) => a - b)).toEqual(lengths.map((_, i) => i))
      for (const stick of cuts.sticks) expect(stick.cuts.reduce((sum, cut) => sum + lengths[cut.rail]! + KERF_MM, -KERF_MM)).toBeLessThanOrEqual(stick.mm + 0.01)
      compared++
    }
    expect(compared).toBeGreaterThan(15)
  })
})
