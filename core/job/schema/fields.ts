import { z } from 'zod'

export { lengthMm } from '../../units/length-schema'

export const partId = z.string().min(1, 'Choose a part.').max(61)
export const shortId = z.string().regex(/^[A-Za-z0-9-]{1,40}$/, 'An id has 1 to 40 letters, figures and dashes.')

/** Text a person typed that may be empty. */
export const freeText = (what: string, most: number) => z.string().trim().max(most, `${what} has at most ${most} letters.`)

/** Which corner the tapes are hooked on, looking at the face from outside. */
export const sides = ['left', 'right'] as const
export type Side = typeof sides[number]
