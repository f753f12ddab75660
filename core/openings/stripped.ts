import { columnsOf, columnStart, coursesUp } from '../coverings'
import { perimeterMm, rectangle, together } from '../geometry'
import type { Face } from '../job'
import { shapeOf } from '../roof'
import type { RowPlan } from '../rows'

/** The covering taken off under an array, flashed below and tiled back round: units off, those that the array's own ground keeps, the area, and the length of its edge. */
export interface Stripped { units: number, covered: number, areaM2: number, edgeMm: number }

/** Flashing and the units that are tiled back over it reach so far past the array, mm (common practice). */
const PAST_MM = 150

/** What is stripped under rows of modules; null where there is no array or nothing laid in units. */
export function strippedUnder({ covering, outline }: Pick<Face, 'covering' | 'outline'>, rows: RowPlan[]): Stripped | null {
  const columns = columnsOf(covering)
  const blocks = rows.flatMap(row => row.blocks.map(({ leftMm, rightMm }) => ({ leftMm, rightMm, bottomMm: row.bottomMm, topMm: row.topMm })))
  if (!columns || !blocks.length) return null
  const { along } = shapeOf(outline)
  let [units, covered, areaMm2] = [0, 0, 0]
  for (const { number, fromMm, toMm } of coursesUp(covering, outline)) {
    const startMm = columnStart(columns, number)
    for (let k = Math.floor((along.fromMm - startMm) / columns.widthMm); startMm + k * columns.widthMm < along.toMm; k++) {
      const leftMm = startMm + k * columns.widthMm
      const rightMm = leftMm + columns.widthMm
      if (!blocks.some(one => leftMm < one.rightMm + PAST_MM && rightMm > one.leftMm - PAST_MM && fromMm < one.topMm + PAST_MM && toMm > one.bottomMm - PAST_MM)) continue
      units++
      areaMm2 += columns.widthMm * (toMm - fromMm)
      if (blocks.some(one => leftMm >= one.leftMm && rightMm <= one.rightMm && fromMm >= one.bottomMm && toMm <= one.topMm)) covered++
    }
  }
  return { units, covered, areaM2: areaMm2 / 1e6, edgeMm: perimeterMm(together(blocks.map(one => rectangle({ fromMm: one.leftMm - PAST_MM, toMm: one.rightMm + PAST_MM }, { fromMm: one.bottomMm - PAST_MM, toMm: one.topMm + PAST_MM })))) }
}
