import type { ChosenParts, Module } from '../catalogue'
import { type Interval, type Region, bounds, freeIntervals, middleOf, spanOf } from '../geometry'
import { type ArrayRules, type Orientation, type RowRule, plainRow } from '../job'
import type { Working } from '../working'
import { count, length } from '../units'

/** Lengths that miss by less than this still fit: the region's corners are kept to 0.0001 mm. */
const FIT_TOLERANCE_MM = 0.001
/** More rows than any pitched roof holds; stops a plan from running away on odd sizes. */
const MOST_ROWS = 40

/** One row of modules as it stands on the face. */
export interface RowPlan {
  /** From the eave, 0 first. */
  index: number
  count: number
  /** The most modules that the row's strip holds. */
  fills: number
  held: boolean
  leftMm: number
  rightMm: number
  bottomMm: number
  topMm: number
  /** The stretch of the strip that the row stands in; null when there is none at this height. */
  free: Interval | null
  /** True when every module lies inside the usable region. */
  fits: boolean
  /** Left edges of the modules, mm from the left rake. */
  moduleLeftsMm: number[]
  working: Working
}

export interface RowsPlan {
  rows: RowPlan[]
  /** Width along the eave and height up the slope of one module as it lies. */
  moduleWidthMm: number
  moduleHeightMm: number
  columnGapMm: number
  /** The most rows that the region holds with these gaps. */
  rowsThatFit: number
  /** How far the whole array may move and still fit, mm; null when it does not fit as it is. */
  slack: Interval | null
}

/** Width along the eave and height up the slope of a module as it lies. */
export const moduleSize = (module: Module, orientation: Orientation): { widthMm: number, heightMm: number } =>
  orientation === 'upright'
    ? { widthMm: module.shortMm, heightMm: module.longMm }
    : { widthMm: module.longMm, heightMm: module.shortMm }

/** The most modules of one width that stand side by side in `lengthMm` with gaps between them. */
export const modulesThatFit = (lengthMm: number, widthMm: number, gapMm: number): number =>
  Math.max(0, Math.floor((lengthMm + gapMm + FIT_TOLERANCE_MM) / (widthMm + gapMm)))

interface Strip { rule: RowRule, bottomMm: number, topMm: number, free: Interval | null, fills: number }

/**
 * Fills a region with rows from its lower edge up. The longest row stands in the middle of its strip unless the array has
 * been shifted; the others stand on its columns where they can.
 */
export function fillRows(region: Region, array: ArrayRules, parts: Pick<ChosenParts, 'module' | 'clamps'>): RowsPlan {
  const { widthMm, heightMm } = moduleSize(parts.module, array.orientation)
  const columnGapMm = array.columnGapMm ?? parts.clamps.gapMm
  const { strips, rowsThatFit } = stackStrips(region, array, widthMm, heightMm, columnGapMm)
  const rowWidth = (n: number) => n * widthMm + (n - 1) * columnGapMm
  const counts = strips.map(strip => strip.rule.count ?? strip.fills)
  const longest = counts.indexOf(Math.max(...counts))
  const strip = strips[longest]
  const middleMm = strip?.free ? middleOf(strip.free) : middleOf(bounds(region)?.along ?? { fromMm: 0, toMm: 0 })
  const arrayLeftMm = strip ? middleMm - rowWidth(counts[longest]!) / 2 : 0

  const rows = strips.map((one, index): RowPlan => {
    const n = counts[index]!
    // An array that somebody pushed keeps its rows as they stand to each other, so that a finding can say by how much it is too far.
    const leftMm = rowLeft(one.free, n, rowWidth(n), arrayLeftMm, widthMm + columnGapMm) + array.shiftMm + one.rule.shiftMm
    const rightMm = leftMm + rowWidth(n)
    return {
      index, count: n, fills: one.fills, held: one.rule.count !== null, leftMm, rightMm,
      bottomMm: one.bottomMm, topMm: one.topMm, free: one.free,
      fits: one.free !== null && leftMm >= one.free.fromMm - FIT_TOLERANCE_MM && rightMm <= one.free.toMm + FIT_TOLERANCE_MM,
      moduleLeftsMm: Array.from({ length: n }, (_, i) => leftMm + i * (widthMm + columnGapMm)),
      working: fillWorking(one.free ? spanOf(one.free) : 0, widthMm, columnGapMm, one.fills),
    }
  })
  return { rows, moduleWidthMm: widthMm, moduleHeightMm: heightMm, columnGapMm, rowsThatFit, slack: slackOf(rows) }
}

