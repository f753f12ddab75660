import type { Face } from '../job'
import { moduleId } from '../rows'
import type { ArrayPart, Cell } from './cells'

/** A part with some of its modules, named by their row and place in it. */
function keeping(part: ArrayPart, keep: (cell: Cell) => boolean): ArrayPart {
  const rows = [...new Set(part.cells.map(cell => cell.row))].sort((a, b) => a - b)
  return {
    ...part,
    cells: rows.flatMap(row =>
      part.cells
        .filter(cell => cell.row === row && keep(cell))
        .sort((a, b) => a.column - b.column)
        .map((cell, place) => ({ ...cell, id: moduleId(part.firstRow + row, place) })),
    ),
  }
}

/** Without the places that somebody left empty, counted from the left over the whole row. */
export const withoutSkipped = (parts: ArrayPart[], rules: Face['array']['rows']): ArrayPart[] =>
  parts
    .map((part) => {
      const placeIn = (cell: Cell) => part.cells.filter(one => one.row === cell.row && one.column <= cell.column).length
      return keeping(part, cell => !(rules[part.firstRow + cell.row]?.skip ?? []).includes(placeIn(cell)))
    })
    .filter(part => part.cells.length)

export const modulesIn = (parts: ArrayPart[]): number => parts.reduce((sum, part) => sum + part.cells.length, 0)

/**
 * No more modules than are wanted. The last ones of the top row go where what is left still ends on courses; else whole columns from the
 * right, or rows from the top and then columns, whichever leaves the most of them on courses.
 */
export function withinMost(parts: ArrayPart[], most: number | null, off: (parts: ArrayPart[]) => number): ArrayPart[] {
  if (most === null || modulesIn(parts) <= most) return parts
  const rowOf = (part: ArrayPart, cell: Cell) => part.firstRow + cell.row
  const only = (keep: (part: ArrayPart, cell: Cell) => boolean) => parts.map(part => keeping(part, cell => keep(part, cell))).filter(part => part.cells.length)
  const inOrder = parts
    .flatMap(part => part.cells.map(cell => ({ id: cell.id, row: rowOf(part, cell), column: cell.column })))
    .sort((a, b) => a.row - b.row || a.column - b.column)
  const first = new Set(inOrder.slice(0, most).map(one => one.id))
  const rows = [...new Set(inOrder.map(one => one.row))].sort((a, b) => b - a)
  const columns = [...new Set(inOrder.map(one => one.column))].sort((a, b) => b - a)
  const tries = [
    only((_, cell) => first.has(cell.id)),
    ...rows.flatMap(top => columns.map(last => only((part, cell) => rowOf(part, cell) <= top && cell.column <= last))),
  ]
  return tries
    .filter(own => modulesIn(own) <= most)
    .reduce((best, next) => {
      const [a, b] = [off(best), off(next)]
      return (a > 0 && b === 0) || ((a === 0) === (b === 0) && modulesIn(next) > modulesIn(best)) ? next : best
    })
}
