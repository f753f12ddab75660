import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { demoJobs } from '../../db/demo/jobs'
import { planFaceOf, planJob } from '../plan'
import { type Direction, type Ref, sameRef } from '../trade'
import { isThere, nameOf, nextKind, nextOf, nudgeEdit, stageOf, tapeReadings, workingsFor, workingsOf } from './index'

describe('nudging', () => {
  const job = threeRowsOfSix()
  const [main] = job.faces
  const plan = planFaceOf(job, catalogue, 'main')
  const nudged = (selection: Ref, direction: Direction, step: number | 'snap') => {
    const edit = nudgeEdit({ job, face: main!, plan }, selection, direction, step)
    return edit && planFaceOf(after(job, edit), catalogue, 'main')
  }
  it('moves a row, the whole array, a rail and a rafter', () => {
    expect(nudged({ kind: 'row', index: 1 }, 'right', 25)!.rows.rows[1]!.leftMm - plan.rows.rows[1]!.leftMm).toBeCloseTo(25, 9)
    expect(nudged({ kind: 'rows' }, 'left', 25)!.rows.rows.map((row, i) => row.leftMm - plan.rows.rows[i]!.leftMm)).toEqual([
      expect.closeTo(-25, 6),
      expect.closeTo(-25, 6),
      expect.closeTo(-25, 6),
    ])
    expect(nudged({ kind: 'row', index: 0 }, 'up', 10)!.rows.rows[2]!.bottomMm - plan.rows.rows[2]!.bottomMm).toBeCloseTo(10, 6)
    expect(nudged({ kind: 'rail', id: 'row1-lower' }, 'up', 3)!.rails[0]!.lineMm - plan.rails[0]!.lineMm).toBeCloseTo(3, 9)
    expect(nudged({ kind: 'rafter', number: 4 }, 'left', 5)!.supports.rafters[3]!.centreMm).toBeCloseTo(inch(84) - 5, 9)
  })
  it('up and down forty times on an eave 30 mm out of level: every step is its own length, and the way back ends where it began', () => {
    const corners = ([[0, 0, 'eave'], [9000, 30, 'rake'], [9000, 7000, 'ridge'], [0, 7000, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge }))
    let now = changed({ outline: { kind: 'corners', corners } }, { rowCount: 2 })
    const start = planFaceOf(now, catalogue, 'main').rows.rows[0]!.bottomMm
    expect(start).toBeGreaterThan(inch(6))
    for (const direction of ['up', 'down'] as const) {
      for (let i = 1; i <= 40; i++) {
        const before = planFaceOf(now, catalogue, 'main')
        now = after(now, nudgeEdit({ job: now, face: now.faces[0]!, plan: before }, { kind: 'row', index: 0 }, direction, 3)!)
        const moved = planFaceOf(now, catalogue, 'main').rows.rows[0]!.bottomMm - before.rows.rows[0]!.bottomMm
        expect(moved).toBeCloseTo(direction === 'up' ? 3 : -3, 6)
      }
    }
    expect(planFaceOf(now, catalogue, 'main').rows.rows[0]!.bottomMm).toBeCloseTo(start, 6)
  })
  it('stops at rafters, courses and the ends of the clamp zone', () => {
    expect(plan.supports.rafters.some(rafter => Math.abs(rafter.centreMm - nudged({ kind: 'row', index: 0 }, 'right', 'snap')!.rows.rows[0]!.leftMm) < 1e-6)).toBe(true)
    expect(plan.courses.some(course => Math.abs(course - nudged({ kind: 'row', index: 0 }, 'up', 'snap')!.rows.rows[0]!.bottomMm) < 1e-6)).toBe(true)
    let at = plan
    let edit = nudgeEdit({ job, face: main!, plan: at }, { kind: 'rail', id: 'row1-lower' }, 'up', 'snap')
    for (let i = 0; edit && i < 20; i++) {
      at = planFaceOf(after(job, edit), catalogue, 'main')
      edit = nudgeEdit({ job, face: main!, plan: at }, { kind: 'rail', id: 'row1-lower' }, 'up', 'snap')
    }
    expect(at.rails[0]!.lineMm).toBeCloseTo(at.rails[0]!.zone.toMm, 6)
  })
  it('has nothing to do for what can’t go that way', () => {
    expect(nudged({ kind: 'rail', id: 'row1-lower' }, 'left', 5)).toBeNull()
    expect(nudged({ kind: 'rafter', number: 4 }, 'up', 5)).toBeNull()
    expect(nudged({ kind: 'face' }, 'up', 5)).toBeNull()
  })
})

