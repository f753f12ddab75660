import { z } from 'zod'
import { formatLength } from '../../units'

/** A limit as either crew reads it; a schema does not know the job's units. */
const limit = (mm: number): string => mm === 0 ? '0' : `${mm} mm (${formatLength(mm, 'imperial')})`

/** A length in mm with the sentence a person reads when it is out of reach. */
export const lengthMm = (what: string, min: number, max: number) => z.number({ error: `${what} must be a length in mm.` })
  .min(min, `${what} must be at least ${limit(min)}.`).max(max, `${what} must be at most ${limit(max)}.`)

export const partId = z.string().min(1, 'Choose a part.').max(61)
export const shortId = z.string().regex(/^[A-Za-z0-9-]{1,40}$/, 'An id has 1 to 40 letters, figures and dashes.')

/** Text a person typed that may be empty. */
export const freeText = (what: string, most: number) => z.string().trim().max(most, `${what} has at most ${most} letters.`)

/** Which corner the tapes are hooked on, looking at the face from outside. */
export const sides = ['left', 'right'] as const
export type Side = typeof sides[number]
