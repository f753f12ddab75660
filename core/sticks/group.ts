import type { Interval } from '../geometry'
import { TOLERANCE_MM } from '../geometry'
import type { Group } from './bound'
import { KERF_MM, type RailToCut, type StockLength } from './stock'

/** A stick with the pieces cut from it, each of a rail by its place in the list. */
export interface CutStick { stock: StockLength, pieces: (Interval & { rail: number })[] }

/** Sticks tried before a group is given up. */
const MOST_STICKS = 6000
/** What is wasted is told apart to so much, mm. */
const ALIKE_MM = 0.1

/** What is left of a rail between the pieces taken from its two ends. */
interface Rest { rail: number, fromMm: number, toMm: number }

/**
 * Cuts a group of rails from just its sticks, spliced in its windows. Where pieces hang together as a tree, as they do with as few splices
 * as there can be, its outer sticks can be taken first: then each stick holds the last piece of some rails and at most one piece
 * of a rail that goes on, as long as the stick and the windows let it be. Depth first, never wasting more than the sticks have over; null where
 * that finds none, which excludes nothing.
 * @param budget sticks that may still be tried, taken from
 */
export function cutGroup(rails: RailToCut[], { rails: own, sticks }: Group, leastPieceMm: number, budget = { left: MOST_STICKS }): CutStick[] | null {
  const kinds = [...new Map(sticks.map(one => [one.mm, one])).values()].sort((a, b) => b.mm - a.mm)
  const counts = kinds.map(kind => sticks.filter(one => one.mm === kind.mm).length)
  const lengthMm = own.reduce((sum, r) => sum + rails[r]!.toMm - rails[r]!.fromMm, 0)
  const overMm = sticks.reduce((sum, one) => sum + one.mm, 0) - lengthMm - KERF_MM * (own.length - 1)
  if (overMm < -TOLERANCE_MM) return null
  const seen = new Set<string>()
  const cut: CutStick[] = []

  function go(rests: Rest[], left: number[], wasteMm: number): boolean {
    if (!rests.length) return true
    if (budget.left-- <= 0) return false
    const key = `${left.join()} ${rests.map(({ rail, fromMm, toMm }) => `${rail}:${Math.round(fromMm / ALIKE_MM)}-${Math.round(toMm / ALIKE_MM)}`).join(' ')}`
    if (seen.has(key)) return false
    seen.add(key)
    return kinds.some((kind, k) => left[k]! > 0 && fill(rests, kind, [], kind.mm, 0, left.map((n, i) => i === k ? n - 1 : n), wasteMm))
  }

  /** Fills one stick: with last pieces from the `at`th rest on, then with a piece of a rail that goes on. */
  function fill(rests: Rest[], stock: StockLength, pieces: CutStick['pieces'], leftMm: number, at: number, left: number[], wasteMm: number): boolean {
    // Of rests alike only the first is tried; the longest first.
    const fitting = rests.map((rest, i) => ({ rest, i })).filter(({ rest, i }) => i >= at && rest.toMm - rest.fromMm <= leftMm + TOLERANCE_MM)
    for (const { rest, i } of fitting) {
      const fewer = rests.filter((_, other) => other !== i)
      if (fill(fewer, stock, [...pieces, rest], leftMm - (rest.toMm - rest.fromMm) - KERF_MM, i, left, wasteMm)) return true
    }
    for (const [i, rest] of rests.entries()) {
      for (const piece of begun(rails[rest.rail]!, rest, leftMm, leastPieceMm, overMm - wasteMm)) {
        const waste = wasteMm + leftMm - (piece.toMm - piece.fromMm)
        if (waste > overMm + TOLERANCE_MM) continue
        const after = { ...rest, ...(piece.fromMm === rest.fromMm ? { fromMm: piece.toMm } : { toMm: piece.fromMm }) }
        if (take(rests.map((one, other) => other === i ? after : one), stock, [...pieces, piece], left, waste)) return true
      }
    }
    if (!pieces.length) return false
    // The last cut takes no blade's width where nothing is left.
    const waste = wasteMm + Math.max(0, leftMm + KERF_MM)
    return waste <= overMm + TOLERANCE_MM && take(rests, stock, pieces, left, waste)
  }

  function take(rests: Rest[], stock: StockLength, pieces: CutStick['pieces'], left: number[], wasteMm: number): boolean {
    cut.push({ stock, pieces })
    if (go(rests, left, wasteMm)) return true
    cut.pop()
    return false
  }

  const whole = own.map((rail): Rest => ({ rail, fromMm: rails[rail]!.fromMm, toMm: rails[rail]!.toMm }))
  return go(whole, counts, 0) ? cut.map(({ stock, pieces }) => ({ stock, pieces: pieces.map(({ rail, fromMm, toMm }) => ({ rail, fromMm, toMm })) })) : null
}

/** Pieces from either end of what is left of a rail, as long as they can be and in each window that wastes no more than may be. */
function begun({ windows }: RailToCut, rest: Rest, leftMm: number, leastPieceMm: number, wasteMm: number): Rest[] {
  const pieces: Rest[] = []
  const most = Math.min(leftMm, rest.toMm - rest.fromMm - leastPieceMm)
  const least = Math.max(leastPieceMm, leftMm - wasteMm - TOLERANCE_MM)
  if (most < least) return []
  for (const window of windows) {
    const right = Math.min(window.toMm, rest.fromMm + most)
    if (right >= window.fromMm && right - rest.fromMm >= least) pieces.push({ rail: rest.rail, fromMm: rest.fromMm, toMm: right })
    const left = Math.max(window.fromMm, rest.toMm - most)
    if (left <= window.toMm && rest.toMm - left >= least) pieces.push({ rail: rest.rail, fromMm: left, toMm: rest.toMm })
  }
  return pieces.sort((a, b) => (b.toMm - b.fromMm) - (a.toMm - a.fromMm))
}
