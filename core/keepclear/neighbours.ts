import type { Point } from '../geometry'
import type { Face } from '../job'
import { planOutline, shapeOf } from '../roof'

/** An edge of one face that runs along an edge of another, in plan. */
export interface SharedEdge { face: number, edge: number, other: number, otherEdge: number }

/** Edges that lie this near each other in plan are one edge, mm: taped faces never meet to the millimetre. */
const NEAR_MM = 150
/** Two edges must run along each other over at least this much, mm. */
const LEAST_MM = 500

/** Every edge that two faces share, named from both sides. */
export function sharedEdges(faces: Pick<Face, 'outline' | 'place' | 'pitchDeg'>[]): SharedEdge[] {
  const rings = faces.map(planOutline)
  return rings.flatMap((ring, face) => ring.flatMap((from, edge) => rings.flatMap((otherRing, other) => other === face
    ? []
    : otherRing.flatMap((_, otherEdge) => runTogether(from, ring[(edge + 1) % ring.length]!, otherRing[otherEdge]!, otherRing[(otherEdge + 1) % otherRing.length]!)
        ? [{
            face,
            edge,
            other,
            otherEdge,
          }]
        : []))))
}

/** Whether the segment c-d lies along a-b, near enough and long enough. */
function runTogether(a: Point, b: Point, c: Point, d: Point): boolean {
  const length = Math.hypot(b.x - a.x, b.y - a.y)
  if (length < LEAST_MM) return false
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length]
  const off = (p: Point) => Math.abs((p.x - a.x) * uy - (p.y - a.y) * ux)
  const along = (p: Point) => (p.x - a.x) * ux + (p.y - a.y) * uy
  if (off(c) > NEAR_MM || off(d) > NEAR_MM) return false
  const [from, to] = [Math.min(along(c), along(d)), Math.max(along(c), along(d))]
  return Math.min(to, length) - Math.max(from, 0) >= Math.min(LEAST_MM, length / 2)
}

/** Hips and valleys of a face that another face shares: where a pathway may straddle. */
export const straddleEdges = (faces: Face[], shared: SharedEdge[], face: number): SharedEdge[] =>
  shared.filter(one => one.face === face && ['hip', 'valley'].includes(shapeOf(faces[face]!.outline).edges[one.edge]!.kind))
