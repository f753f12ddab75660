import { readingAlong, readingUp } from '../roof'
import { type Ask, type Direction, type Push, type Ref, type RefKind, sameRef, type Selectable, type TapePlace } from '../trade'
import type { FaceLayout } from '../trades'
import { shownTrades } from '../trades-shown'
import type { Edit, StageId } from '../job'
import type { Working } from '../working'

type OnFace = Ask<FaceLayout>

/** One running reading on a tape: where it points on the face and what the tape reads there. */
export interface TapeReading extends TapePlace { key: string, readingMm: number }
/** What both tapes carry for a selection. */
export interface TapeReadings { along: TapeReading[], up: TapeReading[] }

/** All that a hand can take hold of on a face, each once, in the order in which the trades name them. */
const selectablesOf = (ask: OnFace): Selectable[] => shownTrades.flatMap(trade => trade.selectable?.(ask) ?? [])

/** What the trades know of one thing, the first to name it first; nothing where it is not there any more. */
export const knownOf = (ask: OnFace, ref: Ref): Selectable[] => selectablesOf(ask).filter(one => sameRef(one.ref, ref))

export const isThere = (ask: OnFace, ref: Ref): boolean => knownOf(ask, ref).length > 0

/** The rung where a thing's figures are; null where it belongs to several. */
export const stageOf = (ask: OnFace, ref: Ref): StageId | null => knownOf(ask, ref).find(one => one.stage)?.stage ?? null

/** The running readings of a thing from the face's datum corner; of the face itself where it is not there any more. */
export function tapeReadings(ask: OnFace, ref: Ref): TapeReadings {
  const known = knownOf(ask, ref)
  const places = (known.length ? known : knownOf(ask, { kind: 'face' })).flatMap(one => one.places ? [one.places()] : [])
  const read = (drafts: TapePlace[], of: (mm: number) => number): TapeReading[] => drafts.map((draft, i) => ({
    ...draft,
    key: String(i),
    readingMm: of(draft.placeMm),
  })).sort((a, b) => a.readingMm - b.readingMm)
  return { along: read(places.flatMap(one => one.along), mm => readingAlong(ask.face, mm)), up: read(places.flatMap(one => one.up), mm => readingUp(ask.face, mm)) }
}

/** The edit that pushes a thing; null where it can't go that way. */
export function nudgeEdit(ask: OnFace, ref: Ref, direction: Direction, push: Push): Edit | null {
  for (const { nudge } of knownOf(ask, ref)) {
    const edit = nudge?.(direction, push)
    if (edit) return edit
  }
  return null
}

/** How a thing's figures come about, what it comes to first; the face's own where it has none. */
export function workingsOf(ask: OnFace, ref: Ref): Working[] {
  const own = knownOf(ask, ref).flatMap(one => one.workings?.() ?? [])
  return own.length ? [...own].reverse() : shownTrades.flatMap(trade => trade.workings?.(ask) ?? [])
}

/** Every working that a thing's figures lead to: its own first, then the face's. */
export function workingsFor(ask: OnFace, ref: Ref): Working[] {
  const all = [...knownOf(ask, ref).flatMap(one => one.workings?.() ?? []), ...shownTrades.flatMap(trade => trade.workings?.(ask) ?? [])]
  return all.filter((one, i) => all.findIndex(other => other.what === one.what && other.formula === one.formula) === i)
}

/** What a thing is called; null where no trade knows it any more. */
export const nameOf = (ask: OnFace, ref: Ref): string | null => knownOf(ask, ref).find(one => one.name)?.name ?? null

/** The first thing of the next kind that there is on the face, round and round; single things are come to by way of all of their kind. */
export function nextKind(ask: OnFace, ref: Ref, by: 1 | -1): Ref {
  const all = selectablesOf(ask).map(one => one.ref)
  const kinds = [...new Set(all.map(one => one.kind))]
  const at = kinds.indexOf(ref.kind)
  const kind = kinds[at < 0 ? 0 : (at + by + kinds.length) % kinds.length]
  return all.find(one => one.kind === kind) ?? ref
}

/** The next thing of the same kind, round and round; the first, or the last, of a kind where none of it is held. */
export function nextOf(ask: OnFace, ref: Ref, kind: RefKind, by: 1 | -1): Ref | null {
  const all = selectablesOf(ask).map(one => one.ref).filter((one, i, refs) => one.kind === kind && refs.findIndex(other => sameRef(other, one)) === i)
  if (!all.length) return null
  const at = all.findIndex(one => sameRef(one, ref))
  return all[at < 0 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length]!
}
