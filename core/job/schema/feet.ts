import { z } from 'zod'
import { lengthMm } from './fields'

/** Schools of bringing feet to a plane: end feet set and the rest brought to a string; or all feet up, and lowered by eye. */
export const levellingSchools = ['string', 'top'] as const

/** How far feet can be set, by their maker's leaflet, and the shims in the van. */
export const feetSchema = z.object({
  /** Seat above the covering at the lowest and the highest that the foot can be set. */
  lowestMm: lengthMm('The lowest seat', 0, 600),
  highestMm: lengthMm('The highest seat', 0, 600),
  shimsMm: z.array(lengthMm('A shim', 0.5, 40)).max(8, 'At most eight sizes of shim.'),
  /** Shims that may lie on each other under one foot. */
  mostShims: z.number().int().min(0).max(3, 'At most three shims under a foot.'),
  school: z.enum(levellingSchools),
  /** Greatest height of the rail's seat above the covering that the wind's method holds for; null where nobody has said. */
  greatestMm: lengthMm('The greatest height', 20, 600).nullable(),
}).refine(feet => feet.highestMm > feet.lowestMm, { path: ['highestMm'], message: 'The highest seat must be above the lowest.' })
export type Feet = z.infer<typeof feetSchema>

/** A slotted foot with 30 mm to go, and tapered shims from 1/16 to 1/4 in (common practice), to be typed over. */
export const plainFeet: Feet = { lowestMm: 70, highestMm: 100, shimsMm: [1.6, 3.2, 4.8, 6.4], mostShims: 2, school: 'string', greatestMm: null }
