import type { ChosenParts, Format } from '../catalogue'
import { DEAD_LOAD, UNIFORM_SNOW } from './names'
import type { Face, Job } from '../job'
import { shapeOf } from '../roof'
import { angle, area, pressure, radians } from '../units'
import type { Working } from '../working'
import { type Building, buildingOf } from './building'
import { type Combinations, combinationsOf, withoutWind } from './combinations'
import { type ZonePressure, zonePressure } from './pressure'
import { type RoofSnow, roofSnow } from './snow'
import { type FaceWind, windOn } from './wind'

/** All that loads one face. */
export interface FaceLoads {
  format: Format
  building: Building
  wind: FaceWind
  /** Wind on one module by zone, as it is shown; spans, clamps and fixings ask the curves with their own areas. */
  onModule: Record<string, ZonePressure>
  /** Of the array, Pa of slope area. */
  deadPa: number
  snow: RoofSnow
  pitchDeg: number
  /** How far up the face its ridge is, mm. */
  ridgeMm: number
  /** Without the wind where it is not known. */
  combinations: Combinations
  /** Whether exposed modules take more uplift in this edition. */
  exposure: boolean
  workings: Working[]
}

/** Loads of a face; none where nobody has chosen the rules. */
export interface FaceLoading { loads: FaceLoads | null }

const GRAVITY = 9.80665

/**
 * Loads on one face by the job's rules, for the parts its array is built of.
 * @param kitKg what lies under one module of an array that is the covering, in place of rails; null for one on rails
 */
export function loadingOf(job: Pick<Job, 'loads'>, face: Face, parts: ChosenParts, kitKg: number | null = null): FaceLoading {
  const { rules } = job.loads
  const all = combinationsOf(rules.edition)
  if (!all || rules.edition === 'none') return { loads: null }
  const building = buildingOf(job, face)
  const { module, rail } = parts
  const moduleMm2 = module.longMm * module.shortMm
  const wind = windOn(rules, face, building, moduleMm2)
  const snow = roofSnow(rules, face.pitchDeg, building)
  // Two rails a module, the other way's dimension being the longer estimate.
  const underKg = kitKg ?? 2 * rail.massKgPerM * module.shortMm / 1000
  const deadPa = GRAVITY * (module.massKg + underKg) / (moduleMm2 / 1e6)
  const slope = radians(face.pitchDeg)
  return {
    loads: {
      format: all.format, building, wind, deadPa, snow, pitchDeg: face.pitchDeg, ridgeMm: shapeOf(face.outline).up.toMm, combinations: wind.unknown.length ? withoutWind(all) : all,
      onModule: Object.fromEntries(Object.entries(wind.curves).map(([zone, curve]) => [zone, zonePressure(curve, moduleMm2)])),
      exposure: rules.edition === 'us-2016' && rules.wind.kind === 'computed',
      workings: [
        ...wind.workings, ...snow.workings,
        {
          what: DEAD_LOAD, formula: kitKg === null ? 'd = g (m + 2 r w) / A' : 'd = g (m + k) / A', values: [
            { symbol: 'm', what: module.name, value: { kind: 'mass', kg: module.massKg } },
            kitKg === null
              ? { symbol: 'r w', what: 'rail for one module’s width, each', value: { kind: 'mass', kg: underKg / 2 } }
              : { symbol: 'k', what: 'tray or frame, joints and screws under one module', value: { kind: 'mass', kg: kitKg } },
            { symbol: 'A', what: 'module', value: area(moduleMm2) },
          ], result: pressure(deadPa), source: 'Masses by the makers', basis: 'maker',
        },
        {
          what: UNIFORM_SNOW, formula: 's cos² a normal, s sin a cos a down the slope', values: [
            { symbol: 'a', what: 'pitch', value: angle(face.pitchDeg) },
            { symbol: 's', what: 'on plan, the greatest uniform case', value: pressure(snow.uniformPa), from: snow.workings.find(one => one.result.kind === 'pressure' && one.result.pa === snow.uniformPa)?.what },
          ],
          result: pressure(snow.uniformPa * Math.cos(slope) ** 2), source: 'Snow lies on plan area', basis: 'arithmetic',
        },
      ],
    },
  }
}
