import { describe, expect, it } from 'vitest'
import { demoCatalogue } from '../../core/catalogue'
import type { Interval } from '../../core/geometry'
import { type Job, rulesOf } from '../../core/job'
import { type Plan, planJob } from '../../core/plan'
import { shapeOf } from '../../core/roof'
import { demoJobs } from '../../db/demo/jobs'
import { seeded } from '../fixtures/random'

/**
 * No roof is true: the same job with every corner of every face a few millimetres farther out, each by its own amount, must come
 * to the same plan. Never farther in: one demo row fits with a millimetre to spare.
 */
function roughened(job: Job, offMm: () => number): Job {
  return {
    ...job,
    faces: job.faces.map((face) => {
      const { edges, along, up } = shapeOf(face.outline)
      const out = (at: number, { fromMm, toMm }: Interval) => at + offMm() * Math.sign(at - (fromMm + toMm) / 2)
      return { ...face, outline: { kind: 'corners', corners: edges.map(({ from, kind }) => ({ xMm: out(from.x, along), yMm: out(from.y, up), edge: kind })) } }
    }),
  }
}

/** How often each finding stands; numbers of rafters and rows in their names may change. */
function findingsOf({ findings }: Plan): string[] {
  return findings.map(({ severity, id }) => `${severity} ${id.replace(/\d+/g, '#')}`).sort()
}

describe('faces up to 6 mm out of true', () => {
  const random = seeded(2026)
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('%s: as many modules, the same findings and all but the same fixings as true ones', (_, job) => {
    const [plain, rough] = [job, roughened(job, () => random.between(0, 6))].map(one => planJob(one, demoCatalogue)) as [Plan, Plan]
    expect(plain.faces.some(face => face.modules > 0)).toBe(true)
    expect(rough.faces.map(face => face.modules)).toEqual(plain.faces.map(face => face.modules))
    // The array may stand a little elsewhere over its rafters, which can be worth a fixing or two.
    rough.faces.forEach((face, f) => expect(Math.abs(face.fixings.total - plain.faces[f]!.fixings.total)).toBeLessThanOrEqual(2))
    expect(findingsOf(rough)).toEqual(findingsOf(plain))
  })
  it.each(['us-2018', 'us-2012'] as const)('under the fire rules of %s every strip that a true face has is there', (ruleSet) => {
    for (const { job } of demoJobs) {
      const ruled = { ...job, keepClear: { ...job.keepClear, ...rulesOf(ruleSet) } }
      const stripsOf = (one: Job) => planJob(one, demoCatalogue).faces.map(face => face.strips.filter(strip => strip.takesMm2 > 1e4).map(strip => strip.of).sort())
      expect(stripsOf(roughened(ruled, () => random.between(0, 6))), job.title).toEqual(stripsOf(ruled))
    }
  })
})
