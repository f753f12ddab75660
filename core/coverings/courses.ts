import type { Covering, Outline } from '../job'
import { shapeOf } from '../roof'
import { columnsOf, coursesOf } from './gauge'

/** Lower edges of the courses, mm up the slope, from the first regular one to the ridge. */
export function courseLines(covering: Covering, outline: Outline): number[] {
  const courses = coursesOf(covering)
  if (!courses) return []
  const count = Math.floor((shapeOf(outline).up.toMm - courses.firstMm) / courses.gaugeMm + 1e-9)
  return Array.from({ length: Math.max(0, count + 1) }, (_, i) => courses.firstMm + i * courses.gaugeMm)
}

/** The joint between two units of one course, or the edge of a sheet that runs up the whole face. */
export interface Joint { xMm: number, fromMm: number, toMm: number }

/** More joints than this would only blacken a drawing. */
const MOST_JOINTS = 3000

/** Where units of the covering meet, course by course: half a unit over on every other one where the bond is broken. */
export function jointLines(covering: Covering, outline: Outline): Joint[] {
  const columns = columnsOf(covering)
  if (!columns) return []
  const { along, up } = shapeOf(outline)
  const lines = courseLines(covering, outline)
  const courses = lines.length ? lines.map((fromMm, i) => ({ fromMm, toMm: lines[i + 1] ?? up.toMm })) : [up]
  const joints = courses.flatMap(({ fromMm, toMm }, i) => {
    const offsetMm = columns.firstMm + (columns.brokenBond && i % 2 === 1 ? columns.widthMm / 2 : 0)
    const from = Math.ceil((along.fromMm - offsetMm) / columns.widthMm)
    const to = Math.floor((along.toMm - offsetMm) / columns.widthMm)
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => ({ xMm: offsetMm + (from + k) * columns.widthMm, fromMm, toMm }))
  })
  return joints.length > MOST_JOINTS ? [] : joints
}
