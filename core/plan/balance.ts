import type { Catalogue } from '../catalogue'
import { balance, type Balance, type Judges } from '../fixings'
import { type Edit, type Face, faceOf, type Job } from '../job'
import { movedRail } from '../rails'
import { faceStrength } from '../strength'
import { type FacePlan, judgesOf, placesOf, settingsOf } from './face'
import { planFaceOf } from './job'

/** The edit that balances a face's overhangs and what it does; null when the rows don't fit as they stand or there are none. */
export function balanceFace(job: Job, catalogue: Catalogue, faceId: string): { edit: Edit, balance: Balance } | null {
  const face = faceOf(job, faceId)
  const plan = planFaceOf(job, catalogue, faceId)
  if (!plan.rows.slack) return null
  const found = balance(plan.rails, placesOf(face, catalogue), plan.limits, face.array.fixingPattern, plan.rows.slack, judgesWhenMoved(face, plan))
  return { edit: { type: 'set-array', faceId, values: { shiftMm: face.array.shiftMm + found.shiftMm } }, balance: found }
}

/** Judges of the rails when the whole array has moved: other zones may lie over them then. */
function judgesWhenMoved(face: Face, { parts, rows, rails, limits, loading: { loads } }: FacePlan): ((shiftMm: number) => Judges) | null {
  if (!loads) return null
  return (shiftMm) => {
    const movedRows = rows.rows.map(row => ({ ...row, leftMm: row.leftMm + shiftMm, rightMm: row.rightMm + shiftMm, moduleLeftsMm: row.moduleLeftsMm.map(mm => mm + shiftMm) }))
    const movedRails = rails.map(rail => movedRail(rail, shiftMm))
    return judgesOf(settingsOf(face, parts, movedRails, faceStrength(face, loads, parts, movedRows, movedRails)), limits)
  }
}
