import { contains, type Interval } from '../geometry'
import type { Supports } from '../job'
import type { PlacesForRail } from './places'

type Seams = Extract<Supports, { kind: 'seams' }>
type Screws = Extract<Supports, { kind: 'screws' }>

/** A standing seam up the slope, held by clamps anywhere along it. */
export interface Seam { number: number, xMm: number }
/** Rows of a sheet's own screws: a foot takes the place of one. */
export interface ScrewGrid { xMm: number[], rowsMm: number[] }

/** A foot at a sheet's screw reaches this far up and down the slope from it, by the slot in its upright, mm (common practice). */
export const SCREW_REACH_MM = 20

const stepped = (firstMm: number, stepMm: number, lastMm: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor((lastMm - firstMm) / stepMm + 1e-9) + 1) }, (_, i) => firstMm + i * stepMm)

export const seamsOf = ({ firstMm, spacingMm }: Seams, along: Interval): Seam[] => stepped(firstMm, spacingMm, along.toMm).map((xMm, i) => ({ number: i + 1, xMm }))

export const placesOnSeams = (seams: Seam[]): PlacesForRail => (_yMm, along) => ({
  points: seams.filter(seam => contains(along, seam.xMm)).map(seam => ({ xMm: seam.xMm, member: `seam ${seam.number}`, state: 'proved', chance: 1 })),
  intervals: [],
})

export const screwsOf = ({ firstMm, spacingMm, firstRowMm, rowSpacingMm }: Screws, along: Interval, topMm: number): ScrewGrid =>
  ({ xMm: stepped(firstMm, spacingMm, along.toMm), rowsMm: stepped(firstRowMm, rowSpacingMm, topMm) })

/** Heights at which a rail lies over a row of screws. */
export const heightsOverScrews = ({ rowsMm }: ScrewGrid): Interval[] => rowsMm.map(mm => ({ fromMm: mm - SCREW_REACH_MM, toMm: mm + SCREW_REACH_MM }))

/** A rail over a row of screws may be fixed at each of them; the sheet's maker put them into something. */
export const placesOnScrews = (grid: ScrewGrid): PlacesForRail => (yMm, along) => ({
  points: heightsOverScrews(grid).some(height => contains(height, yMm))
    ? grid.xMm.flatMap((xMm, i) => contains(along, xMm) ? [{ xMm, member: `screw ${i + 1}`, state: 'proved' as const, chance: 1 }] : [])
    : [],
  intervals: [],
})
