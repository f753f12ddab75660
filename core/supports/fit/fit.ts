import type { RafterSupports } from '../../job'
import type { Interval } from '../../geometry'
import {
  beliefOf, type BeliefRow, centreIn, emptyRow, numberAt, type RowState, SKEWED_LEAN_SD, SPACING_SD_MM, spacingPriors, timberAt, TRUE_LEAN_SD, withReading,
} from '../belief'
import { type Rafter, SCATTER_MM } from '../rafter'
import { chanceOver, FOUND_AT, gathered, INFERRED_AT, type Spread } from '../chance'
import { missesOf, type Observation, observationsOf } from './observation'
import { centreWithPilots, type Pilot } from './pilots'
import { irregularRafters } from './irregular'
import type { HitCheck, RafterFit } from './rafter-fit'

/** Spacings that differ by this share are rivals: 600 mm and 24 in differ by 1.6 %. */
const RIVAL_APART = 0.004
/** In a free range halves of a spacing are taken only when at least so many rafters stand between the others. */
const HALVES_NEED = 2
/** A rival less likely than this many times is not worth a word. */
const RIVAL_WITHIN = 1000
/** Ways less likely than this, in all, change no chance that is shown. */
const SHOWS = 1e-4
/** Ways that are kept with a plan, the likeliest first. */
const MOST_KEPT = 40

/** Hits that the fit can use. */
const usable = (supports: RafterSupports): Observation[] => observationsOf(supports.hits, supports.widthMm)

/**
 * Fits rafters to a hit log. A row is fitted for the nominal and fitted layouts, single rafters for the irregular one. Null
 * with fewer than two usable hits: one hit gives a place but no row.
 * @param along the face's extent, mm: rafters whose centre lies in it are counted, 1 first
 * @param topMm height of the face up the slope, mm
 */
export function fitRafters(supports: RafterSupports, along: Interval, topMm: number): RafterFit | null {
  const observations = usable(supports)
  if (supports.layout === 'irregular') return observations.length ? irregularRafters(supports, observations, topMm) : null
  if (observations.length < 2) return null
  const all = beliefOf({ observations, spacings: spacingPriors(supports), scatterMm: SCATTER_MM[supports.timber], lengthMm: along.toMm - along.fromMm })
  // In a free range a half of every spacing fits as well as the spacing itself.
  const asked = supports.spacings.kind === 'free' ? all.filter(row => halvesAreAsked(row, all)) : all
  const weighed = afterMisses(asked.length ? asked : all, missesOf(supports.hits), supports.widthMm)
  const rows = weighed.filter(row => row.weight > SHOWS).slice(0, MOST_KEPT)
  const best = rows.find(row => row.own.length)
  if (!best) return null
  const near = (row: BeliefRow, other: BeliefRow) => Math.abs(row.mean[1] - other.mean[1]) <= RIVAL_APART * best.mean[1]
  const shareOf = (row: BeliefRow) => rows.reduce((sum, other) => near(row, other) ? sum + other.weight : sum, 0)
  const rival = rows.find(other => other.own.length > 0 && !near(other, best))
  const timesLess = rival ? shareOf(best) / shareOf(rival) : Infinity
  return {
    kind: 'row', ...raftersOfRow(best, rows, supports, observations, along, topMm), belief: rows,
    spacing: { mm: best.mean[1], seMm: Math.sqrt(best.cov[3]), nominalMm: best.nominalMm },
    lean: { perMm: best.mean[2], se: Math.sqrt(best.cov[5]), skewed: best.skewed && Math.abs(best.mean[2]) > TRUE_LEAN_SD },
    rival: rival && timesLess < RIVAL_WITHIN ? { spacingMm: rival.mean[1], timesLess } : null,
  }
}

/** A spacing half of another that fits is believed only when rafters were hit between those of the other. */
function halvesAreAsked(row: BeliefRow, all: BeliefRow[]): boolean {
  if (!all.some(other => Math.abs(other.mean[1] / row.mean[1] - 2) < 0.03)) return true
  const on = row.numbers.flatMap(k => k ?? [])
  const [odd, even] = [1, 0].map(parity => new Set(on.filter(k => Math.abs(k) % 2 === parity)))
  return Math.min(odd!.size, even!.size) >= HALVES_NEED
}

/** A pilot that missed may have been drilled or noted wrong so often. */
const WRONG_MISS = 0.05

/** The rows weighed again by the pilots that missed: each speaks against rows that have timber there. */
function afterMisses(rows: BeliefRow[], misses: { xMm: number, yMm: number }[], widthMm: number): BeliefRow[] {
  if (!misses.length) return rows
  const weights = rows.map(row => misses.reduce((share, { xMm, yMm }) => share * (1 - (1 - WRONG_MISS) * timberAt([{ ...row, weight: 1 }], xMm, yMm, widthMm)), row.weight))
  const total = weights.reduce((sum, one) => sum + one, 0)
  return rows.map((row, i) => ({ ...row, weight: weights[i]! / total })).sort((a, b) => b.weight - a.weight)
}

