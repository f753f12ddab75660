import type { RafterSupports } from '../../job'
import type { Interval } from '../../geometry'
import { type Rafter, SCATTER_MM } from '../rafter'
import { chanceOver, FOUND_AT, INFERRED_AT, type Spread } from '../chance'
import { LEAN_NEEDS_MM, nearestRafter, rowGuesses, rowLogLikelihood, type RowGuess, spacingRanges, TYPED_TIMES } from './candidates'
import { missesOf, type Observation, observationsOf } from './observation'
import { centreWithPilots, type Pilot } from './pilots'
import { regressRow, type RowFit, type RowPrior } from './regress'
import { irregularRafters } from './irregular'
import type { HitCheck, RafterFit } from './rafter-fit'

/** A residual beyond this many standard deviations is wrong: one in a thousand by chance. */
const OUTLIER = 3.29
/** Framing keeps to its spacing over a roof to about 2 mm (common practice). */
const SPACING_SD_MM = 2
/** Rafters that are meant to run true lean 2 mm in a metre at most (common practice). */
const TRUE_LEAN_SD = 0.002
const SKEWED_LEAN_SD = 0.05
/** Spacings that differ by this share are rivals: 600 mm and 24 in differ by 1.6 %. */
const RIVAL_APART = 0.004
/** Halves of a spacing are taken only when at least so many rafters stand between the others. */
const HALVES_NEED = 2
/** Guesses that are carried through to a fit. */
const MOST_REFINED = 24
/** A rival less likely than this many times is not worth a word. */
const RIVAL_WITHIN = 1000

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
  const scatterMm = SCATTER_MM[supports.timber]
  const misses = missesOf(supports.hits)
  const lengthMm = along.toMm - along.fromMm
  const guesses = rowGuesses({ observations, misses, ranges: spacingRanges(supports), scatterMm, widthMm: supports.widthMm, lengthMm })
  const rows = weighed(guesses.filter(guess => halvesAreAsked(guess, guesses, observations, scatterMm)).slice(0, MOST_REFINED)
    .map(guess => refine(guess, observations, scatterMm)).map(row => ({
      ...row, evidence: evidenceOf(row, supports) + rowLogLikelihood(levelOf(row.fit), observations, misses, scatterMm, supports.widthMm, lengthMm),
    })))
  const best = rows[0]
  if (!best) return null
  const rival = rows.find(other => Math.abs(other.fit.spacingMm - best.fit.spacingMm) > RIVAL_APART * best.fit.spacingMm)
  const timesLess = rival ? best.weight / rival.weight : Infinity
  const { rafters, checks } = raftersOfRow(best, rows, supports, along, topMm)
  return {
    kind: 'row', rafters, checks,
    spacing: { mm: best.fit.spacingMm, seMm: best.fit.spacingSeMm, nominalMm: best.guess.range.nominalMm },
    lean: { perMm: best.fit.lean, se: best.fit.leanSe, skewed: best.skewed },
    rival: rival && timesLess < RIVAL_WITHIN ? { spacingMm: rival.fit.spacingMm, timesLess } : null,
  }
}

/** How likely a row was before its hits: the typed spacing likelier, a fitted spacing near its nominal, and one phase of so many. */
function evidenceOf({ guess: { range }, fit }: Row, { spacingMm }: RafterSupports): number {
  const typed = range.nominalMm !== null && Math.abs(range.nominalMm - spacingMm) < 1 ? Math.log(TYPED_TIMES) : 0
  const off = range.nominalMm === null ? 0 : (fit.spacingMm - range.nominalMm) / SPACING_SD_MM
  return typed - off ** 2 / 2 - Math.log(fit.spacingMm)
}

interface WeighedRow extends Row { weight: number }

/** Rows with their shares of the whole belief, the likeliest first; rows that no one would bet on are left out. */
function weighed(rows: (Row & { evidence: number })[]): WeighedRow[] {
  const most = Math.max(...rows.map(row => row.evidence))
  const total = rows.reduce((sum, row) => sum + Math.exp(row.evidence - most), 0)
  return rows.map(({ evidence, ...row }) => ({ ...row, weight: Math.exp(evidence - most) / total })).filter(row => row.weight > 1e-4).sort((a, b) => b.weight - a.weight)
}

