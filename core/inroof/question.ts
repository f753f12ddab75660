import type { Columns } from './choose'
import type { Laid } from './edges'
import type { Ground } from './lefts'
import type { InRoof } from '../catalogue'

/** What a set-out is asked for: modules of one size on one grid. */
export interface SetOutQuestion {
  ground: Ground
  system: InRoof
  laid: Laid
  mostRows: number
  /** Typed by somebody, mm on the face; null is solved. */
  leftMm: number | null
  bottomMm: number | null
  /** The lowest row begins between these, mm. */
  fromMm: number
  toMm: number
}

/** Modules on one grid. */
export interface SetOut {
  leftMm: number
  bottomMm: number
  pitchXMm: number
  pitchYMm: number
  rows: number
  cells: Columns
  count: number
  /** Units cut beside the array, and those of which less than half is left. */
  cuts: number
  slivers: number
  corners: number
  /** True when every height on whole millimetres that courses allow, and every place along it at which anything can change, was tried, and none held more even with modules that meet at a corner only. */
  proved: boolean
  tried: number
}
