import { serviceVolts } from '../catalogue'
import type { FoundOf, Thing } from '../job'
import { voltage, words } from '../units'
import type { WireRules } from '../wiring'
import type { MAINS_INSULATION, InsulationClass } from './insulation'
import { FELL_TO, LOW_TIMES, resistanceWords, worst } from './insulation'
import { passed, unsure, type Verdict, wrong } from './verdict'

/** Earth continuity from the farthest frame to the main earth, Ω: the standard gives no limit; 1 Ω is common practice. */
const MOST_CONTINUITY_OHM = 1

export const judgeContinuity = ({ ohm }: FoundOf<'continuity'>): Verdict => (ohm <= MOST_CONTINUITY_OHM ? passed : wrong)(
  ohm <= MOST_CONTINUITY_OHM ? `${ohm} Ω: frames, rails and earth are one piece.` : `${ohm} Ω, over ${MOST_CONTINUITY_OHM} Ω: a clamp, jumper or lug does not bond. Find the frame from which it rises.`,
  { expected: { value: 0, from: 0, to: MOST_CONTINUITY_OHM, read: ohm, unit: 'Ω' } })

export const judgePolarity = ({ right }: FoundOf<'polarity'>): Verdict => right ? passed('+ and − are where they are marked.') : wrong('Reversed. Open it before anything else is joined: two strings joined the wrong way round can’t be taken apart again without an arc.')
export const judgeMainsPolarity = ({ right }: FoundOf<'mains-polarity'>): Verdict => right ? passed('Line and neutral are where they are marked.') : wrong('Line and neutral are changed over. Open the device before it is put right.')
export const judgeCombiner = ({ right }: FoundOf<'combiner'>): Verdict => right ? passed('It reads the same sign as the others on its input: they may be joined.') : wrong('It reads the other sign than its neighbours. Nothing is joined there.')
export const judgeSwitch = ({ opens }: FoundOf<'switch'>): Verdict => opens ? passed('It opens and nothing is left on its far side.') : wrong('It does not part: something is left on its far side.')

interface InsulationAsk { limit: InsulationClass | typeof MAINS_INSULATION, /** Of the circuit tested before it, MΩ and whether that is a lower bound. */ before: { name: string, mohm: number } | null }

/** Judges an insulation resistance by the limit of its voltage class. One over the instrument's range is a lower bound: enough where the range reaches the limit. */
export function judgeInsulation(found: FoundOf<'insulation'>, { limit, before }: InsulationAsk): Verdict {
  const { testV, leastMohm } = limit
  const low = worst(found)
  const read = resistanceWords(low)
  const systemV = 'systemV' in limit ? limit.systemV : null
  const more: Partial<Verdict> = {
    expected: { value: leastMohm, from: leastMohm, to: Infinity, read: low.mohm, unit: 'MΩ' },
    workings: [{
      what: 'Least insulation', formula: systemV === null ? 'of mains' : '1.25 Voc sets the class: under 120 V 250 V and 0.5 MΩ; to 500 V 500 V and 1 MΩ; to 1000 V 1000 V and 1 MΩ; above 1500 V and 1 MΩ',
      values: [...systemV === null ? [] : [{ symbol: '1.25 Voc', what: 'system voltage', value: voltage(systemV) }], { symbol: 'test', what: 'test voltage', value: voltage(testV) }],
      result: words(`${leastMohm} MΩ`), source: systemV === null ? 'IEC 60364-6, table 6A (from memory)' : 'IEC 62446-1:2016, table 3 (from memory)', basis: 'code',
    }],
  }
  if (found.testV < testV) return wrong(`Tested with ${found.testV} V, and this class asks for ${testV} V: test it again.`, more)
  if (found.method === 'each' && !found.plus) return wrong('From − to earth only: from + to earth is missing.', more)
  if (low.mohm < leastMohm) return low.atLeast
    ? unsure(`${read} is a lower bound under the limit, ${leastMohm} MΩ: set a higher range and read again.`, more)
    : wrong(`${read}, under ${leastMohm} MΩ: a pinched lead, a wet plug, or a damaged module. Part the string in the middle and test the halves.`, more)
  if (!low.atLeast && before && low.mohm < LOW_TIMES * leastMohm && low.mohm < FELL_TO * before.mohm) return unsure(`${read} passes, over ${leastMohm} MΩ, but it fell from ${resistanceWords({ mohm: before.mohm, atLeast: false })} on ${before.name}: look for moisture or a chafed lead before it is covered.`, more)
  return passed(`${read}, over the limit of ${leastMohm} MΩ${low.atLeast ? '; a lower bound, since the instrument’s range ends there' : ''}.`, more)
}

