import { describe, expect, it } from 'vitest'
import { catalogue, changed, inch } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { areaMm2, isInside, type Point } from '../geometry'
import { type Face, type Job, type KeepClearRules, type Obstruction, plainKeepClear, plainSite, rulesOf, type RuleSetId, starterFace } from '../job'
import { planFace, planJob, roofClearOf } from '../plan'
import { roofFaces, shapeOf } from '../roof'
import { keepClear, noClaims, pathwayEdges, pathwayRoomMm, sharedEdges } from './index'

const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const none = { eaveMm: 0, ridgeMm: 0, leftRakeMm: 0, rightRakeMm: 0, hipMm: 0, valleyMm: 0, wallMm: 0 }
const rules = (ruleSet: RuleSetId, more: Partial<KeepClearRules> = {}): KeepClearRules => ({ ...plainKeepClear, ...rulesOf(ruleSet), ...more })

/** A house by its form, with rows only on the named faces. */
function house(form: Parameters<typeof roofFaces>[0], withRows: string[], keepClearRules: KeepClearRules, more: Partial<Face> = {}): Job {
  const laid = roofFaces(form)
  if (!laid.ok) throw new Error(laid.problem)
  const base = changed({})
  const faces = laid.value.map((one, i): Face => {
    const face = starterFace(`f${i}`, one.name, 'imperial', parts)
    return {
      ...face,
      outline: one.outline,
      pitchDeg: one.pitchDeg,
      place: { ...face.place, ...one.place },
      setbacks: none,
      ...(withRows.includes(one.name) ? more : {}),
      array: { ...face.array, rowCount: withRows.includes(one.name) ? null : 0 },
    }
  })
  return { ...base, site: { ...plainSite, streetDeg: 0 }, keepClear: keepClearRules, faces }
}
const gable = (withRows: string[], keepClearRules: KeepClearRules, more: Partial<Face> = {}) =>
  house({ kind: 'gable', lengthMm: inch(480), depthMm: inch(336), pitchDeg: 26.565, azimuthDeg: 180 }, withRows, keepClearRules, more)
const region = (job: Job, i: number) => planJob(job, catalogue).faces[i]!

