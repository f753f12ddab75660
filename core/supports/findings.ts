import type { HitState } from '../job'
import { shapeOf } from '../roof'
import { type DraftFinding, type FindingAsk, noCures, plural, type Ref, writer } from '../trade'
import { count, length } from '../units'
import type { HitCheck, RafterFit } from './fit'
import type { SupportsLayout } from './layout'
import { rafterClashes } from './rafters'

type SupportsAsk = FindingAsk<SupportsLayout>

/** What was logged of the rafters and what a fit makes of it; null where the face is fixed to something else. */
function logOf({ face: { supports }, plan }: SupportsAsk) {
  return supports.kind === 'rafters' ? { supports, fit: plan.supports.fit } : null
}
const allRafters: Ref = { kind: 'rafters' }

const base = ({ face }: SupportsAsk) => ({ stage: 'rafters' as const, faceId: face.id })

export function clashes(ask: SupportsAsk): DraftFinding[] {
  const { face, plan } = ask
  const say = writer(ask)
  return rafterClashes(plan.supports.rafters, shapeOf(face.outline).up.toMm).map(({ left, right, apartMm }): DraftFinding => {
    const suspect = left.state === 'proved' ? left : right
    const order = apartMm < 0 ? `rafter ${right.number} stands left of rafter ${left.number}` : `rafters ${left.number} and ${right.number} are ${say(apartMm)} apart, centre to centre`
    return {
      ...base(ask), id: `rafter-clash:${face.id}:${left.number}`, severity: 'stop', about: { kind: 'rafter', number: suspect.number },
      sentence: `By these readings ${order}, and the timber is ${say(right.widthMm)} wide. One reading must be wrong.`,
      measured: length(apartMm), limit: length(right.widthMm),
      propose: () => [left, right].filter(one => one.state === 'proved' && one.nominalMm !== null).map(one => ({
        label: `Put rafter ${one.number} back to ${say(one.nominalMm!)}`, edit: { type: 'move-rafter', faceId: face.id, rafter: one.number, centreMm: null },
      })),
    }
  })
}

/** Finds by number bring the whole row along: one that carries others well off the face has the wrong number. */
export function carried(ask: SupportsAsk): DraftFinding[] {
  const { face, plan } = ask
  const supports = logOf(ask)?.supports
  if (supports?.layout !== 'nominal') return []
  const say = writer(ask)
  const { along } = shapeOf(face.outline)
  const off = plan.supports.rafters.filter(rafter => rafter.centreMm < along.fromMm - supports.spacingMm / 2 && !supports.found.some(find => find.rafter === rafter.number))
  if (!off.length) return []
  return [{
    ...base(ask), id: `rafters-carried:${face.id}`, severity: 'stop', about: allRafters, measured: length(along.fromMm - off[0]!.centreMm), limit: null,
    sentence: `By what was found, ${off.length === 1 ? 'rafter 1 would stand' : `rafters 1 to ${off.length} would stand`} off the face, the first by ${say(along.fromMm - off[0]!.centreMm)}. A find must have the wrong number, or the first rafter is somewhere else.`,
    propose: () => supports.found.map(find => ({ label: `Forget rafter ${find.rafter}`, edit: { type: 'move-rafter', faceId: face.id, rafter: find.rafter, centreMm: null } })),
  }]
}

/** Rafters that were said to be off the face. */
export function outside(ask: SupportsAsk): DraftFinding[] {
  const { face, plan } = ask
  const supports = logOf(ask)?.supports
  if (supports?.layout !== 'nominal') return []
  const say = writer(ask)
  const { along } = shapeOf(face.outline)
  const { rafters } = plan.supports
  const extra = supports.found.filter(find => find.rafter > rafters.length || find.centreMm < along.fromMm || find.centreMm > along.toMm)
  return extra.map((find): DraftFinding => ({
    ...base(ask), id: `rafter-outside:${face.id}:${find.rafter}`, severity: 'stop', about: { kind: 'rafter', number: find.rafter },
    sentence: find.rafter > rafters.length
      ? `Rafter ${find.rafter} was found at ${say(find.centreMm)}, but with this spacing the face has ${rafters.length} rafters.`
      : `Rafter ${find.rafter} reads ${say(find.centreMm)}, which is off the face.`,
    measured: length(find.centreMm), limit: length(along.toMm),
    propose: () => [{ label: `Forget that reading`, edit: { type: 'move-rafter', faceId: face.id, rafter: find.rafter, centreMm: null } }],
  }))
}

