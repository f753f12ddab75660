import type { Feet } from '../../job'
import { type FeetLimits, type Foot, planeAt, reachOf, type Stack, stacks } from './foot'
import { levelToPlane } from './shims'
import { levelByLeastSteps } from './steps'

/** One foot as it is to be set. */
export interface FootSet {
  id: string
  /** Seat above the covering with what lies under the foot, mm. */
  seatMm: number
  /** The foot itself, without its shims, mm: what a rule reads. */
  setMm: number
  shims: Stack
  /** From the middle of its travel, mm; below nought down. */
  byMm: number
  /** No setting and no shim there is brings it to the plane. */
  out: boolean
}

/** How the feet of one plane, or one string, are set. */
export interface Levelling {
  how: 'plane' | 'shims' | 'steps'
  feet: FootSet[]
  /** Ends of each line, set first, and the rest brought to a string between them; or all feet in the order in which they are lowered. */
  order: string[]
  reserveMm: number
  pieces: number
  /** Largest step between neighbours and sharpest bend where there is no plane, mm. */
  stepMm: number
  bendMm: number
  /** Fewest and thinnest shims; or, where there are steps, that there is no plane. */
  proved: boolean
}

const NONE: Stack = { mm: 0, sizes: [] }
const allStacks = (limits: FeetLimits): Stack[] => Array.from({ length: limits.mostShims + 1 }, (_, k) => stacks(limits, k)).flat()

/** Fewest shims, then thinnest, that bring a foot to a seat; null where nothing does. */
function stackFor(limits: FeetLimits, seatMm: number): Stack | null {
  const fit = allStacks(limits).filter(({ mm }) => seatMm >= reachOf(limits, mm).fromMm - 1e-3 && seatMm <= reachOf(limits, mm).toMm + 1e-3)
  return fit.sort((a, b) => a.sizes.length - b.sizes.length || a.mm - b.mm)[0] ?? null
}

/** Sets the feet that were read: a plane without shims, else with the fewest and thinnest, else with the least steps. */
export function level(feet: Foot[], limits: Feet): Levelling {
  const { found, none } = levelToPlane(feet, limits)
  const middleMm = (limits.lowestMm + limits.highestMm) / 2
  const setTo = (foot: Foot, seatMm: number, shims: Stack | null): FootSet => {
    const setMm = seatMm - (shims?.mm ?? 0)
    return { id: foot.id, seatMm, setMm, shims: shims ?? NONE, byMm: setMm - middleMm, out: shims === null }
  }
  if (found) {
    const own = feet.map((foot, i) => setTo(foot, planeAt(found.plane, foot) - foot.roofMm, found.stacks[i]!))
    return { how: found.pieces ? 'shims' : 'plane', feet: own, order: orderOf(feet, own, limits), reserveMm: found.reserveMm, pieces: found.pieces, stepMm: 0, bendMm: 0, proved: found.proved }
  }
  const stepped = levelByLeastSteps(feet, limits)
  const own = feet.map((foot, i) => setTo(foot, stepped.seatsMm[i]! - foot.roofMm, stackFor(limits, stepped.seatsMm[i]! - foot.roofMm)))
  return { how: 'steps', feet: own, order: orderOf(feet, own, limits), reserveMm: 0, pieces: own.reduce((n, one) => n + one.shims.sizes.length, 0), stepMm: stepped.stepMm, bendMm: stepped.bendMm, proved: none }
}

/** The string school sets each line's ends first; the other sends all feet up and lowers those first that have farthest to go. */
function orderOf(feet: Foot[], set: FootSet[], { school, highestMm }: Feet): string[] {
  const lines = [...new Set(feet.map(foot => foot.line))].map(line => feet.map((foot, i) => ({ foot, set: set[i]! })).filter(one => one.foot.line === line).sort((a, b) => a.foot.xMm - b.foot.xMm || a.foot.yMm - b.foot.yMm))
  return lines.flatMap(own => school === 'top'
    ? [...own].sort((a, b) => (highestMm - b.set.setMm) - (highestMm - a.set.setMm)).map(one => one.foot.id)
    : [...new Set([own[0]!, own.at(-1)!, ...own].map(one => one.foot.id))])
}
