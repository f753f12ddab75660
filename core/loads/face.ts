import { moduleAcross } from '../rails'
import type { ChosenParts, Format } from '../catalogue'
import type { Face, Job, LoadRules, TypedWind } from '../job'
import { area, factor, length, pressure, radians, words } from '../units'
import type { Working } from '../working'
import { type Building, buildingOf } from './building'
import { enCoefficients, enTableNames } from './coefficients/en'
import { equalisation, usCoefficients } from './coefficients/us'
import { type Combinations, combinationsOf } from './combinations'
import { roofSnow } from './snow'
import { enVelocityPressure, usVelocityPressure } from './velocity'
import { type ZoneScheme, type ZoneSet, zonesOf, zoneWords } from './zones'

/** Wind on one zone as sizes, Pa, at the edition's basic level: strength for US editions, characteristic for EN. */
export interface ZonePressure { upPa: number, downPa: number }

/** What is loaded decides how large an area the wind is averaged over. The areas don't depend on where fixings end up. */
export const loadedParts = ['module', 'rail', 'fixing'] as const
export type LoadedPart = typeof loadedParts[number]

/** All that loads one face, or why it can't be said. */
export interface FaceLoads {
  format: Format
  building: Building
  sets: ZoneSet[]
  /** Effective wind area by part, mm². */
  areasMm2: Record<LoadedPart, number>
  wind: Record<LoadedPart, Record<string, ZonePressure>>
  /** Of the array, Pa of slope area. */
  deadPa: number
  /** On the roof, Pa of plan area. */
  snowPa: number
  pitchDeg: number
  combinations: Combinations
  /** Whether exposed modules take more uplift in this edition. */
  exposure: boolean
  /** Coefficients that nobody checked against the document. */
  fromMemory: boolean
  workings: Working[]
}

/** Loads of a face; `null` with reasons where the rules do not cover it. */
export interface FaceLoading { loads: FaceLoads | null, notCovered: string[] }

const GRAVITY = 9.80665

/** Loads on one face by the job's rules, for the parts its array is built of. */
export function loadingOf(job: Pick<Job, 'loads'>, face: Face, parts: ChosenParts): FaceLoading {
  const { rules } = job.loads
  const combinations = combinationsOf(rules.edition)
  if (!combinations || rules.edition === 'none') return { loads: null, notCovered: [] }
  const building = buildingOf(job, face)
  const areasMm2 = effectiveAreas(face, parts)
  const wind = windOn(rules, face, building, areasMm2)
  if (!wind.ok) return { loads: null, notCovered: wind.notCovered }
  const snow = roofSnow(rules, face.pitchDeg)
  const { module, rail } = parts
  const moduleAreaMm2 = module.longMm * module.shortMm
  // Two rails a module, the other way's dimension being the longer estimate.
  const deadPa = GRAVITY * (module.massKg + 2 * rail.massKgPerM * module.shortMm / 1000) / (moduleAreaMm2 / 1e6)
  const angle = radians(face.pitchDeg)
  return {
    notCovered: [],
    loads: {
      format: combinations.format, building, areasMm2, sets: wind.sets, wind: wind.pressures, deadPa, snowPa: snow.pa, pitchDeg: face.pitchDeg, combinations,
      exposure: rules.edition === 'us-2016' && rules.wind.kind === 'computed', fromMemory: wind.fromMemory,
      workings: [
        ...wind.workings, ...(snow.working ? [snow.working] : []),
        {
          what: 'Dead load of the array', formula: 'd = g (m + 2 r w) / A', values: [
            { symbol: 'm', what: module.name, value: { kind: 'mass', kg: module.massKg } },
            { symbol: 'r w', what: 'rail for one module’s width, each', value: { kind: 'mass', kg: rail.massKgPerM * module.shortMm / 1000 } },
            { symbol: 'A', what: 'module', value: area(moduleAreaMm2) },
          ], result: pressure(deadPa), source: 'Masses by the makers', basis: 'maker',
        },
        {
          what: 'Snow normal to the roof and down it', formula: 's cos² a and s sin a cos a', values: [{ symbol: 'a', what: 'pitch', value: { kind: 'angle', deg: face.pitchDeg } }, { symbol: 's', what: 'on plan', value: pressure(snow.pa) }],
          result: pressure(snow.pa * Math.cos(angle) ** 2), source: 'Snow lies on plan area', basis: 'arithmetic',
        },
      ],
    },
  }
}

/**
 * Frozen effective areas: a module; the rail's greatest span by the wider of its tributary width and a third of that span; and
 * for a fixing half of the greatest span by the tributary width, which is the least that an inner fixing can have.
 */
