import type { Point } from '../../geometry'
import { type ArrayPart, cellFinder } from '../cells'
import type { Draft, TURN } from './order'

/** What lies between modules: joints both ways, crossings where four meet, and a cap at the foot of each line of upright joints. */
export function jointsOf(part: ArrayPart, turns: (typeof TURN)['row']): Draft[] {
  const at = cellFinder(part)
  return part.cells.flatMap((cell): Draft[] => {
    const { row, column } = cell
    const [right, above, across] = [at(row, column + 1), at(row + 1, column), at(row + 1, column + 1)]
    const own = { name: null, side: null, lengthMm: null, row: part.firstRow + row }
    const jointFoot = right && !(at(row - 1, column) && at(row - 1, column + 1))
    return [
      ...(right
        ? [{ ...own, kind: 'joint-up' as const, from: { x: cell.rightMm, y: cell.bottomMm }, to: { x: right.leftMm, y: cell.topMm }, turn: turns.joint }]
        : []),
      ...(jointFoot
        ? [{ ...own, kind: 'joint-cap' as const, from: { x: cell.rightMm, y: cell.bottomMm }, to: { x: right.leftMm, y: cell.bottomMm }, turn: turns.joint }]
        : []),
      ...(above
        ? [
            {
              ...own,
              kind: 'joint-across' as const,
              from: { x: cell.leftMm, y: cell.topMm },
              to: { x: cell.rightMm, y: above.bottomMm },
              row: own.row + 1,
              turn: turns.below,
            },
          ]
        : []),
      ...(right && above && across
        ? [
            {
              ...own,
              kind: 'joint-crossing' as const,
              from: { x: cell.rightMm, y: cell.topMm },
              to: { x: right.leftMm, y: above.bottomMm },
              row: own.row + 1,
              turn: turns.across,
            },
          ]
        : []),
    ]
  })
}

/** Places where two modules meet at a corner only. */
export function pinchesOf(part: ArrayPart): Point[] {
  const at = cellFinder(part)
  return part.cells.flatMap(({ row, column, rightMm, leftMm, topMm }) => [
    ...(at(row + 1, column + 1) && !at(row, column + 1) && !at(row + 1, column) ? [{ x: rightMm, y: topMm }] : []),
    ...(at(row + 1, column - 1) && !at(row, column - 1) && !at(row + 1, column) ? [{ x: leftMm, y: topMm }] : []),
  ])
}