/** A fitted row as a guess again, with its first centre at the eave. */
const levelOf = (fit: RowFit): Pick<RowGuess, 'spacingMm' | 'firstMm' | 'lean'> =>
  ({ spacingMm: fit.spacingMm, firstMm: fit.firstMm - fit.lean * fit.atMm, lean: fit.lean })

/** A spacing half of another that fits is believed only when rafters were hit between those of the other. */
function halvesAreAsked(guess: RowGuess, all: RowGuess[], observations: Observation[], scatterMm: number): boolean {
  const whole = all.some(other => Math.abs(other.spacingMm / guess.spacingMm - 2) < 0.03)
  if (!whole) return true
  const onRafters = observations.map(one => ({
    ...nearestRafter(guess, one.xMm, one.yMm),
    sdMm: Math.hypot(one.sdMm, scatterMm),
  })).filter(one => Math.abs(one.offMm) < OUTLIER * one.sdMm)
  const odd = new Set(onRafters.filter(one => Math.abs(one.k) % 2 === 1).map(one => one.k))
  const even = new Set(onRafters.filter(one => one.k % 2 === 0).map(one => one.k))
  return Math.min(odd.size, even.size) >= HALVES_NEED
}

interface Row { guess: RowGuess, fit: RowFit, used: (Observation & { k: number })[], skewed: boolean, prior: RowPrior }

/** Numbers the hits by a guess and fits the row to them, dropping the worst until none is out of line. */
function refine(guess: RowGuess, observations: Observation[], scatterMm: number): Row {
  const { fromMm, toMm, nominalMm } = guess.range
  const prior = (leanSd: number): RowPrior => ({
    spacingMm: nominalMm ?? (fromMm + toMm) / 2, spacingSdMm: nominalMm === null ? (toMm - fromMm) / Math.sqrt(12) : SPACING_SD_MM, leanSd, scatterMm,
  })
  const numbered = observations.map(one => ({ ...one, ...nearestRafter(guess, one.xMm, one.yMm) }))
  let used = numbered.filter(one => Math.abs(one.offMm) < 1.5 * OUTLIER * Math.hypot(one.sdMm, scatterMm))
  if (!used.length) used = numbered
  const heights = used.map(one => one.yMm)
  const mayLean = Math.max(...heights) - Math.min(...heights) >= LEAN_NEEDS_MM
  let skewed = false
  let fit = regressRow(used, prior(TRUE_LEAN_SD))
  for (;;) {
    if (mayLean) {
      const free = regressRow(used, prior(SKEWED_LEAN_SD))
      skewed = Math.abs(free.lean) > OUTLIER * free.leanSe && Math.abs(free.lean) > TRUE_LEAN_SD
      fit = skewed ? free : regressRow(used, prior(TRUE_LEAN_SD))
    }
    else fit = regressRow(used, prior(TRUE_LEAN_SD))
    const worst = worstOf(used, fit)
    if (!worst || used.length <= Math.max(2, Math.ceil(observations.length / 2))) break
    used = used.filter(one => one !== worst)
  }
  return { guess, fit, used, skewed, prior: prior(skewed ? SKEWED_LEAN_SD : TRUE_LEAN_SD) }
}

/** The reading that the others least agree with, by its residual over the residual's own deviation; null when all are in line. */
function worstOf(used: (Observation & { k: number })[], fit: RowFit): (Observation & { k: number }) | null {
  let worst: (Observation & { k: number }) | null = null
  let most = OUTLIER
  for (const one of used) {
    const { xMm, sdMm } = fit.centreOf(one.k, one.yMm)
    const standardised = Math.abs(one.xMm - xMm) / Math.sqrt(Math.max(one.sdMm ** 2 - sdMm ** 2, 1e-9))
    if (standardised > most) [worst, most] = [one, standardised]
  }
  return worst
}

