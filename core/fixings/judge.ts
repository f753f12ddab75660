import type { LocalRules } from './candidates'
import type { RelaxedRail } from './search/relaxed'

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
  /** What can't pass, from the left: it says less than `worst`, of far more rails at once. */
  relaxed: RelaxedRail
  /** Whether what is relaxed depends on how many fixings are asked for. */
  byCount: boolean
}

/** Shares are compared to this. */
export const FULL = 1 + 1e-9
