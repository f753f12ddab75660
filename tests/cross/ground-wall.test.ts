import { describe, expect, it } from 'vitest'
import { figuresOf } from '../../core/electrical'
import { type Body, GRID_MM, type Link, type Piece, placeOnWall, troubleOf, wayBetween, type WallFacts } from '../../core/ground'
import type { Block, Wall, Thing } from '../../core/job'
import { bareGround, plainThing, plainWall } from '../../core/job'
import type { Laid } from '../../core/ground/lay'
import type { Edge } from '../../core/ground/net'
import { perMetre, placingOf } from '../../core/ground/placing'
import { groundRules } from '../../core/ground/rules'
import { letterOf, wallFigure } from '../../core/sheets/ground'
import { gridOf, grounded } from '../fixtures/ground'
import { after } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'

const figures = figuresOf('2023')

/** What a stranger with a tape would say of a wall: every mm column before a box is looked at, one by one. */
function mayStand(bodies: Body[], wall: WallFacts): boolean {
  const meets = (a: { x: number, y: number, wide: number, high: number }, b: { x: number, y: number, wide: number, high: number }, gap: number) => a.x < b.x + b.wide + gap && b.x < a.x + a.wide + gap && a.y < b.y + b.high + gap && b.y < a.y + a.high + gap
  for (const [i, one] of bodies.entries()) {
    if (one.x < 0 || one.y < 0 || one.x + one.wide > wall.wideMm || one.y + one.high > wall.highMm) return false
    if (one.handle !== null && one.y + one.handle > 79 * 25.4) return false
    // Anchors in masonry, from the outline out to wherever the wall ends: a step at a time, sideways and along a circle about its corners.
    if (one.edge && wall.base !== 'stud') {
      if ((!wall.corner.left && one.x < one.edge) || (!wall.corner.right && wall.wideMm - one.x - one.wide < one.edge)) return false
      for (const hole of wall.blocks.filter(block => block.kind === 'door' || block.kind === 'window')) {
        for (let turn = 0; turn < 360; turn++) {
          const [dx, dy] = [one.edge * Math.cos(turn * Math.PI / 180), one.edge * Math.sin(turn * Math.PI / 180)]
          for (const k of [0, 0.25, 0.5, 0.75, 0.999]) {
            if (meets({ ...one, x: one.x + k * dx, y: one.y + k * dy }, { x: hole.xMm, y: hole.yMm, wide: hole.wideMm, high: hole.highMm }, 0)) return false
          }
        }
      }
    }
    for (const block of wall.blocks) {
      const other = { x: block.xMm, y: block.yMm, wide: block.wideMm, high: block.highMm }
      if (meets(one, other, 25)) return false
      // Three feet from gas, as the crow flies between nearest corners.
      if (block.kind === 'gas') {
        const near = (from: number, to: number, at: number) => Math.max(from, Math.min(to, at))
        for (let x = one.x; x <= one.x + one.wide; x += one.wide / 4) {
          for (let y = one.y; y <= one.y + one.high; y += one.high / 4) if (Math.hypot(x - near(other.x, other.x + other.wide, x), y - near(other.y, other.y + other.high, y)) < 914.4 - 1e-6) return false
        }
      }
    }
    for (const other of bodies.slice(i + 1)) if (meets(one, other, 25)) return false
    if (!one.works) continue
    const wide = Math.max(762, one.wide)
    let room = false
    for (let left = one.x + one.wide - wide; left <= one.x && !room; left++) {
      const right = left + wide
      if ((wall.corner.left && left < 0) || (wall.corner.right && right > wall.wideMm)) continue
      const barred = (from: number, to: number) => from < right && to > left
      room = !wall.blocks.some(block => block.deepMm > one.deep + 152.4 && block.yMm < Math.max(1981, one.y + one.high) && barred(block.xMm, block.xMm + block.wideMm))
        && !bodies.some(other => other !== one && other.y < Math.max(1981, one.y + one.high) && ((other.deep > one.deep + 152.4 && barred(other.x, other.x + other.wide)) || (other.door === 'left' && other.x > left && other.x < right) || (other.door === 'right' && other.x + other.wide > left && other.x + other.wide < right)))
    }
    if (!room) return false
    const hinge = one.door === 'left' ? one.x : one.x + one.wide
    const stops = (x: number, wide_: number, y: number, high: number, deep: number) => deep > one.deep && y < one.y + one.high && y + high > one.y && (one.door === 'left' ? x + wide_ <= hinge && hinge - x - wide_ < 50 : x >= hinge && x - hinge < 50)
    if (one.door !== 'none' && (bodies.some(other => other !== one && stops(other.x, other.wide, other.y, other.high, other.deep)) || wall.blocks.some(block => stops(block.xMm, block.wideMm, block.yMm, block.highMm, block.deepMm)))) return false
    if (one.door === 'left' ? wall.corner.left && one.x < 50 : one.door === 'right' && wall.corner.right && wall.wideMm - one.x - one.wide < 50) return false
  }
  return true
}

