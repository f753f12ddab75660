import { describe, expect, it } from 'vitest'
import type { Face } from '../../core/job'
import type { Point } from '../../core/geometry'
import { planJob } from '../../core/plan'
import { homeRoute } from '../../core/wiring'
import { demoJobs } from '../../db/demo/jobs'
import { changed, catalogue } from '../fixtures/jobs'
import { type Random, seeded } from '../fixtures/random'
import { bare, european, group, optimised, withUnits } from '../fixtures/wiring'

/** Home runs are laid over the lines that matter; here the whole face is a raster of 10 mm whose costs are swept until none falls any more. */
const CELL = 10
const WIDE = 6000
const HIGH = 3000
const OFF_RAIL = 1.15

interface Roof { obstructions: Face['obstructions'], rails: number[], from: Point, to: Point }
const tens = (random: Random, from: number, to: number): number => 20 * random.whole(Math.ceil(from / 20), Math.floor(to / 20))
const inBlock = (roof: Roof, { x, y }: Point): boolean => roof.obstructions.some(one => Math.abs(x - one.xMm) < one.widthMm / 2 + 50 - 1e-6 && Math.abs(y - one.yMm) < (one.round ? one.widthMm : one.heightMm) / 2 + 50 - 1e-6)

function randomRoof(random: Random): Roof {
  for (;;) {
    const roof: Roof = {
      obstructions: Array.from({ length: random.whole(1, 6) }, (_, i) => {
        const round = random.next() < 0.4
        // As wide as a chimney or a dormer, and they may overlap.
        return { id: `o${i}`, kind: round ? 'vent' : 'chimney', round, xMm: tens(random, 300, WIDE - 300), yMm: tens(random, 300, HIGH - 300), widthMm: 40 * random.whole(3, 40), heightMm: 40 * random.whole(3, 40), clearanceMm: 0 }
      }) as Face['obstructions'],
      rails: Array.from({ length: random.whole(0, 6) }, () => tens(random, 100, HIGH - 100)),
      from: { x: tens(random, 0, WIDE), y: tens(random, 0, HIGH) }, to: { x: tens(random, 0, WIDE), y: tens(random, 0, HIGH) },
    }
    if (!inBlock(roof, roof.from) && !inBlock(roof, roof.to)) return roof
  }
}

/** Least cost from one place to the other over the raster, in which a run beyond the face's own edges is allowed as far as obstructions reach. */
function sweptCost(roof: Roof): number {
  const margin = 1000
  const [cols, rows] = [(WIDE + 2 * margin) / CELL + 1, (HIGH + 2 * margin) / CELL + 1]
  const at = (col: number, row: number): Point => ({ x: col * CELL - margin, y: row * CELL - margin })
  const shut = new Uint8Array(cols * rows)
  for (let r = 0; r < rows; r++) for (let c = 0; c < cols; c++) if (inBlock(roof, at(c, r))) shut[r * cols + c] = 1
  const cost = new Float64Array(cols * rows).fill(Infinity)
  const cell = ({ x, y }: Point) => Math.round((y + margin) / CELL) * cols + Math.round((x + margin) / CELL)
  cost[cell(roof.from)] = 0
  const alongAt = Array.from({ length: rows }, (_, r) => roof.rails.some(mm => Math.abs(mm - at(0, r).y) < 1) ? CELL : CELL * OFF_RAIL)
  const relax = (to: number, from: number, by: number): boolean => {
    if (shut[to] || cost[from]! + by >= cost[to]! - 1e-6) return false
    cost[to] = cost[from]! + by
    return true
  }
  for (let falls = true; falls;) {
    falls = false
    for (const [dr, dc] of [[1, 1], [1, -1], [-1, 1], [-1, -1]] as const) {
      for (let i = 0, r = dr > 0 ? 0 : rows - 1; i < rows; i++, r += dr) {
        for (let j = 0, c = dc > 0 ? 0 : cols - 1; j < cols; j++, c += dc) {
          const own = r * cols + c
          if (c - dc >= 0 && c - dc < cols && relax(own, own - dc, alongAt[r]!)) falls = true
          if (r - dr >= 0 && r - dr < rows && relax(own, own - dr * cols, CELL)) falls = true
        }
      }
    }
  }
  return cost[cell(roof.to)]!
}

/** What a route costs, and whether it runs through anything, seen every 10 mm. */
function walked({ rails, ...roof }: Roof, points: Point[]): { cost: number, mm: number, through: boolean } {
  let [cost, mm, through] = [0, 0, false]
  for (const [i, b] of points.slice(1).entries()) {
    const a = points[i]!
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const length = Math.abs(dx) + Math.abs(dy)
    mm += length
    cost += Math.abs(dy) + Math.abs(dx) * (rails.some(rail => Math.abs(rail - a.y) < 1) ? 1 : OFF_RAIL)
    for (let s = 0; s <= length; s += CELL) if (length && inBlock({ rails, ...roof }, { x: a.x + dx * s / length, y: a.y + dy * s / length })) through = true
    if (dx && dy) through = true
  }
  return { cost, mm, through }
}

