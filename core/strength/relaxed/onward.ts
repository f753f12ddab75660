import type { RelaxedSteps } from '../../fixings'
import { type Boxes, boxes, emptied, leastOver, mostOver } from './boxes'
import type { LeftSide } from './joints'
import type { EndTable, SpanTable } from './spans'

/** How everything right of a place may turn there, times 6EI, over all ways to go on with one span: a + b M. */
interface Onward { a: Boxes, bLo: number, bHi: number }

/**
 * Bounds on moments from what may lie right of a place: for every span, how its left end turns over all that may come after it, from the
 * right end of the rail back. Behind a joint that turns nothing is claimed.
 */
export function onwardOf(n: number, beams: number, { next, mayEnd }: RelaxedSteps, spanOf: (i: number, j: number) => SpanTable, endOf: (j: number) => EndTable) {
  const known = new Map<number, Onward>()
  const widen = ({ a }: Onward, q: number, lo: number, hi: number) => {
    if (lo < a.lo[q]!) a.lo[q] = lo
    if (hi > a.hi[q]!) a.hi[q] = hi
  }
  function back(i: number, j: number): Onward | null {
    const { lengthMm: L, turnLeft, turnRight, hinges } = spanOf(i, j)
    const made: Onward = { a: emptied(boxes(beams)), bLo: Infinity, bHi: -Infinity }
    if (hinges.length) {
      made.a.lo.fill(-Infinity)
      made.a.hi.fill(Infinity)
      return { ...made, bLo: 0, bHi: 0 }
    }
    if (mayEnd(j)) {
      const { moment } = endOf(j)
      for (let q = 0; q < beams; q++) widen(made, q, turnLeft.lo[q]! + L * moment.lo[q]!, turnLeft.hi[q]! + L * moment.hi[q]!)
      made.bLo = made.bHi = 2 * L
    }
    for (const k of next[j]!) {
      const after = known.get(j * n + k)
      if (!after) continue
      const [dLo, dHi] = [after.bLo + 2 * L, after.bHi + 2 * L]
      for (let q = 0; q < beams; q++) {
        widen(made, q, turnLeft.lo[q]! - L * mostOver(after.a.hi[q]! + turnRight.hi[q]!, dLo, dHi), turnLeft.hi[q]! - L * leastOver(after.a.lo[q]! + turnRight.lo[q]!, dLo, dHi))
      }
      made.bLo = Math.min(made.bLo, 2 * L - L * L / dLo)
      made.bHi = Math.max(made.bHi, 2 * L - L * L / dHi)
    }
    // A span after which nothing can come is never taken.
    return made.bLo <= made.bHi ? made : null
  }
  for (let i = n - 2; i >= 0; i--) {
    for (const j of next[i]!) {
      const made = back(i, j)
      if (made) known.set(i * n + j, made)
    }
  }
  /** What each beam's moment over fixing j may be by what may lie right of it. Left empty where nothing may. */
  return (left: Pick<LeftSide, 'a' | 'bLo' | 'bHi'>, j: number, m: Boxes): void => {
    emptied(m)
    if (mayEnd(j)) {
      const { moment } = endOf(j)
      m.lo.set(moment.lo)
      m.hi.set(moment.hi)
    }
    for (const k of next[j]!) {
      const after = known.get(j * n + k)
      if (!after) continue
      const [dLo, dHi] = [left.bLo + after.bLo, left.bHi + after.bHi]
      if (!(dLo > 0)) {
        m.lo.fill(-Infinity)
        m.hi.fill(Infinity)
        return
      }
      for (let q = 0; q < beams; q++) {
        const lo = -mostOver(left.a.hi[q]! + after.a.hi[q]!, dLo, dHi)
        const hi = -leastOver(left.a.lo[q]! + after.a.lo[q]!, dLo, dHi)
        if (lo < m.lo[q]!) m.lo[q] = lo
        if (hi > m.hi[q]!) m.hi[q] = hi
      }
    }
  }
}
