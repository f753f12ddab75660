/**
 * The walk of one string: in which order its modules are joined, from the module whose + lead goes home to the one whose - lead does.
 * Modules are numbered from 0; lengths in mm along the way that a cable takes.
 */
export interface WalkAsk {
  modules: number
  /** From where the - lead of one leaves to where the + lead of the other does. */
  hopMm: (from: number, to: number) => number
  /** Two leads joined reach so far. */
  reachMm: number
  /** Home run from a module's + or - lead to the roof box. */
  plusHomeMm: (module: number) => number
  minusHomeMm: (module: number) => number
  /** The way through the same modules on the roof, for the loop's area: middles of modules and the box, mm. */
  at: { x: number, y: number }[]
  box: { x: number, y: number }
}

/** Cable of a home run is bought; leads hang there already, and weigh half of it for the loop and the volts that they cost too. */
export const HOP_WEIGHT = 0.5
/** An extension lead is taken only where there is no walk without: it outweighs any home run on a house, mm. */
export const EXTENSION = 200_000
/** Each mm that an extension has to bridge weighs so much. */
export const PER_MM = 10

/** What one hop costs: nothing but its length within reach, an extension lead past it. */
export const hopCost = (mm: number, reachMm: number): number => HOP_WEIGHT * mm + (mm > reachMm + 1e-6 ? EXTENSION + PER_MM * (mm - reachMm) : 0)

/**
 * All costs as one table: node 0 is the roof box, node i + 1 module i. From the box to a module is the home run of its +, from a module to
 * the box that of its -.
 */
export function costTable(ask: WalkAsk): Float64Array[] {
  const n = ask.modules + 1
  return Array.from({ length: n }, (_, from) => Float64Array.from({ length: n }, (_, to) => {
    if (from === to) return Infinity
    if (from === 0) return ask.plusHomeMm(to - 1)
    if (to === 0) return ask.minusHomeMm(from - 1)
    return hopCost(ask.hopMm(from - 1, to - 1), ask.reachMm)
  }))
}

/** What a closed tour over all nodes costs, beginning at node 0. */
export const tourCost = (cost: Float64Array[], tour: ArrayLike<number>): number => {
  let sum = 0
  for (let i = 0; i < tour.length; i++) sum += cost[tour[i]!]![tour[(i + 1) % tour.length]!]!
  return sum
}
