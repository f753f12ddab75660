import { betweenPitches } from './log-area'

/** c_pe of one zone: [c_pe,10, c_pe,1]; negative is suction. */
type Pair = readonly [number, number]
/** Suction rows and pressure rows, each interpolated by itself; a zone without a pressure row has none. */
interface Row { suction: Record<string, Pair>, pressure: Record<string, number> }
type Table = readonly (readonly [number, Row])[]

const s = (ten: number, one = ten): Pair => [ten, one]
const row = (suction: Record<string, Pair>, pressure: Record<string, number> = {}): Row => ({ suction, pressure })

/** EN 1991-1-4 table 7.4a, duopitch, wind across the ridge. c_pe,1 and the rows at 5, 60 and 75° from memory. */
const duopitchAcross: Table = [
  [5, row({ F: s(-1.7, -2.5), G: s(-1.2, -2), H: s(-0.6, -1.2), I: s(-0.6), J: s(-0.6) }, { J: 0.2 })],
  [15, row({ F: s(-0.9, -2), G: s(-0.8, -1.5), H: s(-0.3), I: s(-0.4), J: s(-1, -1.5) }, { F: 0.2, G: 0.2, H: 0.2 })],
  [30, row({ F: s(-0.5, -1.5), G: s(-0.5, -1.5), H: s(-0.2), I: s(-0.4), J: s(-0.5) }, { F: 0.7, G: 0.7, H: 0.4 })],
  [45, row({ F: s(0), G: s(0), H: s(0), I: s(-0.2), J: s(-0.3) }, { F: 0.7, G: 0.7, H: 0.6 })],
  [60, row({ F: s(0), G: s(0), H: s(0), I: s(-0.2), J: s(-0.3) }, { F: 0.7, G: 0.7, H: 0.7 })],
  [75, row({ F: s(0), G: s(0), H: s(0), I: s(-0.2), J: s(-0.3) }, { F: 0.8, G: 0.8, H: 0.8 })],
]
/** Table 7.4b, duopitch, wind along the ridge. */
const duopitchAlong: Table = [
  [5, row({ aF: s(-1.6, -2.2), aG: s(-1.3, -2), aH: s(-0.7, -1.2), aI: s(-0.6) })],
  [15, row({ aF: s(-1.3, -2), aG: s(-1.3, -2), aH: s(-0.6, -1.2), aI: s(-0.5) })],
  [30, row({ aF: s(-1.1, -1.5), aG: s(-1.4, -2), aH: s(-0.8, -1.2), aI: s(-0.5) })],
  [45, row({ aF: s(-1.1, -1.5), aG: s(-1.4, -2), aH: s(-0.9, -1.2), aI: s(-0.5) })],
  [60, row({ aF: s(-1.1, -1.5), aG: s(-1.2, -2), aH: s(-0.8, -1), aI: s(-0.5) })],
  [75, row({ aF: s(-1.1, -1.5), aG: s(-1.2, -2), aH: s(-0.8, -1), aI: s(-0.5) })],
]
/** Table 7.3a, monopitch, wind on the low eave and on the high one (b). From memory. */
const monopitchAcross: Table = [
  [5, row({ F: s(-1.7, -2.5), G: s(-1.2, -2), H: s(-0.6, -1.2), bF: s(-2.3, -2.5), bG: s(-1.3, -2), bH: s(-0.8, -1.2) })],
  [15, row({ F: s(-0.9, -2), G: s(-0.8, -1.5), H: s(-0.3), bF: s(-2.5, -2.8), bG: s(-1.3, -2), bH: s(-0.9, -1.2) }, { F: 0.2, G: 0.2, H: 0.2 })],
  [30, row({ F: s(-0.5, -1.5), G: s(-0.5, -1.5), H: s(-0.2), bF: s(-1.1, -2.3), bG: s(-0.8, -1.5), bH: s(-0.8) }, { F: 0.7, G: 0.7, H: 0.4 })],
  [45, row({ F: s(0), G: s(0), H: s(0), bF: s(-0.6, -1.3), bG: s(-0.5), bH: s(-0.7) }, { F: 0.7, G: 0.7, H: 0.6 })],
  [60, row({ F: s(0), G: s(0), H: s(0), bF: s(-0.5, -1), bG: s(-0.5), bH: s(-0.5) }, { F: 0.7, G: 0.7, H: 0.7 })],
  [75, row({ F: s(0), G: s(0), H: s(0), bF: s(-0.5, -1), bG: s(-0.5), bH: s(-0.5) }, { F: 0.8, G: 0.8, H: 0.8 })],
]
/** Table 7.3b, monopitch, wind along. From memory. */
const monopitchAlong: Table = [
  [5, row({ aFu: s(-2.1, -2.6), aFl: s(-2.1, -2.4), aG: s(-1.8, -2), aH: s(-0.6, -1.2), aI: s(-0.5) })],
  [15, row({ aFu: s(-2.4, -2.9), aFl: s(-1.6, -2.4), aG: s(-1.9, -2.5), aH: s(-0.8, -1.2), aI: s(-0.7, -1.2) })],
  [30, row({ aFu: s(-2.1, -2.9), aFl: s(-1.3, -2), aG: s(-1.5, -2), aH: s(-1, -1.3), aI: s(-0.8, -1.2) })],
  [45, row({ aFu: s(-1.5, -2.4), aFl: s(-1.3, -2), aG: s(-1.4, -2), aH: s(-1, -1.3), aI: s(-0.9, -1.2) })],
  [60, row({ aFu: s(-1.2, -2), aFl: s(-1.2, -2), aG: s(-1.2, -2), aH: s(-1, -1.3), aI: s(-0.7, -1.2) })],
  [75, row({ aFu: s(-1.2, -2), aFl: s(-1.2, -2), aG: s(-1.2, -2), aH: s(-1, -1.3), aI: s(-0.5) })],
]
/** Table 7.5, hip roofs: a face can lie to windward (F, G, H), to leeward (I, J, K) or at the side (L, M, N). From memory. */
const hip: Table = [
  [5, row({ F: s(-1.7, -2.5), G: s(-1.2, -2), H: s(-0.6, -1.2), I: s(-0.3), J: s(-0.6), K: s(-0.6), L: s(-1.2, -2), M: s(-0.6, -1.2), N: s(-0.4) })],
  [15, row({ F: s(-0.9, -2), G: s(-0.8, -1.5), H: s(-0.3), I: s(-0.5), J: s(-1, -1.5), K: s(-1.2, -2), L: s(-1.4, -2), M: s(-0.6, -1.2), N: s(-0.3) }, { F: 0.2, G: 0.2, H: 0.2 })],
  [30, row({ F: s(-0.5, -1.5), G: s(-0.5, -1.5), H: s(-0.2), I: s(-0.4), J: s(-0.7, -1.2), K: s(-0.5), L: s(-1.4, -2), M: s(-0.8, -1.2), N: s(-0.2) }, { F: 0.5, G: 0.7, H: 0.4 })],
  [45, row({ F: s(0), G: s(0), H: s(0), I: s(-0.3), J: s(-0.6), K: s(-0.3), L: s(-1.3, -2), M: s(-0.8, -1.2), N: s(-0.2) }, { F: 0.7, G: 0.7, H: 0.6 })],
  [60, row({ F: s(0), G: s(0), H: s(0), I: s(-0.3), J: s(-0.6), K: s(-0.3), L: s(-1.2, -2), M: s(-0.4), N: s(-0.2) }, { F: 0.7, G: 0.7, H: 0.7 })],
  [75, row({ F: s(0), G: s(0), H: s(0), I: s(-0.3), J: s(-0.6), K: s(-0.3), L: s(-1.2, -2), M: s(-0.4), N: s(-0.2) }, { F: 0.8, G: 0.8, H: 0.8 })],
]

