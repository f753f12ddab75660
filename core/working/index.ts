import type { Quantity } from '../units'

/**
 * How far a figure can be trusted: arithmetic on what was measured, a code’s own rule, a maker's word, common practice,
 * or a person who overrode it.
 */
export type Basis = 'arithmetic' | 'code' | 'maker' | 'common practice' | 'typed on this job' | 'solved exactly' | 'best of those tried'

/** The way to a figure, for anyone who wants to check it. */
export interface Working {
  what: string
  formula: string
  values: { symbol: string, what: string, value: Quantity }[]
  result: Quantity
  source: string
  basis: Basis
}
