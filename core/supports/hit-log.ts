import { type Hit, type HitState, MOST_HITS } from '../job'
import { formatLength, type UnitSystem } from '../units'
import type { Interval } from '../geometry'

/** What a reading is called out as. */
export const hitStateNames: Record<HitState, string> = {
  'knock': 'Knock', 'edge-left': 'Left edge', 'edge-right': 'Right edge', 'seen': 'Seen', 'pilot-hit': 'Pilot hit', 'pilot-miss': 'Pilot miss',
}

/** A reading called out, from the datum corner. */
export interface CalledReading { readingMm: number, yMm: number, state: HitState }

/** Readings this close together, taken the same way at the same height, are one reading said twice, mm. */
const SAME_MM = 0.5

/** Why a hit can't go into the log; null when it can. */
export function hitProblem(log: Hit[], hit: Hit, along: Interval, up: Interval, units: UnitSystem): string | null {
  if (log.length >= MOST_HITS) return `The log is full: ${MOST_HITS} hits a face at most.`
  if (hit.xMm < along.fromMm - 1 || hit.xMm > along.toMm + 1) return `That is off the face: it runs from ${formatLength(along.fromMm, units)} to ${formatLength(along.toMm, units)}.`
  if (hit.yMm > up.toMm + 1) return `That height is above the face: its top is at ${formatLength(up.toMm, units)}.`
  const twin = log.findIndex(one => one.state === hit.state && Math.abs(one.xMm - hit.xMm) < SAME_MM && Math.abs(one.yMm - hit.yMm) < SAME_MM)
  return twin >= 0 ? `That reading is in the log already, as hit ${twin + 1}.` : null
}
