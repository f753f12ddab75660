import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/fixtures/random'
import type { Point } from '../geometry'
import { adjust, bestFurtherReading, type TapedLength } from './adjust'

const distance = (a: Point, b: Point) => Math.hypot(b.x - a.x, b.y - a.y)
const sides = (n: number) => Array.from({ length: n }, (_, i) => [i, (i + 1) % n] as const)
const tape = (corners: Point[], pairs: readonly (readonly [number, number])[], sdMm = 3): TapedLength[] =>
  pairs.map(([from, to]) => ({ from, to, mm: distance(corners[from]!, corners[to]!), sdMm }))
const normal = (random: ReturnType<typeof seeded>) => Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next())

function adjusted(start: Point[], lengths: TapedLength[]) {
  const result = adjust(start, lengths)
  if (result.kind !== 'adjusted') throw new Error(result.kind)
  return result.adjustment
}

describe('triangles', () => {
  it('3-4-5 is right-angled', () => {
    const { corners } = adjusted([{ x: 0, y: 0 }, { x: 3900, y: 0 }, { x: 300, y: 2500 }], [
      { from: 0, to: 1, mm: 4000, sdMm: 3 },
      { from: 1, to: 2, mm: 5000, sdMm: 3 },
      { from: 2, to: 0, mm: 3000, sdMm: 3 },
    ])
    expect(corners[2]!.x).toBeCloseTo(0, 6)
    expect(corners[2]!.y).toBeCloseTo(3000, 6)
  })
  it('has the area of Heron’s formula', () => {
    const random = seeded(8)
    for (let i = 0; i < 50; i++) {
      const [a, b] = [random.between(3000, 9000), random.between(3000, 9000)]
      const c = random.between(Math.abs(a - b) + 800, a + b - 800)
      const s = (a + b + c) / 2
      const heron = Math.sqrt(s * (s - a) * (s - b) * (s - c))
      const { corners } = adjusted([{ x: 0, y: 0 }, { x: a, y: 0 }, { x: a / 2, y: 2000 }], [
        { from: 0, to: 1, mm: a, sdMm: 3 },
        { from: 1, to: 2, mm: b, sdMm: 3 },
        { from: 2, to: 0, mm: c, sdMm: 3 },
      ])
      expect(Math.abs(corners[1]!.x * corners[2]!.y) / 2).toBeCloseTo(heron, 2)
    }
  })
  it('with a side longer than the other two can’t be', () => {
    expect(adjust([{ x: 0, y: 0 }, { x: 9000, y: 0 }, { x: 4500, y: 1000 }], [
      { from: 0, to: 1, mm: 9000, sdMm: 3 },
      { from: 1, to: 2, mm: 3000, sdMm: 3 },
      { from: 2, to: 0, mm: 3000, sdMm: 3 },
    ]).kind).toBe('impossible')
  })
})

/** A convex quadrilateral with every angle over 5 degrees, standing on its eave. */
function quadrilateral(random: ReturnType<typeof seeded>): Point[] {
  for (;;) {
    const corners = [
      { x: 0, y: 0 },
      { x: random.between(4000, 14_000), y: 0 },
      { x: random.between(1000, 14_000), y: random.between(2000, 7000) },
      { x: random.between(-3000, 6000), y: random.between(2000, 7000) },
    ]
    const angles = corners.map((point, i) => {
      const before = corners[(i + 3) % 4]!
      const after = corners[(i + 1) % 4]!
      const cross = (after.x - point.x) * (before.y - point.y) - (after.y - point.y) * (before.x - point.x)
      return Math.atan2(cross, (after.x - point.x) * (before.x - point.x) + (after.y - point.y) * (before.y - point.y))
    })
    if (angles.every(angle => angle > 5 * Math.PI / 180 && angle < 175 * Math.PI / 180)) return corners
  }
}

