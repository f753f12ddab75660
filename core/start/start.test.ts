import { describe, expect, it } from 'vitest'
import { catalogue } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { besideWindowMm, forbiddenStrips, usualCovering } from '../coverings'
import { areaMm2 } from '../geometry'
import { applyEdit, type Codes, inverseOf, type Job, jobSchema, noPlaceLoads, readJob, settled } from '../job'
import { planJob } from '../plan'
import { shapeOf } from '../roof'
import { blankRoof, facesOf, type JobDraft, type RoofDraft, setKey, slopeLengthFrom, startedJob, startingParts, startingSets } from './index'

const inch = (n: number) => n * 25.4
const us: Codes = { kind: 'us', building: '2021', electrical: '2020' }
const blank: JobDraft = {
  title: '6 Bosun Row', place: '', units: 'imperial', codes: { kind: 'unsaid' }, roof: blankRoof, carries: ['Front'], covering: null, eaveHeightMm: null, spacingMm: null, firstCentreMm: null, wanted: null, loads: noPlaceLoads,
}
const said: JobDraft = {
  ...blank, codes: us, covering: usualCovering('coursed-shingle', true), spacingMm: inch(24), wanted: 14, eaveHeightMm: inch(110),
  roof: { ...blankRoof, eaveMm: inch(412), slopeMm: inch(205), pitchDeg: 26.565051177077994, azimuthDeg: 190 },
  loads: { ...noPlaceLoads, edition: 'us-2016', speedMs: 50, exposure: 'B', groundPa: 1000, riskCategory: 'II' },
}
const started = (draft: JobDraft): Job => {
  const [set] = startingSets(catalogue, null, draft.units === 'imperial' ? 'coursed-shingle' : 'interlocking-tile')
  const job = startedJob(draft, startingParts(set!))
  if (!job.ok) throw new Error(job.problem)
  return job.value
}
const plan = (job: Job) => planJob(job, catalogue)
const stops = (job: Job) => plan(job).findings.filter(one => one.severity === 'stop')

describe('a roof by what a tape gives', () => {
  const roof = (values: Partial<RoofDraft>) => {
    const faces = facesOf({ ...blankRoof, ...values }, 'imperial')
    if (!faces.ok) throw new Error(faces.problem)
    return faces.value
  }
  // A 3-4-5 triangle: 9 of rise and 12 of run make 15 of slope.
  it.each([['slope', 15], ['run', 12], ['ridge-height', 9]] as const)('%s: the same 3-4-5 roof', (reading, feet) => {
    expect(slopeLengthFrom(reading, inch(12 * feet), Math.atan(9 / 12) * 180 / Math.PI)).toBeCloseTo(inch(180), 6)
    const [front] = roof({ eaveMm: inch(360), reading, slopeMm: inch(12 * feet), pitchDeg: Math.atan(0.75) * 180 / Math.PI })
    expect(front!.outline).toEqual({ kind: 'rectangle', eaveLengthMm: inch(360), slopeLengthMm: expect.closeTo(inch(180), 6) as number })
  })
  it('a plain gable is two lengths: two rectangles back to back', () => {
    const faces = roof({ eaveMm: 9144, slopeMm: 4877, pitchDeg: 30 })
    expect(faces.map(face => [face.name, face.outline.kind])).toEqual([['Front', 'rectangle'], ['Back', 'rectangle']])
    expect(Math.abs(faces[0]!.place.azimuthDeg - faces[1]!.place.azimuthDeg)).toBe(180)
  })
  it('200 hips and cross gables: true areas are the area in plan over the pitch’s cosine, whatever was read', () => {
    const random = seeded(12)
    for (let i = 0; i < 200; i++) {
      const pitchDeg = random.between(12, 50)
      const [slopeMm, eaveMm] = [random.between(2500, 5500), random.between(11_500, 20_000)]
      const faces = roof({ form: random.pick(['hip', 'gable'] as const), eaveMm, slopeMm, pitchDeg, azimuthDeg: random.between(0, 359) })
      const areaM2 = faces.reduce((sum, face) => sum + areaMm2(shapeOf(face.outline).region), 0)
      expect(areaM2 / (eaveMm * 2 * slopeMm)).toBeCloseTo(1, 9)
    }
  })
  it('says what can’t be', () => expect(facesOf({ ...blankRoof, form: 'hip', eaveMm: 6000, slopeMm: 9000, pitchDeg: 20 }, 'metric')).toMatchObject({ ok: false, problem: expect.stringContaining('ends meet') as string }))
})

