import { describe, expect, it } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { type Job, noLoads, plainTimber } from '../job'
import { planJob } from './index'
import { demoJobs } from '../../db/demo/jobs'
import { plainRules } from '../../tests/fixtures/plain-rules'

const twice = (job: Job): Job => ({ ...job, faces: [job.faces[0]!, { ...job.faces[0]!, id: 'back', name: 'Back face' }] })
const us = (job: Job): Job => ({ ...job, loads: { ...noLoads, rules: plainRules('us-2016') } })
const ids = (job: Job) => planJob(job, catalogue).findings.map(finding => finding.id)

describe('what would be said of every face', () => {
  it('is said once for the job: what is not checked, what is from memory', () => {
    const said = ids(us(twice(threeRowsOfSix())))
    for (const id of ['not-checked', 'loads-from-memory']) expect(said.filter(one => one.startsWith(id)), id).toEqual([id])
  })
  it('names the rafters among what is not checked until their figures are typed', () => {
    const of = (job: Job) => planJob(job, catalogue).findings.find(finding => finding.id === 'not-checked')!.sentence
    const job = us(threeRowsOfSix())
    expect(of(job)).toContain('existing rafters')
    const typed = { ...job, faces: [{ ...job.faces[0]!, timber: { ...plainTimber, depthMm: 140, spanMm: 3600, bendingMpa: 6 } }] }
    expect(of(typed)).not.toContain('existing rafters')
    expect(of(typed)).toContain('buckling of the rail')
  })
  it('is silent where nothing is worked out, and the rule of thumb for overhangs where it is', () => {
    const short = (job: Job): Job => ({ ...job, faces: [{ ...job.faces[0]!, array: { ...job.faces[0]!.array, allowedOverhangMm: 600 } }] })
    const plain = ids(short(threeRowsOfSix()))
    expect(plain).not.toContain('not-checked')
    expect(ids(short(us(threeRowsOfSix())))).not.toContain('overhang-share')
  })
  it('no note’s sentence stands twice on any demo job', () => {
    for (const { job } of demoJobs) {
      const notes = planJob(job, catalogue).findings.filter(finding => finding.severity === 'note').map(finding => finding.sentence)
      expect(new Set(notes).size, job.title).toBe(notes.length)
    }
  })
})
