import { demoCatalogue } from '../../core/catalogue'
import { usualCovering } from '../../core/coverings'
import type { Covering, Job } from '../../core/job'
import { planJob } from '../../core/plan'
import { plainRules } from '../fixtures/plain-rules'
import { forty } from './houses'
import { timesOf } from './plan'

/** The same house of two faces and forty modules under one covering and another, each with the mount that goes through it. */
const under = (covering: Covering, mountId: string): Job => ({
  ...forty, units: 'metric', loads: { ...forty.loads, rules: plainRules('en') },
  faces: forty.faces.map(face => ({ ...face, covering, array: { ...face.array, moduleId: 'skerry-390', railId: 'hawser-mid', mountId, clampsId: 'hawser-grip' } })),
})
const houses: [string, Job][] = [
  ['shingle', under(usualCovering('coursed-shingle', false), 'windlass-flashed')],
  ['interlocking tile', under({ ...usualCovering('interlocking-tile', false), firstColumnMm: 140 } as Covering, 'windlass-tile-hook')],
  ['plain tile', under(usualCovering('plain-tile', false), 'windlass-tile-hook')],
  ['slate', under(usualCovering('slate', false), 'windlass-slate-hook')],
]
const RUNS = 25

/** Each after an edit of both faces, taken in turns so that what else the machine does falls on all alike. */
let edits = 0
const edited = (job: Job): Job => ({ ...job, faces: job.faces.map(face => ({ ...face, array: { ...face.array, rowGapMm: 20 + ++edits / 1000 } })) })
const times = houses.map(() => [] as number[])
for (let run = 0; run < RUNS; run++) houses.forEach(([, job], h) => times[h]!.push(timesOf(() => planJob(edited(job), demoCatalogue), 1).median))
const medians = times.map(own => own.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!)
houses.forEach(([name, job], h) => {
  const { totals } = planJob(job, demoCatalogue)
  console.log(`two faces under ${name}, ${totals.modules} modules, ${totals.fixings} fixings: median ${medians[h]!.toFixed(1)} ms, ${(medians[h]! / medians[0]!).toFixed(2)} times shingle`)
})
