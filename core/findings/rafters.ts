import type { HitState, RafterSupports, Supports } from '../job'
import { shapeOf } from '../roof'
import { type HitCheck, rafterClashes, type RafterFit, safeStrip } from '../supports'
import { count, length } from '../units'
import { type FindingContext, plural, writer } from './context'
import type { DraftFinding } from './finding'
import { noCures } from './finding'

/** What is known of the rafters, what contradicts it, and fixings that rest on rafters nobody has found. */
export function rafterFindings(context: FindingContext): DraftFinding[] {
  const { supports } = context.face
  return [
    ...(supports.kind === 'rafters' ? [...clashes(context), ...outside(context, supports), ...fitFindings(context, supports)] : []),
    ...uncertain(context), ...emptyStrip(context),
  ]
}

const base = (context: FindingContext) => ({ stage: 'rafters' as const, faceId: context.face.id })

function clashes(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  return rafterClashes(plan.supports.rafters, shapeOf(face.outline).up.toMm).map(({ left, right, apartMm }): DraftFinding => {
    const suspect = left.state === 'proved' ? left : right
    const order = apartMm < 0 ? `rafter ${right.number} stands left of rafter ${left.number}` : `rafters ${left.number} and ${right.number} are ${say(apartMm)} apart, centre to centre`
    return {
      ...base(context), id: `rafter-clash:${face.id}:${left.number}`, severity: 'stop', about: `rafter ${suspect.number}`,
      sentence: `By these readings ${order}, and the timber is ${say(right.widthMm)} wide. One reading must be wrong.`,
      measured: length(apartMm), limit: length(right.widthMm),
      propose: () => [left, right].filter(one => one.state === 'proved' && one.nominalMm !== null).map(one => ({
        label: `Put rafter ${one.number} back to ${say(one.nominalMm!)}`, edit: { type: 'move-rafter', faceId: face.id, rafter: one.number, centreMm: null },
      })),
    }
  })
}

/** Rafters that were said to be off the face. */
function outside(context: FindingContext, supports: RafterSupports): DraftFinding[] {
  if (supports.layout !== 'nominal') return []
  const { face, plan } = context
  const say = writer(context)
  const { along } = shapeOf(face.outline)
  const { rafters } = plan.supports
  const extra = supports.found.filter(find => find.rafter > rafters.length || find.centreMm < along.fromMm || find.centreMm > along.toMm)
  // Finds by number bring the whole row along: one that carries others well off the face has the wrong number.
  const carried = rafters.filter(rafter => rafter.centreMm < along.fromMm - supports.spacingMm / 2 && !supports.found.some(find => find.rafter === rafter.number))
  const slips: DraftFinding[] = carried.length
    ? [{
        ...base(context), id: `rafters-carried:${face.id}`, severity: 'stop', about: 'rafters', measured: length(along.fromMm - carried[0]!.centreMm), limit: null,
        sentence: `By what was found, ${carried.length === 1 ? 'rafter 1 would stand' : `rafters 1 to ${carried.length} would stand`} off the face, the first by ${say(along.fromMm - carried[0]!.centreMm)}. A find must have the wrong number, or the first rafter is somewhere else.`,
        propose: () => supports.found.map(find => ({ label: `Forget rafter ${find.rafter}`, edit: { type: 'move-rafter', faceId: face.id, rafter: find.rafter, centreMm: null } })),
      }]
    : []
  return [...slips, ...extra.map((find): DraftFinding => ({
    ...base(context), id: `rafter-outside:${face.id}:${find.rafter}`, severity: 'stop', about: `rafter ${find.rafter}`,
    sentence: find.rafter > rafters.length
      ? `Rafter ${find.rafter} was found at ${say(find.centreMm)}, but with this spacing the face has ${rafters.length} rafters.`
      : `Rafter ${find.rafter} reads ${say(find.centreMm)}, which is off the face.`,
    measured: length(find.centreMm), limit: length(along.toMm),
    propose: () => [{ label: `Forget that reading`, edit: { type: 'move-rafter', faceId: face.id, rafter: find.rafter, centreMm: null } }],
  }))]
}

