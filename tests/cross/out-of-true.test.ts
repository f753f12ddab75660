import { describe, expect, it } from 'vitest'
import { demoCatalogue } from '../../core/catalogue'
import { type Job, rulesOf } from '../../core/job'
import { type Plan, planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { roughened } from '../fixtures/out-of-true'
import { seeded } from '../fixtures/random'

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