describe('a job as it is opened', () => {
  it('untouched has nothing clear: every reading, the codes and the covering are assumed, and stops say so', () => {
    const job = started(blank)
    expect(readJob(JSON.parse(JSON.stringify(job)), catalogue).ok).toBe(true)
    expect(stops(job).map(one => one.id).sort()).toEqual(['assumed:face-1', 'codes-unsaid'])
    expect(stops(job).every(one => one.assumed)).toBe(true)
    expect(job.loads.rules.edition).toBe('none')
    expect(plan(job).findings.find(one => one.kind === 'rafter-guess')!.sentence).toMatch(/prove the first before drilling the second/)
  })
  it('said in full has no stop, stands 14 modules, and leaves the face that was not picked bare', () => {
    const job = started(said)
    expect(stops(job)).toEqual([])
    const { faces, totals } = plan(job)
    expect(totals.modules).toBe(14)
    expect(faces[1]!.modules).toBe(0)
    expect([job.keepClear.ruleSet, job.loads.rules.edition]).toEqual(['us-2018', 'us-2016'])
  })
  it.each(['speedMs', 'exposure', 'groundPa', 'riskCategory'] as const)('without %s it is not clear, and no value is taken for it', (fact) => {
    const job = started({ ...said, loads: { ...said.loads, [fact]: null } })
    expect(job.loads.rules).toEqual({ edition: 'none' })
    expect(stops(job).map(one => one.kind)).toEqual(['loads-asked'])
  })
  it.each(['eaveHeightMm', 'covering', 'spacingMm'] as const)('without %s says so, and is not clear', (fact) => {
    const { findings } = plan(started({ ...said, [fact]: null }))
    expect(findings.filter(one => one.assumed).map(one => one.kind)).toContain(fact === 'spacingMm' ? 'rafter-guess' : 'assumed')
  })
  it('a wing that nobody measured leaves the lengths open', () => {
    const wing = { widthMm: inch(160), outMm: inch(60), atMm: inch(200), pitchDeg: null }
    const open = (values: Partial<typeof wing>) => plan(started({ ...said, roof: { ...said.roof, form: 'cross-gable', wing: { ...wing, ...values } as RoofDraft['wing'] } })).findings.some(one => one.kind === 'assumed')
    expect([open({}), open({ outMm: null as unknown as number })]).toEqual([false, true])
  })
  it('2024 goes with ASCE 7-22 and waits for an engineer’s pressures', () => {
    const job = started({ ...said, codes: { ...us, building: '2024' } as Codes })
    expect(job.loads.place.edition).toBe('us-2022')
    expect(stops(job)[0]!.sentence).toContain('an engineer’s wind pressures')
  })
  it('metric stands on its own sizes: tile, 600 mm, European practice', () => {
    const job = started({ ...blank, units: 'metric', codes: { kind: 'european' } })
    expect(job.faces[0]!.covering.kind).toBe('interlocking-tile')
    expect(job.faces[0]!.supports).toMatchObject({ kind: 'rafters', spacingMm: 600 })
    expect([job.keepClear.ruleSet, job.loads.place.edition]).toEqual(['european', 'en'])
  })
  it('is a job by the schema whatever is left out', () => {
    const random = seeded(4)
    for (let i = 0; i < 60; i++) {
      const maybe = <T>(value: T): T | null => random.pick([value, null])
      const draft: JobDraft = { ...said, covering: maybe(said.covering), spacingMm: maybe(said.spacingMm), wanted: maybe(14), codes: random.pick([us, { kind: 'unsaid' }]), loads: { ...said.loads, speedMs: maybe(45) },
        roof: { ...said.roof, eaveMm: maybe(inch(400)), slopeMm: maybe(inch(200)), pitchDeg: maybe(30), form: random.pick(['gable', 'hip', 'lean-to', 'cross-gable'] as const) } }
      expect(jobSchema.safeParse(started(draft)).error).toBeUndefined()
    }
  })
  it('offers the sets that go through the covering, each by a key of its own', () => {
    const sets = startingSets(catalogue, null, 'interlocking-tile')
    expect(sets.length).toBeGreaterThan(0)
    expect(sets.every(one => one.parts.mount.coverings.includes('interlocking-tile') && one.parts.mount.into.includes('rafters'))).toBe(true)
    expect(new Set(sets.map(setKey)).size).toBe(sets.length)
  })
})

