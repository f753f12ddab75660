import type { Figures } from '../../electrical'
import { type Body, GRID_MM, type WallFacts } from './body'
import { aloneTrouble, crampedBy, GAP_MM, inTheWay } from './space'

/** A body to be placed, with where its cable enters over its corner, mm of the grid. */
export interface Piece { body: Omit<Body, 'x' | 'y'>, entry: { x: number, y: number } }

/** What joins a piece to another, or to a point of the wall that is fixed; so much a mm. */
export type Link = { a: string, perMm: number } & ({ b: string } | { at: { x: number, y: number } })

export interface WallProblem { wall: WallFacts, figures: Figures, fixed: Body[], pieces: Piece[], links: Link[] }
export interface WallAnswer { places: Map<string, { x: number, y: number }>, cost: number, boundCost: number, proved: boolean }

/** How much dearer than the bound the answer may be, pass by pass. */
const PASSES = [1.002, 1.01, 1.03, 1.07, 1.15, 1.4, 2.5, Infinity]
/** So many steps of the search before the search says how far it got. */
const MOST_LOOKED_AT = 1_500_000

/**
 * Places on the 25 mm grid with the least cost of runs, each measured along the wall and up it from entry to entry.
 *
 * Pieces joined by runs form trees. For each tree, from its leaves to its root, every place of a piece gets the least that all beyond it can cost
 * when only neighbours along runs are kept from lying over each other: that is a bound that never lies above the truth, and it is exact where nobody else
 * is in the way. The search goes through the trees from the root, best first, with everything looked at that was left out, and stops at once where
 * what is left can't be better. When it comes to its end, nothing on the grid is cheaper.
 * @returns `none` where there is no way to place them all, `unfinished` where the search found none in its time
 */
