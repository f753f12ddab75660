import { type FeetLimits, type Foot, planeAt, reachOf, type SeatPlane, stacks, type Stack, type Stretch } from './foot'
import { fitPlane } from './plane'

/** How feet are set to one plane. */
export interface Levelled {
  plane: SeatPlane
  /** Every foot keeps so far from the ends of its travel, mm. */
  reserveMm: number
  /** Shims under each foot; none under most. */
  stacks: Stack[]
  pieces: number
  thicknessMm: number
  /** No plane inside all travel takes fewer shims, nor as few that are thinner together. */
  proved: boolean
}

const NONE: Stack = { mm: 0, sizes: [] }
/** A plane inside all travel within this, mm. */
const INSIDE_MM = 1e-6
/** Planes tried in one search. */
const MOST_PLANES = 2500

/** Where a seat may be with so many shims, of any size that is there: with travel longer than the steps between sizes, all of it. */
function hullOf(limits: FeetLimits, pieces: number): Stretch | null {
  const all = pieces ? stacks(limits, pieces).map(one => reachOf(limits, one.mm)).filter(one => one.toMm >= one.fromMm) : [reachOf(limits, 0)]
  return all.length ? { fromMm: Math.min(...all.map(one => one.fromMm)), toMm: Math.max(...all.map(one => one.toMm)) } : null
}

/** Whether some thickness can't be had though a thinner and a thicker can: steps between sizes longer than the travel. What is then found is not said to be the fewest. */
function hasGaps(limits: FeetLimits): boolean {
  const travelMm = reachOf(limits, 0).toMm - limits.lowestMm
  return Array.from({ length: limits.mostShims }, (_, k) => stacks(limits, k + 1)).some(own => own.slice(1).some((one, i) => one.mm - own[i]!.mm > travelMm))
}

/**
 * Sets feet to one plane inside all travel: without shims where there is one, with the greatest reserve; else with the fewest shims, and of
 * those with the thinnest. A plane that can't be had is held apart by some of the feet that it would have to rise past (Helly's theorem: four
 * of the stretches suffice), so one of those takes a shim: each is tried. Null where no plane is found.
 */
export function levelToPlane(feet: Foot[], limits: FeetLimits): { found: Levelled | null, none: boolean } {
  const budget = { left: MOST_PLANES }
  const hulls = Array.from({ length: limits.mostShims + 1 }, (_, k) => limits.shimsMm.length || !k ? hullOf(limits, k) : null)
  const most = feet.length * limits.mostShims
  // Nothing under any foot reaches lower than without a shim: a plane with shims everywhere tells whether there is one at all.
  const widest = feet.map(() => ({ fromMm: hulls[0]!.fromMm, toMm: Math.max(...hulls.map(one => one?.toMm ?? -Infinity)) }))
  if (!feet.length || fitPlane(feet, widest).reserveMm < -INSIDE_MM) return { found: null, none: feet.length > 0 }
  for (let pieces = 0; pieces <= most; pieces++) {
    const found = withPieces(feet, limits, hulls, pieces, budget)
    if (found) return { found: { ...found, proved: budget.left > 0 && (!pieces || !hasGaps(limits)) }, none: false }
    if (budget.left <= 0) break
  }
  return { found: byRising(feet, limits), none: false }
}

/** The thinnest way with just so many shims; null where there is none. */
function withPieces(feet: Foot[], limits: FeetLimits, hulls: (Stretch | null)[], pieces: number, budget: { left: number }): Omit<Levelled, 'proved'> | null {
  const seen = new Set<string>()
  let best: Omit<Levelled, 'proved'> | null = null
  function go(under: number[], left: number) {
    const key = under.join('')
    if (seen.has(key) || budget.left-- <= 0) return
    seen.add(key)
    const { reserveMm, over } = fitPlane(feet, under.map(k => hulls[k]!))
    if (reserveMm >= -INSIDE_MM) {
      // With shims left over a smaller number would have done.
      if (left === 0) best = thinnest(feet, limits, under, budget, best)
      return
    }
    if (left > 0) for (const i of over) if (under[i]! < limits.mostShims && hulls[under[i]! + 1]) go(under.map((k, j) => j === i ? k + 1 : k), left - 1)
  }
  go(feet.map(() => 0), pieces)
  return best
}

/** Sizes for feet of which it is known how many shims each has: the thinnest together. */
function thinnest(feet: Foot[], limits: FeetLimits, under: number[], budget: { left: number }, before: Omit<Levelled, 'proved'> | null): Omit<Levelled, 'proved'> | null {
  const shimmed = under.flatMap((k, i) => k ? [i] : [])
  const choices = shimmed.map(i => stacks(limits, under[i]!))
  const hulls = under.map(k => hullOf(limits, k)!)
  let best = before
  function go(at: number, chosen: Stack[], spentMm: number) {
    const leastLeft = choices.slice(at).reduce((sum, own) => sum + own[0]!.mm, 0)
    if (best && spentMm + leastLeft >= best.thicknessMm - 1e-9) return
    const stretches = feet.map((_, i) => {
      const s = shimmed.indexOf(i)
      return s >= 0 && s < at ? reachOf(limits, chosen[s]!.mm) : hulls[i]!
    })
    if (budget.left-- <= 0) return
    const { plane, reserveMm } = fitPlane(feet, stretches)
    if (reserveMm < -INSIDE_MM) return
    if (at === shimmed.length) {
      best = { plane, reserveMm, stacks: feet.map((_, i) => shimmed.includes(i) ? chosen[shimmed.indexOf(i)]! : NONE), pieces: under.reduce((a, b) => a + b, 0), thicknessMm: spentMm }
      return
    }
    for (const stack of choices[at]!) go(at + 1, [...chosen, stack], spentMm + stack.mm)
  }
  go(0, [], 0)
  return best
}

/** Where too many feet want shims to try all: the plane with the greatest reserve when every foot may have them, and under each what it then needs. */
function byRising(feet: Foot[], limits: FeetLimits): Levelled | null {
  const all = Array.from({ length: limits.mostShims + 1 }, (_, k) => stacks(limits, k)).flat()
  const widest = feet.map(() => ({ fromMm: limits.lowestMm, toMm: Math.max(...all.map(one => reachOf(limits, one.mm).toMm)) }))
  const { plane } = fitPlane(feet, widest)
  const under = feet.map((foot) => {
    const seatMm = planeAt(plane, foot) - foot.roofMm
    return all.find(one => seatMm >= reachOf(limits, one.mm).fromMm - INSIDE_MM && seatMm <= reachOf(limits, one.mm).toMm + INSIDE_MM)
  })
  if (under.some(one => !one)) return null
  const own = under.map(one => one!)
  const { plane: fitted, reserveMm } = fitPlane(feet, own.map(one => reachOf(limits, one.mm)))
  return { plane: fitted, reserveMm, stacks: own, pieces: own.reduce((n, one) => n + one.sizes.length, 0), thicknessMm: own.reduce((sum, one) => sum + one.mm, 0), proved: false }
}
