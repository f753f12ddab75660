import type { Fasteners } from '../catalogue'
import { MM_PER_INCH, MPA_PER_PSI, N_PER_LBF } from '../units'

/** Threads lie in the shear plane, so bending is taken on the root, about this share of the outer diameter (common practice). */
export const ROOT_SHARE = 0.7
/** Dowel bearing strength of steel plate, psi (NDS table 12K, from memory). */
const STEEL_PSI = 61_850

/** The six yield modes of a single shear joint, lb, before the least is taken. */
export interface YieldModes { Im: number, Is: number, II: number, IIIm: number, IIIs: number, IV: number }

/**
 * Reference lateral value by the yield limit equations NDS 12.3-1 to 12.3-6, load along the grain.
 * @param d diameter in; `fem`, `fes` dowel bearing strengths psi; `fyb` bending yield strength psi; `lm`, `ls` bearing lengths in
 */
export function yieldModes(d: number, fem: number, fes: number, fyb: number, lm: number, ls: number): YieldModes {
  const re = fem / fes
  const rt = lm / ls
  const k1 = (Math.sqrt(re + 2 * re ** 2 * (1 + rt + rt ** 2) + rt ** 2 * re ** 3) - re * (1 + rt)) / (1 + re)
  const k2 = -1 + Math.sqrt(2 * (1 + re) + 2 * fyb * (1 + 2 * re) * d ** 2 / (3 * fem * lm ** 2))
  const k3 = -1 + Math.sqrt(2 * (1 + re) / re + 2 * fyb * (2 + re) * d ** 2 / (3 * fem * ls ** 2))
  // Reduction terms of table 12.3.1B along the grain; below a quarter inch one term for all modes.
  const small = d <= 0.17 ? 2.2 : 10 * d + 0.5
  const [r1, r2, r3] = d >= 0.25 ? [4, 3.6, 3.2] : [small, small, small]
  return {
    Im: d * lm * fem / r1, Is: d * ls * fes / r1, II: k1 * d * ls * fes / r2,
    IIIm: k2 * d * lm * fem / ((1 + 2 * re) * r3), IIIs: k3 * d * ls * fem / ((2 + re) * r3), IV: d ** 2 / r3 * Math.sqrt(2 * fem * fyb / (3 * (1 + re))),
  }
}

/** Reference lateral value of one screw through a metal foot into a rafter, load down the slope along the grain, N. */
export function lateralUs({ diameterMm, yieldMpa }: Pick<Fasteners, 'diameterMm' | 'yieldMpa'>, gravity: number, threadMm: number, plateMm: number): number {
  if (threadMm <= 0) return 0
  const d = ROOT_SHARE * diameterMm / MM_PER_INCH
  // Dowel bearing along the grain: 11200 G from a quarter inch on, 16600 G^1.84 below (NDS table 12.3.3).
  const fem = diameterMm >= 6.35 ? 11_200 * gravity : 16_600 * gravity ** 1.84
  const modes = yieldModes(d, fem, STEEL_PSI, yieldMpa / MPA_PER_PSI, threadMm / MM_PER_INCH, plateMm / MM_PER_INCH)
  return Math.min(...Object.values(modes)) * N_PER_LBF
}

/**
 * Characteristic lateral value of one screw through a steel plate into timber, N: EN 1995-1-1, 8.9 (thin plate) and 8.10 (thick),
 * between them in proportion, without the rope effect.
 */
export function lateralEn({
  diameterMm,
  yieldMpa,
  pilotMm,
}: Pick<Fasteners, 'diameterMm' | 'yieldMpa' | 'pilotMm'>, densityKgM3: number, threadMm: number, plateMm: number): number {
  if (threadMm <= 0) return 0
  const d = 1.1 * ROOT_SHARE * diameterMm
  const fh = pilotMm === null ? 0.082 * densityKgM3 * d ** -0.3 : 0.082 * (1 - 0.01 * d) * densityKgM3
  const my = 0.3 * yieldMpa * d ** 2.6
  const thin = Math.min(0.4 * fh * threadMm * d, 1.15 * Math.sqrt(2 * my * fh * d))
  const thick = Math.min(fh * threadMm * d, fh * threadMm * d * (Math.sqrt(2 + 4 * my / (fh * d * threadMm ** 2)) - 1), 2.3 * Math.sqrt(my * fh * d))
  const share = Math.min(1, Math.max(0, (plateMm - 0.5 * d) / (0.5 * d)))
  return thin + (thick - thin) * share
}