describe('US 2018 and later', () => {
  it('R324.6.1: the pathway lies on the next plane where that is bare, so the plane with modules loses none', () => {
    const job = gable(['Front'], rules('us-2018'))
    const roof = roofClearOf(job, catalogue)
    // The bare back, on the street's side, is a pathway by itself; but two planes must have one, so the front keeps one too.
    expect(roof.planes).toEqual([0, 1])
    expect(roof.faces[0]!.pathways).toHaveLength(1)
    expect(roof.short).toEqual([])
    const three = house({ kind: 'hip', lengthMm: inch(600), depthMm: inch(336), pitchDeg: 26.565, endPitchDeg: 26.565, azimuthDeg: 180 }, ['Front'], rules('us-2018'))
    // On a hip roof two other planes are bare: the front needs no pathway of its own.
    expect(roofClearOf(three, catalogue).faces[0]).toMatchObject({ pathways: [], straddles: [] })
  })
  it('R324.6.2: 18 in below the ridge up to 33 % of the plan area, 36 in above; either side of the step', () => {
    const limit = 0.33
    const glass = 1755 * 1038 * Math.cos(26.565 * Math.PI / 180)
    const roofArea = inch(480) * inch(336)
    const most = Math.floor(limit * roofArea / glass)
    for (const [ridgeChoice, depth] of [['near', inch(18)], ['far', inch(36)]] as const) {
      const plan = region(gable(['Front', 'Back'], rules('us-2018', { ridgeChoice })), 0)
      expect(plan.strips.find(strip => strip.of === 'ridge')!.depthMm).toBeCloseTo(depth, 6)
    }
    const near = planJob(gable(['Front', 'Back'], rules('us-2018', { ridgeChoice: 'near' })), catalogue)
    expect(near.totals.modules).toBeLessThanOrEqual(most)
    expect(near.roof.cover.share).toBeLessThanOrEqual(limit)
    expect(near.roof.cover.share + near.roof.cover.oneMore).toBeGreaterThan(limit)
    expect(near.totals.modules).toBe(near.roof.choices!.near)
    const best = planJob(gable(['Front', 'Back'], rules('us-2018')), catalogue)
    expect(best.totals.modules).toBe(Math.max(best.roof.choices!.near, best.roof.choices!.far))
  })
  it('filled for energy, modules leave the face that yields least first; at the step both arrays are offered', () => {
    const job = gable(['Front', 'Back'], rules('us-2018', { ridgeChoice: 'near', aim: 'energy' }))
    const faces = job.faces.map((face, i) => ({ ...face, yieldShare: i ? 0.6 : 1 }))
    const roof = roofClearOf({ ...job, faces }, catalogue)
    expect(roof.faces[0]!.most).toBeNull()
    expect(roof.faces[1]!.most).toBeGreaterThan(0)
    const step = planJob(gable(['Front', 'Back'], rules('us-2018')), catalogue).findings.find(finding => finding.id === 'cover-step')!
    expect(step.sentence).toContain('One more module')
    expect(step.cures.map(cure => cure.label)).toEqual([expect.stringMatching(/^Narrow strip, \d+ modules$/), expect.stringMatching(/^Wide strip, \d+ modules$/)])
  })
  it('R324.6.2.1: sprinklers raise the share to 66 %', () => {
    const dry = roofClearOf(gable(['Front', 'Back'], rules('us-2018', { ridgeChoice: 'near' })), catalogue)
    const wet = roofClearOf(gable(['Front', 'Back'], rules('us-2018', { ridgeChoice: 'near', sprinklers: true })), catalogue)
    expect([dry.cover.limit, wet.cover.limit]).toEqual([0.33, 0.66])
    expect(wet.choices!.near).toBeGreaterThan(dry.choices!.near)
  })
  it('R324.6.3: no modules below an escape window, over a way 36 in wide', () => {
    const window: Obstruction = { id: 'w', kind: 'escape-window', round: false, xMm: inch(240), yMm: inch(120), widthMm: inch(24), heightMm: inch(40), clearanceMm: 0 }
    const plan = region(gable(['Front'], rules('us-2018'), { obstructions: [window] }), 0)
    const way = plan.strips.find(strip => strip.of === 'way to the escape window')!
    expect(areaMm2(way.region)).toBeCloseTo(inch(36) * inch(140), 0)
    expect(plan.rows.rows[0]!.blocks.every(block => block.rightMm <= inch(222) + 0.01 || block.leftMm >= inch(258) - 0.01)).toBe(true)
    expect(region(gable(['Front'], rules('us-2018'), { obstructions: [{ ...window, kind: 'roof-window' }] }), 0).strips.some(strip => strip.of.startsWith('way'))).toBe(false)
  })
  it('R324.6.1: a pathway may straddle a hip, half on each side', () => {
    // Modules all round: nobody is bare, so straddling a hip costs the long side least of all.
    const job = house({
      kind: 'hip',
      lengthMm: inch(600),
      depthMm: inch(480),
      pitchDeg: 30,
      endPitchDeg: 30,
      azimuthDeg: 180,
    }, ['Front', 'Right end', 'Back', 'Left end'], rules('us-2018'))
    const roof = roofClearOf(job, catalogue)
    expect(roof.proved).toBe(true)
    roof.faces.forEach((clear, i) => clear.straddles.forEach((edge) => {
      const shared = sharedEdges(job.faces).find(one => one.face === i && one.edge === edge)!
      expect(roof.faces[shared.other]!.straddles).toContain(shared.otherEdge)
      expect(keepClear(job.faces[i]!, job.keepClear, clear).strips.some(strip => strip.of.startsWith('pathway over') && strip.depthMm === inch(18))).toBe(true)
    }))
    // It is never worse than giving every plane a pathway of its own.
    const far = roofClearOf({ ...job, keepClear: { ...job.keepClear, ridgeChoice: 'far' } }, catalogue)
    const own = (side: 'left' | 'right') => job.faces.map((face, i) => planFace(face, catalogue, job, { ...far.faces[i]!, straddles: [], pathways: [side] }).modules)
    const ownSides = own('left').reduce((sum, left, i) => sum + Math.max(left, own('right')[i]!), 0)
    expect(far.choices!.far).toBeGreaterThanOrEqual(ownSides)
    expect(roof.faces.some(clear => clear.straddles.length)).toBe(true)
  })
  it('stays out of faces of 2:12 or flatter, and says when planes or the street’s side are missing', () => {
    const flat = gable(['Front'], rules('us-2018'))
    const faces = flat.faces.map(face => ({ ...face, pitchDeg: Math.atan(2 / 12) * 180 / Math.PI }))
    expect(roofClearOf({ ...flat, faces }, catalogue).faces.every(clear => !clear.applies)).toBe(true)
    // The last digit of an arc tangent decides nothing.
    for (const ulps of [-4, 4]) expect(roofClearOf({ ...flat, faces: faces.map(face => ({ ...face, pitchDeg: face.pitchDeg * (1 + ulps * Number.EPSILON) })) }, catalogue).faces.every(clear => !clear.applies)).toBe(true)
    const lone = { ...flat, faces: flat.faces.slice(0, 1) }
    expect(roofClearOf(lone, catalogue).short).toContain('planes')
    const findings = planJob({ ...lone, site: { ...plainSite, streetDeg: 0 } }, catalogue).findings.map(finding => finding.id)
    expect(findings).toEqual(expect.arrayContaining(['pathways-short', 'pathways-street']))
    expect(planJob({ ...flat, site: plainSite }, catalogue).findings.map(finding => finding.id)).toContain('pathways-where-street')
  })
})

