import type { Job } from '../job'
import { formatLength } from '../units'

/** Writes a length in the job's units. */
export const writer = ({ job }: { job: Pick<Job, 'units'> }) => (mm: number): string => formatLength(mm, job.units)

/** `1 rafter`, `3 rafters`. */
export const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`

export const sentenceCase = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}`

/** `the eave, the slope and the pitch`. */
export const listed = (items: string[]): string => items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`