const block = (kind: Block['kind'], xMm: number, yMm: number, wideMm: number, highMm: number, deepMm: number): Block => ({ id: `${kind}${xMm}`, kind, name: kind, xMm, yMm, wideMm, highMm, deepMm, keepMm: null })

/** A small wall, so small that every way can be tried. */
function smallWall(random: Random): WallFacts {
  const wideMm = 25 * random.whole(18, 48)
  return {
    wideMm, highMm: 25 * random.whole(28, 40), corner: { left: random.next() < 0.3, right: random.next() < 0.3 }, sleeping: false, place: 'outside', base: random.pick(['stud', 'masonry', 'concrete'] as const),
    blocks: random.next() < 0.5 ? [block(random.pick(['other', 'window'] as const), 25 * random.whole(6, 30), 25 * random.whole(2, 20), 25 * random.whole(2, 6), 25 * random.whole(2, 8), random.pick([0, 400]))] : [],
  }
}
const piece = (id: string, random: Random): Piece => {
  const [wide, high] = [25 * random.whole(6, 12), 25 * random.whole(8, 14)]
  return { body: { id, name: id, wide, high, deep: random.pick([90, 120, 300]), handle: random.next() < 0.5 ? high - 25 : null, door: random.pick(['none', 'left', 'right'] as const), works: random.next() < 0.7, store: null, edge: random.pick([0, 60, 110]) }, entry: { x: Math.round(wide / 50) * 25, y: Math.round(high / 50) * 25 } }
}
const costOf = (places: Map<string, { x: number, y: number }>, pieces: Piece[], links: Link[]): number => links.reduce((sum, link) => {
  const at = (id: string) => ({ x: places.get(id)!.x + pieces.find(one => one.body.id === id)!.entry.x, y: places.get(id)!.y + pieces.find(one => one.body.id === id)!.entry.y })
  const [a, b] = [at(link.a), 'b' in link ? at(link.b) : link.at]
  return sum + link.perMm * (Math.abs(a.x - b.x) + Math.abs(a.y - b.y))
}, 0)

