import { isEqual } from 'es-toolkit'
import { describe, expect, it } from 'vitest'
import { threeRowsOfSix } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { bareGround, plainThing, plainWall, applyEdit, collide, type Edit, editKinds, noPlaceLoads, touches } from '../job'
import { editRefusal, figuresOf, isFieldChange, may, needOf, refusalOf, type Right, roles } from './index'

describe('rights', () => {
  it('grow from role to role: whoever stands above may do what those below may', () => {
    const rights: Right[] = ['read-sheet', 'read', 'read-shelf', 'tick', 'log', 'move', 'plan', 'issue', 'jobs', 'shelf', 'share', 'people']
    const upwards = [...roles].reverse()
    expect(upwards).toEqual(['guest', 'yard', 'lead', 'planner', 'owner'])
    for (const right of rights) {
      const holders = upwards.map(role => may(role, right))
      expect(holders).toEqual([...holders].sort((a, b) => Number(a) - Number(b)))
    }
    expect(refusalOf('yard', 'issue')).toBe('As yard you can’t issue sheets. Ask an owner or planner.')
  })
  it('on an edit are a planner’s for every kind, but for what needs somebody who vouches', () => {
    const job = { ...threeRowsOfSix(), ground: { ...bareGround, walls: [plainWall], things: [plainThing] } }
    const { pick, whole, between } = seeded(3)
    for (const kind of editKinds) {
      for (let i = 0; i < 8; i++) {
        const edit = kind.example(job, { pick, whole, between }) as Edit
        expect(editRefusal(edit, job, { role: 'planner', vouches: true })).toBeNull()
        expect(editRefusal(edit, job, { role: 'guest', vouches: false })).not.toBeNull()
        expect(editRefusal(edit, job, { role: 'yard', vouches: true })).not.toBeNull()
        // By what comes of it: whoever does not vouch leaves the figures as they are, but that a face goes or comes with its own.
        if (edit.type !== 'add-face' && edit.type !== 'remove-face') expect(editRefusal(edit, job, { role: 'owner', vouches: false }) === null).toBe(isEqual(figuresOf(applyEdit(job, edit)), figuresOf(job)))
        // A planner's is never asked of the plan.
        expect(isFieldChange(edit, 'planner')).toBe(false)
      }
    }
  })
  it('leave all but an engineer’s figure to whoever does not vouch, though it stands beside one', () => {
    const wind = { kind: 'typed' as const, by: 'A. Beam', edgeMm: 1000, interior: { upPa: 900, downPa: 500 }, edge: { upPa: 1200, downPa: 500 }, corner: { upPa: 1500, downPa: 500 } }
    const snow = { groundPa: 1000, ce: 1, ct: 1, slippery: false, importance: 1 }
    const rules = (over: object, upPa = 900): Edit => ({ type: 'set-loads', values: { rules: { edition: 'us-2016', wind: { ...wind, interior: { upPa, downPa: 500 } }, snow: { ...snow, ...over } } } })
    const planner = { role: 'planner' as const, vouches: false }
    const none = threeRowsOfSix()
    expect(editRefusal(rules({}), none, planner)).toContain('vouches')
    expect(editRefusal({ type: 'set-loads', values: { place: { ...noPlaceLoads, typed: wind } } }, none, planner)).toContain('vouches')
    expect(editRefusal({ type: 'set-loads', values: { place: { ...noPlaceLoads, groundPa: 1200 } } }, none, planner)).toBeNull()
    const job = applyEdit(none, rules({}))
    expect(figuresOf(job)).toMatchObject([{ fact: 'loads/typed', value: wind }])
    expect(editRefusal(rules({ groundPa: 1500 }), job, planner)).toBeNull()
    expect(editRefusal(rules({}, 899), job, planner)).toContain('vouches')
  })
  it('of an electrician’s figure is for somebody who vouches: a greater voltage, a device loaded whole, a listed array', () => {
    const none = threeRowsOfSix()
    const planner = { role: 'planner' as const, vouches: false }
    for (const values of [{ mostV: 1000 }, { listedFull: true }, { insideBy: 'listed' as const }]) expect(editRefusal({ type: 'set-wiring', values }, none, planner)).toContain('vouches')
    for (const values of [{ deviceA: 15 }, { school: 'fill' as const }, { insideBy: 'none' as const }]) expect(editRefusal({ type: 'set-wiring', values }, none, planner)).toBeNull()
  })
  it.each<[string, Edit, string]>([
    ['a hit', { type: 'drop-hits', faceId: 'main', hitIds: ['a'] }, 'log'],
    ['a rafter found', { type: 'move-rafter', faceId: 'main', rafter: 3, centreMm: 1200 }, 'log'],
    ['a broken tile', { type: 'log-broken', faceId: 'main', broken: [{ id: 'b', course: 3, unit: 4, by: '', supplies: 'firm', on: '2026-05-04' }] }, 'log'],
    ['a broken tile taken back', { type: 'drop-broken', faceId: 'main', brokenIds: ['b'] }, 'log'],
    ['a task of another trade', { type: 'put-task', faceId: 'main', task: { id: 'task-felt', trade: 'roofer', what: 'Lay the felt', due: null, done: false } }, 'log'],
    ['what was found on arrival', { type: 'set-in-roof', faceId: 'main', values: { coursesLaid: 2, foundBy: 'A. Beam' } }, 'log'],
    ['battens read', { type: 'set-in-roof', faceId: 'main', values: { battensRead: [] } }, 'move'],
    ['a plug made on site', { type: 'set-site-end', endId: 'e1', end: null }, 'log'],
    ['the roof box', { type: 'set-wiring', values: { roofBox: null } }, 'move'],
    ['the split into branches', { type: 'set-wiring', values: { school: 'fill' } }, 'plan'],
    ['a module’s branch', { type: 'put-in-circuit', faceId: 'main', moduleId: 'row1-1', circuit: 2 }, 'plan'],
    ['another system', { type: 'set-in-roof', faceId: 'main', values: { systemId: 'saltings-tray' } }, 'plan'],
    ['the way through', { type: 'set-array', faceId: 'main', values: { closureId: 'rings' } }, 'plan'],
    ['hazards', { type: 'set-site', values: { hazards: [] } }, 'log'],
    ['a vent found', { type: 'set-face', faceId: 'main', values: { obstructions: [] } }, 'move'],
    ['the pitch', { type: 'set-face', faceId: 'main', values: { pitchDeg: 31 } }, 'move'],
    ['the decision', { type: 'set-site', values: { decision: 'go-ahead' } }, 'plan'],
    ['a shift', { type: 'set-array', faceId: 'main', values: { shiftMm: 3 } }, 'move'],
    ['a row’s rail', { type: 'set-row', faceId: 'main', row: 1, values: { lowerRailMm: 300 } }, 'move'],
    ['a row’s number', { type: 'set-row', faceId: 'main', row: 1, values: { count: 3 } }, 'plan'],
    ['a shift and a part', { type: 'batch', edits: [{ type: 'set-array', faceId: 'main', values: { shiftMm: 3, railId: 'other' } }] }, 'plan'],
    ['a face', { type: 'remove-face', faceId: 'main' }, 'plan'],
  ])('of %s is to %s', (_, edit, need) => expect(needOf(edit)).toBe(need))
})

