import { chosen, type Columns, cornersOf, countOf, rectangleOf } from './choose'
import type { SetOut, SetOutQuestion } from './question'
import { aligned, cutsOf, folded } from './cuts'
import { coursesKey, type Height, heightsOf, signature, TOLERANCE_MM } from './heights'

/** More is not worked out for one answer: places of modules, and the cuts beside them. */
const MOST_WORKED = 250_000

/**
 * Sets modules out on the whole-course origin that holds the most; of those, the one with the fewest units cut to less than half, then the
 * fewest cut at all, then the fewest corners, then nearest to the middle of its strip, then the lowest. Null where none fits.
 */
export function setOut(question: SetOutQuestion): SetOut | null {
  const { ground, system, leftMm } = question
  const pitchXMm = ground.widthMm + system.columnGapMm
  const pitchYMm = ground.heightMm + system.rowGapMm
  const heights = heightsOf(question, pitchYMm).sort((a, b) => b.most - a.most || a.bottomMm - b.bottomMm)
  const middleMm = middleOf(heights)
  let [tried, worked] = [0, 0]
  let best = null as { key: number[], height: Height, leftMm: number, cells: Columns } | null
  let cut = false
  // Which of two stacks that meet at a corner is left out is a rule, and not proved to be the best.
  let mostBefore = 0
  const known = new Map<string, Map<number, number>>()
  const cellsAt = (height: Height, fromMm: number): Columns => {
    const fits: Columns = new Map()
    height.lefts.forEach((row, r) =>
      row.forEach(({ fromMm: low, toMm: high }) => {
        for (let c = Math.ceil((low - fromMm - TOLERANCE_MM) / pitchXMm); c <= Math.floor((high - fromMm + TOLERANCE_MM) / pitchXMm); c++)
          fits.set(c, (fits.get(c) ?? 0) | (1 << r))
      }),
    )
    const rows = height.lefts.length
    if (!system.innerCorners) return rectangleOf(fits, rows, height.begins, height.ends)
    const flags = `${height.begins} ${height.ends}`
    let own = known.get(flags)
    if (!own) known.set(flags, (own = new Map()))
    const { cells, before } = chosen(fits, rows, height.begins, height.ends, own)
    mostBefore = Math.max(mostBefore, before)
    return cells
  }

  // First how many there can be at all, since that needs few places along the eave.
  let mostCount = 0
  const counts = new Map<string, number>()
  for (const height of heights) {
    if (height.most < mostCount || height.most === 0) break
    if (worked > MOST_WORKED) {
      cut = true
      break
    }
    const key = signature(height)
    if (counts.has(key)) continue
    let own = 0
    const ends = leftMm === null ? critical(height, pitchXMm) : [leftMm]
    for (const place of leftMm === null ? [...ends, ...ends.map((mm, i) => (mm + (ends[i + 1] ?? ends[0]! + pitchXMm)) / 2)] : ends) {
      tried++
      worked++
      own = Math.max(own, countOf(cellsAt(height, place)))
    }
    counts.set(key, own)
    mostCount = Math.max(mostCount, own)
  }
  if (mostCount === 0) return null

  const seen = new Set<string>()
  const joints = leftMm === null ? aligned(question, heights, pitchXMm) : []
  // What a place cuts is the same for all heights at which the same places carry modules beside the same courses.
  const graded = new Map<string, Graded[]>()
  const gradesOf = (height: Height, cells: Columns, wrapMm: number): Graded[] => {
    const key = `${wrapMm} ${[...cells].join(';')} ${coursesKey(height)}`
    let own = graded.get(key)
    if (!own) {
      worked += joints.length
      graded.set(key, (own = joints.map(mm => ({ mm: mm + wrapMm, ...cutsOf(question, height, mm + wrapMm, cells, pitchXMm) }))))
    }
    return own
  }
  const judge = (height: Height, cells: Columns, corners: number, { mm, slivers, cuts }: Graded) => {
    tried++
    const own = [slivers, cuts, corners, Math.round(Math.abs(middleAt(cells, mm, pitchXMm) - middleMm)), height.bottomMm]
    if (!best || lower(own, best.key)) best = { key: own, height, leftMm: mm, cells }
  }
  const judgeAt = (height: Height, cells: Columns, places: number[]) => {
    worked += places.length
    const corners = cornersOf(cells, height.lefts.length)
    for (const mm of places) judge(height, cells, corners, { mm, ...cutsOf(question, height, mm, cells, pitchXMm) })
    return corners
  }
  // Where not all can be tried, those that are lie all over the face.
  for (const height of spread(heights)) {
    const key = signature(height)
    if (counts.get(key) !== mostCount || seen.has(key)) continue
    seen.add(key)
    if (worked > MOST_WORKED) {
      cut = true
      break
    }
    if (leftMm !== null) {
      judgeAt(height, cellsAt(height, leftMm), [leftMm])
      continue
    }
    // Between two places at which some row gains or loses a module all carry the same ones: only the cuts differ.
    const ends = critical(height, pitchXMm)
    for (const [i, place] of ends.entries()) {
      const at = cellsAt(height, place)
      if (countOf(at) === mostCount) judgeAt(height, at, [place])
      const nextMm = ends[i + 1] ?? ends[0]! + pitchXMm
      const between = cellsAt(height, (place + nextMm) / 2)
      worked += 2
      if (countOf(between) !== mostCount) continue
      // Whole millimetres where there is one between them: nobody reads halves off a tape.
      const whole = [Math.round((place + nextMm) / 2), Math.ceil(place), Math.floor(nextMm)].filter(mm => mm > place && mm < nextMm)
      const corners = judgeAt(height, between, whole.length ? whole : [(place + nextMm) / 2])
      for (const wrapMm of nextMm > pitchXMm ? [0, pitchXMm] : [0])
        for (const one of gradesOf(height, between, wrapMm)) if (one.mm > place && one.mm < nextMm) judge(height, between, corners, one)
    }
  }
  if (!best) return null
  // Columns are counted from the first that carries a module.
  const first = Math.min(...best.cells.keys())
  const cells: Columns = new Map([...best.cells].sort((a, b) => a[0] - b[0]).map(([column, mask]) => [column - first, mask]))
  const [slivers, cuts, corners] = best.key as [number, number, number]
  return {
    leftMm: best.leftMm + first * pitchXMm,
    bottomMm: best.height.bottomMm,
    pitchXMm,
    pitchYMm,
    rows: best.height.lefts.length,
    cells,
    count: mostCount,
    cuts,
    slivers,
    corners,
    proved: !cut && mostBefore <= mostCount,
    tried,
  }
}

