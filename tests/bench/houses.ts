import { type Face, type Job, rafterRow, rulesOf, starterJob } from '../../core/job'
import { plainRules } from '../fixtures/plain-rules'

/** The houses that times are measured on. */
const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
const starter = starterJob('Bench', '', 'imperial', parts)
export const base: Job = { ...starter, loads: { ...starter.loads, rules: plainRules('us-2010') } }
const [first] = base.faces

/** A face on rafters with a little scatter, so that no two rails are quite alike. */
export const scattered = (id: string, eaveLengthMm: number, slopeLengthMm: number, place: Partial<Face['place']> = {}): Face => ({
  ...first!, id, name: `Face ${id}`, outline: { kind: 'rectangle', eaveLengthMm, slopeLengthMm }, place: { ...first!.place, ...place },
  supports: rafterRow(304.8, 609.6, 38.1, Array.from({ length: Math.floor((eaveLengthMm - 400) / 609.6) + 1 }, (_, i) => ({
    rafter: i + 1,
    centreMm: 304.8 + 609.6 * i + ((i * 37) % 11 - 5) * 2,
  }))),
})

/** Two rows of ten upright on each side of a gable. */
export const forty: Job = { ...base, faces: [scattered('front', 12_800, 5000), scattered('back', 12_800, 5000, { azimuthDeg: 0, northMm: 9000 })] }
/** Eight faces of a long house with two cross gables' worth of slopes, by the rules over the whole roof. */
export const eight: Job = {
  ...base, keepClear: { ...base.keepClear, ...rulesOf('us-2018') }, site: { ...base.site, streetDeg: 0 },
  faces: Array.from({ length: 8 }, (_, i) => scattered(`f${i}`, 10_400, 6900, { azimuthDeg: i % 2 ? 0 : 180, eastMm: i * 20_000 })),
}
