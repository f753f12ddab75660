import type { ChosenParts } from '../catalogue'
import { type Interval, type Region, bounds, middleOf, spanOf } from '../geometry'
import type { ArrayRules, Orientation } from '../job'
import type { Working } from '../working'
import { count, length } from '../units'
import { besideHeld, type Block, blocksOf, breakWidens, lengthOfRun, parted, placeBlocks, type Run } from './blocks'
import type { RowHeights } from './heights'
import { FIT_TOLERANCE_MM, moduleSize, modulesThatFit } from './size'
import { stackStrips, type Strip } from './stack'

/** One row of modules as it stands on the face: one run of modules, or several where something stands between them. */
export interface RowPlan {
  /** From the eave, 0 first. */
  index: number
  count: number
  /** The most modules that the row's strip holds. */
  fills: number
  held: boolean
  locked: boolean
  orientation: Orientation
  /** Width along the eave and height up the slope of one module as it lies in this row. */
  moduleWidthMm: number
  moduleHeightMm: number
  leftMm: number
  rightMm: number
  bottomMm: number
  topMm: number
  /** Runs of neighbouring modules, left to right. */
  blocks: Block[]
  /** How many of its modules are held in their place. */
  heldModules: number
  /** The widest stretch of the strip; null when there is none at this height. */
  free: Interval | null
  /** True when every module lies inside the usable region. */
  fits: boolean
  /** Left edges of the modules, mm from the left rake. */
  moduleLeftsMm: number[]
  working: Working
}

export interface RowsPlan {
  rows: RowPlan[]
  /** Width along the eave and height up the slope of one module as the array has it lie. */
  moduleWidthMm: number
  moduleHeightMm: number
  columnGapMm: number
  /** The most rows that the region holds with these gaps. */
  rowsThatFit: number
  /** Where rows wait for heights at which their rails find lines of the covering or supports: how many would stand without. Null where none waits. */
  waits: { withoutRows: number } | null
  /** The height that the gap below the first row counts from, mm. */
  baseMm: number
  /** How far the whole array may move and still fit, mm; null when it does not fit as it is. */
  slack: Interval | null
}

/**
 * Fills a region with rows from its lower edge up, every stretch of each strip that holds a module. The longest run stands in
 * the middle of its stretch unless the array has been shifted (an array that nobody shifted stands in the middle here; where it
 * stands best is a matter of its fixings); the others stand by the array's column rule.
 * @param heights at which rows may stand, by the lines that their rails need; null where any will do
 * @param most modules at the most: as few rows as hold them, of one length where that can be, else what is over goes from the top row down
 */
export function fillRows(region: Region, array: ArrayRules, parts: Pick<ChosenParts, 'module' | 'clamps'>, most: number | null = null, heights: RowHeights | null = null): RowsPlan {
  const columnGapMm = array.columnGapMm ?? parts.clamps.gapMm
  const sizeOf = (orientation: Orientation) => moduleSize(parts.module, orientation)
  const stack = stackStrips(region, array, sizeOf, columnGapMm, heights)
  const strips = most === null ? stack.strips : limited(stack.strips, most)
  const { rowsThatFit, baseMm, waits } = stack
  const widensMm = breakWidens(columnGapMm, parts.clamps.railPastMm)
  const placed = strips.map(strip => strip.rule.locked && strip.rule.held.length
    ? []
    : parted(blocksOf(besideHeld(strip.free, strip.rule.held, strip.widthMm, columnGapMm), strip.fills - strip.rule.held.length, strip.rule.count === null ? null : Math.max(0, strip.rule.count - strip.rule.held.length), strip.widthMm, columnGapMm), strip.rule.breaks, widensMm, strip.widthMm, columnGapMm, strip.rule.count !== null))
  const originMm = columnOrigin(strips, placed, columnGapMm, widensMm) ?? middleOf(bounds(region)?.along ?? { fromMm: 0, toMm: 0 })

  const rows = strips.map((strip, index): RowPlan => {
    // An array that somebody pushed keeps its rows as they stand to each other, so that a finding can say by how much it is too far.
    const shiftMm = (array.shiftMm ?? 0) + strip.rule.shiftMm
    const blocks = placeBlocks(placed[index]!, {
      widensMm,
      columns: array.columns,
      odd: index % 2 === 1,
      originMm,
      shiftMm,
      widthMm: strip.widthMm,
      gapMm: columnGapMm,
      skip: strip.rule.skip,
      held: strip.rule.held,
      strip: strip.free,
    })
    const lefts = blocks.flatMap(block => block.moduleLeftsMm)
    const widest = widestOf(strip.free)
    return {
      index, count: lefts.length, fills: strip.fills, held: strip.rule.count !== null, locked: strip.rule.locked, orientation: strip.orientation,
      moduleWidthMm: strip.widthMm, moduleHeightMm: strip.heightMm, blocks, heldModules: strip.rule.held.length,
      leftMm: blocks[0]?.leftMm ?? originMm, rightMm: blocks.at(-1)?.rightMm ?? originMm, bottomMm: strip.bottomMm, topMm: strip.topMm,
      free: widest, fits: blocks.every(block => block.fits), moduleLeftsMm: lefts,
      working: fillWorking(widest ? spanOf(widest) : 0, strip.widthMm, columnGapMm, widest ? modulesThatFit(spanOf(widest), strip.widthMm, columnGapMm) : 0),
    }
  })
  const { widthMm, heightMm } = sizeOf(array.orientation)
  return { rows, moduleWidthMm: widthMm, moduleHeightMm: heightMm, columnGapMm, rowsThatFit, waits, baseMm, slack: slackOf(rows) }
}

