import type { Fasteners } from '../catalogue'
import { axialEffective } from './screws-en'
import { MM_PER_INCH, N_PER_LBF } from '../units'

/** Reference withdrawal by thread length, N/mm: NDS 12.2.1 (lag screws, 1800 G^1.5 D^0.75 lb/in) and 12.2.2 (wood screws, 2850 G² D). */
export function withdrawalPerMm(kind: Fasteners['kind'], gravity: number, diameterMm: number): number {
  const d = diameterMm / MM_PER_INCH
  const lbPerInch = kind === 'lag' ? 1800 * gravity ** 1.5 * d ** 0.75 : 2850 * gravity ** 2 * d
  return lbPerInch * N_PER_LBF / MM_PER_INCH
}

/**
 * Characteristic withdrawal of n screws square to the grain, N: EN 1995-1-1, 8.38 to 8.40, with n_ef = n^0.9 (8.41).
 * @param threadMm effective thread length
 */
export function withdrawalEn(diameterMm: number, threadMm: number, densityKgM3: number, n: number): number {
  if (threadMm <= 0) return 0
  const fax = 0.52 * diameterMm ** -0.5 * threadMm ** -0.1 * densityKgM3 ** 0.8
  return axialEffective(n) * fax * diameterMm * threadMm * Math.min(diameterMm / 8, 1)
}
