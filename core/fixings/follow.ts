import type { RailLimits } from '../rails'
import { followedAmong } from './around'
import { fixAgain, seekAgain } from './again'
import type { LocalRules } from './candidates'
import { shortfalls } from './fewest'
import { FULL } from './judge'
import { keepsRules } from './search'
import { type RailProblem, singleSteps } from './ways'

/** What one rail is fixed round, mm along it. */
export interface RailRound {
  /** Holes in use. */
  usedMm: number[]
  /** Fixings of the layout followed. */
  earlierMm: number[]
  /** Whether its splices can stay where they are, or were to be, with these fixings. */
  splicesStay: (xs: number[]) => boolean
  /** Whether they must: its pieces are cut or laid. */
  isCut: boolean
}

/** A rail fixed round what is there. */
export interface Followed {
  picks: number[]
  /** Fixings that are new and fixings that went, against the layout followed. */
  changes: number
  /** Holes in use that stay. */
  kept: number
  /** No choice that keeps holes, splices and limits changes less, and with as few changes has fewer fixings. */
  proved: boolean
  /** Its splices can stay where they are, or were to be. */
  splicesStay: boolean
  /** Whether it keeps its rules and passes its check; where not, what is over is a finding's. */
  passes: boolean
  /** Made in a hurry: the search goes on. */
  hurried: boolean
}

/** Fixings tried in the search of a first answer. */
const FIRST_STEPS = 600

/** First answers by hand's reasoning: what was to be, then one more place, then every place with those not wanted taken out again. */
function plainAnswer(rail: RailProblem, rules: LocalRules, pinned: ReadonlySet<number>, earlier: ReadonlySet<number>, passes: (picks: number[]) => boolean): number[] | null {
  const all = rail.candidates.map((_, i) => i)
  const steps = singleSteps(rail, rules)
  const good = (picks: number[]) => keepsRules(steps, picks) && passes(picks)
  const base = all.filter(i => pinned.has(i) || earlier.has(i))
  if (good(base)) return base
  for (const more of all) {
    if (base.includes(more)) continue
    const picks = [...base, more].sort((a, b) => a - b)
    if (good(picks)) return picks
  }
  if (!good(all)) return null
  return all.reduce((picks, i) => {
    const fewer = picks.filter(one => one !== i)
    return !pinned.has(i) && !earlier.has(i) && good(fewer) ? fewer : picks
  }, all)
}

const changesFrom = (picks: number[], earlier: ReadonlySet<number>): number => picks.filter(i => !earlier.has(i)).length + [...earlier].filter(i => !picks.includes(i)).length

/**
 * One rail round its holes, in the order that costs a crew least: all limits kept; then splices where they are; then the fewest fixings
 * moved; then the fewest new holes. Rows and modules are not moved here: that is somebody's decision, and a cure.
 * @param hurried a first answer is wanted at once
 */
export function followRail(rail: RailProblem, limits: RailLimits, round: RailRound, hurried: boolean): Followed {
  const { candidates, judge, reach } = rail
  const rules = judge?.rules ?? limits
  const xs = candidates.map(one => one.atMm)
  const at = (picks: number[]) => picks.map(i => xs[i]!)
  const pinned = new Set(round.usedMm.flatMap(mm => xs.flatMap((x, i) => Math.abs(x - mm) < 0.5 ? [i] : [])))
  const earlier = followedAmong(xs, round.earlierMm)
  const bears = (picks: number[]) => !judge || judge.worst(at(picks)) <= FULL
  const stay = (picks: number[]) => round.splicesStay(at(picks))
  const done = (picks: number[], proved: boolean, passes: boolean, first: boolean): Followed => {
    const changes = changesFrom(picks, earlier)
    // What changes nothing is the only one that does.
    return { picks, changes, kept: pinned.size, proved: proved || (passes && changes === 0), splicesStay: stay(picks), passes, hurried: first }
  }
  if (!candidates.length) return done([], true, false, false)
  // Where even a fixing in every place breaks a rule, that is said; the check of the whole rail goes on without.
  const can = shortfalls(candidates, reach, rules).length === 0
  if (can) {
    const search = (also: (picks: number[]) => boolean) => seekAgain(rail, rules, { pinned }, earlier, also, hurried ? FIRST_STEPS : undefined)
    const kept = search(stay)
    if (kept.found) return done(kept.found.picks, kept.found.proved, true, hurried && !kept.found.proved)
    if (hurried) {
      const plain = plainAnswer(rail, rules, pinned, earlier, picks => bears(picks) && stay(picks)) ?? (round.isCut ? null : plainAnswer(rail, rules, pinned, earlier, bears))
      if (plain) return done(plain, false, true, true)
    }
    const recut = round.isCut ? null : search(() => true).found
    if (recut) return done(recut.picks, recut.proved && kept.none, true, hurried && !(recut.proved && kept.none))
  }
  const least = leastOver(rail, rules, pinned, earlier, round.earlierMm)
  return done(least, false, false, hurried)
}

/** Where nothing passes: what changes least of what is no more over than the layout followed was, or hardly more than the least. */
function leastOver(rail: RailProblem, rules: LocalRules, pinned: ReadonlySet<number>, earlier: ReadonlySet<number>, earlierMm: number[]): number[] {
  const { candidates, judge } = rail
  const all = candidates.map((_, i) => i)
  const byRules = fixAgain({ ...rail, judge: null }, rules, { pinned }, earlier)?.picks
  if (!judge) return byRules ?? all
  const base = all.filter(i => pinned.has(i) || earlier.has(i))
  const worst = (picks: number[]) => judge.worst(picks.map(i => candidates[i]!.atMm))
  const tried = [base, byRules ?? [], all].filter(picks => picks.length > 0).map(picks => ({ picks, worst: worst(picks), changes: changesFrom(picks, earlier) }))
  const was = earlierMm.length ? judge.worst(earlierMm) : 0
  const least = Math.min(...tried.map(one => one.worst))
  return tried.filter(one => one.worst <= Math.max(was + 1e-9, least * NO_BETTER)).reduce((a, b) => b.changes < a.changes ? b : a).picks
}

/** What is over by no more than this share above the least is no worse for a crew than what changes more. */
const NO_BETTER = 1.05
