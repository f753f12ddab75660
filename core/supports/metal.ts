import { contains, type Interval } from '../geometry'
import type { RailWay, Supports } from '../job'
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

/** A rail up the slope lies on a seam when it is no further off it than this, mm (common practice). */
export const SEAM_REACH_MM = 20

/** Lines up the slope on which a rail lies on a seam, mm along the eave. */
export const linesOnSeams = (seams: Seam[]): Interval[] => seams.map(({ xMm }) => ({ fromMm: xMm - SEAM_REACH_MM, toMm: xMm + SEAM_REACH_MM }))

export const placesOnSeams = (seams: Seam[]): PlacesForRail => ({ way, lineMm, reach }) => {
  const named = (seam: Seam) => ({ member: `seam ${seam.number}`, state: 'proved' as const, chance: 1, timber: 1 })
  return way === 'across'
    ? { points: seams.filter(seam => contains(reach, seam.xMm)).map(seam => ({ atMm: seam.xMm, ...named(seam) })), intervals: [] }
    : { points: [], intervals: seams.filter(seam => Math.abs(seam.xMm - lineMm) <= SEAM_REACH_MM).map(seam => ({ ...reach, ...named(seam) })) }
}

export const screwsOf = ({ firstMm, spacingMm, firstRowMm, rowSpacingMm }: Screws, along: Interval, topMm: number): ScrewGrid =>
  ({ xMm: stepped(firstMm, spacingMm, along.toMm), rowsMm: stepped(firstRowMm, rowSpacingMm, topMm) })

const reachedFrom = (places: number[]): Interval[] => places.map(mm => ({ fromMm: mm - SCREW_REACH_MM, toMm: mm + SCREW_REACH_MM }))

/** Lines on which a rail lies over a row of screws, or over a column of them where it runs up the slope. */
export const linesOverScrews = ({ rowsMm, xMm }: ScrewGrid, way: RailWay): Interval[] => reachedFrom(way === 'across' ? rowsMm : xMm)

/** A rail over a row or column of screws may be fixed at each of them; the sheet's maker put them into something. */
export const placesOnScrews = (grid: ScrewGrid): PlacesForRail => ({ way, lineMm, reach }) => {
  if (!linesOverScrews(grid, way).some(line => contains(line, lineMm))) return { points: [], intervals: [] }
  const screws = way === 'across' ? grid.xMm : grid.rowsMm
  return {
    points: screws.flatMap((atMm, i) => contains(reach, atMm)
      ? [{
          atMm,
          member: `${way === 'across' ? 'screw' : 'row of screws'} ${i + 1}`,
          state: 'proved' as const,
          chance: 1,
          timber: 1,
        }]
      : []),
    intervals: [],
  }
}
