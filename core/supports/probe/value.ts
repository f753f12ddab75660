import type { Interval } from '../../geometry'
import type { DrawnRoof } from './drawn-roof'
import { foretold } from './foretold'
import type { Known, Site } from './known'
import { expectedMisses, type ProbedFixing } from './misses'

/** What readings are for: fixings, each with the strip of its timber that all of its screws must be in, from the timber's centre, mm. */
export interface Purpose { fixings: ProbedFixing[], strip: Interval }

/** Fixings expected to miss by a belief as it is. */
export const missesBy = (known: Known, { fixings, strip }: Purpose): number => expectedMisses(known.rows, fixings, strip)

/** Fixings expected to miss once timber was read at a site, over all that the reading may come to. A wrong one is taken to tell nothing. */
export function missesAfter(known: Known, purpose: Purpose, site: Site, closely = true): number {
  let [misses, rest] = [0, 1]
  for (const { xMm, share } of foretold(known, site, closely)) {
    misses += share * missesBy(known.after(site, xMm), purpose)
    rest -= share
  }
  return misses + Math.max(0, rest) * missesBy(known, purpose)
}

/** Beliefs about the same rafters, one for each roof that might be there, after the same readings. */
export interface Told { roofs: DrawnRoof[], beliefs: Known[], readings: number, misses: number }

/** The same after one reading more at a site. */
export function toldAt({ roofs, beliefs, readings, misses }: Told, site: Site, purpose: Purpose): Told {
  const after = beliefs.map((known, r) => known.after(site, roofs[r]!(site, readings)))
  const { wrongShare } = beliefs[0]!.reading
  const right = after.reduce((sum, known) => sum + missesBy(known, purpose), 0) / after.length
  return { roofs, beliefs: after, readings: readings + 1, misses: (1 - wrongShare) * right + wrongShare * misses }
}
