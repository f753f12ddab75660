import { describe, expect, it } from 'vitest'
import { changed } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { applyEdit, bareGround, type Edit, type Face, type Job, plainInRoof, plainThing, plainWall, readEdit, rebased, type Wall } from './index'
import { demoCatalogue } from '../catalogue'
import { plainRules } from '../../tests/fixtures/plain-rules'

const taped = (sides: number[]): Extract<Face['outline'], { kind: 'taped' }> => ({
  kind: 'taped', form: 'quadrilateral', tapeSdMm: 3, diagonals: [], sides: sides.map((mm, i) => ({ mm, edge: (['eave', 'rake', 'ridge', 'rake'] as const)[i]! })),
})
/** Types over one side as the form does: from the outline that it shows. */
const typesSide = (seen: Job, side: number, mm: number): Edit => {
  const outline = seen.faces[0]!.outline as ReturnType<typeof taped>
  return { type: 'set-face', faceId: 'main', values: { outline: { ...outline, sides: outline.sides.map((one, i) => i === side ? { ...one, mm } : one) } } }
}
const sidesOf = (job: Job) => (job.faces[0]!.outline as ReturnType<typeof taped>).sides.map(side => side.mm)

describe('edits made while the screen trails behind', () => {
  it('200 times: sides typed one after the other before the first is shown are all kept', () => {
    const random = seeded(8)
    for (let i = 0; i < 200; i++) {
      const seen = changed({ outline: taped([9000, 5000, 9000, 5000]) })
      const order = [0, 1, 2, 3].sort(() => random.next() - 0.5).slice(0, random.whole(2, 4))
      const expected = sidesOf(seen)
      let now = seen
      for (const side of order) {
        expected[side] = Math.round(random.between(3000, 9000))
        const edit = rebased(typesSide(seen, side, expected[side]!), seen, now)
        expect(readEdit(edit, now, demoCatalogue).ok).toBe(true)
        now = applyEdit(now, edit)
      }
      expect(sidesOf(now)).toEqual(expected)
    }
  })
  it('the very same part typed twice is as it was typed last, and nothing is changed where nothing trails', () => {
    const seen = changed({ outline: taped([9000, 5000, 9000, 5000]) })
    const now = applyEdit(seen, typesSide(seen, 1, 6000))
    expect(sidesOf(applyEdit(now, rebased(typesSide(seen, 1, 7000), seen, now)))).toEqual([9000, 7000, 9000, 5000])
    const edit = typesSide(seen, 1, 6000)
    expect(rebased(edit, seen, seen)).toBe(edit)
  })
  it('a plain fact typed back to what is still shown is taken as typed', () => {
    const seen = changed({ pitchDeg: 20 })
    const now = applyEdit(seen, { type: 'set-face', faceId: 'main', values: { pitchDeg: 30 } })
    expect(applyEdit(now, rebased({ type: 'set-face', faceId: 'main', values: { pitchDeg: 20 } }, seen, now)).faces[0]!.pitchDeg).toBe(20)
  })
  it('facts of another kind are not mixed: the later choice stands whole', () => {
    const seen: Job = { ...changed({}), loads: { ...changed({}).loads, rules: plainRules('us-2010') } }
    const now = applyEdit(seen, { type: 'set-loads', values: { rules: plainRules('en') } })
    const rules = seen.loads.rules as Extract<Job['loads']['rules'], { edition: 'us-2010' }>
    const edit: Edit = { type: 'set-loads', values: { rules: { ...rules, snow: { ...rules.snow, groundPa: 2000 } } } }
    const done = applyEdit(now, rebased(edit, seen, now))
    expect(done.loads.rules).toEqual({ ...rules, snow: { ...rules.snow, groundPa: 2000 } })
  })
  it('an edit of a face that has gone is left for the reader to refuse', () => {
    const seen = changed({})
    const gone: Job = { ...seen, faces: [{ ...seen.faces[0]!, id: 'other' }] }
    const edit: Edit = { type: 'set-face', faceId: 'main', values: { outline: taped([9000, 5000, 9000, 5000]) } }
    expect(rebased(edit, seen, gone)).toEqual(edit)
    expect(readEdit(rebased(edit, seen, gone), gone, demoCatalogue).ok).toBe(false)
  })
  it('200 times: readings of one box, its plate, its wall and its run, typed by a quick hand before any is shown, are all kept', () => {
    const random = seeded(19)
    const box = { ...plainThing, id: 'box', anchors: { count: 4, inTension: 2, outMm: 80, apartMm: 300, pullN: null, shearN: null, edgeMm: 100, spacingMm: 100, embedMm: 50, topRestraint: false, board: false } }
    const seen: Job = { ...changed({}), ground: { ...bareGround, walls: [plainWall], things: [box] } }
    const hands: ((n: number) => Edit)[] = [
      n => ({ type: 'set-thing', thingId: 'box', values: { massKg: n } }),
      n => ({ type: 'set-thing', thingId: 'box', values: { anchors: { ...box.anchors, pullN: n } } }),
      n => ({ type: 'set-thing', thingId: 'box', values: { anchors: { ...box.anchors, shearN: n } } }),
      () => ({ type: 'set-thing', thingId: 'box', values: { says: [...box.says, 'surge'] } }),
      () => ({ type: 'set-thing', thingId: 'box', values: { says: [...box.says, 'rcd-b'] } }),
      n => ({ type: 'set-wall', wallId: plainWall.id, values: { wideMm: 3000 + n } }),
      n => ({ type: 'set-wall', wallId: plainWall.id, values: { blocks: [{ id: 'door', kind: 'door', name: 'Door', xMm: n, yMm: 0, wideMm: 900, highMm: 2000, deepMm: 0, keepMm: null }] } }),
      n => ({ type: 'set-wall', wallId: plainWall.id, values: { blocks: [{ id: 'gas', kind: 'gas', name: 'Gas', xMm: n, yMm: 300, wideMm: 200, highMm: 300, deepMm: 150, keepMm: null }] } }),
      () => ({ type: 'set-run', fromId: 'box', toId: 'main', values: { ways: ['wall', 'attic'] } }),
      () => ({ type: 'set-run', fromId: 'box', toId: 'main', values: { ways: ['wall', 'eave'] } }),
      n => ({ type: 'set-run', fromId: 'box', toId: 'main', values: { lengthMm: n } }),
    ]
    for (let round = 0; round < 200; round++) {
      const told = hands.map((hand, i) => [hand, 10 + i, random.next()] as const).sort((a, b) => a[2] - b[2])
      const now = told.reduce((state, [hand, n]) => {
        const edit = rebased(hand(n), seen, state)
        expect(readEdit(edit, state, demoCatalogue).ok).toBe(true)
        return applyEdit(state, edit)
      }, seen).ground!
      expect(now.things[0]).toMatchObject({ massKg: 10, anchors: { pullN: 11, shearN: 12 } })
      expect([...now.things[0]!.says].sort()).toEqual(['rcd-b', 'surge'])
      expect(now.walls[0]!.wideMm).toBe(3015)
      expect(now.walls[0]!.blocks.map(one => one.id).sort()).toEqual(['door', 'gas'])
      expect(now.runs[0]!.lengthMm).toBe(20)
      expect([...now.runs[0]!.ways].sort()).toEqual(['attic', 'eave', 'wall'])
    }
  })
  it('so are those of a group of the wiring, of a plug made on the roof and of a task; a system chosen meanwhile is not mixed with another', () => {
    const group = { id: 'g', name: 'Roof', system: 'unit-each' as const, unitId: 'lantern-unit', trunkId: 'lantern-trunk-upright', inverterId: null, faceIds: [] }
    const end = { id: 'e', place: 'String 1', plugs: 'Gannet', mate: '', pin: '', tool: '', by: '', clicked: false }
    const plain = changed({})
    const seen: Job = { ...plain, wiring: { ...plain.wiring, groups: [group], ends: [end] } }
    const typed: Edit[] = [
      { type: 'set-wire-group', groupId: 'g', group: { ...group, name: 'South' } }, { type: 'set-wire-group', groupId: 'g', group: { ...group, faceIds: ['main'] } },
      { type: 'set-site-end', endId: 'e', end: { ...end, pin: '6 mm²' } }, { type: 'set-site-end', endId: 'e', end: { ...end, by: 'Crew lead' } }, { type: 'set-site-end', endId: 'e', end: { ...end, clicked: true } },
    ]
    const { wiring } = typed.reduce((now, edit) => applyEdit(now, rebased(edit, seen, now)), seen)
    expect(wiring.groups).toEqual([{ ...group, name: 'South', faceIds: ['main'] }])
    expect(wiring.ends).toEqual([{ ...end, pin: '6 mm²', by: 'Crew lead', clicked: true }])
    const task = { id: 't', trade: 'roofer' as const, what: 'Lay the felt', due: null, done: false }
    const inRoof = applyEdit(plain, { type: 'take-in-roof', faceId: 'main', inRoof: { ...plainInRoof, systemId: 'saltings-tray', tasks: [task] } })
    const tasks: Edit[] = [{ type: 'put-task', faceId: 'main', task: { ...task, done: true } }, { type: 'put-task', faceId: 'main', task: { ...task, due: '2026-12-03' } }]
    expect(tasks.reduce((now, edit) => applyEdit(now, rebased(edit, inRoof, now)), inRoof).faces[0]!.inRoof!.tasks).toEqual([{ ...task, done: true, due: '2026-12-03' }])
    const strings = { ...group, system: 'strings' as const, unitId: null, trunkId: null, inverterId: 'quillon-two' }
    const now = applyEdit(seen, { type: 'set-wire-group', groupId: 'g', group: strings })
    expect(applyEdit(now, rebased(typed[0]!, seen, now)).wiring.groups).toEqual([{ ...group, name: 'South' }])
  })
  it('what was taken out on one side stays out, and what the other changed of the rest is kept', () => {
    const block = (id: string, xMm: number): Wall['blocks'][number] => ({ id, kind: 'other', name: id, xMm, yMm: 0, wideMm: 100, highMm: 100, deepMm: 0, keepMm: null })
    const blocksOf = (job: Job) => job.ground!.walls[0]!.blocks
    const seen: Job = { ...changed({}), ground: { ...bareGround, walls: [{ ...plainWall, blocks: [block('a', 0), block('b', 500), block('c', 900)] }] } }
    const set = (blocks: Wall['blocks']): Edit => ({ type: 'set-wall', wallId: plainWall.id, values: { blocks } })
    const now = applyEdit(seen, set(blocksOf(seen).filter(one => one.id !== 'b')))
    const mine = set(blocksOf(seen).map(one => one.id === 'c' ? { ...one, xMm: 950 } : one))
    expect(blocksOf(applyEdit(now, rebased(mine, seen, now)))).toEqual([block('a', 0), block('c', 950)])
  })
})