function effectiveAreas(face: Face, parts: ChosenParts): FaceLoads['areasMm2'] {
  const { module, rail, mount } = parts
  const spanMm = face.array.allowedSpanMm ?? Math.min(rail.greatestSpanMm, mount.greatestSpanMm ?? Infinity)
  const acrossMm = moduleAcross(face.array, parts)
  return { module: module.longMm * module.shortMm, rail: spanMm * Math.max(acrossMm / 2, spanMm / 3), fixing: spanMm / 2 * acrossMm / 2 }
}

interface WindOn { ok: true, sets: ZoneSet[], pressures: FaceLoads['wind'], fromMemory: boolean, workings: Working[] }

/** Edge zone of US editions in plan, mm: a tenth of the least width or 0.4 h, not under 0.04 of the width nor 3 ft. */
export function usEdgeZone({ widthMm, lengthMm, meanHeightMm }: Building): number {
  const least = Math.min(widthMm, lengthMm)
  return Math.max(Math.min(0.1 * least, 0.4 * meanHeightMm), 0.04 * least, 3 * 304.8)
}

type Computed<E extends LoadRules['edition']> = Extract<LoadRules, { edition: E }>

function windOn(rules: Exclude<LoadRules, { edition: 'none' }>, face: Face, building: Building, areas: FaceLoads['areasMm2']): WindOn | { ok: false, notCovered: string[] } {
  if (rules.wind.kind === 'typed') return typedWind(rules.wind, face)
  switch (rules.edition) {
    case 'us-2010': case 'us-2016': return usWind(rules as Computed<'us-2010' | 'us-2016'>, face, building, areas)
    case 'en': return enWind(rules, face, building, areas)
    // The schema lets this edition have typed pressures only.
    case 'us-2022': return { ok: false, notCovered: ['Wind of the 2022 edition is taken from an engineer’s pressures only.'] }
  }
}

const forParts = (of: (part: LoadedPart) => Record<string, ZonePressure>): FaceLoads['wind'] => ({ module: of('module'), rail: of('rail'), fixing: of('fixing') })

function typedWind(wind: TypedWind, face: Face): WindOn {
  const scheme: ZoneScheme = { kind: 'typed', edgeMm: wind.edgeMm }
  const pressures = { 1: wind.interior, 2: wind.edge, 3: wind.corner }
  return {
    ok: true, sets: zonesOf(face.outline, face.pitchDeg, scheme), pressures: forParts(() => pressures), fromMemory: false,
    workings: ([['inside', wind.interior], ['along edges', wind.edge], ['in corners', wind.corner]] as const).map(([where, one]): Working => ({
      what: `Wind ${where}`, formula: 'p as typed', values: [{ symbol: 'p↓', what: 'towards the roof', value: pressure(one.downPa) }], result: pressure(one.upPa),
      source: wind.by ? `Typed on this job: ${wind.by}` : 'Typed on this job; the engineer who gave it answers for it', basis: 'typed on this job',
    })),
  }
}

function usWind({ edition, wind }: Computed<'us-2010' | 'us-2016'>, face: Face, building: Building, areas: FaceLoads['areasMm2']): WindOn | { ok: false, notCovered: string[] } {
  if (wind.kind === 'typed') return typedWind(wind, face)
  const table = usCoefficients(edition, face.pitchDeg)
  if (building.form === 'monopitch' || !table) {
    return { ok: false, notCovered: [`${building.form === 'monopitch' ? 'A single-pitch roof' : `A pitch of ${face.pitchDeg.toFixed(1)}°`} is outside the figures that this tool has of the ${edition === 'us-2010' ? '2010' : '2016'} edition (gable and hip roofs over 7° to 45°).`] }
  }
  const q = usVelocityPressure(edition, wind, building.meanHeightMm)
  const edgeMm = usEdgeZone(building)
  const sets = zonesOf(face.outline, face.pitchDeg, { kind: edition, edgeMm })
  const coefficient = (zone: string, areaMm2: number) => wind.coefficients[zone] ?? table.at(zone, areaMm2)
  const gammaA = (part: LoadedPart) => edition === 'us-2016' ? equalisation(areas[part]) : 1
  const pressures = forParts(part => Object.fromEntries(table.zones.map((zone) => {
    const { up, down } = coefficient(zone, areas[part])
    return [zone, { upPa: Math.max(wind.leastPa, q.pa * up * gammaA(part)), downPa: Math.max(wind.leastPa, q.pa * down * gammaA(part)) }]
  })))
  const typed = table.zones.filter(zone => wind.coefficients[zone])
  return {
    ok: true, sets, pressures, fromMemory: edition === 'us-2016' && typed.length < table.zones.length,
    workings: [q.working, {
      what: 'Edge zone', formula: 'a = min(0.1 b, 0.4 h), at least 0.04 b and 3 ft',
      values: [{ symbol: 'b', what: 'least width in plan', value: length(Math.min(building.widthMm, building.lengthMm)) }, { symbol: 'h', what: 'mean roof height', value: length(building.meanHeightMm) }],
      result: length(edgeMm), source: `ASCE 7-${edition === 'us-2010' ? '10' : '16'}, ${table.figure} (from memory)`, basis: 'code',
    }, ...table.zones.filter(zone => sets[0]!.zones.some(one => one.name === zone)).map((zone): Working => ({
      what: `Wind on a rail, zone ${zone}`, formula: edition === 'us-2016' ? 'p = qh GCp γE γa' : 'p = qh GCp', values: [
        { symbol: 'qh', what: 'velocity pressure', value: pressure(q.pa) },
        { symbol: 'A', what: 'effective wind area of a rail, frozen', value: area(areas.rail) },
        { symbol: 'GCp', what: wind.coefficients[zone] ? 'as typed, up and down' : 'up and down', value: words(`−${coefficient(zone, areas.rail).up.toFixed(2)} and +${coefficient(zone, areas.rail).down.toFixed(2)}`) },
        ...(edition === 'us-2016' ? [{ symbol: 'γa', what: 'pressure equalisation; γE 1.5 up on exposed modules', value: factor(gammaA('rail')) }] : []),
        { symbol: 'least', what: 'net pressure', value: pressure(wind.leastPa) },
        { symbol: 'p↓', what: 'towards the roof', value: pressure(pressures.rail[zone]!.downPa) },
      ], result: pressure(pressures.rail[zone]!.upPa),
      source: wind.coefficients[zone] ? 'Coefficient typed on this job' : `ASCE 7-${edition === 'us-2010' ? '10, 30.4' : '16, 29.4.4 and 30.3'}, ${table.figure} (from memory${edition === 'us-2016' ? ', not checked' : ''})`,
      basis: wind.coefficients[zone] ? 'typed on this job' : 'code',
    }))],
  }
}

