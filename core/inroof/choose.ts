/** Which places of a grid carry modules: by column, one bit a row, the lowest row first. */
export type Columns = Map<number, number>

const bit = (mask: number, row: number): boolean => row >= 0 && (mask >> row & 1) === 1

/** How many ones a mask has. */
export function ones(mask: number): number {
  let n = 0
  for (let rest = mask; rest; rest &= rest - 1) n++
  return n
}

/**
 * Of each run of places one above another the longest part that begins where a lower edge may lie and ends where an upper edge may; the
 * lowest of several.
 */
function runsOf(mask: number, rows: number, begins: number, ends: number): number {
  let kept = 0
  for (let from = 0; from < rows; from++) {
    if (!bit(mask, from)) continue
    let to = from
    while (bit(mask, to + 1)) to++
    let [best, bestFrom] = [0, 0]
    for (let low = from; low <= to; low++) {
      if (!bit(begins, low)) continue
      for (let high = to; high - low + 1 > best; high--) {
        if (!bit(ends, high)) continue
        best = high - low + 1
        bestFrom = low
      }
    }
    for (let row = bestFrom; row < bestFrom + best; row++) kept |= 1 << row
    from = to
  }
  return kept
}

/** The run of a column that a row lies in, as a mask. */
function runAt(mask: number, row: number): number {
  let run = 0
  for (let at = row; bit(mask, at); at++) run |= 1 << at
  for (let at = row - 1; bit(mask, at); at--) run |= 1 << at
  return run
}

/** Columns between which two modules meet at a corner only, with the row below it: no kit has a corner for that. */
export function pinches(cells: Columns): { column: number, row: number }[] {
  const found: { column: number, row: number }[] = []
  for (const [column, mask] of cells) {
    const right = cells.get(column + 1) ?? 0
    const only = [mask & ~right, right & ~mask] as const
    const meets = only[0] & only[1] >> 1 | only[1] & only[0] >> 1
    for (let row = 0; meets >> row; row++) if (bit(meets, row)) found.push({ column, row })
  }
  return found
}

/** Leaves out the shorter of two runs that meet at a corner, until none do. */
function unpinched(cells: Columns): Columns {
  for (;;) {
    const [pinch] = pinches(cells)
    if (!pinch) return cells
    const { column, row } = pinch
    const [left, right] = [cells.get(column)!, cells.get(column + 1)!]
    const runs = [runAt(left, bit(left, row) ? row : row + 1), runAt(right, bit(right, row) ? row : row + 1)] as const
    const drop = ones(runs[0]) < ones(runs[1]) ? 0 : 1
    cells.set(column + drop, (drop ? right : left) & ~runs[drop])
  }
}

/** How many places carry modules. */
export const countOf = (cells: Columns): number => [...cells.values()].reduce((n, mask) => n + ones(mask), 0)

/** The places that carry modules: all that fit, as far as edges find their courses; and how many they were before those that meet at a corner only were left out. */
export function chosen(fits: Columns, rows: number, begins: number, ends: number, known: Map<number, number>): { cells: Columns, before: number } {
  const cells: Columns = new Map()
  for (const [column, mask] of fits) {
    let kept = known.get(mask)
    if (kept === undefined) known.set(mask, kept = runsOf(mask, rows, begins, ends))
    if (kept) cells.set(column, kept)
  }
  const before = countOf(cells)
  return { cells: unpinched(cells), before }
}

/** The largest rectangle of places that fit, for a kit that can't turn inwards: the lowest, farthest left of several. */
export function rectangleOf(fits: Columns, rows: number, begins: number, ends: number): Columns {
  let best: { from: number, to: number, mask: number, count: number } | null = null
  const columns = [...fits.keys()].sort((a, b) => a - b)
  for (let low = 0; low < rows; low++) {
    if (!bit(begins, low)) continue
    for (let high = low; high < rows; high++) {
      if (!bit(ends, high)) continue
      const mask = (1 << high + 1) - (1 << low)
      let from: number | null = null
      for (const column of columns) {
        const whole = (fits.get(column)! & mask) === mask
        if (!whole) from = null
        else from = from !== null && fits.has(column - 1) ? from : column
        if (from === null) continue
        const count = (column - from + 1) * (high - low + 1)
        if (!best || count > best.count) best = { from, to: column, mask, count }
      }
    }
  }
  const cells: Columns = new Map()
  if (best) for (let column = best.from; column <= best.to; column++) cells.set(column, best.mask)
  return cells
}

/** Corners of the outline: places where one or three of four neighbouring places carry a module. */
export function cornersOf(cells: Columns, rows: number): number {
  if (!cells.size) return 0
  let n = 0
  for (const column of new Set([...cells.keys()].flatMap(one => [one - 1, one]))) {
    const [left, right] = [cells.get(column) ?? 0, cells.get(column + 1) ?? 0]
    for (let row = -1; row < rows; row++) if ((Number(bit(left, row)) + Number(bit(right, row)) + Number(bit(left, row + 1)) + Number(bit(right, row + 1))) % 2) n++
  }
  return n
}