export function tooFewHits(ask: SupportsAsk): DraftFinding[] {
  const log = logOf(ask)
  if (!log || log.fit || log.supports.layout === 'nominal') return []
  const { face } = ask
  return [{
    ...base(ask), id: `hits-few:${face.id}`, severity: 'caution', about: allRafters, measured: null, limit: null,
    sentence: 'The rafters are to follow the hit log, but it has too few hits for that: two at least. Until then they stand at the typed spacing.',
    propose: () => [{ label: 'Go by the typed spacing', edit: { type: 'set-rafters', faceId: face.id, values: { layout: 'nominal' } } }],
  }]
}

/** A fit that waits to be taken. */
export function waitingFit(ask: SupportsAsk): DraftFinding[] {
  const log = logOf(ask)
  if (!log?.fit?.spacing || !log.fit.lean || log.supports.layout !== 'nominal') return []
  const fit = log.fit as RafterFit & { spacing: NonNullable<RafterFit['spacing']>, lean: NonNullable<RafterFit['lean']> }
  const { face, plan } = ask
  const say = writer(ask)
  const wrong = fit.checks.filter(check => check.outlier).length
  const most = plan.supports.rafters.length && fit.rafters.length
    ? Math.max(...fit.rafters.map(one => Math.min(...plan.supports.rafters.map(other => Math.abs(other.centreMm - one.centreMm)))))
    : 0
  return [{
    ...base(ask), id: `fit-waits:${face.id}`, severity: 'caution', about: allRafters, measured: length(most), limit: null,
    sentence: `${plural(fit.checks.length - wrong, 'hit')} agree on rafters every ${say(fit.spacing.mm)}${fit.lean.skewed ? `, running askew ${say(Math.abs(fit.lean.perMm) * 1000)} to the ${fit.lean.perMm > 0 ? 'right' : 'left'} in each ${say(1000)} up` : ''}${wrong ? `; ${plural(wrong, 'hit')} ${wrong === 1 ? 'does' : 'do'} not` : ''}. The typed spacing puts them up to ${say(most)} from there.`,
    propose: () => [{ label: 'Go by the fit', edit: { type: 'set-rafters', faceId: face.id, values: { layout: 'fitted' } } }],
  }]
}

const hitWords: Record<HitState, string> = {
  'knock': 'The knock', 'edge-left': 'The left edge felt', 'edge-right': 'The right edge felt', 'seen': 'The rafter seen', 'pilot-hit': 'The pilot that hit', 'pilot-miss': 'The pilot that missed',
}

/** Hits that fit nowhere. */
export function wrongHits(ask: SupportsAsk): DraftFinding[] {
  const log = logOf(ask)
  if (!log?.fit) return []
  const { supports, fit } = log
  const { face } = ask
  const say = writer(ask)
  const hitOf = (check: HitCheck) => supports.hits.find(hit => hit.id === check.hitId)!
  return fit.checks.filter(check => check.outlier).map((check): DraftFinding => {
    const hit = hitOf(check)
    const use = (use: 'doubled' | 'set-aside') => ({ type: 'use-hit' as const, faceId: face.id, hitId: hit.id, use })
    return {
      ...base(ask), id: `hit-wrong:${face.id}:${hit.id}`, severity: 'caution', about: allRafters, measured: length(Math.abs(check.offMm)), limit: null,
      sentence: `${hitWords[hit.state]} at ${say(hit.xMm)} fits no rafter: it is ${say(Math.abs(check.offMm))} ${check.offMm > 0 ? 'right' : 'left'} of the nearest. ${check.doubled ? 'A second timber may stand there.' : `It may be a nail line, ${ask.job.units === 'imperial' ? 'blocking' : 'a noggin'} or a slip of the tape. Knock again or drill.`}`,
      propose: () => [
        ...(check.doubled ? [{ label: 'It is a doubled rafter', edit: use('doubled') }] : []),
        { label: 'Set that hit aside', edit: use('set-aside') },
      ],
    }
  })
}

/** A spacing that could be another. */
export function rivalSpacing(ask: SupportsAsk): DraftFinding[] {
  const { rival = null, spacing = null } = logOf(ask)?.fit ?? {}
  if (!rival || !spacing) return []
  const say = writer(ask)
  return [{
    ...base(ask), id: `fit-rival:${ask.face.id}`, severity: rival.timesLess < 20 ? 'caution' : 'note', about: allRafters, measured: count(Math.round(rival.timesLess), 'times less likely'), limit: null,
    sentence: `These hits would also go with rafters every ${say(rival.spacingMm)} instead of ${say(spacing.mm)}; that is ${rival.timesLess < 1.5 ? 'as likely' : `${Math.round(rival.timesLess)} times less likely`}. ${Math.abs(rival.spacingMm / spacing.mm - 1) < 0.03 ? 'A hit at the far end of the row would tell.' : 'A hit between two rafters would tell.'}`,
    propose: noCures,
  }]
}
