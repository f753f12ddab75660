import type { ScrewPattern } from '../../catalogue'
import type { Interval } from '../../geometry'
import type { RafterSupports } from '../../job'
import { safeStrip } from '../chance'
import type { RafterFit, ReadingKind } from '../fit'
import { type Rafter, rafterAt } from '../rafter'
import { drawnRoofs } from './drawn-roof'
import { type Known, knownOf, type Site } from './known'
import type { ProbedFixing } from './misses'
import { heightsOf, sitesAt } from './sites'
import { missesAfter, missesBy, type Purpose, type Told, toldAt } from './value'

/** A reading worth taking next. */
export interface Probe extends Site {
  /** Fixings expected to miss sound timber, before this reading and after it and those listed before it. */
  missesBefore: number
  missesAfter: number
}

/** Rafters as they are believed, and what is to be fixed to them. */
export interface ProbeAsk {
  supports: RafterSupports
  /** The face along the eave and its height up the slope, mm. */
  along: Interval
  topMm: number
  fit: RafterFit | null
  rafters: Rafter[]
  fixings: ProbedFixing[]
  fasteners: ScrewPattern | null
  /** How the reading would be taken. */
  reading: ReadingKind
  /** The only places that can be read; every likely place of timber if left out. */
  only?: Site[]
}

/** One belief with the fixings that depend on it and the places where it can be read. */
export interface Part {
  known: Known
  purpose: Purpose
  sites: Site[]
  /** Those of them that get a quick look first: one for each timber. */
  quick: Site[]
}

/** Beliefs of a face that tell nothing of each other; none where there is nothing to be hit or missed. */
export function partsOf(ask: ProbeAsk): Part[] {
  const { supports, along, topMm, fit, rafters, fixings, fasteners, reading, only } = ask
  const strip = fasteners && safeStrip(supports.widthMm, fasteners)
  if (!strip || !fixings.length || !rafters.length) return []
  const beliefs = knownOf(supports, along, topMm, fit, reading)
  const whole = beliefs.length === 1
  const nearest = ({ xMm, yMm }: ProbedFixing) => rafters.reduce((best, one, i) => Math.abs(rafterAt(one, yMm) - xMm) < Math.abs(rafterAt(rafters[best]!, yMm) - xMm) ? i : best, 0)
  return beliefs.flatMap((known, i): Part[] => {
    const own = whole ? fixings : fixings.filter(one => nearest(one) === i)
    // Where every hit may be wrong there is no row to draw or to read.
    if (!own.length || !known.rows.some(row => row.own.length)) return []
    const purpose = { fixings: own, strip }
    if (only) {
      const sites = only.filter(one => whole || nearest(one) === i)
      return [{ known, purpose, sites, quick: sites }]
    }
    const [middleMm, ...higher] = heightsOf(own)
    // A find by number has no height.
    const [quick, ...others] = [middleMm!, ...supports.layout === 'nominal' ? [] : higher].map(yMm => sitesAt(known, whole ? rafters : [rafters[i]!], along, yMm))
    return [{ known, purpose, sites: [...quick!, ...others.flat()], quick: quick! }]
  })
}

/** Roofs drawn to judge readings that follow one another by. */
const ROOFS = 32
/** A timber at another height is the same one if it is no farther off than this, mm. */
const SAME_MM = 150

export const toldBefore = ({ known, purpose }: Part, roofs = ROOFS): Told => {
  const drawn = drawnRoofs(known, roofs)
  return { roofs: drawn, beliefs: drawn.map(() => known), readings: 0, misses: missesBy(known, purpose) }
}

/** Sites that get a closer look after a quick one at all of them. */
const CLOSER = 5

/** The best of a belief's sites: one for each timber in a quick look, the best few closely and at the other heights too. */
function bestSite({ sites, quick }: Part, missesAt: (site: Site, closely: boolean) => number): { site: Site, misses: number } | null {
  if (!quick.length) return null
  const tried = quick.map(site => ({ site, misses: missesAt(site, false) })).sort((a, b) => a.misses - b.misses).slice(0, CLOSER)
  const near = (site: Site) => tried.some(one => one.site.rafter === site.rafter && Math.abs(one.site.xMm - site.xMm) < SAME_MM)
  const closer = sites.filter(near).map(site => ({ site, misses: missesAt(site, true) }))
  return closer.reduce((a, b) => b.misses < a.misses ? b : a)
}

/** A reading that saves less than this many missed fixings is not worth a line. */
const WORTH = 0.02

/**
 * The few readings that would lower expected misses most, each the best after those before it. The first is judged over all that it may
 * come to; those after it on roofs drawn from the belief, which are read and believed anew.
 * @param most readings at the most
 */
export function probeNext(ask: ProbeAsk, most = 3): Probe[] {
  const parts = partsOf(ask)
  const told: (Told | null)[] = parts.map(() => null)
  const misses = parts.map(part => missesBy(part.known, part.purpose))
  const probes: Probe[] = []
  /** The best next reading of each part, until the part is told something new. */
  const next = parts.map(part => bestSite(part, (site, closely) => missesAfter(part.known, part.purpose, site, closely)))
  const sum = () => misses.reduce((all, one) => all + one, 0)
  while (probes.length < most) {
    let best = -1
    next.forEach((one, p) => {
      if (one && (best < 0 || misses[p]! - one.misses > misses[best]! - next[best]!.misses)) best = p
    })
    const chosen = next[best]
    if (!chosen || misses[best]! - chosen.misses < WORTH) break
    const part = parts[best]!
    const before = sum()
    misses[best] = chosen.misses
    probes.push({ ...chosen.site, missesBefore: before, missesAfter: sum() })
    if (probes.length === most) break
    const now = toldAt(told[best] ?? toldBefore(part), chosen.site, part.purpose)
    told[best] = { ...now, misses: chosen.misses }
    // What drawn roofs say is taken as a saving, so that their chance error does not add up.
    next[best] = bestSite(part, site => Math.min(chosen.misses, chosen.misses - (now.misses - toldAt(now, site, part.purpose).misses)))
  }
  return probes
}
