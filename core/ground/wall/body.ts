import type { Thing, Wall } from '../../job'

/** A thing as it stands on a wall: mm from the left corner and the floor. */
export interface Body {
  id: string
  name: string
  x: number
  y: number
  wide: number
  high: number
  deep: number
  /** Its highest handle over its lower edge. */
  handle: number | null
  door: Thing['door']
  /** Somebody may have to work on it while it is live. */
  works: boolean
  store: { testedCloser: boolean } | null
  /** How far its anchors keep from an edge of masonry or concrete, mm; nought where they hold in something else. */
  edge: number
}

/** Kinds that are opened, read or switched while they are live (NEC 110.26(A)). */
const WORKED: Thing['kind'][] = ['combiner', 'inverter', 'sub-panel', 'ac-disconnect', 'gateway', 'main-panel', 'dc-isolator']

export const bodyOf = (thing: Thing, at: { xMm: number, yMm: number }): Body => ({
  id: thing.id, name: thing.name, x: at.xMm, y: at.yMm, wide: thing.wideMm, high: thing.highMm, deep: thing.deepMm, handle: thing.handleMm, door: thing.door, works: WORKED.includes(thing.kind), store: thing.store && { testedCloser: thing.store.testedCloser },
  edge: thing.anchors && !thing.anchors.board ? thing.anchors.edgeMm : 0,
})

/** Boxes stand on this grid when they are found a place, mm. */
export const GRID_MM = 25
/** Where a run enters a thing: the middle of it, to the grid. */
export const entryOf = (thing: Pick<Thing, 'wideMm' | 'highMm'>, at: { xMm: number, yMm: number }): { x: number, y: number } => ({ x: at.xMm + Math.round(thing.wideMm / 2 / GRID_MM) * GRID_MM, y: at.yMm + Math.round(thing.highMm / 2 / GRID_MM) * GRID_MM })

export type WallFacts = Pick<Wall, 'wideMm' | 'highMm' | 'corner' | 'blocks' | 'sleeping' | 'place' | 'base'>