describe('places on a wall', () => {
  it('of two boxes cost as little as any on the grid, tried one by one; and are none where there are none', () => {
    const random = seeded(77)
    const seen = { placed: 0, none: 0, crowded: 0 }
    for (let i = 0; i < 26; i++) {
      const wall = smallWall(random)
      const pieces = [piece('a', random), piece('b', random)]
      const links: Link[] = [{ a: 'a', at: { x: 25 * random.whole(0, 40), y: wall.highMm }, perMm: random.between(0.5, 3) }, { a: 'a', b: 'b', perMm: random.between(0.5, 3) }, { a: 'b', at: { x: 25 * random.whole(0, 40), y: 25 * random.whole(10, 30) }, perMm: random.between(0.5, 3) }]
      let least = Infinity
      const all = (one: Piece) => {
        const found: Body[] = []
        for (let x = 0; x + one.body.wide <= wall.wideMm; x += GRID_MM) for (let y = 0; y + one.body.high <= wall.highMm; y += GRID_MM) if (mayStand([{ ...one.body, x, y }], wall)) found.push({ ...one.body, x, y })
        return found
      }
      const [as, bs] = [all(pieces[0]!), all(pieces[1]!)]
      // The cheapest pairs are looked at first, so that few have to be judged.
      const priced: { a: Body, b: Body, cost: number }[] = []
      for (const a of as) for (const b of bs) priced.push({ a, b, cost: costOf(new Map([['a', a], ['b', b]]), pieces, links) })
      priced.sort((one, other) => one.cost - other.cost)
      for (const { a, b, cost } of priced) {
        if (mayStand([a, b], wall)) {
          least = cost
          break
        }
        seen.crowded++
      }
      const answer = placeOnWall({ wall, figures, fixed: [], pieces, links })
      if (least === Infinity) {
        seen.none++
        expect(answer).toBe('none')
        continue
      }
      seen.placed++
      if (typeof answer === 'string') throw new Error(answer)
      expect(answer.proved).toBe(true)
      expect(answer.cost).toBeCloseTo(least, 6)
      expect(answer.cost).toBeCloseTo(costOf(answer.places, pieces, links), 6)
      expect(mayStand(pieces.map(one => ({ ...one.body, ...answer.places.get(one.body.id)! })), wall)).toBe(true)
    }
    expect(seen.placed).toBeGreaterThan(12)
    expect(seen.none).toBeGreaterThan(0)
    expect(seen.crowded).toBeGreaterThan(100)
  }, 200_000)

  it('of up to six boxes on a real wall keep every distance, never cost less than what is shown to be possible, and are proved or say that they are not', () => {
    const random = seeded(78)
    let proved = 0
    for (let i = 0; i < 8; i++) {
      const wall: WallFacts = { ...plainWall, wideMm: 25 * random.whole(150, 220), highMm: 2600, blocks: [block('gas', 25 * random.whole(20, 60), 600, 300, 400, 200), block('window', 25 * random.whole(90, 130), 900, 700, 900, 0)] }
      const pieces = Array.from({ length: random.whole(2, 6) }, (_, n) => piece(`p${n}`, random))
      const links: Link[] = [{ a: 'p0', at: { x: 500, y: 2400 }, perMm: 1 }, ...pieces.slice(1).map((one, n): Link => ({ a: one.body.id, b: `p${random.whole(0, n)}`, perMm: random.between(0.5, 3) })), { a: pieces.at(-1)!.body.id, at: { x: wall.wideMm - 400, y: 1500 }, perMm: 2 }]
      const answer = placeOnWall({ wall, figures, fixed: [], pieces, links })
      if (typeof answer === 'string') throw new Error(answer)
      if (answer.proved) proved++
      expect(answer.boundCost).toBeLessThanOrEqual(answer.cost + 1e-6)
      expect(answer.cost).toBeCloseTo(costOf(answer.places, pieces, links), 6)
      const bodies = pieces.map(one => ({ ...one.body, ...answer.places.get(one.body.id)! }))
      expect(mayStand(bodies, wall)).toBe(true)
      // Nobody finds a better one by pushing a box about for a while.
      for (let k = 0; k < 400; k++) {
        const n = random.whole(0, bodies.length - 1)
        const moved = bodies.map((one, m) => m === n ? { ...one, x: one.x + 25 * random.whole(-12, 12), y: one.y + 25 * random.whole(-12, 12) } : one)
        if (answer.proved && mayStand(moved, wall)) expect(costOf(new Map(moved.map(one => [one.id, one])), pieces, links)).toBeGreaterThanOrEqual(answer.cost - 1e-6)
      }
    }
    expect(proved).toBeGreaterThan(3)
  }, 300_000)

  it('are judged as a stranger with a tape judges them, 4000 random pairs', () => {
    const random = seeded(79)
    const said = { yes: 0, no: 0 }
    for (let i = 0; i < 4000; i++) {
      const wall = smallWall(random)
      const bodies = [piece('a', random), piece('b', random)].map(one => ({ ...one.body, x: 25 * random.whole(0, 36), y: 25 * random.whole(0, 26) }))
      const may = mayStand(bodies, wall)
      expect(bodies.every((one, k) => troubleOf(one, bodies.filter((_, m) => m !== k), wall, figures) === null)).toBe(may)
      said[may ? 'yes' : 'no']++
    }
    expect(said.yes).toBeGreaterThan(200)
    expect(said.no).toBeGreaterThan(200)
  })
})

