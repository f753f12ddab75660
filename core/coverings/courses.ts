import type { Covering, Outline } from '../job'
import { onceFor } from '../memory'
import { shapeOf } from '../roof'
import { columnsOf, coursesOf, lengthOf } from './gauge'

/** One course as it lies: its number from the eave, where 1 is the eave's own, its lower edge and the next one's, mm up the slope. */
export interface Course { number: number, fromMm: number, toMm: number }

/**
 * Lower edge of a course, mm up the slope: as read; between two that were read by equal shares; past the last by the gauge between the
 * last two, since courses shorten up an old roof.
 */
function edgeOf(number: number, read: { course: number, mm: number }[], gaugeMm: number): number {
  const above = read.findIndex(one => one.course >= number)
  const [low, high] = above > 0 ? [read[above - 1]!, read[above]!] : above === 0 ? [read[0]!, read[1]] : [read.at(-2) ?? read[0]!, read.length > 1 ? read.at(-1)! : undefined]
  if (!high) return low.mm + (number - low.course) * gaugeMm
  return low.mm + (number - low.course) * (high.mm - low.mm) / (high.course - low.course)
}

/** Courses from the first regular one, number 2, to the top. */
export const coursesUp = (covering: Covering, outline: Outline): Course[] => known(covering)(outline)

const known = onceFor((covering: Covering) => onceFor((outline: Outline) => coursesMade(covering, outline)))

function coursesMade(covering: Covering, outline: Outline): Course[] {
  const courses = coursesOf(covering)
  if (!courses) return []
  const topMm = shapeOf(outline).up.toMm
  const own = 'coursesRead' in covering ? covering.coursesRead : []
  const read = [...own.some(one => one.course === 2) ? [] : [{ course: 2, mm: courses.firstMm }], ...own].sort((a, b) => a.course - b.course)
  const found: Course[] = []
  for (let number = 2; number < 1000; number++) {
    const fromMm = edgeOf(number, read, courses.gaugeMm)
    if (fromMm > topMm + 1e-6) break
    const toMm = edgeOf(number + 1, read, courses.gaugeMm)
    if (!(toMm > fromMm)) break
    found.push({ number, fromMm, toMm })
  }
  return found
}

/** Lower edges of the courses, mm up the slope, from the first regular one to the ridge. */
export const courseLines = (covering: Covering, outline: Outline): number[] => coursesUp(covering, outline).map(course => course.fromMm)

/** Upper and lower edge of the batten from which a course's units hang, mm up the slope; null where they hang from none. */
function battenOf(covering: Covering, course: Pick<Course, 'fromMm'>): { fromMm: number, toMm: number } | null {
  const lengthMm = lengthOf(covering)
  return lengthMm === null || !('battenMm' in covering) ? null : { fromMm: course.fromMm + lengthMm - covering.battenMm, toMm: course.fromMm + lengthMm }
}

/** How many courses lie one over another at most at any place: units hang over so many gauges. */
const coursesDeep = (covering: Covering, { fromMm, toMm }: Course): number => Math.ceil((lengthOf(covering) ?? 0) / (toMm - fromMm) + 1e-9)

/** Battens that a stretch up the slope meets, from the courses below it. */
export function battensIn(covering: Covering, courses: Course[], fromMm: number, toMm: number): { course: number, fromMm: number, toMm: number }[] {
  return courses.flatMap((course) => {
    const batten = battenOf(covering, course)
    return batten && batten.toMm > fromMm && batten.fromMm < toMm ? [{ course: course.number, ...batten }] : []
  })
}

/** A course continued below the first regular one, where units of the same gauge hang from battens that the first courses need. */
export const belowFirst = (covering: Covering, courses: Course[]): Course[] => {
  const first = courses[0]
  if (!first) return []
  const gaugeMm = first.toMm - first.fromMm
  return Array.from({ length: coursesDeep(covering, first) }, (_, i) => ({ number: 1 - i, fromMm: first.fromMm - (i + 1) * gaugeMm, toMm: first.fromMm - i * gaugeMm })).reverse()
}

/** The joint between two units of one course, or the edge of a sheet that runs up the whole face. */
export interface Joint { xMm: number, fromMm: number, toMm: number }

/** More joints than this would only blacken a drawing. */
const MOST_JOINTS = 3000

/** Where a course's units begin, mm along the eave: half a unit over on every other course where the bond is broken. */
export const columnStart = ({ firstMm, widthMm, brokenBond }: NonNullable<ReturnType<typeof columnsOf>>, course: number): number => firstMm + (brokenBond && course % 2 === 1 ? widthMm / 2 : 0)

/** Where units of the covering meet, course by course. */
export function jointLines(covering: Covering, outline: Outline): Joint[] {
  const columns = columnsOf(covering)
  if (!columns) return []
  const { along, up } = shapeOf(outline)
  const own = coursesUp(covering, outline)
  const courses = own.length ? own.map(course => ({ ...course, toMm: Math.min(course.toMm, up.toMm) })) : [{ number: 2, ...up }]
  const joints = courses.flatMap(({ number, fromMm, toMm }) => {
    const offsetMm = columnStart(columns, number)
    const from = Math.ceil((along.fromMm - offsetMm) / columns.widthMm)
    const to = Math.floor((along.toMm - offsetMm) / columns.widthMm)
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => ({ xMm: offsetMm + (from + k) * columns.widthMm, fromMm, toMm }))
  })
  return joints.length > MOST_JOINTS ? [] : joints
}
