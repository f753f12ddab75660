import { bounds, type Interval, type Region, spanOf } from '../../geometry'
import { runLength } from '../size'
import { type RowGaps, type RowKind, stripAt } from './strip-count'

/** Heights closer than this are one height, mm. */
const SAME_MM = 1e-6
/** A slab this thin is not looked into any further: both its ends are taken, mm. */
const THIN_MM = 1e-4

/**
 * The heights of a row's lower edge at which the number of modules it holds can step up as it rises: where an edge of its
 * strip passes a corner of the region, and where a stretch grows to hold one more. Between two corners every stretch's length
 * is piecewise linear in the height; a slab in which it bends is halved until it does not.
 */
export function breakpoints(region: Region, kind: RowKind, gaps: RowGaps): number[] {
  const box = bounds(region)
  if (!box) return []
  const [low, high] = [box.up.fromMm, box.up.toMm - kind.heightMm]
  if (high < low - THIN_MM) return []
  const corners = region.flat().flatMap(point => [point.y, point.y - kind.heightMm]).filter(mm => mm > low && mm < high)
  const heights = distinct([low, Math.max(low, high), ...corners])
  const found = [...heights]
  heights.slice(1).forEach((to, i) => growths(region, kind, gaps, heights[i]!, to, found))
  return distinct(found)
}

/** Sorted, with heights that are the same but for rounding taken once. */
export const distinct = (heights: number[]): number[] =>
  [...heights].sort((a, b) => a - b).filter((mm, i, all) => i === 0 || mm - all[i - 1]! > SAME_MM)

/** Adds the heights between two others at which a stretch grows to hold one more module. */
function growths(region: Region, kind: RowKind, gaps: RowGaps, from: number, to: number, found: number[]): void {
  const size = to - from
  if (size <= THIN_MM) {
    found.push(from, to)
    return
  }
  // Just inside the ends: at a corner's very height the strip is already another.
  const inset = Math.min(1e-7 * size, 1e-6)
  const at = (share: number) => stripAt(region, kind, from + inset + share * (size - 2 * inset))
  const [start, end] = [at(0), at(1)]
  const straight = [0.31, 0.5, 0.77].every(share => isStraight(start, end, at(share), share))
  if (!straight) {
    const middle = (from + to) / 2
    growths(region, kind, gaps, from, middle, found)
    growths(region, kind, gaps, middle, to, found)
    found.push(middle)
    return
  }
  start.forEach((first, k) => {
    const [a, b] = [spanOf(first), spanOf(end[k]!)]
    if (b <= a) return
    for (let n = 1; runLength(n, kind.widthMm, gaps.columnMm) <= b; n++) {
      const needed = runLength(n, kind.widthMm, gaps.columnMm)
      if (needed > a) found.push(from + (needed - a) / (b - a) * size)
    }
  })
}

/** Whether stretches part of the way lie on the straight lines between those at the ends. */
function isStraight(start: Interval[], end: Interval[], between: Interval[], share: number): boolean {
  const along = (a: number, b: number) => a + share * (b - a)
  return start.length === end.length && start.length === between.length
    && between.every((one, k) => Math.abs(one.fromMm - along(start[k]!.fromMm, end[k]!.fromMm)) < 1e-4 && Math.abs(one.toMm - along(start[k]!.toMm, end[k]!.toMm)) < 1e-4)
}
