import { copperKgPerM } from '../electrical'
import type { Ground, Thing, Wall } from '../job'
import { bounded } from '../memory'
import { ableSizes, type Laid } from './lay'
import type { Crowding, Placing, Stood } from './layout'
import type { Edge } from './net'
import type { GroundRules } from './rules'
import { bodyOf, entryOf } from './wall/body'
import { legMm } from './wall/route'
import { type Link, nearestFit, placeOnWall, type WallAnswer } from './wall/search'
import { troubleOf } from './wall/space'
import { type Way, waysFrom } from './wall/ways'

/** What a metre of a run costs: its tube, and all copper in it. */
export function perMetre(laid: Laid, ground: Ground, rules: GroundRules): number {
  const size = ableSizes(laid, rules, ground.terminalC)[0]
  const conductors = laid.flows.reduce((sum, flow) => sum + flow.functions.length, 0) + 1
  return ground.costs.racewayPerM + (size ? conductors * copperKgPerM(size) * ground.costs.copperPerKg : 0)
}

/** Steps of a search that only has to find places, and of all searches together that prove them the cheapest. */
const QUICK = 150_000
const ALL_STEPS = 3_000_000

/** What was found for a wall in so many steps: walls that a cure leaves alone are looked at once. */
const answers = bounded<{ answer: WallAnswer | 'none' | 'unfinished' }>(200)

/** A run that something still to be placed is an end of. */
interface Tie { from: Thing, to: Thing, perMm: number }
/** One that goes to another wall, by one of the ways there are. */
interface Across extends Tie { ways: Way[] }
/** So many choices of ways between walls are tried at most. */
const MOST_CHOICES = 16

/** Every choice of one way for each run that goes to another wall; only the shortest of each where there are too many. */
function choicesOf(across: Across[], quick: boolean): { choices: Way[][], all: boolean } {
  const many = across.reduce((product, { ways }) => product * ways.length, 1)
  if (many > 1 && (quick || many > MOST_CHOICES)) return { choices: [across.map(({ ways }) => ways[0]!)], all: false }
  return { choices: across.reduce<Way[][]>((sofar, { ways }) => sofar.flatMap(one => ways.map(way => [...one, way])), [[]]), all: true }
}

/**
 * Finds places for what nobody has fixed with the least cost of runs. With the ways between walls chosen each wall stands by itself; every choice of
 * ways is tried, or it is said that not all were. What somebody fixed stays, whether it may or not: that is said apart.
 */
export function placingOf(ground: Ground, edges: { edge: Edge, laid: Laid }[], rules: GroundRules, quick: boolean): Placing {
  const open = (thing: Thing) => thing.wallId !== null && !thing.at
  const ties = edges.filter(({ edge: { from, to } }) => open(from) || open(to)).map(({ edge: { from, to }, laid }): Tie => ({ from, to, perMm: perMetre(laid, ground, rules) / 1000 }))
  const here = ties.filter(({ from, to }) => from.wallId === to.wallId)
  const across = ties.flatMap((tie): Across[] => {
    if (tie.from.wallId === null || tie.to.wallId === null || tie.from.wallId === tie.to.wallId) return []
    const ways = waysFrom(tie.from.wallId, tie.to.wallId, ground.passages)
    return ways.length ? [{ ...tie, ways }] : []
  })
  const { choices, all } = choicesOf(across, quick)
  const walls = ground.walls.filter(wall => ground.things.some(one => one.wallId === wall.id && open(one))).length
  const steps = quick ? QUICK : Math.max(QUICK, Math.floor(ALL_STEPS / Math.max(2, walls * choices.length)))
  const tried = choices.map((ways) => {
    const placing = placedBy(ground, [...here.map(inOne), ...across.flatMap((tie, i) => inTwo(tie, ways[i]!))], rules, steps)
    const between = across.reduce((sum, tie, i) => sum + tie.perMm * betweenMm(tie, ways[i]!), 0)
    return { ...placing, cost: placing.cost + between, boundCost: placing.boundCost + between }
  })
  const lacks = ({ without, unfinished }: Placing) => without.length + unfinished.length
  const best = tried.reduce((one, other) => lacks(other) < lacks(one) || (lacks(other) === lacks(one) && other.cost < one.cost - 1e-9) ? other : one)
  const boundCost = Math.min(...tried.map(one => one.boundCost))
  return { ...best, boundCost, proved: best.proved && boundCost > best.cost - 1e-6, allWays: all }
}

/** A run on one wall; or its part on the wall of an end that is still to be placed, as far as where it leaves that wall. */
type Part = { wallId: string, link: Link }
const inOne = ({ from, to, perMm }: Tie): Part => ({
  wallId: from.wallId!, link: !from.at && !to.at ? { a: from.id, b: to.id, perMm } : from.at ? { a: to.id, at: entryOf(from, from.at), perMm } : { a: from.id, at: entryOf(to, to.at!), perMm },
})
const inTwo = ({ from, to, perMm }: Tie, way: Way): Part[] => ([[from, way.leaves], [to, way.comes]] as const).flatMap(([thing, spot]) =>
  thing.at ? [] : [{ wallId: thing.wallId!, link: { a: thing.id, at: { x: spot.xMm, y: spot.yMm }, perMm } }])
/** What of it is the same wherever its open ends stand. */
const betweenMm = ({ from, to }: Tie, way: Way): number => way.betweenMm + (from.at ? legMm(entryOf(from, from.at), way.leaves) : 0) + (to.at ? legMm(entryOf(to, to.at), way.comes) : 0)

/** Places wall by wall for given parts of runs. */
function placedBy(ground: Ground, parts: Part[], rules: GroundRules, steps: number): Placing {
  const stood: Stood[] = ground.things.flatMap(one => one.wallId !== null && one.at ? [{ thingId: one.id, wallId: one.wallId, ...one.at, found: false }] : [])
  const placing: Placing = { stood: [...stood], without: [], unfinished: [], cost: 0, boundCost: 0, proved: true, allWays: true }
  for (const wall of ground.walls) {
    const here = ground.things.filter(one => one.wallId === wall.id)
    const free = here.filter(one => !one.at)
    if (!free.length) continue
    const links = parts.filter(one => one.wallId === wall.id).map(one => one.link)
    const fixed = here.filter(one => one.at).map(one => bodyOf(one, one.at!))
    const all = free.map((one) => {
      const { x: _, y: __, ...body } = bodyOf(one, { xMm: 0, yMm: 0 })
      return { body, entry: entryOf(one, { xMm: 0, yMm: 0 }) }
    })
    const led = (id: string) => links.some(link => link.a === id || ('b' in link && link.b === id))
    const pieces = all.filter(one => led(one.body.id))
    const { answer } = answers([steps, wall, rules.figures, fixed, pieces, links], () => ({ answer: placeOnWall({ wall, figures: rules.figures, fixed, pieces, links }, steps) }))
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
