import { type Point, type Region, common, without } from '../geometry'
import type { Face, Setbacks } from '../job'
import { type Edge, type EdgeKind, edgeNames, edgesOf, regionOf } from '../roof'

/** A strip of the face kept clear of modules, and the rule that took it. */
export interface KeepClearStrip { edge: EdgeKind, depthMm: number, region: Region, rule: string }

const depthOf = (setbacks: Setbacks, kind: EdgeKind): number => ({
  'eave': setbacks.eaveMm, 'ridge': setbacks.ridgeMm, 'left-rake': setbacks.leftRakeMm, 'right-rake': setbacks.rightRakeMm,
})[kind]

/** The strip within `depthMm` of a straight edge, inward of it. Edges run anticlockwise, so inward is to their left. */
function stripAlong(edge: Edge, depthMm: number): Region {
  const dx = edge.to.x - edge.from.x
  const dy = edge.to.y - edge.from.y
  const length = Math.hypot(dx, dy)
  const inward = (point: Point): Point => ({ x: point.x - dy / length * depthMm, y: point.y + dx / length * depthMm })
  return [[edge.from, edge.to, inward(edge.to), inward(edge.from)]]
}

/** The keep-clear strips of a face from its setbacks, cut to the face, and the usable region between them. */
export function keepClear(face: Pick<Face, 'outline' | 'setbacks'>): { strips: KeepClearStrip[], region: Region } {
  const whole = regionOf(face.outline)
  const strips = edgesOf(face.outline)
    .map(edge => ({ edge, depthMm: depthOf(face.setbacks, edge.kind) }))
    .filter(({ depthMm }) => depthMm > 0)
    .map(({ edge, depthMm }) => ({
      edge: edge.kind, depthMm, region: common(stripAlong(edge, depthMm), whole),
      rule: `Setback from the ${edgeNames[edge.kind]}, as typed for this face`,
    }))
  return { strips, region: strips.reduce((left, strip) => without(left, strip.region), whole) }
}
