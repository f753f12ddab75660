import type { Plate } from '../catalogue'
import { current, factor, temperature, voltage } from '../units'
import type { Working } from '../working'

/** Cells at standard test conditions, °C. */
const STC_C = 25

/** Where the table ends, °C: modules alone, whose voltage is far from any limit, are judged by it where nobody has said the coldest. */
export const TABLE_END_C = -40

/**
 * Voltage correction for crystalline silicon without its maker's coefficient: NEC table 690.7(A) (1.14 at -6 to -10, 1.12 at -1 to -5, 1.18 at
 * -16 to -20 and 1.25 at -36 to -40 were given; the rest from memory). Each band holds its factor down to its coldest degree, and a tenth
 * below it takes the next: -5.1 °C takes 1.14.
 */
const TABLE: [fromC: number, factor: number][] = [[20, 1.02], [15, 1.04], [10, 1.06], [5, 1.08], [0, 1.1], [-5, 1.12], [-10, 1.14], [-15, 1.16], [-20, 1.18], [-25, 1.2], [-30, 1.21], [-35, 1.23], [TABLE_END_C, 1.25]]

/** The table's factor at the lowest expected temperature; null under -40 °C, where the table ends. */
export const tableFactor = (coldC: number): number | null => coldC > 25 ? 1 : TABLE.find(([fromC]) => coldC >= fromC - 1e-9)?.[1] ?? null

/** What a module does at the two ends of the weather. Only the plate's values at standard conditions enter, never a reading taken on the roof. */
export interface ModuleVolts {
  /** Greatest open-circuit voltage, V; null where nothing gives it (colder than the table). */
  coldVocV: number | null
  hotVmpV: number
  hotVocV: number
  /** Short-circuit and working current with what tolerance and back add, A. */
  iscA: number
  impA: number
  workings: { cold: Working, hot: Working, current: Working }
}

/**
 * A module's voltages at the lowest expected temperature and in hot cells.
 * @param coldC extreme annual mean minimum of the place, °C
 * @param cellC temperature of hot cells, not of the air, °C
 */
export function moduleVolts(plate: Plate, coldC: number, cellC: number): ModuleVolts {
  const over = 1 + (plate.overPlate ?? 0)
  const back = 1 + (plate.backGain ?? 0)
  const byTable = plate.vocPerK === null ? tableFactor(coldC) : null
  const cold = plate.vocPerK === null ? byTable : 1 + plate.vocPerK * (coldC - STC_C)
  const coldVocV = cold === null ? null : plate.vocV * over * Math.max(cold, 1)
  // Where the maker gives power and current with temperature, voltage follows from their difference.
  const vmpPerK = plate.powerPerK - plate.iscPerK
  const hotVmpV = plate.vmpV * (1 + vmpPerK * (cellC - STC_C))
  const vocPerK = plate.vocPerK ?? plate.powerPerK
  const iscA = plate.iscA * over * back
  return {
    coldVocV, hotVmpV, hotVocV: plate.vocV * (1 + vocPerK * (cellC - STC_C)), iscA, impA: plate.impA * over * back,
    workings: {
      cold: {
        what: 'Open-circuit voltage of a module at the coldest',
        formula: plate.vocPerK === null ? 'Voc × table factor × (1 + tolerance)' : 'Voc × (1 + β (T − 25 °C)) × (1 + tolerance)',
        values: [
          { symbol: 'Voc', what: 'by the data plate, at 25 °C cells', value: voltage(plate.vocV) },
          { symbol: 'T', what: 'lowest temperature expected: the place’s extreme annual mean minimum', value: temperature(coldC) },
          plate.vocPerK === null ? { symbol: 'k', what: 'crystalline, no coefficient by the maker', value: factor(byTable ?? 0) } : { symbol: 'β', what: 'maker’s coefficient, each kelvin', value: { kind: 'words', text: `${(100 * plate.vocPerK).toFixed(2).replace('-', '−')} %/K` } },
          { symbol: 't', what: 'over its plate at most', value: { kind: 'share', value: plate.overPlate ?? 0 } },
        ],
        result: voltage(coldVocV ?? 0),
        source: plate.vocPerK === null ? 'NEC table 690.7(A), in part from memory' : 'NEC 690.7(A)(1); IEC 62548, 7.2',
        basis: 'code',
      },
      hot: {
        what: 'Working voltage of a module in hot cells',
        formula: 'Vmp × (1 + (γ − α) (T − 25 °C))',
        values: [
          { symbol: 'Vmp', what: 'by the data plate', value: voltage(plate.vmpV) },
          { symbol: 'T', what: 'of cells, not of the air', value: temperature(cellC) },
          { symbol: 'γ', what: 'power with temperature', value: { kind: 'words', text: `${(100 * plate.powerPerK).toFixed(2).replace('-', '−')} %/K` } },
          { symbol: 'α', what: 'current with temperature', value: { kind: 'words', text: `${(100 * plate.iscPerK).toFixed(3)} %/K` } },
        ],
        result: voltage(hotVmpV),
        source: 'V = P / I, so their coefficients are taken from each other',
        basis: 'arithmetic',
      },
      current: {
        what: 'Short-circuit current of a string',
        formula: 'Isc × (1 + tolerance) × (1 + gain of the back)',
        values: [
          { symbol: 'Isc', what: 'by the data plate', value: current(plate.iscA) },
          { symbol: 't', what: 'over its plate at most', value: { kind: 'share', value: plate.overPlate ?? 0 } },
          { symbol: 'g', what: 'gain of light on its back', value: { kind: 'share', value: plate.backGain ?? 0 } },
        ],
        result: current(iscA),
        source: 'Data plate',
        basis: 'maker',
      },
    },
  }
}

/** What a string circuit's conductors and device must take: 1.25 Isc is its greatest current; 1.56 Isc before anything is taken off, 1.25 Isc of what is left (NEC 690.8(A)(1), (B)). */
export const stringCurrents = (iscA: number, us: boolean): { maxA: number, terminalA: number, afterA: number, deviceA: number } =>
  ({ maxA: 1.25 * iscA, terminalA: (us ? 1.5625 : 1.25) * iscA, afterA: 1.25 * iscA, deviceA: (us ? 1.5625 : 1.5) * iscA })

/** Whether each of so many strings side by side needs its own fuse: (n - 1) Isc of the others over what the module stands (NEC 690.9(A); IEC 62548, 6.3.5); from three on always. */
export const needsFuses = (strings: number, iscA: number, seriesFuseA: number | null): boolean => strings >= 3 || (strings > 1 && seriesFuseA !== null && (strings - 1) * 1.25 * iscA > seriesFuseA)
