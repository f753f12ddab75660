import { type AwgWire, isAmerican, type Mm2Wire, type WireSize } from './sizes'

const MM_PER_KFT = 304_800

/**
 * Ohms a 1000 ft of stranded uncoated copper at 75 °C, direct current (NEC chapter 9, table 8: from memory but for the 12 AWG, whose 1.93
 * solid and 1.98 stranded were given): trunks and array wire are stranded.
 */
const OHM_KFT: Record<AwgWire, number> = {
  '14 AWG': 3.14, '12 AWG': 1.98, '10 AWG': 1.24, '8 AWG': 0.778, '6 AWG': 0.491, '4 AWG': 0.308, '3 AWG': 0.245, '2 AWG': 0.194, '1 AWG': 0.154, '1/0 AWG': 0.122, '2/0 AWG': 0.0967, '3/0 AWG': 0.0766, '4/0 AWG': 0.0608, '250 kcmil': 0.0515,
}
const SOLID_OHM_KFT: Partial<Record<AwgWire, number>> = { '14 AWG': 3.07, '12 AWG': 1.93, '10 AWG': 1.21, '8 AWG': 0.764 }
/** The same of alternating current in a raceway that is no steel (NEC chapter 9, table 9, from memory). */
const OHM_KFT_AC: Record<AwgWire, number> = {
  '14 AWG': 3.1, '12 AWG': 2, '10 AWG': 1.2, '8 AWG': 0.78, '6 AWG': 0.49, '4 AWG': 0.31, '3 AWG': 0.25, '2 AWG': 0.19, '1 AWG': 0.15, '1/0 AWG': 0.12, '2/0 AWG': 0.1, '3/0 AWG': 0.077, '4/0 AWG': 0.062, '250 kcmil': 0.052,
}
/** Ohms a kilometre of tinned flexible copper at 20 °C (IEC 60228 class 5, from memory), and how much more it has at 90 °C: 1 + 0.00393 x 70. */
const OHM_KM: Record<Mm2Wire, number> = { '2.5 mm²': 8.21, '4 mm²': 5.09, '6 mm²': 3.39, '10 mm²': 1.95, '16 mm²': 1.24, '25 mm²': 0.795, '35 mm²': 0.565, '50 mm²': 0.393, '70 mm²': 0.277, '95 mm²': 0.21 }
/** The same of plain copper, solid or stranded (class 1 and 2, from memory), in a house, at 70 °C. */
const OHM_KM_FIXED: Record<Mm2Wire, number> = { '2.5 mm²': 7.41, '4 mm²': 4.61, '6 mm²': 3.08, '10 mm²': 1.83, '16 mm²': 1.15, '25 mm²': 0.727, '35 mm²': 0.524, '50 mm²': 0.387, '70 mm²': 0.268, '95 mm²': 0.193 }
const hotter = (byK: number): number => 1 + 0.00393 * byK

/**
 * Resistance of one conductor in use, ohms a mm of its length.
 * @param as in a raceway with alternating current, or in free air: stranded, as all array wire is
 */
export const ohmsPerMm = (size: WireSize, as: 'dc' | 'ac-raceway' = 'dc'): number => isAmerican(size)
  ? (as === 'dc' ? OHM_KFT[size] : OHM_KFT_AC[size]) / MM_PER_KFT
  : (as === 'dc' ? OHM_KM[size] * hotter(70) : OHM_KM_FIXED[size] * hotter(50)) / 1e6

/** Solid copper of the American sizes, ohms a 1000 ft at 75 °C: what it would be by mistake; null for sizes that are not drawn solid. */
export const solidOhmsPerKft = (size: AwgWire): number | null => SOLID_OHM_KFT[size] ?? null