describe('what can’t be put aside in silence', () => {
  it('loads that the adopted codes ask for: usual spans are a stop, not clear', () => {
    const aside: Job = { ...started(said), loads: { ...started(said).loads, rules: { edition: 'none' }, place: noPlaceLoads } }
    expect(stops(aside).map(one => one.kind)).toEqual(['loads-asked'])
  })
  it('three hits on one rafter are one rafter found', () => {
    const job = started(said)
    const with3 = (xs: number[]): Job => ({ ...job, faces: job.faces.map(face => face.supports.kind === 'rafters'
      ? { ...face, supports: { ...face.supports, hits: xs.map((xMm, i) => ({ id: `h${i}`, xMm, yMm: 400 + 300 * i, state: 'pilot-hit' as const, use: 'rafter' as const })) } }
      : face) })
    const guess = (xs: number[]) => plan(with3(xs)).findings.some(one => one.kind === 'rafter-guess')
    expect([guess([inch(36), inch(36) + 3, inch(36) - 4]), guess([inch(36), inch(60) + 3, inch(132) - 4])]).toEqual([true, false])
  })
})

describe('what a reading settles', () => {
  const job = started(blank)
  const keysAfter = (edit: Parameters<typeof settled>[1]) => applyEdit(job, settled(job, edit)).assumed
  it('the fact that it is of, on its face, and no other; undo brings the doubt back', () => {
    const edit = settled(job, { type: 'set-face', faceId: 'face-1', values: { pitchDeg: 30 } })
    const next = applyEdit(job, edit)
    expect(job.assumed.filter(key => !next.assumed.includes(key))).toEqual(['face face-1/pitchDeg'])
    expect(applyEdit(next, inverseOf(job, edit))).toEqual(job)
  })
  it('a spacing, a rafter found and a hit are readings of the rafters', () => {
    expect(keysAfter({ type: 'set-rafters', faceId: 'face-1', values: { spacingMm: 500 } })).not.toContain('face face-1/supports')
    expect(keysAfter({ type: 'move-rafter', faceId: 'face-1', rafter: 1, centreMm: 320 })).not.toContain('face face-1/supports')
    expect(keysAfter({ type: 'set-rafters', faceId: 'face-1', values: { spacingMm: 500 } })).toContain('face face-2/supports')
  })
  it('one length of two leaves the other assumed where the edit says so', () => {
    const { outline } = job.faces[0]!
    const edit = settled(job, { type: 'batch', edits: [{ type: 'set-face', faceId: 'face-1', values: { outline } }, { type: 'set-assumed', keys: ['face face-1/outline/eaveLengthMm'], assumed: false }] })
    const left = applyEdit(job, edit).assumed
    expect(left).toContain('face face-1/outline/slopeLengthMm')
    expect(left).not.toContain('face face-1/outline/eaveLengthMm')
  })
  it('a new shape settles both lengths, and a face that goes takes its doubts along', () => {
    expect(keysAfter({ type: 'set-face', faceId: 'face-1', values: { outline: { kind: 'rectangle', eaveLengthMm: 8000, slopeLengthMm: 4000 } } }).filter(key => key.startsWith('face face-1/outline'))).toEqual([])
    expect(keysAfter({ type: 'remove-face', faceId: 'face-2' }).filter(key => key.startsWith('face face-2/'))).toEqual([])
  })
})

