import { expect, it } from 'vitest'
import { demoJobs } from '../../db/demo/jobs'
import { applyEdit } from '../../core/job'
import { planJob } from '../../core/plan'
import { catalogue } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { planListener, planTeller } from '../workers/plan-news'

it('120 plans of jobs in turn, a pitch changed now and then and back: what is heard is what was planned, and faces that stay are not told again', () => {
  const random = seeded(19)
  const [tell, hear] = [planTeller(), planListener()]
  const jobs = demoJobs.map(one => one.job)
  let told = 0
  let all = 0
  for (let i = 0; i < 120; i++) {
    const j = random.whole(0, jobs.length - 1)
    const face = random.pick(jobs[j]!.faces)
    if (random.next() < 0.3) jobs[j] = applyEdit(jobs[j]!, { type: 'set-face', faceId: face.id, values: { pitchDeg: random.pick([face.pitchDeg, face.pitchDeg + 0.5, 30]) } })
    const plan = planJob(jobs[j]!, catalogue)
    const news = structuredClone(tell(plan))
    told += news.faces.filter(one => one.plan).length
    all += news.faces.length
    if (i % 10 === 0) expect(hear(news)).toEqual(plan)
    else hear(news)
  }
  expect(told).toBeLessThan(all / 2)
})
