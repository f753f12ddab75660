import type { Point } from '../geometry'
import type { Face, Side } from '../job'
import { onceFor } from '../memory'
import { isLevel } from './level'
import { type FaceShape, shapeOf } from './outline'
import { readingUp } from './tape'

/** Readings that differ by less than this can't be told apart on a tape, mm. */
const SHOWS_MM = 0.5

/** Corners of the edges that rise from the eave's ends, as far as they go on rising. They are asked for every line that is snapped across. */
const risingEdges = onceFor((shape: FaceShape): Record<Side, Point[]> => ({ left: traceUp(shape, 'left'), right: traceUp(shape, 'right') }))

function traceUp({ region, eaveEnds }: FaceShape, side: Side): Point[] {
  const ring = side === 'right' ? region[0]! : [...region[0]!].reverse()
  const start = ring.indexOf(eaveEnds[side])
  if (start < 0) return []
  const path = [ring[start]!]
  for (let i = 1; i < ring.length; i++) {
    const next = ring[(start + i) % ring.length]!
    const last = path.at(-1)!
    // A ridge that is a little out of level is not a way up.
    if (next.y < last.y + SHOWS_MM || isLevel({ from: last, to: next })) break
    path.push(next)
  }
  return path
}

/** What a tape laid up an edge of the face from its eave corner reads at a height up the slope, mm; null where the edge does not reach it. */
export function readingUpEdge(shape: FaceShape, side: Side, yMm: number): number | null {
  const path = risingEdges(shape)[side]
  let reading = 0
  for (let i = 1; i < path.length; i++) {
    const [a, b] = [path[i - 1]!, path[i]!]
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (yMm <= b.y + SHOWS_MM) return reading + length * Math.max(0, yMm - a.y) / (b.y - a.y)
    reading += length
  }
  return null
}

/** Readings up both edges at which a line across the face is snapped, the datum's first; null where both are what the tape up the slope reads. */
export function endsUp(face: Pick<Face, 'outline' | 'datum'>, yMm: number): [number | null, number | null] | null {
  const shape = shapeOf(face.outline)
  const [near, far] = (face.datum === 'left'
    ? [
        'left',
        'right',
      ] as const
    : ['right', 'left'] as const).map(side => readingUpEdge(shape, side, yMm)) as [number | null, number | null]
  const plainMm = readingUp(face, yMm)
  return [near, far].every(one => one !== null && Math.abs(one - plainMm) < SHOWS_MM) ? null : [near, far]
}

/** Where a line across or up the face leaves it, beyond a point: the nearest edge in a direction, mm; null where there is none. */
export function edgeBeyond(shape: FaceShape, from: Point, direction: 'left' | 'right' | 'up' | 'down'): number | null {
  const [run, across] = direction === 'up' || direction === 'down' ? ['y', 'x'] as const : ['x', 'y'] as const
  const sign = direction === 'left' || direction === 'down' ? -1 : 1
  const hits = shape.edges.flatMap(({ from: a, to: b }) => {
    const [low, high] = a[across] <= b[across] ? [a, b] : [b, a]
    if (high[across] - low[across] < SHOWS_MM || from[across] < low[across] - SHOWS_MM || from[across] > high[across] + SHOWS_MM) return []
    const at = low[run] + (high[run] - low[run]) * (from[across] - low[across]) / (high[across] - low[across])
    return sign * (at - from[run]) >= -SHOWS_MM ? [Math.max(0, sign * (at - from[run]))] : []
  })
  return hits.length ? Math.min(...hits) : null
}

/** A margin between modules and an edge of the face, at a corner of the modules. */
export interface Margin { label: string, mm: number }

/** Margins of a row beside it at its lower and upper edge, once where both are alike, and above it at both ends where it is the last. */
export function marginsOf(face: Pick<Face, 'outline'>, row: { leftMm: number, rightMm: number, bottomMm: number, topMm: number }, name: string, isLast: boolean): Margin[] {
  const shape = shapeOf(face.outline)
  const beside = (side: 'left' | 'right'): Margin[] => {
    const x = side === 'left' ? row.leftMm : row.rightMm
    const [low, high] = [row.bottomMm, row.topMm].map(y => edgeBeyond(shape, { x, y }, side)) as [number | null, number | null]
    if (low === null || high === null) return []
    return Math.abs(low - high) < SHOWS_MM
      ? [{ label: `${name}, ${side} margin`, mm: low }]
      : [
          { label: `${name}, ${side} margin at its lower edge`, mm: low },
          { label: `${name}, ${side} margin at its upper edge`, mm: high },
        ]
  }
  const above = isLast
    ? (['left', 'right'] as const).flatMap((end): Margin[] => {
        const mm = edgeBeyond(shape, { x: end === 'left' ? row.leftMm : row.rightMm, y: row.topMm }, 'up')
        return mm === null ? [] : [{ label: `${name}, straight up to the edge above its ${end} end`, mm }]
      })
    : []
  return [...beside('left'), ...beside('right'), ...above]
}
