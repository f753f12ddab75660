import type { JobAsk } from '../trade'
import type { WiringLayout, WiringPlan } from '../wiring'
import type { GroundPlan } from './layout'

/** What is looked at when everything below the roof box is judged. */
export interface GroundAsk extends JobAsk<WiringLayout> { wiring: WiringPlan, grid: GroundPlan | null }
