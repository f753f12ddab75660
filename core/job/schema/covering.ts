import { z } from 'zod'
import { coveringMeasures, lapFits } from '../../catalogue'
import { lengthMm } from './fields'

/** Lower edge of the second course above the eave, mm up the slope: where the regular courses begin. */
const firstCourseMm = lengthMm('The first course', 0, 2000)
/** Left edge of the first whole unit, mm from the eave's left end. */
const firstColumnMm = lengthMm('The first column', 0, 5000)
/** What of the courses was read on the roof beside the first: lower edges of courses by their number from the eave, 1 being the eave's own, and how many were counted to the top. */
const read = {
  coursesRead: z.array(z.object({ course: z.number().int('A whole course.').min(2, 'The first regular course is number 2.').max(400), mm: lengthMm('A course’s lower edge', 0, 30_000) })).max(60)
    .refine(list => new Set(list.map(one => one.course)).size === list.length, 'Each course is read once.')
    .refine(list => [...list].sort((a, b) => a.course - b.course).every((one, i, all) => i === 0 || one.mm > all[i - 1]!.mm), 'A higher course has to read higher up the slope.'),
  coursesCounted: z.number().int('Whole courses.').min(1).max(600).nullable(),
}
/** Battens under the units: how high up the slope and how deep. */
const battens = { battenMm: lengthMm('The batten', 15, 120), battenDeepMm: lengthMm('The batten’s depth', 10, 80) }
const { shingle, interlocking, plain, slate, pressed, sheet, seam, battens: bare } = coveringMeasures

/** What lies on the roof: each kind with its own measures of courses and widths, and where on the face they begin. */
export const coveringSchema = z.discriminatedUnion('kind', [
  shingle.extend({ firstCourseMm, firstColumnMm, ...read }),
  interlocking.extend({ firstCourseMm, firstColumnMm, ...read, ...battens }),
  plain.extend({ firstCourseMm, firstColumnMm, ...read, ...battens }),
  slate.extend({ firstCourseMm, firstColumnMm, ...read, ...battens }),
  pressed.extend({ firstCourseMm, firstColumnMm, ...read }),
  sheet.extend({ firstColumnMm }),
  seam.extend({ firstColumnMm }),
  bare.extend({ firstCourseMm }),
]).superRefine(lapFits)
export type Covering = z.infer<typeof coveringSchema>
