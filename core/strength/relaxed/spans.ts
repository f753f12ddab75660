import type { BeamLoad, UniformLoad } from '../../beam'
import { spanAreaMm2 } from '../../loads'
import { loadAlong, type PreparedSetting, type RailSetting } from '../setting'
import { addTimes, type Boxes, boxes } from './boxes'
import type { RelaxedBeams } from './beams'

/** Shares of a span at which its moment is looked at: every twelfth, and its ends are supports. */
export const MOMENTS_AT = Array.from({ length: 11 }, (_, i) => (i + 1) / 12)
/** Shares of a span at which its sag is looked at: the greatest lies between 0.42 of an end span and the middle. */
export const SAGS_AT = [0.38, 0.42, 0.46, 0.5, 0.54, 0.58, 0.62]

/**
 * What a span does under each beam's load while it rests freely on two supports. Turns are times 6 E I, sags times E I. Where
 * modules press through clamps, how much wind comes from a module that reaches past the span is known only within bounds.
 */
export interface SpanTable {
  lengthMm: number
  /** How its ends turn, for each beam. */
  turnLeft: Boxes
  turnRight: Boxes
  /** For each bending beam in turn, at each share of the span. */
  moments: Boxes
  /** For each serving beam in turn. */
  sags: Boxes
  /** On its supports, N, for each system. */
  forceLeft: Boxes
  forceRight: Boxes
  /** Joints that turn freely, as shares of the span, with the moment there of each beam. */
  hinges: { at: number, moments: Boxes }[]
}

/** An overhang: moment over its support for each beam, and force on it for each system. */
export interface EndTable { moment: Boxes, force: Boxes }

/** A load that may be as small as one and as great as the other. */
interface LoadRange { lo: BeamLoad, hi: BeamLoad }

/** Spans shorter than this share nothing with wind areas that matter: the least area at which a pressure is asked, mm. */
const SHORTEST_MM = 1

/** Every system's load as a span or an overhang between two places has it. */
export function loadsOn(setting: RailSetting, own: PreparedSetting, fromMm: number, toMm: number, longestMm: number): LoadRange[] {
  const fixed = (load: BeamLoad): LoadRange => ({ lo: load, hi: load })
  const nothing: BeamLoad = { uniform: [], points: [] }
  const wind = (way: 'up' | 'down'): LoadRange => {
    const pieces = { lo: [] as UniformLoad[], hi: [] as UniformLoad[] }
    setting.line.forEach((stretch, i) => {
      const kind = own.kinds[own.kindOf[i]!]!
      const at = (spanMm: number) => kind.at(spanAreaMm2(spanMm, kind.bearsMm))[way]
      const [from, to] = [Math.max(fromMm, stretch.fromMm), Math.min(toMm, stretch.toMm)]
      if (to > from) for (const list of [pieces.lo, pieces.hi]) list.push({ fromMm: from, toMm: to, nPerMm: at(toMm - fromMm) })
      // Through clamps a module brings in what lies past the span, by the areas of spans that are not known yet.
      if (setting.loadPath === 'line') return
      const [small, large] = [at(SHORTEST_MM), at(longestMm)]
      for (const [a, b] of [[stretch.fromMm, Math.min(stretch.toMm, fromMm)], [Math.max(stretch.fromMm, toMm), stretch.toMm]] as const) {
        if (b <= a) continue
        pieces.lo.push({ fromMm: a, toMm: b, nPerMm: Math.min(small, large) })
        pieces.hi.push({ fromMm: a, toMm: b, nPerMm: Math.max(small, large) })
      }
    })
    return setting.loadPath === 'line'
      ? fixed({ uniform: pieces.lo, points: [] })
      : { lo: loadAlong(setting, pieces.lo), hi: loadAlong(setting, pieces.hi) }
  }
  return [fixed(own.gravity), own.drift ? fixed(own.drift) : fixed(nothing), wind('up'), wind('down'), ...own.kinds.map(kind => fixed(kind.load))]
}

