import type { Catalogue } from '../catalogue'
import type { Face, Job } from '../job'
import type { FacePlan } from '../plan/face'
import type { PlacesForRail } from '../supports'
import { formatLength } from '../units'

/** What the judgement of one face looks at. */
export interface FindingContext {
  job: Job
  catalogue: Catalogue
  face: Face
  plan: FacePlan
  /** Where the face's supports let a rail be fixed. */
  places: PlacesForRail
}

/** Writes a length in the job's units. */
export const writer = (context: FindingContext) => (mm: number): string => formatLength(mm, context.job.units)