/** The same in an order in which any first part of it lies spread over the whole. */
const spread = <T>(items: T[]): T[] =>
  items
    .map((one, i) => ({ one, at: (i * 0.6180339887498949) % 1 }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one)

const lower = (a: number[], b: number[]): boolean => {
  const at = a.findIndex((n, i) => Math.abs(n - b[i]!) > 1e-9)
  return at >= 0 && a[at]! < b[at]!
}

/** A place of the grid with what it cuts. */
interface Graded {
  mm: number
  cuts: number
  slivers: number
}

const middleOf = (heights: Height[]): number => {
  const all = heights.flatMap(one => one.lefts.flat())
  return all.length ? (all.reduce((least, one) => Math.min(least, one.fromMm), Infinity) + all.reduce((most, one) => Math.max(most, one.toMm), -Infinity)) / 2 : 0
}

/** Middle of the array as the place of a module's left edge. */
const middleAt = (cells: Columns, leftMm: number, pitchXMm: number): number => leftMm + ((Math.min(...cells.keys()) + Math.max(...cells.keys())) / 2) * pitchXMm

/** Places of the grid at which some row gains or loses a module, from the left. */
const critical = ({ lefts }: Height, pitchXMm: number): number[] =>
  [
    ...new Set(
      lefts
        .flat()
        .flatMap(({ fromMm, toMm }) => [fromMm, toMm])
        .map(mm => Math.round(folded(mm, pitchXMm) * 1000) / 1000),
    ),
  ].sort((a, b) => a - b)