describe('places on two walls with several ways between them', () => {
  const rules = groundRules(grounded('main-panel'), bareGround)
  const flat = { groupId: null, wallId: 'a', deepMm: 100, wideMm: 150, highMm: 200 }
  it('cost as little as any on the grid by any ways, tried one by one', () => {
    const random = seeded(80)
    const seen = { several: 0, notShortest: 0 }
    for (let i = 0; i < 150; i++) {
      const walls = ['a', 'b'].map((id): Wall => ({ ...plainWall, id, wideMm: 25 * random.whole(16, 30), highMm: 25 * random.whole(14, 24), blocks: [] }))
      const spot = (wall: Wall) => ({ wallId: wall.id, xMm: 25 * random.whole(0, wall.wideMm / 25), yMm: 25 * random.whole(0, wall.highMm / 25) })
      const passages = Array.from({ length: random.whole(1, 3) }, (_, n) => ({ id: `p${n}`, from: spot(walls[0]!), to: spot(walls[1]!), mm: 10 * random.whole(10, 50) }))
      const stand = (wall: Wall) => ({ xMm: 25 * random.whole(0, (wall.wideMm - 150) / 25), yMm: 25 * random.whole(0, (wall.highMm - 200) / 25) })
      const first: Thing = { ...plainThing, ...flat, id: 'first', at: stand(walls[0]!) }
      const last: Thing = { ...plainThing, ...flat, id: 'last', wallId: 'b', at: stand(walls[1]!) }
      // From the first, which is there, to one that is free on the other wall, to one that is free on this, and back to the last.
      const things = [first, { ...plainThing, ...flat, id: 'b1', wallId: 'b', at: null }, { ...plainThing, ...flat, id: 'a1', at: null }, last]
      const ground = { ...bareGround, walls, passages, things }
      const edges = [0, 1, 2].map(n => ({ edge: { from: things[n]!, to: things[n + 1]! } as Edge, laid: { flows: [], choice: { size: '10 AWG' } } as unknown as Laid }))
      const perMm = perMetre(edges[0]!.laid, ground, rules) / 1000
      const free = (wall: Wall, other: Thing) => {
        const found: { x: number, y: number }[] = []
        for (let x = 0; x + 150 <= wall.wideMm; x += 25) for (let y = 0; y + 200 <= wall.highMm; y += 25) if (!(x < other.at!.xMm + 175 && other.at!.xMm < x + 175 && y < other.at!.yMm + 225 && other.at!.yMm < y + 225)) found.push({ x, y })
        return found
      }
      const entry = (at: { x: number, y: number }) => ({ x: at.x + 75, y: at.y + 100 })
      const leg = (at: { x: number, y: number }, end: { xMm: number, yMm: number }) => Math.abs(at.x - end.xMm) + Math.abs(at.y - end.yMm)
      let least = Infinity
      let byShortest = Infinity
      const shortest = Math.min(...passages.map(one => one.mm))
      for (const p of passages) for (const q of passages) for (const r of passages) {
        const fixed = leg(entry({ x: first.at!.xMm, y: first.at!.yMm }), p.from) + p.mm + q.mm + r.mm + leg(entry({ x: last.at!.xMm, y: last.at!.yMm }), r.to)
        const onB = Math.min(...free(walls[1]!, last).map(at => leg(entry(at), p.to) + leg(entry(at), q.to)))
        const onA = Math.min(...free(walls[0]!, first).map(at => leg(entry(at), q.from) + leg(entry(at), r.from)))
        least = Math.min(least, fixed + onA + onB)
        if ([p, q, r].every(one => one.mm === shortest)) byShortest = Math.min(byShortest, fixed + onA + onB)
      }
      const placing = placingOf(ground, edges, rules, false)
      if (least === Infinity) {
        expect(placing.without.length).toBeGreaterThan(0)
        continue
      }
      if (passages.length > 2) {
        expect(placing.allWays).toBe(false)
        expect(placing.cost).toBeGreaterThanOrEqual(perMm * least - 1e-6)
        continue
      }
      expect(placing).toMatchObject({ proved: true, allWays: true })
      expect(placing.cost).toBeCloseTo(perMm * least, 6)
      if (passages.length > 1) seen.several++
      if (byShortest > least + 1) seen.notShortest++
    }
    expect(seen.several).toBeGreaterThan(30)
    expect(seen.notShortest).toBeGreaterThan(8)
  }, 120_000)
})

