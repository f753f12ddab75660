import { discAround, rectangle, type Region } from '../geometry'
import type { Obstruction, Setbacks } from '../job'
import type { Edge } from '../roof'

/** The setback that was typed for an edge of a face, mm. */
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

/** An obstruction with its clearance all round. */
export function around({ round, xMm, yMm, widthMm, heightMm, clearanceMm }: Obstruction): Region {
  if (round) return discAround({ x: xMm, y: yMm }, widthMm / 2 + clearanceMm)
  const [w, h] = [widthMm / 2 + clearanceMm, heightMm / 2 + clearanceMm]
  return rectangle({ fromMm: xMm - w, toMm: xMm + w }, { fromMm: yMm - h, toMm: yMm + h })
}

/** What is kept clear below an escape opening: as wide as the way to it, and as the opening, from the bottom of the face up to it. */
export function belowEscape({ xMm, yMm, widthMm, heightMm, round }: Obstruction, wayMm: number, bottomMm: number): Region {
  const half = Math.max(widthMm, wayMm) / 2
  return rectangle({ fromMm: xMm - half, toMm: xMm + half }, { fromMm: bottomMm, toMm: Math.max(bottomMm + 1, yMm + (round ? widthMm : heightMm) / 2) })
}

/** Names of obstructions as they stand in a sentence. */
export const obstructionNames: Record<Obstruction['kind'], string> = {
  'vent': 'vent', 'chimney': 'chimney', 'roof-window': 'roof window', 'escape-window': 'escape window',
  'dish': 'dish', 'conduit': 'conduit', 'old-array': 'array that stays',
}
