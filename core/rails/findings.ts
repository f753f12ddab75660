import { supportNames } from '../catalogue'
import { coursesOf, footOf, forbiddenStrips } from '../coverings'
import { contains, middleOf } from '../geometry'
import { type Edit, type PlainEdit, plainRow } from '../job'
import { gapBelow } from '../rows'
import { rafterAt } from '../supports'
import { type Cure, type DraftFinding, type FindingAsk, noCures, plural, type Ref, writer } from '../trade'
import { length } from '../units'
import { growthMm } from './expansion'
import type { RailsLayout } from './layout'
import type { RailPlan } from './rail'
import { placeOfLine, placeRailEdit, placeRailEdits } from './typed'
import { railNumbers } from './words'

type RailsAsk = FindingAsk<RailsLayout>
const refOf = ({ id }: RailPlan): Ref => ({ kind: 'rail', id })

/** Rails outside their clamp zone. */
export const outsideZones = (ask: RailsAsk): DraftFinding[] => ask.plan.rails.flatMap(rail => rail.inZone ? [] : [outsideZone(ask, rail)])

const nearEnd = ({ zone, lineMm }: RailPlan): number => lineMm < zone.fromMm ? zone.fromMm : zone.toMm

/** The clamp zone's ends as they would be typed, for reading beside the typed value. */
function outsideZone(ask: RailsAsk, rail: RailPlan): DraftFinding {
  const { face, plan } = ask
  const say = writer(ask)
  const placeOf = (lineMm: number) => placeOfLine(rail, plan.rows.rows, lineMm) ?? 0
  const [from, to] = [placeOf(rail.zone.fromMm), placeOf(rail.zone.toMm)].sort((a, b) => a - b) as [number, number]
  const stands = rail.way === 'up' ? `in from the ${rail.side} edges of column ${rail.block + 1}` : `above the lower edge of row ${rail.row + 1}`
  return {
    id: `clamp-zone:${face.id}:${rail.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: refOf(rail),
    sentence: `Rail ${rail.number} is ${say(placeOf(rail.lineMm))} ${stands}. The clamp zone of ${plan.parts.module.name} there is ${say(from)} to ${say(to)}.`,
    measured: length(placeOf(rail.lineMm)), limit: length(placeOf(nearEnd(rail))),
    propose: () => movesFor(ask, rail),
  }
}

/** Back by rule; or just to the near end of the zone. */
function movesFor(ask: RailsAsk, rail: RailPlan): Cure[] {
  const { face, plan } = ask
  const say = writer(ask)
  const placeOf = (lineMm: number) => placeOfLine(rail, plan.rows.rows, lineMm) ?? 0
  return [
    { label: `Move it to ${say(placeOf(rail.bestMm ?? middleOf(rail.zone)))}`, edit: placeRailEdit(face.id, rail, null) },
    ...(rail.inZone ? [] : [{ label: `Move it to the end of the zone, ${say(placeOf(nearEnd(rail)))}`, edit: placeRailEdit(face.id, rail, placeOf(nearEnd(rail))) }]),
  ]
}

/** Rails put back to where the rule places them. */
const byRule = (faceId: string, rails: RailPlan[]): Edit => ({ type: 'batch', edits: placeRailEdits(faceId, rails.map(rail => ({ rail, mm: null }))) })

/** Rails that no seat of the mount in the courses reaches; one finding for all of them. On shingle a foot there overhangs its course, through tiles and slates no arm can get there. */
export function offCourse(ask: RailsAsk): DraftFinding[] {
  const { face, plan } = ask
  const off = plan.rails.filter(rail => rail.way === 'across' && !rail.onCourse)
  const showsMm = coursesOf(face.covering)?.gaugeMm
  if (!off.length || showsMm === undefined) return []
  const say = writer(ask)
  const movable = off.filter(rail => rail.bestMm !== null && plan.railLines.some(line => contains(line, rail.bestMm!)))
  const shingle = face.covering.kind === 'coursed-shingle'
  const which = railNumbers(plan, off.map(rail => rail.number))
  return [{
    id: `off-course:${face.id}`, severity: shingle ? 'caution' : 'stop', stage: 'rails', faceId: face.id, about: refOf(off[0]!),
    sentence: shingle
      ? `${which} ${off.length === 1 ? 'crosses' : 'cross'} the edge of a course: a ${plan.parts.mount.name} there would overhang the shingle. Courses show ${say(showsMm)}.`
      : `${which} ${off.length === 1 ? 'lies' : 'lie'} where no course lets ${plan.parts.mount.name} reach: it goes through the courses every ${say(showsMm)} and reaches ${say(reachMm(plan.railLines))} of each. Where rows may stand follows from that and from the clamp zones.`,
    measured: null, limit: length(showsMm),
    propose: () => [
      ...movable.length === off.length ? [{ label: off.length === 1 ? 'Move it on to a course' : 'Move them on to courses', edit: byRule(face.id, movable) }] : [],
      ...face.array.rows.some(row => row.gapBelowMm !== null) ? [{ label: 'Let the rows find their heights by the courses', edit: ungapped(face) }] : [],
      ...shingle || face.array.railWay === 'up' ? [] : [{ label: 'Run the rails up the slope', edit: { type: 'set-array' as const, faceId: face.id, values: { railWay: 'up' as const } } }],
    ],
  }]
}

/** How much of the slope the lines of one course allow, mm; none where there is no line. */
const reachMm = (lines: { fromMm: number, toMm: number }[]): number => lines.length ? Math.min(...lines.map(line => line.toMm - line.fromMm)) : 0

/** Rows without the gaps that somebody typed below them. */
const ungapped = (face: RailsAsk['face']): Edit => ({ type: 'batch', edits: face.array.rows.map((_, row): PlainEdit => ({ type: 'set-row', faceId: face.id, row, values: { gapBelowMm: null } })) })

/** Rails up the slope whose hooks would leave the tiles in their side laps. */
export function offPan(ask: RailsAsk): DraftFinding[] {
  const { face, plan } = ask
  const off = plan.rails.filter(rail => rail.way === 'up' && !rail.onCourse)
  if (!off.length) return []
  return [{
    id: `off-pan:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: refOf(off[0]!),
    sentence: `${railNumbers(plan, off.map(rail => rail.number))} ${off.length === 1 ? 'lies' : 'lie'} over the laps or joints of the covering’s units: what goes through must keep clear of them.`,
    measured: null, limit: null, propose: () => off.every(rail => rail.bestMm !== null && rail.typed) ? [{ label: 'Move them over the pans', edit: byRule(face.id, off) }] : [],
  }]
}

