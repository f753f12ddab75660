import { supportNames } from '../catalogue'
import { coursesOf } from '../coverings'
import { type Edit, plainRow } from '../job'
import type { RailPlan } from '../rails'
import { length } from '../units'
import { type FindingContext, railNumbers, writer } from './context'
import type { Cure, DraftFinding } from './finding'
import { noCures } from './finding'

/** Rails outside their clamp zone or off their course, and rails that can't be spliced. */
export function railFindings(context: FindingContext): DraftFinding[] {
  return [
    ...context.plan.rails.flatMap(rail => rail.inZone ? [] : [outsideZone(context, rail)]),
    ...offCourse(context),
    ...offSupport(context),
    ...unspliceable(context),
  ]
}

/** Height of the clamp zone's ends above the row's lower edge, for reading beside the typed value. */
function outsideZone(context: FindingContext, rail: RailPlan): DraftFinding {
  const { face, plan } = context
  const say = writer(context)
  const bottomMm = plan.rows.rows[rail.row]!.bottomMm
  return {
    id: `clamp-zone:${face.id}:${rail.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: rail.id,
    sentence: `Rail ${rail.number} is ${say(rail.yMm - bottomMm)} above the lower edge of row ${rail.row + 1}. The clamp zone of ${plan.parts.module.name} there is ${say(rail.zone.fromMm - bottomMm)} to ${say(rail.zone.toMm - bottomMm)}.`,
    measured: length(rail.yMm - bottomMm),
    limit: length((rail.yMm < rail.zone.fromMm ? rail.zone.fromMm : rail.zone.toMm) - bottomMm),
    propose: () => movesFor(context, rail),
  }
}

/** Back by rule; or just to the near end of the zone. */
function movesFor(context: FindingContext, rail: RailPlan): Cure[] {
  const { face, plan } = context
  const say = writer(context)
  const bottomMm = plan.rows.rows[rail.row]!.bottomMm
  const key = rail.side === 'lower' ? 'lowerRailMm' : 'upperRailMm'
  const nearMm = (rail.yMm < rail.zone.fromMm ? rail.zone.fromMm : rail.zone.toMm) - bottomMm
  const ruleMm = (rail.bestMm ?? (rail.zone.fromMm + rail.zone.toMm) / 2) - bottomMm
  const set = (mm: number | null): Edit => ({ type: 'set-row', faceId: face.id, row: rail.row, values: { [key]: mm } })
  return [
    { label: `Move it to ${say(ruleMm)}`, edit: set(null) },
    ...(rail.inZone ? [] : [{ label: `Move it to the end of the zone, ${say(nearMm)}`, edit: set(nearMm) }]),
  ]
}

/** Rails on which a mount would overhang a course's lower edge; one finding for all of them. */
function offCourse(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const off = plan.rails.filter(rail => !rail.onCourse)
  const showsMm = coursesOf(face.covering)?.gaugeMm
  if (!off.length || showsMm === undefined) return []
  const say = writer(context)
  const movable = off.filter(rail => rail.bestMm !== null)
  return [{
    id: `off-course:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: off[0]!.id,
    sentence: `${railNumbers(off.map(rail => rail.number))} ${off.length === 1 ? 'crosses' : 'cross'} the edge of a course: a ${plan.parts.mount.name} there would overhang the shingle. Courses show ${say(showsMm)}.`,
    measured: null, limit: length(showsMm),
    propose: () => movable.length === off.length
      ? [{ label: off.length === 1 ? `Move it on to a course` : 'Move them on to courses', edit: { type: 'batch', edits: movable.map(rail => ({ type: 'set-row' as const, faceId: face.id, row: rail.row, values: rail.side === 'lower' ? { lowerRailMm: null } : { upperRailMm: null } })) } }]
      : [],
  }]
}

/** Rails that run between the lines of timber or rows of screws that they would be fixed to. */
function offSupport(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const off = plan.rails.filter(rail => !rail.onSupport)
  if (!off.length) return []
  const movable = off.filter(rail => rail.bestMm !== null && rail.typed)
  return [{
    id: `off-support:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: off[0]!.id,
    sentence: `${railNumbers(off.map(rail => rail.number))} ${off.length === 1 ? 'runs' : 'run'} between ${supportNames[face.supports.kind]}${movable.length === off.length ? '' : ': the clamp zone there reaches none. Raise or lower the row, turn the modules, or choose other modules'}.`,
    measured: null, limit: null,
    propose: () => movable.length === off.length
      ? [{ label: 'Move them on to their supports', edit: { type: 'batch', edits: movable.map(rail => ({ type: 'set-row' as const, faceId: face.id, row: rail.row, values: rail.side === 'lower' ? { lowerRailMm: null } : { upperRailMm: null } })) } }]
      : rowLifts(context),
  }]
}

/** Lifts of the lowest row that bring every rail's clamp zone over something to be fixed to; the cure is planned before it is shown. */
function rowLifts({ face, plan }: FindingContext): Cure[] {
  const step = 25
  const first = plan.rows.rows[0]
  if (!first || !plan.supports.railHeights) return []
  const heights = plan.supports.railHeights
  const reaches = (byMm: number) => plan.rails.every(rail => heights.some(height => height.toMm >= rail.zone.fromMm + byMm && height.fromMm <= rail.zone.toMm + byMm))
  const lift = Array.from({ length: 40 }, (_, i) => (i + 1) * step).find(reaches)
  const gapMm = (face.array.rows[0] ?? plainRow).gapBelowMm ?? 0
  return lift === undefined ? [] : [{ label: 'Raise the rows on to them', edit: { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: gapMm + lift } } }]
}

function unspliceable(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  // A rail with nothing to fix it to has a finding of its own.
  const fixed = (railId: string) => plan.fixings.rails.find(one => one.railId === railId)!.fixings.length > 0
  return plan.sticks.unspliceable.filter(fixed).map((railId) => {
    const rail = plan.rails.find(one => one.id === railId)!
    return {
      id: `splice:${face.id}:${railId}`, severity: 'stop' as const, stage: 'load-out' as const, faceId: face.id, about: railId,
      sentence: `Rail ${rail.number} can’t be spliced clear of its fixings from ${plan.parts.rail.name} in these stock lengths: the splice bar would lie on a mount.`,
      measured: null, limit: length(plan.parts.rail.splice.barMm), propose: noCures,
    }
  })
}
