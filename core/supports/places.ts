import type { Interval } from '../geometry'

/** How well a support's place is known. */
export type SupportState = 'found' | 'by spacing'

/** A single place where a rail may be fixed. */
export interface PlacePoint { xMm: number, member: string, state: SupportState }
/** A stretch anywhere in which a rail may be fixed, such as a seam's or a sheathing area's. */
export interface PlaceInterval extends Interval { member: string, state: SupportState }

/** Where one rail may be fixed, in order along it. `member` names the rafter, seam or panel that takes the load. */
export interface FixingPlaces { points: PlacePoint[], intervals: PlaceInterval[] }

/** A support system's answer to a rail at height `yMm` up the slope between two x. */
export type PlacesForRail = (yMm: number, along: Interval) => FixingPlaces
