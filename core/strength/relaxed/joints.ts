import type { Boxes } from './boxes'
import { boxes, leastOver, leastTimes, mostOver, mostTimes } from './boxes'
import type { SpanTable } from './spans'

/**
 * What all that lies left of a fixing comes to. For every beam the left side turns there, times 6EI, by a + b M, M the moment
 * over that fixing; b lies between 3/2 and 2 of the last span's length where no joint turns (three-moment equations, one side
 * eliminated).
 */
export interface LeftSide {
  /** Moments over the fixing are settled by what is left of it: the first fixing, or behind joints that turn. */
  settled: boolean
  a: Boxes
  bLo: number
  bHi: number
  /** What each beam's moment over it may be, by all checks left of it. */
  m: Boxes
}

/** The left side one span on, M now the moment over its far fixing: the moment over its near one is c + d M. Written over with every span. */
export interface Joined extends LeftSide { c: Boxes, dLo: number, dHi: number }

export const emptyJoin = (beams: number): Joined => ({ settled: false, a: boxes(beams), bLo: 0, bHi: 0, m: boxes(beams), c: boxes(beams), dLo: 0, dHi: 0 })

/** Takes a left side over one span. False where the joints make a chain of it that can't stand. */
export function joinSpan(left: LeftSide, span: SpanTable, to: Joined): boolean {
  const { hinges } = span
  if (hinges.length > 2 || (left.settled && hinges.length > 1)) return false
  to.settled = hinges.length === 2 || (left.settled && hinges.length === 1)
  to.dLo = to.dHi = 0
  to.bLo = to.bHi = 2 * span.lengthMm
  if (!hinges.length) throughPlain(left, span, to)
  else if (hinges.length === 2) throughTwo(span, to)
  else if (left.settled) throughSettled(left, span, to)
  else throughOne(left, span, to)
  return true
}

function throughPlain({ settled, a, bLo, bHi, m }: LeftSide, { lengthMm: L, turnLeft, turnRight }: SpanTable, to: Joined): void {
  const { c } = to
  const n = c.lo.length
  if (settled) {
    c.lo.set(m.lo)
    c.hi.set(m.hi)
  }
  else {
    const [gLo, gHi] = [bLo + 2 * L, bHi + 2 * L]
    for (let q = 0; q < n; q++) {
      c.lo[q] = -mostOver(a.hi[q]! + turnLeft.hi[q]!, gLo, gHi)
      c.hi[q] = -leastOver(a.lo[q]! + turnLeft.lo[q]!, gLo, gHi)
    }
    to.dLo = -L / gLo
    to.dHi = -L / gHi
    to.bLo += L * to.dLo
    to.bHi += L * to.dHi
  }
  for (let q = 0; q < n; q++) {
    to.a.lo[q] = turnRight.lo[q]! + L * c.lo[q]!
    to.a.hi[q] = turnRight.hi[q]! + L * c.hi[q]!
  }
}

/** One joint: no moment there gives the near moment from the far one, and the kink follows from how the left side turns. */
function throughOne({ a, bLo, bHi }: LeftSide, { lengthMm: L, turnLeft, turnRight, hinges }: SpanTable, to: Joined): void {
  const { at, moments } = hinges[0]!
  const by = at / (1 - at)
  const [gLo, gHi] = [bLo + 2 * L, bHi + 2 * L]
  const { c } = to
  to.dLo = to.dHi = -by
  for (let q = 0; q < c.lo.length; q++) {
    c.lo[q] = -moments.hi[q]! / (1 - at)
    c.hi[q] = -moments.lo[q]! / (1 - at)
    to.a.lo[q] = turnRight.lo[q]! + L * c.lo[q]! - by * (a.hi[q]! + turnLeft.hi[q]! + mostTimes(gLo, gHi, c.lo[q]!, c.hi[q]!))
    to.a.hi[q] = turnRight.hi[q]! + L * c.hi[q]! - by * (a.lo[q]! + turnLeft.lo[q]! + leastTimes(gLo, gHi, c.lo[q]!, c.hi[q]!))
  }
  to.bLo = 2 * L - 2 * by * L + by * by * gLo
  to.bHi = 2 * L - 2 * by * L + by * by * gHi
}

/** One joint behind a moment that is settled: it settles the far one too. */
function throughSettled({ m }: LeftSide, { hinges }: SpanTable, to: Joined): void {
  const { at, moments } = hinges[0]!
  to.c.lo.set(m.lo)
  to.c.hi.set(m.hi)
  for (let q = 0; q < m.lo.length; q++) {
    to.m.lo[q] = -(moments.hi[q]! + (1 - at) * m.hi[q]!) / at
    to.m.hi[q] = -(moments.lo[q]! + (1 - at) * m.lo[q]!) / at
  }
}

/** Two joints settle the moments at both ends. */
function throughTwo({ hinges }: SpanTable, to: Joined): void {
  const [h, k] = hinges as [SpanTable['hinges'][number], SpanTable['hinges'][number]]
  const apart = k.at - h.at
  for (let q = 0; q < to.c.lo.length; q++) {
    to.c.lo[q] = -(k.at * h.moments.hi[q]! - h.at * k.moments.lo[q]!) / apart
    to.c.hi[q] = -(k.at * h.moments.lo[q]! - h.at * k.moments.hi[q]!) / apart
    to.m.lo[q] = -((1 - h.at) * k.moments.hi[q]! - (1 - k.at) * h.moments.lo[q]!) / apart
    to.m.hi[q] = -((1 - h.at) * k.moments.lo[q]! - (1 - k.at) * h.moments.hi[q]!) / apart
  }
}
