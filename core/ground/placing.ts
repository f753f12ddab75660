import { copperKgPerM } from '../electrical'
import type { Ground, Thing, Wall } from '../job'
import { bounded } from '../memory'
import { ableSizes, type Laid } from './lay'
import type { Crowding, Placing, Stood } from './layout'
import type { Edge } from './net'
import type { GroundRules } from './rules'
import { bodyOf, entryOf } from './wall/body'
import { type Link, nearestFit, placeOnWall, type WallAnswer } from './wall/search'
import { troubleOf } from './wall/space'

/** What a metre of a run costs: its tube, and all copper in it. */
export function perMetre(laid: Laid, ground: Ground, rules: GroundRules): number {
  const size = ableSizes(laid, rules, ground.terminalC)[0]
  const conductors = laid.flows.reduce((sum, flow) => sum + flow.functions.length, 0) + 1
  return ground.costs.racewayPerM + (size ? conductors * copperKgPerM(size) * ground.costs.copperPerKg : 0)
}

/** Steps of a search that only has to find places. */
const QUICK = 150_000

const answers = bounded<{ answer: WallAnswer | 'none' | 'unfinished' }>(40)

/**
 * Finds places for what nobody has fixed, wall by wall, with the least cost of runs. A run to another wall counts as far as the passage it goes by.
 * What somebody fixed stays, whether it may or not: that is said apart.
 */
export function placingOf(ground: Ground, edges: { edge: Edge, laid: Laid }[], rules: GroundRules, quick: boolean): Placing {
  const stood: Stood[] = ground.things.flatMap(one => one.wallId !== null && one.at ? [{ thingId: one.id, wallId: one.wallId, ...one.at, found: false }] : [])
  const placing: Placing = { stood: [...stood], without: [], unfinished: [], cost: 0, boundCost: 0, proved: true }
  for (const wall of ground.walls) {
    const here = ground.things.filter(one => one.wallId === wall.id)
    const free = here.filter(one => !one.at)
    if (!free.length) continue
    const pointOf = (thing: Thing) => thing.wallId === wall.id && thing.at ? entryOf(thing, thing.at) : passagePoint(thing, wall.id, ground)
    const links = edges.flatMap(({ edge: { from, to }, laid }): Link[] => {
      const perMm = perMetre(laid, ground, rules) / 1000
      const [a, b] = [free.includes(from), free.includes(to)]
      if (a && b) return [{ a: from.id, b: to.id, perMm }]
      if (!a && !b) return []
      const point = pointOf(a ? to : from)
      return point ? [{ a: (a ? from : to).id, at: point, perMm }] : []
    })
    const fixed = here.filter(one => one.at).map(one => bodyOf(one, one.at!))
    const all = free.map((one) => {
      const { x: _, y: __, ...body } = bodyOf(one, { xMm: 0, yMm: 0 })
      return { body, entry: entryOf(one, { xMm: 0, yMm: 0 }) }
    })
    const led = (id: string) => links.some(link => link.a === id || ('b' in link && link.b === id))
    const pieces = all.filter(one => led(one.body.id))
    const { answer } = answers([quick, wall, rules.figures, fixed, pieces, links], () => ({ answer: placeOnWall({ wall, figures: rules.figures, fixed, pieces, links }, quick ? QUICK : undefined) }))
    if (typeof answer === 'string') {
      placing[answer === 'none' ? 'without' : 'unfinished'].push(...free.map(one => one.id))
      continue
    }
    for (const [thingId, { x, y }] of answer.places) placing.stood.push({ thingId, wallId: wall.id, xMm: x, yMm: y, found: true })
    // What no run leads to costs nothing: it goes where there is room nearest to the disconnect, where the fire service looks.
    for (const piece of all.filter(one => !led(one.body.id))) {
      const standing = placing.stood.filter(one => one.wallId === wall.id).map(one => bodyOf(ground.things.find(thing => thing.id === one.thingId)!, one))
      const place = nearestFit({ wall, figures: rules.figures, fixed: standing }, piece, besides(placing, ground, wall))
      if (place) placing.stood.push({ thingId: piece.body.id, wallId: wall.id, xMm: place.x, yMm: place.y, found: true })
      else placing.without.push(piece.body.id)
    }
    placing.cost += answer.cost
    placing.boundCost += answer.boundCost
    placing.proved &&= answer.proved
  }
  return placing
}

/** The disconnect on a wall, else the middle of it at the height of a hand. */
function besides({ stood }: Placing, { things }: Ground, wall: Wall): { x: number, y: number } {
  const at = stood.find(one => one.wallId === wall.id && things.find(thing => thing.id === one.thingId)!.kind === 'ac-disconnect')
  return at ? entryOf(things.find(thing => thing.id === at.thingId)!, at) : { x: wall.wideMm / 2, y: 1400 }
}

/** Where a run leaves this wall for another on which something stands. */
function passagePoint(thing: Thing, wallId: string, { passages }: Ground): { x: number, y: number } | null {
  if (thing.wallId === null || thing.wallId === wallId) return null
  const ends = passages.flatMap(one => [[one.from, one.to], [one.to, one.from]] as const)
  const way = ends.find(([here, there]) => here.wallId === wallId && there.wallId === thing.wallId) ?? ends.find(([here]) => here.wallId === wallId)
  return way ? { x: way[0].xMm, y: way[0].yMm } : null
}

/** What somebody fixed where it may not stand. What is there already is not judged against the rules of today, only others against it. */
export function crowdingOf(ground: Ground, { stood }: Placing, rules: GroundRules): Crowding[] {
  return ground.walls.flatMap((wall) => {
    const here = stood.filter(one => one.wallId === wall.id).map(one => ({ one, thing: ground.things.find(thing => thing.id === one.thingId)! }))
    const bodies = here.map(({ one, thing }) => bodyOf(thing, one))
    return here.flatMap(({ one, thing }, i): Crowding[] => {
      if (thing.existing || one.found) return []
      const trouble = troubleOf(bodies[i]!, bodies.filter((_, j) => j !== i), wall, rules.figures)
      return trouble ? [{ thingId: thing.id, ...trouble }] : []
    })
  })
}
