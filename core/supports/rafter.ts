import type { Timber } from '../job'
import type { Spread } from './chance'
import type { SupportState } from './places'

/** One rafter as a straight band of timber up the slope. */
export interface Rafter {
  /** From the left, 1 first. */
  number: number
  /** Centre where it meets the eave's height, mm from the eave's left end. */
  centreMm: number
  /** Millimetres to the right for each millimetre up the slope: 0 for a true rafter. */
  lean: number
  widthMm: number
  state: SupportState
  /** Standard deviation of the centre, mm, by the likeliest row. */
  sdMm: number
  /** All places that its timber may stand at by the whole belief, rival rows included. */
  spread: Spread[]
  /** Where the typed spacing alone would put it; null where no spacing was typed for it. */
  nominalMm: number | null
}

/** Centre of a rafter at a height up the slope, mm. */
export const rafterAt = (rafter: Pick<Rafter, 'centreMm' | 'lean'>, yMm: number): number => rafter.centreMm + rafter.lean * yMm

/** How far single rafters stand off their true place, as a standard deviation, mm (common practice). */
export const SCATTER_MM: Record<Timber, number> = { truss: 3, sawn: 6, old: 18 }

/** The name by which a rafter is known to fixings and marks. */
export const rafterName = (number: number): string => `rafter ${number}`
