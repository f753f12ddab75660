import type { FaceSays } from '../trade'
import type { WiringLayout } from '../wiring'
import { disputed, laidElsewhere, moved, offLine, openWork, tooNear, unsealed, type WorkAsk } from './findings'
import { noWay } from './no-way'
import { fieldworkShown } from './shown'

/** What is there on the roof, and what it does to the plan. */
export const fieldwork = {
  ...fieldworkShown,
  findings: { 'hole-disputed': disputed, 'no-way-round': noWay, 'off-line': offLine, 'laid-elsewhere': laidElsewhere, 'hole-near': tooNear, 'hole-unsealed': unsealed, 'work-open': openWork, 'moved-round': moved },
} satisfies FaceSays<WiringLayout, WorkAsk>
