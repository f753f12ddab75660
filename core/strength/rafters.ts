import type { Face } from '../job'
import type { FaceLoads } from '../loads'
import { radians } from '../units'
import type { FixingDuty } from './check'

/** What all fixings on one support come to, N. */
export interface SupportSum { member: string, fixings: number, upN: number, downN: number }

/** Sums of fixing loads by support, in the order in which they are first met from the left. */
export function supportSums(fixings: { member: string, duty: FixingDuty }[]): SupportSum[] {
  const sums = new Map<string, SupportSum>()
  for (const { member, duty } of [...fixings].sort((a, b) => a.duty.xMm - b.duty.xMm)) {
    const sum = sums.get(member) ?? { member, fixings: 0, upN: 0, downN: 0 }
    sums.set(member, { member, fixings: sum.fixings + 1, upN: sum.upN + duty.upN, downN: sum.downN + duty.downN })
  }
  return [...sums.values()]
}

/** A first look at an existing rafter: the share of its bending strength used now and under the array. Never a sign-off. */
export interface RafterScreening { before: number, after: number, spacingMm: number, momentNmm: number, capacityNmm: number }

const REPETITIVE = { asd: 1.15, en: 1.1 }
const SNOW_DURATION = { asd: 1.15, en: 0.9 / 1.3 }
const FACTORS = { asd: { dead: 1, snow: 1 }, en: { dead: 1.35, snow: 1.5 } }

/**
 * Bending of the typed rafter as a simply supported beam under roof, snow and the array's mass, the array's taken as much
 * more on the busiest rafter than on the mean as its fixings press more. NDS 4.3 and EN 1995-1-1, 6.1.6, in their plainest form.
 * @returns null where depth, span or strength was not typed, or the face does not stand on rafters
 */
export function screenRafter({ supports, timber, pitchDeg }: Face, loads: FaceLoads, sums: SupportSum[]): RafterScreening | null {
  if (supports.kind !== 'rafters' || timber.depthMm === null || timber.spanMm === null || timber.bendingMpa === null) return null
  const angle = radians(pitchDeg)
  const factors = FACTORS[loads.format]
  const spacingMm = supports.spacingMm
  const capacityNmm = timber.bendingMpa * SNOW_DURATION[loads.format] * REPETITIVE[loads.format] * supports.widthMm * timber.depthMm ** 2 / 6
  const momentOf = (pa: number) => pa * 1e-6 * spacingMm * timber.spanMm! ** 2 / 8
  const own = momentOf(factors.dead * timber.roofDeadPa * Math.cos(angle) + factors.snow * loads.snow.uniformPa * Math.cos(angle) ** 2)
  const mean = sums.reduce((sum, one) => sum + one.downN, 0) / Math.max(1, sums.length)
  const busiest = mean > 0 ? Math.max(...sums.map(one => one.downN)) / mean : 1
  const array = momentOf(factors.dead * loads.deadPa * Math.cos(angle)) * busiest
  return { before: own / capacityNmm, after: (own + array) / capacityNmm, spacingMm, momentNmm: own + array, capacityNmm }
}
