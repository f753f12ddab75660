import type { Closure } from '../catalogue'
import type { UnitSystem } from '../units'

/** What a thermometer, a forecast or a person says of now. */
export interface Weather { airC: number, surface: 'dry' | 'damp' | 'wet' | 'frost' }
/** One hour of a forecast. */
export interface ForecastHour { at: string, airC: number, dewPointC: number, rainMm: number, windMps: number }

const degrees = (celsius: number, units: UnitSystem) => units === 'imperial' ? `${Math.round(celsius * 9 / 5 + 32)} °F` : `${Math.round(celsius)} °C`

/** Why a covering can't be gone through just now: too cold for its sealant, or not dry. Empty where nothing is against it. */
export function againstSealing({ airC, surface }: Weather, closure: Pick<Closure, 'leastC' | 'dry' | 'seal'> | null, units: UnitSystem): string[] {
  if (!closure) return []
  return [
    ...closure.leastC !== null && airC < closure.leastC ? [`It is ${degrees(airC, units)}; sealant and covering want ${degrees(closure.leastC, units)} at least.`] : [],
    ...closure.dry && surface !== 'dry' ? [`The surface is ${surface === 'frost' ? 'frosted' : surface}; sealant holds on a dry one only.`] : [],
    ...surface === 'frost' || surface === 'wet' ? ['Nobody walks a wet or frosted covering without edge protection and a line.'] : [],
  ]
}

/** A surface dries when the air is so much over its dew point, K (common practice). */
const OVER_DEW_K = 3
/** Over this air temperature dark shingle is too soft to walk and too hot to touch, °C (common practice). */
const TOO_HOT_C = 32
/** Wind in which sheets and modules are not carried, m/s (common practice: a fresh breeze). */
const TOO_WINDY_MPS = 10.7

/** Whether covering can be opened in one hour of a forecast, and why not. */
export function hourIsGood({ airC, dewPointC, rainMm, windMps }: ForecastHour, closure: Pick<Closure, 'leastC' | 'dry'> | null): string | null {
  if (rainMm > 0) return 'rain'
  if (airC - dewPointC < OVER_DEW_K) return 'dew'
  if (closure?.leastC != null && airC < closure.leastC) return 'cold'
  if (airC > TOO_HOT_C) return 'heat'
  return windMps > TOO_WINDY_MPS ? 'wind' : null
}

/** The longest stretch of good hours of a day, and what stands against the hour before it and the one after; null where no hour is good. */
export function workWindow(hours: ForecastHour[], closure: Pick<Closure, 'leastC' | 'dry'> | null): { from: string, to: string, hours: number, before: string | null, after: string | null } | null {
  const against = hours.map(hour => hourIsGood(hour, closure))
  let best: { first: number, last: number } | null = null
  for (let first = 0; first < hours.length; first++) {
    if (against[first] !== null || (first > 0 && against[first - 1] === null)) continue
    let last = first
    while (last + 1 < hours.length && against[last + 1] === null) last++
    if (!best || last - first > best.last - best.first) best = { first, last }
  }
  return best && { from: hours[best.first]!.at, to: hours[best.last]!.at, hours: best.last - best.first + 1, before: against[best.first - 1] ?? null, after: against[best.last + 1] ?? null }
}