/** What the hit log says: a fit that waits to be taken, hits that fit nowhere, a spacing that could be another. */
function fitFindings(context: FindingContext, supports: RafterSupports): DraftFinding[] {
  const { fit } = context.plan.supports
  if (!fit) return supports.layout === 'nominal' ? [] : [tooFewHits(context)]
  return [...waitingFit(context, supports, fit), ...wrongHits(context, supports, fit), ...rivalSpacing(context, fit)]
}

function tooFewHits(context: FindingContext): DraftFinding {
  const { face } = context
  return {
    ...base(context), id: `hits-few:${face.id}`, severity: 'caution', about: 'rafters', measured: null, limit: null,
    sentence: 'The rafters are to follow the hit log, but it has too few hits for that: two at least. Until then they stand at the typed spacing.',
    propose: () => [{ label: 'Go by the typed spacing', edit: { type: 'set-rafters', faceId: face.id, values: { layout: 'nominal' } } }],
  }
}

function waitingFit(context: FindingContext, supports: RafterSupports, fit: RafterFit): DraftFinding[] {
  if (supports.layout !== 'nominal' || !fit.spacing || !fit.lean) return []
  const { face, plan } = context
  const say = writer(context)
  const wrong = fit.checks.filter(check => check.outlier).length
  const most = plan.supports.rafters.length && fit.rafters.length
    ? Math.max(...fit.rafters.map(one => Math.min(...plan.supports.rafters.map(other => Math.abs(other.centreMm - one.centreMm)))))
    : 0
  return [{
    ...base(context), id: `fit-waits:${face.id}`, severity: 'caution', about: 'rafters', measured: length(most), limit: null,
    sentence: `${plural(fit.checks.length - wrong, 'hit')} agree on rafters every ${say(fit.spacing.mm)}${fit.lean.skewed ? `, running askew ${say(Math.abs(fit.lean.perMm) * 1000)} to the ${fit.lean.perMm > 0 ? 'right' : 'left'} in each ${say(1000)} up` : ''}${wrong ? `; ${plural(wrong, 'hit')} ${wrong === 1 ? 'does' : 'do'} not` : ''}. The typed spacing puts them up to ${say(most)} from there.`,
    propose: () => [{ label: 'Go by the fit', edit: { type: 'set-rafters', faceId: face.id, values: { layout: 'fitted' } } }],
  }]
}

const hitWords: Record<HitState, string> = {
  'knock': 'The knock', 'edge-left': 'The left edge felt', 'edge-right': 'The right edge felt', 'seen': 'The rafter seen', 'pilot-hit': 'The pilot that hit', 'pilot-miss': 'The pilot that missed',
}

function wrongHits(context: FindingContext, supports: RafterSupports, fit: RafterFit): DraftFinding[] {
  const { face } = context
  const say = writer(context)
  const hitOf = (check: HitCheck) => supports.hits.find(hit => hit.id === check.hitId)!
  return fit.checks.filter(check => check.outlier).map((check): DraftFinding => {
    const hit = hitOf(check)
    const use = (use: 'doubled' | 'set-aside') => ({ type: 'use-hit' as const, faceId: face.id, hitId: hit.id, use })
    return {
      ...base(context), id: `hit-wrong:${face.id}:${hit.id}`, severity: 'caution', about: 'rafters', measured: length(Math.abs(check.offMm)), limit: null,
      sentence: `${hitWords[hit.state]} at ${say(hit.xMm)} fits no rafter: it is ${say(Math.abs(check.offMm))} ${check.offMm > 0 ? 'right' : 'left'} of the nearest. ${check.doubled ? 'A second timber may stand there.' : `It may be a nail line, ${context.job.units === 'imperial' ? 'blocking' : 'a noggin'} or a slip of the tape. Knock again or drill.`}`,
      propose: () => [
        ...(check.doubled ? [{ label: 'It is a doubled rafter', edit: use('doubled') }] : []),
        { label: 'Set that hit aside', edit: use('set-aside') },
      ],
    }
  })
}

