import { FillRule, type PathsD, areaPathsD, differenceD, intersectD, unionD } from 'clipper2-ts'
import type { Region, Ring } from './point'

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