function enWind({ wind }: Computed<'en'>, face: Face, building: Building, areas: FaceLoads['areasMm2']): WindOn | { ok: false, notCovered: string[] } {
  if (wind.kind === 'typed') return typedWind(wind, face)
  const tables = { module: enCoefficients(building.form, face.pitchDeg, areas.module), rail: enCoefficients(building.form, face.pitchDeg, areas.rail), fixing: enCoefficients(building.form, face.pitchDeg, areas.fixing) }
  if (!tables.rail) return { ok: false, notCovered: [`A pitch of ${face.pitchDeg.toFixed(1)}° is outside ${enTableNames[building.form]} of EN 1991-1-4 (5° to 75°).`] }
  const q = enVelocityPressure(wind, building.topMm)
  const acrossEMm = Math.min(building.lengthMm, 2 * building.topMm)
  const alongEMm = Math.min(building.widthMm, 2 * building.topMm)
  const sets = zonesOf(face.outline, face.pitchDeg, { kind: 'en', form: building.form, acrossEMm, alongEMm })
  const coefficient = (part: LoadedPart, zone: string) => wind.coefficients[zone] ?? tables[part]![zone]!
  const zones = Object.keys(tables.rail)
  const pressures = forParts(part => Object.fromEntries(zones.map((zone) => {
    const { up, down } = coefficient(part, zone)
    return [zone, { upPa: q.pa * up, downPa: q.pa * down }]
  })))
  const drawn = zones.filter(zone => sets.some(set => set.zones.some(one => one.name === zone)))
  return {
    ok: true, sets, pressures, fromMemory: building.form !== 'gable',
    workings: [q.working, {
      what: 'Reach of the edge zones', formula: 'e = min(b, 2h)', values: [
        { symbol: 'b', what: 'across the wind on the long side', value: length(building.lengthMm) }, { symbol: 'h', what: 'height', value: length(building.topMm) },
        { symbol: 'e∥', what: 'with the wind along the ridge', value: length(alongEMm) },
      ], result: length(acrossEMm), source: 'EN 1991-1-4, figure 7.8', basis: 'code',
    }, ...drawn.map((zone): Working => ({
      what: `Wind on a rail, zone ${zoneWords(zone)}`, formula: 'w = qp cpe,  cpe = cpe,1 − (cpe,1 − cpe,10) log₁₀ A', values: [
        { symbol: 'qp', what: 'peak velocity pressure', value: pressure(q.pa) }, { symbol: 'A', what: 'loaded area of a rail, frozen', value: area(areas.rail) },
        { symbol: 'cpe', what: wind.coefficients[zone] ? 'net, as typed, up and down' : 'up and down, taken as net on the module', value: words(`−${coefficient('rail', zone).up.toFixed(2)} and +${coefficient('rail', zone).down.toFixed(2)}`) },
        { symbol: 'w↓', what: 'towards the roof', value: pressure(pressures.rail[zone]!.downPa) },
      ], result: pressure(pressures.rail[zone]!.upPa), source: wind.coefficients[zone] ? 'Coefficient typed on this job' : `EN 1991-1-4, ${enTableNames[building.form]}`, basis: wind.coefficients[zone] ? 'typed on this job' : 'code',
    }))],
  }
}
