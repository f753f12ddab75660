import { feederLeastA, nextDevice } from '../electrical'
import type { Ground, Thing } from '../job'
import { circuitName, type GroupPlan, type WiringPlan } from '../wiring'
import type { Flow } from './layout'
import { type Edge, invertersFor, type Net, passesThrough } from './net'
import { type Function_, type GroundRules, linesOf } from './rules'

/** A source of alternating current as a busbar meets it. */
export interface Source { name: string, thingId: string, outA: number, deviceA: number, phase: Thing['phase'] }

export interface Flows {
  /** Of every run, in the net's order. */
  of: Map<Edge, Flow[]>
  /** What each thing takes in and hands on, whatever it comes through. */
  sources: Map<string, Source[]>
}

/** The group of the roof's wiring that an inverter works for, with the inverter's own figures. */
export const groupOfInverter = (ground: Ground, wiring: Pick<WiringPlan, 'groups'>, id: string): GroupPlan | null => wiring.groups.find(one => one.inverter && invertersFor(ground, one.group.id).some(thing => thing.id === id)) ?? null

/** The greatest sum on any one line, A. */
export function onWorstLine(sources: Pick<Source, 'outA' | 'phase'>[], phases: 1 | 3): number {
  const lines = phases === 3 ? [1, 2, 3] as const : [null]
  return Math.max(...lines.map(line => sources.filter(one => phases === 1 || one.phase === null || one.phase === line).reduce((sum, one) => sum + one.outA, 0)))
}

const LOADED: Thing['kind'][] = ['sub-panel', 'main-panel', 'gateway']
/** Whether loads hang on a thing beside sources, so that its feeder has to carry its whole device. */
export const hasLoads = ({ kind }: Thing): boolean => LOADED.includes(kind)

/**
 * Currents of all runs, from the sources down. A source's current is its rated output, taken once; its device and conductors take 1.25 of it
 * (NEC 690.8, 705.28, 215.2). What passes through boxes keeps its device.
 */
export function flowsOf(ground: Ground, net: Net, wiring: WiringPlan, rules: GroundRules): Flows {
  const of = new Map<Edge, Flow[]>()
  const sources = new Map<string, Source[]>()
  const factor = rules.figures.continuous.value
  const device = (leastA: number): number | null => nextDevice(rules.us, leastA)
  const toMeter = ground.supply.ratedA

  /** What a thing itself brings in. */
  function born(one: Thing): Source[] {
    const outA = one.sourceA !== null ? one.sourceA : one.kind === 'inverter' ? groupOfInverter(ground, wiring, one.id)?.inverter?.outA[rules.service] ?? 0 : one.store?.outA ?? 0
    return outA > 0 ? [{ name: one.name, thingId: one.id, outA, deviceA: one.deviceA ?? device(factor * outA) ?? outA, phase: one.phase }] : []
  }
  for (const thing of ground.things) sources.set(thing.id, born(thing))
  for (const edge of net.edges) {
    const { from, to } = edge
    const own = sources.get(from.id)!
    const flows = edge.circuits.length ? circuitFlows(edge, rules) : from.store && from.store.outA === null ? [storeFlow(from, rules)] : [acFlow(from, own)]
    of.set(edge, flows)
    const handed = edge.circuits.length
      // Branches are joined in the first thing that they don't pass through; strings end in their inverter.
      ? passesThrough(to) ? [] : edge.circuits.flatMap((one): Source[] => one.kind === 'branch' ? [{ name: circuitName(one), thingId: from.id, outA: one.currentA, deviceA: one.limit.deviceA, phase: from.phase }] : [])
      : from.store && from.store.outA === null ? [] : own
    sources.set(to.id, [...sources.get(to.id) ?? [], ...handed])
  }
  return { of, sources }

  function acFlow(from: Thing, own: Source[]): Flow {
    const amps = onWorstLine(own, rules.phases)
    const phase = own.length > 0 && own.every(one => one.phase !== null && one.phase === own[0]!.phase) && !hasLoads(from) ? own[0]!.phase : null
    const lines = linesOf(rules, phase)
    const before = (net.into.get(from.id) ?? []).flatMap(one => of.get(one) ?? [])
    const feeding = (net.into.get(from.id) ?? []).filter(one => hasLoads(one.from))
    const functions: Function_[] = passesThrough(from) && before.length ? linesAmong(before) : [...lines, 'N']
    const inherits = passesThrough(from) && before.length ? Math.max(...before.map(one => one.deviceA ?? 0)) : null
    const deviceA = from.deviceA ?? inherits ?? deviceOf(from, amps)
    // A source that meets a feeder on its way: what lies behind the meeting can carry the main's device and the source together.
    const met = from.kind === 'junction' && feeding.length && own.length > (sources.get(feeding[0]!.from.id) ?? []).length
    const feederA = met ? feederLeastA(Math.max(...feeding.map(one => of.get(one)?.[0]?.deviceA ?? 0)), own.filter(one => !(sources.get(feeding[0]!.from.id) ?? []).includes(one)).map(one => one.outA), factor) : 0
    const whole = hasLoads(from) || (from.kind === 'junction' && feeding.length > 0)
    const terminalA = Math.max(feederA, whole || !rules.us ? deviceA : factor * amps)
    const three = lines.length === 3
    return { circuit: null, name: from.name, dc: false, functions, amps, terminalA, afterA: Math.max(feederA, whole || !rules.us ? deviceA : amps), deviceA, ofV: three ? Math.sqrt(3) * rules.volts : rules.volts, lossA: amps }
  }

  function deviceOf(from: Thing, amps: number): number {
    if (from.kind === 'main-panel') return from.panel?.mainA ?? toMeter
    if (from.kind === 'gateway') return from.transfer?.backs === 'whole' ? toMeter : device(Math.max(factor * amps, from.panel?.loadA ?? 0)) ?? toMeter
    return device(Math.max(factor * amps, from.panel?.loadA ?? 0)) ?? Math.ceil(factor * amps)
  }
}

const ORDER: Function_[] = ['L', 'L1', 'L2', 'L3', 'N']
const linesAmong = (flows: Flow[]): Function_[] => ORDER.filter(one => flows.some(flow => flow.functions.includes(one)))

/** Branches and strings one beside another, each with its own current. */
function circuitFlows({ from, circuits }: Edge, rules: GroundRules): Flow[] {
  return circuits.map((one): Flow => {
    const { terminalA, afterA, deviceA } = one.carried
    return {
      circuit: one.number, name: circuitName(one), dc: one.kind === 'string', amps: one.currentA, terminalA, afterA, deviceA, ofV: one.drop.ofV, lossA: one.currentA,
      functions: one.kind === 'string' ? ['+', '−'] : [...linesOf(rules, from.phase), ...rules.us ? [] : ['N' as const]],
    }
  })
}

/** Batteries on an inverter's direct side, all of them in parallel. */
function storeFlow({ name, deviceA, store }: Thing, { us, figures }: GroundRules): Flow {
  const amps = store!.units * Math.max(store!.chargeA, store!.dischargeA)
  const terminalA = (us ? figures.continuous.value : 1.25) * amps
  return { circuit: null, name, dc: true, functions: ['+', '−'], amps, terminalA, afterA: amps, deviceA: deviceA ?? nextDevice(us, terminalA) ?? Math.ceil(terminalA), ofV: store!.volts, lossA: amps }
}
