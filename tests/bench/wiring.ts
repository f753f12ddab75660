import { demoCatalogue } from '../../core/catalogue'
import type { Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { wireRoof } from '../../core/wiring'
import { demoJobs } from '../../db/demo/jobs'
import { timesOf } from './plan'

/** What wiring adds to a plan: each demo job planned after an edit of its faces, and the wiring of the same faces alone, whatever was remembered of either set aside. */
const RUNS = 9
let edits = 0
const wider = (job: Job): Job => ({ ...job, faces: job.faces.map(face => ({ ...face, setbacks: { ...face.setbacks, leftRakeMm: face.setbacks.leftRakeMm + ++edits / 100 } })) })
const rewired = (job: Job): Job => ({ ...job, wiring: { ...job.wiring, dropShare: job.wiring.dropShare + ++edits / 1e9 } })
const ratios: number[] = []
let [all, wiring] = [0, 0]
for (const { job } of demoJobs) {
  if (!job.wiring.groups.length) continue
  const plan = planJob(job, demoCatalogue)
  const faces = job.faces.map((face, f) => ({ face, plan: plan.faces[f]! }))
  const whole = timesOf(() => planJob(wider(job), demoCatalogue), RUNS).median
  const own = timesOf(() => wireRoof(rewired(job), faces, demoCatalogue), RUNS).median
  ratios.push(whole / (whole - own))
  all += whole
  wiring += own
  console.log(`wiring, ${job.title}: ${plan.wiring.circuits.length} circuits, planned anew ${whole.toFixed(0)} ms, of which wiring ${own.toFixed(1)} ms: ${(whole / (whole - own)).toFixed(2)} times planning without`)
}
ratios.sort((a, b) => a - b)
console.log(`wiring, all demo jobs: ${(all / (all - wiring)).toFixed(2)} times planning without, median ${ratios[Math.floor(ratios.length / 2)]!.toFixed(2)}, most ${ratios.at(-1)!.toFixed(2)} (at most 1.3 wanted)`)
