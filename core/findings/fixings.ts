import { goesOn, mismatches, supportNames } from '../catalogue'
import { forbiddenStrips } from '../coverings'
import { fixMoved, type Shortfall, shiftsToTry } from '../fixings'
import { applyEdit, faceOf, type PlainEdit } from '../job'
import { type FaceLayout, layOut } from '../plan/face'
import { endNames } from '../rails'
import type { PlacesForRail } from '../supports'
import { length } from '../units'
import { type FindingContext, railNumbers, writer } from './context'
import type { Cure, DraftFinding } from './finding'
import { noCures } from './finding'

/** Spans and overhangs that no choice of fixings can keep, and what the plan rests on. */
export function fixingFindings(context: FindingContext): DraftFinding[] {
  return [...impossible(context), ...pattern(context), ...overMaker(context), ...unjustified(context)]
}

/** Equal troubles of several rails, such as one wide gap between two rafters, make one finding. */
function impossible(context: FindingContext): DraftFinding[] {
  const groups = new Map<string, { shortfall: Shortfall, railIds: string[] }>()
  for (const rail of context.plan.fixings.rails) {
    const onSupport = context.plan.rails.find(one => one.id === rail.railId)!.onSupport
    for (const shortfall of rail.shortfalls) {
      // A rail that runs between its supports has a finding of its own.
      if (shortfall.kind === 'no-support' && !onSupport) continue
      const key = keyOf(shortfall)
      const group = groups.get(key)
      if (!group) groups.set(key, { shortfall, railIds: [rail.railId] })
      else {
        group.railIds.push(rail.railId)
        if (sizeOf(shortfall) > sizeOf(group.shortfall)) group.shortfall = shortfall
      }
    }
  }
  return [...groups].map(([key, { shortfall, railIds }]) => ({
    id: `${key}:${context.face.id}`, severity: 'stop', stage: 'rails', faceId: context.face.id, about: railIds[0]!,
    ...describe(context, shortfall, railIds), propose: () => curesFor(context, shortfall, railIds),
  }))
}

const keyOf = (one: Shortfall): string =>
  one.kind === 'span' ? `span:${one.left.member}-${one.right.member}` : one.kind === 'overhang' ? `overhang:${one.end}` : 'no-support'
const sizeOf = (one: Shortfall): number => one.kind === 'span' ? one.spanMm : one.kind === 'overhang' ? one.overhangMm : 0

function describe(context: FindingContext, shortfall: Shortfall, railIds: string[]): Pick<DraftFinding, 'sentence' | 'measured' | 'limit'> {
  const say = writer(context)
  const { plan } = context
  const { limits, rails } = plan
  const numbers = railIds.map(id => rails.find(rail => rail.id === id)!.number)
  const which = railNumbers(plan, numbers)
  switch (shortfall.kind) {
    case 'no-support':
      return { sentence: `${which} ${numbers.length === 1 ? 'has' : 'have'} nothing underneath to be fixed to: no ${supportNames[context.face.supports.kind]} there${forbids(context, railIds) ? ' where the covering lets a mount through' : ''}.`, measured: null, limit: null }
    case 'overhang':
      return {
        sentence: `Overhang at the ${endNames(plan.rails[0]!)[shortfall.end === 'start' ? 0 : 1]} end is ${say(shortfall.overhangMm)}, limit ${say(limits.maxOverhangMm)}: ${shortfall.nearest.member} is the last that ${which.toLowerCase()} can reach.`,
        measured: length(shortfall.overhangMm), limit: length(limits.maxOverhangMm),
      }
    case 'span':
      return {
        sentence: `${shortfall.left.member[0]!.toUpperCase()}${shortfall.left.member.slice(1)} and ${shortfall.right.member} are ${say(shortfall.spanMm)} apart, allowed span ${say(limits.maxSpanMm)}. ${which} can’t be fixed between them.`,
        measured: length(shortfall.spanMm), limit: length(limits.maxSpanMm),
      }
  }
}

/** Whether the covering takes places away from any of these rails. */
const forbids = ({ face, plan }: FindingContext, railIds: string[]): boolean =>
  plan.rails.some(rail => railIds.includes(rail.id) && forbiddenStrips(face.covering, face.outline, plan.parts.mount, rail).length > 0)

function curesFor(context: FindingContext, shortfall: Shortfall, railIds: string[]): Cure[] {
  // Moving along the eave and shorter rows do nothing for the ends and spans of rails up the slope.
  if (context.plan.rails[0]?.way === 'up') return strongerRails(context, shortfall)
  return [...shifts(context, shortfall), ...strongerRails(context, shortfall), ...shorterRows(context, shortfall, railIds)]
}

/** The least shift of the whole array after which no rail has this trouble and none has a new one; null when there is none. */
function shiftWithout(plan: FaceLayout, places: PlacesForRail, shortfall: Shortfall): number | null {
  if (!plan.rows.slack) return null
  const old = new Set(plan.fixings.rails.flatMap(rail => rail.shortfalls.map(keyOf)))
  const helps = (shiftMm: number) => fixMoved(plan.rails, shiftMm, places, plan.limits, 'soft-stagger').rails.every(rail => rail.shortfalls.every(one => keyOf(one) !== keyOf(shortfall) && old.has(keyOf(one))))
  return shiftsToTry(plan.rails, places, plan.limits, plan.rows.slack).find(helps) ?? null
}

