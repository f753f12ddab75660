import { PA_PER_PSF } from '../units'
import { type LoadEdition, type LoadRules, noPlaceLoads, type PlaceLoads, type RiskCategory } from './schema'

/** Names of the load editions as they are offered. */
export const loadEditionNames: Record<LoadEdition, string> = {
  'none': 'Not worked out: usual spans',
  'us-2010': 'US 2010: ASCE 7-10',
  'us-2016': 'US 2016: ASCE 7-16',
  'us-2022': 'US 2022: ASCE 7-22, engineer’s wind',
  'en': 'European: EN 1990, 1991, 1995, 1999',
}

export type PlaceFact = keyof Omit<PlaceLoads, 'edition'>
type Edition = NonNullable<PlaceLoads['edition']>

/** What each edition has to be told of the place before it says anything. */
export const placeAsks: Record<Edition, readonly PlaceFact[]> = {
  'us-2010': ['riskCategory', 'speedMs', 'exposure', 'groundPa'],
  'us-2016': ['riskCategory', 'speedMs', 'exposure', 'groundPa'],
  'us-2022': ['riskCategory', 'groundPa', 'typed'],
  'en': ['speedMs', 'terrain', 'groundPa'],
}
export const placeFactWords: Record<PlaceFact, string> = {
  speedMs: 'the basic wind speed', exposure: 'the exposure', terrain: 'the terrain', groundPa: 'the ground snow load', riskCategory: 'the risk category', typed: 'an engineer’s wind pressures',
}

/** What the rules wanted here still wait for. */
export const missingOf = (place: PlaceLoads): PlaceFact[] => place.edition ? placeAsks[place.edition].filter(fact => place[fact] === null) : []

/** The place asked by another edition: its maps are others, so only what means the same in both is kept. */
export const askedBy = (place: PlaceLoads, edition: PlaceLoads['edition']): PlaceLoads =>
  edition === place.edition ? place : { ...noPlaceLoads, edition, ...(edition === 'en' ? {} : { exposure: place.exposure, riskCategory: place.riskCategory }) }

/** Snow importance factors by risk category, ASCE 7-10 and 7-16, Table 1.5-2 (from memory). */
const snowImportance: Record<RiskCategory, number> = { I: 0.8, II: 1, III: 1.1, IV: 1.2 }

/**
 * An edition's rules for a place, with factors that a plain house on plain ground has; each is there to be typed over. Null while
 * the place has not said all that the edition asks: no wind and no snow is ever taken for granted.
 */
export function rulesFrom(place: PlaceLoads): LoadRules | null {
  const { edition, speedMs, exposure, terrain, groundPa, riskCategory, typed } = place
  if (!edition || groundPa === null) return null
  const usSnow = { groundPa, ce: 1, ct: 1.1, slippery: false }
  if (edition === 'en') return speedMs === null || terrain === null
    ? null
    : { edition, wind: { kind: 'computed', speedMs, terrain, orography: 1, altitudeFactor: 1, densityKgM3: 1.25, coefficients: {} }, snow: { groundPa, ce: 1, ct: 1, held: false, provenance: '' } }
  if (riskCategory === null) return null
  if (edition === 'us-2022') return typed && { edition, wind: typed, snow: { ...usSnow, riskCategory, winterWind: null } }
  if (speedMs === null || exposure === null) return null
  const wind = { kind: 'computed' as const, speedMs, exposure, kzt: 1, kd: 0.85, coefficients: {}, leastPa: 16 * PA_PER_PSF }
  const snow = { ...usSnow, importance: snowImportance[riskCategory] }
  return edition === 'us-2010' ? { edition, wind, snow } : { edition, wind: { ...wind, ke: 1 }, snow }
}

/** What a change of the place comes to: as soon as it has said all, it goes over into the rules, and nothing waits any more. */
export function placeValues(place: PlaceLoads): { place: PlaceLoads, rules: LoadRules } {
  const rules = rulesFrom(place)
  return rules ? { place: noPlaceLoads, rules } : { place, rules: { edition: 'none' } }
}
