import { type Interval, intersect, type Region, unite } from '../../geometry'
import { firstHeights, gapsOf, type Stacked, stackedFrom } from '../heights'
import { breakpoints } from './breakpoints'
import type { PlacedRow } from './most'
import { type RowGaps, type RowKind, stripCount } from './strip-count'

/** Just inside a stretch, mm: at its very end the count is that of the next. */
const INSIDE_MM = 1e-6

/** Heights of a row's lower edge at which its strip holds so many modules at least: between two breakpoints the count is one. */
export function heightsHolding(region: Region, kind: RowKind, gaps: RowGaps, count: number): Interval[] {
  const steps = breakpoints(region, kind, gaps)
  const holds = (mm: number) => stripCount(region, kind, gaps, mm) >= count
  const points = steps.filter(holds).map(mm => ({ fromMm: mm, toMm: mm }))
  const stretches = steps.slice(1).flatMap((toMm, i) => {
    const fromMm = steps[i]!
    return toMm - fromMm > 4 * INSIDE_MM && holds((fromMm + toMm) / 2) ? [{ fromMm: fromMm + INSIDE_MM, toMm: toMm - INSIDE_MM }] : []
  })
  return unite([...points, ...stretches])
}

/**
 * The same rows, in their order and with what each holds, where the gaps between them come to least; the lowest of several. Exact over
 * all heights of the first row, by {@link firstHeights}: those above stand as low as they may.
 */
export function closedUp(rows: PlacedRow[], region: Region, gaps: RowGaps, heights: (kind: RowKind) => Interval[] | null): PlacedRow[] {
  if (rows.length < 2) return rows
  const stacked = rows.map(({ kind, count }): Stacked => {
    const holding = heightsHolding(region, kind, gaps, count)
    const allowed = heights(kind)
    return { allowed: allowed ? intersect(holding, allowed) : holding, heightMm: kind.heightMm, gapMm: gaps.rowMm, typed: false }
  })
  const ends = stacked[0]!.allowed!
  if (!ends.length) return rows
  const tries = firstHeights(stacked, ends[0]!.fromMm, ends.at(-1)!.toMm).flatMap((mm) => {
    const bottoms = stackedFrom(mm, stacked)
    return bottoms ? [{ bottoms, gapMm: gapsOf(bottoms, stacked) }] : []
  })
  const best = tries.reduce<typeof tries[number] | null>((a, b) => !a || b.gapMm < a.gapMm - 1e-6 ? b : a, null)
  return best ? rows.map((row, i) => ({ ...row, bottomMm: best.bottoms[i]! })) : rows
}
