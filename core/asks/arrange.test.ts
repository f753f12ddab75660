import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { demoJobs } from '../../db/demo/jobs'
import { applyEdit, type Edit, type Job, type RowRule } from '../job'
import { arrangeFace } from './index'
import { planJob } from '../plan'

const row = (index: number, values: Partial<RowRule>): Edit => ({ type: 'set-row', faceId: 'main', row: index, values })
const arranged = (job: Job, wanted: number | null = null) => arrangeFace({ job, catalogue, faceId: job.faces[0]!.id, wanted })
const hip = (): Job => changed({
  outline: {
    kind: 'corners',
    corners: ([[0, 0, 'eave'], [12_400, 0, 'hip'], [9200, 5300, 'ridge'], [3200, 5300, 'hip']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge })),
  },
  obstructions: [{ id: 'stack', kind: 'chimney', round: false, xMm: 6100, yMm: 1500, widthMm: 600, heightMm: 500, clearanceMm: 150 }],
})

describe('rows round what stands on the face', () => {
  const plan = planJob(hip(), catalogue)
  const [first] = plan.faces[0]!.rows.rows
  it('fill both sides of a chimney, each run on rails and lugs of its own', () => {
    expect(first!.blocks.length).toBe(2)
    expect(first!.fits).toBe(true)
    const rails = plan.faces[0]!.rails.filter(rail => rail.row === 0)
    expect(rails.map(rail => rail.id)).toEqual(['row1-lower', 'row1-upper', 'row1-2-lower', 'row1-2-upper'])
    const blocks = plan.faces[0]!.rows.rows.flatMap(one => one.blocks)
    const pieces = (kind: string) => plan.list.filter(part => part.kind === kind).reduce((sum, part) => sum + part.pieces, 0)
    // Common practice: 4 end clamps and 2(n - 1) mid clamps for each run on two rails, one lug a run.
    expect(pieces('end-clamp')).toBe(4 * blocks.length)
    expect(pieces('mid-clamp')).toBe(blocks.reduce((sum, block) => sum + 2 * (block.count - 1), 0))
    expect(pieces('lug')).toBe(blocks.length)
  })
  it('a place left empty parts a run in two; a held count goes to the widest stretch first', () => {
    const skipped = planJob(after(threeRowsOfSix(), row(0, { skip: [3] })), catalogue).faces[0]!
    expect(skipped.rows.rows[0]!.blocks.map(block => block.count)).toEqual([2, 3])
    expect(skipped.modules).toBe(17)
    const held = planJob(after(hip(), row(0, { count: 4 })), catalogue).faces[0]!.rows.rows[0]!
    expect(held.count).toBe(4)
    expect(held.blocks[0]!.count).toBeGreaterThanOrEqual(held.blocks[1]?.count ?? 0)
  })
  it('stand by the column rule, and against the upper line when asked', () => {
    const at = (array: Parameters<typeof changed>[1]) => planJob(changed({}, array), catalogue).faces[0]!
    const brick = planJob(after(changed({}, { columns: 'brick' }), row(1, { count: 5 })), catalogue).faces[0]!.rows.rows
    expect(brick[1]!.leftMm - brick[0]!.leftMm).toBeCloseTo((1038 + 12.7) / 2, 6)
    expect(at({ columns: 'free' }).rows.rows.map(one => one.leftMm)).toEqual(at({}).rows.rows.map(one => expect.closeTo(one.leftMm, 6) as number))
    const ridge = at({ stackFrom: 'ridge' })
    expect(ridge.rows.rows.at(-1)!.topMm).toBeCloseTo(ridge.regionTopMm, 3)
    const mixed = planJob(after(threeRowsOfSix(), row(1, { orientation: 'on-side' })), catalogue).faces[0]!
    expect(mixed.rows.rows.map(one => one.moduleHeightMm)).toEqual([1755, 1038, 1755])
    expect(mixed.rows.rows.every(one => one.fits)).toBe(true)
  })
})

