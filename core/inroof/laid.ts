import { coursesUp, lengthOf } from '../coverings'
import type { Covering, Face } from '../job'
import { onceFor } from '../memory'
import type { Laid } from './edges'

/**
 * Courses as battens that were read on arrival have them: a batten carries the course of its own number, whose units hang a length down
 * from its upper edge (common practice). The lowest batten and the next one read give the first regular course.
 */
function asRead(covering: Covering, read: NonNullable<Face['inRoof']>['battensRead']): Covering {
  const lengthMm = lengthOf(covering)
  if (!('coursesRead' in covering) || lengthMm === null || read.length < 2) return covering
  const sorted = [...read].sort((a, b) => a.batten - b.batten)
  const [first, next] = [sorted[0]!, sorted[1]!]
  const second = first.batten === 1 && next.batten > 2 ? [{ batten: 2, mm: first.mm + (next.mm - first.mm) / (next.batten - 1) }] : []
  const courses = [...second, ...sorted.filter(one => one.batten >= 2)].map(one => ({ course: one.batten, mm: one.mm - lengthMm })).filter(one => one.mm > 0)
  return courses.length ? { ...covering, coursesRead: courses } : covering
}

/** The covering round an in-roof array with its courses, by what was read of its battens; null for one that has no units to lay round it. */
export const laidOf = (face: Pick<Face, 'covering' | 'outline' | 'inRoof'>): Laid | null => known(face).laid

const known = onceFor((face: Pick<Face, 'covering' | 'outline' | 'inRoof'>): { laid: Laid | null } => {
  const lengthMm = lengthOf(face.covering)
  if (lengthMm === null || !('battenMm' in face.covering)) return { laid: null }
  const covering = asRead(face.covering, face.inRoof?.battensRead ?? [])
  return { laid: { covering, courses: coursesUp(covering, face.outline), lengthMm } }
})

/** The gauge between every two battens that were read, mm, from the eave up. */
export function gaugesRead(read: NonNullable<Face['inRoof']>['battensRead']): { from: number, to: number, gaugeMm: number }[] {
  const sorted = [...read].sort((a, b) => a.batten - b.batten)
  return sorted.slice(1).map((one, i) => ({ from: sorted[i]!.batten, to: one.batten, gaugeMm: (one.mm - sorted[i]!.mm) / (one.batten - sorted[i]!.batten) }))
}