/** Rafters that are passed over because a mount on them would go through a side lap, or too near a joint. */
export function underLaps({ face, plan }: RailsAsk): DraftFinding[] {
  const hidden = new Set(plan.rails.filter(rail => rail.way === 'across').flatMap((rail) => {
    const strips = forbiddenStrips(face.covering, face.outline, footOf(face, plan.parts.mount), rail)
    return strips.length ? plan.supports.rafters.filter(rafter => strips.some(strip => contains(strip, rafterAt(rafter, rail.lineMm)))).map(rafter => rafter.number) : []
  }))
  if (!hidden.size) return []
  return [{
    id: `under-laps:${face.id}`, severity: 'note', stage: 'rails', faceId: face.id, about: null,
    sentence: face.covering.kind === 'interlocking-tile'
      ? `${plural(hidden.size, 'rafter')} ${hidden.size === 1 ? 'lies' : 'lie'} under side laps of the tiles further than ${plan.parts.mount.name} can be set aside: none is planned there.`
      : `On some rails ${plural(hidden.size, 'rafter')} ${hidden.size === 1 ? 'lies' : 'lie'} where ${plan.parts.mount.name} would go through too near a joint or an edge of the covering’s units: none is planned there.`,
    measured: null, limit: null, propose: noCures,
  }]
}

