import { type AwgWire, isAmerican, type Mm2Wire, type WireSize } from './sizes'

/** Amperes of three copper conductors in a raceway at 30 °C by the columns of 60, 75 and 90 °C (NEC table 310.16, from memory). */
const AMPS: Record<AwgWire, [at60: number, at75: number, at90: number]> = {
  '14 AWG': [15, 20, 25], '12 AWG': [20, 25, 30], '10 AWG': [30, 35, 40], '8 AWG': [40, 50, 55], '6 AWG': [55, 65, 75], '4 AWG': [70, 85, 95], '3 AWG': [85, 100, 115], '2 AWG': [95, 115, 130], '1 AWG': [110, 130, 145],
  '1/0 AWG': [125, 150, 170], '2/0 AWG': [145, 175, 195], '3/0 AWG': [165, 200, 225], '4/0 AWG': [195, 230, 260], '250 kcmil': [215, 255, 290],
}
/** Two cables side by side on a surface at 60 °C (EN 50618 table A.3, from memory). */
const AMPS_EN: Record<Mm2Wire, number> = { '2.5 mm²': 33, '4 mm²': 44, '6 mm²': 57, '10 mm²': 79, '16 mm²': 107, '25 mm²': 142, '35 mm²': 176, '50 mm²': 221, '70 mm²': 278, '95 mm²': 333 }
/** Amperes of PVC-insulated copper at 30 °C in conduit on a wall, method B1, by two and three loaded conductors (IEC 60364-5-52 tables B.52.2 and B.52.4, from memory). */
const AMPS_B1: Record<Mm2Wire, [two: number, three: number]> = {
  '2.5 mm²': [24, 21], '4 mm²': [32, 28], '6 mm²': [41, 36], '10 mm²': [57, 50], '16 mm²': [76, 68], '25 mm²': [101, 89], '35 mm²': [125, 110], '50 mm²': [151, 134], '70 mm²': [192, 171], '95 mm²': [232, 207],
}

/** Small conductors have devices of their own, whatever the table gives: A (NEC 240.4(D)). */
const MOST_DEVICE: Partial<Record<WireSize, number>> = { '14 AWG': 15, '12 AWG': 20, '10 AWG': 30 }

/** Where terminals are not marked for more, circuits of 100 A and less are read in the 60 °C column (NEC 110.14(C)(1)). */
export type TerminalC = 60 | 75

/** Amperes at the terminals' column, 75 °C unless said, without anything taken off (NEC 110.14(C)); in Europe what the cable carries. */
export const terminalAmps = (size: WireSize, terminalC: TerminalC = 75): number => isAmerican(size) ? AMPS[size][terminalC === 60 ? 0 : 1] : AMPS_EN[size]
const insulationAmps = (size: WireSize): number => isAmerican(size) ? AMPS[size][2] : AMPS_EN[size]

/** The largest device that a conductor of this size may have on the roof, A. */
export const deviceFor = (size: WireSize): number => MOST_DEVICE[size] ?? terminalAmps(size)
/** What a small conductor's device may be at most, A (NEC 240.4(D)); null for those the table rules. */
export const smallDevice = (size: WireSize): number | null => MOST_DEVICE[size] ?? null

/** Share left at an air temperature, 90 °C insulation rated at 30 °C (NEC table 310.15(B)(1), from memory): upper ends of its bands, °C. */
const AT_AIR: [toC: number, share: number][] = [[10, 1.15], [15, 1.12], [20, 1.08], [25, 1.04], [30, 1], [35, 0.96], [40, 0.91], [45, 0.87], [50, 0.82], [55, 0.76], [60, 0.71], [65, 0.65], [70, 0.58], [75, 0.5], [80, 0.41], [85, 0.29]]
/** The same of solar cable, rated at 60 °C (EN 50618 table A.4, from memory). */
const AT_AIR_EN: [toC: number, share: number][] = [[60, 1], [70, 0.92], [80, 0.84], [90, 0.75]]
/** The same of PVC rated at 30 °C (IEC 60364-5-52 table B.52.14, from memory). */
const AT_AIR_PVC: [toC: number, share: number][] = [[10, 1.22], [15, 1.17], [20, 1.12], [25, 1.06], [30, 1], [35, 0.94], [40, 0.87], [45, 0.79], [50, 0.71], [55, 0.61], [60, 0.5]]
const shareIn = (table: [number, number][], c: number): number => table.find(([to]) => c <= to + 1e-9)?.[1] ?? 0

/** Share left with so many current-carrying conductors together: NEC table 310.15(C)(1). */
export function bundleShare(together: number): number {
  if (together <= 3) return 1
  if (together <= 6) return 0.8
  if (together <= 9) return 0.7
  if (together <= 20) return 0.5
  return together <= 30 ? 0.45 : together <= 40 ? 0.4 : 0.35
}
/** Share left with so many circuits touching on a surface (IEC 60364-5-52 table B.52.17, from memory); that of one is in the table already. */
const BUNDLE_EN = [1, 1, 0.85, 0.79, 0.75, 0.73, 0.72, 0.72, 0.71, 0.7]
export const circuitsShare = (circuits: number): number => BUNDLE_EN[Math.min(Math.max(1, circuits), BUNDLE_EN.length - 1)]!
/** The same bunched in one conduit (row 1 of that table, from memory). */
const BUNCHED_EN = [1, 1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5]
export const bunchedShare = (circuits: number): number => BUNCHED_EN[Math.min(Math.max(1, circuits), BUNCHED_EN.length - 1)]!

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
export function ampacity(size: WireSize, { airC, adderC, together }: Around): number {
  const us = isAmerican(size)
  return insulationAmps(size) * shareIn(us ? AT_AIR : AT_AIR_EN, airC + adderC) * (us ? bundleShare(together) : circuitsShare(Math.ceil(together / 2)))
}

/** How a run lies below the roof box. */
export interface Lies { airC: number, /** Current-carrying conductors in its raceway. */ carrying: number, /** Of one circuit, as three phases have; Europe's tables are read by it. */ loaded: 2 | 3, /** Too short for company to count (NEC 310.15(C)(1)(b)). */ nipple: boolean }

/** What was multiplied: a base from the table, a share for the air, a share for the company. */
export interface Carrying { baseA: number, airShare: number, companyShare: number, amps: number }

/** Amperes that a conductor carries in a raceway on a wall or through a house: 90 °C insulation in America, PVC in conduit in Europe. */
export function racewayAmps(size: WireSize, { airC, carrying, loaded, nipple }: Lies): Carrying {
  const us = isAmerican(size)
  const baseA = us ? AMPS[size][2] : AMPS_B1[size][loaded - 2]!
  const airShare = shareIn(us ? AT_AIR : AT_AIR_PVC, airC)
  const companyShare = nipple ? 1 : us ? bundleShare(carrying) : bunchedShare(Math.ceil(carrying / loaded))
  return { baseA, airShare, companyShare, amps: baseA * airShare * companyShare }
}

/** Ways a current has to be carried: what the terminals must take before anything is taken off, what is left of the conductor must carry, and its device. */
export interface Carried { terminalA: number, afterA: number, deviceA: number | null }

/** Whether a conductor is enough for a circuit in its surroundings on the roof. */
export const carries = (size: WireSize, { terminalA, afterA, deviceA }: Carried, around: Around): boolean =>
  terminalAmps(size) >= terminalA - 1e-9 && ampacity(size, around) >= afterA - 1e-9 && (deviceA === null || deviceFor(size) >= deviceA - 1e-9)
