import type { Relaxed, RelaxedSteps } from '../../fixings'
import { preparedOf, type RailSetting } from '../setting'
import { beamsOf, roundingOf } from './beams'
import { type Boxes, boxes, copyOf, hullOf, leastTimes, mostTimes, narrow } from './boxes'
import { fixingsOf, NONE, type Watched } from './fixings'
import { emptyJoin, joinSpan, type LeftSide } from './joints'
import { onwardOf } from './onward'
import { OUTWARD } from './outward'
import { type EndTable, endTable, MOMENTS_AT, SAGS_AT, spanTable, type SpanTable, standingOn } from './spans'

/** Fixings back from the last whose load is looked at again with every span: how the rail goes on still tells there. */
const WATCHED = 4

/** A rail up to its last fixing so far. */
export interface Part extends LeftSide {
  last: number
  before: number
  /** For each system, the moment over the fixing before is c + d M. */
  c: Boxes
  dLo: number
  dHi: number
  /** The last few fixings before the last, the latest first, M the moment over the last. */
  watched: Watched[]
}

/**
 * A rail as what is left of a place leaves it, for each beam of each case by itself. Moments over fixings are unknowns kept inside
 * bounds: bending lets none past what the section bears, and what may lie right of a place bounds them too. Spans are looked at in a
 * few places, so a little less is thrown away than could be; nothing that passes is. Splices are as stiff as the rail; couplers turn.
 * @param xs places, mm, in order
 * @param most no more fixings than this are asked for
 * @param longestMm no span is longer
 */
