import { describe, expect, it } from 'vitest'
import { catalogue, changed, planOf } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { firstCrossing, signedAreaMm2 } from '../geometry'
import { type Outline, outlineSchema, plainKeepClear } from '../job'
import { keepClear, noClaims } from '../keepclear'
import { planJob } from '../plan'
import { cornerLetter, diagonalPairs, formOf, outlineAs, placeAlong, readingAlong, shapeOf, squareness } from './index'

type Taped = Extract<Outline, { kind: 'taped' }>
const taped = (form: Taped['form'], sides: [number, Taped['sides'][number]['edge']][], diagonals: [number, number, number][] = []): Taped =>
  ({ kind: 'taped', form, tapeSdMm: 3, sides: sides.map(([mm, edge]) => ({ mm, edge })), diagonals: diagonals.map(([from, to, mm]) => ({ from, to, mm })) })
const hipSide = (diagonals: [number, number, number][] = []) => taped('quadrilateral', [[12_000, 'eave'], [5000, 'hip'], [6000, 'ridge'], [5000, 'hip']], diagonals)
const l: Outline = {
  kind: 'corners',
  corners: [
    [0, 0, 'eave'],
    [9000, 0, 'rake'],
    [9000, 3000, 'ridge'],
    [5000, 3000, 'wall'],
    [5000, 6000, 'ridge'],
    [0, 6000, 'rake'],
  ].map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })) as Extract<Outline, { kind: 'corners' }>['corners'],
}

describe('shapes', () => {
  it('a hip side by its four sides stands level: 3-4-5 at both ends', () => {
    const { region, up, eave, edges } = shapeOf(hipSide())
    expect(region[0]!.map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual([[0, 0], [12_000, 0], [9000, 4000], [3000, 4000]])
    expect([up.toMm, eave.toMm]).toEqual([expect.closeTo(4000, 6), 12_000])
    expect(edges.map(edge => edge.name)).toEqual(['eave', 'right hip', 'ridge', 'left hip'])
  })
  it('with true diagonals it is the same shape, proved', () => {
    const diagonal = Math.hypot(9000, 4000)
    const { adjusted, region } = shapeOf(hipSide([[0, 2, diagonal], [1, 3, diagonal]]))
    expect(adjusted?.kind === 'adjusted' && adjusted.adjustment.redundancy).toBe(1)
    expect(region[0]![2]!.x).toBeCloseTo(9000, 3)
  })
  it('an L and a triangle by tape start from the shape one would draw', () => {
    expect(shapeOf(taped('l-low-right', [[9000, 'eave'], [3000, 'rake'], [4000, 'ridge'], [3000, 'wall'], [5000, 'ridge'], [6000, 'rake']])).region).toEqual(shapeOf(l).region)
    const triangle = shapeOf(taped('triangle', [[6000, 'eave'], [5000, 'hip'], [5000, 'hip']])).region[0]!
    expect(triangle[2]!.x).toBeCloseTo(3000, 6)
    expect(triangle[2]!.y).toBeCloseTo(4000, 6)
  })
  it('changing how a shape is entered keeps its size', () => {
    const rectangle: Outline = { kind: 'rectangle', eaveLengthMm: 9000, slopeLengthMm: 5000 }
    for (const form of ['quadrilateral', 'corners'] as const) {
      const other = outlineAs(rectangle, form)
      expect(formOf(other)).toBe(form)
      expect(outlineSchema.safeParse(other).success).toBe(true)
      expect(Math.abs(signedAreaMm2(shapeOf(other).region[0]!))).toBeCloseTo(45e6, 0)
    }
    for (const form of ['triangle', 'l-low-left', 'l-low-right', 'rectangle'] as const) {
      const other = outlineAs(l, form)
      expect(outlineSchema.safeParse(other).success).toBe(true)
      const { along, up } = shapeOf(other)
      expect([along.toMm - along.fromMm, up.toMm]).toEqual([expect.closeTo(9000, 6), expect.closeTo(6000, 6)])
    }
  })
  it('tells how far off square', () => {
    expect(squareness(hipSide()).leftDeg).toBeCloseTo(53.1301, 3)
    expect(squareness(hipSide()).leanMm).toBeCloseTo(3000, 6)
  })
  it('letters corners and pairs them', () => {
    expect([0, 1, 25, 26].map(cornerLetter)).toEqual(['A', 'B', 'Z', 'A1'])
    expect(diagonalPairs(4)).toEqual([[0, 2], [1, 3]])
    expect(diagonalPairs(6)).toHaveLength(9)
  })
  it('readings and places are each other’s way back, from either end', () => {
    for (const datum of ['left', 'right'] as const) {
      const face = { datum, outline: l }
      expect(placeAlong(face, readingAlong(face, 1234))).toBeCloseTo(1234, 9)
    }
    expect(readingAlong({ datum: 'right', outline: l }, 1000)).toBe(8000)
  })
})

describe('bad outlines are refused with a sentence', () => {
  const refusal = (outline: unknown) => {
    const parsed = outlineSchema.safeParse(outline)
    return parsed.success ? '' : parsed.error.issues.map(issue => issue.message).join(' ')
  }
  const corners = (points: [number, number][], edge = 'eave') => ({ kind: 'corners', corners: points.map(([xMm, yMm]) => ({ xMm, yMm, edge })) })
  it('crossing itself, folding back, clockwise, without an eave, with the wrong number of sides', () => {
    expect(refusal(corners([[0, 0], [9000, 0], [0, 5000], [9000, 5000]]))).toContain('crosses itself')
    expect(refusal(corners([[0, 0], [9000, 0], [4000, 0], [4000, 5000]]))).toContain('crosses itself')
    expect(refusal(corners([[0, 0], [0, 5000], [9000, 5000], [9000, 0]]))).toContain('anticlockwise')
    expect(refusal(corners([[0, 0], [9000, 0], [9000, 5000]], 'hip'))).toContain('eave')
    expect(refusal({ ...hipSide(), form: 'triangle' })).toContain('3 sides')
    expect(refusal(hipSide([[0, 0, 500]]))).toContain('different corners')
  })
  it('says which edges cross', () => {
    expect(firstCrossing([{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 0, y: 10 }, { x: 10, y: 10 }])).toEqual([1, 3])
    expect(firstCrossing([{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 10, y: 10 }])).toBeNull()
  })
})

describe('what tape findings say', () => {
  const ids = (outline: Outline) => planJob(changed({ outline }), catalogue).findings.filter(finding => finding.stage === 'survey')
  it('loose, unchecked, wrong, impossible, and nothing when all is well', () => {
    const diagonal = Math.hypot(9000, 4000)
    expect(ids(hipSide())[0]).toMatchObject({ id: 'tape-loose:main', severity: 'caution' })
    expect(ids(hipSide())[0]!.sentence).toContain('1 more length is needed')
    expect(ids(hipSide([[0, 2, diagonal]]))[0]).toMatchObject({ id: 'tape-unchecked:main', severity: 'note' })
    expect(ids(hipSide([[0, 2, diagonal], [1, 3, diagonal]]))).toEqual([])
    const wrong = ids(hipSide([[0, 2, diagonal + 250], [1, 3, diagonal]]))[0]!
    expect(wrong.id).toBe('tape-wrong:main')
    expect(wrong.sentence).toMatch(/can’t be told which of .*AC.*Tape .. again/)
    // A third reading of the diagonal that agrees with the second leaves only the first wrong.
    const named = ids(hipSide([[0, 2, diagonal + 250], [1, 3, diagonal], [0, 2, diagonal], [0, 2, diagonal + 1]]))[0]!
    expect(named.sentence).toContain('AC does not agree')
    expect(ids(taped('triangle', [[9000, 'eave'], [2000, 'hip'], [2000, 'hip']]))[0]).toMatchObject({ id: 'tape-impossible:main', severity: 'stop' })
  })
  it('an obstruction off the face can be taken off', () => {
    const plan = planJob(changed({ obstructions: [{ id: 'a', kind: 'vent', round: true, xMm: 50_000, yMm: 100, widthMm: 100, heightMm: 100, clearanceMm: 50 }] }), catalogue)
    expect(plan.findings.find(finding => finding.id === 'obstruction-outside:main:a')!.cures).toHaveLength(1)
  })
})

/** Distance from a point to a segment. */
function distanceTo(p: { x: number, y: number }, a: { x: number, y: number }, b: { x: number, y: number }): number {
  const length = (b.x - a.x) ** 2 + (b.y - a.y) ** 2
  const t = Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / length))
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y))
}

