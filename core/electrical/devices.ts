import type { Mm2Wire, AwgWire } from './sizes'

/** Ratings in which overcurrent devices come, A (NEC 240.6(A); IEC 60898 and 60947-2). */
const DEVICES = { us: [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400], en: [6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160] }
const listOf = (us: boolean) => DEVICES[us ? 'us' : 'en']
export const nextDevice = (us: boolean, least: number): number | null => listOf(us).find(a => a >= least - 1e-9) ?? null
export const lastDevice = (us: boolean, most: number): number | null => listOf(us).findLast(a => a <= most + 1e-9) ?? null
/** Whether a rating is one that is made. */
export const isDevice = (us: boolean, a: number): boolean => listOf(us).includes(a)

/** The equipment grounding conductor by the device before it, copper (NEC table 250.122, from memory): up to so many A. */
const EARTH: [toA: number, size: AwgWire][] = [[15, '14 AWG'], [20, '12 AWG'], [60, '10 AWG'], [100, '8 AWG'], [200, '6 AWG'], [300, '4 AWG'], [400, '3 AWG']]
export const earthByDevice = (deviceA: number): AwgWire => EARTH.find(([to]) => deviceA <= to + 1e-9)?.[1] ?? '3 AWG'

/** The supply-side bonding jumper by the ungrounded conductors, copper (NEC table 250.102(C)(1), from memory). */
const JUMPER: [to: AwgWire, size: AwgWire][] = [['2 AWG', '8 AWG'], ['1/0 AWG', '6 AWG'], ['3/0 AWG', '4 AWG'], ['250 kcmil', '2 AWG']]
export const supplyJumper = (order: readonly AwgWire[], size: AwgWire): AwgWire => JUMPER.find(([to]) => order.indexOf(size) <= order.indexOf(to))![1]

/** A protective conductor by its line conductor (IEC 60364-5-54 table 54.2): alike up to 16 mm², 16 up to 35, half above. */
export function earthByLine(line: Mm2Wire, sizes: readonly Mm2Wire[]): Mm2Wire {
  const mm2 = Number.parseFloat(line)
  const least = mm2 <= 16 ? mm2 : mm2 <= 35 ? 16 : mm2 / 2
  return sizes.find(size => Number.parseFloat(size) >= least)!
}
