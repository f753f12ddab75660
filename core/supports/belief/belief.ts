import { SKEWED_LEAN_SD, SKEWED_SHARE, type SpacingPrior, TRUE_LEAN_SD } from './prior'
import { centreIn, emptyRow, type GrowingRow, numberAt, type RowState, withReading } from './row-state'

/** One way to read a hit log: which hits are on which rafters of one row, and which are on none. */
export interface BeliefRow extends RowState {
  /** Share of the whole belief. */
  weight: number
  nominalMm: number | null
  skewed: boolean
  /** For each hit in turn, its rafter, counted from the first that is on any; null where it is on none. */
  numbers: (number | null)[]
}

/** A hit as a measurement of a rafter's centre, with the share of such hits that are on no rafter at all. */
export interface Reading { xMm: number, yMm: number, sdMm: number, wrongShare: number }

/** What is asked of a belief. */
export interface BeliefAsk {
  observations: Reading[]
  spacings: SpacingPrior[]
  scatterMm: number
  /** Of the face along the eave, mm. */
  lengthMm: number
}

/** Heights that differ by less than this say nothing of a lean, mm. */
export const LEAN_NEEDS_MM = 600
/** How ways are kept: so many at any time, and none that is so much less likely than the likeliest one. */
interface Kept { most: number, hopeless: number }
const KEPT: Kept = { most: 240, hopeless: 1e-7 }
/** Many hits leave few ways likely and take longer each: chances differ by less than 0.02 from those of 400 ways, on 120 logs of 9 to 28 hits. */
const KEPT_OF_MANY: Kept = { most: 120, hopeless: 1e-4 }
const MANY_HITS = 8
/** A hit farther off a rafter than so many standard deviations is not on it. */
export const FAR = 6

interface Growing { row: GrowingRow, log: number, prior: SpacingPrior, skewed: boolean, anchored: boolean, numbers: (number | null)[] }

/** Logarithm of the normal density. */
export const logNormal = (offMm: number, sdMm: number): number => -(offMm ** 2) / (2 * sdMm ** 2) - Math.log(sdMm * Math.sqrt(2 * Math.PI))

/**
 * The whole belief about a row of rafters after its hits. Each hit is on some rafter of the face, any as likely as another, with its
 * reading's error and the rafter's own scatter; or, with its share of wrong hits, anywhere. Every way to put hits on rafters that is not hopeless is
 * followed, hit by hit, with its spacing, phase and lean as a normal belief; the evidence for each is the product of what it foretold of each next
 * hit, which is exact for a linear model with normal errors. Ways beyond the likeliest few hundred are dropped.
 */
export function beliefOf({ observations, spacings, scatterMm, lengthMm }: BeliefAsk): BeliefRow[] {
  const order = observations.map((_, i) => i).sort((a, b) => observations[a]!.xMm - observations[b]!.xMm)
  const heights = observations.map(one => one.yMm)
  const atMm = heights.reduce((sum, y) => sum + y, 0) / Math.max(1, heights.length)
  const mayLean = heights.length > 1 && Math.max(...heights) - Math.min(...heights) >= LEAN_NEEDS_MM
  const leans = mayLean ? [{ sd: TRUE_LEAN_SD, share: 1 - SKEWED_SHARE, skewed: false }, { sd: SKEWED_LEAN_SD, share: SKEWED_SHARE, skewed: true }] : [{ sd: TRUE_LEAN_SD, share: 1, skewed: false }]
  let rows: Growing[] = spacings.flatMap(prior => leans.map(lean => ({
    row: emptyRow(prior.mm, prior.sdMm, lean.sd, scatterMm, atMm), log: Math.log(prior.share * lean.share), prior, skewed: lean.skewed, anchored: false, numbers: observations.map(() => null),
  })))
  const kept = observations.length > MANY_HITS ? KEPT_OF_MANY : KEPT
  for (const i of order) rows = likeliest(rows.flatMap(row => waysFor(row, observations[i]!, lengthMm)), kept).map(way => taken(way, i, observations[i]!))
  const top = Math.max(...rows.map(one => one.log))
  const total = rows.reduce((sum, one) => sum + Math.exp(one.log - top), 0)
  return rows.map(({ row: { information: _, ...row }, log, prior, skewed, numbers }): BeliefRow => ({ ...row, weight: Math.exp(log - top) / total, nominalMm: prior.nominalMm, skewed, numbers }))
    .sort((a, b) => b.weight - a.weight)
}

/** A row with one hit more on its rafter k, or on none; taken in only if it is among the likeliest. */
interface Way { from: Growing, k: number | null, log: number }

/** One hit more: on no rafter, on the first that any hit is on, or on each that is near enough. */
function waysFor(from: Growing, { xMm, yMm, sdMm, wrongShare }: Reading, lengthMm: number): Way[] {
  const ways: Way[] = [{ from, k: null, log: from.log + Math.log(wrongShare / lengthMm) }]
  if (!from.anchored) {
    ways.push({ from, k: 0, log: from.log + Math.log((1 - wrongShare) / lengthMm) })
    return ways
  }
  const share = Math.log((1 - wrongShare) * from.prior.mm / lengthMm)
  const nearest = numberAt(from.row, xMm, yMm)
  for (const step of [1, -1]) {
    for (let k = step === 1 ? nearest : nearest - 1; ; k += step) {
      const centre = centreIn(from.row, k, yMm)
      const sd = Math.hypot(centre.sdMm, sdMm)
      if (Math.abs(xMm - centre.xMm) > FAR * sd) break
      ways.push({ from, k, log: from.log + share + logNormal(xMm - centre.xMm, sd) })
    }
  }
  return ways
}

function taken({ from, k, log }: Way, i: number, { xMm, yMm, sdMm }: Reading): Growing {
  if (k === null) return { ...from, log }
  return { ...from, log, anchored: true, row: withReading(from.row, k, xMm, yMm, sdMm), numbers: from.numbers.with(i, k) }
}

function likeliest(ways: Way[], { most, hopeless }: Kept): Way[] {
  const top = ways.reduce((best, one) => Math.max(best, one.log), -Infinity)
  return ways.filter(one => one.log > top + Math.log(hopeless)).sort((a, b) => b.log - a.log).slice(0, most)
}
