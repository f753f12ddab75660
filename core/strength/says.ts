import type { FaceSays, JobSays } from '../trade'
import { cannotStand, overheld, overused, screening } from './findings'
import { battenEnd, battenOver, battensNotKnown, noThickness, outsideCode, shortThread } from './ground'
import type { StrengthLayout } from './layout'
import { longOverhangs, notChecked } from './once'
import { strengthShown } from './shown'

/** What rails, fixings, clamps, modules and the timber below bear. */
export const strength = {
  ...strengthShown,
  findings: {
    'strength': overused, 'cannot-stand': cannotStand, 'hold': overheld, 'screening': screening,
    'no-thickness': noThickness, 'short-thread': shortThread, 'screw-approval': outsideCode, 'battens-not-known': battensNotKnown, 'batten': battenOver, 'batten-end': battenEnd,
  },
} satisfies FaceSays<StrengthLayout>

export const strengthOfJob = { findings: { 'overhang-share': longOverhangs, 'not-checked': notChecked } } satisfies JobSays<StrengthLayout>
