/** A closed stretch of a line, mm. */
export interface Interval { fromMm: number, toMm: number }

/** Lengths that differ by less than this are the same length; far below any tape, far above rounding error. */
export const TOLERANCE_MM = 1e-6

export const spanOf = (interval: Interval): number => interval.toMm - interval.fromMm
export const middleOf = (interval: Interval): number => (interval.fromMm + interval.toMm) / 2
export const contains = (interval: Interval, mm: number): boolean =>
  mm >= interval.fromMm - TOLERANCE_MM && mm <= interval.toMm + TOLERANCE_MM

/** Joins overlapping and touching intervals, in order along the line. */
export function unite(intervals: Interval[]): Interval[] {
  const joined: Interval[] = []
  for (const next of [...intervals].sort((a, b) => a.fromMm - b.fromMm)) {
    const last = joined.at(-1)
    if (last && next.fromMm <= last.toMm + TOLERANCE_MM) last.toMm = Math.max(last.toMm, next.toMm)
    else joined.push({ ...next })
  }
  return joined
}

/** What is left of `whole` outside all of `holes`; slivers no longer than the tolerance are dropped. */
export function subtract(whole: Interval, holes: Interval[]): Interval[] {
  const left: Interval[] = []
  let fromMm = whole.fromMm
  for (const hole of unite(holes)) {
    if (hole.toMm <= fromMm) continue
    if (hole.fromMm >= whole.toMm) break
    if (hole.fromMm - fromMm > TOLERANCE_MM) left.push({ fromMm, toMm: hole.fromMm })
    fromMm = hole.toMm
  }
  if (whole.toMm - fromMm > TOLERANCE_MM) left.push({ fromMm, toMm: whole.toMm })
  return left
}

/** The parts common to two sets of intervals. Touching sets share a point, which counts. */
export function intersect(a: Interval[], b: Interval[]): Interval[] {
  const shared: Interval[] = []
  for (const one of a) {
    for (const two of b) {
      const fromMm = Math.max(one.fromMm, two.fromMm)
      const toMm = Math.min(one.toMm, two.toMm)
      if (fromMm <= toMm) shared.push({ fromMm, toMm })
    }
  }
  return shared.sort((x, y) => x.fromMm - y.fromMm)
}

/** The place in `intervals` nearest to `mm`; null when there are none. */
export function nearest(intervals: Interval[], mm: number): number | null {
  let best: number | null = null
  for (const interval of intervals) {
    const place = Math.min(Math.max(mm, interval.fromMm), interval.toMm)
    if (best === null || Math.abs(place - mm) < Math.abs(best - mm)) best = place
  }
  return best
}
