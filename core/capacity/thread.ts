import type { Fasteners } from '../catalogue'
import { MM_PER_INCH } from '../units'

/** Tapered tip of a lag by its diameter, in (NDS appendix L, table L2, from memory). */
const LAG_TIPS: readonly (readonly [diameterIn: number, tipIn: number])[] = [
  [1 / 4, 5 / 32],
  [5 / 16, 3 / 16],
  [3 / 8, 7 / 32],
  [7 / 16, 9 / 32],
  [1 / 2, 5 / 16],
  [5 / 8, 13 / 32],
  [3 / 4, 1 / 2],
  [7 / 8, 19 / 32],
  [1, 11 / 16],
]
const LONGEST_LAG_THREAD_MM = 6 * MM_PER_INCH
const LEAST_LAG_SHANK_MM = 0.25 * MM_PER_INCH

/** Tapered tip of a lag, mm: that of the table's diameter, the longer of two neighbours between them. */
export const lagTipMm = (diameterMm: number): number => MM_PER_INCH * (LAG_TIPS.find(([inches]) => inches * MM_PER_INCH >= diameterMm - 0.05) ?? LAG_TIPS.at(-1)!)[1]

/**
 * Thread of a standard lag with its tip, mm: NDS appendix L, table L2 (from memory): half the length and half an inch, at most
 * 6 in, and on short ones all but a quarter inch of shank.
 */
export const lagThreadMm = (lengthMm: number): number => Math.max(0, Math.min(lengthMm / 2 + 0.5 * MM_PER_INCH, LONGEST_LAG_THREAD_MM, lengthMm - LEAST_LAG_SHANK_MM))

/** Where no maker says so, two thirds of a wood screw are threaded (NDS appendix L, table L3, from memory). */
const WOOD_SCREW_THREAD = 2 / 3

/** What of a screw is in the member that holds it, mm. */
export interface Embedment {
  /** Thread without its tip that is in the member: what withdrawal counts. */
  threadMm: number
  /** All of the screw that is in the member, without its tip: what lateral values count. */
  penetrationMm: number
  /** With the tip, which European rules count in. */
  pointSideMm: number
}

/**
 * What of a screw bites: never more than the member is thick. The plain shank may lie in what the screw goes through first;
 * thread that lies there does not count.
 * @param throughMm foot, flashing, covering and sheathing, mm
 * @param memberMm thickness of the member along the screw, mm
 */
export function embedment(screw: Pick<Fasteners, 'kind' | 'diameterMm' | 'lengthMm' | 'tipMm' | 'threadMm'>, throughMm: number, memberMm: number): Embedment {
  const { kind, diameterMm, lengthMm } = screw
  const tipMm = kind === 'lag' ? lagTipMm(diameterMm) : screw.tipMm
  const withTip = screw.threadMm ?? (kind === 'lag' ? lagThreadMm(lengthMm) : WOOD_SCREW_THREAD * lengthMm)
  // A tip that comes out at the far side holds nothing there either, so the member's thickness cuts what is left of it.
  const penetrationMm = Math.max(0, Math.min(lengthMm - tipMm - throughMm, memberMm))
  return { threadMm: Math.max(0, Math.min(withTip - tipMm, penetrationMm)), penetrationMm, pointSideMm: Math.max(0, Math.min(lengthMm - throughMm, memberMm)) }
}
