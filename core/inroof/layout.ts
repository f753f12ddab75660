import type { Approval, InRoof } from '../catalogue'
import type { OpeningsLayout } from '../openings'
import type { BattenPlan } from './battens'
import type { ArrayPart } from './cells'
import type { Kit } from './kit'
import type { CoverUse } from './strength'
import type { TileCount } from './tiles'

/** What the set-out was found by, what of it was changed by wish, and what is off a course. */
export interface SetOutProof {
  proved: boolean
  tried: number
  /** Which origin stands: of all the one that holds the most; one that somebody typed; or that with modules left out, since fewer are wanted or places were left empty. Only of the first is anything proved as it stands. */
  as: 'found' | 'typed' | 'wanted' | 'emptied'
  /** Edges that lie on no course, of which a typed origin or a place left empty has some: row, which edge, and how far from the nearest height, mm. */
  off: { row: number, edge: 'bottom' | 'top', mm: number }[]
}

/** An array that takes the covering's place, as plain data. */
export interface InRoofPlan {
  system: InRoof
  /** The test of this module with this system; null where there is none. */
  approval: Approval | null
  parts: ArrayPart[]
  proof: SetOutProof
  kit: Kit
  battens: BattenPlan | null
  tiles: TileCount | null
  use: CoverUse | null
  /** Of the array and its kit, and of the units that it takes the place of, kg/m²; null where the shelf does not say what units weigh. */
  weight: { arrayKgM2: number, unitsKgM2: number | null }
}

/** The face with an array that lies in its covering; null for one on rails above it. */
export interface InRoofLayout extends OpeningsLayout {
  inRoof: InRoofPlan | null
}
