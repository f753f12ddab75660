import type { Catalogue } from '../catalogue'
import { balance, type Balance } from '../fixings'
import { type Edit, faceOf, type Job } from '../job'
import { judgesWhenMoved, placesOf, planFaceOf } from '../plan'

/** The edit that balances a face's overhangs and what it does; null when the rows don't fit as they stand or there are none. */
export function balanceFace(job: Job, catalogue: Catalogue, faceId: string): { edit: Edit, balance: Balance } | null {
  const face = faceOf(job, faceId)
  const plan = planFaceOf(job, catalogue, faceId)
  if (!plan.rows.slack) return null
  const found = balance(plan.rails, placesOf(face, catalogue, job), plan.limits, face.array.fixingPattern, plan.rows.slack, judgesWhenMoved(face, plan))
  return { edit: { type: 'set-array', faceId, values: { shiftMm: plan.shiftMm + found.shiftMm } }, balance: found }
}
