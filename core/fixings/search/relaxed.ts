import type { RelaxedSteps } from './steps'

/** A rail up to its last fixing so far, with what is proved of it whatever comes after. */
export interface RelaxedPart { last: number }

/**
 * A rail as seen from its left end: what its fixings so far leave possible, bounded outward. It throws away only what can't pass
 * the check of the whole rail; it passes nothing by itself.
 */
export interface Relaxed<P extends RelaxedPart = RelaxedPart> {
  /** A rail whose first fixing is at candidate i. Null where none such passes. */
  begin(i: number): P | null
  /** The same with one fixing more. Null where no rail that goes on so passes. */
  extend(part: P, to: number): P | null
  /** Whether a rail whose last fixing this is may pass. */
  mayEnd(part: P): boolean
  /** Both at once, where their last fixings are the same. */
  hull(a: P, b: P): P
}

/** Makes a rail's relaxation for places along it, mm, and what may follow what; no more fixings than `most` are asked for. */
export type RelaxedRail = (xs: number[], steps: RelaxedSteps, most: number) => Relaxed

/** Where nobody has said what loads the roof: every rail that keeps the local rules passes. */
export const anyRail: Relaxed = { begin: last => ({ last }), extend: (_, last) => ({ last }), mayEnd: () => true, hull: one => one }