describe('US 2012 and 2015', () => {
  it('605.11.3.2.2: two pathways on a slope with a ridge, and three feet below it', () => {
    const plan = region(gable(['Front'], rules('us-2012')), 0)
    expect(plan.clear.pathways).toEqual(['left', 'right'])
    // 480 by 168/cos: 36 in off both rakes and 36 in below the ridge.
    const slope = inch(168) / Math.cos(26.565 * Math.PI / 180)
    expect(areaMm2(plan.region) / (inch(408) * (slope - inch(36)))).toBeCloseTo(1, 4)
  })
  it('605.11.3.2.1, .3: one pathway on a hip slope; 18 in at hips, none where the other side is bare', () => {
    const form = { kind: 'hip', lengthMm: inch(600), depthMm: inch(400), pitchDeg: 30, endPitchDeg: 30, azimuthDeg: 180 } as const
    const alone = region(house(form, ['Front'], rules('us-2012')), 0)
    expect(alone.clear.pathways).toHaveLength(1)
    expect(alone.strips.some(strip => strip.rule.startsWith('Strip at the hip'))).toBe(false)
    const round = region(house(form, ['Front', 'Right end', 'Left end'], rules('us-2012')), 0)
    expect(round.strips.filter(strip => strip.rule.startsWith('Strip at the hip')).map(strip => strip.depthMm)).toEqual([inch(18), inch(18)])
  })
})

describe('other rules', () => {
  it('European practice: a strip along every edge, more from a wall; no pathway, no ridge rule', () => {
    const { region: left, strips } = keepClear({ ...changed({}).faces[0]!, outline: { kind: 'rectangle', eaveLengthMm: 10_000, slopeLengthMm: 5000 } }, rules('european'), noClaims)
    expect(areaMm2(left)).toBeCloseTo(9400 * 4400, 0)
    expect(strips.every(strip => strip.depthMm === 300)).toBe(true)
  })
  it('reserved parts and wind strips take their area and say so; what is taken adds up to what is lost', () => {
    const face = { ...changed({}).faces[0]!, windStripMm: 400, reserved: [{ name: 'a future skylight', fromXMm: 2000, toXMm: 3000, fromYMm: 2000, toYMm: 3000 }] }
    const { region: left, strips } = keepClear(face, plainKeepClear, noClaims)
    expect(strips.reduce((sum, strip) => sum + strip.takesMm2, 0)).toBeCloseTo(areaMm2(shapeOf(face.outline).region) - areaMm2(left), -1)
    expect(strips.find(strip => strip.of === 'a future skylight')!.takesMm2).toBeCloseTo(1e6, 0)
  })
  it('a typed figure is marked as typed beside its clause', () => {
    const set = rules('us-2018')
    const plan = region(gable(['Front'], { ...set, values: { ...set.values, pathwayMm: inch(48) } }), 0)
    expect(plan.strips.find(strip => strip.of.startsWith('pathway'))!.rule).toContain('R324.6.1, figure typed on this job')
  })
})

