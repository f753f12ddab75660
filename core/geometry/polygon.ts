import { FillRule, type PathsD, areaPathsD, differenceD, intersectD, unionD } from 'clipper2-ts'
import type { Interval } from './interval'

/** A point in the face's plane, mm. */
export interface Point { x: number, y: number }
/** A closed ring of points; outer rings run anticlockwise, holes clockwise. */
export type Ring = Point[]
/** One or more rings, with holes told by their direction. */
export type Region = Ring[]

/** Clipper works on whole numbers; four decimals keep results within 0.0001 mm of exact. */
const DECIMALS = 4

/** What is thinner than this is left over from rounding, as between a strip and the askew edge it lies along, mm. */
const SLIVER_MM = 0.01

const toPaths = (region: Region): PathsD => region.map(ring => ring.map(({ x, y }) => ({ x, y })))
const toRegion = (paths: PathsD): Region => paths.filter(path => !isSliver(path)).map(path => path.map(({ x, y }) => ({ x, y })))

/** Whether a ring is no wider than rounding, taken over its length. */
function isSliver(ring: Ring): boolean {
  const around = ring.reduce((sum, from, i) => {
    const to = ring[(i + 1) % ring.length]!
    return sum + Math.hypot(to.x - from.x, to.y - from.y)
  }, 0)
  return Math.abs(areaPathsD([ring])) <= SLIVER_MM * around / 2
}

/** `region` without `cut`. */
export const without = (region: Region, cut: Region): Region =>
  toRegion(differenceD(toPaths(region), toPaths(cut), FillRule.NonZero, DECIMALS))

/** The part common to two regions. */
export const common = (a: Region, b: Region): Region =>
  toRegion(intersectD(toPaths(a), toPaths(b), FillRule.NonZero, DECIMALS))

/** Everything that lies in any of the regions. */
export const together = (regions: Region[]): Region =>
  toRegion(unionD(toPaths(regions.flat()), [], FillRule.NonZero, DECIMALS))

/** Area in square mm, holes taken off. */
export const areaMm2 = (region: Region): number => Math.abs(areaPathsD(toPaths(region)))

/** An upright rectangle as a region. */
export const rectangle = (along: Interval, up: Interval): Region => [[
  { x: along.fromMm, y: up.fromMm }, { x: along.toMm, y: up.fromMm },
  { x: along.toMm, y: up.toMm }, { x: along.fromMm, y: up.toMm },
]]

/** Least upright rectangle round a region; null for an empty one. */
export function bounds(region: Region): { along: Interval, up: Interval } | null {
  const along = { fromMm: Infinity, toMm: -Infinity }
  const up = { fromMm: Infinity, toMm: -Infinity }
  // Plain loops: rows are sought at hundreds of heights, each of which asks.
  for (const ring of region) {
    for (const { x, y } of ring) {
      along.fromMm = Math.min(along.fromMm, x)
      along.toMm = Math.max(along.toMm, x)
      up.fromMm = Math.min(up.fromMm, y)
      up.toMm = Math.max(up.toMm, y)
    }
  }
  return along.fromMm === Infinity ? null : { along, up }
}
