import type { RafterSupports } from '../../job'
import { MM_PER_INCH } from '../../units'
import type { Observation } from './observation'

/** Spacings that builders set out to: 12, 16, 19.2 and 24 in; 400, 450 and 600 mm (common practice). */
const NOMINAL_SPACINGS_MM = [12, 16, 19.2, 24].map(inches => inches * MM_PER_INCH).concat([400, 450, 600])
/** A nominal spacing is kept over a roof to about this share (common practice). */
const NOMINAL_TOLERANCE = 0.015
/** Pilots that missed may have been drilled or noted wrong so often. */
const WRONG_SHARE = 0.05
/** The typed spacing is so many times likelier than any other that builders set out to (common practice). */
export const TYPED_TIMES = 8

/** A range of spacings to look in; `nominalMm` is the size it was set out to, if any. */
export interface SpacingRange { fromMm: number, toMm: number, nominalMm: number | null }

/** Where to look for a spacing: round every nominal one and the typed one, or in a free range. */
export function spacingRanges({ spacings, spacingMm }: Pick<RafterSupports, 'spacings' | 'spacingMm'>): SpacingRange[] {
  if (spacings.kind === 'free') return [{ fromMm: spacings.fromMm, toMm: spacings.toMm, nominalMm: null }]
  const nominals = NOMINAL_SPACINGS_MM.some(one => Math.abs(one - spacingMm) < 1) ? NOMINAL_SPACINGS_MM : [...NOMINAL_SPACINGS_MM, spacingMm]
  return nominals.map(one => ({ fromMm: one * (1 - NOMINAL_TOLERANCE), toMm: one * (1 + NOMINAL_TOLERANCE), nominalMm: one }))
}

/** A row of rafters to start from. */
export interface RowGuess { spacingMm: number, firstMm: number, lean: number, range: SpacingRange, logLikelihood: number }

/** Rafter number, counted from `firstMm` as 0, whose centre is nearest, and how far off the reading is. */
export function nearestRafter(guess: Pick<RowGuess, 'spacingMm' | 'firstMm' | 'lean'>, xMm: number, yMm: number): { k: number, offMm: number } {
  const place = (xMm - guess.firstMm - guess.lean * yMm) / guess.spacingMm
  const k = Math.round(place)
  return { k, offMm: (place - k) * guess.spacingMm }
}

/**
 * Log-likelihood of hits under a row: each is on some rafter of the face with its own error, or with a small chance
 * anywhere. A closer spacing has more rafters to be on, so it has to fit better to be as likely.
 */
export function rowLogLikelihood(guess: Pick<RowGuess, 'spacingMm' | 'firstMm' | 'lean'>, observations: Observation[], misses: {
  xMm: number
  yMm: number
}[], scatterMm: number, widthMm: number, lengthMm: number): number {
  let sum = 0
  for (const { xMm, yMm, sdMm, wrongShare } of observations) {
    const { offMm } = nearestRafter(guess, xMm, yMm)
    const variance = sdMm ** 2 + scatterMm ** 2
    const onRafter = guess.spacingMm / lengthMm * Math.exp(-(offMm ** 2) / (2 * variance)) / Math.sqrt(2 * Math.PI * variance)
    sum += Math.log((1 - wrongShare) * onRafter + wrongShare / lengthMm)
  }
  for (const { xMm, yMm } of misses) {
    // A pilot that missed well inside a supposed timber speaks against it, softly at its edges.
    const inside = widthMm / 2 - Math.abs(nearestRafter(guess, xMm, yMm).offMm)
    if (inside > 0) sum += Math.log(Math.max(WRONG_SHARE, 1 - inside / (scatterMm + 4)))
  }
  return sum
}

/** Leans looked at when the hits lie at different heights, mm per mm: up to 6 cm in a metre. */
const LEANS = [0, 0.01, -0.01, 0.02, -0.02, 0.03, -0.03, 0.04, -0.04, 0.05, -0.05, 0.06, -0.06]
/** Heights that differ by less than this say nothing of a lean. */
export const LEAN_NEEDS_MM = 600
/** A first search that leaves fewer than this share of hits on rafters goes on to leans. */
const GOOD_SHARE = 0.85
const MOST_GUESSES = 40
/** More pairs than this are thinned: they say the same again. */
const MOST_PAIRS = 240

interface Search { observations: Observation[], misses: { xMm: number, yMm: number }[], ranges: SpacingRange[], scatterMm: number, widthMm: number, lengthMm: number }

/**
 * Rows worth refining, most likely first: every pair of hits with every whole number of spacings between them that gives a
 * spacing in range.
 */
export function rowGuesses(search: Search): RowGuess[] {
  const level = guessesWithLean(search, [0])
  const heights = search.observations.map(one => one.yMm)
  const mayLean = Math.max(...heights) - Math.min(...heights) >= LEAN_NEEDS_MM
  const good = level[0] && search.observations.filter(one => Math.abs(nearestRafter(level[0]!, one.xMm, one.yMm).offMm) < 3.3 * Math.hypot(one.sdMm, search.scatterMm)).length
  if (!mayLean || (good && good >= GOOD_SHARE * search.observations.length)) return level
  return [...level, ...guessesWithLean(search, LEANS.slice(1))].sort((a, b) => b.logLikelihood - a.logLikelihood).slice(0, MOST_GUESSES)
}

function guessesWithLean({ observations, misses, ranges, scatterMm, widthMm, lengthMm }: Search, leans: number[]): RowGuess[] {
  const best = new Map<string, RowGuess>()
  const consider = (spacingMm: number, firstMm: number, lean: number, range: SpacingRange) => {
    const guess = { spacingMm, firstMm, lean }
    const logLikelihood = rowLogLikelihood(guess, observations, misses, scatterMm, widthMm, lengthMm)
    // One guess stands for all that put the same hits on the same rafters.
    const key = `${range.fromMm} ${observations.map(one => nearestRafter(guess, one.xMm, one.yMm).k).map((k, _, all) => k - all[0]!).join(' ')}`
    const known = best.get(key)
    if (!known || known.logLikelihood < logLikelihood) best.set(key, { ...guess, range, logLikelihood })
  }
  for (const lean of leans) {
    const level = observations.map(one => one.xMm - lean * one.yMm)
    for (const range of ranges) {
      if (range.nominalMm !== null) for (const x of level) consider(range.nominalMm, x, lean, range)
      for (const [i, j] of pairsOf(level.length)) {
        const apart = Math.abs(level[j]! - level[i]!)
        for (let m = Math.max(1, Math.ceil(apart / range.toMm)); apart / m >= range.fromMm; m++) consider(apart / m, level[i]!, lean, range)
      }
    }
  }
  return [...best.values()].sort((a, b) => b.logLikelihood - a.logLikelihood).slice(0, MOST_GUESSES)
}

function pairsOf(n: number): [number, number][] {
  const all = Array.from({ length: n }, (_, i) => Array.from({ length: n - i - 1 }, (_, j): [number, number] => [i, i + 1 + j])).flat()
  const step = Math.ceil(all.length / MOST_PAIRS)
  return all.filter((_, i) => i % step === 0)
}
