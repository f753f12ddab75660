import { edgeBeyond, marginsOf, shapeOf } from '../roof'
import { type Ask, evenGaps, inBuildOrder, type MarkStep, type StepMaker } from '../trade'
import { formatQuantity, length, torque } from '../units'
import type { RowsLayout } from './layout'
import { moduleId } from './module-id'
import { squareFor } from './square'

type RowsAsk = Ask<RowsLayout>

/** The first row that is struck and those that carry modules; null where there is no row. */
function struck({ face, plan: { rows: { rows } } }: RowsAsk) {
  if (!rows.length) return null
  const downward = face.array.stackFrom === 'ridge'
  const first = downward ? rows.at(-1)! : rows[0]!
  const carrying = rows.filter(row => row.count > 0)
  return { downward, first, carrying, top: carrying.at(-1) ?? first, lowest: rows[0]! }
}

/** Whether the corner from which all rows are struck is square. */
export function squareSteps(ask: RowsAsk, make: StepMaker): MarkStep[] {
  const rows = struck(ask)
  if (!rows) return []
  const { face, job: { units } } = ask
  const { downward, first, top, lowest } = rows
  const corner = face.datum === 'left' ? first.leftMm : first.rightMm
  // Beside a hip the face ends sooner above the row's corner than in the middle.
  const room = edgeBeyond(shapeOf(face.outline), { x: corner, y: downward ? first.topMm : first.bottomMm }, downward ? 'down' : 'up') ?? 0
  const square = squareFor(first.rightMm - first.leftMm, Math.min(room, downward ? first.topMm - lowest.bottomMm : top.topMm - first.bottomMm), units)
  if (!square) return []
  return [make({
    id: 'square', kind: 'square', title: 'Square', tape: 'along', lineMm: downward ? first.topMm : first.bottomMm,
    instruction: `From the first row’s corner measure along its line and ${downward ? 'down' : 'up'} the slope. The diagonal between both proves the corner square; a row laid to a corner that is not drifts.`,
    marks: [{ label: 'Corner of the row', mm: corner }, { label: 'Along the line', mm: corner + (face.datum === 'left' ? 1 : -1) * square.alongMm }],
    checks: [
      { label: `${downward ? 'Down' : 'Up'} the slope from the corner`, value: length(square.upMm), note: '' },
      { label: 'Diagonal between the two', value: length(square.diagonalMm), note: '3 : 4 : 5' },
    ],
  })]
}

/** The line that every other row follows. */
export function firstRowSteps(ask: RowsAsk, make: StepMaker): MarkStep[] {
  const rows = struck(ask)
  if (!rows) return []
  const { downward, first } = rows
  return [make({
    id: 'first-row', kind: 'first-row', title: 'First row', tape: 'up', lineMm: null,
    instruction: downward ? 'Snap the upper edge of the top row dead straight: every other row follows it down. Check it at both ends.' : 'Snap the lower edge dead straight: every other row follows it. Check it at both ends.',
    marks: [downward ? { label: `Upper edge of row ${first.index + 1}`, mm: first.topMm } : { label: 'Lower edge of row 1', mm: first.bottomMm }],
  })]
}

/** The edges of all rows, with what is left beside them. */
export function rowSteps(ask: RowsAsk, make: StepMaker): MarkStep[] {
  const found = struck(ask)
  if (!found) return []
  const { face, plan: { rows: { rows } } } = ask
  const { first, carrying, top } = found
  return [make({
    id: 'rows', kind: 'rows', title: 'Row edges', tape: 'up', lineMm: null, instruction: 'Lower and upper edges of all rows.',
    marks: rows.flatMap(row => [{ label: `Row ${row.index + 1}, lower edge`, mm: row.bottomMm }, { label: `Row ${row.index + 1}, upper edge`, mm: row.topMm }]),
    checks: carrying.flatMap(row => marginsOf(face, row, `Row ${row.index + 1}`, row === top)).map(({ label, mm }) => ({ label, value: length(mm), note: 'Margin' })),
    gauge: rows.length > 1 && rows.every(row => row.moduleHeightMm === first.moduleHeightMm) && evenGaps(rows.map(row => row.bottomMm))
      ? { what: 'module and gap up the slope', lengthMm: rows[1]!.bottomMm - rows[0]!.bottomMm, steps: rows.length - 1 }
      : null,
  })]
}

/**
 * Where each row's modules begin and end; between the two a stick is stepped. Only a row whose modules don't follow at one distance
 * has all its edges marked.
 */
export function moduleSteps({ face, job: { units }, plan: { rows: { rows, columnGapMm }, parts: { clamps } } }: RowsAsk, make: StepMaker): MarkStep[] {
  const left = face.datum === 'left'
  return inBuildOrder(face, rows).map((row) => {
    const { moduleWidthMm } = row
    const edge = (leftMm: number, side: string) => {
      const place = row.moduleLeftsMm.indexOf(leftMm)
      return { label: `Module ${place + 1}, ${side} edge`, of: { kind: 'module' as const, id: moduleId(row.index, place) } }
    }
    const even = row.blocks.every(block => evenGaps(block.moduleLeftsMm))
    const ends = row.blocks.flatMap((block) => {
      const [first, last] = [block.moduleLeftsMm[0]!, block.moduleLeftsMm.at(-1)!]
      const edges = [{ ...edge(first, 'left'), mm: first }, { ...edge(last, 'right'), mm: last + moduleWidthMm }]
      return left ? edges : edges.reverse()
    })
    return make({
      id: `modules-row${row.index + 1}`, kind: 'modules', title: `Modules, row ${row.index + 1}`, tape: 'along', lineMm: row.bottomMm,
      instruction: `Set about three, measure both ends to the ridge, then go on. ${face.inRoof ? 'Each is screwed and flashed by the order of the kit before the next covers it.' : `Clamps: nip, then ${formatQuantity(torque(clamps.torqueNm), units)} with the torque wrench.`}`,
      marks: even ? ends : row.moduleLeftsMm.flatMap(leftMm => [{ ...edge(leftMm, 'left'), mm: leftMm }, { ...edge(leftMm, 'right'), mm: leftMm + moduleWidthMm }]),
      gauge: even && row.blocks.length === 1 && row.count > 1 ? { what: 'module and gap along the eave', lengthMm: moduleWidthMm + columnGapMm, steps: row.count - 1 } : null,
    })
  })
}
