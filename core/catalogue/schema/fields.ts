import { z } from 'zod'

/** Two ways of being safe, never to be mixed: loads at service level against allowable resistances (ASD), or factored loads against design resistances (EN). */
export const formats = ['asd', 'en'] as const
export type Format = typeof formats[number]

/** A length of a part in mm. */
export const mm = (min: number, max: number) => z.number().min(min).max(max)
export const itemId = z.string().regex(/^[a-z0-9][a-z0-9-]{1,60}$/, 'An id has 2 to 61 small letters, figures and dashes, and begins with a letter or figure.')
/** In the catalogue's currency. */
export const price = z.number().min(0).max(10_000)

/** What a part carries by its maker's word: allowable values for ASD, design values for EN. Up is away from the roof, slope is down it. */
export const resistanceSchema = z.object({ format: z.enum(formats), upN: z.number().positive().max(1e5), downN: z.number().positive().max(1e5), slopeN: z.number().positive().max(1e5) })
export type Resistance = z.infer<typeof resistanceSchema>

/** Resistances of one part, at most one of each format. */
export const resistances = z.array(resistanceSchema).max(2).refine(list => new Set(list.map(one => one.format)).size === list.length, 'Each way of being safe has one set of resistances.')