describe('edits that touch the same', () => {
  const face = (values: object, faceId = 'main') => touches({ type: 'set-face', faceId, values } as Edit)
  it('collide, a whole face with all of it, supports with their hits; others don’t', () => {
    expect(collide(face({ pitchDeg: 1 }), face({ pitchDeg: 2 }))).toBe(true)
    expect(collide(face({ pitchDeg: 1 }), face({ name: 'x' }))).toBe(false)
    expect(collide(face({ pitchDeg: 1 }), face({ pitchDeg: 2 }, 'other'))).toBe(false)
    const gone = touches({ type: 'remove-face', faceId: 'main' })
    for (const [a, b] of [[gone, face({ pitchDeg: 1 })], [face({ pitchDeg: 1 }), gone]] as const) expect(collide(a, b)).toBe(true)
    const hit = touches({ type: 'drop-hits', faceId: 'main', hitIds: ['a'] })
    for (const [a, b] of [[hit, face({ supports: {} })], [face({ supports: {} }), hit]] as const) expect(collide(a, b)).toBe(true)
    expect(collide(hit, face({ supports: {} }, 'main2'))).toBe(false)
  })
  /** In which order two logged what they found is no fact: each stands by its name. */
  const nameOf = (one: unknown): string | null => {
    const { id, moduleId, fromId, toId } = (one ?? {}) as Record<string, string | undefined>
    return id ?? moduleId ?? (fromId === undefined ? null : `${fromId} ${toId}`)
  }
  const listsSorted = (value: unknown): unknown => JSON.parse(JSON.stringify(value, (_, one: unknown) => Array.isArray(one) && one.every(item => nameOf(item) !== null) ? [...one as unknown[]].sort((x, y) => nameOf(x)!.localeCompare(nameOf(y)!)) : one))
  it('are told from those that don’t by making both: what shares no fact comes to the same in either order', () => {
    const { pick, whole, between } = seeded(11)
    const job = { ...threeRowsOfSix(), ground: { ...bareGround, walls: [plainWall], things: [plainThing] } }
    let apart = 0
    for (let i = 0; i < 1200; i++) {
      const [a, b] = [0, 1].map(() => {
        const kind = pick(editKinds)
        return { kind, edit: kind.example(job, { pick, whole, between }) }
      }) as [{ kind: typeof editKinds[number], edit: Edit }, { kind: typeof editKinds[number], edit: Edit }]
      if (collide(touches(a.edit), touches(b.edit)) || [a, b].some(({ edit }) => edit.type === 'add-face' || edit.type === 'remove-face')) continue
      const made = (first: typeof a, second: typeof a) => second.kind.apply(first.kind.apply(job, first.edit as never), second.edit as never)
      expect(listsSorted(made(a, b))).toEqual(listsSorted(made(b, a)))
      apart++
    }
    expect(apart).toBeGreaterThan(100)
  })
})
