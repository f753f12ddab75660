import { type Service, serviceVolts } from '../catalogue'
import { type Figures, figuresOf, type RuleSet } from '../electrical'
import type { Ground, Job } from '../job'
import { wireRules } from '../wiring'

/** By what everything below the roof box is reckoned: one edition with its figures, and what the house is served with. */
export interface GroundRules { us: boolean, set: RuleSet, figures: Figures, service: Service, phases: 1 | 3, /** Between two lines, or from line to neutral where there is one line. */ volts: number }

export function groundRules(job: Pick<Job, 'codes' | 'units' | 'wiring'>, { figures, supply }: Pick<Ground, 'figures' | 'supply'>): GroundRules {
  const { us, edition, service } = wireRules(job)
  const set = us ? edition : 'iec'
  return { us, set, figures: figuresOf(set, figures), service, phases: supply.phases, volts: serviceVolts[service] }
}

/** What one conductor is for. In a split service and in a star there are two lines; in Europe one, or three with a neutral. */
export const functions = ['L', 'L1', 'L2', 'L3', 'N', 'E', '+', '−'] as const
export type Function_ = typeof functions[number]

/** Lines that current comes down on: all there are, or one of three. */
export function linesOf({ us, phases }: Pick<GroundRules, 'us' | 'phases'>, phase: 1 | 2 | 3 | null): Function_[] {
  if (phases === 3) return phase === null ? ['L1', 'L2', 'L3'] : [(['L1', 'L2', 'L3'] as const)[phase - 1]!]
  return us ? ['L1', 'L2'] : ['L']
}

/** By which colour a function is known, by the set of rules: US 200.6, 250.119, 690.31; IEC 60445. */
const COLOUR_US: Record<Function_, string> = { 'L': 'black', 'L1': 'black', 'L2': 'red', 'L3': 'blue', 'N': 'white', 'E': 'green', '+': 'red', '−': 'black' }
const COLOUR_IEC: Record<Function_, string> = { 'L': 'brown', 'L1': 'brown', 'L2': 'black', 'L3': 'grey', 'N': 'blue', 'E': 'green-yellow', '+': 'red', '−': 'white' }
export const colourOf = (fn: Function_, us: boolean): string => (us ? COLOUR_US : COLOUR_IEC)[fn]
/** Colours that mean neutral or earth, and that nothing else may wear unmarked. */
export const KEPT_US = ['white', 'grey', 'green', 'bare']
