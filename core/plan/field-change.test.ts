import { expect, it } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { applyEdit, type Edit } from '../job'
import { keepsLimits, planJob } from './index'

const base = planJob(threeRowsOfSix(), catalogue)
const after = (values: object) => planJob(applyEdit(threeRowsOfSix(), { type: 'set-array', faceId: 'main', values } as Edit), catalogue)

it('a change that keeps the number of modules and brings no stop may be made on the roof', () => {
  expect(keepsLimits(base, base)).toBeNull()
  expect(keepsLimits(base, after({ shiftMm: 15 }))).toBeNull()
})
it('another number of modules, or a stop that was not there, is a planner’s to decide, and says which', () => {
  expect(keepsLimits(base, after({ rowCount: 2 }))).toContain('from 18 to 12')
  const stopped = planJob(applyEdit(threeRowsOfSix(), { type: 'set-row', faceId: 'main', row: 0, values: { lowerRailMm: 100 } }), catalogue)
  expect(keepsLimits(base, stopped)).toContain(stopped.findings.find(finding => finding.severity === 'stop')!.sentence)
  // One that was there already does not grow worse by being there.
  expect(keepsLimits(stopped, stopped)).toBeNull()
})
