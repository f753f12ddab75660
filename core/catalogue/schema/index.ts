import { z } from 'zod'
import { clampSetSchema } from './clamps'
import { coveringItemSchema } from './covering'
import { approvalSchema, inRoofSchema } from './in-roof'
import { moduleSchema } from './module'
import { mountSchema } from './mount'
import { railSchema } from './rail'
import { supplySchema } from './supply'
import { pairSchema, setSchema } from './together'

export * from './clamps'
export * from './closure'
export * from './covering'
export { formats, type Format, itemId, type Resistance } from './fields'
export * from './in-roof'
export * from './module'
export * from './mount'
export * from './rail'
export * from './source'
export * from './supply'
export * from './together'

/** The shelves, in the order in which a set is put together. */
export const shelfSchemas = {
  modules: moduleSchema, rails: railSchema, mounts: mountSchema, clamps: clampSetSchema, supplies: supplySchema,
  coverings: coveringItemSchema, inRoofs: inRoofSchema, sets: setSchema, pairs: pairSchema, approvals: approvalSchema,
} as const
export type Shelf = keyof typeof shelfSchemas
export const shelves = Object.keys(shelfSchemas) as Shelf[]
export type ItemOf<S extends Shelf> = z.infer<typeof shelfSchemas[S]>
export type Item = ItemOf<Shelf>

export const catalogueSchema = z.object({
  /** ISO 4217 code of its prices. */
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three capitals, as USD or EUR.'),
  modules: z.array(moduleSchema), rails: z.array(railSchema), mounts: z.array(mountSchema), clamps: z.array(clampSetSchema), supplies: z.array(supplySchema),
  coverings: z.array(coveringItemSchema), inRoofs: z.array(inRoofSchema).default([]), sets: z.array(setSchema), pairs: z.array(pairSchema), approvals: z.array(approvalSchema).default([]),
})
export type Catalogue = z.infer<typeof catalogueSchema>

export const emptyCatalogue = (currency: string): Catalogue => ({ currency, modules: [], rails: [], mounts: [], clamps: [], supplies: [], coverings: [], inRoofs: [], sets: [], pairs: [], approvals: [] })
