import type { InRoof } from '../catalogue'
import type { InRoofFacts, Job, ReliefTick } from '../job'
import { reliefTicks } from '../job'
import { enVelocityPressure, type FaceLoads, usVelocityPressure, type ZonePressure, zonePressure } from '../loads'
import { factor, PA_PER_PSF, pressure, words } from '../units'
import type { Working } from '../working'

/** Least net pressure on components, either way: 16 psf (ASCE 7-10 and 7-16, 30.2.2, from memory). */
const US_LEAST_PA = 16 * PA_PER_PSF
/** Inner pressure of an enclosed building, up and down: GCpi of ASCE 7, table 26.13-1; cpi of EN 1991-1-4, 7.2.9(6), note 2 (from memory). */
const US_INSIDE = { up: 0.18, down: 0.18 }
const EN_INSIDE = { up: 0.2, down: 0.3 }
/** Outer skin that is porous over a closed inner one: a third of the suction, two thirds of the pressure (EN 1991-1-4, 7.2.10(2), from memory). */
const POROUS = { up: 1 / 3, down: 2 / 3 }

/** Wind on modules that are the covering: of a zone and an area, Pa as sizes. */
export interface CoverWind {
  /** Up and down on an area, mm², in a zone. */
  at: (zone: string, areaMm2: number) => ZonePressure
  /** Relief that somebody asked for and that is not given, since something is missing or the pressures are an engineer's own. */
  refused: { relief: InRoofFacts['relief'], missing: ReliefTick[], typed: boolean } | null
  /** True where nothing closed lies behind and the pressures are an engineer's: nothing is added to them. */
  insideLeft: boolean
  working: Working
}

/** What the relief that was asked for comes to: shares of the outer pressures, or why it is not given. */
export function reliefOf(
  { relief, reliefTicks: ticked, closedBehind }: InRoofFacts,
  system: InRoof,
  edition: Job['loads']['rules']['edition'],
  typed = false,
): { up: number, down: number, words: string, refused: CoverWind['refused'] } {
  const none = { up: 1, down: 1, words: 'no relief for pressure equalisation' }
  const refuse = (missing: ReliefTick[]) => ({ ...none, refused: { relief, missing, typed } })
  // An engineer's pressures are net: what relieves them is in them.
  if (typed && relief !== 'none') return refuse([])
  if (relief === 'test') return system.relief ? { up: system.relief.share, down: 1, words: system.relief.test, refused: null } : refuse([])
  if (relief !== 'porous-skin') return { ...none, refused: null }
  const missing = reliefTicks.filter(one => !ticked.includes(one))
  // The clause is Europe's, and it asks for a closed layer inside.
  if (missing.length || edition !== 'en' || !closedBehind) return refuse(missing)
  return { ...POROUS, words: 'porous outer skin, closed inner one: EN 1991-1-4, 7.2.10 (from memory)', refused: null }
}

/**
 * Wind on an array that is the covering. It has no air behind it that a rail-mounted one would: the edition's component pressures act
 * whole, with the module's own area, no equalisation and no factor for exposed modules; the house's own pressure is added where no closed
 * layer lies behind.
 */
export function coverWind(rules: Job['loads']['rules'], loads: FaceLoads, facts: InRoofFacts, system: InRoof, moduleMm2: number): CoverWind {
  const computed = rules.edition !== 'none' && rules.wind.kind === 'computed'
  const relief = reliefOf(facts, system, rules.edition, !computed)
  const qPa = !computed
    ? 0
    : rules.edition === 'en' && rules.wind.kind === 'computed'
      ? enVelocityPressure(rules.wind, loads.building.topMm).pa
      : (rules.edition === 'us-2010' || rules.edition === 'us-2016') && rules.wind.kind === 'computed'
          ? usVelocityPressure(rules.edition, rules.wind, loads.building.meanHeightMm).pa
          : 0
  const inside = facts.closedBehind || !computed ? { up: 0, down: 0 } : rules.edition === 'en' ? EN_INSIDE : US_INSIDE
  const leastPa = computed && rules.edition !== 'en' ? US_LEAST_PA : 0
  const at = (zone: string, areaMm2: number): ZonePressure => {
    const outer = zonePressure({ ...loads.wind.curves[zone]!, equalised: false, leastPa: 0 }, areaMm2)
    return { upPa: Math.max(leastPa, outer.upPa * relief.up + qPa * inside.up), downPa: Math.max(leastPa, outer.downPa * relief.down + qPa * inside.down) }
  }
  const zones = Object.keys(loads.wind.curves)
  const worst = zones.reduce<string | null>((a, b) => (a === null || at(b, moduleMm2).upPa > at(a, moduleMm2).upPa ? b : a), null)
  return {
    at,
    refused: relief.refused,
    insideLeft: !computed && !facts.closedBehind,
    working: {
      what: 'Suction on a module that is the covering',
      formula: 'p = r pe(A) + q ci',
      values: [
        {
          symbol: 'pe',
          what: worst ? `outside, zone ${worst}, whole, on one module` : 'outside',
          value: pressure(worst ? zonePressure({ ...loads.wind.curves[worst]!, equalised: false, leastPa: 0 }, moduleMm2).upPa : 0),
        },
        { symbol: 'r', what: relief.words, value: factor(relief.up) },
        { symbol: 'q', what: computed ? 'velocity pressure' : 'typed pressures are taken as net', value: pressure(qPa) },
        { symbol: 'ci', what: facts.closedBehind ? 'a closed layer lies behind' : 'no closed layer behind: the house’s own pressure', value: factor(inside.up) },
        ...(leastPa ? [{ symbol: 'least', what: 'net pressure', value: pressure(leastPa) }] : []),
      ],
      result: worst ? pressure(at(worst, moduleMm2).upPa) : words('the wind is not known'),
      source:
        rules.edition === 'en'
          ? 'EN 1991-1-4, 7.2 and 7.2.9'
          : rules.edition === 'none'
            ? 'No rules chosen'
            : 'ASCE 7, chapter 30: components, no γa and no γE (from memory)',
      basis: 'code',
    },
  }
}
