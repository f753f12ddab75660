import { signedAreaMm2, type Point } from '../geometry'
import { type ArrayPart, type Cell, cellFinder } from './cells'

export type EdgeSide = 'bottom' | 'right' | 'top' | 'left'

/** A straight stretch of an array's outline, with the modules along it, in the direction in which the outline is walked: the array on its left hand. */
export interface Run { side: EdgeSide, from: Point, to: Point, lengthMm: number, cells: Cell[] }
/** Where two runs meet: an outer corner, or an inner one as at a step or a hole. The sides are those before and after it. */
export interface Corner { at: Point, inner: boolean, before: EdgeSide, after: EdgeSide }
/** One closed walk: round an array, or round a hole in it. */
export interface Loop { hole: boolean, runs: Run[], corners: Corner[], points: Point[] }

const NEXT: Record<EdgeSide, [number, number]> = { bottom: [0, 1], right: [1, 0], top: [0, -1], left: [-1, 0] }
/** The corner of the grid, as row and column, at which a module's side begins on the walk. */
const BEGIN: Record<EdgeSide, [number, number]> = { bottom: [0, 0], right: [0, 1], top: [1, 1], left: [1, 0] }
/** Which side lies across a module's own: none beside it there means the side is open. */
const ACROSS: Record<EdgeSide, [number, number]> = { bottom: [-1, 0], right: [0, 1], top: [1, 0], left: [0, -1] }
const ORDER: EdgeSide[] = ['bottom', 'right', 'top', 'left']
const turn = (before: EdgeSide, after: EdgeSide): number => (ORDER.indexOf(after) - ORDER.indexOf(before) + 4) % 4

interface Step { side: EdgeSide, cell: Cell, from: string, to: string }
const node = (row: number, column: number): string => `${row}:${column}`

/** Walks every outline of one part, holes too: the runs in order, and the corners between them. Where modules meet at a corner only, each keeps its own side. */
export function outlinesOf(part: ArrayPart): Loop[] {
  const at = cellFinder(part)
  const steps: Step[] = part.cells.flatMap(cell => ORDER.flatMap((side): Step[] => {
    const [up, right] = ACROSS[side]
    if (at(cell.row + up, cell.column + right)) return []
    const [row, column] = [cell.row + BEGIN[side][0], cell.column + BEGIN[side][1]]
    return [{ side, cell, from: node(row, column), to: node(row + NEXT[side][0], column + NEXT[side][1]) }]
  }))
  const leaving = new Map<string, Step[]>()
  for (const step of steps) leaving.set(step.from, [...leaving.get(step.from) ?? [], step])
  const done = new Set<Step>()
  return steps.flatMap((first) => {
    if (done.has(first)) return []
    const walk: Step[] = []
    for (let step = first; !done.has(step);) {
      done.add(step)
      walk.push(step)
      const ways = leaving.get(step.to)!.filter(one => !done.has(one))
      // At a place where two modules meet at a corner the walk keeps to its own module: it turns left.
      step = ways.find(one => turn(step.side, one.side) === 1) ?? ways[0] ?? first
    }
    return [loopOf(walk)]
  })
}

function loopOf(walk: Step[]): Loop {
  // Begin where the side changes, so that no run is cut in two.
  const start = walk.findIndex((step, i) => step.side !== walk.at(i - 1)!.side)
  const ordered = [...walk.slice(start), ...walk.slice(0, start)]
  const groups: Step[][] = []
  for (const step of ordered) {
    if (groups.at(-1)?.[0]!.side === step.side) groups.at(-1)!.push(step)
    else groups.push([step])
  }
  const line = (group: Step[]): number => {
    const { side, cell } = group[0]!
    return side === 'bottom' ? cell.bottomMm : side === 'top' ? cell.topMm : side === 'left' ? cell.leftMm : cell.rightMm
  }
  const level = (side: EdgeSide) => side === 'bottom' || side === 'top'
  const points = groups.map((group, i): Point => {
    const next = groups[(i + 1) % groups.length]!
    return level(group[0]!.side) ? { x: line(next), y: line(group) } : { x: line(group), y: line(next) }
  })
  const runs = groups.map((group, i): Run => {
    const [from, to] = [points.at(i - 1)!, points[i]!]
    return { side: group[0]!.side, from, to, lengthMm: Math.abs(to.x - from.x) + Math.abs(to.y - from.y), cells: group.map(step => step.cell) }
  })
  const corners = groups.map((group, i): Corner => {
    const [before, after] = [group[0]!.side, groups[(i + 1) % groups.length]![0]!.side]
    return { at: points[i]!, inner: turn(before, after) === 3, before, after }
  })
  return { hole: signedAreaMm2(points) < 0, runs, corners, points }
}
