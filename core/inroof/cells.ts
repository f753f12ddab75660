import type { Obstruction, Orientation } from '../job'

/** A rectangle on the face, mm. */
export interface Box { leftMm: number, rightMm: number, bottomMm: number, topMm: number }

/** Shortest distance between two rectangles, mm; 0 where they touch or overlap. */
export const clearBetween = (a: Box, b: Box): number =>
  Math.hypot(Math.max(a.leftMm - b.rightMm, b.leftMm - a.rightMm, 0), Math.max(a.bottomMm - b.topMm, b.bottomMm - a.topMm, 0))

export const boxOf = ({ xMm, yMm, widthMm, heightMm }: Obstruction): Box =>
  ({ leftMm: xMm - widthMm / 2, rightMm: xMm + widthMm / 2, bottomMm: yMm - heightMm / 2, topMm: yMm + heightMm / 2 })

/** One module in its place: its row and column in its own part of the array, and its rectangle. */
export interface Cell extends Box { id: string, row: number, column: number }

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
