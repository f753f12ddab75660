import { factKey, type RafterSupports } from '../job'
import { readingAlong, shapeOf } from '../roof'
import { type DraftFinding, type FindingAsk, onFace, writer } from '../trade'
import type { SupportsLayout } from './layout'
import { type Rafter, rafterAt } from './rafter'

/** So many rafters found make a row that is more than a guess (common practice). */
const ENOUGH_FOUND = 3

/** Different rafters that somebody has found: numbered finds, and those nearest to hits that are not set aside or misses. */
function foundOf({ found, hits }: RafterSupports, rafters: Rafter[]): number {
  const nearest = ({ xMm, yMm }: RafterSupports['hits'][number]) => rafters.reduce((best, one) => Math.abs(rafterAt(one, yMm) - xMm) < Math.abs(rafterAt(best, yMm) - xMm) ? one : best).number
  const used = rafters.length ? hits.filter(hit => hit.use !== 'set-aside' && hit.state !== 'pilot-miss') : []
  return new Set([...found.map(one => one.rafter), ...used.map(nearest)]).size
}

/** Rafters at a nominal spacing: what to probe first, and what stands on every sheet until they are found. */
export function rafterGuess(ask: FindingAsk<SupportsLayout>): DraftFinding[] {
  const { job, face, plan } = ask
  const { supports } = face
  if (supports.kind !== 'rafters' || face.array.rowCount === 0 || foundOf(supports, plan.supports.rafters) >= ENOUGH_FOUND) return []
  const { rafters } = plan.supports
  if (!rafters.length) return []
  const say = writer(ask)
  const { along } = shapeOf(face.outline)
  const on = rafters.filter(one => one.centreMm > along.fromMm && one.centreMm < along.toMm)
  // Both ends and the middle of the row tell its spacing, its start and whether it drifts.
  const first = [...new Set([on[1] ?? on[0], on[Math.floor(on.length / 2)], on.at(-2) ?? on.at(-1)])].filter(one => one !== undefined)
  const unread = job.assumed.includes(factKey(face.id, 'supports'))
  return [{
    ...onFace(ask, 'rafters', 'rafter-guess'), severity: 'caution', about: { kind: 'rafters' }, onSheets: true, ...(unread ? { assumed: true as const } : {}),
    sentence: `Rafters of ${face.name.toLowerCase()} are assumed every ${say(supports.spacingMm)}${unread ? ', a usual spacing that nobody has read' : ''}: prove the first before drilling the second. Probe first ${first.map(one => `rafter ${one.number} near ${say(readingAlong(face, one.centreMm))}`).join(', ')}; three of them found make a row.`,
  }]
}
