import type { Plate } from '../catalogue'
import type { Light } from '../job'
import { expectedVocV, lightTermV, vocPerKelvin } from './expected'

/**
 * How far a good string may read from what is worked out for it, as standard deviations: `module` of its voltage and current from its plate,
 * as a share; `cellC` of the temperature read on one back from that of the cells, K; `light` of the irradiance and `meter` of the volts and
 * amperes, as shares. Of a delivery that reads high or low all modules do alike: alone, none of that evens out.
 */
export interface Errors { module: number, cellC: number, light: number, meter: number }
export const usualErrors: Errors = { module: 0.015, cellC: 5, light: 0.05, meter: 0.005 }

/**
 * Beside like strings, read with one instrument within a quarter of an hour in like light, what is wrong alike falls out. What stays is each
 * string's own: every module by itself, cells that are not everywhere as warm, the light that moved, the meter's last figure (assumed; common practice).
 */
export const besideErrors: Errors = { module: 0.015, cellC: 1.5, light: 0.01, meter: 0.001 }

/** Readings are taken in like light where their irradiance differs by no more than this, as a share, their cells by no more K, and the clock by no more minutes. */
export const LIKE = { light: 0.05, cellC: 5, minutes: 15 } as const

/** Under this irradiance an instrument's error grows as the light falls, and an absolute current is no verdict (IEC 62446-1 wants 400 W/m² and more for it, from memory). */
export const LOW_LIGHT = 400
/** Under this nothing is judged. */
export const TOO_DARK = 100

/** A good string lies outside so many standard deviations once in two hundred (both sides), so that alone and beside others together it is called wrong less than once in a hundred. */
export const BAND_SD = 2.81
/** What is found so rarely is said to be not told. */
export const FOUND_SHARE = 0.95

const lightError = (errors: Errors, gWm2: number): number => errors.light * Math.max(1, LOW_LIGHT / gWm2)

/** Standard deviation of a string's open-circuit voltage from what is worked out for it, as a share. */
export function vocSpread(plate: Plate, light: Light, errors: Errors, modules: number | 'alike'): number {
  const own = expectedVocV(plate, light)
  const warm = vocPerKelvin(plate) * plate.vocV * errors.cellC / own
  // d/dG of m Ns k T / q ln G.
  const lit = lightTermV(plate, { ...light, gWm2: 1000 * Math.E }) * lightError(errors, light.gWm2) / own
  return Math.hypot(errors.module / (modules === 'alike' ? 1 : Math.sqrt(modules)), warm, lit, errors.meter)
}

/** The same of its short-circuit current. */
export const iscSpread = ({ iscPerK }: Pick<Plate, 'iscPerK'>, light: Light, errors: Errors): number => Math.hypot(errors.module, lightError(errors, light.gWm2), iscPerK * errors.cellC, errors.meter)

/** How well a string of so many modules is told: alone, or beside so many like strings. */
export interface Told { spread: number, /** Share of strings one module short that read outside the band of a good one. */ found: number, /** Share of good ones that do. */ falseAlarms: number }

/** Distribution function of the standard normal, to 1.5e-7 (Abramowitz and Stegun 7.1.26). */
export function normalShare(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const erf = 1 - t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-x * x)
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2
}

/** Share of strings that lack so many modules, or part of one, that read under the band of a good one. */
export function foundShare(modules: number, lacking: number, spread: number): number {
  const short = lacking / modules
  return normalShare((short - BAND_SD * spread) / (spread * (1 - short)))
}

const spreadBeside = (plate: Plate, light: Light, modules: number, strings: number): number => vocSpread(plate, light, besideErrors, modules) * Math.sqrt(1 + 1 / strings)

/** How well a string is told alone, in a light. */
export function toldAlone(plate: Plate, light: Light, modules: number): Told {
  const spread = vocSpread(plate, light, usualErrors, 'alike')
  return { spread, found: foundShare(modules, 1, spread), falseAlarms: 2 * normalShare(-BAND_SD) }
}

/** How well it is told beside so many like strings. */
export function toldBeside(plate: Plate, light: Light, modules: number, strings: number): Told {
  const spread = spreadBeside(plate, light, modules, strings)
  return { spread, found: foundShare(modules, 1, spread), falseAlarms: 2 * normalShare(-BAND_SD) }
}

/** A shorted bypass diode takes the cells behind it out: a third of a module where it has three. */
export const DIODE_SHARE = 1 / 3
const MOST_MODULES = 60

/** From so many modules on a string that lacks a third of one is not told, alone and beside so many like ones. */
export function thirdLostFrom(plate: Plate, light: Light, strings: number): { alone: number, beside: number } {
  const from = (spread: (modules: number) => number): number => {
    for (let modules = 1; modules <= MOST_MODULES; modules++) if (foundShare(modules, DIODE_SHARE, spread(modules)) < FOUND_SHARE) return modules
    return MOST_MODULES + 1
  }
  const alone = vocSpread(plate, light, usualErrors, 'alike')
  return { alone: from(() => alone), beside: from(modules => spreadBeside(plate, light, modules, Math.max(1, strings))) }
}
