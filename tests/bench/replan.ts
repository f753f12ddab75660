import { median } from 'simple-statistics'
import { demoJobs } from '../../db/demo/jobs'
import { demoCatalogue } from '../../core/catalogue'
import { followingOf } from '../../core/fieldwork'
import { applyEdit, type Edit, type Job } from '../../core/job'
import { onFace } from '../../core/rails'
import { planJob } from '../../core/plan'

/** Each miss on a job that a crew is half-way through: how long until an answer that keeps every limit, and until the whole plan with its proof and cures. */
const SLOWER = 4
console.log('replan: a miss logged on a face whose other rails are drilled, ms until the first answer, until the whole plan')
const firsts: number[] = []
for (const { job } of demoJobs) {
  const plan = planJob(job, demoCatalogue)
  const f = plan.faces.findIndex(face => face.rails.length > 1)
  if (f < 0) continue
  const [face, own] = [job.faces[f]!, plan.faces[f]!]
  let state: Job = applyEdit(job, { type: 'follow', faceId: face.id, following: followingOf(own, null), anew: true })
  const say = (id: string, at: { xMm: number, yMm: number }, result: 'hit' | 'miss'): Edit[] => [
    { type: 'log-work', entries: [{ at: null, entry: { id, faceId: face.id, by: 'bench', at: '2026-05-04T09:30:00Z', kind: 'hole', ...at, result, timber: null, dust: null } }] },
    ...face.supports.kind === 'rafters' ? [{ type: 'log-hits' as const, faceId: face.id, hits: [{ at: 0, hit: { id, ...at, state: result === 'hit' ? 'pilot-hit' as const : 'pilot-miss' as const, use: 'rafter' as const } }] }] : [],
  ]
  own.rails.slice(1).forEach((rail, r) => own.fixings.rails[r + 1]!.fixings.forEach((one, i) => {
    state = say(`h-${r}-${i}`, onFace(rail, one.atMm), 'hit').reduce(applyEdit, state)
  }))
  planJob(state, demoCatalogue, 'first')
  const times = own.fixings.rails[0]!.fixings.map((one, i) => {
    const missed = say(`m-${i}`, onFace(own.rails[0]!, one.atMm), 'miss').reduce(applyEdit, state)
    const started = performance.now()
    planJob(missed, demoCatalogue, 'first')
    const first = performance.now() - started
    planJob(missed, demoCatalogue)
    return { first, whole: performance.now() - started - first }
  })
  firsts.push(...times.map(one => one.first))
  console.log(`${job.title}, ${own.fixings.total} fixings: median ${median(times.map(one => one.first)).toFixed(0)}, most ${Math.max(...times.map(one => one.first)).toFixed(0)}; whole ${median(times.map(one => one.whole)).toFixed(0)}, most ${Math.max(...times.map(one => one.whole)).toFixed(0)}`)
}
console.log(`first answers under a second at ${SLOWER} times slower: ${firsts.filter(ms => ms * SLOWER < 1000).length} of ${firsts.length}`)
