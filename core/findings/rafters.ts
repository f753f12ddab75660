import { shapeOf } from '../roof'
import { rafterClashes } from '../supports'
import { length } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { DraftFinding } from './finding'
import { noCures } from './finding'

/** Rafters whose readings contradict each other, and fixings that rest on rafters nobody has found. */
export function rafterFindings(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  const clashes = rafterClashes(plan.rafters).map(({ left, right, apartMm }): DraftFinding => {
    const suspect = left.state === 'found' ? left : right
    const order = apartMm < 0 ? `rafter ${right.number} stands left of rafter ${left.number}` : `rafters ${left.number} and ${right.number} are ${say(apartMm)} apart, centre to centre`
    return {
      id: `rafter-clash:${face.id}:${left.number}`, severity: 'stop', stage: 'rafters', faceId: face.id, about: `rafter ${suspect.number}`,
      sentence: `By these readings ${order}, and the timber is ${say(right.widthMm)} wide. One reading must be wrong.`,
      measured: length(apartMm), limit: length(right.widthMm),
      propose: () => [left, right].filter(one => one.state === 'found').map(one => ({
        label: `Put rafter ${one.number} back to ${say(one.nominalMm)}`, edit: { type: 'move-rafter', faceId: face.id, rafter: one.number, centreMm: null },
      })),
    }
  })
  return [...clashes, ...outside(context), ...guessed(context)]
}

/** Rafters that were said to be off the face. */
function outside(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  const { along } = shapeOf(face.outline)
  const extra = face.supports.found.filter(find => find.rafter > plan.rafters.length || find.centreMm < along.fromMm || find.centreMm > along.toMm)
  return extra.map(find => ({
    id: `rafter-outside:${face.id}:${find.rafter}`, severity: 'stop', stage: 'rafters', faceId: face.id, about: `rafter ${find.rafter}`,
    sentence: find.rafter > plan.rafters.length
      ? `Rafter ${find.rafter} was found at ${say(find.centreMm)}, but with this spacing the face has ${plan.rafters.length} rafters.`
      : `Rafter ${find.rafter} reads ${say(find.centreMm)}, which is off the face.`,
    measured: length(find.centreMm), limit: length(along.toMm),
    propose: () => [{ label: `Forget that reading`, edit: { type: 'move-rafter', faceId: face.id, rafter: find.rafter, centreMm: null } }],
  }))
}

function guessed({ face, plan }: FindingContext): DraftFinding[] {
  const fixings = plan.fixings.rails.flatMap(rail => rail.fixings)
  const byGuess = fixings.filter(fixing => fixing.state === 'by spacing')
  const rafters = new Set(byGuess.map(fixing => fixing.member))
  if (!rafters.size) return []
  return [{
    id: `rafters-guessed:${face.id}`, severity: 'caution', stage: 'rafters', faceId: face.id, about: [...rafters][0]!,
    sentence: `${byGuess.length} of ${plural(fixings.length, 'fixing')} ${byGuess.length === 1 ? 'stands' : 'stand'} on ${plural(rafters.size, 'rafter')} known by spacing only. Nominal spacing is a guess: find several and type them in, and drill a pilot before every fixing.`,
    measured: { kind: 'count', n: byGuess.length, of: 'fixings' }, limit: null, propose: noCures,
  }]
}
