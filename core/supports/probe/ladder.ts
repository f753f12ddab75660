import type { Site } from './known'
import { type Part, type ProbeAsk, partsOf, toldBefore } from './probe'
import { missesBy, type Told, toldAt } from './value'

/** Readings at one place of the ladder, with what all of them together leave of expected misses. */
export interface LadderReadings { ladderMm: number, sites: Site[], missesBefore: number, missesAfter: number }

/** How far a person on a ladder reaches to either side without leaning out, mm (common practice). */
export const REACH_MM = 600
/** Readings that are taken before a ladder is moved. */
const READINGS = 3
/** Roofs drawn for a quick look at every place of the ladder, and for a closer one at the best few of them. */
const QUICK_ROOFS = 4
const CLOSER_ROOFS = 12
const CLOSER_PLACES = 2

/**
 * The best set of three readings within reach of one place of the ladder, since moving it costs more than knocking. Ladder places are tried
 * every reach, over a few roofs drawn from the belief and at one height; the best two over more roofs, at every height, and with each
 * reading exchanged once for a better one if there is any.
 */
export function readingsAtLadder(ask: ProbeAsk): LadderReadings | null {
  const parts = partsOf(ask)
  const missesBefore = parts.reduce((sum, part) => sum + missesBy(part.known, part.purpose), 0)
  const along = parts.flatMap(part => part.sites.map(site => site.xMm))
  const [left, right] = [Math.min(...along), Math.max(...along)]
  const places = Array.from({ length: Math.max(0, Math.ceil((right - left) / REACH_MM)) + (parts.length ? 1 : 0) }, (_, i) => left + i * REACH_MM)
  const quick: Step = { told: parts.map(part => toldBefore(part, QUICK_ROOFS)), chosen: [] }
  const looked = places.map(ladderMm => ({ ladderMm, misses: missesIn(added(parts, quick, within(parts, ladderMm, true), READINGS).told) })).sort((a, b) => a.misses - b.misses)
  const start: Step = { told: parts.map(part => toldBefore(part, CLOSER_ROOFS)), chosen: [] }
  const closer = looked.slice(0, CLOSER_PLACES).map(({ ladderMm }) => bestSet(parts, start, within(parts, ladderMm, false)))
  const best = closer.reduce<Step | null>((a, b) => a && missesIn(a.told) <= missesIn(b.told) ? a : b, null)
  if (!best?.chosen.length) return null
  const sites = best.chosen.map(one => one.site).sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm)
  // A ladder stands in the middle of what is read from it.
  return { ladderMm: (sites[0]!.xMm + sites.at(-1)!.xMm) / 2, sites, missesBefore, missesAfter: missesIn(best.told) }
}

interface Chosen { part: number, site: Site }
/** Beliefs of all parts after some readings. */
interface Step { told: Told[], chosen: Chosen[] }

const within = (parts: Part[], ladderMm: number, oneHeight: boolean): Chosen[] => parts.flatMap(({ sites, quick }, part) =>
  (oneHeight ? quick : sites).filter(site => Math.abs(site.xMm - ladderMm) <= REACH_MM).map(site => ({ part, site })))

const missesIn = (told: Told[]): number => told.reduce((sum, one) => sum + one.misses, 0)

const taken = ({ told, chosen }: Step, parts: Part[], one: Chosen): Step =>
  ({ told: told.map((state, p) => p === one.part ? toldAt(state, one.site, parts[p]!.purpose) : state), chosen: [...chosen, one] })

/** Readings added to those of the last step until there are so many, each where it saves most. */
function added(parts: Part[], from: Step, all: Chosen[], readings: number): Step {
  let last = from
  while (last.chosen.length < readings) {
    const before = last
    const best = all.map(one => taken(before, parts, one)).reduce((a, b) => missesIn(b.told) < missesIn(a.told) ? b : a, before)
    if (best === before) break
    last = best
  }
  return last
}

/** Three readings, each added where it saves most, then each exchanged once. */
function bestSet(parts: Part[], start: Step, all: Chosen[]): Step {
  let best = added(parts, start, all, READINGS)
  for (const one of best.chosen) {
    const others = best.chosen.filter(each => each !== one).reduce((step, each) => taken(step, parts, each), start)
    const other = added(parts, others, all, READINGS)
    if (missesIn(other.told) < missesIn(best.told) - 1e-9) best = other
  }
  return best
}