/** A span under one load by itself. */
interface FreeSpan { turnLeft: number, turnRight: number, forceLeft: number, forceRight: number, moments: number[], sags: number[], hinges: number[] }

function freeSpan({ uniform, points }: BeamLoad, fromMm: number, toMm: number, hinges: number[]): FreeSpan {
  const L = toMm - fromMm
  const own = uniform.flatMap((one) => {
    const [u, v] = [Math.max(0, one.fromMm - fromMm), Math.min(L, one.toMm - fromMm)]
    return v > u ? [{ u, v, w: one.nPerMm }] : []
  })
  const single = points.flatMap(({ xMm, n }) => xMm > fromMm + 1e-7 && xMm < toMm - 1e-7 ? [{ a: xMm - fromMm, n }] : [])
  let [turnLeft, turnRight, forceLeft, total] = [0, 0, 0, 0]
  const turnBy = (u: number) => u * u * (L * L / 2 - u * u / 4)
  for (const { u, v, w } of own) {
    turnLeft += w * (turnBy(L - u) - turnBy(L - v)) / L
    turnRight += w * (turnBy(v) - turnBy(u)) / L
    forceLeft += w * (v - u) * (L - (u + v) / 2) / L
    total += w * (v - u)
  }
  for (const { a, n } of single) {
    const b = L - a
    turnLeft += n * b * (L * L - b * b) / L
    turnRight += n * a * (L * L - a * a) / L
    forceLeft += n * b / L
    total += n
  }
  const momentAt = (t: number) => {
    const x = t * L
    let moment = forceLeft * x
    for (const { u, v, w } of own) {
      const to = Math.min(x, v)
      if (to > u) moment -= w * (to - u) * (x - (u + to) / 2)
    }
    for (const { a, n } of single) if (x > a) moment -= n * (x - a)
    return moment
  }
  // A load at ξ left of x sags it by (L − x) ξ (L² − (L − x)² − ξ²) / 6EIL; a uniform one by its integral, from the right alike.
  const leftOf = (x: number, c: number, d: number) => {
    const y = L - x
    const by = (z: number) => (L * L - y * y) * z * z / 2 - z ** 4 / 4
    return y / (6 * L) * (by(d) - by(c))
  }
  const sagAt = (t: number) => {
    const x = t * L
    let sag = 0
    for (const { u, v, w } of own) {
      if (u < x) sag += w * leftOf(x, u, Math.min(v, x))
      if (v > x) sag += w * leftOf(L - x, L - v, L - Math.max(u, x))
    }
    for (const { a, n } of single) {
      const [near, far] = a <= x ? [a, L - x] : [L - a, x]
      sag += n * far * near * (L * L - far * far - near * near) / (6 * L)
    }
    return sag
  }
  return { turnLeft, turnRight, forceLeft, forceRight: total - forceLeft, moments: MOMENTS_AT.map(momentAt), sags: SAGS_AT.map(sagAt), hinges: hinges.map(momentAt) }
}

