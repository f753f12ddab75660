import { type Interval, contains, type Region, bounds } from '../../geometry'
import { breakpoints, distinct } from './breakpoints'
import { type RowGaps, type RowKind, stripCount } from './strip-count'

/** A row at its height. */
export interface PlacedRow { kind: RowKind, bottomMm: number, count: number }

/** Rows that nobody may move: others keep their gap from them. */
export type Band = Interval

export interface MostQuestion {
  region: Region
  kinds: RowKind[]
  gaps: RowGaps
  /** Heights of the lower edge at which a row of a kind may stand; null where any will do. */
  heights?: (kind: RowKind) => Interval[] | null
  locked?: Band[]
}

/** Heights looked at before an answer is no longer called the most there can be. */
const MOST_HEIGHTS = 60_000
const TOUCH_MM = 1e-6

/**
 * The most modules that rows hold, each row filling its strip freely, and the fewest rows among those. Exact: in some best
 * answer every row is pushed down until it stands at a height where its strip's count steps up, at the lower end of an
 * allowed stretch, above a locked row, or one gap above the row below, so only such heights and what stacks on them need be
 * looked at; the best of them is found by going up once.
 */
export function mostModules(question: MostQuestion): { rows: PlacedRow[], modules: number, proved: boolean } {
  const { region, kinds, gaps } = question
  const { heights, complete } = candidateHeights(question)
  /** Best so far with the last row standing no higher than here: in order of where the next row may begin. */
  const reached: { fromMm: number, value: number, chain: Chain | null }[] = [{ fromMm: -Infinity, value: 0, chain: null }]
  const pending: { fromMm: number, value: number, chain: Chain }[] = []
  for (const bottomMm of heights) {
    // Rows that end below here can now be built on, best first.
    pending.sort((a, b) => a.fromMm - b.fromMm)
    while (pending.length && pending[0]!.fromMm <= bottomMm + TOUCH_MM) {
      const next = pending.shift()!
      if (next.value > reached.at(-1)!.value) reached.push(next)
    }
    const below = reached.at(-1)!
    for (const kind of kinds) {
      if (!mayStand(question, kind, bottomMm)) continue
      const count = stripCount(region, kind, gaps, bottomMm)
      if (!count) continue
      pending.push({ fromMm: bottomMm + kind.heightMm + gaps.rowMm, value: below.value + count - ROW_COST, chain: { row: { kind, bottomMm, count }, before: below.chain } })
    }
  }
  const best = [...reached, ...pending].reduce((a, b) => b.value > a.value ? b : a)
  const rows: PlacedRow[] = []
  for (let link = best.chain; link; link = link.before) rows.unshift(link.row)
  return { rows, modules: rows.reduce((sum, row) => sum + row.count, 0), proved: complete }
}

interface Chain { row: PlacedRow, before: Chain | null }
/** A row costs less than any module is worth, so that among the most modules the fewest rows win. */
const ROW_COST = 1e-3

function mayStand({ region, heights, locked = [], gaps }: MostQuestion, kind: RowKind, bottomMm: number): boolean {
  const box = bounds(region)!
  const topMm = bottomMm + kind.heightMm
  if (topMm > box.up.toMm + 1e-3) return false
  if (locked.some(band => bottomMm < band.toMm + gaps.rowMm - TOUCH_MM && topMm > band.fromMm - gaps.rowMm + TOUCH_MM)) return false
  const allowed = heights?.(kind) ?? null
  return !allowed || allowed.some(one => contains(one, bottomMm))
}

/** Every height at which some row could begin, and what stacks on it. */
function candidateHeights(question: MostQuestion): { heights: number[], complete: boolean } {
  const { region, kinds, gaps, heights, locked = [] } = question
  const box = bounds(region)
  if (!box) return { heights: [], complete: true }
  const starts = kinds.flatMap(kind => [
    ...breakpoints(region, kind, gaps), ...(heights?.(kind) ?? []).map(one => one.fromMm), ...locked.map(band => band.toMm + gaps.rowMm),
  ])
  const lowest = Math.min(...kinds.map(kind => kind.heightMm))
  let all = distinct(starts).filter(mm => mm >= box.up.fromMm - 1e-3 && mm + lowest <= box.up.toMm + 1e-3)
  let newest = all
  while (newest.length && all.length < MOST_HEIGHTS) {
    const stacked = newest.flatMap(mm => kinds.map(kind => mm + kind.heightMm + gaps.rowMm)).filter(mm => mm + lowest <= box.up.toMm + 1e-3)
    const known = all
    all = distinct([...all, ...stacked])
    if (all.length === known.length) break
    const old = new Set(known)
    newest = all.filter(mm => !old.has(mm))
  }
  return { heights: all, complete: all.length < MOST_HEIGHTS }
}
