import type { LogEntry, LogOf } from '../job'

/** A place on a face, mm along the eave from its left end and up the slope. */
export interface Spot { xMm: number, yMm: number }

/** Two entries that say one hole differently; both are kept, and a person settles it. */
export interface Difference { a: LogOf<'hole'>, b: LogOf<'hole'> }

/** What is said of holes nearer to each other than this, mm, is said of one. */
export const ONE_HOLE_MM = 6

/** Holes of a face that two people say differently, one as a hit and one as a miss, and that nobody has settled. One person's second word on a hole takes the first back by an edit, so it is no difference. */
export function differencesOn(log: LogEntry[], faceId: string): Difference[] {
  const settled = new Set(log.flatMap(entry => entry.kind === 'settle' && entry.faceId === faceId ? [entry.overId] : []))
  const holes = log.filter((entry): entry is LogOf<'hole'> => entry.kind === 'hole' && entry.faceId === faceId && !settled.has(entry.id))
  return holes.flatMap((a, i) => holes.slice(i + 1).flatMap(b => a.result !== b.result && Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) < ONE_HOLE_MM ? [{ a, b }] : []))
}