/**
 * Left edge of the array's columns: where its longest run stands in the middle of its stretch, and where several are as long,
 * in the middle of what their stretches have in common, taken from the eave up while there is any. Null where there is no run.
 */
function columnOrigin(strips: Strip[], placed: Run[][], gapMm: number, widensMm: number): number | null {
  const runs = strips.flatMap((strip, i) => placed[i]!.flatMap(run => run.free ? [{ free: run.free, lengthMm: lengthOfRun(run, strip.widthMm, gapMm, widensMm) }] : []))
  if (!runs.length) return null
  const longestMm = Math.max(...runs.map(run => run.lengthMm))
  const lefts = runs.filter(run => run.lengthMm > longestMm - FIT_TOLERANCE_MM).map(run => ({ fromMm: run.free.fromMm, toMm: run.free.toMm - run.lengthMm }))
  let common = lefts[0]!
  for (const next of lefts.slice(1)) {
    const shared = { fromMm: Math.max(common.fromMm, next.fromMm), toMm: Math.min(common.toMm, next.toMm) }
    if (shared.toMm >= shared.fromMm - FIT_TOLERANCE_MM) common = shared
  }
  return middleOf(common)
}

/**
 * Rows with no more than so many modules together: where as few rows as hold them can be of one length they are, else the top
 * rows give theirs up first, locked ones last.
 */
function limited(strips: Strip[], most: number): Strip[] {
  const countOf = (strip: Strip) => strip.rule.count ?? strip.fills
  const even = evenRows(strips, most)
  if (even) return even
  let over = strips.reduce((sum, strip) => sum + countOf(strip), 0) - most
  const counts = strips.map(countOf)
  for (const locked of [false, true]) {
    for (let i = strips.length - 1; i >= 0 && over > 0; i--) {
      if (strips[i]!.rule.locked !== locked) continue
      const taken = Math.min(over, counts[i]!)
      counts[i]! -= taken
      over -= taken
    }
  }
  return strips.flatMap((strip, i) => counts[i]! === 0 ? [] : [counts[i] === countOf(strip) ? strip : { ...strip, rule: { ...strip.rule, count: counts[i]! } }])
}

/** The fewest rows from the eave up that hold so many, all of one length; null where that can't be, or somebody has said of one what it holds. */
function evenRows(strips: Strip[], most: number): Strip[] | null {
  let holds = 0
  const rows = strips.findIndex(strip => (holds += strip.fills) >= most) + 1
  const each = most / rows
  const kept = strips.slice(0, rows)
  const free = strips.every(({ rule }) => rule.count === null && !rule.locked && !rule.held.length)
  return rows > 0 && Number.isInteger(each) && each > 0 && free && kept.every(strip => strip.fills >= each) ? kept.map(strip => ({ ...strip, rule: { ...strip.rule, count: each } })) : null
}

const widestOf = (intervals: Interval[]): Interval | null =>
  intervals.reduce<Interval | null>((best, next) => best && spanOf(best) >= spanOf(next) ? best : next, null)

/** The gap below a row as it stands, mm, whether somebody typed it or not. */
export const gapBelow = ({ rows, baseMm }: Pick<RowsPlan, 'rows' | 'baseMm'>, index: number): number => rows[index]!.bottomMm - (index === 0 ? baseMm : rows[index - 1]!.topMm)

/** How far all rows may move together to left and right. */
function slackOf(rows: RowPlan[]): Interval | null {
  // Held modules stay where they are when the array moves, so they say nothing of how far it may.
  const blocks = rows.filter(row => !row.heldModules).flatMap(row => row.blocks)
  if (!blocks.length || blocks.some(block => !block.fits || !block.free)) return null
  return {
    fromMm: Math.max(...blocks.map(block => block.free!.fromMm - block.leftMm)),
    toMm: Math.min(...blocks.map(block => block.free!.toMm - block.rightMm)),
  }
}

const fillWorking = (freeMm: number, widthMm: number, gapMm: number, fills: number): Working => ({
  what: 'Modules that fill the row’s widest stretch',
  formula: 'n = ⌊(f + g) / (w + g)⌋',
  values: [
    { symbol: 'f', what: 'free length of the stretch', value: length(freeMm) },
    { symbol: 'w', what: 'width of a module as it lies', value: length(widthMm) },
    { symbol: 'g', what: 'gap between modules', value: length(gapMm) },
  ],
  result: count(fills, fills === 1 ? 'module' : 'modules'),
  source: 'Equal widths with equal gaps, one gap fewer than modules', basis: 'arithmetic',
})
