import { bounds, freeIntervals, type Interval, type Region, spanOf } from '../geometry'
import { type ArrayRules, type Orientation, plainRow, type RowRule } from '../job'
import { isLevel } from '../roof'
import { besideHeld } from './blocks'
import { FIT_TOLERANCE_MM, modulesThatFit } from './size'
import { breakpoints } from './solve'

/** One row's strip of the region, with what it holds. */
export interface Strip { rule: RowRule, orientation: Orientation, widthMm: number, heightMm: number, bottomMm: number, topMm: number, free: Interval[], fills: number }

export type SizeOf = (orientation: Orientation) => { widthMm: number, heightMm: number }

/** Strips on top of each other from one height up. */
interface Stack { strips: Strip[], rowsThatFit: number, startMm: number }

/** More rows than any pitched roof holds; stops a plan from running away on odd sizes. */
const MOST_ROWS = 40

/**
 * Strips of module height from the region's lower edge up, as many as are wanted or fit; pushed up to the upper edge where asked.
 * An edge of the region that is level within 2 % is one line: taped faces are out of true, and a row that began at the lowest
 * point of such an edge would have no room. Where nothing fits at the edge, as on a face that widens upwards or comes to a point,
 * the rows stand at the heights nearest to it that do most.
 */
export function stackStrips(region: Region, array: ArrayRules, sizeOf: SizeOf, columnGapMm: number): { strips: Strip[], rowsThatFit: number, baseMm: number } {
  const box = bounds(region)
  if (!box) return { strips: [], rowsThatFit: 0, baseMm: 0 }
  const at = (startMm: number, rowCount = array.rowCount) => stackAt(startMm, region, { ...array, rowCount }, sizeOf, columnGapMm)
  const steps = (where: Region, row: number) => {
    const orientation = array.rows[row]?.orientation ?? array.orientation
    return breakpoints(where, { orientation, ...sizeOf(orientation) }, { columnMm: columnGapMm, rowMm: 0 })
  }
  const low = lowestStack(region, array, at, () => steps(region, 0))
  const top = low.strips[low.rowsThatFit - 1]
  if (array.stackFrom !== 'ridge' || !top) return { ...low, baseMm: box.up.fromMm }
  const pushedTo = (tops: number[]) => tops.filter(mm => mm - top.topMm > FIT_TOLERANCE_MM).map(mm => at(low.startMm + mm - top.topMm, array.rowCount ?? low.rowsThatFit)).filter(stack => stack.rowsThatFit >= low.rowsThatFit)
  const plain = pushedTo(ends(region, 'upper').reverse())
  const high = plain.length ? fullest(plain) : pushedTo(steps(upsideDown(region), low.rowsThatFit - 1).map(mm => -mm))[0] ?? low
  return { ...high, baseMm: high.startMm }
}

/** The stack on the region's lower line; a gap below the first row that somebody typed counts from the line's lowest point. */
function lowestStack(region: Region, { rows }: ArrayRules, at: (startMm: number) => Stack, steps: () => number[]): Stack {
  const lines = ends(region, 'lower')
  if ((rows[0]?.gapBelowMm ?? null) !== null) return at(lines[0]!)
  const plain = fullest(lines.map(mm => at(mm)))
  return plain.rowsThatFit ? plain : fullest([plain, ...steps().map(mm => at(mm))])
}

const upsideDown = (region: Region): Region => region.map(ring => ring.map(({ x, y }) => ({ x, y: -y })).reverse())

/** Heights of the corners of the region's lowest or highest line: one where it is true, several where it is a little out of level. */
function ends(region: Region, which: 'lower' | 'upper'): number[] {
  const { up } = bounds(region)!
  const tipMm = which === 'lower' ? up.fromMm : up.toMm
  const ring = region.find(one => one.some(point => point.y === tipMm))!
  const tip = ring.findIndex(point => point.y === tipMm)
  const found = new Set([tipMm])
  for (const step of [1, -1]) {
    const corner = (k: number) => ring[(tip + step * k + ring.length * 2) % ring.length]!
    for (let k = 1; k < ring.length && isLevel({ from: corner(k - 1), to: corner(k) }); k++) found.add(corner(k).y)
  }
  return [...found].sort((a, b) => a - b)
}

/** The stack that holds the most modules, the first of several. */
const fullest = (stacks: Stack[]): Stack => stacks.reduce((best, next) => holds(next) > holds(best) ? next : best)
const holds = ({ strips, rowsThatFit }: Stack): number => strips.slice(0, rowsThatFit).reduce((sum, strip) => sum + strip.fills, 0)

function stackAt(startMm: number, region: Region, array: ArrayRules, sizeOf: SizeOf, columnGapMm: number): Stack {
  const strips: Strip[] = []
  let rowsThatFit = 0
  let topMm = startMm
  for (let index = 0; index < (array.rowCount ?? MOST_ROWS); index++) {
    const rule = array.rows[index] ?? plainRow
    const orientation = rule.orientation ?? array.orientation
    const { widthMm, heightMm } = sizeOf(orientation)
    const bottomMm = topMm + (rule.gapBelowMm ?? (index === 0 ? 0 : array.rowGapMm))
    topMm = bottomMm + heightMm
    const free = freeIntervals(region, { fromMm: bottomMm, toMm: topMm })
    const fills = rule.held.length + besideHeld(free, rule.held, widthMm, columnGapMm).reduce((sum, one) => sum + modulesThatFit(spanOf(one), widthMm, columnGapMm), 0)
    const fits = fills > 0 && rowsThatFit === index
    if (fits) rowsThatFit++
    // A row that does not fit is still drawn when somebody asked for it, so that the finding can be seen.
    else if (array.rowCount === null) break
    strips.push({ rule: fills > 0 || rule.count !== null ? rule : { ...rule, count: 1 }, orientation, widthMm, heightMm, bottomMm, topMm, free, fills })
  }
  return { strips, rowsThatFit, startMm }
}