describe('a number wanted on the whole roof', () => {
  const two = started({ ...said, wanted: null, carries: ['Front', 'Back'] })
  const standing = (job: Job) => plan(job).faces.map(face => face.rows.rows.map(row => row.count))
  it('stands on as few faces as hold it, in rows of one length where that can be', () => {
    expect(standing(started(said))).toEqual([[7, 7], []])
    const each = plan(two).faces[0]!.modules
    expect(plan({ ...two, wanted: each }).faces.map(face => face.modules)).toEqual([each, 0])
  })
  it('every number from 1 to what fits stands exactly, and one more is said to be short', () => {
    const fits = plan(two).totals.modules
    for (let wanted = 1; wanted <= fits; wanted++) {
      const { totals, findings } = plan({ ...two, wanted })
      expect([wanted, totals.modules, findings.some(one => one.kind === 'wanted-short')]).toEqual([wanted, wanted, false])
    }
    expect(plan({ ...two, wanted: fits + 1 }).findings.find(one => one.kind === 'wanted-short')).toBeDefined()
  })
  it('the face that yields more is filled first', () => {
    const job = { ...two, wanted: 4, faces: two.faces.map((face, i) => ({ ...face, yieldShare: i ? 1 : 0.8 })) }
    expect(plan(job).faces.map(face => face.modules)).toEqual([0, 4])
  })
  it('what takes the room is what stands more without it, as a plan without it says; cures give as much as they say', () => {
    const vent = { id: 'flue', kind: 'vent' as const, round: true, xMm: 5200, yMm: 2400, widthMm: 120, heightMm: 120, clearanceMm: 100 }
    const base = started({ ...said, wanted: null })
    const crowded: Job = { ...base, wanted: 40, faces: base.faces.map((face, i) => i ? face : { ...face, obstructions: [vent] }) }
    const short = plan(crowded).findings.find(one => one.kind === 'wanted-short')!
    const bare = (job: Job): Job => ({ ...job, faces: job.faces.map(face => ({ ...face, obstructions: [] })) })
    const gained = plan(bare(crowded)).totals.modules - plan(crowded).totals.modules
    expect(gained).toBeGreaterThan(0)
    expect(short.sentence).toContain(`ithout the vent ${gained} more`)
    const back = applyEdit(crowded, { type: 'set-array', faceId: 'face-2', values: { rowCount: null } })
    expect(short.sentence).toContain(`Back, bare now, would hold ${plan(back).totals.modules - plan(crowded).totals.modules}`)
    expect(short.cures.map(one => one.label)).toEqual([`Ask for ${plan(crowded).totals.modules}`])
  })
})

describe('hooks and pans', () => {
  const tile = { ...usualCovering('interlocking-tile', false), kind: 'interlocking-tile' as const, firstColumnMm: 0 }
  const hooked = started({ ...blank, units: 'metric', codes: { kind: 'european' }, roof: said.roof, loads: { ...noPlaceLoads, speedMs: 24, terrain: 'III', groundPa: 600 } })
  const read = (firstColumnMm: number): Job => ({ ...hooked, assumed: [], faces: hooked.faces.map(face => ({ ...face, covering: face.covering.kind === 'interlocking-tile' ? { ...face.covering, firstColumnMm } : face.covering })) })
  it('metric defaults let every hook find a pan', () => expect(plan({ ...hooked, assumed: [] }).findings.filter(one => one.severity === 'stop')).toEqual([]))
  it('2000 places: as far from a pan as the strips that are forbidden say', () => {
    const random = seeded(31)
    for (let i = 0; i < 2000; i++) {
      const hook = { stiffnessNPerMm: 400, clearMm: 5, armMm: 30, travelMm: random.between(0, 70) }
      const covering = { ...tile, firstColumnMm: random.between(0, 300) }
      const x = random.between(500, 8000)
      const foot = { mount: { halfFootprintMm: 40, hook }, closure: null }
      const strips = forbiddenStrips(covering as Parameters<typeof forbiddenStrips>[0], { kind: 'rectangle', eaveLengthMm: 9000, slopeLengthMm: 5000 }, foot, { way: 'across', lineMm: 1000, reach: { fromMm: 0, toMm: 9000 } })
      const inside = strips.find(one => x > one.fromMm && x < one.toMm)
      expect(besideWindowMm(covering as Parameters<typeof besideWindowMm>[0], foot, 2, x)).toBeCloseTo(inside ? Math.min(x - inside.fromMm, inside.toMm - x) : 0, 6)
    }
  })
  it('rafters under the side laps are named with the reach that would do', () => {
    const stop = plan(read(0)).findings.find(one => one.kind === 'no-support')!
    expect(stop.sentence).toMatch(/All rafters lie under side laps.*may be set 78 mm aside and would need \d+ mm.*swap the tiles/)
  })
})
