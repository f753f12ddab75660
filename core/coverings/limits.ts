import { contains, intersect, type Interval, subtract, unite } from '../geometry'
import type { Covering, Outline, RailWay } from '../job'
import { shapeOf } from '../roof'
import type { RailLine } from '../supports'
import { coursesUp } from './courses'
import { type Foot, seatedAt, seatsOf } from './seats'
import { windowsInCourse } from './units'

/** Lines on which the covering lets a rail run with every one of these feet: heights of rails across, places along the eave of rails up the slope, mm. */
export function allowedRailLines(covering: Covering, outline: Outline, feet: Foot[], way: RailWay): Interval[] {
  const { along, up } = shapeOf(outline)
  return feet.map((foot) => {
    if (way === 'across') return unite(seatsOf(covering, outline, foot)?.map(seat => seat.rail) ?? [up])
    const parities = [0, 1].map(parity => windowsInCourse(covering, foot, parity, along))
    return parities.some(one => one === null) ? [along] : unite(parities.flatMap(one => one!))
  }).reduce((kept, next) => intersect(kept, next))
}

/** Stretches along a rail in which the covering lets no mount stand: side laps, joints and edges of units across the roof, edges of courses up the slope. */
export function forbiddenStrips(covering: Covering, outline: Outline, foot: Foot, { way, lineMm, reach }: RailLine): Interval[] {
  if (way === 'across') {
    const course = seatedAt(covering, outline, foot, lineMm)?.course.number ?? 2
    const windows = windowsInCourse(covering, foot, course, reach)
    return windows ? subtract(reach, windows) : []
  }
  const seats = seatsOf(covering, outline, foot)
  if (!seats) return []
  const open = (course: number) => windowsInCourse(covering, foot, course, { fromMm: lineMm, toMm: lineMm })?.some(one => contains(one, lineMm)) ?? true
  return subtract(reach, seats.filter(seat => open(seat.course.number)).map(seat => seat.rail))
}

/** Courses that were counted to the top beside those that gauge and slope make; null where nobody counted or there are none. */
export function countedBeside(covering: Covering, outline: Outline): { counted: number, made: number } | null {
  if (!('coursesCounted' in covering) || covering.coursesCounted === null) return null
  return { counted: covering.coursesCounted, made: coursesUp(covering, outline).length + 1 }
}
