import type { GroundPlan } from '../ground'
import type { JobAsk } from '../trade'
import type { WiringLayout, WiringPlan } from '../wiring'

/** What is looked at when what was built is proved: the job with its record, and what was planned. */
export interface ProofAsk extends JobAsk<WiringLayout> { wiring: WiringPlan, grid: GroundPlan | null, /** A cure is only tried: what is open needs no list then. */ trial?: boolean }