describe('quadrilaterals', () => {
  it('are rebuilt to 0.01 mm from sides and both diagonals, 300 random convex ones', () => {
    const random = seeded(21)
    for (let i = 0; i < 300; i++) {
      const truth = quadrilateral(random)
      const start = truth.map((point, k) => k < 2 ? { ...point } : { x: point.x + random.between(-250, 250), y: point.y + random.between(-250, 250) })
      const { corners } = adjusted(start, tape(truth, [...sides(4), [0, 2], [1, 3]]))
      corners.forEach((point, k) => expect(distance(point, truth[k]!)).toBeLessThan(0.01))
    }
  })

  it('with one diagonal are held but nothing is checked; with none they fold', () => {
    const truth = quadrilateral(seeded(2))
    const one = adjusted(truth, tape(truth, [...sides(4), [0, 2]]))
    expect(one.redundancy).toBe(0)
    expect(one.checks.every(check => check.detectableMm === null)).toBe(true)
    expect(adjust(truth, tape(truth, sides(4)))).toMatchObject({ kind: 'loose', missing: 1 })
  })

  it('with both diagonals show that something is wrong but never what', () => {
    const truth = quadrilateral(seeded(3))
    const lengths = tape(truth, [...sides(4), [0, 2], [1, 3]])
    lengths[1]!.mm += 400
    const { suspects, checks, redundancy, corners } = adjusted(truth, lengths)
    expect(redundancy).toBe(1)
    expect(suspects).toHaveLength(6)
    expect(checks.every(check => check.inseparable.length === 5)).toBe(true)
    const further = bestFurtherReading(corners, lengths, suspects, 3)!
    // A repeat of one length tells that one from the other five, which stay together.
    expect(further.separates).toBe(5)
  })
})

it('an L by six sides and one diagonal is not enough: two lengths are missing, and the loose corners are named', () => {
  const l = [{ x: 0, y: 0 }, { x: 9000, y: 0 }, { x: 9000, y: 3000 }, { x: 5000, y: 3000 }, { x: 5000, y: 6000 }, { x: 0, y: 6000 }]
  const result = adjust(l, tape(l, [...sides(6), [0, 2]]))
  expect(result).toMatchObject({ kind: 'loose', missing: 2 })
  if (result.kind === 'loose') {
    expect(result.looseCorners).toEqual([3, 4, 5])
  }
  expect(adjust(l, tape(l, [...sides(6), [0, 2], [0, 3], [0, 4]])).kind).toBe('adjusted')
})

it('on simulation finds errors over their detectable size at least four times in five, and names them where it can', () => {
  const random = seeded(77)
  // Five corners with every diagonal: ten lengths for seven unknowns.
  const truth = [{ x: 0, y: 0 }, { x: 9000, y: 0 }, { x: 10_500, y: 4000 }, { x: 5200, y: 7000 }, { x: -800, y: 4300 }]
  const pairs = truth.flatMap((_, i) => truth.slice(i + 1).map((_, k) => [i, i + 1 + k] as const))
  const sound = adjusted(truth, tape(truth, pairs))
  let detected = 0
  let named = 0
  let namable = 0
  const runs = 800
  for (let run = 0; run < runs; run++) {
    const lengths = tape(truth, pairs).map(one => ({ ...one, mm: one.mm + 3 * normal(random) }))
    const wrong = random.whole(0, lengths.length - 1)
    const check = sound.checks[wrong]!
    lengths[wrong]!.mm += (random.next() < 0.5 ? -1 : 1) * 1.6 * check.detectableMm!
    const { suspects } = adjusted(truth, lengths)
    if (suspects.length) detected++
    if (suspects.length && !check.inseparable.length) {
      namable++
      if (suspects[0] === wrong) named++
    }
  }
  expect(detected / runs).toBeGreaterThan(0.8)
  expect(namable).toBeGreaterThan(100)
  expect(named / namable).toBeGreaterThan(0.9)
})

it('finds an error of just its detectable size about four times in five', () => {
  const random = seeded(78)
  const truth = quadrilateral(seeded(4))
  const lengths = tape(truth, [...sides(4), [0, 2], [1, 3]])
  const limit = adjusted(truth, lengths).checks[0]!.detectableMm!
  let detected = 0
  for (let run = 0; run < 1500; run++) {
    const noisy = lengths.map((one, i) => ({ ...one, mm: one.mm + 3 * normal(random) + (i === 0 ? limit : 0) }))
    if (adjusted(truth, noisy).suspects.length) detected++
  }
  expect(detected / 1500).toBeGreaterThan(0.76)
  expect(detected / 1500).toBeLessThan(0.85)
})
