import { type Edit, type Job, touches } from '../job'
import { typesFigure } from './figures'
import { may, type Role } from './rights'

/**
 * What making an edit asks of somebody: `log` tells what was found on the roof, `move` shifts what stands there, `plan` is all else;
 * `vouch` beside it, where a figure is an engineer's or electrician's.
 */
export type EditNeed = 'log' | 'move' | 'plan'

/** Readings that move no module: what is there, whether it suits the plan or not. */
const logged = [
  /^face [^/]+\/(hit|rafter|broken) /, /^face [^/]+\/rafters\//, /^face [^/]+\/datum$/, /^site\/(hazards|coveringState|access|accessNote|bring|bringNote)$/, /^assumed /, /^site-end /, /^log /, /^proof /, /^face [^/]+\/(following|feet)$/,
  /^face [^/]+\/in-roof\/(found|foundBy|foundOn|coursesLaid|task .+)$/,
]
/** What may be, or stand, otherwise on the roof than planned, as long as every limit and the number of modules are kept. */
const moved = [
  /^face [^/]+\/(covering|outline|pitchDeg|obstructions)$/,
  /^face [^/]+\/array\/(shiftMm|rowGapMm|columnGapMm|columns|stackFrom|fixingPattern|railInMm|trimTailMm)$/,
  /^face [^/]+\/row \d+\/(shiftMm|gapBelowMm|lowerRailMm|upperRailMm|held|skip|breaks)$/,
  /^wiring\/(roofBox|overRoofMm|together)$/,
  /^face [^/]+\/in-roof\/(battensRead|leftMm|bottomMm)$/,
]

const isOneOf = (key: string, patterns: RegExp[]): boolean => patterns.some(pattern => pattern.test(key))

/** The most that an edit needs. */
export function needOf(edit: Edit): EditNeed {
  const keys = touches(edit)
  if (keys.every(key => isOneOf(key, logged))) return 'log'
  return keys.every(key => isOneOf(key, logged) || isOneOf(key, moved)) ? 'move' : 'plan'
}

/** Why somebody may not make an edit on a job, before the plan is asked; null where it may be made, or where the plan decides. */
export function editRefusal(edit: Edit, job: Job, { role, vouches }: { role: Role, vouches: boolean }): string | null {
  const need = needOf(edit)
  if (!may(role, need)) return need === 'plan' && may(role, 'move')
    ? 'This changes a limit, a part or the number of modules: a planner does that. On the roof you log what you find and move what keeps every limit.'
    : `Your role doesn’t change ${need === 'log' ? 'readings' : 'the plan'}.`
  if (!vouches && typesFigure(edit, job)) return 'This figure is an engineer’s or electrician’s. Somebody who vouches for such figures, by name and licence, types it.'
  return null
}

/** Whether the plan has to be asked as well: somebody on the roof moves something. */
export const isFieldChange = (edit: Edit, role: Role): boolean => needOf(edit) === 'move' && !may(role, 'plan')
