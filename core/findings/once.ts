import type { Job } from '../job'
import type { FaceLayout } from '../plan/face'
import { endNames, OVERHANG_SHARE_OF_SPAN } from '../rails'
import { count, formatLength } from '../units'
import { lineWord } from './context'
import type { DraftFinding } from './finding'
import { noCures } from './finding'

type Faces = { face: Job['faces'][number], plan: FaceLayout }[]

/** What would be the same sentence on face after face is said once for the whole job, and only where somebody has to decide by it. */
export function onceFindings(job: Job, faces: Faces): DraftFinding[] {
  const railed = faces.filter(({ plan }) => plan.rails.length)
  if (!railed.length) return []
  return [...fromMemory(job, railed), ...unproved(job, railed), ...longOverhangs(job, railed), ...beyond(job, railed)]
}

const note = (faces: Faces, id: string, stage: DraftFinding['stage'], sentence: string): DraftFinding =>
  ({ id, severity: 'note', stage, faceId: faces[0]!.face.id, about: '', sentence, measured: null, limit: null, propose: noCures })

function fromMemory(job: Job, faces: Faces): DraftFinding[] {
  const from = faces.filter(({ plan }) => plan.loading.loads?.wind.fromMemory && job.loads.rules.edition !== 'none')
  if (!from.length) return []
  const asd = from[0]!.plan.loading.loads!.format === 'asd'
  return [{ ...note(from, 'loads-from-memory', 'rails', `${asd ? 'The pressure coefficients of this edition' : 'The pressure coefficients for this roof’s form'} are from memory and not checked against the document${asd ? '; where memory leaves it open the greater is taken' : ''}. An engineer’s own figures can be typed over each of them.`), severity: 'caution' }]
}

/** A fixing in a thousand that is expected to miss decides nothing; one or more a job is worth more finds. */
const TELLS = 1

/** What the readings leave open where no fixing stands on a guess. */
function unproved(job: Job, faces: Faces): DraftFinding[] {
  const proved = faces.map(({ plan }) => plan.fixings.rails.flatMap(rail => rail.fixings)).filter(fixings => fixings.every(fixing => fixing.state !== 'guessed')).flat()
  const misses = proved.reduce((sum, fixing) => sum + 1 - fixing.timber, 0)
  const edges = proved.reduce((sum, fixing) => sum + Math.max(0, fixing.timber - fixing.chance), 0)
  if (misses + edges < TELLS) return []
  const said = (n: number) => n.toFixed(n < 10 ? 1 : 0)
  return [{
    ...note(faces, 'rafters-unproved', 'rafters', `By the readings about ${said(misses)} of ${proved.length} fixings would still miss the timber and about ${said(edges)} be in it but too near its edge, though none stands on a guess. A pilot before every fixing tells.`),
    measured: count(Math.round(misses + edges), 'fixings'),
  }]
}

/** What is over by less than this can't be seen on a tape. */
const SHOWS_MM = 0.5

/** Overhangs inside their limit but over the usual share of the span beside them: a rule of thumb that counts only where nothing is worked out. */
function longOverhangs({ units }: Job, faces: Faces): DraftFinding[] {
  const long = faces.filter(({ plan }) => !plan.strength).flatMap(one => one.plan.fixings.rails.flatMap((rail) => {
    if (rail.shortfalls.length || !rail.spansMm.length) return []
    return ([[0, rail.overhangStartMm, rail.spansMm[0]!], [1, rail.overhangEndMm, rail.spansMm.at(-1)!]] as const)
      .map(([end, overhangMm, spanMm]) => ({ one, rail, end, overhangMm, limitMm: OVERHANG_SHARE_OF_SPAN * spanMm }))
      .filter(({ overhangMm, limitMm }) => overhangMm > limitMm + SHOWS_MM)
  }))
  if (!long.length) return []
  const worst = long.reduce((a, b) => b.overhangMm - b.limitMm > a.overhangMm - a.limitMm ? b : a)
  const { plan, face } = worst.one
  const number = plan.rails.find(rail => rail.id === worst.rail.railId)!.number
  const say = (mm: number) => formatLength(mm, units)
  return [{
    ...note([worst.one], 'overhang-share', 'rails', `${long.length === 1 ? 'One overhang is' : `${long.length} overhangs are`} longer than 0.4 of the span beside ${long.length === 1 ? 'it' : 'them'} (common practice), the longest on ${face.name} at the ${endNames(plan.rails[0]!)[worst.end]} end of ${lineWord(plan)} ${number}: ${say(worst.overhangMm)} beside ${say(worst.limitMm)}. All keep their limit; working out the loads would tell whether the rail bears it.`),
    about: worst.rail.railId, measured: { kind: 'length', mm: worst.overhangMm }, limit: { kind: 'length', mm: worst.limitMm },
  }]
}

/** What the checks of the loads leave out, the same on every roof but for the rafter, whose figures somebody may type. */
function beyond(job: Job, faces: Faces): DraftFinding[] {
  const checked = faces.filter(({ plan }) => plan.strength)
  if (!checked.length || job.loads.rules.edition === 'none') return []
  const unseen = checked.some(({ face: { supports, timber } }) => supports.kind === 'rafters' && (timber.depthMm === null || timber.spanMm === null || timber.bendingMpa === null))
  const left = [
    ...(unseen ? ['the existing rafters, until their depth, span and bending strength are typed'] : []),
    ...(checked.some(({ plan }) => (plan.loading.loads?.snow.balancedPa ?? 0) > 0) ? ['snow that drifts or slides from a higher roof'] : []),
    'earthquake', 'buckling of the rail under compression', 'a bridged splice, which is taken to be as stiff as the rail',
  ]
  return [note(checked, 'not-checked', 'rails', `Not checked here: ${left.join('; ')}. Whether the roof bears the array is for a licensed engineer where the code says so.`)]
}
