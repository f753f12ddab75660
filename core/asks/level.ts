import type { Catalogue } from '../catalogue'
import { feetRead, level, type Levelling, type ReadFeet } from '../fieldwork'
import { faceOf, type Job } from '../job'
import { planFaceOf } from '../plan'

/** What was read of some feet, and how they are set by it. */
export interface LevelledFeet extends Levelling { from: ReadFeet['from'], /** The line that a string ran along; null for a plane of all. */ line: string | null, read: number }

/**
 * How a face's feet are set by what the crew read: one plane by the meter, each line for itself by a string.
 * @throws when the job has no such face
 */
export function levelFace(job: Job, catalogue: Catalogue, faceId: string): LevelledFeet[] {
  const face = faceOf(job, faceId)
  return feetRead(job.log, faceId, planFaceOf(job, catalogue, faceId)).map(({ from, feet }) => ({ ...level(feet, face.feet), from, line: from === 'string' ? feet[0]!.line : null, read: feet.length }))
}