it('modules beside hips, round chimneys and in the crook of an L lie clear of every edge and obstruction by its rule', () => {
  const random = seeded(6)
  for (const outline of [hipSide(), l, taped('triangle', [[12_000, 'eave'], [8000, 'hip'], [8500, 'hip']])]) {
    const obstructions = [
      { id: 'v', kind: 'vent' as const, round: true, xMm: 3500, yMm: 1800, widthMm: 200, heightMm: 200, clearanceMm: 100 },
      { id: 'c', kind: 'chimney' as const, round: false, xMm: 6000, yMm: 1500, widthMm: 700, heightMm: 500, clearanceMm: 250 },
    ]
    const setbacks = { eaveMm: 200, ridgeMm: 300, leftRakeMm: 400, rightRakeMm: 250, hipMm: 350, valleyMm: 100, wallMm: 500 }
    const face = changed({ outline, obstructions, setbacks }).faces[0]!
    const { edges } = shapeOf(outline)
    const plan = planOf(face)
    expect(plan.rows.rows.filter(one => one.fits && one.count > 0).length).toBeGreaterThan(0)
    const depth = (edge: typeof edges[number]) => ({ eave: 200, ridge: 300, rake: edge.side === 'left' ? 400 : 250, hip: 350, valley: 100, wall: 500 })[edge.kind]
    for (const row of plan.rows.rows.filter(one => one.fits)) {
      for (const left of row.moduleLeftsMm) {
        for (let i = 0; i < 60; i++) {
          const p = { x: left + random.next() * plan.rows.moduleWidthMm, y: row.bottomMm + random.next() * plan.rows.moduleHeightMm }
          for (const edge of edges) expect(distanceTo(p, edge.from, edge.to)).toBeGreaterThanOrEqual(depth(edge) - 0.01)
          expect(Math.hypot(p.x - 3500, p.y - 1800)).toBeGreaterThanOrEqual(100 + 100 - 0.01)
          expect(Math.abs(p.x - 6000) >= 350 + 250 - 0.01 || Math.abs(p.y - 1500) >= 250 + 250 - 0.01).toBe(true)
        }
      }
    }
    expect(keepClear(face, plainKeepClear, noClaims).strips).toHaveLength(edges.length + 2)
  }
})
