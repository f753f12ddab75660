import type { Interval } from '../geometry'
import type { RailWay } from '../job'
import { radians } from '../units'
import { EXPOSED_FACTOR } from './coefficients/us'
import type { FaceLoads } from './face'
import { type ZonePressure, zonePressure } from './pressure'
import { touchedBy } from './zones'

/** One strip of modules along a stretch, with what decides its wind. */
export interface StripWind {
  /** Zones that the strip touches, worst first by uplift on a module. */
  zones: string[]
  /** 1, or more uplift on exposed modules. */
  gust: number
  /** Width of module that the line bears of it, mm. */
  bearsMm: number
}

/** What one rail carries along a stretch of its modules, all normal to the roof. Wind goes by the area of what it loads. */
export interface LineStretch {
  fromMm: number
  toMm: number
  strips: StripWind[]
  exposed: boolean
  /** N/mm. */
  dead: number
  /** Uniform snow, N/mm. */
  snow: number
  /** Unbalanced snow on top of the balanced one, N/mm. */
  drift: number
  /** Wind on a module there, Pa. */
  modulePa: ZonePressure
}

/** Zones over a stretch, worst first. */
export const zonesOver = ({ strips }: LineStretch): string[] => [...new Set(strips.flatMap(strip => strip.zones))]
/** Width of module that a line bears along a stretch, mm. */
export const bearsOver = ({ strips }: Pick<LineStretch, 'strips'>): number => strips.reduce((sum, strip) => sum + strip.bearsMm, 0)

/** Wind along a stretch for an effective area, N/mm, as sizes: of all zones it touches the worst. */
export function windAlong({ wind }: Pick<FaceLoads, 'wind'>, { strips }: Pick<LineStretch, 'strips'>, areaMm2: number): { up: number, down: number } {
  let [up, down] = [0, 0]
  for (const { zones, gust, bearsMm } of strips) {
    let [upPa, downPa] = [0, 0]
    for (const zone of zones) {
      const own = zonePressure(wind.curves[zone]!, areaMm2)
      if (own.upPa > upPa) upPa = own.upPa
      if (own.downPa > downPa) downPa = own.downPa
    }
    up += N_PER_MM2 * gust * upPa * bearsMm
    down += N_PER_MM2 * downPa * bearsMm
  }
  return { up, down }
}

/** What loads one line: modules along it, all alike. */
export interface RailStrip {
  /** What of the face loads the line through them, mm on the other axis. */
  band: Interval
  /** Width of module that the line bears, mm. */
  bearsMm: number
  /** Modules along the line, each with whether it is exposed. */
  modules: (Interval & { exposed: boolean })[]
}

const N_PER_MM2 = 1e-6

/** Loads along one rail: of all strips of modules that it bears, added up where they lie side by side. */
export function railLine(loads: FaceLoads, strips: RailStrip[], way: RailWay): LineStretch[] {
  const lines = strips.map(strip => stripLine(loads, strip, way)).filter(line => line.length > 0)
  return lines.length > 1 ? added(lines) : lines[0] ?? []
}

/** Sums of several lines of load, cut where any of them changes. */
function added(lines: LineStretch[][]): LineStretch[] {
  const cuts = [...new Set(lines.flat().flatMap(one => [one.fromMm, one.toMm]))].sort((a, b) => a - b)
  return merged(cuts.slice(1).flatMap((toMm, i): LineStretch[] => {
    const fromMm = cuts[i]!
    const here = lines.flatMap(line => line.filter(one => one.fromMm < toMm && one.toMm > fromMm))
    if (!here.length) return []
    const sum = (of: (one: LineStretch) => number) => here.reduce((total, one) => total + of(one), 0)
    const most = (of: (one: LineStretch) => number) => Math.max(...here.map(of))
    return [{
      fromMm, toMm, strips: here.flatMap(one => one.strips), exposed: here.some(one => one.exposed), dead: sum(one => one.dead), snow: sum(one => one.snow), drift: sum(one => one.drift),
      modulePa: { upPa: most(one => one.modulePa.upPa), downPa: most(one => one.modulePa.downPa) },
    }]
  }))
}