export function placeOnWall(problem: WallProblem, most = MOST_LOOKED_AT): WallAnswer | 'none' | 'unfinished' {
  const { wall, figures, fixed, pieces } = problem
  if (!pieces.length) return { places: new Map(), cost: 0, boundCost: 0, proved: true }
  const grid = { nx: Math.floor(wall.wideMm / GRID_MM) + 1, ny: Math.floor(wall.highMm / GRID_MM) + 1 }
  const size = grid.nx * grid.ny
  const at = (i: number) => ({ x: (i % grid.nx) * GRID_MM, y: Math.floor(i / grid.nx) * GRID_MM })
  // One body for each piece, moved from place to place: millions are looked at.
  const movable = new Map(pieces.map((one): [string, Body] => [one.body.id, { ...one.body, x: 0, y: 0 }]))
  const movedTo = (body: Body, i: number): Body => {
    body.x = (i % grid.nx) * GRID_MM
    body.y = Math.floor(i / grid.nx) * GRID_MM
    return body
  }
  const byId = new Map(pieces.map(one => [one.body.id, one]))

  // What had no room to work before any of it was placed is judged as it stands, not held against new places.
  const cramped = new Set(fixed.filter(one => crampedBy(one, fixed.filter(other => other !== one), wall, figures)).map(one => one.id))
  const others: Body[] = []
  /** Whether some that are placed leave one another, or what is fixed, no room to work. More of them never leave more. */
  const crowds = (placed: Body[]): boolean => {
    const all = [...fixed, ...placed]
    for (let k = 0; k < all.length; k++) {
      const one = all[k]!
      if (!one.works || cramped.has(one.id)) continue
      others.length = 0
      for (const other of all) if (other !== one) others.push(other)
      if (crampedBy(one, others, wall, figures)) return true
    }
    return false
  }

  /** What a piece costs at each place by itself: runs to fixed points; endless where it may not stand. */
  const own = new Map(pieces.map((piece) => {
    const cost = new Float64Array(size).fill(Infinity)
    const to = problem.links.filter((link): link is Extract<Link, { at: unknown }> => 'at' in link && link.a === piece.body.id)
    const moving = movable.get(piece.body.id)!
    for (let i = 0; i < size; i++) {
      const body = movedTo(moving, i)
      if (aloneTrouble(body, wall, figures) || fixed.some(one => inTheWay(body, one, figures)) || crowds([body])) continue
      cost[i] = to.reduce((sum, { perMm, at: point }) => sum + perMm * (Math.abs(body.x + piece.entry.x - point.x) + Math.abs(body.y + piece.entry.y - point.y)), 0)
    }
    return [piece.body.id, cost]
  }))

  /** Where each may stand at all. */
  const places = new Map([...own].map(([id, cost]) => [id, Int32Array.from(cost.keys()).filter(i => cost[i]! < Infinity)]))

  const order: { id: string, parent: string | null, perMm: number }[] = []
  const seen = new Set<string>()
  const visit = (id: string, parent: string | null, perMm: number) => {
    if (seen.has(id)) return
    seen.add(id)
    order.push({ id, parent, perMm })
    for (const link of problem.links) {
      if (!('b' in link)) continue
      if (link.a === id && byId.has(link.b)) visit(link.b, id, link.perMm)
      if (link.b === id && byId.has(link.a)) visit(link.a, id, link.perMm)
    }
  }
  // The piece with most runs comes first: what crowds round it is seen at once.
  const runsOf = (id: string) => problem.links.filter(link => link.a === id || ('b' in link && link.b === id)).length
  for (const piece of [...pieces].sort((a, b) => runsOf(b.body.id) - runsOf(a.body.id))) visit(piece.body.id, null, 0)

  // From the leaves up: the least that a piece and all beyond it cost, place by place, and what that comes to from each place of its parent.
  const below = new Map([...own].map(([id, cost]) => [id, Float64Array.from(cost)]))
  const fromParent = new Map<string, Float64Array>()
  for (const { id, parent, perMm } of [...order].reverse()) {
    if (parent === null) continue
    const up = leastBeside(below.get(id)!, byId.get(id)!, byId.get(parent)!, perMm, grid)
    fromParent.set(id, up)
    const theirs = below.get(parent)!
    for (let i = 0; i < size; i++) theirs[i]! += up[i]!
  }
  const leastOf = (id: string): number => below.get(id)!.reduce((least, one) => Math.min(least, one), Infinity)
  const boundCost = order.filter(one => one.parent === null).reduce((sum, one) => sum + leastOf(one.id), 0)
  if (boundCost === Infinity) return 'none'

  const chosen = new Map<string, number>()
  const bodies: Body[] = []
  let best: { cost: number, places: Map<string, number> } | null = null
  let looked = 0
  let stopped = false
  let anyWillDo = false
  let under = Infinity
  const limit = () => best ? best.cost - 1e-9 : under

  /** A piece whose neighbour stands, with its places, the cheapest first: what the run and all beyond cost from there. */
  interface Open { id: string, places: { i: number, run: number, value: number }[] }

  /** Its places as seen from where its neighbour stands, as far as they can still be better. */
  function opened(id: string, perMm: number, parent: { x: number, y: number } | null, dearest: number): Open {
    const { entry } = byId.get(id)!
    const mine = below.get(id)!
    const step = perMm * GRID_MM
    const [px, py] = parent ? [(parent.x - entry.x) / GRID_MM, (parent.y - entry.y) / GRID_MM] : [0, 0]
    const found: Open['places'] = []
    for (const i of places.get(id)!) {
      const run = parent ? step * (Math.abs(Math.floor(i / grid.nx) - py) + Math.abs(i % grid.nx - px)) : 0
      const value = mine[i]! + run
      if (value < dearest) found.push({ i, run, value })
    }
    looked += places.get(id)!.length / 12
    return { id, places: found.sort((a, b) => a.value - b.value || a.i - b.i) }
  }
  /** The least of its places that keeps off everything placed so far; endless from `dearest` on. */
  function leastClear({ id, places: own }: Open, dearest: number): number {
    const moving = movable.get(id)!
    const together = [...bodies, moving]
    for (const { i, value } of own) {
      if (value >= dearest) return Infinity
      looked++
      movedTo(moving, i)
      if (!bodies.some(one => inTheWay(moving, one, figures)) && !crowds(together)) return value
    }
    return Infinity
  }

  /**
   * @param sure cost of all runs between what stands and fixed points
   * @param unbegun the least of trees not begun
   * @param open pieces whose neighbour stands
   */
  function go(step: number, sure: number, unbegun: number, open: Open[]) {
    if (step === order.length) {
      best = { cost: sure, places: new Map(chosen) }
      if (anyWillDo) stopped = true
      return
    }
    const { id, parent } = order[step]!
    const piece = byId.get(id)!
    const alone = own.get(id)!
    const unbegunAfter = parent === null ? unbegun - leastOf(id) : unbegun
    const waiting = open.filter(one => one.id !== id)
    const mine = parent === null ? opened(id, 0, null, limit() - sure - unbegunAfter) : open.find(one => one.id === id)!
    const children = order.filter(one => one.parent === id)
    const waitingLeast = waiting.reduce((sum, one) => sum + leastClear(one, Infinity), 0)
    for (const { i, run, value } of mine.places) {
      if (sure + unbegunAfter + waitingLeast + value >= limit()) return
      if (++looked > most) {
        stopped = true
        return
      }
      const body = movedTo({ ...piece.body, x: 0, y: 0 }, i)
      if (bodies.some(one => inTheWay(body, one, figures)) || crowds([...bodies, body])) continue
      chosen.set(id, i)
      bodies.push(body)
      // With it standing, its children and those that wait have to keep off it as well.
      const now = sure + run + alone[i]!
      let least = now + unbegunAfter
      for (const one of waiting) if (least < limit()) least += leastClear(one, limit() - least)
      const begun: Open[] = []
      for (const one of children) {
        if (least >= limit()) break
        const next = opened(one.id, one.perMm, { x: body.x + piece.entry.x, y: body.y + piece.entry.y }, limit() - least)
        begun.push(next)
        least += leastClear(next, limit() - least)
      }
      if (least < limit()) go(step + 1, now, unbegunAfter, [...waiting, ...begun])
      bodies.pop()
      chosen.delete(id)
      if (stopped) return
    }
  }
  // First as if it had to be hardly dearer than the bound, then by and by more: what is shown to be impossible is the new bound, and little is looked at.
  let shown = boundCost
  for (const share of PASSES) {
    under = boundCost * share + 1e-6
    go(0, 0, boundCost, [])
    if (best || stopped) break
    shown = under
  }
  if (!best && stopped) {
    // No answer yet: any will do now.
    ;[looked, stopped, anyWillDo, under] = [0, false, true, Infinity]
    go(0, 0, boundCost, [])
    if (!best) return 'unfinished'
    stopped = true
  }
  const found = best as { cost: number, places: Map<string, number> } | null
  if (!found) return 'none'
  return { places: new Map([...found.places].map(([id, i]) => [id, at(i)])), cost: found.cost, boundCost: stopped ? shown : found.cost, proved: !stopped }
}

