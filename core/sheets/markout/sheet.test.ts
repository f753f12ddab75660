import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, planOf, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { plainRow } from '../../job'
import { markoutSheet, gaugeError, lineCards, markTasks, revisionName, sheetChanges, spokenCheck, spokenLength, spokenMark, spokenStep, spokenTask } from './index'
import { planJob } from '../../plan'
import { readingDivisionMm } from '../../units'
import { squareFor } from '../../rows'

const face = () => threeRowsOfSix().faces[0]!
const marksOf = (array = {}, values = {}) => planOf(changed(values, array).faces[0]!).marks
const step = (id: string, marks = marksOf()) => marks.find(one => one.id === id)!

describe('schools of setting out', () => {
  it('from the ridge down begin at the top row and take every line from the top', () => {
    const marks = marksOf({ stackFrom: 'ridge' })
    expect(step('first-row', marks).marks[0]!.label).toBe('Upper edge of row 3')
    const lines = step('rail-lines', marks).marks.map(mark => mark.readingMm)
    expect(lines).toEqual([...lines].sort((a, b) => b - a))
    const fixings = marks.filter(one => one.kind === 'fixings').map(one => one.id)
    expect(fixings[0]).toBe('fixings-row3-upper')
    expect(marks.filter(one => one.kind === 'modules').map(one => one.id)).toEqual(['modules-row3', 'modules-row2', 'modules-row1'])
  })
  it('have the same readings either way: both run from the one datum', () => {
    const places = (marks: ReturnType<typeof marksOf>) => marks.filter(one => one.kind === 'fixings').flatMap(one => one.marks.map(mark => mark.readingMm)).sort((a, b) => a - b)
    expect(places(marksOf({ stackFrom: 'ridge' }))).toEqual(places(marksOf()))
  })
})

describe('the square', () => {
  it('is the largest 3-4-5 in round lengths that fits', () => {
    expect(squareFor(inch(240), inch(150), 'imperial')).toEqual({
      alongMm: expect.closeTo(inch(192), 6),
      upMm: expect.closeTo(inch(144), 6),
      diagonalMm: expect.closeTo(inch(240), 6),
    })
    expect(squareFor(6400, 3000, 'metric')).toEqual({ alongMm: 4000, upMm: 3000, diagonalMm: 5000 })
    // Taller than wide: the longer leg lies up the slope.
    expect(squareFor(3100, 9000, 'metric')).toEqual({ alongMm: 3000, upMm: 4000, diagonalMm: 5000 })
    expect(squareFor(250, 9000, 'metric')).toBeNull()
  })
  it('is right-angled whatever it is of (Pythagoras)', () => {
    for (let along = 500; along < 12_000; along += 730) {
      const one = squareFor(along, 3456, 'metric')
      if (one) expect(Math.hypot(one.alongMm, one.upMm)).toBeCloseTo(one.diagonalMm, 9)
    }
  })
  it('starts at the end of the row nearer the datum', () => {
    const plan = planOf({ ...face(), datum: 'right' })
    const square = plan.marks.find(one => one.id === 'square')!
    expect(square.marks[0]!.readingMm).toBeCloseTo(inch(336) - plan.rows.rows[0]!.rightMm, 6)
    expect(square.marks[1]!.readingMm).toBeGreaterThan(square.marks[0]!.readingMm)
  })
})

describe('gauge sticks', () => {
  it('build up the rounding of one cut with every step', () => {
    // 1038 mm and half an inch of gap is 41 3/8 in less 0.225 mm; cut to the sixteenth and stepped five times it runs on.
    const { gauge } = step('modules-row1')
    expect(gauge).toMatchObject({ steps: 5 })
    expect(gauge!.lengthMm).toBeCloseTo(1050.7, 9)
    const { cutMm, offMm } = gaugeError(gauge!, 'imperial')
    expect(cutMm % readingDivisionMm('imperial')).toBeCloseTo(0, 6)
    expect(offMm).toBeCloseTo(5 * (cutMm - 1050.7), 9)
    expect(Math.abs(offMm)).toBeLessThanOrEqual(5 * readingDivisionMm('imperial') / 2)
  })
  it('are not given for a row with a break in it', () => expect(step('modules-row1', marksOf({ rows: [{ ...plainRow, skip: [3] }] })).gauge).toBeNull())
})

