import type { Columns } from './choose'
import { HALF_MM, keptOfUnit, SNUG_MM } from './edges'
import { columnsOf, columnStart } from '../coverings'
import type { SetOutQuestion } from './question'
import type { Height } from './heights'

export const folded = (mm: number, pitchMm: number): number => mm - Math.floor(mm / pitchMm) * pitchMm

/** Places of the grid at which an edge of some column comes to a joint of the units, or to the middle of one, or leaves what still counts as either. */
export function aligned({ ground, system, laid }: SetOutQuestion, heights: Height[], pitchXMm: number): number[] {
  const columns = columnsOf(laid.covering)
  const all = heights.flatMap(one => one.lefts.flat())
  if (!columns || !all.length) return []
  const [lowMm, highMm] = [all.reduce((least, one) => Math.min(least, one.fromMm), Infinity), all.reduce((most, one) => Math.max(most, one.toMm), -Infinity)]
  const half = columns.widthMm / 2
  const beyondMm = Math.max(system.side.gapMm, system.columnGapMm / 2)
  const found = new Set<number>()
  for (const offsetMm of [-beyondMm, ground.widthMm + beyondMm]) {
    const startMm = columnStart(columns, 2)
    for (let k = Math.ceil((lowMm + offsetMm - startMm) / half); startMm + k * half - offsetMm <= highMm; k++) {
      const place = startMm + k * half - offsetMm
      // On whole mm, each just inside what it stands for.
      for (const mm of [Math.round(place), Math.ceil(place - SNUG_MM), Math.floor(place + SNUG_MM), Math.ceil(place - HALF_MM), Math.floor(place + HALF_MM)])
        found.add(Math.round(folded(mm, pitchXMm) * 1000) / 1000)
    }
  }
  return [...found]
}

/** Units that are cut along the array's sides: on every straight run of side, in the courses that are open on the one hand of it and laid on the other. */
export function cutsOf({ ground, system, laid }: SetOutQuestion, { courses }: Height, leftMm: number, cells: Columns, pitchXMm: number): { cuts: number, slivers: number } {
  const widthMm = columnsOf(laid.covering)?.widthMm
  if (!widthMm) return { cuts: 0, slivers: 0 }
  const beyondMm = Math.max(system.side.gapMm, system.columnGapMm / 2)
  let [cuts, slivers] = [0, 0]
  for (const [column, mask] of cells) {
    for (const side of ['left', 'right'] as const) {
      const open = mask & ~(cells.get(column + (side === 'left' ? -1 : 1)) ?? 0)
      if (!open) continue
      const edgeMm = leftMm + column * pitchXMm + (side === 'left' ? -beyondMm : ground.widthMm + beyondMm)
      const kept = [0, 1].map(parity => keptOfUnit(laid.covering, parity, edgeMm, side))
      for (let low = 0; open >> low; low++) {
        if (!((open >> low) & 1)) continue
        let high = low
        while ((open >> (high + 1)) & 1) high++
        // A side that stands on a wider row begins with the first course laid over that one; likewise at its upper end.
        const [bottom, top] = [courses[low]!, courses[high]!]
        const from = (mask >> (low - 1)) & 1 && low > 0 ? orElse(courses[low - 1]!.above, bottom.first) : orElse(bottom.below, bottom.first - 1) + 1
        const to = (mask >> (high + 1)) & 1 ? orElse(courses[high + 1]!.below, top.last) : orElse(top.above, top.last + 1) - 1
        for (let at = from; at <= to; at++) {
          const mm = kept[laid.courses[at]!.number % 2]!
          if (mm === 0) continue
          cuts++
          if (mm < widthMm / 2 - HALF_MM) slivers++
        }
        low = high
      }
    }
  }
  return { cuts, slivers }
}

const orElse = (place: number, other: number): number => (place < 0 ? other : place)
