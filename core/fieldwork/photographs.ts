import type { CoveringStep, Face, Job, LogEntry } from '../job'
import type { CardStep } from '../openings'
import { type Drilled, drilledOn } from '../rooflog'
import type { WiringLayout } from '../wiring'
import { closingSteps } from './open'

/** A photograph of a hole that the record wants: by the name of what it shows, and the step after which nothing shows it any more. */
export interface WantedPhotograph { step: string, asked: boolean, before: CoveringStep | null }

const shows = {
  screw: { step: 'Screw in timber', asked: false, before: 'flashing' },
  flashing: { step: 'Flashing before it is covered', asked: true, before: 'lay-back' },
  sealed: { step: 'The sealed hole', asked: true, before: null },
} as const satisfies Record<string, WantedPhotograph>

/** Photographs of one hole. What is covered for good is asked for: a flashing, and the seal of a hole that nothing stands in (common practice; an inspector may ask for more). */
export function photographsOf(hole: Pick<Drilled, 'state'>, steps: CardStep[]): WantedPhotograph[] {
  if (hole.state === 'disputed') return []
  if (hole.state === 'abandoned') return [shows.sealed]
  return steps.some(step => step.id === 'flashing') ? [shows.screw, shows.flashing] : [shows.screw]
}

/** Names of the steps that a hole has a photograph of. */
export const photographedOf = (log: LogEntry[], holeId: string): string[] => log.flatMap(entry => entry.kind === 'photograph' && entry.holeId === holeId ? [entry.step] : [])

/** The photographs asked for on a face: how many there are of how many, and the holes that lack theirs. */
export function photographRecord(job: Job, face: Face, plan: WiringLayout): { had: number, asked: number, missing: { hole: Drilled, step: string }[] } {
  const asked = drilledOn(job.log, face.id).flatMap(hole => photographsOf(hole, closingSteps(job, face, plan, hole)).filter(one => one.asked).map(({ step }) => ({ hole, step })))
  const missing = asked.filter(({ hole, step }) => !photographedOf(job.log, hole.id).includes(step))
  return { had: asked.length - missing.length, asked: asked.length, missing }
}
