import { demoCatalogue } from '../../core/catalogue'
import { applyEdit, type Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { demoJobs } from '../../db/demo/jobs'
import { timesOf } from './plan'

/** Arrays in the roof: set out anew, as after a reading of the face, and after an edit that leaves them where they stand. */
const RUNS = 15
const jobs = ['Fennel Field, plot 7', 'Mizzen Terrace 11', '2 Eelgrass Cottages'].map(title => demoJobs.find(({ job }) => job.title === title)!.job)
let edits = 0
const faceOf = (job: Job) => job.faces.find(face => face.inRoof)!
const wider = (job: Job): Job => ({ ...job, faces: job.faces.map(face => face.inRoof ? { ...face, setbacks: { ...face.setbacks, leftRakeMm: face.setbacks.leftRakeMm + ++edits / 100 } } : face) })
const nailed = (job: Job): Job => {
  const { id, inRoof } = faceOf(job)
  return applyEdit(job, { type: 'set-in-roof', faceId: id, values: { batten: { ...inRoof!.batten, bendingMpa: inRoof!.batten.bendingMpa + ++edits / 1000 } } })
}
for (const job of jobs) {
  planJob(job, demoCatalogue)
  const [anew, after] = [wider, nailed].map(edited => timesOf(() => planJob(edited(job), demoCatalogue), RUNS).median) as [number, number]
  const plan = planJob(job, demoCatalogue).faces.find(face => face.inRoof)!
  console.log(`in the roof, ${job.title}: ${plan.modules} modules, ${plan.inRoof!.proof.tried} origins tried${plan.inRoof!.proof.proved ? ', proved' : ''}: set out anew ${anew.toFixed(0)} ms, other edits ${after.toFixed(1)} ms`)
}
