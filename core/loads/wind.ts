import type { Face, LoadRules, TypedWind } from '../job'
import { factor, length, MM2_PER_FT2, pressure, words } from '../units'
import type { Working } from '../working'
import type { Building } from './building'
import { enCurves, enTableNames } from './coefficients/en'
import { usCoefficients } from './coefficients/us'
import { levelCurve, type ZoneCurve, zonePressure } from './pressure'
import { enVelocityPressure, usVelocityPressure, type VelocityPressure } from './velocity'
import { type ZoneScheme, type ZoneSet, zonesOf, zoneWords } from './zones'

/** Wind on a face: zone by zone, or why it is not known. */
export interface FaceWind {
  sets: ZoneSet[]
  curves: Record<string, ZoneCurve>
  /** Why the wind is not known, in sentences; empty where it is. */
  unknown: string[]
  /** Coefficients that nobody checked against the document. */
  fromMemory: boolean
  workings: Working[]
}

const notKnown = (why: string): FaceWind => ({ sets: [], curves: {}, unknown: [why], fromMemory: false, workings: [] })

/** The 2010 and 2016 editions' methods for low-rise buildings end at this mean roof height, mm: 60 ft. */
const HIGHEST_MM = 60 * 304.8

/** Edge zone of US editions in plan, mm: a tenth of the least width or 0.4 h, not under 0.04 of the width nor 3 ft. */
export function usEdgeZone({ widthMm, lengthMm, meanHeightMm }: Building): number {
  const least = Math.min(widthMm, lengthMm)
  return Math.max(Math.min(0.1 * least, 0.4 * meanHeightMm), 0.04 * least, 3 * 304.8)
}

type Computed<E extends LoadRules['edition']> = Extract<LoadRules, { edition: E }>

/**
 * Wind on a face by the job's rules.
 * @param moduleMm2 area of one module, for which the workings are written out
 */
export function windOn(rules: Exclude<LoadRules, { edition: 'none' }>, face: Face, building: Building, moduleMm2: number): FaceWind {
  if (rules.wind.kind === 'typed') return typedWind(rules.wind, face)
  switch (rules.edition) {
    case 'us-2010': case 'us-2016': return usWind(rules as Computed<'us-2010' | 'us-2016'>, face, building, moduleMm2)
    case 'en': return enWind(rules, face, building, moduleMm2)
    // The schema lets this edition have typed pressures only.
    case 'us-2022': return notKnown('This tool has no wind coefficients of the 2022 edition.')
  }
}

function typedWind(wind: TypedWind, face: Face): FaceWind {
  const scheme: ZoneScheme = { kind: 'typed', edgeMm: wind.edgeMm }
  return {
    sets: zonesOf(face.outline, face.pitchDeg, scheme), curves: {
      1: levelCurve(wind.interior),
      2: levelCurve(wind.edge),
      3: levelCurve(wind.corner),
    }, unknown: [], fromMemory: false,
    workings: ([['inside', wind.interior], ['along edges', wind.edge], ['in corners', wind.corner]] as const).map(([where, one]): Working => ({
      what: `Wind ${where}`, formula: 'p as typed', values: [{ symbol: 'p↓', what: 'towards the roof', value: pressure(one.downPa) }], result: pressure(one.upPa),
      source: wind.by ? `Typed on this job: ${wind.by}` : 'Typed on this job; the engineer who gave it answers for it', basis: 'typed on this job',
    })),
  }
}

/** Where the method for gable and hip roofs ends: figures that the edition has and this tool lacks, or none at all. */
function outsideUs(edition: 'us-2010' | 'us-2016', { pitchDeg }: Face, { form, meanHeightMm }: Building): string | null {
  const name = edition === 'us-2010' ? '2010' : '2016'
  if (meanHeightMm > HIGHEST_MM) return `The roof’s mean height is over 60 ft (18.3 m): the ${name} edition’s method for low buildings ends there.`
  if (form === 'monopitch') return `The ${name} edition has figures of its own for a single-pitch roof, and this tool does not have them.`
  if (pitchDeg <= 7) return `The pitch is ${pitchDeg.toFixed(1)}°: the ${name} edition has figures of its own for roofs up to 7°, and this tool does not have them.`
  if (pitchDeg > 45) return `The pitch is ${pitchDeg.toFixed(1)}°: the ${name} edition’s method for components ends at 45°.`
  return null
}

