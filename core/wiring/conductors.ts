import type { awgSizes, mm2Sizes, ConductorSize } from '../catalogue'
import { conductorSizes, isAwg } from '../catalogue'

const MM_PER_KFT = 304_800

/**
 * Ohms a 1000 ft of stranded uncoated copper at 75 °C, direct current (NEC chapter 9, table 8: from memory but for the 12 AWG, whose 1.93
 * solid and 1.98 stranded were given): trunks and array wire are stranded.
 */
const OHM_KFT: Record<typeof awgSizes[number], { stranded: number, solid: number }> = {
  14: { stranded: 3.14, solid: 3.07 }, 12: { stranded: 1.98, solid: 1.93 }, 10: { stranded: 1.24, solid: 1.21 }, 8: { stranded: 0.778, solid: 0.764 }, 6: { stranded: 0.491, solid: 0.491 }, 4: { stranded: 0.308, solid: 0.308 },
}
/** The same of alternating current in a raceway that is no steel (NEC chapter 9, table 9, from memory). */
const OHM_KFT_AC: Record<typeof awgSizes[number], number> = { 14: 3.1, 12: 2, 10: 1.2, 8: 0.78, 6: 0.49, 4: 0.31 }
/** Ohms a kilometre of tinned flexible copper at 20 °C (IEC 60228 class 5, from memory), and how much more it has at 90 °C: 1 + 0.00393 x 70. */
const OHM_KM: Record<typeof mm2Sizes[number], number> = { 2.5: 8.21, 4: 5.09, 6: 3.39, 10: 1.95, 16: 1.24 }
const HOT_COPPER = 1 + 0.00393 * 70

const awgOf = (size: ConductorSize) => size.slice(0, -' AWG'.length) as unknown as typeof awgSizes[number]
const mm2Of = (size: ConductorSize) => size.slice(0, -' mm²'.length) as typeof mm2Sizes[number]

/**
 * Resistance of one conductor in use, ohms a mm of its length.
 * @param as in a raceway with alternating current, or in free air: stranded, as all array wire is
 */
export const ohmsPerMm = (size: ConductorSize, as: 'dc' | 'ac-raceway' = 'dc'): number =>
  isAwg(size) ? (as === 'dc' ? OHM_KFT[awgOf(size)].stranded : OHM_KFT_AC[awgOf(size)]) / MM_PER_KFT : OHM_KM[mm2Of(size)] * HOT_COPPER / 1e6

/** Solid copper of the American sizes, ohms a 1000 ft at 75 °C: what it would be by mistake. */
export const solidOhmsPerKft = (size: typeof awgSizes[number]): number => OHM_KFT[size].solid

/** Amperes of three conductors in a raceway at 30 °C, copper (NEC table 310.16, from memory), by the column of 75 and 90 °C. */
const AMPS: Record<typeof awgSizes[number], [at75: number, at90: number]> = { 14: [20, 25], 12: [25, 30], 10: [35, 40], 8: [50, 55], 6: [65, 75], 4: [85, 95] }
/** Two cables side by side on a surface at 60 °C (EN 50618 table A.3, from memory). */
const AMPS_EN: Record<typeof mm2Sizes[number], number> = { 2.5: 33, 4: 44, 6: 57, 10: 79, 16: 107 }

/** Small conductors have devices of their own, whatever the table gives: A (NEC 240.4(D)). */
const MOST_DEVICE: Partial<Record<ConductorSize, number>> = { '14 AWG': 15, '12 AWG': 20, '10 AWG': 30 }

/** Amperes at the terminals' column, 75 °C, without anything taken off (NEC 110.14(C)); in Europe what the cable carries. */
export const terminalAmps = (size: ConductorSize): number => isAwg(size) ? AMPS[awgOf(size)][0] : AMPS_EN[mm2Of(size)]
const insulationAmps = (size: ConductorSize): number => isAwg(size) ? AMPS[awgOf(size)][1] : AMPS_EN[mm2Of(size)]

/** The largest device that a conductor of this size may have, A. */
export const deviceFor = (size: ConductorSize): number => MOST_DEVICE[size] ?? terminalAmps(size)

