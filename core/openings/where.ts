import { coursesUp, unitAlong } from '../coverings'
import type { Interval } from '../geometry'
import type { Face } from '../job'
import type { RowsLayout } from '../rows'
import type { UnitRef } from './opening'

/** Where a unit lies on the face, by its course and its place in it, mm; null where the covering has no such unit. The eave's course lies below the first regular one. */
export function placeOfUnit(face: Pick<Face, 'covering' | 'outline'>, { course, unit }: UnitRef): { along: Interval, up: Interval } | null {
  const courses = coursesUp(face.covering, face.outline)
  const first = courses[0]
  const along = unit === null ? null : unitAlong(face, course, unit)
  const own = course === 1 ? first && { fromMm: 0, toMm: first.fromMm } : courses.find(one => one.number === course)
  return along && own ? { along, up: { fromMm: own.fromMm, toMm: own.toMm } } : null
}

/** Whether a unit lies wholly under the array, where nobody sees it. */
export function isUnder(face: Pick<Face, 'covering' | 'outline'>, { rows: { rows } }: Pick<RowsLayout, 'rows'>, ref: UnitRef): boolean {
  const place = placeOfUnit(face, ref)
  return place !== null && rows.some(row => place.up.fromMm >= row.bottomMm && place.up.toMm <= row.topMm && row.blocks.some(block => place.along.fromMm >= block.leftMm && place.along.toMm <= block.rightMm))
}
