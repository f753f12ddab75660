import type { Rail } from '../catalogue'
import { type Interval, subtract } from '../geometry'
import type { RailFixings } from '../fixings'

/**
 * Where a rail may be spliced, mm from the left rake: between its outer fixings (a splice in an overhang hangs on one
 * side only), with the whole splice bar and the maker's clearance free of every fixing.
 */
export function spliceWindows(rail: Pick<RailFixings, 'fixings'>, splice: Rail['splice']): Interval[] {
  const first = rail.fixings[0]
  const last = rail.fixings.at(-1)
  if (!first || !last) return []
  const keepOffMm = splice.barMm / 2 + splice.clearMm
  return subtract({ fromMm: first.xMm, toMm: last.xMm }, rail.fixings.map(({ xMm }) => ({ fromMm: xMm - keepOffMm, toMm: xMm + keepOffMm })))
}
