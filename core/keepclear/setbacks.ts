import { common, discAround, isInnerCorner, type Point, rectangle, type Region, together, without } from '../geometry'
import type { Face, Obstruction, Setbacks } from '../job'
import { type Edge, shapeOf } from '../roof'

/** A part of the face kept clear of modules, and the rule that took it. */
export interface KeepClearStrip {
  /** The edge's or obstruction's name. */
  of: string
  depthMm: number
  region: Region
  rule: string
}

/** The setback that a face keeps from an edge, mm. */
export function depthOf(setbacks: Setbacks, edge: Pick<Edge, 'kind' | 'side'>): number {
  switch (edge.kind) {
    case 'eave': return setbacks.eaveMm
    case 'ridge': return setbacks.ridgeMm
    case 'rake': return edge.side === 'right' ? setbacks.rightRakeMm : setbacks.leftRakeMm
    case 'hip': return setbacks.hipMm
    case 'valley': return setbacks.valleyMm
    case 'wall': return setbacks.wallMm
  }
}

/** Everything within `depthMm` of a straight edge, inward of it. Edges run anticlockwise, so inward is to their left. */
function stripAlong(edge: Edge, depthMm: number): Region {
  const dx = edge.to.x - edge.from.x
  const dy = edge.to.y - edge.from.y
  const length = Math.hypot(dx, dy)
  const inward = (point: Point): Point => ({ x: point.x - dy / length * depthMm, y: point.y + dx / length * depthMm })
  return [[edge.from, edge.to, inward(edge.to), inward(edge.from)]]
}

/** Round an inner corner the strip goes on as part of a disc; at outer corners the neighbours' strips close it. */
function cornersOf(edge: Edge, ring: Point[], depthMm: number): Region[] {
  return [edge.from, edge.to].filter(point => isInnerCorner(ring, ring.indexOf(point))).map(point => discAround(point, depthMm))
}

/** An obstruction with its clearance all round. */
function around({ round, xMm, yMm, widthMm, heightMm, clearanceMm }: Obstruction): Region {
  if (round) return discAround({ x: xMm, y: yMm }, widthMm / 2 + clearanceMm)
  const [w, h] = [widthMm / 2 + clearanceMm, heightMm / 2 + clearanceMm]
  return rectangle({ fromMm: xMm - w, toMm: xMm + w }, { fromMm: yMm - h, toMm: yMm + h })
}

/** Names of obstructions as they stand in a sentence. */
export const obstructionNames: Record<Obstruction['kind'], string> = {
  'vent': 'vent', 'chimney': 'chimney', 'roof-window': 'roof window', 'escape-window': 'escape window',
  'dish': 'dish', 'conduit': 'conduit', 'old-array': 'array that stays',
}

/** What is kept clear on a face, cut to the face, and the usable region that is left. */
export function keepClear(face: Pick<Face, 'outline' | 'setbacks' | 'obstructions'>): { strips: KeepClearStrip[], region: Region } {
  const { edges, region: whole } = shapeOf(face.outline)
  const ring = whole[0]!
  const fromEdges = edges
    .map(edge => ({ edge, depthMm: depthOf(face.setbacks, edge) }))
    .filter(({ depthMm }) => depthMm > 0)
    .map(({ edge, depthMm }): KeepClearStrip => ({
      of: edge.name, depthMm, region: common(together([stripAlong(edge, depthMm), ...cornersOf(edge, ring, depthMm)]), whole),
      rule: `Setback from the ${edge.name}, as typed for this face`,
    }))
  const fromObstructions = face.obstructions.map((one): KeepClearStrip => ({
    of: obstructionNames[one.kind], depthMm: one.clearanceMm, region: common(around(one), whole),
    rule: `Clearance round the ${obstructionNames[one.kind]}, as typed for this face`,
  }))
  const strips = [...fromEdges, ...fromObstructions]
  return { strips, region: strips.reduce((left, strip) => without(left, strip.region), whole) }
}
