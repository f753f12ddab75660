import type { Point } from '../../geometry'
import type { Run } from '../outline'

/** A run cut into lengths that lie over each other, from the left or from below: each full but the last. */
export function lengthsOf(
  { side, from, to, lengthMm }: Run,
  { stockMm, overlapMm }: { stockMm: number, overlapMm: number },
): { from: Point, to: Point, lengthMm: number }[] {
  const n = piecesFor(lengthMm, stockMm, overlapMm)
  const [start, end] = side === 'bottom' || side === 'right' ? [from, to] : [to, from]
  const along = (mm: number): Point => (side === 'bottom' || side === 'top' ? { x: start.x + mm, y: start.y } : { x: start.x, y: start.y + mm })
  return Array.from({ length: n }, (_, i) => {
    const startMm = i * (stockMm - overlapMm)
    const ownMm = Math.min(stockMm, lengthMm - startMm)
    return { from: along(startMm), to: i === n - 1 ? end : along(startMm + ownMm), lengthMm: ownMm }
  })
}

/** Pieces of one length, each lapped over the next, that an edge takes. */
export const piecesFor = (lengthMm: number, stockMm: number, overlapMm: number): number =>
  Math.max(1, Math.ceil((lengthMm - overlapMm - 1e-6) / (stockMm - overlapMm)))
