import type { FlashSchool } from '../../job'
import type { ArrayPart } from '../cells'
import { type Kit, type KitStep, type Piece, pieceLetters } from './pieces'

export type Draft = Omit<Piece, 'mark' | 'step'> & { /** Row from the eave to which it belongs, and where in a row's work it comes. */ row: number, turn: number }

/** Where in a row's work a piece is laid, by school: with its module, or slid in when the row lies. */
export const TURN: Record<FlashSchool, Record<'below' | 'joint' | 'side' | 'across' | 'above', number>> = {
  module: { below: 0, joint: 1, side: 1, across: 2, above: 3 },
  row: { below: 0, joint: 2, side: 2, across: 3, above: 4 },
}

/** Gives pieces their marks along the face from the eave up, and the work its steps: row by row, from the left. */
export function ordered(drafts: Draft[], parts: ArrayPart[], school: FlashSchool): Pick<Kit, 'pieces' | 'steps'> {
  const sorted = [...drafts].sort(
    (a, b) =>
      a.row - b.row
      || a.turn - b.turn
      || Math.min(a.from.x, a.to.x) - Math.min(b.from.x, b.to.x)
      || Number(b.lengthMm === null) - Number(a.lengthMm === null)
      || Math.min(a.from.y, a.to.y) - Math.min(b.from.y, b.to.y),
  )
  const numbers = new Map<string, number>()
  const pieces: Piece[] = []
  const steps: KitStep[] = []
  const modulesOf = (row: number) => parts.flatMap(part => part.cells.filter(cell => part.firstRow + cell.row === row))
  const rows = Math.max(...parts.flatMap(part => part.cells.map(cell => part.firstRow + cell.row)), -1) + 1
  const step = (words: string, own: Draft[]) => {
    const number = steps.length + 1
    const marks = own.map(({ row: _, turn: __, ...draft }) => {
      const letter = pieceLetters[draft.kind]
      const n = (numbers.get(letter) ?? 0) + 1
      numbers.set(letter, n)
      pieces.push({ ...draft, mark: `${letter}${n}`, step: number })
      return `${letter}${n}`
    })
    steps.push({ number, words, marks })
  }
  for (let row = 0; row < rows; row++) {
    const own = sorted.filter(one => one.row === row)
    const count = modulesOf(row).length
    const at = (turn: number) => own.filter(one => one.turn === turn)
    const name = `row ${row + 1}`
    if (at(0).length)
      step(
        row === 0 ? 'Bottom flashing and corners, from the left, over the course below' : `Under ${name}: level joints, and bottom flashing where it begins anew`,
        at(0),
      )
    if (school === 'module') {
      if (count) step(`Modules of ${name} from the left, each with its joint, and its side where the row ends, before the next`, at(1))
      if (at(2).length) step(`Crossings under ${name}`, at(2))
      if (at(3).length) step(`Top flashing and corners of ${name}, under the course above`, at(3))
    }
    else {
      if (count) step(`Modules of ${name} from the left`, [])
      if (at(2).length) step(`Joints of ${name} slid in from above, sides at its ends`, at(2))
      if (at(3).length) step(`Crossings under ${name}`, at(3))
      if (at(4).length) step(`Top flashing and corners of ${name}, under the course above`, at(4))
    }
  }
  return { pieces, steps }
}
