import { describe, expect, it } from 'vitest'
import { areaMm2, common, type Point, together } from '../../geometry'
import { type Face, faceSchema, type Outline, starterFace } from '../../job'
import { hipLengthMm, radians } from '../../units'
import type { LaidFace } from '../from-plan'
import { shapeOf } from '../outline'
import { fromPlan, planOutline, toPlan } from '../placement'
import { type RoofForm, roofFaces } from './forms'

const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const faceOf = (laid: LaidFace, i = 1): Face => {
  const face = starterFace(`f${i}`, laid.name, 'metric', parts)
  return { ...face, outline: laid.outline, pitchDeg: laid.pitchDeg, place: { ...face.place, ...laid.place } }
}
const made = (form: RoofForm): Face[] => {
  const result = roofFaces(form)
  if (!result.ok) throw new Error(result.problem)
  return result.value.map(faceOf)
}
const lengths = (outline: Outline) => shapeOf(outline).edges.map(edge => ({ kind: edge.kind, mm: Math.hypot(edge.to.x - edge.from.x, edge.to.y - edge.from.y) }))

const forms: [string, RoofForm, number, number][] = [
  ['gable', { kind: 'gable', lengthMm: 11_000, depthMm: 8000, pitchDeg: 33, azimuthDeg: 180 }, 2, 11_000 * 8000],
  ['hip', { kind: 'hip', lengthMm: 12_000, depthMm: 8000, pitchDeg: 30, endPitchDeg: 30, azimuthDeg: 200 }, 4, 12_000 * 8000],
  ['hip with steep ends', { kind: 'hip', lengthMm: 12_000, depthMm: 8000, pitchDeg: 30, endPitchDeg: 60, azimuthDeg: 77 }, 4, 12_000 * 8000],
  ['pyramid', { kind: 'hip', lengthMm: 8000, depthMm: 8000, pitchDeg: 30, endPitchDeg: 30, azimuthDeg: 0 }, 4, 8000 * 8000],
  [
    'cross gable',
    { kind: 'cross-gable', lengthMm: 14_000, depthMm: 9000, pitchDeg: 35, wingWidthMm: 5000, wingOutMm: 2500, wingAtMm: 9000, wingPitchDeg: 38, azimuthDeg: 300 },
    4,
    14_000 * 9000 + 5000 * 2500,
  ],
  ['lean-to', { kind: 'lean-to', lengthMm: 6000, depthMm: 3000, pitchDeg: 12, azimuthDeg: 135 }, 1, 6000 * 3000],
]

describe.each(forms)('%s', (_, form, count, planArea) => {
  const faces = made(form)
  it(`has ${count} faces that a job takes, the tapes at the left end of an eave`, () => {
    expect(faces).toHaveLength(count)
    for (const face of faces) {
      expect(faceSchema.safeParse(face).success).toBe(true)
      expect(shapeOf(face.outline).edges[0]!.kind).toBe('eave')
      expect(shapeOf(face.outline).region[0]![0]).toEqual({ x: 0, y: 0 })
    }
  })
  it('covers its plan once: areas add up, by slope and plan, and no face lies over another', () => {
    const plans = faces.map(face => [planOutline(face)])
    expect(areaMm2(together(plans)) / planArea).toBeCloseTo(1, 6)
    expect(plans.reduce((sum, region) => sum + areaMm2(region), 0) / planArea).toBeCloseTo(1, 6)
    const slopes = faces.reduce((sum, face) => sum + areaMm2(shapeOf(face.outline).region) * Math.cos(radians(face.pitchDeg)), 0)
    expect(slopes / planArea).toBeCloseTo(1, 6)
    plans.forEach((one, i) => plans.slice(i + 1).forEach(other => expect(areaMm2(common(one, other))).toBeLessThan(planArea * 1e-6)))
  })
  it('has both faces agree on the length of every hip, valley and ridge between them', () => {
    const shared = faces.flatMap(face => lengths(face.outline).filter(edge => ['hip', 'valley', 'ridge'].includes(edge.kind)).map(edge => edge.mm)).sort((a, b) => a - b)
    expect(shared.length % 2).toBe(0)
    for (let i = 0; i < shared.length; i += 2) expect(shared[i + 1]! - shared[i]!).toBeLessThan(0.01)
  })
})

