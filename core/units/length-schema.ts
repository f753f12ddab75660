import { z } from 'zod'
import { formatLength } from './length'

/** A limit as either crew reads it; a schema does not know the job's units. */
const limit = (mm: number): string => mm === 0 ? '0' : `${mm} mm (${formatLength(mm, 'imperial')})`

/** A length in mm with the sentence a person reads when it is out of reach. */
export const lengthMm = (what: string, min: number, max: number) => z.number({ error: `${what} must be a length in mm.` })
  .min(min, `${what} must be at least ${limit(min)}.`).max(max, `${what} must be at most ${limit(max)}.`)
