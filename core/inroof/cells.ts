import type { Orientation } from '../job'

/** One module in its place: its row and column in its own part of the array, and its rectangle, mm on the face. */
export interface Cell { id: string, row: number, column: number, leftMm: number, rightMm: number, bottomMm: number, topMm: number }

/** A part of the array whose modules lie one way up on one grid. */
export interface ArrayPart {
  /** From the eave, 0 first. */
  index: number
  orientation: Orientation
  /** Rows of the whole array, 0 first, that are this part's. */
  firstRow: number
  pitchXMm: number
  pitchYMm: number
  cells: Cell[]
}

const keyOf = (row: number, column: number): string => `${row} ${column}`

/** Cells of a part by row and column. */
export function cellFinder({ cells }: Pick<ArrayPart, 'cells'>): (row: number, column: number) => Cell | undefined {
  const byPlace = new Map(cells.map(cell => [keyOf(cell.row, cell.column), cell]))
  return (row, column) => byPlace.get(keyOf(row, column))
}
