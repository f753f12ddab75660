import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import type { Ref } from '../../trade'
import { catalogue, changed, inch, planOf, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { planFaceOf } from '../../plan'
import { parseLength } from '../../units'
import { lineCards, marksCsv, markTasks, strikeOf, strikesOf, struckAmong } from './index'
import { tapeReadings } from '../../hand'

describe('mark-out', () => {
  const job = threeRowsOfSix()
  const [face] = job.faces
  const plan = planFaceOf(job, catalogue, face!.id)
  const step = (id: string, of = plan) => of.marks.find(one => one.id === id)!

  it('goes in the order in which a crew strikes lines', () => {
    const kinds = [...new Set(plan.marks.map(one => one.kind))]
    expect(kinds).toEqual(['datum', 'keep-clear', 'square', 'supports', 'first-row', 'rows', 'rails', 'openings', 'fixings', 'splices', 'electronics', 'trunk', 'modules', 'trim'])
  })

  it('reads every mark from the one datum, exact and in the order of the tape', () => {
    expect(step('rafters').marks.map(mark => Math.round(mark.readingMm / 25.4))).toEqual([12, 36, 60, 84, 108, 132, 156, 180, 204, 228, 252, 276, 300, 324])
    for (const one of plan.marks) {
      const readings = one.marks.map(mark => mark.readingMm)
      expect(readings).toEqual([...readings].sort((a, b) => a - b))
      if (one.marks.length) expect(one.closing!.readingMm).toEqual(expect.closeTo(one.tape === 'along' ? inch(336) : inch(240), 6))
    }
    plan.rails.forEach((rail, r) => expect(step(`fixings-${rail.id}`).marks.map(mark => mark.readingMm)).toEqual(plan.fixings.rails[r]!.fixings.map(fixing => fixing.atMm)))
  })

  it('mirrors every reading along the eave when the datum is the right rake', () => {
    const right = planOf({ ...face!, datum: 'right' })
    const left = step('rafters').marks.map(mark => inch(336) - mark.readingMm).reverse()
    step('rafters', right).marks.forEach((mark, i) => expect(mark.readingMm).toBeCloseTo(left[i]!, 9))
    expect(step('rail-lines', right).marks.map(mark => mark.readingMm)).toEqual(step('rail-lines').marks.map(mark => mark.readingMm))
  })

  it('puts electronics at module centres, width and gap apart, but where something stands there: leaving the gap out would drift', () => {
    const { marks, checks } = step('electronics-row1')
    const centre = (i: number) => plan.rows.rows[0]!.leftMm + 519 + i * (1038 + 12.7)
    const off = marks.map((mark, i) => Math.abs(mark.readingMm - centre(i)))
    expect(off.filter(mm => mm < 1).length).toBeGreaterThan(2)
    // Those that give way to a fixing stay under their module, an inch in from its edge.
    expect(Math.max(...off)).toBeLessThanOrEqual(519 - 25.4 - 205 / 2 + 1)
    // Common practice: five gaps left out are 63.5 mm at the last of six.
    expect(checks[0]!.value).toEqual({ kind: 'length', mm: expect.closeTo(63.5, 9) as unknown })
  })

  it('is written as a table that a general reader reads back to half a division', () => {
    const parsed = Papa.parse<Record<string, string>>(marksCsv([{ name: 'Rear', marks: plan.marks }], 'imperial'), { header: true })
    expect(parsed.errors).toEqual([])
    expect(parsed.data.every(line => line.face === 'Rear')).toBe(true)
    expect(parsed.data).toHaveLength(plan.marks.reduce((sum, one) => sum + one.marks.length + (one.closing ? 1 : 0), 0))
    for (const line of parsed.data) {
      const reading = parseLength(line.reading!, 'imperial')
      expect(reading.ok && Math.abs(reading.value - Number(line['reading in mm']))).toBeLessThanOrEqual(25.4 / 32 + 0.001)
    }
  })

  it('marks rafters that are guessed, and leaves out steps with nothing to mark', () => {
    expect(step('rafters').marks[0]!.note).toBe('Guessed: pilot first')
    const none = planOf(changed({}, { rowCount: 0 }).faces[0]!)
    expect(none.marks.map(one => one.kind)).toEqual(['datum', 'keep-clear', 'keep-clear'])
  })
})

describe('tape readings of a selection', () => {
  const job = threeRowsOfSix()
  const face = job.faces[0]!
  const plan = planOf(face)
  it.each<[Ref, number, number]>([
    [{ kind: 'face' }, 2, 2], [{ kind: 'rafters' }, 14, 0], [
      { kind: 'rafter', number: 3 },
      1,
      0,
    ], [{ kind: 'keep-clear' }, 2, 2], [{ kind: 'rows' }, 2, 6], [{ kind: 'row', index: 1 }, 7, 2],
    [{ kind: 'rails' }, 0, 6], [{ kind: 'rail', id: 'row1-lower' }, 6, 1],
  ])('%o: %i along, %i up', (selection, along, up) => {
    const readings = tapeReadings({ job, face, plan }, selection)
    expect([readings.along.length, readings.up.length]).toEqual([along, up])
    for (const one of [...readings.along, ...readings.up]) expect(Number.isFinite(one.readingMm)).toBe(true)
  })
})

describe('ticks', () => {
  const job = threeRowsOfSix()
  const tasksOf = (spacing: number) => {
    const { supports } = job.faces[0]!
    if (supports.kind !== 'rafters') throw new Error('no rafters')
    const plan = planFaceOf(changed({ supports: { ...supports, spacingMm: spacing } }), catalogue, 'main')
    return markTasks([{ faceId: 'main', name: 'Main', marks: plan.marks }])
  }
  it('are of a mark where it was struck: one that has moved since is to be struck anew, a rafter’s line is not', () => {
    const [before, now] = [tasksOf(inch(24)), tasksOf(inch(24) + 1)]
    const ticks = new Set(before.map(strikeOf))
    expect(struckAmong(before, ticks).size).toBe(before.length)
    const still = struckAmong(now, ticks)
    const place = (task: typeof now[number]) => task.kind === 'check' ? null : [task.mark.readingMm, task.mark.upMm ?? task.step.lineMm ?? 0]
    const was = new Map(before.map(task => [task.key, place(task)]))
    let moved = 0
    for (const task of now) {
      const [old, own] = [was.get(task.key), place(task)]
      if (!old || !own || (task.kind !== 'check' && task.mark.of?.kind === 'rafter')) continue
      const off = Math.max(...own.map((mm, i) => Math.abs(mm - old[i]!)))
      if (off > 0.45 && off < 0.6) continue
      expect([task.key, still.has(task.key)]).toEqual([task.key, off < 0.5])
      if (off > 0.5) moved++
    }
    expect(moved).toBeGreaterThan(10)
    expect(now.filter(task => task.step.id === 'rafters' && task.kind === 'mark').every(task => still.has(task.key))).toBe(true)
    // Another mark's tick is never taken for its own, and a tick of before places were kept counts.
    const [card] = lineCards(now).filter(one => one.step.id.startsWith('fixings-'))
    expect(strikesOf(card!.tasks[0]!, new Set([strikeOf(card!.tasks[1]!)]))).toEqual([])
    expect(struckAmong(now, new Set([card!.tasks[1]!.key])).size).toBe(1)
  })
})