function usWind({ edition, wind }: Computed<'us-2010' | 'us-2016'>, face: Face, building: Building, moduleMm2: number): FaceWind {
  if (wind.kind === 'typed') return typedWind(wind, face)
  const outside = outsideUs(edition, face, building)
  if (outside) return notKnown(outside)
  const table = usCoefficients(edition, face.pitchDeg)!
  const q = usVelocityPressure(edition, wind, building.meanHeightMm)
  const edgeMm = usEdgeZone(building)
  const sets = zonesOf(face.outline, face.pitchDeg, { kind: edition, edgeMm })
  const equalised = edition === 'us-2016'
  const curves = Object.fromEntries(table.zones.map((zone): [string, ZoneCurve] => {
    const typed = wind.coefficients[zone]
    const { up, down } = typed ? { up: [typed.up, typed.up] as const, down: [typed.down, typed.down] as const } : table.curve(zone)
    return [
      zone,
      {
        smallMm2: table.smallFt2 * MM2_PER_FT2,
        largeMm2: 100 * MM2_PER_FT2,
        upPa: [q.pa * up[0], q.pa * up[1]],
        downPa: [q.pa * down[0], q.pa * down[1]],
        equalised,
        leastPa: wind.leastPa,
      },
    ]
  }))
  const year = edition === 'us-2010' ? '10' : '16'
  return {
    sets, curves, unknown: [], fromMemory: equalised && table.zones.some(zone => !wind.coefficients[zone]),
    workings: [q.working, {
      what: 'Edge zone', formula: 'a = min(0.1 b, 0.4 h), at least 0.04 b and 3 ft',
      values: [
        { symbol: 'b', what: 'least width in plan', value: length(Math.min(building.widthMm, building.lengthMm)) },
        { symbol: 'h', what: 'mean roof height', value: length(building.meanHeightMm) },
      ],
      result: length(edgeMm), source: `ASCE 7-${year}, ${table.figure} (from memory)`, basis: 'code',
    }, ...drawnOf(sets, table.zones).map((zone): Working => ({
      ...curveWorking(zone, curves[zone]!, moduleMm2, q, wind.coefficients[zone] !== undefined),
      formula: equalised ? 'p = qh GCp γE γa(A)' : 'p = qh GCp(A)',
      source: wind.coefficients[zone]
        ? 'Coefficient typed on this job'
        : equalised
          ? `ASCE 7-16, 29.4.4 and 30.3, ${table.figure} (from memory, not checked: held level to ${table.smallFt2} ft², on the safe side)`
          : `ASCE 7-10, ${table.figure} (from memory). Practice: component coefficients, full, both ways; the edition has no clause for arrays parallel to a roof`,
    }))],
  }
}

