import { describe, expect, it } from 'vitest'
import { coveringKinds } from '../catalogue'
import { coveringSchema, type Outline } from '../job'
import { allowedRailLines, columnsOf, courseLines, coursesOf, jointLines, slateGaugeMm, unitsPerM2, usualCovering } from './index'

const face: Outline = { kind: 'rectangle', eaveLengthMm: 6000, slopeLengthMm: 4000 }

describe('slate gauge', () => {
  // BS 5534 (from memory), and the American three-inch rule with its own lap: (18 - 3 3/4) / 2 = 7 1/8 in.
  it('500 x 250 mm, 100 mm lap, centre-nailed: 200 mm, 20.0 a square metre', () => {
    expect(slateGaugeMm(500, 100, 'centre')).toBe(200)
    expect(unitsPerM2(200, 250)).toBeCloseTo(20.0, 9)
  })
  it('18 in with 3 3/4 in lap: 7 1/8 in; head-nailed loses 25 mm of length', () => {
    expect(slateGaugeMm(18 * 25.4, 3.75 * 25.4, 'centre') / 25.4).toBeCloseTo(7.125, 9)
    expect(slateGaugeMm(500, 100, 'head')).toBe(187.5)
  })
  it('plain tiles at 100 mm gauge, 165 mm wide: 60.6 a square metre', () => expect(unitsPerM2(100, 165)).toBeCloseTo(60.6, 1))
})

describe.each(coveringKinds)('%s', (kind) => {
  it.each([true, false])('has usual sizes that a job takes (imperial %s)', (imperial) => {
    expect(coveringSchema.safeParse(usualCovering(kind, imperial)).success).toBe(true)
  })
  it('has its courses a gauge apart up to the ridge, or none', () => {
    const covering = usualCovering(kind, false)
    const lines = courseLines(covering, face)
    const courses = coursesOf(covering)
    if (!courses) return expect(lines).toEqual([])
    lines.slice(1).forEach((line, i) => expect(line - lines[i]!).toBeCloseTo(courses.gaugeMm, 9))
    expect(lines[0]).toBe(courses.firstMm)
    expect(4000 - lines.at(-1)!).toBeLessThan(courses.gaugeMm)
  })
  it('has its joints a cover width apart in every course', () => {
    const covering = usualCovering(kind, false)
    const columns = columnsOf(covering)
    const joints = jointLines(covering, face)
    if (!columns) return expect(joints).toEqual([])
    const first = joints.filter(joint => joint.fromMm === joints[0]!.fromMm).map(joint => joint.xMm)
    first.slice(1).forEach((x, i) => expect(x - first[i]!).toBeCloseTo(columns.widthMm, 9))
    const second = joints.filter(joint => joint.fromMm !== joints[0]!.fromMm)[0]
    if (second) expect(Math.abs((second.xMm - first[0]!) % columns.widthMm)).toBeCloseTo(columns.brokenBond ? columns.widthMm / 2 : 0, 6)
  })
})

it('limits rail heights on shingle alone where nobody has said how a mount goes through', () => {
  const foot = { mount: { halfFootprintMm: 30, hook: null }, closure: null }
  expect(allowedRailLines(usualCovering('coursed-shingle', false), face, [foot], 'across').length).toBeGreaterThan(10)
  expect(allowedRailLines(usualCovering('slate', false), face, [foot], 'across')).toEqual([{ fromMm: 0, toMm: 4000 }])
})
it('refuses a slate whose lap leaves nothing of it', () => {
  const read = coveringSchema.safeParse({ ...usualCovering('slate', false), lengthMm: 250, lapMm: 180 })
  expect(read.error!.issues[0]!.message).toContain('leaves nothing')
})
