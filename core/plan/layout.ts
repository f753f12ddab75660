import type { GroundPlan } from '../ground'
import type { RoofClear } from '../keepclear'
import type { Finding, MarkStep, Part } from '../trade'
import type { FaceLayout } from '../trades'
import type { WiringPlan } from '../wiring'

/** All that follows from one face of a job, as plain data. */
export interface FacePlan extends FaceLayout {
  list: Part[]
  marks: MarkStep[]
}

/** All that follows from a job, as plain data that survives JSON. Never stored as truth. */
export interface Plan {
  faces: FacePlan[]
  /** What the keep-clear rules come to over the whole roof. */
  roof: RoofClear
  wiring: WiringPlan
  /** From the roof box to the meter; null where nobody has begun with it. */
  grid: GroundPlan | null
  /** Parts of all faces and of the job, whole pieces. */
  list: Part[]
  totals: PlanTotals
  findings: Finding[]
}

/** The figures by which two plans of a job are compared. */
export interface PlanTotals { modules: number, powerW: number, fixings: number, sticks: number, splices: number, stops: number }
