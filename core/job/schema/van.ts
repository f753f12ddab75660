import { z } from 'zod'
import { lengthMm, partId } from './fields'
import type { WordsOf } from './words'

/** What the van takes and what the yard has left over. */
export const vanSchema = z.object({
  /** The longest stick that can be carried, mm; null for any. */
  longestMm: lengthMm('The longest load', 500, 12_000).nullable(),
  /** Offcuts in the yard that may be used up before sticks are bought. */
  offcuts: z.array(z.object({
    railId: partId,
    mm: lengthMm('The offcut', 200, 8000),
    pieces: z.number().int('Whole pieces.').min(1, 'At least one piece.').max(50, 'At most fifty pieces.'),
  })).max(20, 'At most twenty kinds of offcut.'),
})
export type Van = z.infer<typeof vanSchema>
export const vanWords: WordsOf<Van> = { longestMm: 'the longest load the van takes', offcuts: 'the yard’s offcuts' }

export const plainVan: Van = { longestMm: null, offcuts: [] }
