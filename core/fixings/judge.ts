import type { Interval } from '../geometry'
import type { LocalRules } from './candidates'

/** Judges a whole rail with its fixings, where loads are known. */
export interface RailJudge {
  /** Rails with equal keys are judged alike, so what is found for one holds for the other. */
  key: string
  /** Local rules, narrowed to what strength alone could ever let pass. */
  rules: LocalRules
  /** No fewer fixings than this can bear the whole load. */
  atLeast: number
  /** The worst share of what is allowed over all checks: passes up to 1. Far over 1 where the rail can't stand. */
  worst: (xs: number[]) => number
  /** The same for a piece of the rail by itself, looked at over part of it: the spans between two places and the fixings on them. */
  worstOver: (xs: number[], part: Interval, piece: Interval) => number
}

/** Shares are compared to this. */
export const FULL = 1 + 1e-9
