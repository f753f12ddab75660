import type { LocalRules } from './candidates'
import { FULL } from './judge'
import { anyRail, type Aim, changesIn, cheapest, fewestChanges, fewestFixings, type Given, type LayeredRail, stepsGiven } from './search'
import { type RailProblem, singleSteps } from './ways'

/** A rail fixed again round what is there. */
export interface Refixed {
  /** Indices into the rail's candidates. */
  picks: number[]
  /** Fixings that are new and fixings that went, against the earlier placement; 0 where none was given. */
  changes: number
  /** True where no placement that keeps what is given and passes changes less, and with as few changes has fewer fixings. */
  proved: boolean
}

/** What a search came to: a placement, or none, and whether it is certain that there is none. */
export interface Sought { found: Refixed | null, none: boolean }

/**
 * Fixings of one rail with some that are there and stay, places where none may be, and, where an earlier placement is given, the fewest
 * changes from it as the first aim and the fewest fixings as the second: the same search as for a new rail.
 * @param also what else the fixings must leave possible, by their candidates
 * @param mostSteps fixings tried in the search
 */
export function seekAgain(rail: RailProblem, rules: LocalRules, given: Given, earlier: ReadonlySet<number> | null = null, also: (picks: number[]) => boolean = () => true, mostSteps?: number): Sought {
  const { candidates, judge } = rail
  const xs = candidates.map(one => one.atMm)
  const steps = stepsGiven(singleSteps(rail, rules), xs, given)
  const aim: Aim = earlier ? fewestChanges(earlier, xs.length) : fewestFixings
  const relaxed = judge?.relaxed(xs, steps, xs.length) ?? anyRail
  const whole: LayeredRail = { xs, steps, aim, relaxed }
  const { found, excluded } = cheapest(() => whole, picks => also(picks) && (!judge || judge.worst(picks.map(i => xs[i]!)) <= FULL), 1, mostSteps)
  return {
    found: found && { picks: found.picks, changes: earlier ? changesIn(found.cost, xs.length) : 0, proved: rail.finite && excluded >= found.cost - 1 },
    none: !found && rail.finite && excluded === Infinity,
  }
}

/** The placement alone. Null where none was found. */
export const fixAgain = (rail: RailProblem, rules: LocalRules, given: Given, earlier: ReadonlySet<number> | null = null): Refixed | null => seekAgain(rail, rules, given, earlier).found
