import { contains } from '../geometry'
import type { Outline, Supports } from '../job'
import { shapeOf } from '../roof'
import type { PlacesForRail, SupportState } from './places'

/** One rafter as a straight band of timber up the slope. */
export interface Rafter {
  /** From the left rake, 1 first. */
  number: number
  centreMm: number
  /** Where the nominal spacing alone would put it. */
  nominalMm: number
  widthMm: number
  state: SupportState
}

/** The rafters of a face: nominal centres from the first on, each replaced by where it was really found. */
export function raftersOf(supports: Supports, outline: Outline): Rafter[] {
  const { firstCentreMm, spacingMm, widthMm } = supports
  const found = new Map(supports.found.map(find => [find.rafter, find.centreMm]))
  const { along } = shapeOf(outline)
  const last = Math.max(0, Math.floor((along.toMm - firstCentreMm) / spacingMm + 1e-9)) + 1
  return Array.from({ length: last }, (_, i) => {
    const number = i + 1
    const nominalMm = firstCentreMm + i * spacingMm
    const measured = found.get(number)
    return { number, nominalMm, widthMm, centreMm: measured ?? nominalMm, state: measured === undefined ? 'by spacing' as const : 'found' as const }
  })
}

/** The name by which a rafter is known to fixings and marks. */
export const rafterName = (number: number): string => `rafter ${number}`

/** Rafters answer with one point each, at their centre. */
export function placesOnRafters(rafters: Rafter[]): PlacesForRail {
  const sorted = [...rafters].sort((a, b) => a.centreMm - b.centreMm)
  return (_yMm, along) => ({
    points: sorted.filter(rafter => contains(along, rafter.centreMm))
      .map(rafter => ({ xMm: rafter.centreMm, member: rafterName(rafter.number), state: rafter.state })),
    intervals: [],
  })
}

/** Two neighbours in the wrong order or closer than their timber is wide: one of the readings must be wrong. */
export interface RafterClash { left: Rafter, right: Rafter, apartMm: number }

export function rafterClashes(rafters: Rafter[]): RafterClash[] {
  return rafters.slice(1).map((right, i) => ({ left: rafters[i]!, right, apartMm: right.centreMm - rafters[i]!.centreMm }))
    .filter(pair => pair.apartMm < pair.right.widthMm)
}