/** How far mains may be from its name: US 5 % (ANSI C84.1, range A), elsewhere 10 % (IEC 60038); both from memory. */
export function judgeMainsVolts({ volts }: FoundOf<'mains-volts'>, { us, service }: Pick<WireRules, 'us' | 'service'>): Verdict {
  const should = serviceVolts[service]
  const band = us ? 0.05 : 0.1
  const expected = { value: should, from: should * (1 - band), to: should * (1 + band), read: volts, unit: 'V' }
  if (volts >= expected.from && volts <= expected.to) return passed(`${volts} V at the branch, ${should} V by name.`, { expected })
  return wrong(volts < should * 0.2 ? `${volts} V: nothing arrives at this branch. Is its device on, is its neutral joined?` : `${volts} V, outside ${Math.round(expected.from)} to ${Math.round(expected.to)} V: a wrong phase, a lost neutral, or the wrong units for this service.`, { expected })
}

/** Most time to trip, ms: 300 at the rated residual current, 40 at five times that (IEC 61008-1, general type; from memory). */
const RCD = { rated: 300, five: 40 } as const
export function judgeRcd({ ms, fiveMs }: FoundOf<'rcd'>): Verdict {
  const late = [...ms > RCD.rated ? [`${ms} ms at its rated current, over ${RCD.rated} ms`] : [], ...fiveMs > RCD.five ? [`${fiveMs} ms at five times that, over ${RCD.five} ms`] : []]
  const more: Partial<Verdict> = { expected: { value: RCD.five, from: 0, to: RCD.five, read: fiveMs, unit: 'ms' } }
  return late.length ? wrong(`${late.join('; ')}: put another in.`, more) : passed(`Trips in ${ms} ms at its rated current and in ${fiveMs} ms at five times that, ${RCD.rated} and ${RCD.five} ms at most.`, more)
}

/** A device of type C trips at once at ten times its current; a measured impedance is taken at 0.8 of what that allows, since the conductor was cold (common practice; IEC 60364-6 annex D). */
export function judgeLoop({ ohm }: FoundOf<'loop'>, { deviceA }: Pick<Thing, 'deviceA'>, earthing: string, volts: number): Verdict {
  if (earthing === 'tt') return ohm <= 200 ? passed(`${ohm} Ω of the earth electrode; a residual current device breaks it.`, { expected: { value: 200, from: 0, to: 200, read: ohm, unit: 'Ω' } }) : wrong(`${ohm} Ω, over 200 Ω: the electrode is not steady (IEC 60364-4-41, common practice).`)
  if (deviceA === null) return unsure(`${ohm} Ω. Which device protects this circuit nobody has said, so its limit is not known.`)
  const most = 0.8 * volts / (10 * deviceA)
  const expected = { value: most, from: 0, to: most, read: ohm, unit: 'Ω' }
  return ohm <= most ? passed(`${ohm} Ω, ${most.toFixed(2)} Ω at most for ${deviceA} A of type C.`, { expected }) : wrong(`${ohm} Ω, over ${most.toFixed(2)} Ω for ${deviceA} A of type C: it would not trip at once.`, { expected })
}

export const judgePhaseOrder = ({ right }: FoundOf<'phase-order'>): Verdict => right ? passed('L1, L2, L3 follow each other.') : wrong('The phases run the other way round: change two of them at the inverter’s terminals.')
const guardNames = { 'ground-fault': 'Ground-fault', 'arc-fault': 'Arc-fault' } as const
export const judgeGuard = ({ step, armed }: FoundOf<'ground-fault' | 'arc-fault'>): Verdict => armed ? passed(`${guardNames[step]} protection is armed and shows no fault.`) : wrong(`${guardNames[step]} protection is not armed, or shows a fault. It is not reset until the cause is found.`)

/** Units stop within two seconds of the grid's loss (IEEE 1547, IEC 62116; from memory). */
const MOST_ISLAND_S = 2
export const judgeMainsLoss = ({ stops, seconds }: FoundOf<'mains-loss'>): Verdict => stops && seconds <= MOST_ISLAND_S
  ? passed(`Stops ${seconds} s after the grid is gone, ${MOST_ISLAND_S} s at most.`, { expected: { value: MOST_ISLAND_S, from: 0, to: MOST_ISLAND_S, read: seconds, unit: 's' } })
  : wrong(stops ? `Stops only after ${seconds} s, over ${MOST_ISLAND_S} s.` : 'It goes on without the grid. Nobody works on this until it is found why.')

/** What may be left outside the array, V and s (NEC 690.12(B)(1)); elsewhere what may be touched, 120 V of direct current (IEC 61140); both from memory. */
export function judgeShutdown({ volts, seconds }: FoundOf<'shutdown'>, { us }: Pick<WireRules, 'us'>): Verdict {
  const most = us ? 30 : 120
  const expected = { value: most, from: 0, to: most, read: volts, unit: 'V' }
  if (volts > most) return wrong(`${volts} V are left ${seconds} s after the button, over ${most} V: a unit does not let go, or the button is not joined to it.`, { expected })
  return seconds <= 30 ? passed(`${volts} V are left ${seconds} s after the button, ${most} V at most.`, { expected }) : wrong(`It takes ${seconds} s, over 30 s.`, { expected })
}
