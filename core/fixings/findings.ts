import { goesOn, goesWith, mismatches, offered, supportNames } from '../catalogue'
import { coursesDiffer, coursesOf, footOf, forbiddenStrips } from '../coverings'
import type { PlainEdit } from '../job'
import { endNames, railNumbers } from '../rails'
import { gapBelow } from '../rows'
import type { PlacesForRail } from '../supports'
import { type Cure, type DraftFinding, type FindingAsk, sentenceCase, writer } from '../trade'
import { length } from '../units'
import { fixMoved, shiftsToTry } from './balance'
import type { Shortfall } from './fewest'
import { hookWords, longerHooks } from './hooks'
import type { FixingsLayout } from './layout'

/** A face with its fixings, and where its supports let a rail be fixed. */
export type FixingsAsk = FindingAsk<FixingsLayout> & { places: PlacesForRail }

/** Equal troubles of several rails, such as one wide gap between two rafters, make one finding. */
const impossible = (kind: Shortfall['kind']) => (ask: FixingsAsk): DraftFinding[] => {
  const groups = new Map<string, { shortfall: Shortfall, railIds: string[] }>()
  for (const rail of ask.plan.fixings.rails) {
    const onSupport = ask.plan.rails.find(one => one.id === rail.railId)!.onSupport
    for (const shortfall of rail.shortfalls) {
      if (shortfall.kind !== kind) continue
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
    id: `${key}:${ask.face.id}`, severity: 'stop', stage: 'rails', faceId: ask.face.id, about: { kind: 'rail', id: railIds[0]! },
    ...describe(ask, shortfall, railIds), propose: () => curesFor(ask, shortfall, railIds),
  }))
}

export const noSupport = impossible('no-support')
export const overhangTooLong = impossible('overhang')
export const spanTooLong = impossible('span')

const keyOf = (one: Shortfall): string =>
  one.kind === 'span' ? `span:${one.left.member}-${one.right.member}` : one.kind === 'overhang' ? `overhang:${one.end}` : 'no-support'
const sizeOf = (one: Shortfall): number => one.kind === 'span' ? one.spanMm : one.kind === 'overhang' ? one.overhangMm : 0

function describe(ask: FixingsAsk, shortfall: Shortfall, railIds: string[]): Pick<DraftFinding, 'sentence' | 'measured' | 'limit'> {
  const say = writer(ask)
  const { plan } = ask
  const { limits, rails } = plan
  const numbers = railIds.map(id => rails.find(rail => rail.id === id)!.number)
  const which = railNumbers(plan, numbers)
  switch (shortfall.kind) {
    case 'no-support':
      return {
        sentence: `${which} ${numbers.length === 1 ? 'has' : 'have'} nothing underneath to be fixed to: no ${supportNames[ask.face.supports.kind]} there${forbids(ask, railIds) ? ' where the covering lets a mount through' : ''}.${hookWords(ask)}`,
        measured: null,
        limit: null,
      }
    case 'overhang':
      return {
        sentence: `Overhang at the ${endNames(plan.rails[0]!)[shortfall.end === 'start' ? 0 : 1]} end is ${say(shortfall.overhangMm)}, limit ${say(limits.maxOverhangMm)}: ${shortfall.nearest.member} is the last that ${which.toLowerCase()} can reach.`,
        measured: length(shortfall.overhangMm), limit: length(limits.maxOverhangMm),
      }
    case 'span':
      return {
        sentence: `${sentenceCase(shortfall.left.member)} and ${shortfall.right.member} are ${say(shortfall.spanMm)} apart, allowed span ${say(limits.maxSpanMm)}. ${which} can’t be fixed between them.`,
        measured: length(shortfall.spanMm), limit: length(limits.maxSpanMm),
      }
  }
}

/** Whether the covering takes places away from any of these rails. */
const forbids = ({ face, plan }: FixingsAsk, railIds: string[]): boolean =>
  plan.rails.some(rail => railIds.includes(rail.id) && forbiddenStrips(face.covering, face.outline, footOf(face, plan.parts.mount), rail).length > 0)

function curesFor(ask: FixingsAsk, shortfall: Shortfall, railIds: string[]): Cure[] {
  // Moving along the eave and shorter rows do nothing for the ends and spans of rails up the slope.
  if (ask.plan.rails[0]?.way === 'up') return strongerRails(ask, shortfall)
  return [...(shortfall.kind === 'no-support' ? longerHooks(ask) : []), ...shifts(ask, shortfall), ...rowShifts(ask, shortfall, railIds), ...rowRaises(ask, railIds), ...strongerRails(ask, shortfall), ...shorterRows(ask, shortfall, railIds)]
}

