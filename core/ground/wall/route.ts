import type { Ground } from '../../job'
import type { RunLength } from '../layout'
import { type Way, waysFrom } from './ways'

/** A place on a wall where cable enters. */
export interface Entry { wallId: string, x: number, y: number }

/** Along the wall and up it, mm. */
export const legMm = ({ x, y }: { x: number, y: number }, spot: { xMm: number, yMm: number }): number => Math.abs(x - spot.xMm) + Math.abs(y - spot.yMm)

/** The shortest way from a place on one wall to one on another; null where none leads there. */
export function wayTaken(a: Entry, b: Entry, { passages }: Pick<Ground, 'passages'>): Way | null {
  const all = waysFrom(a.wallId, b.wallId, passages).map(way => ({ way, mm: legMm(a, way.leaves) + way.betweenMm + legMm(b, way.comes) }))
  return all.length ? all.reduce((best, one) => one.mm < best.mm ? one : best).way : null
}

/** Cable goes along walls and up them; from wall to wall by the shortest way there is through the passages somebody measured. */
export function wayBetween(a: Entry, b: Entry, ground: Pick<Ground, 'passages'>): RunLength['parts'] | null {
  if (a.wallId === b.wallId) return [{ what: 'on the wall', mm: legMm(a, { xMm: b.x, yMm: b.y }) }]
  const way = wayTaken(a, b, ground)
  return way && [{ what: 'on the wall', mm: legMm(a, way.leaves) }, ...way.parts, { what: 'on the wall', mm: legMm(b, way.comes) }]
}
