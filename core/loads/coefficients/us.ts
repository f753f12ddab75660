import { MM2_PER_FT2 } from '../../units'

/** External pressure coefficients of one zone as sizes: [at a small area, at 100 ft²]. */
interface ZoneCurve { up: [number, number], down: [number, number] }
type Table = Record<string, ZoneCurve>

/** GCp of ASCE 7-10 figures 30.4-2B and 2C, gable and hip roofs. */
const gcp2010: { fromDeg: number, toDeg: number, figure: string, zones: Table }[] = [
  { fromDeg: 7, toDeg: 27, figure: 'figure 30.4-2B', zones: {
    1: { up: [0.9, 0.8], down: [0.5, 0.3] }, 2: { up: [1.7, 1.2], down: [0.5, 0.3] }, 3: { up: [2.6, 2], down: [0.5, 0.3] },
  } },
  { fromDeg: 27, toDeg: 45, figure: 'figure 30.4-2C', zones: {
    1: { up: [1, 0.8], down: [0.9, 0.8] }, 2: { up: [1.2, 1], down: [0.9, 0.8] }, 3: { up: [1.2, 1], down: [0.9, 0.8] },
  } },
]

/** GCp of ASCE 7-16 figures 30.3-2B to 2D, gable roofs. From memory and not checked: an engineer's own entries come before them. */
const gcp2016: typeof gcp2010 = [
  { fromDeg: 7, toDeg: 20, figure: 'figure 30.3-2B', zones: {
    '1': { up: [2, 1], down: [0.7, 0.3] }, '2e': { up: [2, 1], down: [0.7, 0.3] }, '2n': { up: [3, 1.6], down: [0.7, 0.3] },
    '2r': { up: [3, 1.6], down: [0.7, 0.3] }, '3e': { up: [3, 1.6], down: [0.7, 0.3] }, '3r': { up: [3.6, 1.8], down: [0.7, 0.3] },
  } },
  { fromDeg: 20, toDeg: 27, figure: 'figure 30.3-2C', zones: {
    '1': { up: [1.5, 0.8], down: [0.7, 0.3] }, '2e': { up: [1.5, 0.8], down: [0.7, 0.3] }, '2n': { up: [2.5, 1.4], down: [0.7, 0.3] },
    '2r': { up: [2.5, 1.4], down: [0.7, 0.3] }, '3e': { up: [2.5, 1.4], down: [0.7, 0.3] }, '3r': { up: [3, 1.6], down: [0.7, 0.3] },
  } },
  { fromDeg: 27, toDeg: 45, figure: 'figure 30.3-2D', zones: {
    '1': { up: [1.8, 0.8], down: [0.9, 0.5] }, '2e': { up: [1.8, 0.8], down: [0.9, 0.5] }, '2n': { up: [2, 1], down: [0.9, 0.5] },
    '2r': { up: [1.8, 1], down: [0.9, 0.5] }, '3e': { up: [2.5, 1.2], down: [0.9, 0.5] }, '3r': { up: [2.5, 1.2], down: [0.9, 0.5] },
  } },
]

export interface UsCoefficients {
  figure: string
  zones: string[]
  /** Coefficients are level up to this area, then linear in its logarithm to 100 ft². */
  smallFt2: number
  curve: (zone: string) => ZoneCurve
}

/**
 * Up to which area coefficients are held level. The 2016 edition's curves are from memory, which has some of them level to 20 ft²
 * and falling faster from there: held to 20 they lie on the safe side of both.
 */
const LEVEL_FT2 = { 'us-2010': 10, 'us-2016': 20 }

/** The figure of an edition for a pitch; null where it has none that this tool knows. */
export function usCoefficients(edition: 'us-2010' | 'us-2016', pitchDeg: number): UsCoefficients | null {
  const found = (edition === 'us-2010' ? gcp2010 : gcp2016).find(one => pitchDeg > one.fromDeg && pitchDeg <= one.toDeg)
  return found ? { figure: found.figure, zones: Object.keys(found.zones), smallFt2: LEVEL_FT2[edition], curve: zone => found.zones[zone]! } : null
}

/** Pressure equalisation of modules close over the roof, γa of ASCE 7-16 figure 29.4-8 (from memory). */
export function equalisation(areaMm2: number): number {
  const ft2 = areaMm2 / MM2_PER_FT2
  if (ft2 <= 10) return 0.8
  return ft2 >= 100 ? 0.4 : 1.2 - 0.4 * Math.log10(ft2)
}

/** γE of ASCE 7-16, 29.4.4, on uplift of exposed modules; 1 on all others and on all pressure down. */
export const EXPOSED_FACTOR = 1.5