/** Rails that run between the lines of timber or rows of screws that they would be fixed to. */
export function offSupport(ask: RailsAsk): DraftFinding[] {
  const { face, plan } = ask
  const off = plan.rails.filter(rail => !rail.onSupport)
  if (!off.length) return []
  const movable = off.filter(rail => rail.bestMm !== null && rail.typed)
  return [{
    id: `off-support:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: refOf(off[0]!),
    sentence: `${railNumbers(plan, off.map(rail => rail.number))} ${off.length === 1 ? 'runs' : 'run'} ${plan.rails[0]?.way === 'up' && face.supports.kind !== 'sheathing' ? `beside the ${supportNames[face.supports.kind]}` : `between ${supportNames[face.supports.kind]}`}${movable.length === off.length ? '' : ': the clamp zone there reaches none. Raise or lower the row, turn the modules, or choose other modules'}.`,
    measured: null, limit: null,
    propose: () => movable.length === off.length
      ? [{ label: 'Move them on to their supports', edit: byRule(face.id, movable) }]
      : [...face.array.rows.some(row => row.gapBelowMm !== null) ? [{ label: 'Let the rows find their heights by the supports', edit: ungapped(face) }] : [], ...rowLifts(ask)],
  }]
}

/** Lifts of the lowest row that bring every rail's clamp zone over something to be fixed to; the cure is planned before it is shown. */
function rowLifts({ face, plan }: RailsAsk): Cure[] {
  const step = 25
  const first = plan.rows.rows[0]
  if (!first || !plan.supports.railLines || plan.rails[0]?.way === 'up') return []
  const heights = plan.supports.railLines
  const reaches = (byMm: number) => plan.rails.every(rail => heights.some(height => height.toMm >= rail.zone.fromMm + byMm && height.fromMm <= rail.zone.toMm + byMm))
  const lift = Array.from({ length: 40 }, (_, i) => (i + 1) * step).find(reaches)
  return lift === undefined
    ? []
    : [{
        label: 'Raise the rows on to them',
        edit: { type: 'set-row', faceId: face.id, row: 0, values: { gapBelowMm: gapBelow(plan.rows, 0) + lift } },
      }]
}

/** Rails longer than their maker lets them run without an expansion break; a rail up the slope is parted by leaving a module out. */
export function tooLongRuns(ask: RailsAsk): DraftFinding[] {
  const { face, plan } = ask
  const say = writer(ask)
  const most = plan.parts.rail.longestRunMm
  const long = plan.rails.filter(rail => rail.toMm - rail.fromMm > most + 0.5)
  if (!long.length) return []
  const rows = [...new Set(long.flatMap(rail => rail.carries.map(one => one.row)))]
  const longest = Math.max(...long.map(rail => rail.toMm - rail.fromMm))
  const growsMm = growthMm(longest)
  return [{
    id: `long-run:${face.id}`, severity: 'stop', stage: 'rails', faceId: face.id, about: refOf(long[0]!),
    sentence: `${plural(long.length, 'rail')} run${long.length === 1 ? 's' : ''} up to ${say(longest)} unbroken, and ${plan.parts.rail.name} may run ${say(most)}: it grows by about ${say(growsMm)} between frost and sun. Part the row with an expansion break; no module may lie across it.`,
    measured: { kind: 'length', mm: longest }, limit: { kind: 'length', mm: most },
    propose: (): Cure[] => [...(long.every(rail => rail.way === 'across') ? [broken(ask, rows, most)] : []), {
      label: rows.length === 1 ? `Leave out the middle module of row ${rows[0]! + 1}` : `Leave out the middle module of ${rows.length} rows`,
      edit: {
        type: 'batch',
        edits: rows.map((row): PlainEdit => ({
          type: 'set-row',
          faceId: face.id,
          row,
          values: { skip: [...(face.array.rows[row] ?? plainRow).skip, Math.ceil(plan.rows.rows[row]!.count / 2)] },
        })),
      },
    }],
  }]
}

/** Every row with a break after so many modules that no rail is longer than it may be. */
function broken({ face, plan }: RailsAsk, rows: number[], mostMm: number): Cure {
  const breaksOf = (index: number): number[] => {
    const row = plan.rows.rows[index]!
    let before = 0
    return row.blocks.flatMap((block) => {
      const lengthMm = block.rightMm - block.leftMm + 2 * plan.parts.clamps.railPastMm
      const pieces = Math.ceil(lengthMm / mostMm - 1e-9)
      const places = Array.from({ length: pieces - 1 }, (_, i) => before + Math.round(block.count * (i + 1) / pieces))
      before += block.count
      return places
    })
  }
  return {
    label: rows.length === 1 ? `Part row ${rows[0]! + 1} by an expansion break` : `Part ${rows.length} rows by expansion breaks`,
    edit: {
      type: 'batch',
      edits: rows.map((row): PlainEdit => ({
        type: 'set-row',
        faceId: face.id,
        row,
        values: { breaks: [...new Set([...(face.array.rows[row] ?? plainRow).breaks, ...breaksOf(row)])].sort((a, b) => a - b) },
      })),
    },
  }
}

/** A span or an overhang typed larger than the maker's counts only with an engineer's name, and every sheet says so. */
const overMaker = (of: 'span' | 'overhang') => (ask: RailsAsk): DraftFinding[] => {
  const { face, plan } = ask
  const say = writer(ask)
  if (!plan.rails.length) return []
  return plan.limits.overMaker.filter(one => one.what === of).map(({ what, typedMm, makerMm, engineer }): DraftFinding => ({
    id: `over-maker-${what}:${face.id}`, onSheets: true, severity: 'caution', stage: 'rails', faceId: face.id, about: null, measured: length(typedMm), limit: length(makerMm),
    sentence: engineer
      ? `The allowed ${what} of ${say(typedMm)} is over the maker’s ${say(makerMm)}: it rests on the work of ${engineer}.`
      : `The typed ${what} of ${say(typedMm)} is over the maker’s ${say(makerMm)}, so the maker’s is kept. A larger one needs an engineer’s name, under Loads, Engineer.`,
    propose: () => [{
      label: `Keep to the maker’s ${say(makerMm)}`,
      edit: { type: 'set-array', faceId: face.id, values: what === 'span' ? { allowedSpanMm: null } : { allowedOverhangMm: null } },
    }],
  }))
}

export const spanOverMaker = overMaker('span')
export const overhangOverMaker = overMaker('overhang')

/** Spans taken from practice are not engineering, and the plan says so. */
export function unjustified(ask: RailsAsk): DraftFinding[] {
  const { face, plan } = ask
  if (!plan.rails.length || plan.limits.spanWorking.basis !== 'common practice') return []
  return [{
    id: `span-basis:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: null,
    sentence: `The allowed span of ${writer(ask)(plan.limits.maxSpanMm)} is what is usual with ${plan.parts.rail.name}, not worked out for this roof’s wind and snow. The rail maker’s table, the local code or a licensed engineer comes first; type the figure they give.`,
    measured: length(plan.limits.maxSpanMm), limit: null, propose: noCures,
  }]
}