it('leaves no point nearer to an edge or an obstruction than its rule says, 10 000 random points', () => {
  const random = seeded(31)
  const corners: Point[] = [{ x: 0, y: 0 }, { x: 4200, y: 0 }, { x: 6000, y: 2500 }, { x: 7800, y: 0 }, { x: 12_000, y: 0 }, { x: 10_500, y: 6000 }, { x: 1400, y: 6000 }]
  const kinds = ['eave', 'valley', 'valley', 'eave', 'hip', 'ridge', 'hip'] as const
  const face: Face = {
    ...changed({}).faces[0]!, windStripMm: 150,
    outline: { kind: 'corners', corners: corners.map(({ x, y }, i) => ({ xMm: x, yMm: y, edge: kinds[i]! })) },
    setbacks: { eaveMm: 250, ridgeMm: 500, leftRakeMm: 0, rightRakeMm: 0, hipMm: 350, valleyMm: 450, wallMm: 0 },
    obstructions: [
      { id: 'a', kind: 'vent', round: true, xMm: 3000, yMm: 3800, widthMm: 150, heightMm: 150, clearanceMm: 200 },
      { id: 'b', kind: 'chimney', round: false, xMm: 8800, yMm: 4000, widthMm: 700, heightMm: 500, clearanceMm: 300 },
    ],
  }
  const { region: left } = keepClear(face, plainKeepClear, noClaims)
  const depths = { eave: 250, valley: 450, hip: 350, ridge: 500 }
  const toSegment = (p: Point, a: Point, b: Point) => {
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)))
    return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y))
  }
  let inside = 0
  for (let i = 0; i < 10_000; i++) {
    const point = { x: random.between(0, 12_000), y: random.between(0, 6000) }
    if (!isInside(left, point)) continue
    inside++
    expect(isInside([corners], point)).toBe(true)
    corners.forEach((a, k) => expect(toSegment(point, a, corners[(k + 1) % corners.length]!)).toBeGreaterThanOrEqual(depths[kinds[k]!] - 0.01))
    expect(Math.hypot(point.x - 3000, point.y - 3800)).toBeGreaterThanOrEqual(275 - 0.01)
    expect(Math.hypot(Math.max(0, Math.abs(point.x - 8800) - 350), Math.max(0, Math.abs(point.y - 4000) - 250))).toBeGreaterThanOrEqual(299.9)
  }
  expect(inside).toBeGreaterThan(3000)
})

