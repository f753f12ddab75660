/** Editions of the electrical code that an authority may have adopted. */
export const electricalEditions = ['2017', '2020', '2023'] as const
export type ElectricalEdition = typeof electricalEditions[number]

/** One set of electrical rules: never mixed with another. */
export type RuleSet = ElectricalEdition | 'iec'
export const ruleSetNames: Record<RuleSet, string> = { 2017: 'NEC 2017', 2020: 'NEC 2020', 2023: 'NEC 2023', iec: 'IEC 60364' }
