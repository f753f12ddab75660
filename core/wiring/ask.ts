import type { JobAsk } from '../trade'
import type { WiringLayout, WiringPlan } from './layout'

/** What the wiring looks at when it judges the whole roof. */
export interface WiringAsk extends JobAsk<WiringLayout> { wiring: WiringPlan }
