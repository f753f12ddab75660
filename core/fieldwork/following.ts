import type { Following } from '../job'
import type { OpeningsLayout } from '../openings'
import { onFace } from '../rails'

/** The layout of a face as a crew takes it up: kept with the job from the first hole on. */
export function followingOf(plan: Pick<OpeningsLayout, 'rails' | 'fixings' | 'sticks' | 'openings'> & { shiftMm: number }, revision: number | null): Following {
  return {
    revision, shiftMm: plan.shiftMm,
    fixings: plan.rails.flatMap((rail, r) => plan.fixings.rails[r]!.fixings.map(({ atMm }) => onFace(rail, atMm))),
    splices: plan.rails.flatMap(rail => plan.sticks.splices.filter(splice => splice.railId === rail.id).map(({ atMm }) => onFace(rail, atMm))),
    firsts: plan.openings.filter(one => one.first).map(one => ({ ...one.railAt })),
  }
}
