import { type Interval, middleOf, spanOf, subtract } from '../geometry'
import type { ColumnRule } from '../job'
import { FIT_TOLERANCE_MM, modulesThatFit, runLength } from './size'

/** A run of neighbouring modules: what one pair of rails carries. */
export interface Block {
  count: number
  leftMm: number
  rightMm: number
  /** The stretch of the strip it stands in; null when there is none. */
  free: Interval | null
  fits: boolean
  moduleLeftsMm: number[]
}

/** A run before it is placed; after so many of its modules an expansion break widens the gap. */
export interface Run { free: Interval | null, count: number, breaks: number[] }

/**
 * Shares a row's modules out over the stretches of its strip: as many as each holds, or a held number, the widest stretch
 * first. What is held beyond what fits goes to the widest, so that a finding can say so.
 */
export function blocksOf(free: Interval[], fills: number, held: number | null, widthMm: number, gapMm: number): Omit<Run, 'breaks'>[] {
  const runs = free.map(interval => ({ free: interval as Interval | null, count: modulesThatFit(spanOf(interval), widthMm, gapMm) })).filter(run => run.count > 0)
  if (held === null) return runs
  if (!runs.length) return [{ free: free.length ? free.reduce((a, b) => spanOf(b) > spanOf(a) ? b : a) : null, count: held }]
  let left = held
  const widestFirst = [...runs].sort((a, b) => b.count - a.count)
  const taken = new Map(widestFirst.map((run) => {
    const count = Math.min(left, run.count)
    left -= count
    return [run, count]
  }))
  const [widest] = widestFirst
  return runs.map(run => ({ free: run.free, count: taken.get(run)! + (run === widest && held > fills ? left : 0) })).filter(run => run.count > 0)
}

/** What an expansion break leaves between the ends of two rails, mm (common practice). */
const EXPANSION_MM = 20

/** How much wider than the columns' gap the gap at an expansion break is, mm: both rails end past their modules and keep clear of each other. */
export const breakWidens = (columnGapMm: number, railPastMm: number): number => Math.max(0, 2 * railPastMm + EXPANSION_MM - columnGapMm)

/**
 * Parts runs where a row is broken for expansion. A run that the wider gaps leave no room for gives up modules, unless their
 * number was asked for.
 * @param places after which the row is broken, counted from the left over all runs, 1 first
 */
export function parted(runs: Omit<Run, 'breaks'>[], places: number[], widensMm: number, widthMm: number, gapMm: number, asked: boolean): Run[] {
  let before = 0
  return runs.map(({ free, count }) => {
    const inside = (n: number) => places.map(place => place - before).filter(place => place > 0 && place < n).sort((a, b) => a - b)
    let n = count
    while (!asked && free && n > 1 && runLength(n, widthMm, gapMm) + inside(n).length * widensMm > spanOf(free) + FIT_TOLERANCE_MM) n--
    const run = { free, count: n, breaks: inside(n) }
    before += n
    return run
  })
}

/** Length of a run with its breaks, mm. */
export const lengthOfRun = ({ count, breaks }: Run, widthMm: number, gapMm: number, widensMm: number): number => runLength(count, widthMm, gapMm) + breaks.length * widensMm

/** How the runs of a row are placed along it. */
export interface Placing { widensMm: number, columns: ColumnRule, odd: boolean, originMm: number, shiftMm: number, widthMm: number, gapMm: number, skip: number[], held: number[], strip: Interval[] }

/** Stretches that are left beside modules held in their place. */
export const besideHeld = (strip: Interval[], held: number[], widthMm: number, gapMm: number): Interval[] =>
  held.length ? strip.flatMap(one => subtract(one, held.map(leftMm => ({ fromMm: leftMm - gapMm, toMm: leftMm + widthMm + gapMm })))) : strip

/**
 * Places a row's runs among its held modules and takes out the modules at skipped places, which parts a run in two. Places are
 * counted from the left over all modules of the row; a held one is never skipped.
 */
export function placeBlocks(runs: Run[], placing: Placing): Block[] {
  const { widthMm, gapMm, skip, held, strip, widensMm } = placing
  const pitchMm = widthMm + gapMm
  const free = (leftMm: number): Interval | null => strip.find(one => leftMm >= one.fromMm - FIT_TOLERANCE_MM && leftMm + widthMm <= one.toMm + FIT_TOLERANCE_MM) ?? null
  const modules = [
    ...runs.flatMap((run) => {
      const leftMm = runLeft(run, placing) + placing.shiftMm
      return Array.from({ length: run.count }, (_, i) => ({ leftMm: leftMm + i * pitchMm + run.breaks.filter(place => place <= i).length * widensMm, held: false, free: run.free }))
    }),
    ...held.map(leftMm => ({ leftMm, held: true, free: free(leftMm) })),
  ].sort((a, b) => a.leftMm - b.leftMm).filter((module, i) => module.held || !skip.includes(i + 1))
  const groups: typeof modules[] = []
  for (const module of modules) {
    const last = groups.at(-1)?.at(-1)
    if (last && Math.abs(module.leftMm - last.leftMm - pitchMm) < FIT_TOLERANCE_MM) groups.at(-1)!.push(module)
    else groups.push([module])
  }
  return groups.map((group): Block => {
    const moduleLeftsMm = group.map(module => module.leftMm)
    const [first, last] = [moduleLeftsMm[0]!, moduleLeftsMm.at(-1)! + widthMm]
    const whole = strip.find(one => first >= one.fromMm - FIT_TOLERANCE_MM && last <= one.toMm + FIT_TOLERANCE_MM) ?? null
    return { count: group.length, leftMm: first, rightMm: last, free: whole ?? group[0]!.free, moduleLeftsMm, fits: whole !== null }
  })
}

/** Where a run begins: on the array's columns where its stretch holds it there, else in the middle of its own stretch, as beside a hip. */
function runLeft(run: Run, { columns, odd, originMm, widthMm, gapMm, widensMm }: Placing): number {
  const { free } = run
  const length = lengthOfRun(run, widthMm, gapMm, widensMm)
  const pitchMm = widthMm + gapMm
  const start = originMm + (columns === 'brick' && odd ? pitchMm / 2 : 0)
  if (!free || length > spanOf(free) + FIT_TOLERANCE_MM) return start
  if (columns === 'free') return middleOf(free) - length / 2
  const first = Math.ceil((free.fromMm - start - FIT_TOLERANCE_MM) / pitchMm)
  const last = Math.floor((free.toMm - length - start + FIT_TOLERANCE_MM) / pitchMm)
  return first <= last ? start + Math.min(Math.max(0, first), last) * pitchMm : middleOf(free) - length / 2
}