describe('a face out of square', () => {
  const outline = {
    kind: 'corners' as const,
    corners: [
      [0, 0, 'eave'],
      [8000, 0, 'rake'],
      [7600, 5000, 'ridge'],
      [300, 4800, 'rake'],
    ].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })),
  }
  const plan = planOf({ ...face(), outline })
  it('has its lines snapped between a reading up either edge', () => {
    for (const mark of plan.marks.find(one => one.id === 'rail-lines')!.marks) {
      // Along a straight edge a reading is the height times the edge's length over its rise.
      expect(mark.endsMm![0]).toBeCloseTo(mark.readingMm * Math.hypot(300, 4800) / 4800, 6)
      expect(mark.endsMm![1]).toBeCloseTo(mark.readingMm * Math.hypot(400, 5000) / 5000, 6)
    }
    expect(step('rail-lines').marks.every(mark => mark.endsMm === null)).toBe(true)
  })
  it('shows its margins at both ends', () => {
    const checks = plan.marks.find(one => one.id === 'rows')!.checks
    const row = plan.rows.rows[0]!
    const left = (y: number) => row.leftMm - 300 * y / 4800
    const find = (words: string) => checks.find(check => check.label === words)!.value
    expect(find('Row 1, left margin at its lower edge')).toEqual({ kind: 'length', mm: expect.closeTo(left(row.bottomMm), 6) })
    expect(find('Row 1, left margin at its upper edge')).toEqual({ kind: 'length', mm: expect.closeTo(left(row.topMm), 6) })
    const last = plan.rows.rows.at(-1)!
    const ridge = (x: number) => 4800 + 200 * (x - 300) / 7300
    expect(find(`Row ${last.index + 1}, straight up to the edge above its left end`)).toEqual({ kind: 'length', mm: expect.closeTo(ridge(last.leftMm) - last.topMm, 6) })
    expect(find(`Row ${last.index + 1}, straight up to the edge above its right end`)).toEqual({ kind: 'length', mm: expect.closeTo(ridge(last.rightMm) - last.topMm, 6) })
  })
})

describe('bolts', () => {
  const hawser = { railId: 'hawser-mid', mountId: 'limpet-four', clampsId: 'hawser-grip' }
  it('that go in from the end only are loaded before the rail is fixed, one for each clamp', () => {
    const plan = planOf(changed({}, hawser).faces[0]!)
    const bolts = plan.marks.find(one => one.id === 'bolts')!
    // Two end clamps and a mid clamp between each two of six modules.
    expect(bolts.checks.map(check => check.value)).toEqual(plan.rails.map(() => ({ kind: 'count', n: 7, of: 'bolts' })))
    const kinds = plan.marks.map(one => one.kind)
    expect(kinds.indexOf('bolts')).toBeGreaterThan(kinds.lastIndexOf('fixings'))
    expect(kinds.indexOf('bolts')).toBeLessThan(kinds.indexOf('modules'))
  })
  it('that drop in and turn are no step of their own', () => expect(step('bolts')).toBeUndefined())
})

describe('what changed since a sheet was issued', () => {
  const job = threeRowsOfSix()
  const sheet = (one = job) => markoutSheet(one, planJob(one, catalogue)).faces
  it('is nothing where nothing did, also where only a name did', () => {
    expect(sheetChanges(sheet(), sheet())).toEqual([])
    expect(sheetChanges(sheet(), sheet(after(job, { type: 'set-job', values: { title: 'Another name' } })))).toEqual([])
  })
  it('names the marks that moved, with both readings', () => {
    const moved = after(job, { type: 'set-row', faceId: 'main', row: 0, values: { lowerRailMm: 320 } })
    const [face] = sheetChanges(sheet(), sheet(moved))
    const rail = face!.changes.find(one => one.kind === 'moved' && one.label === 'Rail 1')!
    expect(rail).toMatchObject({ step: 'Rail lines', toMm: expect.closeTo(planJob(moved, catalogue).faces[0]!.rails[0]!.lineMm, 6) })
    // Fixings of the rail lie on another line now, though their readings along it are the same.
    expect(face!.changes.filter(one => one.step === 'Fixings on rail 1').map(one => one.label)).toEqual(['its line'])
    expect(face!.changes.every(one => one.kind === 'moved')).toBe(true)
  })
  it('names what is new and what is gone', () => {
    const longer = after(job, { type: 'set-array', faceId: 'main', values: { rowCount: 2 } })
    const [face] = sheetChanges(sheet(), sheet(longer))
    expect(face!.changes.filter(one => one.kind === 'gone').map(one => one.label)).toContain('Row 3, upper edge')
    const [back] = sheetChanges(sheet(longer), sheet())
    expect(back!.changes.filter(one => one.kind === 'added')).toHaveLength(face!.changes.filter(one => one.kind === 'gone').length)
  })
  it('is everything where the tapes are hooked on another corner', () => {
    const turned = after(job, { type: 'set-face', faceId: 'main', values: { datum: 'right' } })
    const [face] = sheetChanges(sheet(), sheet(turned))
    expect(face!.changes.some(one => one.kind === 'moved')).toBe(false)
    expect(face!.changes.filter(one => one.kind === 'gone').length).toBe(sheet()[0]!.marks.reduce((sum, one) => sum + one.marks.length + (one.closing ? 1 : 0), 0))
  })
  it('leaves out what moved by less than half a division', () => {
    const nearly = after(job, { type: 'set-array', faceId: 'main', values: { shiftMm: (job.faces[0]!.array.shiftMm ?? 0) + 0.3 } })
    expect(sheetChanges(sheet(), sheet(nearly))).toEqual([])
  })
  it('revisions go from A to Z, then AA', () => expect([1, 2, 26, 27, 52, 53].map(revisionName)).toEqual(['A', 'B', 'Z', 'AA', 'AZ', 'BA']))
})

