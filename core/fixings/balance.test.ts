import { describe, expect, it } from 'vitest'
import { catalogue, changed, inch, planOf, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { seeded } from '../../tests/fixtures/random'
import { applyEdit, rafterRow } from '../job'
import { balanceFace } from '../asks'
import { placesOf } from '../plan'
import { overhangDifferenceMm, fixMoved } from './balance'

describe('balance', () => {
  it('centres the fixture between its outer rafters', () => {
    const job = threeRowsOfSix()
    const found = balanceFace(job, catalogue, 'main')!
    expect(found.balance.after.fixings).toBeLessThanOrEqual(found.balance.before.fixings)
    expect(found.balance.after.overhangDifferenceMm).toBeLessThan(0.01)
    const plan = planOf(applyEdit(job, found.edit).faces[0]!)
    expect(overhangDifferenceMm(plan.fixings)).toBeCloseTo(found.balance.after.overhangDifferenceMm, 3)
    expect(plan.rows.rows.every(row => row.fits)).toBe(true)
  })

  it('is not beaten by any shift of a fine grid, on irregular rafters', () => {
    const random = seeded(5)
    for (let i = 0; i < 12; i++) {
      const found = Array.from({ length: 13 }, (_, k) => ({ rafter: k + 1, centreMm: inch(12 + 24 * k) + random.between(-90, 90) }))
      const job = changed({ supports: rafterRow(inch(12), inch(24), 38, found) }, { rowCount: 1 })
      const face = job.faces[0]!
      const plan = planOf(face)
      const { balance } = balanceFace(job, catalogue, 'main')!
      const slack = plan.rows.slack!
      for (let shift = slack.fromMm; shift <= slack.toMm; shift += 7) {
        const at = fixMoved(plan.rails, shift, placesOf(face, catalogue, job), plan.limits, 'soft-stagger')
        if (at.rails.some(rail => rail.shortfalls.length)) continue
        expect(balance.after.shortfalls).toBe(0)
        expect(balance.after.fixings).toBeLessThanOrEqual(at.total)
      }
    }
  })

  it('stays put when it is even already, and says nothing can be balanced when rows do not fit', () => {
    const job = threeRowsOfSix()
    const even = applyEdit(job, balanceFace(job, catalogue, 'main')!.edit)
    expect(Math.abs(balanceFace(even, catalogue, 'main')!.balance.shiftMm)).toBeLessThan(0.01)
    expect(balanceFace(changed({}, { shiftMm: 4000 }), catalogue, 'main')).toBeNull()
  })
})