describe('the way of cable', () => {
  const ground = { ...bareGround, walls: [plainWall, { ...plainWall, id: 'b' }, { ...plainWall, id: 'c' }] as Wall[], passages: [
    { id: 'near', from: { wallId: 'outside', xMm: 1000, yMm: 2000 }, to: { wallId: 'b', xMm: 500, yMm: 2000 }, mm: 300 },
    { id: 'far', from: { wallId: 'b', xMm: 3000, yMm: 1000 }, to: { wallId: 'c', xMm: 0, yMm: 1000 }, mm: 200 },
  ] }
  const mm = (parts: { mm: number }[] | null) => parts?.reduce((sum, one) => sum + one.mm, 0) ?? null
  it('goes along walls and up them, and by passages from one to another', () => {
    expect(mm(wayBetween({ wallId: 'outside', x: 0, y: 1000 }, { wallId: 'outside', x: 700, y: 1500 }, ground))).toBe(1200)
    // 1000 + 1000 to the passage, 300 through, 2500 + 1000 on b, 200 through, 100 + 0 on c.
    expect(mm(wayBetween({ wallId: 'outside', x: 0, y: 1000 }, { wallId: 'c', x: 100, y: 1000 }, ground))).toBe(2000 + 300 + 3500 + 200 + 100)
    expect(wayBetween({ wallId: 'outside', x: 0, y: 0 }, { wallId: 'z', x: 0, y: 0 }, ground)).toBeNull()
  })
  it('is drawn as it is measured, wall by wall, also where several lead there and where it crosses a third wall', () => {
    const base = grounded('main-panel')
    const own = base.ground!
    const [first] = own.walls
    const random = seeded(81)
    const spot = (wallId: string) => ({ wallId, xMm: 100 * random.whole(2, 25), yMm: 100 * random.whole(3, 24) })
    let crossed = 0
    for (let i = 0; i < 6; i++) {
      const passages = [[first!.id, 'b'], [first!.id, 'b'], ['b', 'c'], ['c', 'b']].map(([from, to], n) => ({ id: `p${n}`, from: spot(from!), to: spot(to!), mm: 50 * random.whole(2, 12) }))
      const at = () => ({ xMm: 25 * random.whole(4, 100), yMm: 25 * random.whole(10, 60) })
      const things = own.things.map((one, n) => ({ ...one, wallId: [first!.id, 'c', 'b'][n % 3]!, at: at() }))
      const job = after(base, { type: 'begin-ground', ground: { ...own, walls: [first!, { ...plainWall, id: 'b' }, { ...plainWall, id: 'c' }], passages, things } })
      const grid = gridOf(job)
      const measured = grid.runs.flatMap(run => run.length.parts).filter(part => part.what === 'on the wall').reduce((sum, part) => sum + part.mm, 0)
      const drawn = grid.ground.walls.flatMap(wall => wallFigure(grid, wall).figure.layers.find(one => one.layer === 'wall-runs')!.lines).reduce((sum, [a, b]) => sum + Math.hypot(a.x - b.x, a.y - b.y), 0)
      expect(drawn).toBeCloseTo(measured, 3)
      if (grid.runs.some(run => run.length.parts.filter(part => part.what === 'through').length > 1)) crossed++
    }
    expect(crossed).toBeGreaterThan(2)
  })
  it('thirty things have thirty letters', () => {
    const things = Array.from({ length: 30 }, (_, n) => ({ ...plainThing, id: `t${n}` }))
    const letters = things.map(one => letterOf({ ground: { ...bareGround, things } }, one.id))
    expect(new Set(letters).size).toBe(30)
    expect(letters.every(one => /^[A-Z]\d?$/.test(one))).toBe(true)
  })
})
