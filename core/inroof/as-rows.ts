import type { InRoof, Module } from '../catalogue'
import type { Face } from '../job'
import { moduleSize, type RowPlan, type RowsPlan } from '../rows'
import { count } from '../units'
import type { ArrayPart, Cell } from './cells'
import type { SetOutProof } from './layout'
import { triedWords } from './words'

/** The array's rows as all arrays have them. */
export function rowsOf(parts: ArrayPart[], { face, module, system }: { face: Face, module: Module, system: InRoof }, proof: SetOutProof | null): RowsPlan {
  const size = moduleSize(module, face.array.orientation)
  const last = Math.max(...parts.flatMap(part => part.cells.map(cell => part.firstRow + cell.row)), -1)
  const rows = Array.from({ length: last + 1 }, (_, index): RowPlan => {
    const part = parts.find(one => one.cells.some(cell => one.firstRow + cell.row === index)) ?? parts.findLast(one => one.firstRow <= index)!
    const cells = part.cells.filter(cell => part.firstRow + cell.row === index).sort((a, b) => a.column - b.column)
    const { widthMm, heightMm } = moduleSize(module, part.orientation)
    const bottomMm = part.cells[0]!.bottomMm + (index - part.firstRow - part.cells[0]!.row) * part.pitchYMm
    const runs: Cell[][] = []
    for (const cell of cells) {
      if (runs.at(-1)?.at(-1)!.column === cell.column - 1) runs.at(-1)!.push(cell)
      else runs.push([cell])
    }
    const lefts = cells.map(cell => cell.leftMm)
    return {
      index,
      count: cells.length,
      fills: cells.length,
      held: false,
      locked: false,
      orientation: part.orientation,
      moduleWidthMm: widthMm,
      moduleHeightMm: heightMm,
      heldModules: 0,
      free: null,
      fits: true,
      moduleLeftsMm: lefts,
      leftMm: cells[0]?.leftMm ?? part.cells[0]!.leftMm,
      rightMm: cells.at(-1)?.rightMm ?? part.cells[0]!.leftMm,
      bottomMm,
      topMm: bottomMm + heightMm,
      blocks: runs.map(own => ({
        count: own.length,
        leftMm: own[0]!.leftMm,
        rightMm: own.at(-1)!.rightMm,
        free: null,
        fits: true,
        moduleLeftsMm: own.map(cell => cell.leftMm),
      })),
      working: {
        what: `Modules of row ${index + 1}`,
        formula: 'of all origins the one that holds the most',
        values: [{ symbol: 't', what: 'origins tried', value: count(proof?.tried ?? 0, 'origins') }],
        result: count(cells.length, cells.length === 1 ? 'module' : 'modules'),
        source: proof ? triedWords(proof) : 'No origin was tried',
        basis: 'arithmetic',
      },
    }
  })
  return {
    rows,
    moduleWidthMm: size.widthMm,
    moduleHeightMm: size.heightMm,
    columnGapMm: system.columnGapMm,
    rowsThatFit: rows.filter(row => row.count).length,
    waits: null,
    baseMm: rows[0]?.bottomMm ?? 0,
    slack: null,
  }
}
