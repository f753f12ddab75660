import type { Aim } from './aims'
import type { Relaxed, RelaxedPart } from './relaxed'
import type { RelaxedSteps } from './steps'

/** Ways to begin a rail that share their last few fixings and their cost, taken together. */
export interface Node {
  part: RelaxedPart
  /** Their last few fixings, in order. */
  tail: number[]
  cost: number
  parents: Node[]
  /** The least sum of squared spans of any of them, mm²: the most even come first. */
  squares: number
}

/** A rail's places with what may follow what, what is sought and what is proved of its parts. */
export interface LayeredRail { xs: number[], steps: RelaxedSteps, aim: Aim, relaxed: Relaxed }

/** What a search may still spend: trying one fixing more on one node is one. */
export interface Budget { left: number }

export const tailKey = (tail: number[], depth: number): string => (tail.length > depth ? tail.slice(-depth) : tail).join()

/**
 * Dynamic programming over the last `depth` fixings, a layer for each cost. Whatever comes before the last few is taken together,
 * bounded outward, so that no rail that passes is lost.
 */
export class Layers {
  private readonly layers = new Map<number, Map<string, Node>>()
  private done = 0

  /** @param keeps whether ways of such a cost with this tail are looked at at all */
  constructor(readonly rail: LayeredRail, readonly depth: number, readonly budget: Budget, readonly keeps: (cost: number, tail: number[]) => boolean = () => true) {
    const { xs, steps, aim, relaxed } = rail
    xs.forEach((_, i) => {
      const cost = aim.begin(i)
      const part = steps.mayStart(i) && keeps(cost, [i]) ? relaxed.begin(i) : null
      if (part) this.add(part, [i], cost, 0, [])
    })
  }

  /** Nodes that may be a whole rail of just this cost. */
  ends(cost: number): Node[] {
    this.upTo(cost)
    const { steps, aim, relaxed } = this.rail
    return [...this.layers.values()].flatMap(layer => [...layer.values()].filter(node => node.cost + aim.end(node.part.last) === cost && steps.mayEnd(node.part.last) && relaxed.mayEnd(node.part)))
  }

  /** The least cost over this one at which anything is left that may go on or end; null where nothing is. */
  costAfter(cost: number): number | null {
    this.upTo(cost + 1)
    const { aim } = this.rail
    let least = Infinity
    for (const [own, layer] of this.layers) {
      if (own > cost) least = Math.min(least, own)
      for (const node of layer.values()) {
        const end = own + aim.end(node.part.last)
        if (end > cost) least = Math.min(least, end)
      }
    }
    return Number.isFinite(least) ? least : null
  }

  /** Tries every next fixing on all nodes below a cost. */
  private upTo(cost: number): void {
    for (;;) {
      const open = [...this.layers.keys()].filter(own => own > this.done && own < cost)
      if (!open.length) return
      const own = Math.min(...open)
      for (const node of this.layers.get(own)!.values()) if (!this.goOn(node)) return
      this.done = own
    }
  }

  /** False where the budget is spent. */
  private goOn(node: Node): boolean {
    const { rail: { xs, steps, aim, relaxed }, budget } = this
    const { last } = node.part
    for (const j of steps.next[last]!) {
      const cost = node.cost + aim.step(last, j)
      const tail = [...node.tail, j]
      if (!this.keeps(cost, tail)) continue
      if (budget.left-- <= 0) return false
      const part = relaxed.extend(node.part, j)
      if (part) this.add(part, tail.slice(-this.depth), cost, node.squares + (xs[j]! - xs[last]!) ** 2, [node])
    }
    return true
  }

  private add(part: RelaxedPart, tail: number[], cost: number, squares: number, parents: Node[]): void {
    const layer = this.layers.get(cost) ?? new Map<string, Node>()
    this.layers.set(cost, layer)
    const key = tail.join()
    const known = layer.get(key)
    if (!known) layer.set(key, { part, tail, cost, parents, squares })
    else {
      known.part = this.rail.relaxed.hull(known.part, part)
      known.parents.push(...parents)
      known.squares = Math.min(known.squares, squares)
    }
  }
}

/** For each cost, the tails of nodes that lie on a way to one of these ends. */
export function aliveFrom(ends: Node[]): Map<number, Set<string>> {
  const alive = new Map<number, Set<string>>()
  const seen = new Set(ends)
  for (const node of seen) {
    alive.set(node.cost, (alive.get(node.cost) ?? new Set()).add(node.tail.join()))
    for (const parent of node.parents) seen.add(parent)
  }
  return alive
}

/** Ways that end in one of these nodes, the most even first. */
export function* waysTo(ends: Node[], xs: number[]): Generator<number[]> {
  interface Open { node: Node, right: number[], squares: number, bound: number }
  const open: Open[] = []
  // Kept in order, the best last.
  const put = (one: Open) => {
    let [low, high] = [0, open.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (open[middle]!.bound > one.bound) low = middle + 1
      else high = middle
    }
    open.splice(low, 0, one)
  }
  for (const node of ends) put({ node, right: [node.part.last], squares: 0, bound: node.squares })
  for (let best = open.pop(); best; best = open.pop()) {
    const { node, right, squares } = best
    if (!node.parents.length) {
      yield right
      continue
    }
    for (const parent of node.parents) {
      const own = squares + (xs[right[0]!]! - xs[parent.part.last]!) ** 2
      put({ node: parent, right: [parent.part.last, ...right], squares: own, bound: parent.squares + own })
    }
  }
}