describe('what stands on the roof already', () => {
  const old = (more: Partial<Obstruction> = {}): Obstruction => ({
    id: 'old',
    kind: 'old-array',
    round: false,
    xMm: inch(240),
    yMm: inch(100),
    widthMm: inch(200),
    heightMm: inch(120),
    clearanceMm: 0,
    ...more,
  })
  it('an array that stays counts as covered and takes its plane', () => {
    const bare = roofClearOf(gable(['Front'], rules('us-2018')), catalogue)
    const job = gable(['Front'], rules('us-2018'))
    const back = job.faces.findIndex(face => face.name !== 'Front')
    const withOld = { ...job, faces: job.faces.map((face, i) => i === back ? { ...face, obstructions: [old()] } : face) }
    const roof = roofClearOf(withOld, catalogue)
    // 200 by 120 inches on the slope, seen from above at 26.565 degrees.
    expect(roof.cover.coveredMm2 - bare.cover.coveredMm2).toBeCloseTo(inch(200) * inch(120) * Math.cos(26.565 * Math.PI / 180), -4)
    // Taken, the back needs a pathway of its own or beside it: it is no bare plane any more.
    expect(roof.faces[back]!.pathways.length + roof.faces[back]!.straddles.length).toBeGreaterThan(0)
  })
  it('something that stands in a pathway is a stop', () => {
    const job = gable(['Front'], rules('us-2018'))
    const front = job.faces.findIndex(face => face.name === 'Front')
    const [side] = roofClearOf(job, catalogue).faces[front]!.pathways
    const { along } = shapeOf(job.faces[front]!.outline)
    const vent: Obstruction = { ...old(), id: 'flue', kind: 'vent', round: true, widthMm: 150, heightMm: 150, xMm: side === 'left' ? along.fromMm + 300 : along.toMm - 300 }
    const both = [vent, { ...vent, id: 'flue2', xMm: along.fromMm + along.toMm - vent.xMm }]
    const blocked = { ...job, faces: job.faces.map((face, i) => i === front ? { ...face, obstructions: both } : face) }
    expect(planJob(blocked, catalogue).findings.some(finding => finding.id.startsWith('pathway-blocked') && finding.severity === 'stop')).toBe(true)
    expect(planJob(job, catalogue).findings.some(finding => finding.id.startsWith('pathway-blocked'))).toBe(false)
  })
  it('a plane narrower than a pathway has none', () => {
    const narrow = starterFace('n', 'Narrow', 'imperial', parts)
    expect(pathwayRoomMm({ ...narrow, outline: { kind: 'rectangle', eaveLengthMm: 800, slopeLengthMm: 3000 } })).toBeCloseTo(800, 6)
    expect(pathwayRoomMm({ ...narrow, outline: { kind: 'rectangle', eaveLengthMm: 5000, slopeLengthMm: 3000 } })).toBeCloseTo(5000, 6)
  })
  it('and where modules stand on it all the same, as on a hip end by itself, a stop says how wide it is', () => {
    // 7 m wide at the eave, a point at the top: at 0.8 of its height 1.4 m are left, at 0.9 under a pathway's 36 in.
    const end = (topMm: number): Job => ({
      ...changed({ outline: {
        kind: 'corners',
        corners: ([[0, 0, 'eave'], [7000, 0, 'hip'], [3500 + topMm / 2, 5000, 'ridge'], [3500 - topMm / 2, 5000, 'hip']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
      } }),
      keepClear: rules('us-2018'),
    })
    const found = planJob(end(100), catalogue).findings.find(finding => finding.id.startsWith('pathway-narrow'))
    const room = pathwayRoomMm(end(100).faces[0]!)
    // By hand: the width falls from 7000 to 100 mm; the narrowest place looked at is at 0.8 of the height.
    expect(room).toBeCloseTo(7000 - 0.8 * 6900, -1)
    expect(found).toBeUndefined()
    const narrow: Job = { ...end(100), keepClear: { ...rules('us-2018'), values: { ...rules('us-2018').values, pathwayMm: 1600 } } }
    expect(planJob(narrow, catalogue).findings.find(finding => finding.id.startsWith('pathway-narrow'))).toMatchObject({
      severity: 'stop',
      limit: { kind: 'length', mm: 1600 },
      measured: { kind: 'length', mm: expect.closeTo(room, 3) as number },
    })
  })
  it('left and right are rakes: a valley on that side has no pathway along it, a hip slope’s hips do', () => {
    const edges = shapeOf({
      kind: 'corners',
      corners: ([
        [0, 0, 'eave'],
        [9000, 0, 'rake'],
        [9000, 5000, 'ridge'],
        [3000, 5000, 'valley'],
        [2000, 3000, 'ridge'],
        [0, 3000, 'rake'],
      ] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }).edges
    expect(pathwayEdges(edges, 'left').map(i => edges[i]!.kind)).toEqual(['rake'])
    const hips = shapeOf({
      kind: 'corners',
      corners: ([[0, 0, 'eave'], [9000, 0, 'hip'], [6000, 4000, 'ridge'], [3000, 4000, 'hip']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
    }).edges
    expect(pathwayEdges(hips, 'right').map(i => hips[i]!.kind)).toEqual(['hip'])
  })
})

describe('faces out of true', () => {
  it('600 of them: what is left keeps its distance from every edge, in one piece, with no sliver left along an edge', () => {
    const random = seeded(41)
    const off = () => random.between(-4, 4)
    const setbacks = { eaveMm: 300, ridgeMm: 914.4, leftRakeMm: 450, rightRakeMm: 200, hipMm: 457.2, valleyMm: 457.2, wallMm: 300 }
    for (let i = 0; i < 600; i++) {
      const [w, h, inset] = [random.between(5000, 12_000), random.between(3500, 6000), random.pick([0, random.between(300, 1500)])]
      const side = inset ? 'hip' as const : 'rake' as const
      const face: Face = {
        ...changed({}).faces[0]!,
        setbacks,
        obstructions: [],
        outline: {
          kind: 'corners',
          corners: ([
            [off(), off(), 'eave'],
            [w + off(), off(), side],
            [w - inset + off(), h + off(), 'ridge'],
            [inset + off(), h + off(), side],
          ] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
        },
      }
      const { region: left } = keepClear(face, plainKeepClear, noClaims)
      expect(left, `face ${i}`).toHaveLength(1)
      shapeOf(face.outline).edges.forEach(({ from, to, kind, side: end }) => {
        const depth = kind === 'eave' ? 300 : kind === 'ridge' ? 914.4 : kind === 'hip' ? 457.2 : end === 'left' ? 450 : 200
        const run = Math.hypot(to.x - from.x, to.y - from.y)
        for (const { x, y } of left[0]!) expect(((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)) / run).toBeGreaterThan(depth - 0.01)
      })
    }
  })
})
