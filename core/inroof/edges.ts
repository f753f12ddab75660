import type { InRoof } from '../catalogue'
import { type Course, columnsOf, columnStart } from '../coverings'
import { type Interval, contains, unite } from '../geometry'
import type { Covering } from '../job'

/** Courses that lie below an array before it begins, the eave's own among them (common practice: two). */
export const COURSES_BELOW = 2
/** Units have so much play that a joint this near to an edge needs no cut, mm (common practice). */
export const SNUG_MM = 3
/** What misses half a unit by less than this is half of one, mm. */
export const HALF_MM = 1

/** What of courses and units decides where an array may begin and end. */
export interface Laid {
  courses: Course[]
  /** Length of one unit up the slope, mm. */
  lengthMm: number
  covering: Covering
}

/** Heights at which the lowest modules may begin over a course that is the last one laid below them: the apron over its head far enough, no farther than its own edge. */
const overCourse = ({ bottom: { downMm, lapMm, clearMm } }: Pick<InRoof, 'bottom'>, lengthMm: number, { fromMm }: Course): Interval => ({
  fromMm: fromMm + Math.max(lengthMm + clearMm, downMm),
  toMm: fromMm + lengthMm + downMm - lapMm,
})

/** Heights at which the highest modules may end under a course that is the first one laid above them. */
const underCourse = ({ top: { upMm, lapMm, gapMm } }: Pick<InRoof, 'top'>, { fromMm }: Course): Interval => ({ fromMm: fromMm + lapMm - upMm, toMm: fromMm - gapMm })

const real = (one: Interval): boolean => one.toMm >= one.fromMm

/** Heights, mm up the slope, at which lower edges of modules may lie. */
export const bottomHeights = (system: InRoof, laid: Laid): Interval[] => unite(bottomsByCourse(system, laid))
/** The heights over one course after another, from the lowest. */
export const bottomsByCourse = (system: InRoof, { courses, lengthMm }: Laid): Interval[] =>
  courses
    .filter(one => one.number >= COURSES_BELOW)
    .map(one => overCourse(system, lengthMm, one))
    .filter(real)
/** Heights at which their upper edges may lie. */
export const topHeights = (system: InRoof, { courses }: Laid): Interval[] => unite(courses.map(one => underCourse(system, one)).filter(real))

/** The last course laid below modules that begin at a height: the highest that will do; null where none does. */
export const courseBelow = (system: InRoof, { courses, lengthMm }: Laid, bottomMm: number): Course | null =>
  courses.filter(one => one.number >= COURSES_BELOW && contains(overCourse(system, lengthMm, one), bottomMm)).at(-1) ?? null
/** The first course laid above modules that end at a height: the lowest that will do; null where none does. */
export const courseAbove = (system: InRoof, { courses }: Laid, topMm: number): Course | null =>
  courses.find(one => contains(underCourse(system, one), topMm)) ?? null

/** What the apron or the upper flashing falls short by at a height that no course suits, mm: to the nearest height that one does. */
export const offCourseMm = (heights: Interval[], mm: number): number => Math.min(...heights.map(one => Math.max(one.fromMm - mm, mm - one.toMm, 0)), Infinity)

/** What is left of the unit that an edge cuts, mm; 0 where a joint is near enough, or where nothing is laid to columns. */
export function keptOfUnit(covering: Covering, course: number, edgeMm: number, side: 'left' | 'right'): number {
  const columns = columnsOf(covering)
  if (!columns) return 0
  const { widthMm } = columns
  const past = edgeMm - columnStart(columns, course)
  const over = past - Math.floor(past / widthMm) * widthMm
  if (over <= SNUG_MM || widthMm - over <= SNUG_MM) return 0
  return side === 'left' ? over : widthMm - over
}
