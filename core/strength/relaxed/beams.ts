import type { BeamLoad } from '../../beam'
import { spanAreaMm2 } from '../../loads'
import type { LoadCase, PreparedSetting, RailSetting } from '../setting'
import { radians } from '../../units'

/**
 * What loads a rail by itself, of which every case is a sum: gravity, drifted snow, wind up and down by each span's own area, and
 * 1 N/mm on every kind of stretch, from which each fixing's own wind follows.
 */
export const systems = { gravity: 0, drift: 1, up: 2, down: 3, kinds: 4 } as const

/**
 * A beam as the relaxation sees it: a sum of systems. A bending one is a share of what the section bears about both axes at once,
 * so that no moment of a rail that passes is over 1; a serving one bends as the rail does; one of a single system gives reactions.
 */
export interface RelaxedBeam { kind: 'bending' | 'serving' | 'system', times: number[] }

export interface RelaxedBeams {
  list: RelaxedBeam[]
  /** How many there are of each, in this order. */
  bending: number
  serving: number
  /** The place of each system's own beam in the list; wind by spans has none. */
  ofSystem: Int16Array
  systemCount: number
}

const sumOf = (one: LoadCase, { drift }: PreparedSetting, gravityTimes: number, windTimes: number): number[] => {
  const { wind, windActs } = one.combination
  return [one.gravity * gravityTimes, drift ? one.drift * gravityTimes : 0, windActs === 'up' ? -wind * windTimes : 0, windActs === 'down' ? wind * windTimes : 0]
}

/** Every beam that a rail's checks look at. |a| + |b| ≤ 1 is a + b and a − b both within 1. */
export function beamsOf(setting: RailSetting, own: PreparedSetting): RelaxedBeams {
  const { strength: { momentX, momentY }, slope, loads } = setting
  const tangent = slope === 'across' ? Math.tan(radians(loads.pitchDeg)) : 0
  const bending = own.strength.flatMap(one => (tangent === 0 ? [0] : [1, -1]).map(sign =>
    ({ kind: 'bending' as const, times: sumOf(one, own, 1 / momentX + sign * tangent / momentY, 1 / momentX) })))
  const serving = own.service.map(one => ({ kind: 'serving' as const, times: sumOf(one, own, 1, 1) }))
  const systemCount = systems.kinds + own.kinds.length
  const single = Array.from({ length: systemCount }, (_, s) => s).filter(s => s === systems.gravity || (s === systems.drift && own.drift) || s >= systems.kinds)
  const ofSystem = new Int16Array(systemCount).fill(-1)
  const list: RelaxedBeam[] = [...bending, ...serving]
  for (const s of single) {
    ofSystem[s] = list.length
    list.push({ kind: 'system', times: Array.from({ length: systemCount }, (_, k) => k === s ? 1 : 0) })
  }
  return { list, bending: bending.length, serving: serving.length, ofSystem, systemCount }
}

/** All of a load, N. */
export const totalOf = ({ uniform, points }: BeamLoad): number =>
  uniform.reduce((sum, one) => sum + one.nPerMm * (one.toMm - one.fromMm), 0) + points.reduce((sum, one) => sum + one.n, 0)

/** Sums of all that loads a rail are right to far less than this share of them. */
const ROUNDING = 1e-9

/** What each beam's moments are rounded outward by with every span: a share of all its load at a span's length. */
export function roundingOf(own: PreparedSetting, { list }: RelaxedBeams, longestMm: number): Float64Array {
  const wind = (way: 'up' | 'down') => own.kinds.reduce((sum, kind) => sum + totalOf(kind.load) * kind.at(spanAreaMm2(1, kind.bearsMm))[way], 0)
  const totals = [totalOf(own.gravity), own.drift ? totalOf(own.drift) : 0, wind('up'), wind('down'), ...own.kinds.map(kind => totalOf(kind.load))]
  return Float64Array.from(list, ({ times }) => ROUNDING * times.reduce((sum, by, s) => sum + Math.abs(by * totals[s]!), 0) * longestMm)
}
