import { bottomHeights, courseAbove, courseBelow, type Laid, topHeights } from './edges'
import { leftsOver } from './lefts'
import type { InRoof } from '../catalogue'
import type { Course } from '../coverings'
import { bounds, contains, type Interval } from '../geometry'
import type { SetOutQuestion } from './question'

/** Rows that a mask holds. */
const MASK_ROWS = 20

export const TOLERANCE_MM = 1e-3

export interface Height {
  bottomMm: number
  lefts: Interval[][]
  begins: number
  ends: number
  /** Of each row, as places in the list of courses: the last laid below it and the first above where there are such, and those beside it. */
  courses: RowCourses[]
  most: number
}

export interface RowCourses {
  below: number
  above: number
  first: number
  last: number
}

export const coursesKey = ({ courses }: Height): string => courses.map(one => `${one.below} ${one.above} ${one.first} ${one.last}`).join()

/** The same for heights at which the very same places along the eave, edges and courses are found. */
export const signature = (height: Height): string =>
  `${height.begins} ${height.ends} ${coursesKey(height)} ${height.lefts.map(row => row.map(one => `${one.fromMm.toFixed(3)} ${one.toMm.toFixed(3)}`).join()).join(';')}`

/** Every height that is worth a trial: on whole mm, and where an edge or the strip meets something, mm. */
export function heightsOf({ ground, system, laid, mostRows, bottomMm, fromMm, toMm }: SetOutQuestion, pitchYMm: number): Height[] {
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
