import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { readJob } from '../../core/job'
import { type FacePlan, planJob } from '../../core/plan'
import { readingAlong } from '../../core/roof'
import { rafterAt } from '../../core/supports'
import type { MarkStep } from '../../core/trade'
import { readingDivisionMm } from '../../core/units'
import { catalogue } from '../fixtures/jobs'
import { seeded } from '../fixtures/random'
import { randomJob } from '../fixtures/random-job'

describe('every mark, derived again from where things stand', () => {
  /** Places of one step's things, by names of their own, from the plan's geometry alone. */
  function expected(face: FacePlan, step: MarkStep, read: (x: number) => number): number[] | null {
    const rail = face.rails.find(one => step.id.endsWith(one.id))
    const r = rail ? face.rails.indexOf(rail) : -1
    const run = (mm: number) => rail!.way === 'across' ? read(mm) : mm
    const row = face.rows.rows.find(one => step.id.endsWith(`row${one.index + 1}`))
    switch (step.kind) {
      case 'fixings': return face.fixings.rails[r]!.fixings.map(one => run(one.atMm))
      case 'trim': return [run(rail!.carries[0]!.fromMm - face.parts.clamps.railPastMm), run(Math.max(...rail!.carries.map(one => one.toMm)) + face.parts.clamps.railPastMm)]
      case 'splices': return face.parts.rail.frame ? rail!.couplers.map(run) : face.sticks.splices.filter(one => one.railId === rail!.id).map(one => run(one.atMm))
      case 'modules': return row!.blocks.flatMap(block => [read(block.moduleLeftsMm[0]!), read(block.moduleLeftsMm.at(-1)! + row!.moduleWidthMm)])
      // Where units hang is judged by a program of its own, in wiring-plan.test.ts.
      case 'electronics': return face.wiring!.units.filter(one => one.row === row!.index).map(one => read(one.place.at.x))
      case 'rows': return face.rows.rows.flatMap(one => [one.bottomMm, one.bottomMm + one.moduleHeightMm])
      case 'rails': return face.rails.map(one => one.way === 'across' ? one.lineMm : read(one.lineMm))
      case 'supports': return step.id === 'rafters' && face.supports.rafters.every(one => Math.abs(one.lean) * face.shape.up.toMm < 1) ? face.supports.rafters.map(one => read(rafterAt(one, 0))) : null
      case 'battens': return face.inRoof!.battens!.steps.filter(one => step.id === `battens-${one.act}`).map(one => one.upperMm)
      case 'flashings': return step.id === 'watertight' ? [] : face.inRoof!.kit.pieces.filter(one => step.id === `flashing-${one.step}` && !one.kind.startsWith('joint')).map(one => read(Math.min(one.from.x, one.to.x)))
      default: return null
    }
  }
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('of %s to half a division', (_, job) => {
    const plan = planJob(job, catalogue)
    let checked = 0
    plan.faces.forEach((face, f) => {
      for (const step of face.marks) {
        const places = expected(face, step, x => readingAlong(job.faces[f]!, x))
        if (!places) continue
        const readings = step.marks.map(mark => mark.readingMm).sort((a, b) => a - b)
        places.sort((a, b) => a - b)
        expect(readings).toHaveLength(places.length)
        readings.forEach((mm, i) => expect(Math.abs(mm - places[i]!)).toBeLessThanOrEqual(readingDivisionMm(job.units) / 2))
        checked += places.length
      }
    })
    if (plan.totals.modules) expect(checked).toBeGreaterThan(50)
  })
})

it('a job file comes back as the very same job, for 200 random jobs', () => {
  const random = seeded(31)
  for (let i = 0; i < 200; i++) {
    const job = randomJob(random)
    const back = readJob(JSON.parse(`${JSON.stringify(job, null, 2)}\n`), catalogue)
    expect(back.ok && back.value).toEqual(job)
  }
})
