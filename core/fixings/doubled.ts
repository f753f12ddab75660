import type { Candidate } from './candidates'

/** Two fixings at a rail's end stand at least so far apart, mm: nearer ones hold as one. */
const APART_MM = 100

/** Fixings with one more beside the first and the last of a rail, at the nearest place inward: for a rail whose ends are to be held twice. */
export function doubledEnds(picks: number[], candidates: Candidate[]): number[] {
  const [first, last] = [picks[0], picks.at(-1)]
  if (first === undefined || last === undefined || first === last) return picks
  const at = (i: number) => candidates[i]!.atMm
  const inward = candidates.flatMap((_, i) => i > first && at(i) - at(first) >= APART_MM && at(i) < at(last) ? [i] : [])[0]
  const outward = candidates.flatMap((_, i) => i < last && at(last) - at(i) >= APART_MM && at(i) > at(first) ? [i] : []).at(-1)
  return [...new Set([...picks, ...inward === undefined ? [] : [inward], ...outward === undefined ? [] : [outward]])].sort((a, b) => a - b)
}
