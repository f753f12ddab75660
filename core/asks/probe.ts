import type { Catalogue } from '../catalogue'
import { faceOf, type Job } from '../job'
import { onFace } from '../rails'
import { shapeOf } from '../roof'
import { type Probe, probeNext } from '../supports'
import { planFaceOf } from '../plan'

/** The readings of a face's rafters that would lower expected misses of its planned fixings most; none for other supports. */
export function probeFace(job: Job, catalogue: Catalogue, faceId: string): Probe[] {
  const face = faceOf(job, faceId)
  if (face.supports.kind !== 'rafters') return []
  const plan = planFaceOf(job, catalogue, faceId)
  const fixings = plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(({ member, atMm }) => ({ member, yMm: onFace(plan.rails[r]!, atMm).yMm })))
  const { along, up } = shapeOf(face.outline)
  return probeNext(face.supports, face.outline, along, up.toMm, fixings, plan.parts.mount.fasteners)
}
