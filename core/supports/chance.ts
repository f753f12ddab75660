import { errorFunction } from 'simple-statistics'
import type { ScrewPattern } from '../catalogue'
import type { Interval } from '../geometry'

/** Probability that a standard normal variable is below z. The error function's approximation is good to 1.2e-7. */
const below = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2

/**
 * Where a mount's centre may be, from the timber's centre, so that every one of its screws keeps its edge distance. Null
 * when there is no such place. Edge distances: 1.5 D to the edge for lag screws loaded in withdrawal (NDS table 12.5.1C,
 * from memory); 4 d where EN 1995-1-1 table 8.6 applies (from memory), unless the screw's own approval says less.
 */
export function safeStrip(widthMm: number, fasteners: ScrewPattern): Interval | null {
  const keepIn = widthMm / 2 - fasteners.edgeDiameters * fasteners.diameterMm
  const fromMm = -keepIn - Math.min(...fasteners.acrossMm)
  const toMm = keepIn - Math.max(...fasteners.acrossMm)
  return toMm >= fromMm ? { fromMm, toMm } : null
}

/** Where all of a mount's screws are in timber at all, however near its edge, from the timber's centre; null where they can't be. */
export const timberStrip = (widthMm: number, { diameterMm, acrossMm }: ScrewPattern): Interval | null => safeStrip(widthMm, { diameterMm, acrossMm, edgeDiameters: 0 })

/** One place that the timber may stand at, about where it is drawn: with its weight of all there are, mm. */
export interface Spread { weight: number, offMm: number, sdMm: number }

/** Chance of being in a strip of timber over all the places that it may stand at. */
export const chanceOver = (strip: Interval | null, spread: Spread[], offsetMm = 0): number =>
  spread.reduce((sum, { weight, offMm, sdMm }) => sum + weight * chanceInTimber(strip, sdMm, offsetMm - offMm), 0)

/** Said of timber only where the whole belief, rivals included, gives this chance of hitting it. */
export const FOUND_AT = 0.98
export const INFERRED_AT = 0.9

/**
 * Chance that all of a mount's screws are in the safe strip when it is set where the timber is thought to be.
 * @param sdMm standard deviation of the timber's centre
 * @param offsetMm where the mount is set, from the timber's supposed centre
 */
export function chanceInTimber(strip: Interval | null, sdMm: number, offsetMm = 0): number {
  if (!strip) return 0
  if (sdMm <= 0) return offsetMm >= strip.fromMm && offsetMm <= strip.toMm ? 1 : 0
  // The timber lies at its supposed place plus an error; the mount is in the strip when offset - error is.
  return below((strip.toMm - offsetMm) / sdMm) - below((strip.fromMm - offsetMm) / sdMm)
}

/** Places nearer than this, or than half of how well they are known, are one. */
const ONE_PLACE_MM = 2

/** Places that are as good as one taken together, by their mean and spread. */
export function gathered(spread: Spread[]): Spread[] {
  const made: Spread[] = []
  for (const one of spread) {
    const like = made.find(other => Math.abs(other.offMm - one.offMm) < Math.max(ONE_PLACE_MM, Math.min(other.sdMm, one.sdMm) / 2) && Math.abs(Math.log(other.sdMm / one.sdMm)) < 0.3)
    if (!like) {
      made.push({ ...one })
      continue
    }
    const weight = like.weight + one.weight
    const offMm = (like.weight * like.offMm + one.weight * one.offMm) / weight
    const square = (each: Spread) => each.weight * (each.sdMm ** 2 + (each.offMm - offMm) ** 2)
    like.sdMm = Math.sqrt((square(like) + square(one)) / weight)
    like.offMm = offMm
    like.weight = weight
  }
  return made
}