/**
 * Where a row begins: on the array's columns where its strip holds the row there, else in the middle of its own strip, as
 * beside a hip.
 */
function rowLeft(free: Interval | null, n: number, width: number, arrayLeftMm: number, pitchMm: number): number {
  if (!free || n === 0 || width > spanOf(free) + FIT_TOLERANCE_MM) return arrayLeftMm
  const first = Math.ceil((free.fromMm - arrayLeftMm - FIT_TOLERANCE_MM) / pitchMm)
  const last = Math.floor((free.toMm - width - arrayLeftMm + FIT_TOLERANCE_MM) / pitchMm)
  return first <= last ? arrayLeftMm + Math.min(Math.max(0, first), last) * pitchMm : middleOf(free) - width / 2
}

/** Strips of module height from the region's lower edge up, as many as are wanted or fit. */
function stackStrips(region: Region, array: ArrayRules, widthMm: number, heightMm: number, columnGapMm: number) {
  const box = bounds(region)
  const strips: Strip[] = []
  let rowsThatFit = 0
  if (!box) return { strips, rowsThatFit }
  let topMm = box.up.fromMm
  for (let index = 0; index < (array.rowCount ?? MOST_ROWS); index++) {
    const rule = array.rows[index] ?? plainRow
    const bottomMm = topMm + (rule.gapBelowMm ?? (index === 0 ? 0 : array.rowGapMm))
    topMm = bottomMm + heightMm
    const free = widest(freeIntervals(region, { fromMm: bottomMm, toMm: topMm }))
    const fills = free ? modulesThatFit(spanOf(free), widthMm, columnGapMm) : 0
    const fits = fills > 0 && rowsThatFit === index
    if (fits) rowsThatFit++
    // A row that does not fit is still drawn when somebody asked for it, so that the finding can be seen.
    else if (array.rowCount === null) break
    strips.push({ rule: fills > 0 || rule.count !== null ? rule : { ...rule, count: 1 }, bottomMm, topMm, free, fills })
  }
  return { strips, rowsThatFit }
}

const widest = (intervals: Interval[]): Interval | null =>
  intervals.reduce<Interval | null>((best, next) => best && spanOf(best) >= spanOf(next) ? best : next, null)

/** How far all rows may move together to left and right. */
function slackOf(rows: RowPlan[]): Interval | null {
  if (!rows.length || rows.some(row => !row.fits)) return null
  return {
    fromMm: Math.max(...rows.map(row => row.free!.fromMm - row.leftMm)),
    toMm: Math.min(...rows.map(row => row.free!.toMm - row.rightMm)),
  }
}

const fillWorking = (freeMm: number, widthMm: number, gapMm: number, fills: number): Working => ({
  what: 'Modules that fill the row',
  formula: 'n = ⌊(f + g) / (w + g)⌋',
  values: [
    { symbol: 'f', what: 'free length of the strip', value: length(freeMm) },
    { symbol: 'w', what: 'width of a module as it lies', value: length(widthMm) },
    { symbol: 'g', what: 'gap between modules', value: length(gapMm) },
  ],
  result: count(fills, fills === 1 ? 'module' : 'modules'),
  source: 'Equal widths with equal gaps, one gap fewer than modules', basis: 'arithmetic',
})
