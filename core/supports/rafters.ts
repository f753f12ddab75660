import type { ScrewPattern } from '../catalogue'
import { contains } from '../geometry'
import type { Outline, RafterSupports, Timber } from '../job'
import { shapeOf } from '../roof'
import { chanceInTimber, safeStrip } from './chance'
import type { RafterFit } from './fit'
import type { FixingPlaces, PlacesForRail, SupportState } from './places'

/** One rafter as a straight band of timber up the slope. */
export interface Rafter {
  /** From the left, 1 first. */
  number: number
  /** Centre where it meets the eave's height, mm from the eave's left end. */
  centreMm: number
  /** Millimetres to the right for each millimetre up the slope: 0 for a true rafter. */
  lean: number
  widthMm: number
  state: SupportState
  /** Standard deviation of the centre, mm. */
  sdMm: number
  /** Where the typed spacing alone would put it; null where no spacing was typed for it. */
  nominalMm: number | null
}

/** Centre of a rafter at a height up the slope, mm. */
export const rafterAt = (rafter: Pick<Rafter, 'centreMm' | 'lean'>, yMm: number): number => rafter.centreMm + rafter.lean * yMm

/** How far single rafters stand off their true place, as a standard deviation, mm (common practice). */
export const SCATTER_MM: Record<Timber, number> = { truss: 3, sawn: 6, old: 18 }

/** A place that somebody says a rafter was found at is good to this, mm (common practice). */
const FOUND_SD_MM = 3
/** A first rafter that is only nominal may be out by this, and every spacing after it by half a percent (common practice). */
const NOMINAL_SD_MM = 25
const NOMINAL_DRIFT = 0.005

/** The rafters of a face as the job's layout has them known. */
export function raftersOf(supports: RafterSupports, outline: Outline, fit: RafterFit | null): Rafter[] {
  if (supports.layout === 'nominal' || !fit) return nominalRafters(supports, outline)
  return fit.rafters
}

/** Nominal centres from the first on, each replaced by where it was really found. */
function nominalRafters({ firstCentreMm, spacingMm, widthMm, found, timber }: RafterSupports, outline: Outline): Rafter[] {
  const finds = new Map(found.map(find => [find.rafter, find.centreMm]))
  const { along } = shapeOf(outline)
  const last = Math.max(0, Math.floor((along.toMm - firstCentreMm) / spacingMm + 1e-9)) + 1
  return Array.from({ length: last }, (_, i): Rafter => {
    const nominalMm = firstCentreMm + i * spacingMm
    const measured = finds.get(i + 1)
    return {
      number: i + 1, nominalMm, widthMm, lean: 0, centreMm: measured ?? nominalMm,
      state: measured === undefined ? 'guessed' : 'proved',
      sdMm: measured === undefined ? Math.hypot(NOMINAL_SD_MM, NOMINAL_DRIFT * i * spacingMm, SCATTER_MM[timber]) : FOUND_SD_MM,
    }
  })
}

/** The name by which a rafter is known to fixings and marks. */
export const rafterName = (number: number): string => `rafter ${number}`

/** Rafters answer with one point each, at their centre where the rail crosses them. */
export function placesOnRafters(rafters: Rafter[], fasteners: ScrewPattern | null): PlacesForRail {
  return (yMm, along): FixingPlaces => ({
    points: rafters.map(rafter => ({ rafter, xMm: rafterAt(rafter, yMm) }))
      .filter(({ xMm }) => contains(along, xMm))
      .sort((a, b) => a.xMm - b.xMm)
      .map(({ rafter, xMm }) => ({
        xMm, member: rafterName(rafter.number), state: rafter.state,
        chance: fasteners ? chanceInTimber(safeStrip(rafter.widthMm, fasteners), rafter.sdMm) : 1,
      })),
    intervals: [],
  })
}

/** The chance, 0 to 1, that all of a mount's screws are in sound timber when it is set at a place of the face, mm. */
export const chanceAt = (rafters: Rafter[], fasteners: ScrewPattern, xMm: number, yMm: number): number =>
  Math.min(1, rafters.reduce((sum, rafter) => sum + chanceInTimber(safeStrip(rafter.widthMm, fasteners), rafter.sdMm, xMm - rafterAt(rafter, yMm)), 0))

/** Two neighbours in the wrong order or closer than their timber is wide: one of the readings must be wrong. */
export interface RafterClash { left: Rafter, right: Rafter, apartMm: number }

export function rafterClashes(rafters: Rafter[], topMm: number): RafterClash[] {
  return rafters.slice(1).map((right, i) => {
    const left = rafters[i]!
    const apart = [0, topMm].map(yMm => rafterAt(right, yMm) - rafterAt(left, yMm))
    return { left, right, apartMm: Math.min(...apart) }
  }).filter(pair => pair.apartMm < (pair.left.widthMm + pair.right.widthMm) / 2)
}
