import { demoCatalogue } from '../../core/catalogue'
import { planGround } from '../../core/ground'
import type { Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { timesOf } from './plan'

/** What it takes to plan from the roof box to the meter: with places to be found anew, and with places that are remembered, whatever else changed. */
const RUNS = 5
let edits = 0
const moved = (job: Job): Job => ({ ...job, ground: { ...job.ground!, walls: job.ground!.walls.map(wall => ({ ...wall, wideMm: wall.wideMm + ++edits / 1000 })) } })
const hotter = (job: Job): Job => ({ ...job, ground: { ...job.ground!, rangeK: job.ground!.rangeK + ++edits / 1e6 } })
for (const { job } of demoJobs) {
  if (!job.ground) continue
  const { wiring, grid } = planJob(job, demoCatalogue)
  const anew = timesOf(() => planGround(moved(job), wiring, demoCatalogue)!, RUNS).median
  const again = timesOf(() => planGround(hotter(job), wiring, demoCatalogue)!, RUNS).median
  const { stood, proved } = grid!.placing
  console.log(`ground, ${job.title}: ${stood.filter(one => one.found).length} places found${proved ? ', proved' : ''}, ${anew.toFixed(0)} ms; all else ${again.toFixed(1)} ms: ${(anew / again).toFixed(0)} times`)
}
