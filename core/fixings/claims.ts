import { FULL } from './judge'
import type { Shortfall } from './fewest'

/** What a claim about a rail's number of fixings rests on. */
export interface Claimed { fixings: unknown[], shortfalls: Shortfall[], fewestProved: boolean, excluded: number, worst: number | null }

/** What may be said of a rail's number of fixings, to be set after it; empty where a finding says more. */
export function fewestWords({ fixings, shortfalls, fewestProved, excluded, worst }: Claimed): string {
  if (shortfalls.length) return ''
  if (worst !== null && worst > FULL) return excluded >= fixings.length ? ', and no placement passes' : ', and none that passes was found'
  return fewestProved ? ', proved fewest' : `, ${excluded} and fewer excluded`
}

/** Fixings that could at most be saved, as far as fewer are not excluded on each rail. */
export const openFixings = ({ rails }: { rails: Claimed[] }): number =>
  rails.reduce((sum, one) => sum + (one.fewestProved || one.shortfalls.length ? 0 : Math.max(0, one.fixings.length - one.excluded - 1)), 0)
