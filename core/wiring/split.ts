import type { BranchSchool } from '../job'

/** One unit as it stands in its row; rows count over the whole group, face by face. */
export interface UnitAt { row: number }

export interface SplitAsk {
  /** Units in each row, left to right, and the rows in the order in which a trunk could run from one to the next. */
  rows: number[][]
  most: number
  /** Cable from one unit to the next, and from a unit to the roof box, mm. */
  stepMm: (a: number, b: number) => number
  homeMm: (unit: number) => number
  /** Whether the home run leaves from the middle of a branch, or from the end that is nearer to the box. */
  fedInside: boolean
}

export interface Split {
  /** Units of each branch in the order in which its trunk runs. */
  branches: number[][]
  /** Cable on the roof: along all branches and from each to the roof box, mm. */
  cableMm: number
  /** Whether nothing of the same school has less cable along any of the routes tried; whole rows packed out of order are not compared. */
  proved: boolean
}

/** Routes through the rows: from below or above, from left or right, there and back or always the same way. */
export function routesThrough(rows: number[][]): number[][] {
  const there = (flip: (i: number) => boolean, from: number[][]) => from.flatMap((row, i) => flip(i) ? [...row].reverse() : row)
  const seen = new Set<string>()
  return [rows, [...rows].reverse()].flatMap(from => [(i: number) => i % 2 === 1, (i: number) => i % 2 === 0, () => false, () => true].map(flip => there(flip, from))).filter((route) => {
    const key = route.join(' ')
    return !seen.has(key) && seen.add(key)
  })
}

/** Before which of so many units a trunk that is fed at its middle is joined: as many either way, or one more beyond. */
export const feedIndex = (units: number): number => Math.floor(units / 2)

/** What one stretch of a route costs as a branch. */
function stretchCosts(route: number[], { stepMm, homeMm, fedInside }: SplitAsk): (from: number, to: number) => number {
  const upTo = [0]
  route.slice(1).forEach((unit, i) => upTo.push(upTo[i]! + stepMm(route[i]!, unit)))
  const home = route.map(homeMm)
  return (from, to) => {
    const homeMm = fedInside ? home[from + feedIndex(to - from + 1)]! : Math.min(home[from]!, home[to]!)
    return upTo[to]! - upTo[from]! + homeMm
  }
}

/**
 * The cheapest cut of a route into `count` stretches whose lengths a rule allows: dynamic programming over where the last one begins, so
 * that no cut of this route is cheaper. Null where there is none.
 * @param allowed whether the stretch with this number, counted from 0, may have so many units
 */
function cheapestCut(route: number[], count: number, allowed: (size: number, stretch: number) => boolean, cost: (from: number, to: number) => number): { cuts: number[], mm: number } | null {
  const n = route.length
  let best: { mm: number, cuts: number[] }[] = Array.from({ length: n + 1 }, (_, i) => ({ mm: i === 0 ? 0 : Infinity, cuts: [] }))
  for (let stretch = 0; stretch < count; stretch++) {
    const next: typeof best = Array.from({ length: n + 1 }, () => ({ mm: Infinity, cuts: [] }))
    for (let to = 1; to <= n; to++) for (let from = 0; from < to; from++) {
      if (best[from]!.mm === Infinity || !allowed(to - from, stretch)) continue
      const mm = best[from]!.mm + cost(from, to - 1)
      if (mm < next[to]!.mm - 1e-9) next[to] = { mm, cuts: [...best[from]!.cuts, to] }
    }
    best = next
  }
  return best[n]!.mm === Infinity ? null : best[n]!
}

/** Past so many rows, and parts of rows, whole rows are packed in their order only. */
const MOST_PACKED = 14

/** Rows, those over the limit parted evenly, as the pieces that whole rows are packed from. */
const piecesOf = (rows: number[][], most: number): number[][] => rows.filter(row => row.length).flatMap((row) => {
  const parts = Math.ceil(row.length / most)
  return Array.from({ length: parts }, (_, i) => row.slice(Math.floor(i * row.length / parts), Math.floor((i + 1) * row.length / parts)))
})