function enWind({ wind }: Computed<'en'>, face: Face, building: Building, moduleMm2: number): FaceWind {
  if (wind.kind === 'typed') return typedWind(wind, face)
  const tables = enCurves(building.form, face.pitchDeg)
  if (!tables) {
    return notKnown(face.pitchDeg < 5
      ? `The pitch is ${face.pitchDeg.toFixed(1)}°: under 5° EN 1991-1-4 takes its table for flat roofs, and this tool does not have it.`
      : `The pitch is ${face.pitchDeg.toFixed(1)}°: ${enTableNames[building.form]} of EN 1991-1-4 end at 75°.`)
  }
  const q = enVelocityPressure(wind, building.topMm)
  const acrossEMm = Math.min(building.lengthMm, 2 * building.topMm)
  const alongEMm = Math.min(building.widthMm, 2 * building.topMm)
  const sets = zonesOf(face.outline, face.pitchDeg, { kind: 'en', form: building.form, acrossEMm, alongEMm })
  const zones = Object.keys(tables)
  const curves = Object.fromEntries(zones.map((zone): [string, ZoneCurve] => {
    const typed = wind.coefficients[zone]
    const { one, ten, down } = typed ? { one: typed.up, ten: typed.up, down: typed.down } : tables[zone]!
    return [zone, { smallMm2: 1e6, largeMm2: 1e7, upPa: [q.pa * one, q.pa * ten], downPa: [q.pa * down, q.pa * down], equalised: false, leastPa: 0 }]
  }))
  return {
    sets, curves, unknown: [], fromMemory: building.form !== 'gable',
    workings: [q.working, {
      what: 'Reach of the edge zones', formula: 'e = min(b, 2h)', values: [
        { symbol: 'b', what: 'across the wind on the long side', value: length(building.lengthMm) }, { symbol: 'h', what: 'height', value: length(building.topMm) },
        { symbol: 'e∥', what: 'with the wind along the ridge', value: length(alongEMm) },
      ], result: length(acrossEMm), source: 'EN 1991-1-4, figure 7.8', basis: 'code',
    }, ...drawnOf(sets, zones).map((zone): Working => ({
      ...curveWorking(zone, curves[zone]!, moduleMm2, q, wind.coefficients[zone] !== undefined),
      formula: 'w = qp cpe(A),  cpe = cpe,1 − (cpe,1 − cpe,10) log₁₀ A',
      source: wind.coefficients[zone] ? 'Coefficient typed on this job' : `EN 1991-1-4, ${enTableNames[building.form]}; taken as net on the module`,
    }))],
  }
}

/** Zones that really lie on the face. */
const drawnOf = (sets: ZoneSet[], zones: string[]): string[] => zones.filter(zone => sets.some(set => set.zones.some(one => one.name === zone)))

/** What the working of a zone's wind is of. */
export const zoneWind = (zone: string): string => `Wind on a module, zone ${zoneWords(zone)}`

/** What a zone's pressure comes to on one module, with its ends for small and large areas. */
function curveWorking(zone: string, curve: ZoneCurve, moduleMm2: number, { pa: qPa, working }: VelocityPressure, typed: boolean): Omit<Working, 'formula' | 'source'> {
  const own = zonePressure(curve, moduleMm2)
  const [small, large] = [curve.smallMm2, curve.largeMm2].map(areaMm2 => zonePressure(curve, areaMm2))
  return {
    what: zoneWind(zone),
    values: [
      { symbol: 'q', what: 'velocity pressure', value: pressure(qPa), from: working.what },
      { symbol: 'A', what: 'one module; spans, clamps and fixings take their own areas', value: { kind: 'area', mm2: moduleMm2 } },
      {
        symbol: 'c',
        what: `${typed ? 'as typed' : 'small area to large'}, up and down`,
        value: words(`−${(curve.upPa[0] / qPa).toFixed(2)} to −${(curve.upPa[1] / qPa).toFixed(2)} and +${(curve.downPa[0] / qPa).toFixed(2)} to +${(curve.downPa[1] / qPa).toFixed(2)}`),
      },
      ...(curve.equalised
        ? [{
            symbol: 'γa',
            what: 'pressure equalisation on one module; γE 1.5 up on exposed ones',
            value: factor(own.upPa > curve.leastPa ? own.upPa / unevened(curve, moduleMm2) : 1),
          }]
        : []),
      ...(curve.leastPa > 0 ? [{ symbol: 'least', what: 'net pressure', value: pressure(curve.leastPa) }] : []),
      { symbol: 'p₁', what: 'up on a small area', value: pressure(small!.upPa) }, { symbol: 'p₂', what: 'up on a large one', value: pressure(large!.upPa) },
      { symbol: 'p↓', what: 'towards the roof, on a module', value: pressure(own.downPa) },
    ],
    result: pressure(own.upPa), basis: typed ? 'typed on this job' : 'code',
  }
}

const unevened = (curve: ZoneCurve, areaMm2: number): number => zonePressure({ ...curve, equalised: false, leastPa: 0 }, areaMm2).upPa
