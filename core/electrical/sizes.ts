import { type ConductorSize, conductorSizes, isAwg } from '../catalogue'

/** Copper from the roof box down, thinnest first: those of the roof and the thicker ones of feeders and taps. */
export const awgWires = ['14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG', '4 AWG', '3 AWG', '2 AWG', '1 AWG', '1/0 AWG', '2/0 AWG', '3/0 AWG', '4/0 AWG', '250 kcmil'] as const
export const mm2Wires = ['2.5 mm²', '4 mm²', '6 mm²', '10 mm²', '16 mm²', '25 mm²', '35 mm²', '50 mm²', '70 mm²', '95 mm²'] as const
export const wireSizes = [...awgWires, ...mm2Wires] as const
export type AwgWire = typeof awgWires[number]
export type Mm2Wire = typeof mm2Wires[number]
export type WireSize = AwgWire | Mm2Wire

export const isAmerican = (size: WireSize): size is AwgWire => !size.endsWith('mm²')
export const wiresOf = (us: boolean): readonly WireSize[] => us ? awgWires : mm2Wires

/** Sizes that lie on a roof, of one side of the ocean, thinnest first. */
export const sizesOf = (us: boolean): ConductorSize[] => conductorSizes.filter(size => isAwg(size) === us)

/** Circular mils (NEC chapter 9, table 8): by them an earth grows with its lines. */
const CIRCULAR_MILS: Record<AwgWire, number> = {
  '14 AWG': 4110, '12 AWG': 6530, '10 AWG': 10_380, '8 AWG': 16_510, '6 AWG': 26_240, '4 AWG': 41_740, '3 AWG': 52_620, '2 AWG': 66_360, '1 AWG': 83_690, '1/0 AWG': 105_600, '2/0 AWG': 133_100, '3/0 AWG': 167_800, '4/0 AWG': 211_600, '250 kcmil': 250_000,
}
/** A circular mil: the area of a circle a thousandth of an inch across. */
const MM2_PER_MIL = Math.PI / 4 * 0.0254 ** 2
/** Copper’s cross-section, mm². */
export const copperMm2 = (size: WireSize): number => isAmerican(size) ? CIRCULAR_MILS[size] * MM2_PER_MIL : Number.parseFloat(size)

/** Mass of copper alone, kg a metre: 8.96 kg a mm² and km. */
export const copperKgPerM = (size: WireSize): number => copperMm2(size) * 8.96e-3

/** The thicker of two, of one side of the ocean. */
export const thicker = <S extends WireSize>(a: S, b: S): S => copperMm2(a) >= copperMm2(b) ? a : b
