import type { InRoof } from '../catalogue'
import { columnsOf, columnStart, type Course } from '../coverings'
import { type Interval, unite } from '../geometry'
import type { ArrayPart } from './cells'
import { courseAbove, courseBelow, HALF_MM, type Laid, SNUG_MM } from './edges'

/** What becomes of the covering's units where an array takes their place. */
export interface TileCount {
  /** Wholly in the array's ground: never laid, or taken off for good. */
  saved: number
  /** Cut at its sides, each from a whole one. */
  cut: number
  /** Of those, cut to less than half. */
  slivers: number
  /** Ground they leave, m². */
  areaM2: number
  /** By course, for the sheet: the stretch left open, and what is cut beside it. */
  courses: { number: number, gaps: Interval[], saved: number, cut: number }[]
}

/** Where each course is left open, mm along the eave: from the course above the last one below the array to the one below the first above it. */
function openings(parts: ArrayPart[], system: InRoof, laid: Laid): (course: Course) => Interval[] {
  const half = Math.max(system.side.gapMm, system.columnGapMm / 2)
  const stacks = parts.flatMap(columnRuns).map(({ leftMm, rightMm, bottomMm, topMm }) => ({
    gap: { fromMm: leftMm - half, toMm: rightMm + half },
    bottomMm,
    topMm,
    below: courseBelow(system, laid, bottomMm),
    above: courseAbove(system, laid, topMm),
  }))
  return course =>
    unite(
      stacks.flatMap(({ gap, bottomMm, topMm, below, above }) => {
        const low = below ? course.number > below.number : course.fromMm >= bottomMm - system.bottom.downMm
        const high = above ? course.number < above.number : course.fromMm < topMm
        return low && high ? [gap] : []
      }),
    )
}

/** Modules one above another without a break. */
function columnRuns({ cells }: ArrayPart): { leftMm: number, rightMm: number, bottomMm: number, topMm: number }[] {
  const sorted = [...cells].sort((a, b) => a.column - b.column || a.row - b.row)
  const runs: { column: number, row: number, leftMm: number, rightMm: number, bottomMm: number, topMm: number }[] = []
  for (const { column, row, leftMm, rightMm, bottomMm, topMm } of sorted) {
    const last = runs.at(-1)
    if (last && last.column === column && last.row === row - 1) Object.assign(last, { row, topMm })
    else runs.push({ column, row, leftMm, rightMm, bottomMm, topMm })
  }
  return runs
}

/** Units that the array saves, and those cut beside it; null where the covering is not laid to columns. */
export function tilesOf(parts: ArrayPart[], system: InRoof, laid: Laid): TileCount | null {
  const columns = columnsOf(laid.covering)
  if (!columns) return null
  const { widthMm } = columns
  const openIn = openings(parts, system, laid)
  const courses = laid.courses.flatMap((course) => {
    const gaps = openIn(course)
    if (!gaps.length) return []
    const startMm = columnStart(columns, course.number)
    let [saved, cut, slivers, areaMm2] = [0, 0, 0, 0]
    for (const { fromMm, toMm } of gaps) {
      areaMm2 += (toMm - fromMm) * (course.toMm - course.fromMm)
      const first = Math.ceil((fromMm - startMm - SNUG_MM) / widthMm)
      const last = Math.floor((toMm - startMm + SNUG_MM) / widthMm)
      saved += Math.max(0, last - first)
      for (const kept of [
        startMm + first * widthMm - fromMm > SNUG_MM ? fromMm - startMm - (first - 1) * widthMm : 0,
        toMm - startMm - last * widthMm > SNUG_MM ? startMm + (last + 1) * widthMm - toMm : 0,
      ]) {
        if (kept <= 0) continue
        cut++
        if (kept < widthMm / 2 - HALF_MM) slivers++
      }
    }
    return [{ number: course.number, gaps, saved, cut, slivers, areaMm2 }]
  })
  const sum = (of: (one: (typeof courses)[number]) => number) => courses.reduce((total, one) => total + of(one), 0)
  return {
    saved: sum(one => one.saved),
    cut: sum(one => one.cut),
    slivers: sum(one => one.slivers),
    areaM2: sum(one => one.areaMm2) / 1e6,
    courses: courses.map(({ number, gaps, saved, cut }) => ({ number, gaps, saved, cut })),
  }
}
