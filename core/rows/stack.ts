import { bounds, contains, freeIntervals, type Interval, type Region, spanOf } from '../geometry'
import { type ArrayRules, type Orientation, plainRow, type RowRule } from '../job'
import { isLevel } from '../roof'
import { besideHeld } from './blocks'
import { firstHeights, gapsOf, raisedTo, type RowHeights, type Stacked, stackedFrom } from './heights'
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
 * the rows stand at the heights nearest to it that do most. Where rails have to find lines of the covering or of its supports, rows wait for
 * the heights that give them some.
 */
export function stackStrips(region: Region, array: ArrayRules, sizeOf: SizeOf, columnGapMm: number, heights: RowHeights | null = null): Stacking {
  const plain = stackPlain(region, array, sizeOf, columnGapMm)
  const suits = ({ rule, orientation, heightMm, bottomMm }: Strip) => rule.gapBelowMm !== null || (someOf(heights!({ orientation, heightMm }))?.some(one => contains(one, bottomMm)) ?? true)
  if (!heights || plain.strips.slice(0, plain.rowsThatFit).every(suits)) return plain
  const box = bounds(region)!
  const at = (startMm: number) => stackAt(startMm, region, array, sizeOf, columnGapMm, heights)
  const low = lowestStack(region, array, at, () => stepsOf(region, array, 0, sizeOf, columnGapMm))
  if (!low.rowsThatFit) return plain
  const closed = (array.rows[0]?.gapBelowMm ?? null) === null ? closedUp(low, array, sizeOf, heights, ends(region, 'upper'), at) : null
  const waits = { withoutRows: plain.rowsThatFit }
  return closed ? { ...closed, baseMm: array.stackFrom === 'ridge' ? closed.startMm : box.up.fromMm, waits } : { ...low, baseMm: box.up.fromMm, waits }
}

/** Strips with how many rows hold modules; and, where they wait for lines of their rails, how many would stand without waiting. */
interface Stacking { strips: Strip[], rowsThatFit: number, baseMm: number, waits: { withoutRows: number } | null }

const stepsOf = (where: Region, array: ArrayRules, row: number, sizeOf: SizeOf, columnGapMm: number): number[] => {
  const orientation = array.rows[row]?.orientation ?? array.orientation
  return breakpoints(where, { orientation, ...sizeOf(orientation) }, { columnMm: columnGapMm, rowMm: 0 })
}

/** Rows one gap above the other, wherever their rails come to lie. */
function stackPlain(region: Region, array: ArrayRules, sizeOf: SizeOf, columnGapMm: number): Stacking {
  const box = bounds(region)
  if (!box) return { strips: [], rowsThatFit: 0, baseMm: 0, waits: null }
  const at = (startMm: number, rowCount = array.rowCount) => stackAt(startMm, region, { ...array, rowCount }, sizeOf, columnGapMm, null)
  const steps = (where: Region, row: number) => stepsOf(where, array, row, sizeOf, columnGapMm)
  const low = lowestStack(region, array, at, () => steps(region, 0))
  const top = low.strips[low.rowsThatFit - 1]
  if (array.stackFrom !== 'ridge' || !top) return { ...low, baseMm: box.up.fromMm, waits: null }
  const pushedTo = (tops: number[]) => tops.filter(mm => mm - top.topMm > FIT_TOLERANCE_MM).map(mm => at(low.startMm + mm - top.topMm, array.rowCount ?? low.rowsThatFit)).filter(stack => stack.rowsThatFit >= low.rowsThatFit)
  const plain = pushedTo(ends(region, 'upper').reverse())
  const high = plain.length ? fullest(plain) : pushedTo(steps(upsideDown(region), low.rowsThatFit - 1).map(mm => -mm))[0] ?? low
  return { ...high, baseMm: high.startMm, waits: null }
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

/** Lines that leave no height at all limit nothing here: a finding says that they can't be met. */
const someOf = (allowed: Interval[] | null): Interval[] | null => allowed?.length ? allowed : null

/**
 * The stack whose gaps come to least among those with no fewer rows and modules than the one on the lower line: the lowest of several, or
 * the highest where rows begin at the ridge. Null where no row needs to wait for its height.
 */
function closedUp(low: Stack, array: ArrayRules, sizeOf: SizeOf, heights: RowHeights, tops: number[], at: (startMm: number) => Stack): Stack | null {
  const rows = low.strips.slice(0, low.rowsThatFit).map(({ rule, orientation, heightMm }): Stacked => ({
    allowed: someOf(heights({ orientation, ...sizeOf(orientation) })), heightMm, gapMm: rule.gapBelowMm ?? array.rowGapMm, typed: rule.gapBelowMm !== null,
  }))
  if (rows.every(row => row.allowed === null)) return null
  const least = rows.reduce((sum, row, i) => sum + row.heightMm + (i ? row.gapMm : 0), 0)
  const tries = tops.flatMap(topMm => firstHeights(rows, low.startMm, topMm - least)).flatMap((startMm) => {
    const bottoms = stackedFrom(startMm, rows)
    return bottoms ? [{ startMm, gapMm: gapsOf(bottoms, rows) }] : []
  }).sort((a, b) => a.gapMm - b.gapMm || (array.stackFrom === 'ridge' ? b.startMm - a.startMm : a.startMm - b.startMm))
  for (const { startMm } of tries) {
    const stack = at(startMm)
    if (stack.rowsThatFit >= low.rowsThatFit && holds(stack) >= holds(low)) return eased(stack, rows, at)
  }
  return null
}

/** Rails come to lie a little inside their reach where the whole stack can rise without opening a gap: so much at most, mm. */
const EASED_MM = 25

/** A stack raised by half of what it may rise as it stands, so that no rail lies at the very end of its reach. */
function eased(stack: Stack, rows: Stacked[], at: (startMm: number) => Stack): Stack {
  const slackMm = Math.min(...stack.strips.slice(0, rows.length).map((strip, i) => (rows[i]!.allowed ?? []).find(one => contains(one, strip.bottomMm))?.toMm ?? Infinity).map((toMm, i) => toMm - stack.strips[i]!.bottomMm))
  const byMm = Math.min(slackMm / 2, EASED_MM)
  if (!(byMm > 0.5)) return stack
  const raised = at(stack.startMm + byMm)
  const total = (one: Stack) => one.strips.slice(1, rows.length).reduce((sum, strip, i) => sum + strip.bottomMm - one.strips[i]!.topMm, 0)
  return raised.rowsThatFit >= stack.rowsThatFit && holds(raised) >= holds(stack) && total(raised) <= total(stack) + 1e-6 ? raised : stack
}

function stackAt(startMm: number, region: Region, array: ArrayRules, sizeOf: SizeOf, columnGapMm: number, heights: RowHeights | null): Stack {
  const strips: Strip[] = []
  let rowsThatFit = 0
  let topMm = startMm
  for (let index = 0; index < (array.rowCount ?? MOST_ROWS); index++) {
    const rule = array.rows[index] ?? plainRow
    const orientation = rule.orientation ?? array.orientation
    const { widthMm, heightMm } = sizeOf(orientation)
    const plainMm = topMm + (rule.gapBelowMm ?? (index === 0 ? 0 : array.rowGapMm))
    const allowed = rule.gapBelowMm !== null || !heights ? null : heights({ orientation, heightMm })
    const raisedMm = allowed?.length ? raisedTo(allowed, plainMm) : plainMm
    // A gap that somebody typed stands; where no height is left a row that was asked for stands as if there were no lines, for a finding to say so.
    if (raisedMm === null && array.rowCount === null) break
    const bottomMm = raisedMm ?? plainMm
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
