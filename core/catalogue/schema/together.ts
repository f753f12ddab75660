import { z } from 'zod'
import { itemId } from './fields'
import { shelved, sourceSchema } from './source'

/** That a rail goes with a mount, or with clamps, and by whose word. */
export const pairSchema = z.object({
  /** Made of the two ids by {@link pairId}. */
  id: z.string().min(3).max(130),
  railId: itemId,
  /** A mount whose head takes the rail, or clamps whose bolt its slot takes. */
  withId: itemId,
  source: sourceSchema,
}).refine(pair => pair.id === pairId(pair.railId, pair.withId), { path: ['id'], error: 'The id of what goes together is made of the two parts’ ids.' })
export type Pair = z.infer<typeof pairSchema>

export const pairId = (railId: string, withId: string): string => `${railId}--${withId}`

/** Parts that go together and are chosen in one go. */
export const setSchema = z.object({
  ...shelved,
  railId: itemId, mountId: itemId, clampsId: itemId,
  /** Electronics, bonding and other small parts that are taken with them, where several would do. */
  supplyIds: z.array(itemId).max(20),
})
export type PartSet = z.infer<typeof setSchema>
