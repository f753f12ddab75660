import { z } from 'zod'
import { clampSetSchema } from './clamps'
import { coveringItemSchema } from './covering'
import { electronicsSchema, inverterSchema, trunkSchema } from './electrical'
import { approvalSchema, inRoofSchema } from './in-roof'
import { moduleSchema } from './module'
import { mountSchema } from './mount'
import { railSchema } from './rail'
import { supplySchema } from './supply'
import { pairSchema, setSchema } from './together'

export * from './clamps'
export * from './closure'
export * from './covering'
export * from './electrical'
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
  coverings: coveringItemSchema, inRoofs: inRoofSchema, electronics: electronicsSchema, trunks: trunkSchema, inverters: inverterSchema,
  sets: setSchema, pairs: pairSchema, approvals: approvalSchema,
} as const
export type Shelf = keyof typeof shelfSchemas
export const shelves = Object.keys(shelfSchemas) as Shelf[]
/** Shelves of things that have small parts of their own. */
export const ownerShelves = ['modules', 'rails', 'mounts', 'clamps', 'coverings', 'inRoofs', 'electronics', 'trunks', 'inverters'] as const satisfies Shelf[]
export type OwnerShelf = typeof ownerShelves[number]
export type ItemOf<S extends Shelf> = z.infer<typeof shelfSchemas[S]>
export type Item = ItemOf<Shelf>

export const catalogueSchema = z.object({
  /** ISO 4217 code of its prices. */
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three capitals, as USD or EUR.'),
  modules: z.array(moduleSchema), rails: z.array(railSchema), mounts: z.array(mountSchema), clamps: z.array(clampSetSchema), supplies: z.array(supplySchema),
  coverings: z.array(coveringItemSchema), inRoofs: z.array(inRoofSchema).default([]),
  electronics: z.array(electronicsSchema).default([]), trunks: z.array(trunkSchema).default([]), inverters: z.array(inverterSchema).default([]),
  sets: z.array(setSchema), pairs: z.array(pairSchema), approvals: z.array(approvalSchema).default([]),
})
export type Catalogue = z.infer<typeof catalogueSchema>

export const emptyCatalogue = (currency: string): Catalogue => ({ currency, modules: [], rails: [], mounts: [], clamps: [], supplies: [], coverings: [], inRoofs: [], electronics: [], trunks: [], inverters: [], sets: [], pairs: [], approvals: [] })
