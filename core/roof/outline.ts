import { bounds, type Interval, type Point, type Region } from '../geometry'
import type { EdgeKind, Outline, Side } from '../job'
import { onceFor } from '../memory'
import type { Adjusted } from './adjust'
import { isLevel, lowestLineMm } from './level'
import { tapedCorners } from './taped'

/** One edge of a face, from one corner to the next, anticlockwise seen from outside. */
export interface Edge {
  kind: EdgeKind
  /** Which side of the face it closes, for rakes and other edges up the slope; null for eaves and ridges. */
  side: Side | null
  /** As it stands in a sentence: `left rake`, `eave`. */
  name: string
  from: Point
  to: Point
}

/** A face in its own plane: x along the eave, y up the slope, mm. */
export interface FaceShape {
  edges: Edge[]
  region: Region
  /** Least upright rectangle round the face. */
  along: Interval
  up: Interval
  /** The lowest part of the eave from end to end: the tapes are hooked on one of its ends. */
  eave: Interval
  /** Those two ends as corners: out of level they lie at different heights. */
  eaveEnds: Record<Side, Point>
  /** What least squares made of taped lengths; null for outlines that were not taped. */
  adjusted: Adjusted | null
}

/** The shape of an outline, remembered for it. */
export const shapeOf = onceFor((outline: Outline): FaceShape => {
  const { corners, kinds, adjusted } = cornersOf(outline)
  const edges = corners.map((from, i) => edgeOf(kinds[i]!, from, corners[(i + 1) % corners.length]!))
  const box = bounds([corners])!
  const eaveEnds = endsOf(lowestEave(edges)) ?? { left: { x: box.along.fromMm, y: box.up.fromMm }, right: { x: box.along.toMm, y: box.up.fromMm } }
  return {
    edges, region: [corners], along: box.along, up: box.up, adjusted, eaveEnds, eave: { fromMm: eaveEnds.left.x, toMm: eaveEnds.right.x },
  }
})

/**
 * The parts of the eave that lie lowest, level with each other: where an eave is stepped, the tapes are hooked on the lowest
 * part, so that the datum is a corner of the roof.
 */
function lowestEave(edges: Edge[]): Edge[] {
  const eaves = edges.filter(edge => edge.kind === 'eave')
  const lineMm = lowestLineMm(eaves.flatMap(edge => [edge.from, edge.to]))
  return eaves.filter(edge => Math.min(edge.from.y, edge.to.y) <= lineMm)
}

/** The outermost corners of edges, of two straight above each other the lower one; null of no edges. */
function endsOf(edges: Edge[]): Record<Side, Point> | null {
  const sorted = edges.flatMap(edge => [edge.from, edge.to]).sort((a, b) => a.x - b.x || a.y - b.y)
  const [left, last] = [sorted[0], sorted.at(-1)]
  return left && last ? { left, right: sorted.find(point => point.x === last.x)! } : null
}

function cornersOf(outline: Outline): { corners: Point[], kinds: EdgeKind[], adjusted: Adjusted | null } {
  switch (outline.kind) {
    case 'rectangle': {
      const { eaveLengthMm: w, slopeLengthMm: h } = outline
      return { corners: [{ x: 0, y: 0 }, { x: w, y: 0 }, { x: w, y: h }, { x: 0, y: h }], kinds: ['eave', 'rake', 'ridge', 'rake'], adjusted: null }
    }
    case 'taped': return { ...tapedCorners(outline), kinds: outline.sides.map(side => side.edge) }
    case 'corners': return { corners: outline.corners.map(({ xMm, yMm }) => ({ x: xMm, y: yMm })), kinds: outline.corners.map(({ edge }) => edge), adjusted: null }
  }
}

function edgeOf(kind: EdgeKind, from: Point, to: Point): Edge {
  // Anticlockwise, an edge that goes up the slope closes the right of the face and one that comes down closes the left.
  const steep = !isLevel({ from, to })
  const side = kind === 'eave' || kind === 'ridge' || !steep ? null : to.y > from.y ? 'right' : 'left'
  return { kind, side, name: side ? `${side} ${kind}` : kind, from, to }
}