const wayOf = (context: FindingContext, shiftMm: number): string => `${writer(context)(Math.abs(shiftMm))} ${shiftMm > 0 ? 'right' : 'left'}`

function shifts(context: FindingContext, shortfall: Shortfall): Cure[] {
  const { face, plan } = context
  const shiftMm = shiftWithout(plan, context.places, shortfall)
  if (!shiftMm) return []
  return [{ label: `Shift the array ${wayOf(context, shiftMm)}`, edit: { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + shiftMm } } }]
}

/** Rails of the catalogue whose own limits reach, with mount and clamps that go with them. */
function strongerRails({ catalogue, face, plan }: FindingContext, shortfall: Shortfall): Cure[] {
  if (shortfall.kind === 'no-support') return []
  return catalogue.rails.filter(rail => rail.id !== plan.parts.rail.id && !rail.frame).flatMap((rail): Cure[] => {
    if (shortfall.kind === 'span' && rail.usualSpanMm < shortfall.spanMm) return []
    const ground = { covering: face.covering.kind, support: face.supports.kind }
    const mount = [plan.parts.mount, ...catalogue.mounts].find(one => rail.mountIds.includes(one.id) && goesOn(one, ground))
    const clamps = [plan.parts.clamps, ...catalogue.clamps].find(set => mount && !mismatches(catalogue, { ...plan.parts, rail, mount, clamps: set }, ground).length)
    if (!mount || !clamps) return []
    return [{
      label: `Use ${rail.name}`,
      edit: { type: 'set-array', faceId: face.id, values: { railId: rail.id, mountId: mount.id, clampsId: clamps.id, allowedSpanMm: null, allowedOverhangMm: null } },
    }]
  })
}

/** One module fewer in every row that has the trouble, with the least shift that then puts it right. */
function shorterRows(context: FindingContext, shortfall: Shortfall, railIds: string[]): Cure[] {
  const { job, catalogue, face, plan } = context
  const rows = [...new Set(railIds.map(id => plan.rails.find(rail => rail.id === id)!.row))].map(index => plan.rows.rows[index]!)
  if (rows.some(row => row.count < 2)) return []
  const drops = rows.map((row): PlainEdit => ({ type: 'set-row', faceId: face.id, row: row.index, values: { count: row.count - 1 } }))
  const shortened = layOut(faceOf(applyEdit(job, { type: 'batch', edits: drops }), face.id), catalogue, job, plan.clear, true)
  const shiftMm = shiftWithout(shortened, context.places, shortfall)
  if (shiftMm === null) return []
  const moved: PlainEdit[] = shiftMm ? [{ type: 'set-array', faceId: face.id, values: { shiftMm: shortened.shiftMm + shiftMm } }] : []
  const label = rows.length === 1 ? `Drop a module from row ${rows[0]!.index + 1}` : `Drop a module from ${rows.length} rows`
  return [{ label: shiftMm ? `${label} and shift ${wayOf(context, shiftMm)}` : label, edit: { type: 'batch', edits: [...drops, ...moved] } }]
}

/** A pattern that was asked for and can't be had. */
function pattern({ face, plan }: FindingContext): DraftFinding[] {
  const asked = face.array.fixingPattern
  if (asked === plan.fixings.pattern) return []
  const why = asked === 'hard-stagger' ? 'A hard stagger can’t be had here: neighbouring rails would need rafters that are not there.' : 'The fixings can’t stand in line here: the rails reach unlike places.'
  return [{
    id: `${asked}:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: '', sentence: `${why} The fixings shown are a soft stagger.`, measured: null, limit: null,
    propose: () => [{ label: 'Keep the soft stagger', edit: { type: 'set-array', faceId: face.id, values: { fixingPattern: 'soft-stagger' } } }],
  }]
}

/** A span or an overhang typed larger than the maker's counts only with an engineer's name, and every sheet says so. */
function overMaker(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  const say = writer(context)
  if (!plan.rails.length) return []
  return plan.limits.overMaker.map(({ what, typedMm, makerMm, engineer }): DraftFinding => ({
    id: `over-maker-${what}:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: '', measured: length(typedMm), limit: length(makerMm),
    sentence: engineer
      ? `The allowed ${what} of ${say(typedMm)} is over the maker’s ${say(makerMm)}: it rests on the work of ${engineer}.`
      : `The typed ${what} of ${say(typedMm)} is over the maker’s ${say(makerMm)}, so the maker’s is kept. A larger one needs an engineer’s name, under Loads, Engineer.`,
    propose: () => [{ label: `Keep to the maker’s ${say(makerMm)}`, edit: { type: 'set-array', faceId: face.id, values: what === 'span' ? { allowedSpanMm: null } : { allowedOverhangMm: null } } }],
  }))
}

/** Spans taken from practice are not engineering, and the plan says so. */
function unjustified(context: FindingContext): DraftFinding[] {
  const { face, plan } = context
  if (!plan.rails.length || plan.limits.spanWorking.basis !== 'common practice') return []
  return [{
    id: `span-basis:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: '',
    sentence: `The allowed span of ${writer(context)(plan.limits.maxSpanMm)} is what is usual with ${plan.parts.rail.name}, not worked out for this roof’s wind and snow. The rail maker’s table, the local code or a licensed engineer comes first; type the figure they give.`,
    measured: length(plan.limits.maxSpanMm), limit: null, propose: noCures,
  }]
}
