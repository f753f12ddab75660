import type { Rail } from '../catalogue'
import { type Interval, subtract } from '../geometry'

/**
 * Where a rail may be spliced, mm along it: between its outer fixings (a splice in an overhang hangs on one
 * side only), with the whole splice bar and the maker's clearance free of every fixing, out of the middle share of each
 * span and out of end spans where the maker says so.
 */
export function spliceWindows(rail: { fixings: { atMm: number }[] }, splice: Rail['splice']): Interval[] {
  const xs = rail.fixings.map(fixing => fixing.atMm)
  const [first, last] = [xs[0], xs.at(-1)]
  if (first === undefined || last === undefined) return []
  const keepOffMm = splice.barMm / 2 + splice.clearMm
  const spans = xs.slice(1).map((toMm, i) => ({ fromMm: xs[i]!, toMm }))
  const middles = splice.midspanShare > 0
    ? spans.map(({ fromMm, toMm }) => ({
        fromMm: (fromMm + toMm) / 2 - (toMm - fromMm) * splice.midspanShare / 2,
        toMm: (fromMm + toMm) / 2 + (toMm - fromMm) * splice.midspanShare / 2,
      }))
    : []
  // With two spans or fewer every span is an end span, and the rule would leave no place at all.
  const ends = splice.endSpans || spans.length < 3 ? [] : [spans[0]!, spans.at(-1)!]
  return subtract({ fromMm: first, toMm: last }, [...xs.map(xMm => ({ fromMm: xMm - keepOffMm, toMm: xMm + keepOffMm })), ...middles, ...ends])
}
