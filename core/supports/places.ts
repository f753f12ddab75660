import { type Interval, subtract } from '../geometry'
import type { RailWay } from '../job'

/**
 * How well a support's place is known: somebody saw it or a pilot proved it; it follows from what was found near it or
 * at its spacing; or nothing but a nominal spacing says so.
 */
export type SupportState = 'proved' | 'inferred' | 'guessed'

/** A single place where a rail may be fixed. */
export interface PlacePoint {
  /** Along the rail, mm: from the eave's left end for a rail across the roof, up from the eave for one up the slope. */
  atMm: number
  member: string
  state: SupportState
  /** Chance, 0 to 1, that all of a mount's fasteners are in sound timber here, clear of its edges. */
  chance: number
  /** Chance that they are in timber at all, however near its edge. */
  timber: number
}
/** A stretch anywhere in which a rail may be fixed, such as a purlin's or a sheathing area's. */
export interface PlaceInterval extends Interval { member: string, state: SupportState, chance: number, timber: number }

/** Where one rail may be fixed, in order along it. `member` names the rafter, seam or panel that takes the load. */
export interface FixingPlaces { points: PlacePoint[], intervals: PlaceInterval[] }

/** A line to be fixed, as its supports see it. */
export interface RailLine {
  way: RailWay
  /** Height up the slope of a line across the roof; distance along the eave of one up the slope, mm. */
  lineMm: number
  /** Where it needs fixings, mm along it. */
  reach: Interval
}

/** A support system's answer to a line. */
export type PlacesForRail = (line: RailLine) => FixingPlaces

/** Places without the stretches in which nothing may be fixed, such as the side laps of tiles. */
export function placesOutside({ points, intervals }: FixingPlaces, forbidden: Interval[]): FixingPlaces {
  if (!forbidden.length) return { points, intervals }
  return {
    points: points.filter(({ atMm }) => !forbidden.some(strip => atMm > strip.fromMm && atMm < strip.toMm)),
    intervals: intervals.flatMap(({ member, state, chance, timber, ...interval }) => subtract(interval, forbidden).map(left => ({ ...left, member, state, chance, timber }))),
  }
}