describe('a home run round what stands on the face', () => {
  it('costs what a swept raster finds on 60 random faces, and runs through nothing', () => {
    let round = 0
    for (let i = 0; i < 60; i++) {
      const roof = randomRoof(seeded(4100 + i))
      const route = homeRoute({ obstructions: roof.obstructions }, roof.from, roof.to, roof.rails)
      const own = walked(roof, route.points)
      expect([i, own.through]).toEqual([i, false])
      expect(route.points[0]).toEqual(roof.from)
      expect(route.points.at(-1)).toEqual(roof.to)
      expect(route.mm).toBeCloseTo(own.mm, 6)
      expect([i, own.cost]).toEqual([i, expect.closeTo(sweptCost(roof), 3)])
      if (own.mm > Math.abs(roof.from.x - roof.to.x) + Math.abs(roof.from.y - roof.to.y) + 1) round++
    }
    // Enough of them have to go a longer way.
    expect(round).toBeGreaterThan(8)
  }, 120_000)
})

/** Ohms a mm by the tables' own units: 1000 ft are 304.8 m; class 5 copper at 90 °C. */
const OHMS: Record<string, number> = { '14 AWG': 3.14 / 304_800, '12 AWG': 1.98 / 304_800, '10 AWG': 1.24 / 304_800, '8 AWG': 0.778 / 304_800, '6 AWG': 0.491 / 304_800, '4 AWG': 0.308 / 304_800, '2.5 mm²': 8.21 * 1.2751e-6, '4 mm²': 5.09 * 1.2751e-6, '6 mm²': 3.39 * 1.2751e-6, '10 mm²': 1.95 * 1.2751e-6, '16 mm²': 1.24 * 1.2751e-6 }

describe('volts lost on a string', () => {
  it('are its current round the whole loop, wire by wire from the plus of its inverter back to its minus', () => {
    let strings = 0
    for (let i = 0; i < 24; i++) {
      const random = seeded(5200 + i)
      const roof = changed({ outline: { kind: 'rectangle', eaveLengthMm: random.between(6000, 14_000), slopeLengthMm: random.between(3800, 7600) } }, { rows: [], rowCount: null })
      const base = random.next() < 0.5 ? european(roof) : roof
      const below = { mm: random.whole(4000, 30_000), size: random.pick(base === roof ? ['10 AWG', '8 AWG'] as const : ['6 mm²', '10 mm²'] as const) }
      const system = random.pick([bare('quillon-high'), withUnits('quillon-two'), optimised])
      const plan = planJob({ ...base, wiring: { ...base.wiring, groups: [group(system)], coldC: -8, hotC: 38, below } }, catalogue)
      for (const one of plan.wiring.circuits) {
        if (one.kind !== 'string') continue
        strings++
        const { inverter, unit } = plan.wiring.groups[0]!
        const plate = one.modules[0]!.plate!
        const held = inverter!.heldV
        const amps = held === null ? plate.impA * (1 + (plate.overPlate ?? 0)) * (1 + (plate.backGain ?? 0)) : one.modules.length * one.modules[0]!.powerW / held
        // From module to module: from where one lead leaves to where the next one does, along the eave and up the slope, and 100 mm loose.
        const hops = one.modules.slice(1).reduce((sum, to, k) => {
          const from = one.modules[k]!
          const [a, b] = unit?.outLeadMm ? [from.middle.at, to.middle.at] : [from.minus.at, to.plus.at]
          return sum + Math.abs(a.x - b.x) + Math.abs(a.y - b.y) + 100
        }, 0)
        const lead = base === roof ? OHMS['12 AWG']! : OHMS['4 mm²']!
        const loop = hops * lead + (one.plus.mm + one.minus.mm) * OHMS[one.plus.size]! + 2 * below.mm * OHMS[below.size]!
        expect([i, one.number, one.drop.volts]).toEqual([i, one.number, expect.closeTo(amps * loop, 2)])
        expect(one.drop.share).toBeCloseTo(one.drop.volts / (held ?? one.modules.length * plate.vmpV), 9)
      }
    }
    expect(strings).toBeGreaterThan(24)
  }, 60_000)
  it('of the demo’s branches hold what all branches together push through the runs below, one current a branch above them', () => {
    let branches = 0
    for (const { job } of demoJobs) {
      const { circuits, groups } = planJob({ ...job, ground: null, wiring: { ...job.wiring, below: { mm: 12_000, size: '8 AWG' } } }, catalogue).wiring
      for (const one of circuits) {
        if (one.kind !== 'branch') continue
        branches++
        const together = circuits.filter(other => other.groupId === one.groupId).reduce((sum, other) => sum + other.currentA, 0)
        const share = (what: string) => one.drop.parts.find(part => part.what === what)!.volts
        // Alternating current in a raceway: 0.78 ohm a 1000 ft of 8 AWG (chapter 9, table 9).
        expect(share('runs below the roof box')).toBeCloseTo(2 * 12_000 * 0.78 / 304_800 * together, 6)
        expect(share('home run')).toBeCloseTo(2 * one.home.mm * OHMS[one.home.size]! * one.units.length * one.limit.unitA, 4)
        expect(groups.some(group => group.group.id === one.groupId)).toBe(true)
      }
    }
    expect(branches).toBeGreaterThan(4)
  }, 60_000)
})

