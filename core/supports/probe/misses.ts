import type { Interval } from '../../geometry'
import { centreIn, numberAt } from '../belief'
import { chanceInTimber } from '../chance'
import type { SharedRow } from './known'

/** A fixing as far as missing it goes: where it is planned, mm. It goes on the timber that is drawn nearest. */
export interface ProbedFixing { xMm: number, yMm: number }

/** Fixings expected to miss: the sum over fixings of the chance that not all their screws are in the safe strip of a timber, set where the likeliest row has its own. */
export function expectedMisses(rows: SharedRow[], fixings: ProbedFixing[], strip: Interval | null): number {
  let best: SharedRow | null = null
  for (const row of rows) if (row.own.length && row.weight > (best?.weight ?? 0)) best = row
  if (!best || !strip) return fixings.length
  let misses = 0
  for (const { xMm, yMm } of fixings) {
    const atMm = centreIn(best, numberAt(best, xMm, yMm), yMm).xMm
    let chance = 0
    for (const row of rows) {
      if (row.own.length) {
        const centre = centreIn(row, numberAt(row, atMm, yMm), yMm)
        chance += row.weight * chanceInTimber(strip, centre.sdMm, atMm - centre.xMm)
      }
      else chance += row.weight * Math.min(1, (strip.toMm - strip.fromMm) / row.mean[1])
    }
    misses += 1 - Math.min(1, chance)
  }
  return misses
}