/** The nearest place to a point for a piece that no run leads to, along the wall and up it; null where there is none. */
export function nearestFit({ wall, figures, fixed }: Omit<WallProblem, 'pieces' | 'links'>, { body, entry }: Piece, near: { x: number, y: number }): { x: number, y: number } | null {
  const roomy = fixed.filter(one => !crampedBy(one, fixed.filter(other => other !== one), wall, figures))
  let best: { x: number, y: number, mm: number } | null = null
  for (let y = LOOSE_FROM_MM; y + body.high <= wall.highMm; y += GRID_MM) {
    for (let x = 0; x + body.wide <= wall.wideMm; x += GRID_MM) {
      const mm = Math.abs(x + entry.x - near.x) + Math.abs(y + entry.y - near.y)
      if (best && mm >= best.mm) continue
      const own = { ...body, x, y }
      if (!aloneTrouble(own, wall, figures) && !fixed.some(one => inTheWay(own, one, figures)) && !crampedBy(own, fixed, wall, figures) && !roomy.some(one => crampedBy(one, [...fixed.filter(other => other !== one), own], wall, figures))) best = { x, y, mm }
    }
  }
  return best && { x: best.x, y: best.y }
}
/** What no run leads to hangs so high at least where it is found a place, mm (common practice: a hand reaches it). */
const LOOSE_FROM_MM = 1200

interface Grid { nx: number, ny: number }

/**
 * For every place of `to`, the least of what `from` costs with the run between them, over all places of `from` that keep beside, under or over it.
 * Each of the four sides is a running minimum: over the sides' own way to one hand, over the other to both.
 */
function leastBeside(cost: Float64Array, from: Piece, to: Piece, perMm: number, { nx, ny }: Grid): Float64Array {
  const step = perMm * GRID_MM
  const out = new Float64Array(cost.length).fill(Infinity)
  const steps = (mm: number) => Math.ceil((mm + GAP_MM) / GRID_MM - 1e-9)
  // Entries differ by so many steps from corner to corner.
  const [ex, ey] = [(from.entry.x - to.entry.x) / GRID_MM, (from.entry.y - to.entry.y) / GRID_MM]
  const sides = [
    { along: 'x', hand: 1, apart: steps(to.body.wide) }, { along: 'x', hand: -1, apart: steps(from.body.wide) },
    { along: 'y', hand: 1, apart: steps(to.body.high) }, { along: 'y', hand: -1, apart: steps(from.body.high) },
  ] as const
  for (const { along, hand, apart } of sides) {
    // Running minimum over places at least `apart` to that hand, each step costing one step of cable.
    const [n, m] = along === 'x' ? [nx, ny] : [ny, nx]
    const index = (i: number, j: number) => along === 'x' ? j * nx + i : i * nx + j
    const [e, f] = along === 'x' ? [ex, ey] : [ey, ex]
    const run = new Float64Array(cost.length).fill(Infinity)
    for (let j = 0; j < m; j++) {
      let least = Infinity
      for (let k = 0; k < n; k++) {
        const i = hand === 1 ? n - 1 - k : k
        least = Math.min(least + step, cost[index(i, j)]!)
        run[index(i, j)] = least
      }
    }
    for (let i = 0; i < n; i++) {
      const reach = i + hand * apart
      if (reach < 0 || reach >= n) continue
      // Cable from entry to entry: the way to where the running minimum begins, with the entries' own difference.
      const gone = step * Math.abs(hand * apart + e)
      const line = new Float64Array(m)
      for (let j = 0; j < m; j++) line[j] = run[index(reach, j)]!
      for (let j = 1; j < m; j++) line[j] = Math.min(line[j]!, line[j - 1]! + step)
      for (let j = m - 2; j >= 0; j--) line[j] = Math.min(line[j]!, line[j + 1]! + step)
      for (let j = 0; j < m; j++) {
        // An entry off the grid line of the other is reached from the line beside it.
        const t = j - f
        const best = t < 0 ? line[0]! + step * -t : t > m - 1 ? line[m - 1]! + step * (t - m + 1) : line[t]!
        if (gone + best < out[index(i, j)]!) out[index(i, j)] = gone + best
      }
    }
  }
  return out
}
