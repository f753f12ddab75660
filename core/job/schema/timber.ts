import { z } from 'zod'
import { freeText, lengthMm } from './fields'

/** What the fixings are screwed into, as far as it decides what they hold and what the roof bears. */
export const timberSchema = z.object({
  /** Specific gravity, oven-dry, for US rules: 0.42 spruce-pine-fir, 0.50 Douglas fir-larch. */
  gravity: z.number().min(0.3, 'The specific gravity is at least 0.30.').max(0.75, 'The specific gravity is at most 0.75.'),
  /** Characteristic density for EN rules, kg/m³: 350 for C24, 310 for C16. */
  densityKgM3: z.number().min(250, 'The density is at least 250 kg/m³.').max(900, 'The density is at most 900 kg/m³.'),
  /** Sheathing or boarding between the covering and the timber, mm. */
  sheathingMm: lengthMm('The sheathing', 0, 60),
  /** Above 19 % moisture in use. */
  wet: z.boolean(),
  /** For the screening of the existing rafter: its depth, its clear span along the slope, and its allowable or characteristic bending strength. */
  depthMm: lengthMm('The rafter’s depth', 40, 600).nullable(),
  spanMm: lengthMm('The rafter’s span', 300, 15_000).nullable(),
  bendingMpa: z.number().min(1, 'The bending strength is at least 1 MPa (145 psi).').max(60, 'The bending strength is at most 60 MPa (8700 psi).').nullable(),
  grade: freeText('The grade', 60),
  /** The roof's own dead load in its plane, Pa. */
  roofDeadPa: z.number().min(0, 'The roof’s own load can’t be below 0.').max(5000, 'The roof’s own load is at most 5 kPa (104 psf).'),
})
export type RafterTimber = z.infer<typeof timberSchema>

/** Softwood of the weaker common kind, dry, under half an inch of sheathing (common practice). */
export const plainTimber: RafterTimber = { gravity: 0.42, densityKgM3: 310, sheathingMm: 12, wet: false, depthMm: null, spanMm: null, bendingMpa: null, grade: '', roofDeadPa: 500 }
