import { chosen, type Columns, cornersOf, countOf, rectangleOf } from './choose'
import { bottomHeights, courseAbove, courseBelow, HALF_MM, keptOfUnit, type Laid, SNUG_MM, topHeights } from './edges'
import { type Ground, leftsOver } from './lefts'
import type { InRoof } from '../catalogue'
import { columnsOf, columnStart, type Course } from '../coverings'
import { bounds, contains, type Interval } from '../geometry'

/** What a set-out is asked for: modules of one size on one grid. */
export interface SetOutQuestion {
  ground: Ground
  system: InRoof
  laid: Laid
  mostRows: number
  /** Typed by somebody, mm on the face; null is solved. */
  leftMm: number | null
  bottomMm: number | null
  /** The lowest row begins between these, mm. */
  fromMm: number
  toMm: number
}

/** Modules on one grid. */
export interface SetOut {
  leftMm: number
  bottomMm: number
  pitchXMm: number
  pitchYMm: number
  rows: number
  cells: Columns
  count: number
  /** Units cut beside the array, and those of which less than half is left. */
  cuts: number
  slivers: number
  corners: number
  /** True when every height on whole millimetres that courses allow, and every place along it at which anything can change, was tried, and none held more even with modules that meet at a corner only. */
  proved: boolean
  tried: number
}

/** More is not worked out for one answer: places of modules, and the cuts beside them. */
const MOST_WORKED = 250_000
/** Rows that a mask holds. */
const MASK_ROWS = 20
const TOLERANCE_MM = 1e-3

interface Height {
  bottomMm: number
  lefts: Interval[][]
  begins: number
  ends: number
  /** Of each row, as places in the list of courses: the last laid below it and the first above where there are such, and those beside it. */ courses: RowCourses[]
  most: number
}
interface RowCourses {
  below: number
  above: number
  first: number
  last: number
}

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

const coursesKey = ({ courses }: Height): string => courses.map(one => `${one.below} ${one.above} ${one.first} ${one.last}`).join()

/** The same for heights at which the very same places along the eave, edges and courses are found. */
const signature = (height: Height): string =>
  `${height.begins} ${height.ends} ${coursesKey(height)} ${height.lefts.map(row => row.map(one => `${one.fromMm.toFixed(3)} ${one.toMm.toFixed(3)}`).join()).join(';')}`

/** Every height that is worth a trial: on whole mm, and where an edge or the strip meets something, mm. */
function heightsOf({ ground, system, laid, mostRows, bottomMm, fromMm, toMm }: SetOutQuestion, pitchYMm: number): Height[] {
  const box = bounds(ground.region)
  if (!box) return []
  const lefts = leftsOver(ground)
  const [bottoms, tops] = [bottomHeights(system, laid), topHeights(system, laid)]
  const lowMm = Math.max(box.up.fromMm, fromMm)
  const highMm = box.up.toMm - ground.heightMm
  const own: number[] = []
  if (bottomMm !== null) own.push(bottomMm)
  else {
    for (const one of bottoms) {
      const [from, to] = [Math.max(one.fromMm, lowMm), Math.min(one.toMm, highMm, toMm)]
      for (let mm = Math.ceil(from); mm <= to; mm++) own.push(mm)
      if (to >= from) own.push(from, to)
    }
    const rows = Array.from({ length: mostRows }, (_, r) => r * pitchYMm)
    for (const upMm of rows) {
      for (const mm of lefts.events) own.push(mm - upMm)
      for (const one of tops) own.push(one.fromMm - upMm - ground.heightMm, one.toMm - upMm - ground.heightMm)
    }
  }
  const inside = (list: Interval[], mm: number) => list.some(one => contains(one, mm))
  const tried = new Set<number>()
  return own.flatMap((mm): Height[] => {
    const key = Math.round(mm * 1000)
    // A height that somebody typed stands, whatever it meets: findings say so.
    if (tried.has(key) || (bottomMm === null && (mm < lowMm - 1e-6 || mm > Math.min(highMm, toMm) + 1e-6 || !inside(bottoms, mm)))) return []
    tried.add(key)
    const height: Height = { bottomMm: mm, lefts: [], begins: 0, ends: 0, courses: [], most: 0 }
    for (let r = 0; r < Math.min(mostRows, MASK_ROWS); r++) {
      const rowMm = mm + r * pitchYMm
      if (rowMm > highMm + 1e-6) break
      const places = lefts.at(rowMm)
      height.lefts.push(places)
      if (bottomMm !== null || inside(bottoms, rowMm)) height.begins |= 1 << r
      if (bottomMm !== null || inside(tops, rowMm + ground.heightMm)) height.ends |= 1 << r
      height.courses.push(coursesOfRow(system, laid, rowMm, rowMm + ground.heightMm))
      height.most += places.reduce((n, one) => n + Math.floor((one.toMm - one.fromMm + TOLERANCE_MM) / (ground.widthMm + system.columnGapMm)) + 1, 0)
    }
    return height.most ? [height] : []
  })
}