/** Share left at an air temperature, 90 °C insulation rated at 30 °C (NEC table 310.15(B)(1), from memory): upper ends of its bands, °C. */
const AT_AIR: [toC: number, share: number][] = [[10, 1.15], [15, 1.12], [20, 1.08], [25, 1.04], [30, 1], [35, 0.96], [40, 0.91], [45, 0.87], [50, 0.82], [55, 0.76], [60, 0.71], [65, 0.65], [70, 0.58], [75, 0.5], [80, 0.41], [85, 0.29]]
/** The same of solar cable, rated at 60 °C (EN 50618 table A.4, from memory). */
const AT_AIR_EN: [toC: number, share: number][] = [[60, 1], [70, 0.92], [80, 0.84], [90, 0.75]]
const shareIn = (table: [number, number][], c: number): number => table.find(([to]) => c <= to + 1e-9)?.[1] ?? 0

/** Share left with so many current-carrying conductors together: NEC table 310.15(C)(1). */
export function bundleShare(together: number): number {
  if (together <= 3) return 1
  if (together <= 6) return 0.8
  if (together <= 9) return 0.7
  if (together <= 20) return 0.5
  return together <= 30 ? 0.45 : 0.4
}
/** Share left with so many circuits touching on a surface (IEC 60364-5-52 table B.52.17, from memory); that of one is in the table already. */
const BUNDLE_EN = [1, 1, 0.85, 0.79, 0.75, 0.73, 0.72, 0.72, 0.71, 0.7]
export const circuitsShare = (circuits: number): number => BUNDLE_EN[Math.min(Math.max(1, circuits), BUNDLE_EN.length - 1)]!

/** A height under which sun on the roof counts: 7/8 in. */
export const ROOF_NEAR_MM = 22.225
/** The adder by heights that editions before 2017 read (310.15(B)(3)(c), from memory): up to so many mm over the roof, °C. */
const BY_HEIGHT: [toMm: number, adderC: number][] = [[12.7, 33], [88.9, 22], [304.8, 17], [914.4, 14]]

/** Heat of the sun on a cable over a roof, added to the air's: since the 2017 edition 33 °C under 7/8 in, none of it for XHHW-2; before it by a table of heights. */
export function roofAdderC(overRoofMm: number, insulation: '90' | 'xhhw-2', heightTable: boolean): number {
  if (heightTable) return BY_HEIGHT.find(([toMm]) => overRoofMm <= toMm)?.[1] ?? 0
  return overRoofMm < ROOF_NEAR_MM && insulation !== 'xhhw-2' ? 33 : 0
}

export interface Around { airC: number, adderC: number, /** Current-carrying conductors that lie together. */ together: number }

/** Amperes that a conductor carries on the roof after heat and company. */
export function ampacity(size: ConductorSize, { airC, adderC, together }: Around): number {
  const us = isAwg(size)
  return insulationAmps(size) * shareIn(us ? AT_AIR : AT_AIR_EN, airC + adderC) * (us ? bundleShare(together) : circuitsShare(Math.ceil(together / 2)))
}

/** Ways a current has to be carried: what the terminals must take before anything is taken off, what is left of the conductor must carry, and its device. */
export interface Carried { terminalA: number, afterA: number, deviceA: number | null }

/** Whether a conductor is enough for a circuit in its surroundings. */
export const carries = (size: ConductorSize, { terminalA, afterA, deviceA }: Carried, around: Around): boolean =>
  terminalAmps(size) >= terminalA - 1e-9 && ampacity(size, around) >= afterA - 1e-9 && (deviceA === null || deviceFor(size) >= deviceA - 1e-9)

/** Sizes of one side of the ocean, thinnest first. */
export const sizesOf = (us: boolean): ConductorSize[] => conductorSizes.filter(size => isAwg(size) === us)

/** Ratings in which overcurrent devices come, A (NEC 240.6(A); IEC 60898). */
const DEVICES = { us: [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200], en: [6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125] }
export const nextDevice = (us: boolean, least: number): number | null => DEVICES[us ? 'us' : 'en'].find(a => a >= least - 1e-9) ?? null
export const lastDevice = (us: boolean, most: number): number | null => DEVICES[us ? 'us' : 'en'].findLast(a => a <= most + 1e-9) ?? null
