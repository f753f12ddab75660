import type { Point } from '../geometry'
import type { Face } from '../job'

/** Cable keeps so far from what stands on the face, mm (common practice). */
const CLEAR_MM = 50
/** A stretch along the eave that lies on no rail counts for so much more: cable is clipped to rails where it can be. */
const OFF_RAIL = 1.15
/** Home runs carry a loop at either end for terminating, mm (common practice). */
export const HOME_LOOSE_MM = 600

interface Block { left: number, right: number, low: number, high: number }

const blocksOn = ({ obstructions }: Pick<Face, 'obstructions'>): Block[] => obstructions.map(({ xMm, yMm, widthMm, heightMm, round }) => {
  const [halfW, halfH] = [widthMm / 2 + CLEAR_MM, (round ? widthMm : heightMm) / 2 + CLEAR_MM]
  return { left: xMm - halfW, right: xMm + halfW, low: yMm - halfH, high: yMm + halfH }
})

const crosses = (block: Block, a: Point, b: Point): boolean =>
  Math.max(a.x, b.x) > block.left + 1e-6 && Math.min(a.x, b.x) < block.right - 1e-6 && Math.max(a.y, b.y) > block.low + 1e-6 && Math.min(a.y, b.y) < block.high - 1e-6

/**
 * The shortest way on a face from one place to another, along the eave and up the slope, round what stands there and on rails where that costs
 * little: Dijkstra's search over the lines that matter (both ends, the sides of every obstruction, every rail).
 * @returns its corners and its length, mm; the straight two legs where an end lies in an obstruction
 */
export function homeRoute(face: Pick<Face, 'obstructions'>, from: Point, to: Point, railsAtMm: number[]): { points: Point[], mm: number } {
  const blocks = blocksOn(face)
  const direct = [from, { x: from.x, y: to.y }, to]
  const mmOf = (points: Point[]) => points.slice(1).reduce((sum, b, i) => sum + Math.abs(b.x - points[i]!.x) + Math.abs(b.y - points[i]!.y), 0)
  const touched = blocks.some(block => crosses(block, direct[0]!, direct[1]!) || crosses(block, direct[1]!, direct[2]!))
  if (!touched && (railsAtMm.some(mm => Math.abs(mm - to.y) < 1) || !railsAtMm.length)) return { points: direct, mm: mmOf(direct) }
  const unique = (list: number[]) => [...new Set(list.map(mm => Math.round(mm * 10) / 10))].sort((a, b) => a - b)
  const xs = unique([from.x, to.x, ...blocks.flatMap(block => [block.left, block.right])])
  const ys = unique([from.y, to.y, ...railsAtMm, ...blocks.flatMap(block => [block.low, block.high])])
  const at = (i: number): Point => ({ x: xs[i % xs.length]!, y: ys[Math.floor(i / xs.length)]! })
  const nodeOf = (point: Point) => nearestIndex(ys, point.y) * xs.length + nearestIndex(xs, point.x)
  const [start, goal] = [nodeOf(from), nodeOf(to)]
  const cost = new Float64Array(xs.length * ys.length).fill(Infinity)
  const before = new Int32Array(cost.length).fill(-1)
  const done = new Uint8Array(cost.length)
  const onRail = (y: number) => railsAtMm.some(mm => Math.abs(mm - y) < 1)
  cost[start] = 0
  for (;;) {
    let own = -1
    for (let i = 0; i < cost.length; i++) if (!done[i] && cost[i]! < Infinity && (own < 0 || cost[i]! < cost[own]!)) own = i
    if (own < 0 || own === goal) break
    done[own] = 1
    const [col, row] = [own % xs.length, Math.floor(own / xs.length)]
    for (const [dx, dy] of [[1, 0], [-1, 0], [0, 1], [0, -1]] as const) {
      const [c, r] = [col + dx, row + dy]
      if (c < 0 || r < 0 || c >= xs.length || r >= ys.length) continue
      const next = r * xs.length + c
      const [a, b] = [at(own), at(next)]
      if (blocks.some(block => crosses(block, a, b))) continue
      const mm = Math.abs(a.x - b.x) + Math.abs(a.y - b.y)
      const value = cost[own]! + mm * (dx && !onRail(a.y) ? OFF_RAIL : 1)
      if (value < cost[next]! - 1e-9) {
        cost[next] = value
        before[next] = own
      }
    }
  }
  if (cost[goal] === Infinity) return { points: direct, mm: mmOf(direct) }
  const points: Point[] = []
  for (let i = goal; i >= 0; i = before[i]!) points.unshift(at(i))
  return { points: straightened(points), mm: mmOf(points) }
}

const nearestIndex = (list: number[], mm: number): number => list.reduce((best, one, i) => Math.abs(one - mm) < Math.abs(list[best]! - mm) ? i : best, 0)
const straightened = (points: Point[]): Point[] => points.filter((point, i) => {
  const [a, b] = [points[i - 1], points[i + 1]]
  return !a || !b || !((a.x === point.x && point.x === b.x) || (a.y === point.y && point.y === b.y))
})
