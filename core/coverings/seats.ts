import { type Closure, closureFor, type Mount, plainClosure } from '../catalogue'
import { contains, intersect, type Interval, middleOf, nearest, subtract } from '../geometry'
import { onceFor } from '../memory'
import type { Covering, Face, Outline } from '../job'
import { battensIn, belowFirst, type Course, coursesUp } from './courses'
import { lengthOf } from './gauge'

/** What of a mount meets the covering, and by which way it goes through; the way is null where nobody has said. */
export interface Foot { mount: Pick<Mount, 'halfFootprintMm' | 'hook'>, closure: Closure | null }

/** A mount on a face, by the way that the array's goes through the covering, or by its usual one. */
export const footOf = <M extends Pick<Mount, 'halfFootprintMm' | 'hook' | 'closures'>>({ covering, array }: Pick<Face, 'covering' | 'array'>, mount: M, closureId: string | null = array.closureId): Foot & { mount: M } =>
  ({ mount, closure: closureFor(mount, covering.kind, closureId) })

/** Where a mount may sit in one course: the middle of its screws, and the rail lines that this gives, mm up the slope. */
export interface Seat { course: Course, screws: Interval, rail: Interval }

/** A foot of which nobody has said how it is closed still stands whole on one course of shingle. */
const unsaid: Closure = { ...plainClosure, id: 'unsaid', name: 'Not said', coverings: ['coursed-shingle'], way: 'sealed', screwsUp: { fromMm: 0, toMm: 0 }, plateHighMm: 10, plateWideMm: 10, minutes: 0 }

export const wayThrough = ({ kind }: Pick<Covering, 'kind'>, { closure }: Foot): Closure | null => closure ?? (kind === 'coursed-shingle' ? unsaid : null)

/** Height of the slot in a slate: as its maker has it, more where the flashing's head would not reach the batten above, at most what an old and uneven lap takes. */
export function slotHighMm(closure: Closure, covering: Covering, { fromMm, toMm }: Pick<Course, 'fromMm' | 'toMm'>): number {
  const needed = slotNeededMm(closure, covering, { fromMm, toMm })
  return Math.min(Math.max(closure.cutHighMm, needed ?? 0), Math.max(closure.cutHighMm, closure.cutOldHighMm))
}

/** What a slot needs for the flashing's head to reach the lower edge of the batten above its course: the slate's length less its gauge (which is gauge and lap), the batten and what is left below the slot. */
export const slotNeededMm = ({ cutUpMm }: Pick<Closure, 'cutUpMm'>, covering: Covering, { fromMm, toMm }: Pick<Course, 'fromMm' | 'toMm'>): number | null =>
  covering.kind === 'slate' ? covering.lengthMm - (toMm - fromMm) - covering.battenMm - cutUpMm : null

/** Where the middle of the screws may be in a course by the covering alone; null where this way asks nothing of the courses. */
function inCourse(closure: Closure, covering: Covering, halfMm: number, course: Course): Interval | null {
  const { fromMm, toMm } = course
  const room = (belowMm: number, aboveMm: number): Interval => ({ fromMm: fromMm + belowMm, toMm: toMm - aboveMm })
  switch (closure.way) {
    // Common practice: the flashing's head lies under the second course up, its foot does not pass its own course.
    case 'lapped': return room(Math.max(halfMm, closure.footMm, 2 * (toMm - fromMm) - closure.headMm), halfMm)
    case 'sealed': return room(halfMm, halfMm)
    // A hook leaves at the course's lower edge and nowhere else.
    case 'hook': return { fromMm: fromMm + closure.armDownMm, toMm: fromMm + closure.armDownMm }
    case 'post':
    case 'bracket': return room(closure.edgeMm + closure.cutHighMm / 2, closure.edgeMm + closure.cutHighMm / 2)
    case 'slot': return { fromMm: fromMm + closure.cutUpMm + closure.plateHighMm / 2, toMm: fromMm + closure.cutUpMm + slotHighMm(closure, covering, course) - closure.plateHighMm / 2 }
    case 'plate': return room(closure.edgeMm + closure.plateHighMm / 2, closure.edgeMm + closure.plateHighMm / 2)
    default: return null
  }
}

/** Ways whose plate lies on the timber between two battens, and which therefore go through the underlay. */
export const betweenBattens = ({ way }: Pick<Closure, 'way'>): boolean => way === 'hook' || way === 'post' || way === 'slot'

