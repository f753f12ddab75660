import { bench, describe } from 'vitest'
import { demoCatalogue } from '../catalogue'
import { rafterRow, starterJob } from '../job'
import { planJob } from './job'

const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const base = starterJob('Bench', '', 'imperial', parts)
const [first] = base.faces

/** Four rows of ten upright on rafters with a little scatter, so that no two rails are quite alike. */
const forty = {
  ...base, faces: [{
    ...first!, outline: { kind: 'rectangle' as const, eaveLengthMm: 12_800, slopeLengthMm: 8600 },
    supports: rafterRow(304.8, 609.6, 38.1, Array.from({ length: 20 }, (_, i) => ({ rafter: i + 1, centreMm: 304.8 + 609.6 * i + ((i * 37) % 11 - 5) * 2 }))),
    array: { ...first!.array, allowedSpanMm: 1300 },
  }],
}
const planned = planJob(forty, demoCatalogue)
if (planned.totals.modules !== 40) throw new Error(`The benchmark's job has ${planned.totals.modules} modules, not 40.`)

describe('planJob', () => {
  bench('40 modules on one face', () => {
    planJob(forty, demoCatalogue)
  }, { time: 3000 })
})
