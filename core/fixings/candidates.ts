import { type Interval, TOLERANCE_MM, contains } from '../geometry'
import type { FixingPlaces, SupportState } from '../supports'

/** One place where a fixing could go. Candidates of several rails with one `key` are one above the other. */
export interface Candidate { atMm: number, member: string, key: string, state: SupportState, chance: number, timber: number }

/** What a rail may do between and past its fixings. */
export interface LocalRules { maxSpanMm: number, maxOverhangMm: number }

/**
 * Turns a support's points and intervals into a finite list of candidates, in order along the rail, that keeps the
 * fewest number of fixings by the local rules exact. In any best choice every fixing can be pushed right until it stands at
 * the end of its interval, at the first overhang's limit, or one whole span past the fixing before; those places, and
 * all that follow from them span by span, are the candidates that intervals add to the points.
 */
export function candidatesOf(places: FixingPlaces, reach: Interval, rules: LocalRules): Candidate[] {
  const candidates: Candidate[] = places.points.map(point => ({ ...point, key: point.member }))
  const add = (atMm: number) => {
    const interval = places.intervals.find(one => contains(one, atMm))
    const known = candidates.some(one => Math.abs(one.atMm - atMm) < TOLERANCE_MM)
    if (interval && !known && contains(reach, atMm)) candidates.push(inInterval(atMm, interval))
  }
  if (places.intervals.length) {
    add(reach.fromMm + rules.maxOverhangMm)
    for (const interval of places.intervals) add(Math.min(interval.toMm, reach.toMm))
    for (const atMm of evenLayout(reach, rules, leastEven(reach, rules), EVEN_OVERHANG) ?? []) add(atMm)
    // The list grows while it is walked: each new place is stepped from in its turn.
    for (const from of candidates) if (from.atMm + rules.maxSpanMm <= reach.toMm) add(from.atMm + rules.maxSpanMm)
  }
  return candidates.filter(one => contains(reach, one.atMm)).sort((a, b) => a.atMm - b.atMm)
}

const inInterval = (atMm: number, { member, state, chance, timber }: FixingPlaces['intervals'][number]): Candidate =>
  ({ atMm, member, key: `at ${atMm.toFixed(3)}`, state, chance, timber })

/** Overhangs of 0.4 of the span are common practice; they also even out the moments of a light rail. */
const EVEN_OVERHANG = 0.4
/** Other overhangs worth trying where loads decide, as shares of the span. */
const OVERHANG_SHARES = [0.4, 0.35, 0.45, 0.3, 0.2, 0.1]
/** Where loads decide, counts are laid out until fixings stand as close as this, mm. */
const CLOSEST_MM = 150

/** The fewest fixings that the local rules allow where support is everywhere. */
const leastEven = (reach: Interval, { maxSpanMm, maxOverhangMm }: LocalRules): number =>
  Math.max(2, Math.ceil((reach.toMm - reach.fromMm - 2 * maxOverhangMm) / maxSpanMm - 1e-9) + 1)

/** So many fixings spread evenly with overhangs of a share of the span where their limit allows; null where the rules can't be kept. */
function evenLayout(reach: Interval, { maxSpanMm, maxOverhangMm }: LocalRules, count: number, share: number): number[] | null {
  const length = reach.toMm - reach.fromMm
  const evenMm = length / (count - 1 + 2 * share)
  const overhangMm = Math.max(Math.min(share * evenMm, maxOverhangMm), (length - (count - 1) * maxSpanMm) / 2)
  if (overhangMm > maxOverhangMm + TOLERANCE_MM) return null
  return Array.from({ length: count }, (_, i) => reach.fromMm + overhangMm + i * (length - 2 * overhangMm) / (count - 1))
}

/** Even ways to fix a rail that has support all along it, fewest first: candidates with, for each way, their indices. */
export interface EvenWays { candidates: Candidate[], ways: number[][] }

/**
 * Where a rail lies on one unbroken support and loads decide, only even layouts are tried: with support everywhere an even
 * one bears most. Null where the support has gaps.
 * @param atLeast no fewer than this are laid out
 */
export function evenWays(places: FixingPlaces, reach: Interval, rules: LocalRules, atLeast: number): EvenWays | null {
  const [whole] = places.intervals
  if (!whole || places.points.length || places.intervals.length > 1 || !contains(whole, reach.fromMm) || !contains(whole, reach.toMm)) return null
  const first = Math.max(atLeast, leastEven(reach, rules))
  const last = Math.max(first, Math.floor((reach.toMm - reach.fromMm) / CLOSEST_MM))
  const layouts = Array.from({ length: last - first + 1 }, (_, k) => first + k).flatMap(count => OVERHANG_SHARES.flatMap((share) => {
    const layout = evenLayout(reach, rules, count, share)
    return layout ? [layout] : []
  }))
  const xs = [...new Set(layouts.flat().map(x => Number(x.toFixed(6))))].sort((a, b) => a - b)
  const at = new Map(xs.map((x, i) => [x, i]))
  return { candidates: xs.map(x => inInterval(x, whole)), ways: layouts.map(layout => layout.map(x => at.get(Number(x.toFixed(6)))!)) }
}
