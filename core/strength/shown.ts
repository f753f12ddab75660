import type { StrengthLayout } from './layout'
import { busiestWorkings, capacityWorkings, dutyWorkings, lineWorkings, railWorkings } from './workings'
import type { FaceShown } from '../trade'

/** What of it is drawn, taken hold of and worked out before eyes. */
export const strengthShown = {
  selectable: ({ plan: { rails, strength: bears, uses, parts, fixings } }) => rails.map(({ id, number }, r) => ({
    ref: { kind: 'rail', id },
    workings: () => bears ? [...(uses[r] ? [...dutyWorkings(uses[r], fixings.rails[r]!.fixings.map(one => one.member), number, bears, r), ...railWorkings(uses[r], bears, r, parts)] : []), ...lineWorkings(bears, r)] : [],
  })),
  workings: ({ plan }) => plan.strength
    ? [...capacityWorkings(plan.strength, plan.parts), ...busiestWorkings(plan.uses.flatMap((use, r) => (use?.fixings ?? []).map((duty, i) => ({ duty, member: plan.fixings.rails[r]!.fixings[i]!.member, rail: plan.rails[r]!.number }))))]
    : [],
} satisfies FaceShown<StrengthLayout>
