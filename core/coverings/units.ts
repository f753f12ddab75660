import type { Covering, Face } from '../job'
import { shapeOf } from '../roof'
import type { Interval } from '../geometry'
import { MM_PER_INCH } from '../units'
import { columnStart } from './courses'
import { type Columns, columnsOf } from './gauge'
import { type Foot, wayThrough } from './seats'

/** A foot that is wider than its tab may stand out so far along the eave (common practice: half an inch of play). */
const TAB_PLAY_MM = MM_PER_INCH / 2

/** Where in one unit, mm from its left edge, a mount may go through it, the plate's middle taken; null where the units don't matter. */
export function windowInUnit(covering: Covering, foot: Foot): Interval | null {
  const closure = wayThrough(covering, foot)
  const { hook } = foot.mount
  const columns = columnsOf(covering)
  if (!columns) return null
  const within = (fromMm: number, toMm: number, halfMm: number, playMm: number): Interval => ({ fromMm: fromMm + halfMm - playMm, toMm: toMm - halfMm + playMm })
  const { widthMm } = columns
  switch (closure?.way ?? (hook && covering.kind === 'interlocking-tile' ? 'hook' : null)) {
    case 'hook': return covering.kind === 'interlocking-tile'
      ? within(covering.pan.fromMm, covering.pan.toMm, (hook?.armMm ?? 0) / 2, hook?.travelMm ?? 0)
      : within(closure?.edgeMm ?? 0, widthMm - (closure?.edgeMm ?? 0), (hook?.armMm ?? 0) / 2, hook?.travelMm ?? 0)
    case 'post': return covering.kind === 'interlocking-tile' ? within(covering.pan.fromMm, covering.pan.toMm, closure!.cutWideMm / 2, closure!.playMm) : null
    case 'slot': return within(closure!.edgeMm, widthMm - closure!.edgeMm, closure!.cutWideMm / 2, closure!.playMm)
    case 'plate': return within(closure!.edgeMm, widthMm - closure!.edgeMm, closure!.plateWideMm / 2, closure!.playMm)
    // Under a flashing the slots between tabs are covered; a foot that is only sealed needs a whole tab below it.
    case 'sealed': return covering.kind === 'coursed-shingle' ? within(0, widthMm, closure!.plateWideMm / 2, TAB_PLAY_MM) : null
    default: return null
  }
}

type Laid = Pick<Face, 'covering' | 'outline'>

/** A strip at the end of a course that is narrower than this is no unit, mm: faces are some millimetres out of true, and nobody lays a sliver (common practice). */
const SLIVER_MM = 25

/** Which of its columns a course has at a place, 0 the one that was read. */
const columnAt = (columns: Columns, course: number, xMm: number): number => Math.floor((xMm - columnStart(columns, course)) / columns.widthMm + 1e-9)
/** The column in which the face begins, at whatever height that is: a face by a valley begins left of its eave. */
const firstColumn = (columns: Columns, { outline }: Laid, course: number): number => columnAt(columns, course, shapeOf(outline).along.fromMm + SLIVER_MM)

/** The unit of a course at a place along the eave: its number from the left, whatever the datum, 1 being that in which the face begins, cut or whole, and its left edge, mm. Null where nothing is laid to columns. */
export function unitAt(face: Laid, course: number, xMm: number): { number: number, leftMm: number, widthMm: number } | null {
  const columns = columnsOf(face.covering)
  if (!columns) return null
  const k = columnAt(columns, course, xMm)
  return { number: k - firstColumn(columns, face, course) + 1, leftMm: columnStart(columns, course) + k * columns.widthMm, widthMm: columns.widthMm }
}

/** How many units a course can have from one end of the face to the other; 0 where nothing is laid to columns. */
export const unitsIn = (face: Laid, course: number): number => unitAt(face, course, shapeOf(face.outline).along.toMm - SLIVER_MM)?.number ?? 0

/** Where a unit of a course lies along the eave, mm; null where the course has none of that number. */
export function unitAlong(face: Laid, course: number, unit: number): Interval | null {
  const columns = columnsOf(face.covering)
  if (!columns || unit < 1 || unit > unitsIn(face, course)) return null
  const fromMm = columnStart(columns, course) + (firstColumn(columns, face, course) + unit - 1) * columns.widthMm
  return { fromMm, toMm: fromMm + columns.widthMm }
}

/** A unit's number as it is counted from the face's datum: from the right the last one of the face is number 1. The same takes such a number back; one that is not laid to columns keeps its number. */
export function fromDatum(face: Laid & Pick<Face, 'datum'>, course: number, unit: number): number {
  const units = unitsIn(face, course)
  return face.datum === 'left' || !units ? unit : units - unit + 1
}

/** Stretches along the eave where a mount may go through the units of one course; null where any place will do. */
export function windowsInCourse(covering: Covering, foot: Foot, course: number, along: Interval): Interval[] | null {
  const window = windowInUnit(covering, foot)
  const columns = columnsOf(covering)
  if (!window || !columns) return null
  if (window.toMm - window.fromMm >= columns.widthMm - 1e-9) return null
  if (window.fromMm > window.toMm) return []
  const startMm = columnStart(columns, course)
  const first = Math.floor((along.fromMm - startMm) / columns.widthMm) - 1
  const last = Math.ceil((along.toMm - startMm) / columns.widthMm)
  return Array.from({ length: last - first + 1 }, (_, k) => startMm + (first + k) * columns.widthMm).map(left => ({ fromMm: left + window.fromMm, toMm: left + window.toMm }))
}

/** How far a place along the eave stands from the nearest at which a mount may go through the units of a course, mm; 0 where it may. */
export function besideWindowMm(covering: Covering, foot: Foot, course: number, xMm: number): number {
  const windows = windowsInCourse(covering, foot, course, { fromMm: xMm, toMm: xMm })
  return windows ? Math.max(0, Math.min(...windows.map(one => Math.max(one.fromMm - xMm, xMm - one.toMm)))) : 0
}

/** Where a hook's arm leaves its unit: over the plate, or as far aside as it has to and may be set, mm along the eave. */
export function armAtMm(covering: Covering, foot: Foot, course: number, plateMm: number): number {
  const { hook } = foot.mount
  const travelMm = hook?.travelMm ?? foot.closure?.playMm ?? 0
  if (!travelMm) return plateMm
  const bare: Foot = { mount: { ...foot.mount, hook: hook && { ...hook, travelMm: 0 } }, closure: foot.closure && { ...foot.closure, playMm: 0 } }
  const windows = windowsInCourse(covering, bare, course, { fromMm: plateMm, toMm: plateMm })
  if (!windows?.length) return plateMm
  const places = windows.map(one => Math.min(Math.max(plateMm, one.fromMm), one.toMm))
  const best = places.reduce((a, b) => Math.abs(b - plateMm) < Math.abs(a - plateMm) ? b : a)
  return plateMm + Math.max(-travelMm, Math.min(travelMm, best - plateMm))
}

/** Whether courses let a mount through at unlike places: in a broken bond, where it has to keep clear of joints. */
export const coursesDiffer = (covering: Covering, foot: Foot): boolean => (columnsOf(covering)?.brokenBond ?? false) && windowsInCourse(covering, foot, 2, { fromMm: 0, toMm: 0 }) !== null