const tables = { gable: [duopitchAcross, duopitchAlong], monopitch: [monopitchAcross, monopitchAlong], hip: [hip] }
export const enTableNames = { gable: 'tables 7.4a and 7.4b', monopitch: 'tables 7.3a and 7.3b', hip: 'table 7.5' }

function mixed(a: Row, b: Row, share: number): Row {
  const at = (x: number, y: number) => x + (y - x) * share
  const suction = Object.fromEntries(Object.keys(a.suction).map(zone => [zone, s(at(a.suction[zone]![0], b.suction[zone]![0]), at(a.suction[zone]![1], b.suction[zone]![1]))]))
  // A zone that one of two rows gives no pressure for has none there: from nought.
  const pressure = Object.fromEntries([...new Set([...Object.keys(a.pressure), ...Object.keys(b.pressure)])].map(zone => [zone, at(a.pressure[zone] ?? 0, b.pressure[zone] ?? 0)]))
  return { suction, pressure }
}

/**
 * Sizes of c_pe by zone: suction at 1 m² and at 10 m², between which it is linear in the area's logarithm, and pressure. Null
 * where the pitch is outside the tables (5° to 75°).
 */
export function enCurves(form: keyof typeof tables, pitchDeg: number): Record<string, { one: number, ten: number, down: number }> | null {
  const rows = tables[form].map(table => betweenPitches(table, pitchDeg, mixed))
  if (rows.some(one => one === null)) return null
  const size = (suction: number) => Math.max(0, -suction)
  return Object.fromEntries(rows.flatMap(row => Object.entries(row!.suction).map(([zone, [ten, one]]) => [
    zone,
    { one: size(one), ten: size(ten), down: Math.max(0, row!.pressure[zone] ?? 0) },
  ])))
}
