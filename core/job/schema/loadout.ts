import { z } from 'zod'
import { partKinds } from '../../catalogue/part-kinds'
import type { WordsOf } from './words'

/** Spares of one kind of part: a share of what is needed, rounded up, and pieces on top. */
export const spareSchema = z.object({
  kind: z.enum(partKinds),
  percent: z.number().min(0, 'At least 0 %.').max(50, 'At most 50 %.'),
  pieces: z.number().int('Whole pieces.').min(0, 'At least none.').max(200, 'At most 200 pieces.'),
})
export type Spare = z.infer<typeof spareSchema>

/** What is decided of the load: spares where the firm's usual ones are not wanted, and what takes it up. */
export const loadoutSchema = z.object({
  spares: z.array(spareSchema).max(partKinds.length).refine(spares => new Set(spares.map(one => one.kind)).size === spares.length, 'Each kind of part has one rule for its spares.'),
  /** Rated load of the lift, kg; null where everything is carried up. */
  liftKg: z.number().min(20, 'A lift takes at least 20 kg.').max(3000, 'At most 3000 kg.').nullable(),
  /** Mass of the crate or cradle that goes up with the modules, kg. */
  crateKg: z.number().min(0, 'At least 0 kg.').max(500, 'At most 500 kg.'),
})
export type LoadoutRules = z.infer<typeof loadoutSchema>
export const loadoutWords: WordsOf<LoadoutRules> = { spares: 'the spares', liftKg: 'the lift’s rated load', crateKg: 'the crate’s mass' }

export const plainLoadout: LoadoutRules = { spares: [], liftKg: null, crateKg: 0 }
