import type { RuleSet } from './editions'

/** Ways a source may be connected to a busbar on the load side of its main. */
export const busRules = ['anywhere', 'far-end', 'sum', 'centre-fed'] as const
export type BusRule = typeof busRules[number]

/** How a busbar gets its current: at one end, in its middle, or on through to other lugs. */
export const busFeeds = ['end', 'centre', 'through'] as const
export type BusFeed = typeof busFeeds[number]

/** A busbar with what is on it, A. */
export interface Busbar {
  busA: number
  /** The device that protects it; null where it has only lugs and what feeds it protects it. */
  mainA: number
  feed: BusFeed
  /** Output current of every source on it or beyond it, storage too: of current, not of devices. */
  sourcesA: number[]
  /** Devices of those sources, and of all loads. */
  sourceDevicesA: number[]
  loadDevicesA: number
  /** Sources stand at the end opposite to the main. */
  oppositeEnd: boolean
  dwelling: boolean
  /** A listed power control system holds them to so much (705.13, from 2020); null where there is none. */
  limitA: number | null
}

/** One rule tried: whether it may be used here at all, and whether it holds. */
export interface BusTry {
  rule: BusRule
  clause: string
  formula: string
  leftA: number
  rightA: number
  holds: boolean
  /** Why it can't be used here; null where it can. */
  barred: string | null
  /** A label that it asks for. */
  label: string | null
}

const CLAUSE: Record<BusRule, Record<RuleSet, string>> = {
  'anywhere': { 2017: '705.12(B)(2)(3)(a)', 2020: '705.12(B)(3)(1)', 2023: '705.12(B)(1)', iec: '551.7.2' },
  'far-end': { 2017: '705.12(B)(2)(3)(b)', 2020: '705.12(B)(3)(2)', 2023: '705.12(B)(2)', iec: '' },
  'sum': { 2017: '705.12(B)(2)(3)(c)', 2020: '705.12(B)(3)(3)', 2023: '705.12(B)(3)', iec: '' },
  'centre-fed': { 2017: '705.12(B)(2)(3)(d)', 2020: '705.12(B)(3)(4)', 2023: '705.12(B)(4)', iec: '' },
}
const clauseOf = (rule: BusRule, rules: RuleSet): string => rules === 'iec' ? `IEC 60364-5-55, ${CLAUSE[rule].iec}` : `NEC ${rules}, ${CLAUSE[rule][rules]}`

/** What sources count for on a bus, A: so many times their output currents, or what a listed system holds them to. */
export const countedA = ({ sourcesA, limitA }: Pick<Busbar, 'sourcesA' | 'limitA'>, factor: number): number =>
  Math.min(factor * sourcesA.reduce((sum, a) => sum + a, 0), limitA ?? Infinity)

/**
 * Every rule of an edition tried on a busbar.
 * @param factor 1.25 of output current
 * @param share 1.2 of the bus for sources at its far end
 */
export function triedRules(bus: Busbar, rules: RuleSet, factor: number, share: number): BusTry[] {
  const counted = countedA(bus, factor)
  const through = bus.feed === 'through' ? 'a feed-through or multi-ampacity busbar is an engineer’s' : null
  const what = bus.limitA === null ? `${factor} ΣI` : 'min(limit, 1.25 ΣI)'
  const made = (rule: BusRule, formula: string, leftA: number, rightA: number, barred: string | null, label: string | null): BusTry =>
    ({ rule, clause: clauseOf(rule, rules), formula, leftA, rightA, holds: leftA <= rightA + 1e-9, barred: barred ?? through, label })
  const anywhere = made('anywhere', rules === 'iec' ? 'main + ΣI ≤ bus' : `${what} + main ≤ bus`, counted + bus.mainA, bus.busA, null, null)
  // In Europe an assembly carries what its main and its sources can give together, and there is no other way.
  if (rules === 'iec') return [anywhere]
  return [
    anywhere,
    made('far-end', `${what} + main ≤ ${share} bus`, counted + bus.mainA, share * bus.busA, bus.feed === 'centre' ? 'the busbar is fed in its middle' : bus.oppositeEnd ? null : 'sources don’t stand at the end opposite to the main', 'Power source output connection. Do not relocate this overcurrent device.'),
    // Devices are summed whatever flows through them; the main is left out.
    made('sum', 'Σ devices of loads and sources ≤ bus', bus.loadDevicesA + bus.sourceDevicesA.reduce((sum, a) => sum + a, 0), bus.busA, null, 'This equipment is fed by several sources. The total rating of all overcurrent devices, except the main, shall not exceed the ampacity of the busbar.'),
    made('centre-fed', `${what} + main ≤ ${share} bus`, counted + bus.mainA, share * bus.busA, bus.feed !== 'centre' ? 'the busbar is not fed in its middle' : bus.dwelling ? null : 'only in dwellings', null),
  ]
}

/** The first rule that may be used and holds; the one asked for, where somebody has. */
export const heldBy = (tries: BusTry[], asked: BusRule | null): BusTry | null => tries.find(one => (asked === null || one.rule === asked) && one.holds && one.barred === null) ?? null

/** Greatest output current that a busbar takes by the best of its rules, A; nought where none takes any. */
export function mostOnBus(bus: Busbar, rules: RuleSet, factor: number, share: number): number {
  const room = triedRules({ ...bus, sourcesA: [], sourceDevicesA: [] }, rules, factor, share).filter(one => one.barred === null).map(one => one.rule === 'sum' ? 0 : (one.rightA - one.leftA) / factor)
  return Math.max(0, ...room)
}

/** A feeder that a source meets elsewhere than at its far end: its conductors carry the main's device and 1.25 of the source, or what lies beyond is protected by its ampacity (705.12(B)(1) and (2)). */
export const feederLeastA = (deviceA: number, sourcesA: number[], factor: number): number => deviceA + factor * sourcesA.reduce((sum, a) => sum + a, 0)

/** A tap before the main: sources within the service's rating, its device, its least copper, and how far the device may stand. */
export interface SupplyTap { serviceA: number, sourcesA: number[], deviceA: number, faultKA: number, deviceFaultKA: number | null }
/** By the 2017 edition devices are summed (705.12(A)), since 2020 currents (705.11(A)). */
export const tapSumA = ({ sourcesA, deviceA }: Pick<SupplyTap, 'sourcesA' | 'deviceA'>, rules: RuleSet): number => rules === '2017' ? deviceA : sourcesA.reduce((sum, a) => sum + a, 0)
export const tapClause = (rules: RuleSet): string => rules === 'iec' ? 'IEC 60364-5-55' : rules === '2017' ? 'NEC 2017, 230.82(6) and 705.12(A)' : `NEC ${rules}, 230.82(6) and 705.11`
/** Copper of a tap is never thinner (705.11(B) since 2020; before it 230.31 for service conductors, 8 AWG, taken as 6 with the utility). */
export const LEAST_TAP = '6 AWG'