describe('what a hand takes hold of', () => {
  const job = threeRowsOfSix()
  const ask = { job, face: job.faces[0]!, plan: planFaceOf(job, catalogue, 'main') }
  it('is found by what it is, with the rung where its figures are', () => {
    expect([
      isThere(ask, { kind: 'rail', id: 'row2-upper' }),
      isThere(ask, { kind: 'rail', id: 'row9-upper' }),
      isThere(ask, { kind: 'rafter', number: 40 }),
    ]).toEqual([true, false, false])
    expect([
      { kind: 'rafter', number: 3 },
      { kind: 'row', index: 0 },
      { kind: 'rail', id: 'row1-lower' },
      { kind: 'face' },
    ].map(ref => stageOf(ask, ref as Ref))).toEqual(['rafters', 'rows', 'rails', null])
  })
  it('has its line from one trade and its fixings from another, on one tape each', () => {
    const { along, up } = tapeReadings(ask, { kind: 'rail', id: 'row1-lower' })
    expect([along.map(one => one.tone), up.map(one => one.label)]).toEqual([ask.plan.fixings.rails[0]!.fixings.map(() => 'fixing'), ['Rail 1']])
  })
  it('that is gone reads as the face does', () => {
    expect(tapeReadings(ask, { kind: 'rail', id: 'row9-upper' })).toEqual(tapeReadings(ask, { kind: 'face' }))
  })
  it('keeps its name when something else is changed', () => {
    const names = (one: typeof ask.plan) => [...one.rails.map(rail => rail.id), ...one.fixings.rails.flatMap(rail => rail.fixings.map(fixing => fixing.id))]
    const trimmed = planFaceOf(after(job, { type: 'set-array', faceId: 'main', values: { trimTailMm: 40 } }), catalogue, 'main')
    expect(names(trimmed)).toEqual(names(ask.plan))
    // A row that is shortened moves fixings of others, which are spread over all rows: what still stands on the same rafter keeps its name.
    const shorter = planFaceOf(after(job, { type: 'set-row', faceId: 'main', row: 0, values: { count: 4 } }), catalogue, 'main')
    expect(shorter.rails.map(rail => rail.id)).toEqual(ask.plan.rails.map(rail => rail.id))
    const at = (one: typeof ask.plan) => new Map(one.fixings.rails.flatMap(rail => rail.fixings.map(fixing => [fixing.id, `${rail.railId} ${fixing.member}`] as const)))
    const now = at(shorter)
    const stayed = [...at(ask.plan)].filter(([id]) => now.has(id))
    expect(stayed.length).toBeGreaterThan(10)
    for (const [id, where] of stayed) expect(now.get(id)).toBe(where)
    const ids = ask.plan.fixings.rails.flatMap(rail => rail.fixings.map(fixing => fixing.id))
    expect(new Set(ids).size).toBe(ids.length)
  })
  it('is stepped along, round and round', () => {
    expect(nextOf(ask, { kind: 'row', index: 2 }, 'row', 1)).toEqual({ kind: 'row', index: 0 })
    expect(nextOf(ask, { kind: 'rows' }, 'row', -1)).toEqual({ kind: 'row', index: 2 })
    expect(nextOf(ask, { kind: 'rail', id: 'row1-lower' }, 'rail', 1)).toEqual({ kind: 'rail', id: 'row1-upper' })
    expect(nextOf(ask, { kind: 'face' }, 'obstruction', 1)).toBeNull()
  })
  it('says how its figures come about, and the face where nothing is held', () => {
    const [rail, row, face] = [{ kind: 'rail', id: 'row1-lower' }, { kind: 'row', index: 0 }, { kind: 'face' }].map(ref => workingsOf(ask, ref as Ref).map(one => one.what))
    expect(rail).toContain('Fixings of rail 1')
    expect(row).toHaveLength(1)
    expect(face!.length).toBeGreaterThan(2)
  })
})