/** The least shift of the whole array after which no rail has this trouble and none has a new one; null when there is none. */
function shiftWithout(plan: FixingsLayout, places: PlacesForRail, shortfall: Shortfall): number | null {
  if (!plan.rows.slack) return null
  const old = new Set(plan.fixings.rails.flatMap(rail => rail.shortfalls.map(keyOf)))
  const helps = (shiftMm: number) => fixMoved(plan.rails, shiftMm, places, plan.limits, 'soft-stagger').rails.every(rail => rail.shortfalls.every(one => keyOf(one) !== keyOf(shortfall) && old.has(keyOf(one))))
  return shiftsToTry(plan.rails, places, plan.limits, plan.rows.slack).find(helps) ?? null
}

const wayOf = (ask: FixingsAsk, shiftMm: number): string => `${writer(ask)(Math.abs(shiftMm))} ${shiftMm > 0 ? 'right' : 'left'}`

function shifts(ask: FixingsAsk, shortfall: Shortfall): Cure[] {
  const { face, plan } = ask
  const shiftMm = shiftWithout(plan, ask.places, shortfall)
  if (!shiftMm) return []
  return [{ label: `Shift the array ${wayOf(ask, shiftMm)}`, edit: { type: 'set-array', faceId: face.id, values: { shiftMm: plan.shiftMm + shiftMm } } }]
}

/** Steps in which a row is tried along its strip, mm. */
const ROW_STEP_MM = 20

/** The least shift of the one row that has the trouble after which its rails can all be fixed; none where several have it. */
function rowShifts(ask: FixingsAsk, shortfall: Shortfall, railIds: string[]): Cure[] {
  const { face, plan, places } = ask
  const rows = [...new Set(railIds.map(id => plan.rails.find(rail => rail.id === id)!.row))].map(index => plan.rows.rows[index]!)
  const [row] = rows
  if (!row || rows.length > 1 || shortfall.kind === 'span' || row.heldModules || row.blocks.some(block => !block.free)) return []
  const leftMm = Math.max(...row.blocks.map(block => block.free!.fromMm - block.leftMm))
  const rightMm = Math.min(...row.blocks.map(block => block.free!.toMm - block.rightMm))
  const rails = plan.rails.filter(rail => rail.row === row.index && rail.way === 'across')
  const tries = Array.from({ length: Math.max(0, Math.floor((rightMm - leftMm) / ROW_STEP_MM) + 1) }, (_, i) => leftMm + i * ROW_STEP_MM).sort((a, b) => Math.abs(a) - Math.abs(b))
  const shiftMm = tries.find(mm => Math.abs(mm) > 1 && fixMoved(rails, mm, places, plan.limits, 'soft-stagger').rails.every(rail => !rail.shortfalls.length))
  if (shiftMm === undefined) return []
  return [{ label: `Move row ${row.index + 1} ${wayOf(ask, shiftMm)}`, edit: { type: 'set-row', faceId: face.id, row: row.index, values: { shiftMm: (face.array.rows[row.index]?.shiftMm ?? 0) + shiftMm } } }]
}

/** The least by which the one row that has the trouble can be raised so that its rails come into courses that let mounts through elsewhere. */
function rowRaises(ask: FixingsAsk, railIds: string[]): Cure[] {
  const { face, plan } = ask
  const rows = new Set(railIds.map(id => plan.rails.find(rail => rail.id === id)!.row))
  const [index] = rows
  const gaugeMm = coursesOf(face.covering)?.gaugeMm ?? 0
  if (index === undefined || rows.size > 1 || !coursesDiffer(face.covering, footOf(face, plan.parts.mount))) return []
  for (let byMm = ROW_STEP_MM; byMm <= gaugeMm; byMm += ROW_STEP_MM) {
    const edit: PlainEdit = { type: 'set-row', faceId: face.id, row: index, values: { gapBelowMm: gapBelow(plan.rows, index) + byMm } }
    const raised = ask.tried(edit)
    if (!raised.rows.rows.every(row => row.fits)) return []
    if (raised.modules >= plan.modules && raised.rails.every(rail => rail.onCourse && rail.onSupport) && raised.fixings.rails.every(rail => !rail.shortfalls.length)) return [{ label: `Raise row ${index + 1} by ${writer(ask)(byMm)}, into other courses`, edit }]
  }
  return []
}

