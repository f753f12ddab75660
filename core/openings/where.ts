import { columnsOf, columnStart, coursesUp } from '../coverings'
import type { Interval } from '../geometry'
import type { Face } from '../job'
import type { RowsLayout } from '../rows'
import type { UnitRef } from './opening'

/** Where a unit lies on the face, by its course and its place in it, mm; null where the covering has no such unit. The eave's course lies below the first regular one. */
export function placeOfUnit({ covering, outline }: Pick<Face, 'covering' | 'outline'>, { course, unit }: UnitRef): { along: Interval, up: Interval } | null {
  const columns = columnsOf(covering)
  const courses = coursesUp(covering, outline)
  const first = courses[0]
  if (!columns || !first || unit === null) return null
  const own = course === 1 ? { fromMm: 0, toMm: first.fromMm } : courses.find(one => one.number === course)
  if (!own) return null
  const halfFirst = columns.brokenBond && course % 2 === 1 ? 1 : 0
  const leftMm = columnStart(columns, course) + (unit - 1 - halfFirst) * columns.widthMm
  return { along: { fromMm: leftMm, toMm: leftMm + columns.widthMm }, up: { fromMm: own.fromMm, toMm: own.toMm } }
}

/** Whether a unit lies wholly under the array, where nobody sees it. */
export function isUnder(face: Pick<Face, 'covering' | 'outline'>, { rows: { rows } }: Pick<RowsLayout, 'rows'>, ref: UnitRef): boolean {
  const place = placeOfUnit(face, ref)
  return place !== null && rows.some(row => place.up.fromMm >= row.bottomMm && place.up.toMm <= row.topMm && row.blocks.some(block => place.along.fromMm >= block.leftMm && place.along.toMm <= block.rightMm))
}
