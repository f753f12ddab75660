import { z } from 'zod'
import { coveringKinds } from '../../catalogue/schema'
import { lengthMm } from './fields'

/** Lower edge of the second course above the eave, mm up the slope: where the regular courses begin. */
const firstCourseMm = lengthMm('The first course', 0, 2000)
/** Left edge of the first whole unit, mm from the eave's left end. */
const firstColumnMm = lengthMm('The first column', 0, 5000)
const gaugeMm = lengthMm('The gauge', 50, 900)
const coverWidthMm = lengthMm('The cover width', 80, 1400)

export const nailings = ['centre', 'head'] as const
export type Nailing = typeof nailings[number]

/** What lies on the roof, each kind with its own measures of courses and widths. */
export const coveringSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal(coveringKinds[0]),
    /** Height of a course that shows, mm. */
    exposureMm: lengthMm('The exposure', 50, 500),
    firstCourseMm,
  }),
  z.object({
    kind: z.literal('interlocking-tile'), gaugeMm, coverWidthMm, firstCourseMm, firstColumnMm,
    /** The flat pan in which a hook's arm may leave, mm from the tile's left edge. */
    pan: z.object({
      fromMm: lengthMm('The pan', 0, 600),
      toMm: lengthMm('The pan', 0, 600),
    }).refine(pan => pan.toMm > pan.fromMm, 'The pan must end to the right of where it begins.'),
  }),
  z.object({ kind: z.literal('plain-tile'), gaugeMm, coverWidthMm, firstCourseMm, firstColumnMm }),
  z.object({
    kind: z.literal('slate'),
    lengthMm: lengthMm('The slate’s length', 150, 900),
    coverWidthMm,
    /** How far a slate reaches over the next but one below, mm. */
    lapMm: lengthMm('The lap', 40, 200),
    nailing: z.enum(nailings),
    firstCourseMm, firstColumnMm,
  }),
  z.object({ kind: z.literal('pressed-metal-tile'), gaugeMm, coverWidthMm, firstCourseMm, firstColumnMm }),
  z.object({
    kind: z.literal('screwed-sheet'), coverWidthMm,
    /** Distance between ribs, mm. */
    ribMm: lengthMm('The rib distance', 20, 500),
    firstColumnMm,
  }),
  z.object({ kind: z.literal('standing-seam'), coverWidthMm, firstColumnMm }),
  z.object({
    /** Felt and battens by the roofer, for an array that replaces the covering. */
    kind: z.literal('felt-and-battens'), gaugeMm,
    firstCourseMm,
  }),
]).superRefine((covering, context) => {
  if (covering.kind === 'slate' && covering.lengthMm - covering.lapMm < 120) context.addIssue({
    code: 'custom',
    path: ['lapMm'],
    message: 'The lap leaves nothing of the slate: it must be at least 120 mm (4 3/4 in) less than the slate’s length.',
  })
})
export type Covering = z.infer<typeof coveringSchema>