describe('arrangements', () => {
  it.each(demoJobs.map(({ job }) => [job.title, job] as const))('%s: each comes to what it says when it is chosen, and none fills less than the rows it improves on', (_, job) => {
    const plan = planJob(job, catalogue)
    const answers = arranged(job)
    for (const answer of answers) {
      const chosen = planJob(applyEdit(job, answer.edit), catalogue).faces[0]!
      expect([chosen.modules, chosen.fixings.total, chosen.rows.rows.map(one => one.count)]).toEqual([answer.modules, answer.fixings, answer.rowCounts])
      // Holes that are drilled hold an array to its place: what does not fit beside them is told as stops.
      if (job.faces[0]!.following) expect(answer.stops).toBeGreaterThanOrEqual(chosen.rows.rows.filter(one => !one.fits).length)
      else expect(chosen.rows.rows.every(one => one.fits)).toBe(true)
    }
    // Rules that limit the rails' heights may cost modules; without them the most is never under what simple filling finds.
    if (!plan.faces[0]!.supports.railLines && plan.faces[0]!.courses.length === 0) expect(answers[0]!.modules).toBeGreaterThanOrEqual(plan.faces[0]!.modules)
  })
  it('are three different ones on a hip with a chimney, the first proved', () => {
    const answers = arranged(hip())
    expect(answers).toHaveLength(3)
    expect(new Set(answers.map(answer => JSON.stringify(answer.rectangles))).size).toBe(3)
    expect(answers[0]!.claim).toContain('Proved')
    expect(Math.max(...answers.map(answer => answer.modules))).toBe(answers[0]!.modules)
  })
  it('keep a locked row as it is and solve the rest round it', () => {
    const locked = after(hip(), row(1, { locked: true, count: 3, gapBelowMm: 420, orientation: 'on-side' }), { type: 'set-array', faceId: 'main', values: { rowCount: 2 } })
    const before = planJob(locked, catalogue).faces[0]!.rows.rows[1]!
    for (const answer of arranged(locked)) {
      const rows = planJob(applyEdit(locked, answer.edit), catalogue).faces[0]!.rows.rows
      const kept = rows.find(one => one.locked)!
      expect([kept.bottomMm, kept.count, kept.orientation]).toEqual([expect.closeTo(before.bottomMm, 6), 3, 'on-side'])
      rows.slice(1).forEach((one, i) => expect(one.bottomMm).toBeGreaterThanOrEqual(rows[i]!.topMm - 1e-6))
    }
  })
  it('keep a locked module in its very place and fill the row round it', () => {
    const base = planJob(hip(), catalogue).faces[0]!.rows.rows[0]!
    const leftMm = base.moduleLeftsMm[1]! + 37
    const held = after(hip(), row(0, { held: [leftMm] }))
    const now = planJob(held, catalogue).faces[0]!.rows.rows[0]!
    expect(now.moduleLeftsMm).toContainEqual(expect.closeTo(leftMm, 9))
    expect(now.fits).toBe(true)
    now.moduleLeftsMm.slice(1).forEach((mm, i) => expect(mm - now.moduleLeftsMm[i]!).toBeGreaterThanOrEqual(1038 + 12.7 - 1e-6))
    for (const answer of arranged(held)) {
      const rows = planJob(applyEdit(held, answer.edit), catalogue).faces[0]!.rows.rows
      expect(rows.some(one => one.moduleLeftsMm.some(mm => Math.abs(mm - leftMm) < 1e-6) && Math.abs(one.bottomMm - now.bottomMm) < 1e-6)).toBe(true)
    }
    // Pushing the array leaves what is held.
    expect(planJob(after(held, {
      type: 'set-array',
      faceId: 'main',
      values: { shiftMm: -60 },
    }), catalogue).faces[0]!.rows.rows[0]!.moduleLeftsMm).toContainEqual(expect.closeTo(leftMm, 9))
  })
  it('of hooks and slots keep every rail in a course, and say what is proved of them', () => {
    for (const title of ['Kelp Quay 22', '5 Net Loft Row', 'Gantry Store']) {
      const { job } = demoJobs.find(one => one.job.title === title)!
      const answers = arranged(job)
      expect(answers.length).toBeGreaterThan(1)
      expect(answers[0]!.claim).toContain('Proved')
      for (const answer of answers) {
        const { rails, rows } = planJob(applyEdit(job, answer.edit), catalogue).faces[0]!
        expect(rails.every(rail => rail.onCourse && rail.onSupport && rail.inZone), `${title}, ${answer.title}`).toBe(true)
        expect(rows.rows.every(one => one.fits)).toBe(true)
      }
    }
  })
  it('stand a wanted number exactly, or none where it does not fit', () => {
    const answers = arranged(hip(), 9)
    expect(answers.length).toBeGreaterThan(0)
    for (const answer of answers) expect(answer.modules).toBe(9)
    expect(arranged(hip(), 300)).toEqual([])
  })
  it('report how far they are', () => {
    const shares: number[] = []
    arrangeFace({ job: hip(), catalogue, faceId: 'main', wanted: null }, share => shares.push(share))
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(shares.at(-1)).toBe(1)
  })
})
