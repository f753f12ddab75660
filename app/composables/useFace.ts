import type { InjectionKey } from 'vue'
import type { Catalogue } from '#core/catalogue'
import { type AssumableFact, assumedOn, type Edit, type Face, type Job, type StageId } from '#core/job'
import type { Outcome } from '#core/outcome'
import type { FacePlan, Plan } from '#core/plan'
import { type Ref as FaceRef, sameRef } from '#core/trade'
import type { UnitSystem } from '#core/units'

/** What every part of the planner's page works on: one face of the open job, its plan and what is selected. */
export interface FaceWork {
  job: Ref<Job>
  /** The job with what was typed since that plan: for a figure that comes of several typed ones, so that the last of them finds the others there. */
  newest: Ref<Job>
  plan: Ref<Plan>
  face: Ref<Face>
  facePlan: Ref<FacePlan>
  catalogue: Ref<Catalogue>
  units: Ref<UnitSystem>
  stage: Ref<StageId>
  selection: Ref<FaceRef>
  select: (what: FaceRef) => void
  /** Makes an edit that was worked out from `job`, and one worked out from `newest`. */
  commit: (edit: Edit) => Outcome<true>
  commitNewest: (edit: Edit) => Outcome<true>
  chooseFace: (faceId: string) => unknown
}

const key: InjectionKey<FaceWork> = Symbol('face work')

export const provideFace = (work: FaceWork): void => provide(key, work)

/** The face in hand. */
export function useFace(): FaceWork & { holds: (what: FaceRef) => boolean, isAssumed: (fact: AssumableFact) => boolean } {
  const work = inject(key)
  if (!work) throw new Error('useFace is for parts of the planner’s page.')
  return { ...work, holds: what => sameRef(work.selection.value, what), isAssumed: fact => assumedOn(work.job.value, work.face.value).includes(fact) }
}
