import type { Following } from '../job'
import { onFace } from '../rails'
import type { SticksLayout } from '../sticks'

/** The layout of a face as a crew takes it up: kept with the job from the first hole on. */
export function followingOf(plan: Pick<SticksLayout, 'rails' | 'fixings' | 'sticks'> & { shiftMm: number }, revision: number | null): Following {
  return {
    revision, shiftMm: plan.shiftMm,
    fixings: plan.rails.flatMap((rail, r) => plan.fixings.rails[r]!.fixings.map(({ atMm }) => onFace(rail, atMm))),
    splices: plan.rails.flatMap(rail => plan.sticks.splices.filter(splice => splice.railId === rail.id).map(({ atMm }) => onFace(rail, atMm))),
  }
}
