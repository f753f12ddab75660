import type { Point, Region } from '../geometry'
import type { Outline } from '../job'

export type EdgeKind = 'eave' | 'ridge' | 'left-rake' | 'right-rake'

/** One edge of a face, from one corner to the next, anticlockwise seen from outside. */
export interface Edge { kind: EdgeKind, from: Point, to: Point }

/** The name of an edge as it stands in a sentence. */
export const edgeNames: Record<EdgeKind, string> = {
  'eave': 'eave', 'ridge': 'ridge', 'left-rake': 'left rake', 'right-rake': 'right rake',
}

/** The edges of a face in order, starting with the eave from its left corner. */
export function edgesOf(outline: Outline): Edge[] {
  const { eaveLengthMm: w, slopeLengthMm: h } = outline
  const corners: Point[] = [{ x: 0, y: 0 }, { x: w, y: 0 }, { x: w, y: h }, { x: 0, y: h }]
  const kinds: EdgeKind[] = ['eave', 'right-rake', 'ridge', 'left-rake']
  return kinds.map((kind, i) => ({ kind, from: corners[i]!, to: corners[(i + 1) % corners.length]! }))
}

/** The face as a region. */
export const regionOf = (outline: Outline): Region => [edgesOf(outline).map(edge => edge.from)]