export function spanTable(setting: RailSetting, own: PreparedSetting, beams: RelaxedBeams, fromMm: number, toMm: number, longestMm: number): SpanTable {
  const lengthMm = toMm - fromMm
  const hinges = setting.couplers.filter(joint => joint.xMm > fromMm && joint.xMm <= toMm).map(joint => (joint.xMm - fromMm) / lengthMm)
  const free = loadsOn(setting, own, fromMm, toMm, longestMm).map(({ lo, hi }) => {
    const least = freeSpan(lo, fromMm, toMm, hinges)
    return { lo: least, hi: hi === lo ? least : freeSpan(hi, fromMm, toMm, hinges) }
  })
  const Q = beams.list.length
  const table: SpanTable = {
    lengthMm, turnLeft: boxes(Q), turnRight: boxes(Q), moments: boxes(beams.bending * MOMENTS_AT.length), sags: boxes(beams.serving * SAGS_AT.length),
    forceLeft: boxes(beams.systemCount), forceRight: boxes(beams.systemCount), hinges: hinges.map(at => ({ at, moments: boxes(Q) })),
  }
  beams.list.forEach(({ kind, times }, q) => times.forEach((by, s) => {
    const of = free[s]
    if (by === 0 || !of) return
    addTimes(table.turnLeft, q, by, of.lo.turnLeft, of.hi.turnLeft)
    addTimes(table.turnRight, q, by, of.lo.turnRight, of.hi.turnRight)
    table.hinges.forEach((hinge, h) => addTimes(hinge.moments, q, by, of.lo.hinges[h]!, of.hi.hinges[h]!))
    if (kind === 'bending') MOMENTS_AT.forEach((_, p) => addTimes(table.moments, q * MOMENTS_AT.length + p, by, of.lo.moments[p]!, of.hi.moments[p]!))
    if (kind === 'serving') SAGS_AT.forEach((_, p) => addTimes(table.sags, (q - beams.bending) * SAGS_AT.length + p, by, of.lo.sags[p]!, of.hi.sags[p]!))
  }))
  free.forEach(({ lo, hi }, s) => {
    addTimes(table.forceLeft, s, 1, lo.forceLeft, hi.forceLeft)
    addTimes(table.forceRight, s, 1, lo.forceRight, hi.forceRight)
  })
  return table
}

/** What hangs over past the first or the last support. */
export function endTable(setting: RailSetting, own: PreparedSetting, beams: RelaxedBeams, supportMm: number, end: 'left' | 'right', longestMm: number): EndTable {
  const { reach } = setting
  const [fromMm, toMm] = end === 'left' ? [Math.min(reach.fromMm, supportMm), supportMm] : [supportMm, Math.max(reach.toMm, supportMm)]
  const past = (x: number) => end === 'left' ? Math.max(0, supportMm - x) : Math.max(0, x - supportMm)
  const of = ({ uniform, points }: BeamLoad) => {
    let [moment, force] = [0, 0]
    for (const one of uniform) {
      const [near, far] = [past(end === 'left' ? one.toMm : one.fromMm), past(end === 'left' ? one.fromMm : one.toMm)]
      moment -= one.nPerMm * (far * far - near * near) / 2
      force += one.nPerMm * (far - near)
    }
    for (const { xMm, n } of points) {
      const arm = past(xMm)
      if (arm <= 1e-7) continue
      moment -= n * arm
      force += n
    }
    return { moment, force }
  }
  const free = loadsOn(setting, own, fromMm, toMm, longestMm).map(({ lo, hi }) => ({ lo: of(lo), hi: of(hi) }))
  const table: EndTable = { moment: boxes(beams.list.length), force: boxes(beams.systemCount) }
  beams.list.forEach(({ times }, q) => times.forEach((by, s) => {
    // Moments over a support are below 0 for loads towards the roof: the greater load has the lesser one.
    if (by !== 0 && free[s]) addTimes(table.moment, q, by, free[s].hi.moment, free[s].lo.moment)
  }))
  free.forEach(({ lo, hi }, s) => addTimes(table.force, s, 1, lo.force, hi.force))
  return table
}

/** A load that stands on a support itself, N, for each system. */
export function standingOn(setting: RailSetting, own: PreparedSetting, beams: RelaxedBeams, xMm: number, longestMm: number): Boxes | null {
  if (setting.loadPath === 'line') return null
  const made = boxes(beams.systemCount)
  const at = ({ points }: BeamLoad) => points.reduce((sum, one) => Math.abs(one.xMm - xMm) < 1e-7 ? sum + one.n : sum, 0)
  loadsOn(setting, own, xMm, xMm, longestMm).forEach(({ lo, hi }, s) => addTimes(made, s, 1, at(lo), at(hi)))
  return made
}
