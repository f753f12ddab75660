import { describe, expect, it } from 'vitest'
import { changed } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { applyEdit, type Edit, type Face, type Job, readEdit, rebased } from './index'
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
})
