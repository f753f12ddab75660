import { coursesUp } from '../coverings'
import type { Face } from '../job'
import type { RailPlan } from '../rails'
import { shapeOf } from '../roof'
import { MM_PER_INCH } from '../units'

/** Boards of half-inch plywood to walk on, so that thin metal does not dent (common practice). */
export interface Walkway {
  /** One run along each rail: the course it lies in and its ends, mm along the eave. */
  runs: { rail: number, course: number, fromMm: number, toMm: number, yMm: number }[]
  /** Boards are so high up the slope and at most so long, mm. */
  boardMm: number
  longestMm: number
  boards: number
  sheets: number
}

const SHEET_MM = { long: 2440, wide: 1220 }
/** Room to stand beside the last fixing, and the nosing that a board must not lie on, mm (common practice). */
const PAST_MM = 300
const NOSING_MM = MM_PER_INCH

/** The walkway of an array on pressed metal tile; null on other coverings. */
export function walkwayFor({ covering, outline }: Pick<Face, 'covering' | 'outline'>, rails: RailPlan[]): Walkway | null {
  if (covering.kind !== 'pressed-metal-tile' || !rails.length) return null
  const courses = coursesUp(covering, outline)
  const { along } = shapeOf(outline)
  const boardMm = Math.min(...courses.map(one => one.toMm - one.fromMm)) - NOSING_MM
  const runs = rails.filter(rail => rail.way === 'across').flatMap((rail) => {
    const course = courses.find(one => rail.lineMm >= one.fromMm && rail.lineMm < one.toMm)
    return course ? [{ rail: rail.number, course: course.number, fromMm: Math.max(along.fromMm, rail.fromMm - PAST_MM), toMm: Math.min(along.toMm, rail.toMm + PAST_MM), yMm: course.fromMm + NOSING_MM }] : []
  })
  // A crew works one row at a time: its boards are taken along to the next.
  const most = Math.max(0, ...rails.map(rail => rail.row).map(row => runs.filter(run => rails.find(one => one.number === run.rail)!.row === row).reduce((sum, run) => sum + Math.ceil((run.toMm - run.fromMm) / SHEET_MM.long), 0)))
  const perSheet = Math.floor(SHEET_MM.wide / boardMm)
  return boardMm > 0 && perSheet > 0 ? { runs, boardMm, longestMm: SHEET_MM.long, boards: most, sheets: Math.ceil(most / perSheet) } : null
}
