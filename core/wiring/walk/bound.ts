/** Rounds without gain before steps shrink, by how much, and the first step's scale. */
const PATIENCE = 20
const SHRINK = 0.7
const FIRST_SCALE = 1.5
/** Work of one question, in pairs of nodes looked at. */
const MOST_PAIRS = 2e6
const JUST = 1e-6

/**
 * No tour costs less than this. Where the 1-tree bound over all tours leaves a gap it is taken apart by the module whose + lead goes home, and
 * by that of the - lead: home runs are what the cost hangs on, and half a home run here and half there is what the bound is weak by.
 * @param upper cost of a tour that is known
 */
export function lowerBound(all: Float64Array[], upper: number): number {
  // A hop that alone costs more than a tour that is known stands in no better one.
  const cost = all.map(row => row.map(value => value > upper ? Infinity : value))
  const modules = [...cost.keys()].slice(1)
  const budget = { rounds: Math.ceil(MOST_PAIRS / (2 * cost.length) ** 2) }
  const price = new Float64Array(2 * cost.length)
  const whole = treeBound(cost, upper, price, budget)
  const open = (bound: number) => upper - bound > JUST * Math.max(1, upper) && budget.rounds > 0
  const only = (first: number, last: number | null): Float64Array[] => cost.map((row, from) => row.map((value, to) => (from === 0 && to !== first) || (last !== null && to === 0 && from !== last) ? Infinity : value))
  if (!open(whole)) return whole
  const parts = (bound: number, of: (part: number) => number): number => {
    let least = upper
    for (const part of modules) least = Math.min(least, open(bound) ? Math.max(bound, of(part)) : bound)
    return least
  }
  return parts(whole, (first) => {
    if (cost[0]![first]! === Infinity) return upper
    const own = treeBound(only(first, null), upper, price.slice(), budget)
    return open(own) ? parts(own, last => last === first || cost[last]![0]! === Infinity ? upper : treeBound(only(first, last), upper, price.slice(), budget)) : own
  })
}

/**
 * The 1-tree bound with prices on nodes (Held and Karp, 1970), for costs that differ by direction. Each node is parted into one that is left
 * and one that is arrived at (Jonker and Volgenant, 1983), which every tour joins; a spanning tree with those pairs, and one more edge at the
 * box, costs no more than any tour. Prices that make nodes of the tree more like nodes of a tour raise it.
 * @param price of each node, changed in place to those that the bound was found with
 */
function treeBound(cost: Float64Array[], upper: number, price: Float64Array, budget: { rounds: number }): number {
  const n = cost.length
  const nodes = 2 * n
  // Nodes below n are left from, the others arrived at. The pair of the box is the 1-tree's own node: what is arrived at.
  const root = n
  const degree = new Int16Array(nodes)
  const near = new Float64Array(nodes)
  const parent = new Int16Array(nodes)
  const inTree = new Uint8Array(nodes)
  let best = -Infinity
  let scale = FIRST_SCALE
  let idle = 0
  const before = new Int16Array(nodes)
  for (let round = 0; budget.rounds > 0; round++) {
    budget.rounds--
    degree.fill(0)
    inTree.fill(0)
    near.fill(Infinity)
    let sum = 0
    // Prim's tree from the box as it is left, over all nodes but the root; pairs come first, since every tour has them.
    let at = 0
    inTree[0] = 1
    for (let added = 1; added < nodes - 1; added++) {
      const leaves = at < n
      const pair = leaves ? at + n : at - n
      let next = -1
      for (let other = leaves ? n : 0, end = leaves ? nodes : n; other < end; other++) {
        if (inTree[other] || other === root || other === pair) continue
        const value = (leaves ? cost[at]![other - n]! : cost[other]![at - n]!) + price[at]! + price[other]!
        if (value < near[other]!) {
          near[other] = value
          parent[other] = at
        }
      }
      if (pair !== root && !inTree[pair]) {
        next = pair
        parent[pair] = at
        sum += price[at]! + price[pair]!
      }
      else {
        for (let other = 1; other < nodes; other++) if (!inTree[other] && other !== root && (next < 0 || near[other]! < near[next]!)) next = other
        if (near[next]! === Infinity) return upper
        sum += near[next]!
      }
      degree[next]!++
      degree[parent[next]!]!++
      inTree[next] = 1
      at = next
    }
    // The root: joined to its pair, and by its cheapest edge.
    let arrival = -1
    for (let from = 1; from < n; from++) if (arrival < 0 || cost[from]![0]! + price[from]! < cost[arrival]![0]! + price[arrival]!) arrival = from
    if (cost[arrival]![0]! === Infinity) return upper
    sum += price[0]! + price[root]! + cost[arrival]![0]! + price[arrival]! + price[root]!
    degree[root] = 2
    degree[0]!++
    degree[arrival]!++
    let bound = sum
    let off = 0
    for (let i = 0; i < nodes; i++) {
      bound -= 2 * price[i]!
      off += (degree[i]! - 2) ** 2
    }
    if (bound > best + 1e-9) {
      best = bound
      idle = 0
    }
    else if (++idle > PATIENCE) {
      scale *= SHRINK
      idle = 0
    }
    if (!off || upper - best < JUST * Math.max(1, upper) || scale < 1e-4) break
    const step = scale * (upper - bound) / off
    for (let i = 0; i < nodes; i++) {
      price[i]! += step * (0.7 * (degree[i]! - 2) + 0.3 * before[i]!)
      before[i] = degree[i]! - 2
    }
  }
  return Math.min(best, upper)
}