describe('read aloud', () => {
  it.each([
    [inch(55.1875), 'imperial', '4 feet 7 and 3 sixteenths inches'],
    [inch(0.5), 'imperial', '1 half of an inch'],
    [inch(12), 'imperial', '1 foot 0 inches'],
    [1226, 'metric', '1226 millimetres'],
  ] as const)('%f mm, %s: %s', (mm, units, words) => {
    expect(spokenLength(mm, units)).toBe(words)
  })
  it('says mark, reading and what it stands on', () => {
    const fixings = step('fixings-row1-lower')
    expect(spokenMark(fixings.marks[0]!, 'imperial')).toMatch(/^Fixing 1\. \d+ feet .* inches\. Rafter \d+, guessed: pilot first/)
    expect(spokenStep(fixings, 'imperial')).toMatch(/^Fixings on rail 1\. Along the eave, line at /)
    expect(spokenCheck(step('square').checks[1]!, 'imperial')).toMatch(/^Check\. Diagonal between the two\. \d+ feet/)
  })
})

describe('a hip', () => {
  it('has its keep-clear line marked on the face, parallel to the hip and as deep as the rule', () => {
    const outline = {
      kind: 'corners' as const,
      corners: [
        [0, 0, 'eave'],
        [9000, 0, 'hip'],
        [6000, 4000, 'ridge'],
        [3000, 4002, 'hip'],
      ].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })),
    }
    const plan = planOf({ ...face(), outline, setbacks: { ...face().setbacks, hipMm: 400 } })
    const [low, high] = plan.marks.find(one => one.title === 'Keep-clear line along the right hip')!.marks.sort((a, b) => a.upMm! - b.upMm!)
    expect([low!.upMm, high!.upMm!].map(mm => Math.round(mm!))).toEqual([0, 4000])
    // Along the eave 400 mm square to a hip that runs 3 to 4: 400 · 5/4.
    expect(9000 - low!.readingMm).toBeCloseTo(500, 0)
    expect(6000 - high!.readingMm).toBeCloseTo(500, 0)
  })
  it('is not gone on with over a ridge that is a little out of level', () => {
    const outline = {
      kind: 'corners' as const,
      corners: [
        [0, 0, 'eave'],
        [9000, 0, 'hip'],
        [6000, 4000, 'ridge'],
        [3000, 4002, 'hip'],
      ].map(([xMm, yMm, edge]) => ({ xMm: xMm as number, yMm: yMm as number, edge: edge as 'eave' })),
    }
    const plan = planOf({ ...face(), outline })
    const closing = plan.marks.find(one => one.id === 'rows')!.closing!
    expect(closing.endsMm![0]).toBeCloseTo(Math.hypot(3000, 4002), 6)
    expect(closing.endsMm![1]).toBeNull()
  })
})

describe('one task at a time', () => {
  const faces = [{ faceId: 'main', name: 'Main face', marks: marksOf() }]
  const tasks = markTasks(faces)
  it('is every mark, closing reading and check, each under a key of its own', () => {
    expect(tasks).toHaveLength(faces[0]!.marks.reduce((sum, one) => sum + one.marks.length + (one.closing ? 1 : 0) + one.checks.length, 0))
    expect(new Set(tasks.map(task => task.key)).size).toBe(tasks.length)
    expect(tasks.filter(task => task.first)).toHaveLength(faces[0]!.marks.length)
  })
  it('keeps its key where other marks come and go before it', () => {
    const fewer = markTasks([{ ...faces[0]!, marks: marksOf({ rowCount: 2 }) }]).map(task => task.key)
    const kept = fewer.filter(key => tasks.some(task => task.key === key))
    expect(kept.length / fewer.length).toBeGreaterThan(0.95)
  })
  it('stands on one card a line: all of a step together, nothing lost and nothing twice', () => {
    const two = markTasks([...faces, { ...faces[0]!, faceId: 'back', name: 'Back face' }])
    const cards = lineCards(two)
    expect(cards.flatMap(card => card.tasks)).toEqual(two)
    expect(cards.map(card => `${card.faceId}/${card.step.id}`)).toEqual(['main', 'back'].flatMap(face => faces[0]!.marks.map(step => `${face}/${step.id}`)))
    expect(cards.every(card => card.tasks.every(task => task.step === card.step && task.faceId === card.faceId))).toBe(true)
    // What a crew has to tap for three rows of six: a card a line, not a card a mark.
    expect(cards.length * 3).toBeLessThan(two.length)
  })
  it('tells its step first, then only the mark', () => {
    const fixing = tasks.filter(task => task.step.id === 'fixings-row1-lower')
    expect(spokenTask(fixing[0]!, 'imperial')).toMatch(/^Fixings on rail 1\. Along the eave/)
    expect(spokenTask(fixing[1]!, 'imperial')).toMatch(/^Fixing 2\./)
  })
})
