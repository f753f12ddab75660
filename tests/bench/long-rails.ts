import { demoCatalogue } from '../../core/catalogue'
import { planJob } from '../../core/plan'
import { longCases, longJob } from '../fixtures/long-rails'
import { printTimes } from './plan'

/** Rails with 20 to 28 places under heavy loads, planned from nothing: a face changed by a hair is no face remembered. */
let hair = 0
const anew = (one: typeof longCases[number]) => {
  const job = longJob(one)
  return planJob({ ...job, faces: job.faces.map(face => ({ ...face, array: { ...face.array, trimTailMm: 70 + ++hair / 1000 } })) }, demoCatalogue)
}

for (const one of longCases) {
  const plan = anew(one)
  const failing = plan.faces.flatMap(face => face.fixings.rails).filter(rail => (rail.worst ?? 0) > 1 + 1e-9).length
  printTimes(`${one.name}: ${plan.totals.fixings} fixings, ${failing} rails over what they bear`, () => anew(one), 3)
}
