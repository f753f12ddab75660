import { done, type Outcome, refused } from '../outcome'
import type { FoundOf, Resistance } from '../job'

/** Test voltage and least insulation of an array by its system voltage, 1.25 Voc of it: IEC 62446-1:2016, table 3, for arrays to 10 kW (from memory). */
const CLASSES = [
  { underV: 120, testV: 250, leastMohm: 0.5 },
  { underV: 500, testV: 500, leastMohm: 1 },
  { underV: 1000, testV: 1000, leastMohm: 1 },
  { underV: Infinity, testV: 1500, leastMohm: 1 },
] as const
export interface InsulationClass { systemV: number, testV: number, leastMohm: number }

/** 120 V begin the second class, 500 and 1000 V still belong to the class that ends there. */
export function insulationClass(vocStcV: number): InsulationClass {
  const systemV = 1.25 * vocStcV
  const { testV, leastMohm } = CLASSES.find(({ underV }) => underV === 120 ? systemV < underV : systemV <= underV)!
  return { systemV, testV, leastMohm }
}

/** The same of mains: 500 V and 1 MΩ up to 500 V (IEC 60364-6, table 6A). */
export const MAINS_INSULATION = { testV: 500, leastMohm: 1 } as const

/** Words an instrument shows instead of a figure. */
const OVER = /^(>|≥|over|ol\b|o\.l\.?)/i
const UNITS: Record<string, number> = { '': 1, 'm': 1, 'mohm': 1, 'mω': 1, 'megohm': 1, 'megohms': 1, 'k': 1e-3, 'kohm': 1e-3, 'kω': 1e-3, 'g': 1e3, 'gohm': 1e3, 'gω': 1e3 }

/**
 * Reads an insulation resistance as it is shown: `1.25`, `850 kΩ`, `1.2 GΩ`, `> 199 megohm`. Over the range it is a lower bound.
 * @returns MΩ
 */
export function readResistance(text: string): Outcome<Resistance> {
  const plain = text.trim().replace(/,/g, '.').toLowerCase()
  const atLeast = OVER.test(plain)
  const match = /(\d+(?:\.\d+)?)\s*([a-zωΩ]*)$/.exec(plain.replace(/ω|Ω/g, 'ω'))
  if (!match) return refused(atLeast ? 'Over the range of what? Type the range with it, as “> 199 MΩ”.' : 'Type the insulation as it is shown, as “12.5 MΩ” or “> 199 MΩ”.')
  const factor = UNITS[match[2]!]
  if (factor === undefined) return refused(`“${match[2]}” is no unit of insulation: MΩ, kΩ or GΩ.`)
  return done({ mohm: Number(match[1]) * factor, atLeast })
}

export const resistanceWords = ({ mohm, atLeast }: Resistance): string => `${atLeast ? 'over ' : ''}${Number(mohm.toPrecision(4))} MΩ`

/** The lower of both readings, which is judged: a reading counts under a bound that is no less. */
export function worst({ minus, plus }: Pick<FoundOf<'insulation'>, 'minus' | 'plus'>): Resistance {
  if (!plus) return minus
  return plus.mohm < minus.mohm || (plus.mohm === minus.mohm && !plus.atLeast) ? plus : minus
}

/** What passes is low under so many times its limit, and has fallen where the string before has more than twice as much (common practice). */
export const LOW_TIMES = 20
export const FELL_TO = 0.5
