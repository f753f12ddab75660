import { z } from 'zod'
import { mm, resistances } from './fields'
import { shelved } from './source'

export const clampSetSchema = z.object({
  ...shelved,
  /** Frame thicknesses that the clamps take, mm. */
  thicknessMm: z.object({ fromMm: mm(15, 70), toMm: mm(15, 70) }).refine(({ fromMm, toMm }) => fromMm <= toMm, { path: ['toMm'], error: 'The thickest frame it takes is thinner than the thinnest.' }),
  /** Width of a mid clamp between two frames, and so the gap between columns, mm. */
  gapMm: mm(3, 40),
  /** Rail needed past the module's edge for an end clamp, mm; 0 for a hidden clamp. */
  railPastMm: mm(0, 150),
  torqueNm: z.number().positive().max(60),
  /** Its bolt, and how the head gets into the rail: dropped into the slot anywhere and turned, or from the rail's end only. */
  bolt: z.object({ name: z.string().trim().min(1).max(80), enters: z.enum(['slot', 'end']) }),
  /** By what it is listed to join frame and rail electrically; null where it does not, or nobody has said. */
  bonds: z.string().trim().min(3).max(120).nullable().default(null),
  /** Of one clamp: pull-off, and slip down the slope. */
  resistances,
})
export type ClampSet = z.infer<typeof clampSetSchema>
