import type { Catalogue } from '../catalogue'
import { faceOf, type Job } from '../job'
import { onFace } from '../rails'
import { shapeOf } from '../roof'
import { type GoOn, goOn, KNOCKED, type LadderReadings, type Probe, type ProbeAsk, probeNext, readingsAtLadder } from '../supports'
import { planFaceOf } from '../plan'

/** Where to knock next on a face, what can be had from one place of the ladder, and whether to go on at all. */
export interface Probing {
  probes: Probe[]
  /** Only where rafters are known by a hit log: finds by number need no knocking. */
  ladder: LadderReadings | null
  goOn: GoOn
}

/** The readings of a face's rafters that would lower expected misses of its planned fixings most; null for other supports, or where nothing is fixed to them. */
export function probeFace(job: Job, catalogue: Catalogue, faceId: string): Probing | null {
  const face = faceOf(job, faceId)
  if (face.supports.kind !== 'rafters') return null
  const plan = planFaceOf(job, catalogue, faceId)
  const fixings = plan.fixings.rails.flatMap((rail, r) => rail.fixings.map(({ atMm }) => onFace(plan.rails[r]!, atMm)))
  const { along, up } = shapeOf(face.outline)
  const { fit, rafters } = plan.supports
  const ask: ProbeAsk = { supports: face.supports, along, topMm: up.toMm, fit, rafters, fixings, fasteners: plan.parts.mount.fasteners, reading: KNOCKED }
  const found = probeNext(ask)
  const ladder = found.length && face.supports.layout !== 'nominal' ? readingsAtLadder(ask) : null
  // The plan's own figure, which findings name too, knows pilots more closely: what is saved is taken as a share of it.
  const planned = plan.fixings.rails.reduce((sum, rail) => rail.fixings.reduce((all, one) => all + 1 - one.chance, sum), 0)
  const share = found.length ? planned / found[0]!.missesBefore : 1
  const scaled = <T extends { missesBefore: number, missesAfter: number }>(one: T): T => ({ ...one, missesBefore: share * one.missesBefore, missesAfter: share * one.missesAfter })
  const probes = found.map(scaled)
  return { probes, ladder: ladder && scaled(ladder), goOn: goOn(probes) }
}
