import type { KeepClearLayout } from '../keepclear'
import type { RowsPlan } from './fill'

/** The face with its rows of modules. */
export interface RowsLayout extends KeepClearLayout {
  rows: RowsPlan
  /** How far the array stands from the middle of its region, mm to the right: as typed, or where the fewest fixings are. */
  shiftMm: number
  modules: number
  powerW: number
}
