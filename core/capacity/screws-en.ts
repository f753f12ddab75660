import type { Fasteners } from '../catalogue'

/** Exponent of a row of nails by their spacing in diameters: EN 1995-1-1 table 8.1 (from memory), predrilled from 4 d. */
const ROW_EXPONENTS: readonly (readonly [spacing: number, exponent: number])[] = [[4, 0.5], [7, 0.7], [10, 0.85], [14, 1]]

function rowExponent(spacing: number): number {
  const [first] = ROW_EXPONENTS
  if (spacing < first![0]) return 0
  for (let i = 1; i < ROW_EXPONENTS.length; i++) {
    const [[a, from], [b, to]] = [ROW_EXPONENTS[i - 1]!, ROW_EXPONENTS[i]!]
    if (spacing <= b) return from + (to - from) * (spacing - a) / (b - a)
  }
  return 1
}

/**
 * Effective number of screws in one row along the grain under load along it: as bolts over 6 mm, n^0.9 (a1/13d)^0.25 (8.34), as
 * nails up to 6 mm, n^kef (8.17). Closer than the table goes, a row counts as one screw.
 * @param inRow screws one behind the other along the grain
 * @param alongMm their distance, mm
 */
export function rowEffective(diameterMm: number, inRow: number, alongMm: number): number {
  if (inRow <= 1) return inRow
  const spacing = alongMm / diameterMm
  const own = diameterMm > 6 ? inRow ** 0.9 * (spacing / 13) ** 0.25 : inRow ** rowExponent(spacing)
  return Math.max(1, Math.min(inRow, own))
}

/** Effective number of screws that share the axial load of one foot, in line or not: n^0.9 (8.41). */
export const axialEffective = (n: number): number => n ** 0.9

/** One thing in which screws are outside EN 1995-1-1, so that only their maker's approval can say what they hold. */
export interface OutsideRule { what: string, isMm: number, asksMm: number }

/** Thread root beside the outer diameter where the maker does not say (common practice). */
const ROOT_SHARE = 0.7

/**
 * Where axially loaded screws of a mount leave EN 1995-1-1: diameters of 8.38 (6 to 12 mm, root 0.6 to 0.75), member, spacings and
 * edge of table 8.6 (from memory), penetration of 8.7.2. Empty where the code covers them.
 * @param memberMm thickness of the member along the screw, mm; null where nobody has measured it
 */
export function outsideEn({ diameterMm: d, acrossMm, alongMm, rootMm }: Fasteners, perMount: number, widthMm: number, memberMm: number | null, pointSideMm: number): OutsideRule[] {
  const found: OutsideRule[] = []
  const least = (what: string, isMm: number, asksMm: number) => {
    if (isMm < asksMm - 0.05) found.push({ what, isMm, asksMm })
  }
  const root = rootMm ?? ROOT_SHARE * d
  if (d < 6 - 1e-6) found.push({ what: 'diameter of the screw, at least', isMm: d, asksMm: 6 })
  if (d > 12 + 1e-6) found.push({ what: 'diameter of the screw, at most', isMm: d, asksMm: 12 })
  if (root < 0.6 * d - 1e-6) found.push({ what: 'root of the thread, at least', isMm: root, asksMm: 0.6 * d })
  if (root > 0.75 * d + 1e-6) found.push({ what: 'root of the thread, at most', isMm: root, asksMm: 0.75 * d })
  least('thickness of the timber', memberMm ?? Infinity, 12 * d)
  least('penetration of the point', pointSideMm, 6 * d)
  least('distance of a screw from the timber’s edge', widthMm / 2 - Math.max(...acrossMm.map(Math.abs)), 4 * d)
  const sorted = [...acrossMm].sort((a, b) => a - b)
  for (let i = 1; i < sorted.length; i++) least('distance of screws across the grain', sorted[i]! - sorted[i - 1]!, 5 * d)
  if (perMount > acrossMm.length) least('distance of screws along the grain', alongMm ?? 0, 7 * d)
  return found
}
