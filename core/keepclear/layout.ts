import type { CoveringLayout } from '../coverings'
import type { Region } from '../geometry'
import type { FaceClear, KeepClearStrip } from './face'

/** The face with what is kept clear on it, and what is left. */
export interface KeepClearLayout extends CoveringLayout {
  /** What the rules for the whole roof ask of this face. */
  clear: FaceClear
  strips: KeepClearStrip[]
  region: Region
  regionAreaMm2: number
  regionTopMm: number
}
