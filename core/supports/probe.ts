import type { ScrewPattern } from '../catalogue'
import type { Interval } from '../geometry'
import type { Hit, Outline, RafterSupports } from '../job'
import { chanceOver, safeStrip } from './chance'
import { fitRafters } from './fit'
import { type Rafter, rafterAt, rafterName } from './rafter'
import { raftersOf } from './rafters'

/** A reading worth taking next. */
export interface Probe {
  rafter: number
  /** Where to look, mm along the eave, and at which height up the slope. */
  xMm: number
  yMm: number
  /** Fixings expected to miss sound timber, before this reading and after it and those listed before it. */
  missesBefore: number
  missesAfter: number
}

/** A fixing as far as missing it goes. */
export interface ProbedFixing { member: string, yMm: number }

/** A reading that saves less than this many missed fixings is not worth climbing for. */
const WORTH = 0.02
const MOST_PROBES = 3

/** Fixings expected to miss: the sum over fixings of the chance that not all their screws are in sound timber. */
export function expectedMisses(rafters: Rafter[], fixings: ProbedFixing[], fasteners: ScrewPattern): number {
  const byName = new Map(rafters.map(rafter => [rafterName(rafter.number), rafter]))
  return fixings.reduce((sum, { member }) => {
    const rafter = byName.get(member)
    return rafter ? sum + 1 - chanceOver(safeStrip(rafter.widthMm, fasteners), rafter.spread) : sum
  }, 0)
}

/**
 * The few readings that would lower expected misses most, each the best after those before it. What a reading does is
 * worked out by putting a seen rafter into the log where it is expected to be and fitting again: how well the others are
 * known then does not depend on where it is really found.
 * @param most readings at the most
 */
export function probeNext(supports: RafterSupports, outline: Outline, along: Interval, topMm: number, fixings: ProbedFixing[], fasteners: ScrewPattern | null, most = MOST_PROBES): Probe[] {
  if (!fasteners || !fixings.length) return []
  const probes: Probe[] = []
  let state = supports
  const raftersNow = () => raftersOf(state, outline, fitRafters(state, along, topMm))
  for (let round = 0; round < most; round++) {
    const rafters = raftersNow()
    const missesBefore = expectedMisses(rafters, fixings, fasteners)
    const tried = rafters.filter(rafter => rafter.state !== 'proved' && fixings.some(one => one.member === rafterName(rafter.number))).map((rafter) => {
      const next = withReading(state, rafter, heightFor(rafter, fixings))
      return { rafter, next, after: expectedMisses(raftersOf(next, outline, fitRafters(next, along, topMm)), fixings, fasteners) }
    })
    const best = tried.reduce<typeof tried[number] | null>((a, b) => !a || b.after < a.after ? b : a, null)
    if (!best || missesBefore - best.after < WORTH) break
    const yMm = heightFor(best.rafter, fixings)
    probes.push({ rafter: best.rafter.number, xMm: rafterAt(best.rafter, yMm), yMm, missesBefore, missesAfter: best.after })
    state = best.next
  }
  return probes
}

/** The height in the middle of a rafter's fixings: a reading there says most of all of them. */
function heightFor(rafter: Rafter, fixings: ProbedFixing[]): number {
  const heights = fixings.filter(one => one.member === rafterName(rafter.number)).map(one => one.yMm)
  return (Math.min(...heights) + Math.max(...heights)) / 2
}

/** The log as it would be had the rafter been seen where it is expected. */
function withReading(supports: RafterSupports, rafter: Rafter, yMm: number): RafterSupports {
  const xMm = rafterAt(rafter, yMm)
  if (supports.layout === 'nominal') return { ...supports, found: [...supports.found.filter(find => find.rafter !== rafter.number), { rafter: rafter.number, centreMm: xMm }] }
  const hit: Hit = { id: `probe-${supports.hits.length}`, xMm, yMm, state: 'seen', use: 'rafter' }
  return { ...supports, hits: [...supports.hits, hit] }
}