export function relaxedRail(setting: RailSetting, xs: number[], steps: RelaxedSteps, most: number, longestMm: number): Relaxed<Part> {
  const { mayEnd } = steps
  const own = preparedOf(setting)
  const beams = beamsOf(setting, own)
  const { section, deflectionOver, couplers } = setting
  const { bending, serving, systemCount } = beams
  const Q = beams.list.length
  const n = xs.length
  const spans = new Map<number, SpanTable>()
  const spanOf = (i: number, j: number): SpanTable => remembered(spans, i * n + j, () => spanTable(setting, own, beams, xs[i]!, xs[j]!, longestMm))
  const lefts = new Map<number, EndTable>()
  const leftOf = (i: number) => remembered(lefts, i, () => endTable(setting, own, beams, xs[i]!, 'left', longestMm))
  const rights = new Map<number, EndTable>()
  const rightOf = (i: number) => remembered(rights, i, () => endTable(setting, own, beams, xs[i]!, 'right', longestMm))
  const rounding = roundingOf(own, beams, longestMm)
  const standing = xs.map(x => standingOn(setting, own, beams, x, longestMm))
  const boundRight = onwardOf(n, Q, steps, spanOf, rightOf)
  const { windAt, mayBear } = fixingsOf(setting, own, beams, xs, most)
  const sagMm = (lengthMm: number) => lengthMm / deflectionOver * OUTWARD * section.eMpa * section.ixMm4
  // Written over with every span that is tried: most are thrown away.
  const to = emptyJoin(Q)
  const over = boxes(Q)

  /** Narrows the far moments by all checks of one span and by what was left possible over its near fixing; false where one has nowhere to be. */
  function spanBears(part: Part, { lengthMm: L, moments, sags, hinges }: SpanTable): boolean {
    const { c, dLo, dHi, m } = to
    for (let q = 0; q < Q; q++) {
      m.lo[q]! -= rounding[q]!
      m.hi[q]! += rounding[q]!
      if (part.m.hi[q]! < Infinity) narrow(m, q, c.lo[q]!, dLo, dHi, part.m.hi[q]! + rounding[q]!)
      if (part.m.lo[q]! > -Infinity) narrow(m, q, -c.hi[q]!, -dHi, -dLo, rounding[q]! - part.m.lo[q]!)
      if (q < bending) {
        if (m.lo[q]! < -OUTWARD) m.lo[q] = -OUTWARD
        if (m.hi[q]! > OUTWARD) m.hi[q] = OUTWARD
        for (let p = 0; p < MOMENTS_AT.length; p++) {
          const t = MOMENTS_AT[p]!
          const at = q * MOMENTS_AT.length + p
          // Where load presses one way moments past what both ends have go that way only.
          if (moments.hi[at]! > 0) narrow(m, q, moments.lo[at]! + (1 - t) * c.lo[q]!, t + (1 - t) * dLo, t + (1 - t) * dHi, OUTWARD)
          if (moments.lo[at]! < 0) narrow(m, q, -moments.hi[at]! - (1 - t) * c.hi[q]!, -t - (1 - t) * dHi, -t - (1 - t) * dLo, OUTWARD)
        }
      }
      // Joints that turn sag besides: such spans are left to the check of the whole rail.
      else if (q < bending + serving && !hinges.length) {
        for (let p = 0; p < SAGS_AT.length; p++) {
          const t = SAGS_AT[p]!
          const at = (q - bending) * SAGS_AT.length + p
          const [near, far] = [L * L / 6 * t * (1 - t) * (2 - t), L * L / 6 * t * (1 - t * t)]
          narrow(m, q, sags.lo[at]! + near * c.lo[q]!, far + near * dLo, far + near * dHi, sagMm(L))
          narrow(m, q, -sags.hi[at]! - near * c.hi[q]!, -far - near * dHi, -far - near * dLo, sagMm(L))
        }
      }
      if (m.lo[q]! > m.hi[q]!) return false
    }
    return true
  }

  /** What the near fixing of a span bears under each system: forces of both spans, and moments over its neighbours and itself. */
  function pressOn(part: Part, i: number, j: number, span: SpanTable): Watched {
    const r = boxes(systemCount)
    const first = part.before === NONE
    const before = first ? 0 : xs[i]! - xs[part.before]!
    const left = first ? leftOf(i).force : spanOf(part.before, i).forceRight
    const [eLo, eHi] = first ? [-1 / span.lengthMm, -1 / span.lengthMm] : [(part.dLo - 1) / before - 1 / span.lengthMm, (part.dHi - 1) / before - 1 / span.lengthMm]
    const on = standing[i]
    const { c, dLo, dHi } = to
    for (let s = 0; s < systemCount; s++) {
      const q = beams.ofSystem[s]!
      if (q < 0) continue
      r.lo[s] = left.lo[s]! + span.forceLeft.lo[s]! + (on ? on.lo[s]! : 0) + (first ? 0 : part.c.lo[s]! / before) + leastTimes(eLo, eHi, c.lo[q]!, c.hi[q]!)
      r.hi[s] = left.hi[s]! + span.forceLeft.hi[s]! + (on ? on.hi[s]! : 0) + (first ? 0 : part.c.hi[s]! / before) + mostTimes(eLo, eHi, c.lo[q]!, c.hi[q]!)
    }
    return { r, sLo: leastTimes(eLo, eHi, dLo, dHi) + 1 / span.lengthMm, sHi: mostTimes(eLo, eHi, dLo, dHi) + 1 / span.lengthMm, wind: windAt(part.before, i, j) }
  }

  function begin(i: number): Part | null {
    if (couplers.some(joint => joint.xMm <= xs[i]!)) return null
    const m = copyOf(leftOf(i).moment)
    for (let q = 0; q < bending; q++) if (m.hi[q]! < -OUTWARD || m.lo[q]! > OUTWARD) return null
    return { last: i, before: NONE, settled: true, a: boxes(Q), bLo: 0, bHi: 0, m, c: boxes(systemCount), dLo: 0, dHi: 0, watched: [] }
  }

  function extend(part: Part, j: number): Part | null {
    const i = part.last
    const span = spanOf(i, j)
    if (!joinSpan(part, span, to)) return null
    if (!to.settled) boundRight(to, j, to.m)
    if (!spanBears(part, span)) return null
    // The fixings before the last, now that the moment over the last is known better.
    const { c, dLo, dHi, m } = to
    for (let q = bending + serving; q < Q; q++) {
      over.lo[q] = Math.max(part.m.lo[q]!, c.lo[q]! + leastTimes(dLo, dHi, m.lo[q]!, m.hi[q]!))
      over.hi[q] = Math.min(part.m.hi[q]!, c.hi[q]! + mostTimes(dLo, dHi, m.lo[q]!, m.hi[q]!))
    }
    for (const one of part.watched) if (!mayBear(one, over)) return null
    const near = pressOn(part, i, j, span)
    if (!mayBear(near, m)) return null
    const own: Boxes = boxes(systemCount)
    for (let s = 0; s < systemCount; s++) {
      const q = beams.ofSystem[s]!
      if (q < 0) continue
      own.lo[s] = c.lo[q]!
      own.hi[s] = c.hi[q]!
    }
    return {
      last: j, before: i, settled: to.settled, a: copyOf(to.a), bLo: to.bLo, bHi: to.bHi, m: copyOf(m), c: own, dLo, dHi,
      watched: [near, ...part.watched.slice(0, WATCHED - 1).map(one => onward(one, own, dLo, dHi))],
    }
  }

  function mayEndWith(part: Part): boolean {
    const j = part.last
    const i = part.before
    if (!mayEnd(j) || i === NONE || couplers.some(joint => joint.xMm > xs[j]!)) return false
    const { moment, force } = rightOf(j)
    const m = boxes(Q)
    for (let q = 0; q < Q; q++) {
      m.lo[q] = Math.max(part.m.lo[q]!, moment.lo[q]! - rounding[q]!)
      m.hi[q] = Math.min(part.m.hi[q]!, moment.hi[q]! + rounding[q]!)
      if (m.lo[q]! > m.hi[q]!) return false
    }
    for (const one of part.watched) if (!mayBear(one, m)) return false
    const lengthMm = xs[j]! - xs[i]!
    const span = spanOf(i, j)
    const on = standing[j]
    const r = boxes(systemCount)
    for (let s = 0; s < systemCount; s++) {
      r.lo[s] = span.forceRight.lo[s]! + force.lo[s]! + (on ? on.lo[s]! : 0) + part.c.lo[s]! / lengthMm
      r.hi[s] = span.forceRight.hi[s]! + force.hi[s]! + (on ? on.hi[s]! : 0) + part.c.hi[s]! / lengthMm
    }
    return mayBear({ r, sLo: (part.dLo - 1) / lengthMm, sHi: (part.dHi - 1) / lengthMm, wind: windAt(i, j, NONE) }, m)
  }

  /** What a fixing bears by the moment one span on. */
  function onward({ r, sLo, sHi, wind }: Watched, c: Boxes, dLo: number, dHi: number): Watched {
    const made = boxes(systemCount)
    for (let s = 0; s < systemCount; s++) {
      made.lo[s] = r.lo[s]! + leastTimes(sLo, sHi, c.lo[s]!, c.hi[s]!)
      made.hi[s] = r.hi[s]! + mostTimes(sLo, sHi, c.lo[s]!, c.hi[s]!)
    }
    return { r: made, sLo: leastTimes(sLo, sHi, dLo, dHi), sHi: mostTimes(sLo, sHi, dLo, dHi), wind }
  }

  return {
    begin, extend, mayEnd: mayEndWith,
    hull: (one, other) => ({
      ...one, a: hullOf(one.a, other.a), bLo: Math.min(one.bLo, other.bLo), bHi: Math.max(one.bHi, other.bHi),
      m: hullOf(one.m, other.m), c: hullOf(one.c, other.c), dLo: Math.min(one.dLo, other.dLo), dHi: Math.max(one.dHi, other.dHi),
      // Fixings that the two do not share are watched no longer.
      watched: one.watched.flatMap((own, k) => {
        const its = other.watched[k]
        return its && its.wind === own.wind ? [{ r: hullOf(own.r, its.r), sLo: Math.min(own.sLo, its.sLo), sHi: Math.max(own.sHi, its.sHi), wind: own.wind }] : []
      }),
    }),
  }
}

function remembered<T>(known: Map<number, T>, key: number, work: () => T): T {
  const ready = known.get(key)
  if (ready !== undefined) return ready
  const made = work()
  known.set(key, made)
  return made
}