/** The row without some of its readings. */
function without(row: BeliefRow, observations: Observation[], left: (one: Observation, k: number) => boolean, scatterMm: number): RowState {
  const prior = row.nominalMm === null ? { mm: row.mean[1], sdMm: Math.sqrt(row.cov[3]) + SPACING_SD_MM } : { mm: row.nominalMm, sdMm: SPACING_SD_MM }
  let made = emptyRow(prior.mm, prior.sdMm, row.skewed ? SKEWED_LEAN_SD : TRUE_LEAN_SD, scatterMm, row.atMm)
  observations.forEach((one, i) => {
    const k = row.numbers[i]
    if (k !== null && k !== undefined && !left(one, k)) made = withReading(made, k, one.xMm, one.yMm, one.sdMm)
  })
  return made
}

/** Every rafter of the row that stands on the face, and what each hit is to them. */
function raftersOfRow(row: BeliefRow, rows: BeliefRow[], supports: RafterSupports, observations: Observation[], along: Interval, topMm: number): Pick<RafterFit, 'rafters' | 'checks'> {
  const { widthMm } = supports
  const middleMm = topMm / 2
  const [, spacingMm, lean] = row.mean
  const atMiddle = (k: number) => centreIn(row, k, middleMm).xMm
  const ks: number[] = []
  for (let k = numberAt(row, along.fromMm, middleMm) - 1; atMiddle(k) <= along.toMm; k++) if (atMiddle(k) >= along.fromMm) ks.push(k)
  const misses = missesOf(supports.hits)
  const level = (yMm: number) => lean * (yMm - middleMm)
  const believed = (one: Observation) => rows.reduce((sum, other) => other.numbers[observations.indexOf(one)] === null ? sum : sum + other.weight, 0)
  const rafters = ks.map((k, i): Rafter => {
    const own = observations.filter((_, at) => row.numbers[at] === k)
    const pilots: Pilot[] = [
      ...own.filter(one => one.pilot).map(one => ({ xMm: one.xMm - level(one.yMm), hit: true })),
      ...misses.filter(miss => numberAt(row, miss.xMm, miss.yMm) === k).map(miss => ({ xMm: miss.xMm - level(miss.yMm), hit: false, timber: miss.timber })),
    ]
    // Own pilots come in below as intervals, so the row is taken without them first.
    const others = own.some(one => one.pilot) && row.numbers.filter(one => one !== null).length > own.length
      ? without(row, observations, (one, at) => at === k && one.pilot, row.scatterMm)
      : row
    const centre = centreWithPilots(centreIn(others, k, middleMm), pilots, widthMm)
    const doubled = secondTimber(supports, atMiddle(k), lean, middleMm)
    const wide = widthMm * (doubled ? 2 : 1)
    const shiftMm = doubled * widthMm / 2
    // What its own readings and pilots say is of the likeliest row; others have theirs at the nearest rafter of their own.
    const spread = gathered(rows.map((other): Spread => {
      if (other === row) return { weight: other.weight, offMm: 0, sdMm: centre.sdMm }
      if (!other.own.length) return { weight: other.weight, offMm: 0, sdMm: other.mean[1] / Math.sqrt(12) }
      const at = centreIn(other, numberAt(other, centre.xMm, middleMm), middleMm)
      return { weight: other.weight, offMm: at.xMm - centre.xMm, sdMm: at.sdMm }
    }))
    const chance = chanceOver({ fromMm: -wide / 2, toMm: wide / 2 }, spread.map(one => ({ ...one, offMm: one.offMm - shiftMm })), -shiftMm)
    // Seen, and timber there as far as the whole belief goes; or a pilot came out of it, as far as the pilot is believed.
    const found = own.some(one => one.pilot ? believed(one) >= FOUND_AT : one.state === 'seen' && chance >= FOUND_AT)
    return {
      number: i + 1, nominalMm: null, lean, sdMm: centre.sdMm,
      centreMm: centre.xMm + shiftMm - lean * middleMm, widthMm: wide, spread,
      state: found ? 'proved' : chance >= INFERRED_AT ? 'inferred' : 'guessed',
    }
  })
  const numberOf = new Map(ks.map((k, i) => [k, i + 1]))
  const checks = observations.map((one, i): HitCheck => {
    const k = row.numbers[i] ?? null
    const nearest = k ?? numberAt(row, one.xMm, one.yMm)
    const offMm = one.xMm - (row.mean[0] + nearest * spacingMm + lean * (one.yMm - row.atMm))
    return {
      hitId: one.hitId, rafter: k === null ? null : numberOf.get(k) ?? null, outlier: k === null,
      offMm: one.pilot ? offMm - Math.max(-widthMm / 2, Math.min(widthMm / 2, offMm)) : offMm,
      doubled: k === null && Math.abs(offMm) > 0.6 * widthMm && Math.abs(offMm) < 1.6 * widthMm,
    }
  })
  return { rafters, checks }
}

/** On which side of a rafter hits were marked as its second timber: -1 left, 1 right, 0 none. */
function secondTimber(supports: RafterSupports, centreMm: number, lean: number, middleMm: number): -1 | 0 | 1 {
  const beside = supports.hits.find(hit => hit.use === 'doubled' && hit.state !== 'pilot-miss' && Math.abs(hit.xMm - lean * (hit.yMm - middleMm) - centreMm) < 2 * supports.widthMm)
  return beside ? (beside.xMm - lean * (beside.yMm - middleMm) < centreMm ? -1 : 1) : 0
}
