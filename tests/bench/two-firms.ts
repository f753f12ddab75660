import { demoCatalogue } from '../../core/catalogue'
import { applyEdit, type Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { timesOf } from './plan'

// A server plans for several firms: what it remembers of one must not be pushed out by what another asks meanwhile.
const other = { ...structuredClone(demoCatalogue), currency: 'XTS' }
const several = demoJobs.map(({ job }) => job).filter(job => job.faces.length > 1)
let pushes = 0
/** The same job after somebody moved the array of its first face a little further. */
const pushed = (job: Job): Job => applyEdit(job, { type: 'set-array', faceId: job.faces[0]!.id, values: { shiftMm: 10 + ++pushes / 100 } })

for (const job of several) {
  const alone = timesOf(() => planJob(pushed(job), demoCatalogue), 20)
  const inTurns = timesOf(() => planJob(pushed(job), demoCatalogue), 20, () => several.forEach(one => planJob(pushed(one), other)))
  console.log(`${job.title}, one of ${job.faces.length} faces edited: while another firm edits and plans its jobs in turn ${(inTurns.median / alone.median).toFixed(2)} times as long as alone (${alone.median.toFixed(1)} ms)`)
}