describe('picking by hand or key', () => {
  const vent = { id: 'flue', kind: 'vent' as const, round: true, xMm: 4000, yMm: 4200, widthMm: 100, heightMm: 100, clearanceMm: 100 }
  const job = changed({ obstructions: [vent] })
  const ask = { job, face: job.faces[0]!, plan: planFaceOf(job, catalogue, 'main') }
  it('every kind of thing is come to, each thing of it by stepping, and each has a name of its own', () => {
    const kinds = new Map<string, Ref[]>()
    let ref: Ref = { kind: 'face' }
    for (let i = 0; i < 20 && !kinds.has(ref.kind); i++) {
      const all: Ref[] = [ref]
      for (let next = nextOf(ask, ref, ref.kind, 1)!; !sameRef(next, ref); next = nextOf(ask, next, ref.kind, 1)!) all.push(next)
      kinds.set(ref.kind, all)
      ref = nextKind(ask, ref, 1)
    }
    const counts = Object.fromEntries([...kinds].map(([kind, all]) => [kind, all.length]))
    expect(counts).toEqual({
      'face': 1, 'rafters': 1, 'rafter': ask.plan.supports.rafters.length, 'obstruction': 1, 'keep-clear': 1, 'rows': 1, 'row': ask.plan.rows.rows.length, 'module': ask.plan.modules,
      'rails': 1, 'rail': ask.plan.rails.length, 'fixing': ask.plan.fixings.total, 'unit': ask.plan.wiring!.units.length, 'circuit': ask.plan.wiring!.circuits.length,
    })
    const names = [...kinds.values()].flat().map(one => nameOf(ask, one))
    expect(names.every(Boolean)).toBe(true)
    expect(new Set(names).size).toBe(names.length)
    expect(nextKind(ask, { kind: 'face' }, -1).kind).toBe('unit')
  })
  it('a fixing reads where its cross is drawn, a module where it lies', () => {
    const [rail] = ask.plan.fixings.rails
    const fixing = rail!.fixings[2]!
    expect(tapeReadings(ask, { kind: 'fixing', id: fixing.id })).toMatchObject({ along: [{ placeMm: fixing.atMm }], up: [{ placeMm: ask.plan.rails[0]!.lineMm }] })
    const row = ask.plan.rows.rows[1]!
    expect(tapeReadings(ask, { kind: 'module', id: 'row2-3' }).along.map(one => one.placeMm)).toEqual([row.moduleLeftsMm[2], row.moduleLeftsMm[2]! + row.moduleWidthMm])
  })
})

describe('from a value on to its own working', () => {
  const quantity = (value: object): number => Object.values(value).find(one => typeof one === 'number') as number
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('%s: every value that comes from another working leads to one that is there and says the same', (_, job) => {
    let links = 0
    for (const [f, face] of job.faces.entries()) {
      const plan = planJob(job, catalogue).faces[f]!
      for (const ref of [{ kind: 'face' } as const, ...plan.rails.map(rail => ({ kind: 'rail' as const, id: rail.id }))]) {
        const all = workingsFor({ job, face, plan }, ref)
        for (const { value, from } of all.flatMap(one => one.values)) {
          if (!from) continue
          links++
          const there = all.filter(one => one.what === from)
          expect([from, there.length]).toEqual([from, 1])
          // A load along a rail comes from a pressure; what is of one kind must be one figure.
          const { result } = there[0]!
          if (result.kind === value.kind && !from.startsWith('Wind on') && result.kind !== 'force') expect(quantity(value) / quantity(result)).toBeCloseTo(1, 9)
        }
      }
    }
    if (job.loads.rules.edition !== 'none') expect(links).toBeGreaterThan(10)
  })
})