/** Rails of the catalogue whose own limits reach, with mount and clamps that go with them. */
function strongerRails({ catalogue, face, plan }: FixingsAsk, shortfall: Shortfall): Cure[] {
  if (shortfall.kind === 'no-support') return []
  return offered(catalogue.rails).filter(rail => rail.id !== plan.parts.rail.id && !rail.frame).flatMap((rail): Cure[] => {
    if (shortfall.kind === 'span' && rail.usualSpanMm < shortfall.spanMm) return []
    const ground = { covering: face.covering.kind, support: face.supports.kind }
    const mount = [plan.parts.mount, ...offered(catalogue.mounts)].find(one => goesWith(catalogue, rail.id, one.id) && goesOn(one, ground))
    const clamps = [plan.parts.clamps, ...offered(catalogue.clamps)].find(set => mount && !mismatches(catalogue, { ...plan.parts, rail, mount, clamps: set }, ground).length)
    if (!mount || !clamps) return []
    return [{
      label: `Use ${rail.name}`,
      edit: { type: 'set-array', faceId: face.id, values: { railId: rail.id, mountId: mount.id, clampsId: clamps.id, allowedSpanMm: null, allowedOverhangMm: null } },
    }]
  })
}

/** One module fewer in every row that has the trouble, with the least shift that then puts it right. */
function shorterRows(ask: FixingsAsk, shortfall: Shortfall, railIds: string[]): Cure[] {
  const { face, plan } = ask
  const rows = [...new Set(railIds.map(id => plan.rails.find(rail => rail.id === id)!.row))].map(index => plan.rows.rows[index]!)
  if (rows.some(row => row.count < 2)) return []
  const drops = rows.map((row): PlainEdit => ({ type: 'set-row', faceId: face.id, row: row.index, values: { count: row.count - 1 } }))
  const shortened = ask.tried({ type: 'batch', edits: drops })
  const shiftMm = shiftWithout(shortened, ask.places, shortfall)
  if (shiftMm === null) return []
  const moved: PlainEdit[] = shiftMm ? [{ type: 'set-array', faceId: face.id, values: { shiftMm: shortened.shiftMm + shiftMm } }] : []
  const label = rows.length === 1 ? `Drop a module from row ${rows[0]!.index + 1}` : `Drop a module from ${rows.length} rows`
  return [{ label: shiftMm ? `${label} and shift ${wayOf(ask, shiftMm)}` : label, edit: { type: 'batch', edits: [...drops, ...moved] } }]
}

/** Two fixings at each end. */
const DOUBLED = 4

/** Rails whose ends were to be held twice, and that have no places for it. */
export function notDoubled({ face, plan }: FixingsAsk): DraftFinding[] {
  if (!face.array.doubledEnds) return []
  const short = plan.rails.filter((_, r) => plan.fixings.rails[r]!.fixings.length < DOUBLED)
  if (!short.length) return []
  return [{
    id: `not-doubled:${face.id}`, severity: 'caution', stage: 'covering', faceId: face.id, about: { kind: 'rail', id: short[0]!.id }, measured: null, limit: null,
    sentence: `${railNumbers(plan, short.map(rail => rail.number))} ${short.length === 1 ? 'has' : 'have'} no places for two fixings at each end: the ends there are held by one.`,
    propose: () => [{ label: 'Hold the ends by one fixing each', edit: { type: 'set-array', faceId: face.id, values: { doubledEnds: false } } }],
  }]
}

/** A pattern that was asked for and can't be had. */
export function patternNotHad({ face, plan }: FixingsAsk): DraftFinding[] {
  const asked = face.array.fixingPattern
  if (asked === plan.fixings.pattern) return []
  const why = asked === 'hard-stagger' ? 'A hard stagger can’t be had here: neighbouring rails would need rafters that are not there.' : 'The fixings can’t stand in line here: the rails reach unlike places.'
  return [{
    id: `${asked}:${face.id}`, severity: 'caution', stage: 'rails', faceId: face.id, about: null, sentence: `${why} The fixings shown are a soft stagger.`, measured: null, limit: null,
    propose: () => [{ label: 'Keep the soft stagger', edit: { type: 'set-array', faceId: face.id, values: { fixingPattern: 'soft-stagger' } } }],
  }]
}
