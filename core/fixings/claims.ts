import { FULL } from './judge'
import type { Shortfall } from './fewest'
import type { Followed } from './follow'

/** What a claim about a rail's number of fixings rests on. */
export interface Claimed { fixings: unknown[], shortfalls: Shortfall[], fewestProved: boolean, excluded: number, worst: number | null, followed?: Omit<Followed, 'picks'> | null }

/** What may be said of a rail's number of fixings, to be set after it; empty where a finding says more. */
export function fewestWords({ fixings, shortfalls, fewestProved, excluded, worst, followed }: Claimed): string {
  if (followed) return !followed.passes ? ', round what is there' : followed.proved ? `, fewest changes, proved: ${followed.changes}` : ', fewer changes not excluded'
  if (shortfalls.length) return ''
  if (worst !== null && worst > FULL) return excluded >= fixings.length ? ', and no placement passes' : ', and none that passes was found'
  return fewestProved ? ', proved fewest' : `, ${excluded} and fewer excluded`
}

/** Fixings that could at most be saved, as far as fewer are not excluded on each rail. */
export const openFixings = ({ rails }: { rails: Claimed[] }): number =>
  rails.reduce((sum, one) => sum + (one.followed || one.fewestProved || one.shortfalls.length ? 0 : Math.max(0, one.fixings.length - one.excluded - 1)), 0)

/** What may be said of a rail that was fixed round what is there. */
export function followedClaim({ kept, changes, proved, splicesStay, passes }: Omit<Followed, 'picks'>): string {
  const round = `Round ${kept} hole${kept === 1 ? '' : 's'} in use${splicesStay ? ', splices where they are' : ', splices moved'}`
  if (!passes) return `${round}: nothing was found that keeps every limit; this is over by least of what was tried`
  return proved ? `${round}: every choice that changes less than ${changes} fixings of the layout followed breaks a limit, and none that changes as few has fewer` : `${round}: ${changes} fixings changed; fewer are not excluded`
}
