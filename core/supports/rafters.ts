import type { ScrewPattern } from '../catalogue'
import { contains, type Interval } from '../geometry'
import type { Outline, RafterSupports } from '../job'
import { shapeOf } from '../roof'
import { chanceOver, safeStrip, timberStrip } from './chance'
import { numberedRow } from './fit/numbered'
import type { RafterFit } from './fit/rafter-fit'
import type { FixingPlaces, PlacesForRail } from './places'
import { type Rafter, rafterAt, rafterName, SCATTER_MM } from './rafter'

/** The rafters of a face as the job's layout has them known. */
export function raftersOf(supports: RafterSupports, outline: Outline, fit: RafterFit | null): Rafter[] {
  if (supports.layout === 'nominal' || !fit) return nominalRafters(supports, outline)
  return fit.rafters
}

/** Nominal centres from the first on; where any was found by its number, all follow from the finds by the same fit as a hit log. */
const nominalRafters = (supports: RafterSupports, outline: Outline): Rafter[] => numberedRow(supports, shapeOf(outline).along.toMm, SCATTER_MM[supports.timber])

/**
 * Rafters answer a rail across them with one point each, at their centre where it crosses them, and a rail up the slope with the
 * stretch over which it lies on one, all screws in timber.
 */
export function placesOnRafters(rafters: Rafter[], fasteners: ScrewPattern | null): PlacesForRail {
  return ({ way, lineMm, reach }) => way === 'across'
    ? {
        points: rafters.map(rafter => ({ rafter, atMm: rafterAt(rafter, lineMm) }))
          .filter(({ atMm }) => contains(reach, atMm))
          .sort((a, b) => a.atMm - b.atMm)
          .map(({ rafter, atMm }) => ({
            atMm, member: rafterName(rafter.number), state: rafter.state,
            chance: fasteners ? chanceOver(safeStrip(rafter.widthMm, fasteners), rafter.spread) : 1,
            timber: fasteners ? chanceOver(timberStrip(rafter.widthMm, fasteners), rafter.spread) : 1,
          })),
        intervals: [],
      }
    : { points: [], intervals: rafters.flatMap(rafter => alongRafter(rafter, fasteners, lineMm, reach)) }
}

/** Where a mount may stand off a rafter's centre, mm; null where its screws find no room in it. */
const roomOn = ({ widthMm }: Rafter, fasteners: ScrewPattern | null): Interval | null => fasteners ? safeStrip(widthMm, fasteners) : { fromMm: -widthMm / 2, toMm: widthMm / 2 }

/** Lines up the slope that lie on a rafter over the whole height of the face, mm along the eave. */
export const linesOnRafters = (rafters: Rafter[], fasteners: ScrewPattern | null, topMm: number): Interval[] => rafters.flatMap((rafter) => {
  const room = roomOn(rafter, fasteners)
  const ends = [rafterAt(rafter, 0), rafterAt(rafter, topMm)]
  return room && Math.max(...ends) + room.fromMm <= Math.min(...ends) + room.toMm ? [{ fromMm: Math.max(...ends) + room.fromMm, toMm: Math.min(...ends) + room.toMm }] : []
})

function alongRafter(rafter: Rafter, fasteners: ScrewPattern | null, lineMm: number, reach: Interval): FixingPlaces['intervals'] {
  const room = roomOn(rafter, fasteners)
  if (!room) return []
  const offAt = (yMm: number) => lineMm - rafterAt(rafter, yMm)
  // A leaning rafter is under the line only between the heights at which it comes in and goes out.
  const ends = Math.abs(rafter.lean) < 1e-9 ? null : [(lineMm - rafter.centreMm - room.fromMm) / rafter.lean, (lineMm - rafter.centreMm - room.toMm) / rafter.lean]
  const under = ends ? { fromMm: Math.max(reach.fromMm, Math.min(...ends)), toMm: Math.min(reach.toMm, Math.max(...ends)) } : reach
  if (under.fromMm > under.toMm || (!ends && !contains(room, offAt(0)))) return []
  const least = (strip: Interval | null) => fasteners ? Math.min(...[under.fromMm, under.toMm].map(yMm => chanceOver(strip, rafter.spread, offAt(yMm)))) : 1
  return [{ ...under, member: rafterName(rafter.number), state: rafter.state, chance: least(room), timber: least(fasteners && timberStrip(rafter.widthMm, fasteners)) }]
}

/** The chance, 0 to 1, that all of a mount's screws are in sound timber when it is set at a place of the face, mm. */
export const chanceAt = (rafters: Rafter[], fasteners: ScrewPattern, xMm: number, yMm: number): number =>
  Math.min(1, rafters.reduce((sum, rafter) => sum + chanceOver(safeStrip(rafter.widthMm, fasteners), rafter.spread, xMm - rafterAt(rafter, yMm)), 0))

/** Two neighbours in the wrong order or closer than their timber is wide: one of the readings must be wrong. */
export interface RafterClash { left: Rafter, right: Rafter, apartMm: number }

export function rafterClashes(rafters: Rafter[], topMm: number): RafterClash[] {
  return rafters.slice(1).map((right, i) => {
    const left = rafters[i]!
    const apart = [0, topMm].map(yMm => rafterAt(right, yMm) - rafterAt(left, yMm))
    return { left, right, apartMm: Math.min(...apart) }
  }).filter(pair => pair.apartMm < (pair.left.widthMm + pair.right.widthMm) / 2)
}
