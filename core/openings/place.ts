import type { Catalogue } from '../catalogue'
import { footOf } from '../coverings'
import type { Face, Job } from '../job'
import type { StrengthLayout } from '../strength'
import { countUnits, noUnits } from './count'
import { firstsFollowed, openedFirst, weakFirst } from './first'
import type { OpeningsLayout } from './layout'
import { openingOf, type Through } from './open'
import { strippedUnder } from './stripped'
import { walkwayFor } from './walkway'
import { isUnder } from './where'

type Openings = Pick<OpeningsLayout, 'openings' | 'through' | 'units' | 'stripped' | 'walkway' | 'firstWeak'>

/** The ways of a face's mounts through its covering: the array's own, and that of the mount which opens first; null where nobody has said. */
function waysOn(face: Face, plan: Pick<StrengthLayout, 'parts'>, { mounts }: Pick<Catalogue, 'mounts'>): OpeningsLayout['through'] {
  const said = (foot: ReturnType<typeof footOf<Through['mount']>>): Through | null => foot.closure && { mount: foot.mount, closure: foot.closure }
  const { openFirst } = face.array
  const mount = openFirst && mounts.find(one => one.id === openFirst.mountId)
  return { usual: said(footOf(face, plan.parts.mount)), first: mount ? said(footOf(face, mount, null)) : null }
}

/**
 * Opens the covering at every fixing of a face.
 * @param trial only whether it can be done is asked, as when a cure is tried: nobody chooses which are opened first
 */
export function openCovering(face: Face, { site }: Pick<Job, 'site'>, catalogue: Pick<Catalogue, 'mounts'>, plan: StrengthLayout, trial: boolean): Openings {
  const through = waysOn(face, plan, catalogue)
  const { usual, first } = through
  if (!usual) return { through, openings: [], units: noUnits, stripped: null, walkway: null, firstWeak: [] }
  // A crew that is up there opens those that its sheet opens first: choosing anew at each hole would change marks for nothing.
  const firstIds = first && !trial ? face.following?.firsts.length ? firstsFollowed(face.following, plan) : openedFirst(face, plan, first) : []
  const openings = plan.rails.flatMap((_, r) => plan.fixings.rails[r]!.fixings.map((fixing, i) => {
    const isFirst = first !== null && firstIds.includes(fixing.id)
    return openingOf({ face, plan, r, i, through: isFirst ? first : usual, first: isFirst })
  }))
  const stripped = usual.closure.way === 'strip' ? strippedUnder(face, plan.rows.rows) : null
  const sound = site.coveringState !== 'brittle' && site.coveringState !== 'failing'
  const lendable = sound && face.broken.length ? strippedUnder(face, plan.rows.rows)?.covered ?? 0 : 0
  const broken = face.broken.map(one => ({ one, under: isUnder(face, plan, one) }))
  return {
    through, openings, stripped, units: countUnits(openings, one => (one.first && first ? first : usual).closure, broken, lendable, stripped), walkway: walkwayFor(face, plan.rails),
    firstWeak: first && firstIds.length ? weakFirst(face, plan, first.mount, firstIds) : [],
  }
}
