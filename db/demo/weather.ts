import { type Job, type Loads, noLoads, noPlaceLoads, placeValues, type PlaceLoads, plainKeepClear, type RuleSetId, rulesOf } from '../../core/job'

/** By what rules jobs of the demo are loaded and kept clear. */

const mph = (n: number) => n * 0.44704
const psf = (n: number) => n * 47.88025898033584
/** Loads of the invented harbour towns: US editions at Saltmarsh Haven, European rules at Brackwater. */
const loadsAt = (place: Omit<PlaceLoads, 'terrain' | 'typed'> & Partial<PlaceLoads>): Loads => ({ ...noLoads, ...placeValues({ ...noPlaceLoads, ...place }) })
const us = (edition: 'us-2010' | 'us-2016', speedMph: number, snowPsf: number, exposure: 'B' | 'C'): Loads =>
  loadsAt({ edition, speedMs: mph(speedMph), groundPa: psf(snowPsf), exposure, riskCategory: 'II' })
export const havenLoads = (speedMph: number, snowPsf: number, exposure: 'B' | 'C' = 'B'): Loads => us('us-2010', speedMph, snowPsf, exposure)
export const laterLoads = (speedMph: number, snowPsf: number): Loads => us('us-2016', speedMph, snowPsf, 'B')
export function brackwaterLoads(speedMs: number, groundPa: number): Loads {
  const loads = loadsAt({ edition: 'en', speedMs, groundPa, terrain: 'III', exposure: null, riskCategory: null })
  return loads.rules.edition === 'en' ? { ...loads, rules: { ...loads.rules, snow: { ...loads.rules.snow, provenance: 'Brackwater, invented map, zone 2' } } } : loads
}
export const loaded = (job: Job, loads: Loads): Job => ({ ...job, loads })

/** A job judged by one of the rule sets; the others go by typed setbacks. */
export const judged = (job: Job, ruleSet: RuleSetId): Job => ({ ...job, keepClear: { ...plainKeepClear, ...rulesOf(ruleSet) } })