function rivalSpacing(context: FindingContext, fit: RafterFit): DraftFinding[] {
  const { rival, spacing } = fit
  if (!rival || !spacing) return []
  const say = writer(context)
  return [{
    ...base(context), id: `fit-rival:${context.face.id}`, severity: rival.timesLess < 20 ? 'caution' : 'note', about: 'rafters', measured: count(Math.round(rival.timesLess), 'times less likely'), limit: null,
    sentence: `These hits would also go with rafters every ${say(rival.spacingMm)} instead of ${say(spacing.mm)}; that is ${rival.timesLess < 1.5 ? 'as likely' : `${Math.round(rival.timesLess)} times less likely`}. ${Math.abs(rival.spacingMm / spacing.mm - 1) < 0.03 ? 'A hit at the far end of the row would tell.' : 'A hit between two rafters would tell.'}`,
    propose: noCures,
  }]
}

/** Fixings on supports that are not proved. */
function uncertain(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const fixings = plan.fixings.rails.flatMap(rail => rail.fixings)
  const guessed = fixings.filter(fixing => fixing.state === 'guessed')
  const members = [...new Set(guessed.map(fixing => fixing.member))]
  const misses = fixings.reduce((sum, fixing) => sum + 1 - fixing.timber, 0)
  const edges = fixings.reduce((sum, fixing) => sum + Math.max(0, fixing.timber - fixing.chance), 0)
  const said = (n: number) => n.toFixed(n < 10 ? 1 : 0)
  if (!members.length) return []
  return [{
    ...base(context), id: `rafters-guessed:${face.id}`, severity: 'caution', about: members[0]!, measured: count(guessed.length, 'fixings'), limit: null, propose: noCures,
    sentence: `${guessed.length} of ${plural(fixings.length, 'fixing')} ${guessed.length === 1 ? 'stands' : 'stand'} on ${plural(members.length, memberWord(face.supports))} that nobody has found: ${members.length > 3 ? `${members.slice(0, 3).join(', ')} and others` : members.join(', ')}. As things stand about ${said(misses)} of all would miss the timber, and about ${said(edges)} more would be in it but too near its edge. Find several, and drill a pilot before every fixing.`,
  }]
}

const memberWord = (supports: Supports): string => supports.kind === 'rafters' ? 'rafter' : supports.kind === 'purlins' ? supports.member : 'support'

/** Timber too narrow for the screws' edge distances. */
function emptyStrip(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const { fasteners } = plan.parts.mount
  if (!fasteners || (face.supports.kind !== 'rafters' && face.supports.kind !== 'purlins') || !plan.rails.length) return []
  const { widthMm } = face.supports
  if (safeStrip(widthMm, face.supports.kind === 'rafters' ? fasteners : { ...fasteners, acrossMm: [0] })) return []
  const say = writer(context)
  const need = 2 * fasteners.edgeDiameters * fasteners.diameterMm + (face.supports.kind === 'rafters' ? Math.max(...fasteners.acrossMm) - Math.min(...fasteners.acrossMm) : 0)
  return [{
    ...base(context), id: `strip-empty:${face.id}`, severity: 'stop', about: 'rafters', measured: length(widthMm), limit: length(need),
    sentence: `Timber ${say(widthMm)} wide has no sound strip for the ${plan.parts.mount.screw.name} of ${plan.parts.mount.name}: ${fasteners.edgeDiameters} diameters from both edges need ${say(need)}. Only the screw’s own approval can allow less; ask its maker, or choose another mount.`,
    propose: () => context.catalogue.mounts.filter(mount => mount.id !== plan.parts.mount.id && plan.parts.rail.mountIds.includes(mount.id)).map(mount => ({ label: `Use ${mount.name}`, edit: { type: 'set-array', faceId: face.id, values: { mountId: mount.id } } })),
  }]
}
