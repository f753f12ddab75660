import type { Interval } from '../geometry'
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

/** The modules' share that a rail takes. */
export interface RailStrip {
  /** Heights up the slope between which zones load it. */
  band: Interval
  /** Width of module that loads it, mm, and this rail's share of that. */
  widthMm: number
  share: number
  /** Modules along the rail, each with whether it is exposed. */
  modules: (Interval & { exposed: boolean })[]
}

const N_PER_MM2 = 1e-6

/** Loads along one rail: its modules cut where a zone begins or ends, each stretch with the worst of all zones it touches. */
export function railLine(loads: FaceLoads, strip: RailStrip): LineStretch[] {
  const { modules, band } = strip
  if (!modules.length) return []
  const along = { fromMm: modules[0]!.fromMm, toMm: modules.at(-1)!.toMm }
  const touches = loads.sets.flatMap(set => set.zones.flatMap(zone => touchedBy(zone, along, band).map(stretch => ({ ...stretch, zone: zone.name }))))
  const angle = radians(loads.pitchDeg)
  const perPa = N_PER_MM2 * strip.widthMm * strip.share
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
  const same = (a: LineStretch, b: LineStretch) => a.railUp === b.railUp && a.railDown === b.railDown && a.fixingUp === b.fixingUp && a.fixingDown === b.fixingDown && a.zones.join() === b.zones.join() && a.exposed === b.exposed
  const kept: LineStretch[] = []
  for (const next of stretches) {
    const last = kept.at(-1)
    if (last && same(last, next)) last.toMm = next.toMm
    else kept.push({ ...next })
  }
  return kept
}

/**
 * Share of a module's load that each of two rails takes, by the lever rule: a module whose middle lies between them at m has
 * its load carried in the ratio of the distances.
 * @param lowMm, highMm rails from the module's lower edge; `heightMm` its height up the slope
 */
export function leverShares(lowMm: number, highMm: number, heightMm: number): { low: number, high: number } {
  const apart = highMm - lowMm
  if (apart <= 1) return { low: 0.5, high: 0.5 }
  // A module that stands out far past one rail would lift off the other; neither is ever taken to carry less than a third.
  const low = Math.min(1.5, Math.max(1 / 3, (highMm - heightMm / 2) / apart))
  const high = Math.min(1.5, Math.max(1 / 3, (heightMm / 2 - lowMm) / apart))
  return { low, high }
}