/** The fewest branches that pieces can be packed into, each whole: exact over all subsets; null past the most that is tried. */
export function fewestPacked(sizes: number[], most: number): number[][] | null {
  const n = sizes.length
  if (n > MOST_PACKED) return null
  const full = (1 << n) - 1
  // For every set of pieces: the fewest branches, then the emptiest last one.
  const best: { count: number, open: number, last: number }[] = [{ count: 0, open: 0, last: -1 }]
  for (let set = 1; set <= full; set++) {
    best[set] = { count: Infinity, open: 0, last: -1 }
    for (let i = 0; i < n; i++) {
      if (!(set & (1 << i))) continue
      const before = best[set & ~(1 << i)]!
      const size = sizes[i]!
      const now = size <= before.open ? { count: before.count, open: before.open - size, last: i } : { count: before.count + 1, open: most - size, last: i }
      const than = best[set]!
      if (now.count < than.count || (now.count === than.count && now.open > than.open)) best[set] = now
    }
  }
  const order: number[] = []
  for (let set = full; set; set &= ~(1 << best[set]!.last)) order.unshift(best[set]!.last)
  const bins: number[][] = []
  let open = 0
  for (const i of order) {
    if (!bins.length || sizes[i]! > open) {
      bins.push([])
      open = most
    }
    bins.at(-1)!.push(i)
    open -= sizes[i]!
  }
  return bins
}

/** Whole rows to a branch, in the fewest branches; a row over the limit is parted evenly. */
function wholeRows(ask: SplitAsk): Split {
  const pieces = piecesOf(ask.rows, ask.most)
  const inOrder = pieces.length ? cheapestRows(pieces, ask) : { branches: [], cableMm: 0, proved: true }
  const packed = fewestPacked(pieces.map(piece => piece.length), ask.most)
  if (!packed || packed.length >= inOrder.branches.length) return inOrder
  const branches = packed.map(bin => bin.sort((a, b) => a - b).flatMap((at, i) => i % 2 ? [...pieces[at]!].reverse() : pieces[at]!))
  return { branches, cableMm: branches.reduce((sum, branch) => sum + stretchCosts(branch, ask)(0, branch.length - 1), 0), proved: false }
}

/** The cheapest way to take pieces in their order, as few branches as that allows. */
function cheapestRows(pieces: number[][], ask: SplitAsk): Split {
  let fewest = 0
  let open = 0
  for (const { length } of pieces) {
    if (length > open) {
      fewest++
      open = ask.most
    }
    open -= length
  }
  let best: Split | null = null
  for (const route of routesThrough(pieces)) {
    const owner = new Map(pieces.flatMap((piece, i) => piece.map(unit => [unit, i] as const)))
    const ends = new Set(route.flatMap((unit, i) => owner.get(unit) === owner.get(route[i + 1] ?? -1) ? [] : [i + 1]))
    const cost = stretchCosts(route, ask)
    const cut = cheapestCut(route, fewest, size => size <= ask.most, (from, to) => ends.has(to + 1) ? cost(from, to) : Infinity)
    if (cut && (!best || cut.mm < best.cableMm - 1e-9)) best = { branches: branchesAt(route, cut.cuts), cableMm: cut.mm, proved: true }
  }
  return best!
}

const branchesAt = (route: number[], cuts: number[]): number[][] => cuts.map((to, i) => route.slice(cuts[i - 1] ?? 0, to))

/**
 * Splits rows into branches by a school, every branch a stretch of one route through the rows. "Fill" takes full branches and then the rest,
 * "even" the fewest branches as alike as can be, "least" the least cable among those with the fewest branches, "rows" whole rows.
 */
export function splitBy(school: BranchSchool, ask: SplitAsk): Split {
  const n = ask.rows.reduce((sum, row) => sum + row.length, 0)
  if (!n) return { branches: [], cableMm: 0, proved: true }
  if (ask.most < 1) return { branches: [ask.rows.flat()], cableMm: 0, proved: false }
  if (school === 'rows') return wholeRows(ask)
  const count = Math.ceil(n / ask.most)
  const allowed: Record<Exclude<BranchSchool, 'rows'>, (size: number, stretch: number) => boolean> = {
    fill: (size, stretch) => size === (stretch < count - 1 ? ask.most : n - ask.most * (count - 1)),
    even: size => size === Math.floor(n / count) || size === Math.ceil(n / count),
    least: size => size <= ask.most,
  }
  let best: Split | null = null
  for (const route of routesThrough(ask.rows)) {
    const cut = cheapestCut(route, count, allowed[school], stretchCosts(route, ask))
    if (cut && (!best || cut.mm < best.cableMm - 1e-9)) best = { branches: branchesAt(route, cut.cuts), cableMm: cut.mm, proved: true }
  }
  return best!
}