/** The courses that a row meets, as places in the list; -1 below or above where no course lies as it should. */
function coursesOfRow(system: InRoof, laid: Laid, fromMm: number, toMm: number): RowCourses {
  const { courses } = laid
  const first = courses.findIndex(one => one.toMm > fromMm + 1e-6)
  const past = courses.findIndex(one => one.fromMm >= toMm - 1e-6)
  const place = (one: Course | null) => (one ? courses.indexOf(one) : -1)
  return {
    below: place(courseBelow(system, laid, fromMm)),
    above: place(courseAbove(system, laid, toMm)),
    first: first < 0 ? courses.length : first,
    last: (past < 0 ? courses.length : past) - 1,
  }
}

const middleOf = (heights: Height[]): number => {
  const all = heights.flatMap(one => one.lefts.flat())
  return all.length ? (all.reduce((least, one) => Math.min(least, one.fromMm), Infinity) + all.reduce((most, one) => Math.max(most, one.toMm), -Infinity)) / 2 : 0
}
/** Middle of the array as the place of a module's left edge. */
const middleAt = (cells: Columns, leftMm: number, pitchXMm: number): number => leftMm + ((Math.min(...cells.keys()) + Math.max(...cells.keys())) / 2) * pitchXMm

const folded = (mm: number, pitchMm: number): number => mm - Math.floor(mm / pitchMm) * pitchMm

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

/** Places of the grid at which an edge of some column comes to a joint of the units, or to the middle of one, or leaves what still counts as either. */
function aligned({ ground, system, laid }: SetOutQuestion, heights: Height[], pitchXMm: number): number[] {
  const columns = columnsOf(laid.covering)
  const all = heights.flatMap(one => one.lefts.flat())
  if (!columns || !all.length) return []
  const [lowMm, highMm] = [all.reduce((least, one) => Math.min(least, one.fromMm), Infinity), all.reduce((most, one) => Math.max(most, one.toMm), -Infinity)]
  const half = columns.widthMm / 2
  const beyondMm = Math.max(system.side.gapMm, system.columnGapMm / 2)
  const found = new Set<number>()
  for (const offsetMm of [-beyondMm, ground.widthMm + beyondMm]) {
    const startMm = columnStart(columns, 2)
    for (let k = Math.ceil((lowMm + offsetMm - startMm) / half); startMm + k * half - offsetMm <= highMm; k++) {
      const place = startMm + k * half - offsetMm
      // On whole mm, each just inside what it stands for.
      for (const mm of [Math.round(place), Math.ceil(place - SNUG_MM), Math.floor(place + SNUG_MM), Math.ceil(place - HALF_MM), Math.floor(place + HALF_MM)])
        found.add(Math.round(folded(mm, pitchXMm) * 1000) / 1000)
    }
  }
  return [...found]
}

/** Units that are cut along the array's sides: on every straight run of side, in the courses that are open on the one hand of it and laid on the other. */
function cutsOf({ ground, system, laid }: SetOutQuestion, { courses }: Height, leftMm: number, cells: Columns, pitchXMm: number): { cuts: number, slivers: number } {
  const widthMm = columnsOf(laid.covering)?.widthMm
  if (!widthMm) return { cuts: 0, slivers: 0 }
  const beyondMm = Math.max(system.side.gapMm, system.columnGapMm / 2)
  let [cuts, slivers] = [0, 0]
  for (const [column, mask] of cells) {
    for (const side of ['left', 'right'] as const) {
      const open = mask & ~(cells.get(column + (side === 'left' ? -1 : 1)) ?? 0)
      if (!open) continue
      const edgeMm = leftMm + column * pitchXMm + (side === 'left' ? -beyondMm : ground.widthMm + beyondMm)
      const kept = [0, 1].map(parity => keptOfUnit(laid.covering, parity, edgeMm, side))
      for (let low = 0; open >> low; low++) {
        if (!((open >> low) & 1)) continue
        let high = low
        while ((open >> (high + 1)) & 1) high++
        // A side that stands on a wider row begins with the first course laid over that one; likewise at its upper end.
        const [bottom, top] = [courses[low]!, courses[high]!]
        const from = (mask >> (low - 1)) & 1 && low > 0 ? orElse(courses[low - 1]!.above, bottom.first) : orElse(bottom.below, bottom.first - 1) + 1
        const to = (mask >> (high + 1)) & 1 ? orElse(courses[high + 1]!.below, top.last) : orElse(top.above, top.last + 1) - 1
        for (let at = from; at <= to; at++) {
          const mm = kept[laid.courses[at]!.number % 2]!
          if (mm === 0) continue
          cuts++
          if (mm < widthMm / 2 - HALF_MM) slivers++
        }
        low = high
      }
    }
  }
  return { cuts, slivers }
}

const orElse = (place: number, other: number): number => (place < 0 ? other : place)
