import { z } from 'zod'
import { coveringMeasures, lapFits } from '../../catalogue'
import { lengthMm } from './fields'

/** Lower edge of the second course above the eave, mm up the slope: where the regular courses begin. */
const firstCourseMm = lengthMm('The first course', 0, 2000)
/** Left edge of the first whole unit, mm from the eave's left end. */
const firstColumnMm = lengthMm('The first column', 0, 5000)
const { shingle, interlocking, plain, slate, pressed, sheet, seam, battens } = coveringMeasures

/** What lies on the roof: each kind with its own measures of courses and widths, and where on the face they begin. */
export const coveringSchema = z.discriminatedUnion('kind', [
  shingle.extend({ firstCourseMm }),
  interlocking.extend({ firstCourseMm, firstColumnMm }),
  plain.extend({ firstCourseMm, firstColumnMm }),
  slate.extend({ firstCourseMm, firstColumnMm }),
  pressed.extend({ firstCourseMm, firstColumnMm }),
  sheet.extend({ firstColumnMm }),
  seam.extend({ firstColumnMm }),
  battens.extend({ firstCourseMm }),
]).superRefine(lapFits)
export type Covering = z.infer<typeof coveringSchema>