/** Seats by what they follow from, none of which ever changes: every fixing of every try asks for them. */
const knownSeats = onceFor((_covering: Covering) => onceFor((_outline: Outline) => onceFor((_closure: Closure) => new Map<number, Seat[] | null>())))

/**
 * Seats of a mount, course by course from the second (the eave's own has nothing below to shed on). Courses in which a batten is in the
 * way are left out, unless it may be cut; where that leaves none all are given, for a finding to say why they do not do. Null where the
 * way asks nothing of the courses.
 */
export function seatsOf(covering: Covering, outline: Outline, foot: Foot): Seat[] | null {
  const closure = wayThrough(covering, foot)
  if (!closure) return null
  const { halfFootprintMm } = foot.mount
  const known = knownSeats(covering)(outline)(closure)
  const ready = known.get(halfFootprintMm)
  if (ready !== undefined) return ready
  const made = seatsMade(covering, outline, closure, halfFootprintMm)
  known.set(halfFootprintMm, made)
  return made
}

function seatsMade(covering: Covering, outline: Outline, closure: Closure, halfMm: number): Seat[] | null {
  const courses = coursesUp(covering, outline)
  if (!courses.length) return null
  const hung = [...belowFirst(covering, courses), ...courses]
  const seats: Seat[] = []
  const blocked: Seat[] = []
  for (const course of courses) {
    const own = inCourse(closure, covering, halfMm, course)
    if (!own) return null
    if (own.toMm < own.fromMm - 1e-9) continue
    const free = betweenBattens(closure) && !closure.battenCut && lengthOf(covering) !== null ? clearOfBattens(covering, hung, closure.plateHighMm / 2, own) : [own]
    seats.push(...free.map(screws => seatFrom(course, screws, closure)))
    if (!free.length) blocked.push(seatFrom(course, own, closure))
  }
  return seats.length ? seats : blocked
}

const seatFrom = (course: Course, screws: Interval, { screwsUp }: Closure): Seat => ({ course, screws, rail: { fromMm: screws.fromMm - screwsUp.toMm, toMm: screws.toMm - screwsUp.fromMm } })

/** Where the middle of a plate may be so that it meets no batten. */
function clearOfBattens(covering: Covering, courses: Course[], halfMm: number, within: Interval): Interval[] {
  const battens = battensIn(covering, courses, within.fromMm - halfMm, within.toMm + halfMm).map(one => ({ fromMm: one.fromMm - halfMm, toMm: one.toMm + halfMm }))
  // A hook's plate has one place only, which is no stretch to take anything from.
  if (within.toMm - within.fromMm < 1e-6) return battens.some(one => within.fromMm > one.fromMm + 1e-6 && within.fromMm < one.toMm - 1e-6) ? [] : [within]
  return subtract(within, battens)
}

/** How far up from the rail's axis a foot's screws are, where they have one place only, mm; 0 where the course decides it or nobody has said. */
export const fixedScrewsUp = ({ closure }: Pick<Foot, 'closure'>): number => closure && closure.screwsUp.fromMm === closure.screwsUp.toMm ? closure.screwsUp.fromMm : 0

/** How one mount sits under a rail that is given. */
export interface Seated { course: Course, screwsMm: number, /** False where the rail is out of the reach of every seat. */ fits: boolean }

/** The seat that a mount takes under a rail at a height: the one whose foot or arm is then nearest the middle of its travel. Null where the courses don't matter or there are none. */
export function seatedAt(covering: Covering, outline: Outline, foot: Foot, lineMm: number): Seated | null {
  const closure = wayThrough(covering, foot)
  const seats = seatsOf(covering, outline, foot)
  if (!closure || !seats?.length) return null
  const middleMm = middleOf(closure.screwsUp)
  const reached = seats.filter(seat => contains(seat.rail, lineMm))
  const from = reached.length ? reached : seats
  const found = from.map((seat) => {
    const mayMm = reached.length ? intersect([seat.screws], [{ fromMm: lineMm + closure.screwsUp.fromMm, toMm: lineMm + closure.screwsUp.toMm }]) : [seat.screws]
    const screwsMm = nearest(mayMm.length ? mayMm : [seat.screws], lineMm + middleMm)!
    return { course: seat.course, screwsMm, offMm: Math.abs(screwsMm - lineMm - middleMm) }
  }).reduce((a, b) => b.offMm < a.offMm - 1e-9 ? b : a)
  return { course: found.course, screwsMm: found.screwsMm, fits: reached.length > 0 }
}
