import { MS_PER_MPH, PA_PER_PSF } from '../units'
import type { LoadEdition, LoadRules, TypedWind } from './schema'

/** Names of the load editions as they are offered. */
export const loadEditionNames: Record<LoadEdition, string> = {
  'none': 'Not worked out: usual spans',
  'us-2010': 'US 2010: ASCE 7-10',
  'us-2016': 'US 2016: ASCE 7-16',
  'us-2022': 'US 2022: ASCE 7-22, engineer’s wind',
  'en': 'European: EN 1990, 1991, 1995, 1999',
}

/** Pressures nobody has typed yet stand at a usual house's size, to be typed over. */
export const plainTypedWind: TypedWind = {
  kind: 'typed', by: '', edgeMm: 914, interior: { upPa: 1000, downPa: 600 }, edge: { upPa: 1600, downPa: 600 }, corner: { upPa: 2200, downPa: 600 },
}

/**
 * An edition's rules at values that are common where nobody has looked at a map yet; each is there to be typed over. They are
 * not any place's wind or snow.
 */
export function plainRules(edition: LoadEdition): LoadRules {
  const usSnow = { groundPa: 20 * PA_PER_PSF, ce: 1, ct: 1.1, slippery: false }
  const wind = { kind: 'computed' as const, speedMs: 115 * MS_PER_MPH, exposure: 'C' as const, kzt: 1, kd: 0.85, coefficients: {}, leastPa: 16 * PA_PER_PSF }
  switch (edition) {
    case 'none': return { edition }
    case 'us-2010': return { edition, wind, snow: { ...usSnow, importance: 1 } }
    case 'us-2016': return { edition, wind: { ...wind, ke: 1 }, snow: { ...usSnow, importance: 1 } }
    case 'us-2022': return { edition, wind: plainTypedWind, snow: { ...usSnow, riskCategory: 'II', winterWind: null } }
    case 'en': return {
      edition, wind: { kind: 'computed', speedMs: 25, terrain: 'II', orography: 1, altitudeFactor: 1, densityKgM3: 1.25, coefficients: {} },
      snow: { groundPa: 650, ce: 1, ct: 1, held: false, provenance: '' },
    }
  }
}
