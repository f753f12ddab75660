import type { Interval } from '../geometry'
import type { RailWay } from '../job'
import { radians } from '../units'
import { EXPOSED_FACTOR } from './coefficients/us'
import type { FaceLoads, LoadedPart, ZonePressure } from './face'
import { touchedBy } from './zones'

/** What one rail carries along a stretch of its modules, N/mm, all normal to the roof: wind as sizes, up and down. */
export interface LineStretch {
  fromMm: number
  toMm: number
  /** Zones that the strip over it touches, worst first by uplift on the rail. */
  zones: string[]
  exposed: boolean
  dead: number
  snow: number
  /** Wind on the rail by its own effective area, and for its fixings by theirs. */
  railUp: number
  railDown: number
  fixingUp: number
  fixingDown: number
  /** On a module there, Pa. */
  modulePa: ZonePressure
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
      fromMm, toMm, zones: [...new Set(here.flatMap(one => one.zones))], exposed: here.some(one => one.exposed), dead: sum(one => one.dead), snow: sum(one => one.snow),
      railUp: sum(one => one.railUp), railDown: sum(one => one.railDown), fixingUp: sum(one => one.fixingUp), fixingDown: sum(one => one.fixingDown),
      modulePa: { upPa: most(one => one.modulePa.upPa), downPa: most(one => one.modulePa.downPa) },
    }]
  }))
}

/** Modules cut where a zone begins or ends, each stretch with the worst of all zones it touches. */
function stripLine(loads: FaceLoads, strip: RailStrip, way: RailWay): LineStretch[] {
  const { modules, band } = strip
  if (!modules.length) return []
  const along = { fromMm: modules[0]!.fromMm, toMm: modules.at(-1)!.toMm }
  const touches = loads.sets.flatMap(set => set.zones.flatMap(zone => touchedBy(zone, along, band, way).map(stretch => ({ ...stretch, zone: zone.name }))))
  const angle = radians(loads.pitchDeg)
  const perPa = N_PER_MM2 * strip.bearsMm
  const stretches = modules.flatMap((module, i): LineStretch[] => {
    // The gap to the next module is loaded as if it were glass, so that a line of load has no holes.
    const toMm = modules[i + 1] ? (module.toMm + modules[i + 1]!.fromMm) / 2 : module.toMm
    const fromMm = modules[i - 1] ? (modules[i - 1]!.toMm + module.fromMm) / 2 : module.fromMm
    const cuts = [...new Set([fromMm, toMm, ...touches.flatMap(one => [one.fromMm, one.toMm]).filter(x => x > fromMm + 0.5 && x < toMm - 0.5)])].sort((a, b) => a - b)
    return cuts.slice(1).map((to, k) => {
      const from = cuts[k]!
      const middle = (from + to) / 2
      const here = [...new Set(touches.filter(one => one.fromMm <= middle && one.toMm >= middle).map(one => one.zone))]
      const gust = module.exposed && loads.exposure ? EXPOSED_FACTOR : 1
      const worst = (part: LoadedPart): ZonePressure => ({
        upPa: gust * Math.max(0, ...here.map(zone => loads.wind[part][zone]?.upPa ?? 0)), downPa: Math.max(0, ...here.map(zone => loads.wind[part][zone]?.downPa ?? 0)),
      })
      const [rail, fixing] = [worst('rail'), worst('fixing')]
      return {
        fromMm: from, toMm: to, zones: here.sort((a, b) => (loads.wind.rail[b]?.upPa ?? 0) - (loads.wind.rail[a]?.upPa ?? 0)), exposed: module.exposed,
        dead: loads.deadPa * Math.cos(angle) * perPa, snow: loads.snowPa * Math.cos(angle) ** 2 * perPa,
        railUp: rail.upPa * perPa, railDown: rail.downPa * perPa, fixingUp: fixing.upPa * perPa, fixingDown: fixing.downPa * perPa, modulePa: worst('module'),
      }
    })
  })
  return merged(stretches)
}

/** Neighbouring stretches that carry the very same are one. */
function merged(stretches: LineStretch[]): LineStretch[] {
  const same = (a: LineStretch, b: LineStretch) => a.railUp === b.railUp && a.railDown === b.railDown && a.fixingUp === b.fixingUp && a.fixingDown === b.fixingDown && a.dead === b.dead && a.zones.join() === b.zones.join() && a.exposed === b.exposed && a.toMm >= b.fromMm
  const kept: LineStretch[] = []
  for (const next of stretches) {
    const last = kept.at(-1)
    if (last && same(last, next)) last.toMm = next.toMm
    else kept.push({ ...next })
  }
  return kept
}
