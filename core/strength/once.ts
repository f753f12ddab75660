import { endNames, lineWord, OVERHANG_SHARE_OF_SPAN } from '../rails'
import { type DraftFinding, type JobAsk, onJob, writer } from '../trade'
import type { StrengthLayout } from './layout'

// What would be the same sentence on face after face is said once for the whole job.
const note = (ask: JobAsk<StrengthLayout>, faceId: string, id: string, sentence: string): DraftFinding => ({ ...onJob(ask, 'rails', id), severity: 'note', faceId, sentence })

/** What is over by less than this can't be seen on a tape. */
const SHOWS_MM = 0.5

/** Overhangs inside their limit but over the usual share of the span beside them: a rule of thumb that counts only where nothing is worked out. */
export function longOverhangs(ask: JobAsk<StrengthLayout>): DraftFinding[] {
  const long = ask.faces.filter(({ plan }) => !plan.strength).flatMap(one => one.plan.fixings.rails.flatMap((rail) => {
    if (rail.shortfalls.length || !rail.spansMm.length) return []
    return ([[0, rail.overhangStartMm, rail.spansMm[0]!], [1, rail.overhangEndMm, rail.spansMm.at(-1)!]] as const)
      .map(([end, overhangMm, spanMm]) => ({ one, rail, end, overhangMm, limitMm: OVERHANG_SHARE_OF_SPAN * spanMm }))
      .filter(({ overhangMm, limitMm }) => overhangMm > limitMm + SHOWS_MM)
  }))
  if (!long.length) return []
  const worst = long.reduce((a, b) => b.overhangMm - b.limitMm > a.overhangMm - a.limitMm ? b : a)
  const { plan, face } = worst.one
  const number = plan.rails.find(rail => rail.id === worst.rail.railId)!.number
  const say = writer(ask)
  return [{
    ...note(ask, face.id, 'overhang-share', `${long.length === 1 ? 'One overhang is' : `${long.length} overhangs are`} longer than 0.4 of the span beside ${long.length === 1 ? 'it' : 'them'} (common practice), the longest on ${face.name} at the ${endNames(plan.rails[0]!)[worst.end]} end of ${lineWord(plan)} ${number}: ${say(worst.overhangMm)} beside ${say(worst.limitMm)}. All keep their limit; working out the loads would tell whether the rail bears it.`),
    about: { kind: 'rail', id: worst.rail.railId }, measured: { kind: 'length', mm: worst.overhangMm }, limit: { kind: 'length', mm: worst.limitMm },
  }]
}

/** What the checks of the loads leave out, the same on every roof but for the rafter, whose figures somebody may type. */
export function notChecked(ask: JobAsk<StrengthLayout>): DraftFinding[] {
  const { job, faces } = ask
  const checked = faces.filter(({ plan }) => plan.rails.length && plan.strength)
  if (!checked.length || job.loads.rules.edition === 'none') return []
  const unseen = checked.some(({ face: { supports, timber } }) => supports.kind === 'rafters' && (timber.depthMm === null || timber.spanMm === null || timber.bendingMpa === null))
  const left = [
    ...(unseen ? ['the existing rafters, until their depth, span and bending strength are typed'] : []),
    ...(checked.some(({ plan }) => (plan.loading.loads?.snow.balancedPa ?? 0) > 0) ? ['snow that drifts or slides from a higher roof'] : []),
    'earthquake', 'buckling of the rail under compression', 'a bridged splice, which is taken to be as stiff as the rail',
  ]
  return [note(ask, checked[0]!.face.id, 'not-checked', `Not checked here: ${left.join('; ')}. Whether the roof bears the array is for a licensed engineer where the code says so.`)]
}
