import { readingOn } from '../roof'
import { railsThere, thereOfRail } from '../rooflog'
import { type DraftFinding, type FindingAsk, noCures, writer } from '../trade'
import { length } from '../units'
import type { SticksLayout } from './layout'

type SticksAsk = FindingAsk<SticksLayout>

/** Rails that no cutting lets be spliced clear of their fixings. */
export function unspliceable(ask: SticksAsk): DraftFinding[] {
  const { job, face, plan } = ask
  const there = railsThere(job.log, face.id)
  const from = (mm: number, way: 'across' | 'up') => writer(ask)(readingOn(face, way === 'across' ? 'along' : 'up', mm))
  // A rail with nothing to fix it to has a finding of its own.
  const fixed = (railId: string) => plan.fixings.rails.find(one => one.railId === railId)!.fixings.length > 0
  return plan.sticks.unspliceable.filter(fixed).map((railId) => {
    const rail = plan.rails.find(one => one.id === railId)!
    const cut = thereOfRail(there, rail)
    return {
      id: `splice:${face.id}:${railId}`, severity: 'stop' as const, stage: 'load-out' as const, faceId: face.id, about: { kind: 'rail' as const, id: railId },
      sentence: cut
        ? `Rail ${rail.number} is ${cut.state === 'cut' ? 'cut' : 'laid'} from ${from(cut.fromMm, cut.way)} to ${from(cut.toMm, cut.way)}, and the plan has it from ${from(rail.fromMm, rail.way)} to ${from(rail.toMm, rail.way)}: its pieces can’t be had so from this stock. Put the row back over it, or cut it anew and say so.`
        : `Rail ${rail.number} can’t be spliced clear of its fixings from ${plan.parts.rail.name} in these stock lengths: the splice bar would lie on a mount.`,
      measured: null, limit: length(plan.parts.rail.splice.barMm), propose: noCures,
    }
  })
}

/** Sticks that the van can't carry. */
export function vanTooShort(ask: SticksAsk): DraftFinding[] {
  const { job, plan } = ask
  if (!plan.sticks.tooLongForVan || job.van.longestMm === null || !plan.rails.length) return []
  const shortest = Math.min(...plan.parts.rail.stock.map(one => one.mm))
  return [{
    id: `van:${ask.face.id}`, severity: 'caution', stage: 'rails', faceId: ask.face.id, about: null, propose: noCures,
    sentence: `The shortest stick of ${plan.parts.rail.name} is ${writer(ask)(shortest)}, and the van takes ${writer(ask)(job.van.longestMm)}. The cut plan uses all lengths: have them brought, or take another rail.`,
    measured: { kind: 'length', mm: shortest }, limit: { kind: 'length', mm: job.van.longestMm },
  }]
}
