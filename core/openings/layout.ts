import type { StrengthLayout } from '../strength'
import type { Through } from './open'
import type { Opening } from './opening'
import type { UnitCount } from './count'
import type { Stripped } from './stripped'
import type { Walkway } from './walkway'

/** The face with every fixing's way through its covering, and what that does to the covering's units. */
export interface OpeningsLayout extends StrengthLayout {
  openings: Opening[]
  /** The array's mount by its way through the covering, and the one that opens first; null where there is none or nobody has said how it goes through. */
  through: { usual: Through | null, first: Through | null }
  units: UnitCount
  /** Where the covering is taken off under the array; null where it is not. */
  stripped: Stripped | null
  /** Boards to walk on over thin metal; null where none are needed. */
  walkway: Walkway | null
  /** Where the mount that opens first holds less than is asked of it; empty where it does or there is none. */
  firstWeak: { fixingId: string, share: number }[]
}
