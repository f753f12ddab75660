import { z } from 'zod'
import { partKinds } from '../part-kinds'
import { itemId, price } from './fields'
import { shelved } from './source'

/** A small part, by the pack it is bought in and what one weighs. */
export const supplySchema = z.object({
  ...shelved,
  kind: z.enum(partKinds),
  /** The module, rail, mount, clamp set or covering that it is a part of; null where it goes with any. */
  forId: itemId.nullable(),
  /** Of one piece, kg; null where the item it is a part of says so itself. */
  massKg: z.number().min(0).max(100).nullable(),
  packOf: z.number().int().min(1).max(1000),
  /** Of one piece; null where the item it is a part of says so itself. */
  price: price.nullable(),
  /** What one holds: ml of sealant in a cartridge, mm of cable on a reel; null for what is counted. */
  holds: z.number().positive().nullable(),
})
export type Supply = z.infer<typeof supplySchema>
