import type { Interval } from '../geometry'

/**
 * How well a support's place is known: somebody saw it or a pilot proved it; it follows from what was found near it or
 * at its spacing; or nothing but a nominal spacing says so.
 */
export type SupportState = 'proved' | 'inferred' | 'guessed'

/** A single place where a rail may be fixed. */
export interface PlacePoint {
  xMm: number
  member: string
  state: SupportState
  /** Chance, 0 to 1, that all of a mount's fasteners are in sound timber here. */
  chance: number
}
/** A stretch anywhere in which a rail may be fixed, such as a purlin's or a sheathing area's. */
export interface PlaceInterval extends Interval { member: string, state: SupportState, chance: number }

/** Where one rail may be fixed, in order along it. `member` names the rafter, seam or panel that takes the load. */
export interface FixingPlaces { points: PlacePoint[], intervals: PlaceInterval[] }

/** A support system's answer to a rail at height `yMm` up the slope between two x. */
export type PlacesForRail = (yMm: number, along: Interval) => FixingPlaces
