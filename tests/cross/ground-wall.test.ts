import { describe, expect, it } from 'vitest'
import { figuresOf } from '../../core/electrical'
import { type Body, GRID_MM, type Link, type Piece, placeOnWall, troubleOf, wayBetween, type WallFacts } from '../../core/ground'
import type { Block, Wall } from '../../core/job'
import { bareGround, plainWall } from '../../core/job'
import { type Random, seeded } from '../fixtures/random'

const figures = figuresOf('2023')

/** What a stranger with a tape would say of a wall: every mm column before a box is looked at, one by one. */
function mayStand(bodies: Body[], wall: WallFacts): boolean {
  const meets = (a: { x: number, y: number, wide: number, high: number }, b: { x: number, y: number, wide: number, high: number }, gap: number) => a.x < b.x + b.wide + gap && b.x < a.x + a.wide + gap && a.y < b.y + b.high + gap && b.y < a.y + a.high + gap
  for (const [i, one] of bodies.entries()) {
    if (one.x < 0 || one.y < 0 || one.x + one.wide > wall.wideMm || one.y + one.high > wall.highMm) return false
    if (one.handle !== null && one.y + one.handle > 79 * 25.4) return false
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
    wideMm, highMm: 25 * random.whole(28, 40), corner: { left: random.next() < 0.3, right: random.next() < 0.3 }, sleeping: false, place: 'outside',
    blocks: random.next() < 0.5 ? [block(random.pick(['other', 'window'] as const), 25 * random.whole(6, 30), 25 * random.whole(2, 20), 25 * random.whole(2, 6), 25 * random.whole(2, 8), random.pick([0, 400]))] : [],
  }
}
const piece = (id: string, random: Random): Piece => {
  const [wide, high] = [25 * random.whole(6, 12), 25 * random.whole(8, 14)]
  return { body: { id, name: id, wide, high, deep: random.pick([90, 120, 300]), handle: random.next() < 0.5 ? high - 25 : null, door: random.pick(['none', 'left', 'right'] as const), works: random.next() < 0.7, store: null }, entry: { x: Math.round(wide / 50) * 25, y: Math.round(high / 50) * 25 } }
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
})
