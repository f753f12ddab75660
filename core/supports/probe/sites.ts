import { uniqBy } from 'es-toolkit'
import type { Interval } from '../../geometry'
import { centreIn, numberAt } from '../belief'
import { type Rafter, rafterAt } from '../rafter'
import type { Known, Site } from './known'
import type { ProbedFixing } from './misses'

/** A place nearer to a drawn rafter than this is that rafter's, mm. */
const AT_RAFTER_MM = 60
/** Rows at least so likely have their timber tried. */
const LIKELY = 0.05

/** Heights at which a reading is tried: of the lowest fixings, the highest, and the middle between them. */
export function heightsOf(fixings: ProbedFixing[]): number[] {
  const heights = fixings.map(one => one.yMm)
  const [low, high] = [Math.min(...heights), Math.max(...heights)]
  return uniqBy([(low + high) / 2, low, high], one => Math.round(one))
}

/** Every place on the face where any likely row has timber, at a height: the drawn rafters first, then where only a rival has one. */
export function sitesAt({ rows }: Known, rafters: Rafter[], along: Interval, yMm: number): Site[] {
  const inside = (xMm: number) => xMm > along.fromMm && xMm < along.toMm
  const drawn = rafters.map((rafter): Site => ({ xMm: rafterAt(rafter, yMm), yMm, rafter: rafter.number }))
  const sites = drawn.filter(one => inside(one.xMm))
  for (const row of rows) {
    if (!row.own.length || row.weight < LIKELY) continue
    for (let k = numberAt(row, along.fromMm, yMm); centreIn(row, k, yMm).xMm < along.toMm; k++) {
      const { xMm } = centreIn(row, k, yMm)
      if (inside(xMm) && !sites.some(one => Math.abs(one.xMm - xMm) < AT_RAFTER_MM)) sites.push({ xMm, yMm, rafter: null })
    }
  }
  return sites
}