/** Copper at 75 and 90 °C in 30 °C air, thinnest first, and the largest device of small ones (NEC 310.16, 240.4(D), from memory). */
const COPPER: [size: string, at75: number, at90: number, device: number][] = [['14 AWG', 20, 25, 15], ['12 AWG', 25, 30, 20], ['10 AWG', 35, 40, 30], ['8 AWG', 50, 55, 50], ['6 AWG', 65, 75, 65], ['4 AWG', 85, 95, 85]]
/** Heat by the equation that the table is made from, at the end of its band of 5 °C: √((90 − T) / (90 − 30)) (NEC 310.15(B), equation). */
const heatShare = (c: number): number => Math.round(100 * Math.sqrt((90 - 5 * Math.ceil(c / 5)) / 60)) / 100
const companyShare = (n: number): number => n <= 3 ? 1 : n <= 6 ? 0.8 : n <= 9 ? 0.7 : 0.5

describe('home runs on American roofs', () => {
  it('carry their current with the heat and all home runs of their group beside them, and none thinner does both that and the volts', () => {
    let [bunched, upsized] = [0, 0]
    for (let i = 0; i < 60; i++) {
      const random = seeded(6300 + i)
      const roof = changed({ outline: { kind: 'rectangle', eaveLengthMm: random.between(6000, 15_000), slopeLengthMm: random.between(3800, 7600) } }, { rows: [], rowCount: null })
      const system = random.pick([{}, withUnits('quillon-two'), optimised])
      const [hotC, overRoofMm] = [random.whole(26, 45), random.pick([10, 40])]
      const { circuits } = planJob({ ...roof, wiring: { ...roof.wiring, groups: [group(system)], coldC: -8, hotC, overRoofMm } }, catalogue).wiring
      const share = heatShare(hotC + (overRoofMm < 22 ? 33 : 0)) * companyShare(2 * circuits.length)
      if (circuits.length > 1) bunched++
      for (const one of circuits) {
        const home = one.kind === 'branch' ? one.home : one.plus
        const [terminalA, afterA, deviceA] = one.kind === 'branch'
          ? [1.25 * one.currentA, one.currentA, one.limit.deviceA]
          : system === optimised ? [1.25 * one.currentA, one.currentA, 0] : [1.5625 * one.iscA, 1.25 * one.iscA, one.fuseA ?? 0]
        const able = COPPER.filter(([, at75, at90, device]) => at75 >= terminalA && at90 * share >= afterA && device >= deviceA).map(([size]) => size)
        expect([i, one.number, able.includes(home.size)]).toEqual([i, one.number, home.carries])
        const homeMm = one.kind === 'branch' ? one.home.mm : (one.plus.mm + one.minus.mm) / 2
        const keeps = (size: string) => one.drop.volts + 2 * homeMm * (OHMS[size]! - OHMS[home.size]!) * one.currentA <= one.drop.limit * one.drop.ofV + 1e-6
        // Where none keeps the volts, the thinnest that carries it.
        expect([i, one.number, home.size]).toEqual([i, one.number, able.find(keeps) ?? able[0] ?? home.size])
        if (able[0] && able[0] !== home.size) upsized++
      }
    }
    expect(bunched).toBeGreaterThan(15)
    expect(upsized).toBeGreaterThan(3)
  }, 60_000)
})

describe('a string that somebody led over to another face', () => {
  it('has its + on one face and its − on one, wherever they are', () => {
    const job = demoJobs.find(one => one.job.title === 'Mizzen Terrace 11')!.job
    const plan = planJob(job, catalogue)
    const strings = plan.wiring.circuits.filter(one => one.kind === 'string')
    const guest = strings[1]!.modules[0]!
    const after = planJob({ ...job, wiring: { ...job.wiring, putIn: [{ faceId: guest.faceId, moduleId: guest.id, circuit: strings[0]!.number }] } }, catalogue)
    expect(after.wiring.circuits.find(one => one.number === strings[0]!.number)!.faceIds).toHaveLength(2)
    for (const one of after.wiring.circuits) {
      const drawn = after.faces.flatMap(face => face.wiring!.here.filter(here => here.number === one.number))
      expect([drawn.filter(here => here.plus).length, drawn.filter(here => here.minus).length]).toEqual([1, 1])
    }
  })
})
