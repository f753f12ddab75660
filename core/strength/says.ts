import type { FaceSays, JobSays } from '../trade'
import { cannotStand, overheld, overused, screening } from './findings'
import { battenEnd, battenOver, battensNotKnown, noThickness, outsideCode, shortThread } from './ground'
import type { StrengthLayout } from './layout'
import { longOverhangs, notChecked } from './once'
import { busiestWorkings, capacityWorkings, dutyWorkings, lineWorkings, railWorkings } from './workings'

/** What rails, fixings, clamps, modules and the timber below bear. */
export const strength = {
  findings: {
    'strength': overused, 'cannot-stand': cannotStand, 'hold': overheld, 'screening': screening,
    'no-thickness': noThickness, 'short-thread': shortThread, 'screw-approval': outsideCode, 'battens-not-known': battensNotKnown, 'batten': battenOver, 'batten-end': battenEnd,
  },
  selectable: ({ plan: { rails, strength: bears, uses, parts, fixings } }) => rails.map(({ id, number }, r) => ({
    ref: { kind: 'rail', id },
    workings: () => bears ? [...(uses[r] ? [...dutyWorkings(uses[r], fixings.rails[r]!.fixings.map(one => one.member), number, bears, r), ...railWorkings(uses[r], bears, r, parts)] : []), ...lineWorkings(bears, r)] : [],
  })),
  workings: ({ plan }) => plan.strength
    ? [...capacityWorkings(plan.strength, plan.parts), ...busiestWorkings(plan.uses.flatMap((use, r) => (use?.fixings ?? []).map((duty, i) => ({ duty, member: plan.fixings.rails[r]!.fixings[i]!.member, rail: plan.rails[r]!.number }))))]
    : [],
} satisfies FaceSays<StrengthLayout>

export const strengthOfJob = { findings: { 'overhang-share': longOverhangs, 'not-checked': notChecked } } satisfies JobSays<StrengthLayout>
