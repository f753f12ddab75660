import type { Catalogue } from '../catalogue'
import type { Face, Job } from '../job'
import type { FaceLayout } from '../plan/face'
import type { PlacesForRail } from '../supports'
import { formatLength } from '../units'

/** What the judgement of one face looks at. */
export interface FindingContext {
  job: Job
  catalogue: Catalogue
  face: Face
  plan: FaceLayout
  /** Where the face's supports let a rail be fixed. */
  places: PlacesForRail
}

/** Writes a length in the job's units. */
export const writer = (context: FindingContext) => (mm: number): string => formatLength(mm, context.job.units)

/** What the lines that carry modules are called: rails, or lines of coupled frames. */
export const lineWord = ({ parts }: Pick<FaceLayout, 'parts'>): string => parts.rail.frame ? 'line' : 'rail'

/** `Rail 3`, `Rails 1 to 4`, `Lines 1, 2, 5`. */
export function railNumbers(plan: Pick<FaceLayout, 'parts'>, numbers: number[]): string {
  const first = numbers[0]!
  const word = plan.parts.rail.frame ? 'Line' : 'Rail'
  if (numbers.length === 1) return `${word} ${first}`
  const inARow = numbers.length > 2 && numbers.every((number, i) => number === first + i)
  return `${word}s ${inARow ? `${first} to ${numbers.at(-1)}` : numbers.join(', ')}`
}

/** `1 rafter`, `3 rafters`. */
export const plural = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`
