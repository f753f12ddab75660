import type { Quantity } from '../units'

/**
 * How far a figure can be trusted: arithmetic on what was measured, a code’s own rule, a maker's word, common practice,
 * or a person who overrode it.
 */
export type Basis = 'arithmetic' | 'code' | 'maker' | 'common practice' | 'typed on this job' | 'solved exactly' | 'best of those tried'

/** One value of a working; `from` names the working, by what it is of, that it comes from where it was itself worked out. */
export interface WorkingValue { symbol: string, what: string, value: Quantity, from?: string }

/** The way to a figure, for anyone who wants to check it. */
export interface Working {
  what: string
  formula: string
  values: WorkingValue[]
  result: Quantity
  source: string
  basis: Basis
}
