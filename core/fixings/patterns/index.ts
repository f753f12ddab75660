import type { FixingPattern } from '../../job'
import type { LocalRules } from '../candidates'
import type { RailProblem, WaysMemo } from '../ways'
import { aligned } from './aligned'
import { hardStagger } from './hard'
import { type PatternResult, waysOfAll } from './result'
import { softStagger } from './soft'

/** How fixings of several rails stand to each other: a file for each pattern. */
export type { PatternResult } from './result'
export { MOST_EXTRA_A_RAIL } from './hard'

/**
 * Chooses the fixings of all rails by one pattern. Null when the pattern can't be had on these supports (a soft stagger
 * always can). Rails without any candidate get no fixings.
 * @param known what was found out about these rails before
 */
export function choosePattern(pattern: FixingPattern, rails: RailProblem[], rules: LocalRules, known: WaysMemo = new Map()): PatternResult | null {
  switch (pattern) {
    case 'soft-stagger': return softStagger(rails, waysOfAll(rails, rules, 0, known))
    case 'aligned': return aligned(rails, rules)
    case 'hard-stagger': return hardStagger(rails, rules, known)
  }
}