/** Modules cut where a zone begins or ends, each stretch with the worst of all zones it touches. */
function stripLine(loads: FaceLoads, strip: RailStrip, way: RailWay): LineStretch[] {
  const { modules, band } = strip
  if (!modules.length) return []
  const along = { fromMm: modules[0]!.fromMm, toMm: modules.at(-1)!.toMm }
  const touches = loads.wind.sets.flatMap(set => set.zones.flatMap(zone => touchedBy(zone, along, band, way).map(stretch => ({ ...stretch, zone: zone.name }))))
  const angle = radians(loads.pitchDeg)
  const perPa = N_PER_MM2 * strip.bearsMm
  const drifted = driftAlong(loads, along, band, way)
  const stretches = modules.flatMap((module, i): LineStretch[] => {
    // The gap to the next module is loaded as if it were glass, so that a line of load has no holes.
    const toMm = modules[i + 1] ? (module.toMm + modules[i + 1]!.fromMm) / 2 : module.toMm
    const fromMm = modules[i - 1] ? (modules[i - 1]!.toMm + module.fromMm) / 2 : module.fromMm
    const cuts = [...new Set([
      fromMm,
      toMm,
      ...[...touches, ...drifted].flatMap(one => [one.fromMm, one.toMm]).filter(x => x > fromMm + 0.5 && x < toMm - 0.5),
    ])].sort((a, b) => a - b)
    return cuts.slice(1).map((to, k) => {
      const from = cuts[k]!
      const middle = (from + to) / 2
      const here = [...new Set(touches.filter(one => one.fromMm <= middle && one.toMm >= middle).map(one => one.zone))]
      const gust = module.exposed && loads.exposure ? EXPOSED_FACTOR : 1
      const own = here.map(zone => loads.onModule[zone]!)
      return {
        fromMm: from, toMm: to, exposed: module.exposed, strips: [{ zones: here.sort((a, b) => loads.onModule[b]!.upPa - loads.onModule[a]!.upPa), gust, bearsMm: strip.bearsMm }],
        dead: loads.deadPa * Math.cos(angle) * perPa, snow: loads.snow.uniformPa * Math.cos(angle) ** 2 * perPa,
        drift: drifted.some(one => one.fromMm <= middle && one.toMm >= middle) ? (loads.snow.drift?.pa ?? 0) * Math.cos(angle) ** 2 * perPa : 0,
        modulePa: { upPa: gust * Math.max(0, ...own.map(one => one.upPa)), downPa: Math.max(0, ...own.map(one => one.downPa)) },
      }
    })
  })
  return merged(stretches)
}

/** Where along a line the drift of unbalanced snow lies on it: a band that it touches is loaded whole. */
function driftAlong({ snow: { drift }, pitchDeg, ridgeMm }: FaceLoads, along: Interval, band: Interval, way: RailWay): Interval[] {
  if (!drift) return []
  const fromMm = ridgeMm - drift.fromRidgeMm / Math.cos(radians(pitchDeg))
  if (way === 'across') return band.toMm > fromMm ? [along] : []
  return along.toMm > fromMm ? [{ fromMm: Math.max(fromMm, along.fromMm), toMm: along.toMm }] : []
}

/** Neighbouring stretches that carry the very same are one. */
function merged(stretches: LineStretch[]): LineStretch[] {
  const windOf = ({ strips }: LineStretch) => strips.map(({ zones, gust, bearsMm }) => [zones.join(), gust, bearsMm].join(':')).join(';')
  const same = (a: LineStretch, b: LineStretch) => a.dead === b.dead && a.drift === b.drift && a.exposed === b.exposed && a.toMm >= b.fromMm && windOf(a) === windOf(b)
  const kept: LineStretch[] = []
  for (const next of stretches) {
    const last = kept.at(-1)
    if (last && same(last, next)) last.toMm = next.toMm
    else kept.push({ ...next })
  }
  return kept
}