/** Every rafter of the row that stands on the face, and what each hit is to them. */
function raftersOfRow(row: Row, rows: WeighedRow[], supports: RafterSupports, along: Interval, topMm: number): Pick<RafterFit, 'rafters' | 'checks'> {
  const { fit, used, prior } = row
  const middleMm = topMm / 2
  const level = levelOf(fit)
  const atMiddle = (k: number) => fit.centreOf(k, middleMm).xMm
  const from = Math.ceil((along.fromMm - level.firstMm - level.lean * middleMm) / level.spacingMm - 0.5)
  const ks: number[] = []
  for (let k = from; atMiddle(k) <= along.toMm; k++) if (atMiddle(k) >= along.fromMm) ks.push(k)
  const misses = missesOf(supports.hits)
  const rafters = ks.map((k, i): Rafter => {
    const own = used.filter(one => one.k === k)
    const pilots: Pilot[] = [
      ...own.filter(one => one.pilot).map(one => ({ xMm: one.xMm - fit.lean * (one.yMm - middleMm), hit: true })),
      ...misses.filter(miss => nearestRafter(level, miss.xMm, miss.yMm).k === k).map(miss => ({ xMm: miss.xMm - fit.lean * (miss.yMm - middleMm), hit: false })),
    ]
    // Own pilots come in below as intervals, so the row is fitted without them first.
    const withoutOwn = own.some(one => one.pilot) && used.length > own.length ? regressRow(used.filter(one => one.k !== k || !one.pilot), prior) : fit
    const centre = centreWithPilots(withoutOwn.centreOf(k, middleMm), pilots, supports.widthMm)
    // Seen or drilled: proved as far as the whole belief takes that reading for timber.
    const proved = own.some(one => (one.pilot || one.state === 'seen') && rows.reduce((sum, other) => other.used.some(used => used.hitId === one.hitId) ? sum + other.weight : sum, 0) >= FOUND_AT)
    const doubled = secondTimber(supports, atMiddle(k), fit.lean, middleMm)
    const widthMm = supports.widthMm * (doubled ? 2 : 1)
    const shiftMm = doubled * supports.widthMm / 2
    // What its own readings and pilots say is of the likeliest row; rivals have theirs at the nearest rafter of their own.
    const spread = rows.map((other): Spread => {
      if (other === row) return { weight: other.weight, offMm: 0, sdMm: centre.sdMm }
      const level = levelOf(other.fit)
      const at = other.fit.centreOf(nearestRafter(level, centre.xMm, middleMm).k, middleMm)
      return { weight: other.weight, offMm: at.xMm - centre.xMm, sdMm: at.sdMm }
    })
    const chance = chanceOver({ fromMm: -widthMm / 2, toMm: widthMm / 2 }, spread.map(one => ({ ...one, offMm: one.offMm - shiftMm })), -shiftMm)
    return {
      number: i + 1, nominalMm: null, lean: fit.lean, sdMm: centre.sdMm,
      centreMm: centre.xMm + shiftMm - fit.lean * middleMm, widthMm, spread,
      state: proved ? 'proved' : chance >= INFERRED_AT ? 'inferred' : 'guessed',
    }
  })
  const numberOf = new Map(ks.map((k, i) => [k, i + 1]))
  const checks = usable(supports).map((one): HitCheck => {
    const kept = used.some(other => other.hitId === one.hitId)
    const { k, offMm } = nearestRafter(level, one.xMm, one.yMm)
    return {
      hitId: one.hitId, rafter: kept ? numberOf.get(k) ?? null : null, outlier: !kept,
      offMm: one.pilot ? offMm - Math.max(-supports.widthMm / 2, Math.min(supports.widthMm / 2, offMm)) : offMm,
      doubled: !kept && Math.abs(offMm) > 0.6 * supports.widthMm && Math.abs(offMm) < 1.6 * supports.widthMm,
    }
  })
  return { rafters, checks }
}

/** On which side of a rafter hits were marked as its second timber: -1 left, 1 right, 0 none. */
function secondTimber(supports: RafterSupports, centreMm: number, lean: number, middleMm: number): -1 | 0 | 1 {
  const beside = supports.hits.find(hit => hit.use === 'doubled' && hit.state !== 'pilot-miss' && Math.abs(hit.xMm - lean * (hit.yMm - middleMm) - centreMm) < 2 * supports.widthMm)
  return beside ? (beside.xMm - lean * (beside.yMm - middleMm) < centreMm ? -1 : 1) : 0
}
