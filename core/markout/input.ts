import type { ChosenParts } from '../catalogue'
import type { FixingsPlan } from '../fixings'
import type { Face } from '../job'
import type { KeepClearStrip } from '../keepclear'
import type { RailPlan } from '../rails'
import type { RowsPlan } from '../rows'
import type { SticksPlan } from '../sticks'
import type { SupportsPlan } from '../supports'
import type { UnitSystem } from '../units'

/** What the marks of one face are taken from. */
export interface MarkoutInput {
  face: Face
  units: UnitSystem
  parts: ChosenParts
  strips: KeepClearStrip[]
  supports: SupportsPlan
  rows: RowsPlan
  rails: RailPlan[]
  fixings: FixingsPlan
  sticks: SticksPlan
}
