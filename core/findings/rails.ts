import { supportNames } from '../catalogue'
import { coursesOf, forbiddenStrips } from '../coverings'
import { contains, middleOf } from '../geometry'
import type { Edit } from '../job'
import { placeOfLine, placeRailEdit, placeRailEdits, type RailPlan } from '../rails'
import { gapBelow } from '../rows'
import { rafterAt } from '../supports'
import { length } from '../units'
import { type FindingContext, plural, railNumbers, writer } from './context'
import type { Cure, DraftFinding } from './finding'
import { noCures } from './finding'

/** Rails outside their clamp zone or off their course, and rails that can't be spliced. */
export function railFindings(context: FindingContext): DraftFinding[] {
  return [
    ...context.plan.rails.flatMap(rail => rail.inZone ? [] : [outsideZone(context, rail)]),
    ...offCourse(context),
    ...offPan(context),
    ...underLaps(context),
    ...offSupport(context),
    ...unspliceable(context),
  ]
}

const nearEnd = ({ zone, lineMm }: RailPlan): number => lineMm < zone.fromMm ? zone.fromMm : zone.toMm

/** The clamp zone's ends as they would be typed, for reading beside the typed value. */
function outsideZone(context: FindingContext, rail: RailPlan): DraftFinding {
  const { face, plan } = context
  const say = writer(context)
  const placeOf = (lineMm: number) => placeOfLine(rail, plan.rows.rows, lineMm) ?? 0
  const [from, to] = [placeOf(rail.zone.fromMm), placeOf(rail.zone.toMm)].sort((a, b) => a - b) as [number, number]
  const stands = rail.way === 'up' ? `in from the ${rail.side} edges of column ${rail.block + 1}` : `above the lower edge of row ${rail.row + 1}`
  return {
    id: `clamp-zone:${face.id}:${rail.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: rail.id,
    sentence: `Rail ${rail.number} is ${say(placeOf(rail.lineMm))} ${stands}. The clamp zone of ${plan.parts.module.name} there is ${say(from)} to ${say(to)}.`,
    measured: length(placeOf(rail.lineMm)), limit: length(placeOf(nearEnd(rail))),
    propose: () => movesFor(context, rail),
  }
}

/** Back by rule; or just to the near end of the zone. */
function movesFor(context: FindingContext, rail: RailPlan): Cure[] {
  const { face, plan } = context
  const say = writer(context)
  const placeOf = (lineMm: number) => placeOfLine(rail, plan.rows.rows, lineMm) ?? 0
  return [
    { label: `Move it to ${say(placeOf(rail.bestMm ?? middleOf(rail.zone)))}`, edit: placeRailEdit(face.id, rail, null) },
    ...(rail.inZone ? [] : [{ label: `Move it to the end of the zone, ${say(placeOf(nearEnd(rail)))}`, edit: placeRailEdit(face.id, rail, placeOf(nearEnd(rail))) }]),
  ]
}

/** Rails put back to where the rule places them. */
const byRule = (faceId: string, rails: RailPlan[]): Edit => ({ type: 'batch', edits: placeRailEdits(faceId, rails.map(rail => ({ rail, mm: null }))) })

/** Rails on which a mount would overhang a course's lower edge; one finding for all of them. */
function offCourse(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const off = plan.rails.filter(rail => !rail.onCourse)
  const showsMm = coursesOf(face.covering)?.gaugeMm
  if (!off.length || showsMm === undefined || face.covering.kind !== 'coursed-shingle') return []
  const say = writer(context)
  const movable = off.filter(rail => rail.bestMm !== null)
  return [{
    id: `off-course:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: off[0]!.id,
    sentence: `${railNumbers(plan, off.map(rail => rail.number))} ${off.length === 1 ? 'crosses' : 'cross'} the edge of a course: a ${plan.parts.mount.name} there would overhang the shingle. Courses show ${say(showsMm)}.`,
    measured: null, limit: length(showsMm),
    propose: () => movable.length === off.length
      ? [{ label: off.length === 1 ? `Move it on to a course` : 'Move them on to courses', edit: byRule(face.id, movable) }]
      : [],
  }]
}

/** Rails up the slope whose hooks would leave the tiles in their side laps. */
function offPan(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const off = plan.rails.filter(rail => rail.way === 'up' && !rail.onCourse)
  if (!off.length) return []
  return [{
    id: `off-pan:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: off[0]!.id,
    sentence: `${railNumbers(plan, off.map(rail => rail.number))} ${off.length === 1 ? 'lies' : 'lie'} over the side laps of the tiles: a hook’s arm must leave in the pan.`,
    measured: null, limit: null, propose: () => off.every(rail => rail.bestMm !== null && rail.typed) ? [{ label: 'Move them over the pans', edit: byRule(face.id, off) }] : [],
  }]
}

/** Rafters that are passed over because a hook on them would leave the tiles in a side lap. */
function underLaps({ face, plan }: FindingContext): DraftFinding[] {
  const hidden = new Set(plan.rails.filter(rail => rail.way === 'across').flatMap((rail) => {
    const strips = forbiddenStrips(face.covering, face.outline, plan.parts.mount, rail)
    return strips.length ? plan.supports.rafters.filter(rafter => strips.some(strip => contains(strip, rafterAt(rafter, rail.lineMm)))).map(rafter => rafter.number) : []
  }))
  if (!hidden.size) return []
  return [{
    id: `under-laps:${face.id}`, severity: 'note', stage: 'rails', faceId: face.id, about: '',
    sentence: `${plural(hidden.size, 'rafter')} ${hidden.size === 1 ? 'lies' : 'lie'} under side laps of the tiles further than the arm of ${plan.parts.mount.name} can be set aside: no hook is planned there.`,
    measured: null, limit: null, propose: noCures,
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
    sentence: `${railNumbers(plan, off.map(rail => rail.number))} ${off.length === 1 ? 'runs' : 'run'} ${plan.rails[0]?.way === 'up' && face.supports.kind !== 'sheathing' ? `beside the ${supportNames[face.supports.kind]}` : `between ${supportNames[face.supports.kind]}`}${movable.length === off.length ? '' : ': the clamp zone there reaches none. Raise or lower the row, turn the modules, or choose other modules'}.`,
    measured: null, limit: null,
    propose: () => movable.length === off.length
      ? [{ label: 'Move them on to their supports', edit: byRule(face.id, movable) }]
      : rowLifts(context),
  }]
}

/** Lifts of the lowest row that bring every rail's clamp zone over something to be fixed to; the cure is planned before it is shown. */
function rowLifts({ face, plan }: FindingContext): Cure[] {
  const step = 25
  const first = plan.rows.rows[0]
  if (!first || !plan.supports.railLines || plan.rails[0]?.way === 'up') return []
  const heights = plan.supports.railLines
  const reaches = (byMm: number) => plan.rails.every(rail => heights.some(height => height.toMm >= rail.zone.fromMm + byMm && height.fromMm <= rail.zone.toMm + byMm))
  const lift = Array.from({ length: 40 }, (_, i) => (i + 1) * step).find(reaches)
  return lift === undefined ? [] : [{ label: 'Raise the rows on to them', edit: { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: gapBelow(plan.rows, 0) + lift } } }]
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
