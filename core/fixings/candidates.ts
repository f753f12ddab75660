import { type Interval, TOLERANCE_MM, contains } from '../geometry'
import type { FixingPlaces, SupportState } from '../supports'

/** One place where a fixing could go. Candidates of several rails with one `key` are one above the other. */
export interface Candidate { xMm: number, member: string, key: string, state: SupportState, chance: number }

/** What a rail may do between and past its fixings. */
export interface LocalRules { maxSpanMm: number, maxOverhangMm: number }

/**
 * Turns a support's points and intervals into a finite list of candidates, in order along the rail, that keeps the
 * fewest number of fixings exact. In any best choice every fixing can be pushed right until it stands at the end
 * of its interval, at the first overhang's limit, or one whole span past the fixing before; those places, and
 * all that follow from them span by span, are the candidates that intervals add to the points.
 */
export function candidatesOf(places: FixingPlaces, reach: Interval, rules: LocalRules): Candidate[] {
  const candidates: Candidate[] = places.points.map(point => ({ ...point, key: point.member }))
  const add = (xMm: number) => {
    const interval = places.intervals.find(one => contains(one, xMm))
    const known = candidates.some(one => Math.abs(one.xMm - xMm) < TOLERANCE_MM)
    if (interval && !known && contains(reach, xMm)) {
      candidates.push({ xMm, member: interval.member, key: `at ${xMm.toFixed(3)}`, state: interval.state, chance: interval.chance })
    }
  }
  if (places.intervals.length) {
    add(reach.fromMm + rules.maxOverhangMm)
    for (const interval of places.intervals) add(Math.min(interval.toMm, reach.toMm))
    for (const xMm of evenPlaces(reach, rules)) add(xMm)
    // The list grows while it is walked: each new place is stepped from in its turn.
    for (const from of candidates) if (from.xMm + rules.maxSpanMm <= reach.toMm) add(from.xMm + rules.maxSpanMm)
  }
  return candidates.filter(one => contains(reach, one.xMm)).sort((a, b) => a.xMm - b.xMm)
}

/** Where support is everywhere, the fewest fixings spread evenly, with overhangs of 0.4 of the span where their limit allows (common practice). */
function evenPlaces(reach: Interval, { maxSpanMm, maxOverhangMm }: LocalRules): number[] {
  const length = reach.toMm - reach.fromMm
  const count = Math.max(2, Math.ceil((length - 2 * maxOverhangMm) / maxSpanMm - 1e-9) + 1)
  const evenMm = length / (count - 1 + 2 * 0.4)
  const overhangMm = Math.max(Math.min(0.4 * evenMm, maxOverhangMm), (length - (count - 1) * maxSpanMm) / 2)
  return Array.from({ length: count }, (_, i) => reach.fromMm + overhangMm + i * (length - 2 * overhangMm) / (count - 1))
}
