import type { ClampSet } from '../catalogue'
import type { RailPlan } from './rail'

/** Modules this much off a mid clamp's width apart are still held by one, mm. */
const CLAMP_PLAY_MM = 1

/**
 * Clamps on one rail: mid clamps where neighbours stand a clamp's width apart, end clamps at its ends and wherever they do not.
 * Two rails under a row of n modules take 4 end clamps and 2(n − 1) mid clamps (common practice). None on a line of frames.
 */
export function clampsOn({ carries, way, holds }: Pick<RailPlan, 'carries' | 'way' | 'holds'>, clamps: Pick<ClampSet, 'gapMm'>): { mids: number, ends: number } {
  const counts = { mids: 0, ends: 0 }
  if (!holds) return counts
  counts.ends = 2
  carries.slice(1).forEach((one, i) => {
    // Along the eave the columns' gap is chosen for the clamp; up the slope the rows' gap may be anything.
    if (way === 'across' || Math.abs(one.fromMm - carries[i]!.toMm - clamps.gapMm) <= CLAMP_PLAY_MM) counts.mids++
    else counts.ends += 2
  })
  return counts
}
