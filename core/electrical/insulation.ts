import { isAmerican, type AwgWire, type Mm2Wire, type WireSize } from './sizes'

/** What single conductors below the roof box are covered with. */
export const insulations = ['thwn-2', 'xhhw-2', 'pv-wire', 'h07v'] as const
export type Insulation = typeof insulations[number]
export const insulationNames: Record<Insulation, string> = { 'thwn-2': 'THWN-2', 'xhhw-2': 'XHHW-2', 'pv-wire': 'PV wire', 'h07v': 'H07V' }

const MM2_PER_IN2 = 645.16
/** Outside areas, in² (NEC chapter 9, table 5, from memory); of bare stranded copper table 8. */
const THWN: Record<AwgWire, number> = { '14 AWG': 0.0097, '12 AWG': 0.0133, '10 AWG': 0.0211, '8 AWG': 0.0366, '6 AWG': 0.0507, '4 AWG': 0.0824, '3 AWG': 0.0973, '2 AWG': 0.1158, '1 AWG': 0.1562, '1/0 AWG': 0.1855, '2/0 AWG': 0.2223, '3/0 AWG': 0.2679, '4/0 AWG': 0.3237, '250 kcmil': 0.397 }
const XHHW: Record<AwgWire, number> = { '14 AWG': 0.0139, '12 AWG': 0.0181, '10 AWG': 0.0243, '8 AWG': 0.0437, '6 AWG': 0.059, '4 AWG': 0.0814, '3 AWG': 0.0962, '2 AWG': 0.1146, '1 AWG': 0.1534, '1/0 AWG': 0.1825, '2/0 AWG': 0.219, '3/0 AWG': 0.2642, '4/0 AWG': 0.3197, '250 kcmil': 0.3904 }
const BARE: Record<AwgWire, number> = { '14 AWG': 0.004, '12 AWG': 0.006, '10 AWG': 0.011, '8 AWG': 0.017, '6 AWG': 0.027, '4 AWG': 0.042, '3 AWG': 0.053, '2 AWG': 0.067, '1 AWG': 0.087, '1/0 AWG': 0.109, '2/0 AWG': 0.137, '3/0 AWG': 0.173, '4/0 AWG': 0.219, '250 kcmil': 0.26 }
/** 2 kV wire has thick walls: outside diameters of common makes, in (common practice; the maker's own can be typed). */
const PV_DIAMETER: Partial<Record<AwgWire, number>> = { '14 AWG': 0.211, '12 AWG': 0.23, '10 AWG': 0.254, '8 AWG': 0.302, '6 AWG': 0.34, '4 AWG': 0.388 }
/** Outside diameters of single cores in conduit, mm (H07V-R and -K, from memory), and of solar cable (common practice). */
const H07V: Record<Mm2Wire, number> = { '2.5 mm²': 3.9, '4 mm²': 4.4, '6 mm²': 5, '10 mm²': 6.4, '16 mm²': 7.8, '25 mm²': 9.7, '35 mm²': 10.9, '50 mm²': 12.8, '70 mm²': 14.6, '95 mm²': 17.1 }
const SOLAR: Partial<Record<Mm2Wire, number>> = { '2.5 mm²': 5.2, '4 mm²': 5.7, '6 mm²': 6.4, '10 mm²': 7.8, '16 mm²': 9.2 }

const disc = (diameterMm: number): number => Math.PI * diameterMm ** 2 / 4

/** Outside area of one conductor, mm²; null where none is known for its size. */
export function outsideMm2(size: WireSize, covered: Insulation | 'bare'): number | null {
  if (isAmerican(size)) {
    if (covered === 'bare') return BARE[size] * MM2_PER_IN2
    if (covered === 'pv-wire') return PV_DIAMETER[size] === undefined ? null : disc(PV_DIAMETER[size] * 25.4)
    return (covered === 'xhhw-2' ? XHHW : THWN)[size] * MM2_PER_IN2
  }
  if (covered === 'pv-wire') return SOLAR[size] === undefined ? null : disc(SOLAR[size])
  return disc(H07V[size])
}

/** A flat or oval cable counts as one circle of its major diameter (NEC chapter 9, note 9). */
export const cableMm2 = (majorMm: number): number => disc(majorMm)