describe('true lengths', () => {
  // Framing square, hip or valley per foot of common run: 6:12 18.00 in, 8:12 18.76 in, 12:12 20.78 in.
  it.each([[6, 18.00], [8, 18.76], [12, 20.78]])('a hip at %i in 12 has the framing square’s %f in per foot of run', (rise, perFoot) => {
    const pitchDeg = Math.atan(rise / 12) * 180 / Math.PI
    const run = 12 * 25.4 * 13
    const [front] = made({ kind: 'hip', lengthMm: 3 * run, depthMm: 2 * run, pitchDeg, endPitchDeg: pitchDeg, azimuthDeg: 180 })
    const hip = lengths(front!.outline).find(edge => edge.kind === 'hip')!
    expect(hip.mm / 25.4 / 13).toBeCloseTo(perFoot, 2)
    expect(hip.mm).toBeCloseTo(hipLengthMm(run, pitchDeg), 4)
  })
  it('plan and face are each other’s way back', () => {
    const [, end] = made(forms[1]![1])
    for (const point of [{ x: 0, y: 0 }, { x: 4000, y: 1200 }, { x: -300, y: 4000 }] as Point[]) {
      const back = fromPlan(end!, toPlan(end!, point))
      expect(back.x).toBeCloseTo(point.x, 6)
      expect(back.y).toBeCloseTo(point.y, 6)
    }
  })
  it('faces look the way they should: the right end of a south front looks east', () => {
    const faces = made({ kind: 'hip', lengthMm: 12_000, depthMm: 8000, pitchDeg: 30, endPitchDeg: 30, azimuthDeg: 180 })
    expect(faces.map(face => [face.name, face.place.azimuthDeg])).toEqual([['Front', 180], ['Right end', 90], ['Back', 0], ['Left end', 270]])
    expect(Math.max(...planOutline(faces[1]!).map(point => point.x))).toBeCloseTo(12_000, 6)
  })
})

describe('sizes that can’t be', () => {
  it.each<[string, RoofForm]>([
    ['ends that meet before the sides', { kind: 'hip', lengthMm: 6000, depthMm: 9000, pitchDeg: 30, endPitchDeg: 30, azimuthDeg: 180 }],
    ['a wall of a pitch', { kind: 'gable', lengthMm: 6000, depthMm: 9000, pitchDeg: 80, azimuthDeg: 180 }],
    ['a pitch that is no number', { kind: 'gable', lengthMm: 6000, depthMm: 9000, pitchDeg: Number.NaN, azimuthDeg: 180 }],
    [
      'a wing higher than the house',
      { kind: 'cross-gable', lengthMm: 9000, depthMm: 6000, pitchDeg: 20, wingWidthMm: 6000, wingOutMm: 2000, wingAtMm: 4500, wingPitchDeg: 45, azimuthDeg: 180 },
    ],
    [
      'a wing off the front',
      { kind: 'cross-gable', lengthMm: 9000, depthMm: 9000, pitchDeg: 40, wingWidthMm: 4000, wingOutMm: 2000, wingAtMm: 1000, wingPitchDeg: 40, azimuthDeg: 180 },
    ],
    ['a house of nothing', { kind: 'lean-to', lengthMm: 0, depthMm: 3000, pitchDeg: 20, azimuthDeg: 180 }],
  ])('%s: a sentence', (_, form) => {
    const result = roofFaces(form)
    expect(result.ok ? '' : result.problem.length).toBeGreaterThan(20)
  })
})
