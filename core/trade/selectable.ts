import { TOLERANCE_MM } from '../geometry'
import type { Edit, StageId } from '../job'
import type { Working } from '../working'
import type { Ref } from './ref'

/** One place on a tape that belongs to something selected, mm on the face. */
export interface TapePlace {
  placeMm: number
  label: string
  tone: 'rafter' | 'fixing' | 'line' | 'module' | 'edge'
  /** How well the place is known, as a standard deviation, mm; none for what is not estimated. */
  sdMm?: number
}

/** What the two tapes carry. */
export interface TapePlaces { along: TapePlace[], up: TapePlace[] }

/** A push in one direction of the face: along the eave to the right, up the slope. */
export type Direction = 'left' | 'right' | 'up' | 'down'
/** How far: so many mm, or to the next thing worth stopping at. */
export type Push = number | 'snap'

/** What one trade knows of a thing that a hand can take hold of; of a rail one says where it lies, the next where it is fixed. */
export interface Selectable {
  ref: Ref
  /** What it is called, as it begins a sentence; the trade that places it says so. */
  name?: string
  /** The rung of the ladder where its figures are; none where it belongs to several. */
  stage?: StageId
  places?: () => TapePlaces
  /** The edit that pushes it; null where it can't go that way. */
  nudge?: (direction: Direction, push: Push) => Edit | null
  workings?: () => Working[]
}

export const isAcross = (direction: Direction): boolean => direction === 'left' || direction === 'right'
export const signOf = (direction: Direction): 1 | -1 => direction === 'right' || direction === 'up' ? 1 : -1

/** How far a push goes from a place: to the nearest stop beyond it where it snaps, null when there is none. */
export function pushBy(stops: number[], fromMm: number, sign: number, push: Push): number | null {
  if (push !== 'snap') return sign * push
  const ahead = stops.filter(stop => sign * (stop - fromMm) > TOLERANCE_MM)
  return ahead.length ? ahead.reduce((a, b) => Math.abs(b - fromMm) < Math.abs(a - fromMm) ? b : a) - fromMm : null
}
