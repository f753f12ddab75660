import type { ElectricalEdition, RuleSet } from '../electrical'
import type { Ground, Thing } from '../job'
import type { WiringPlan } from '../wiring'
import type { BusPlan, Label, Run, StorePlan, TapPlan } from './layout'
import type { GroundRules } from './rules'

interface LabelAsk { ground: Ground, wiring: WiringPlan, rules: GroundRules, runs: Run[], buses: BusPlan[], tap: TapPlan | null, stores: StorePlan[], outA: number }

/** Clauses of the label set, edition by edition (from memory). */
const CLAUSE: Record<'dc-run' | 'dc-volts' | 'output' | 'disconnect' | 'shutdown' | 'switch' | 'sources' | 'directory' | 'storage', Record<ElectricalEdition, string>> = {
  'dc-run': { 2017: '690.31(G)(3)', 2020: '690.31(D)(2)', 2023: '690.31(D)(2)' },
  'dc-volts': { 2017: '690.53', 2020: '690.53', 2023: '690.7(D)' },
  'output': { 2017: '690.54', 2020: '690.54', 2023: '705.30(C)' },
  'disconnect': { 2017: '690.13(B)', 2020: '690.13(B)', 2023: '690.13(B)' },
  'shutdown': { 2017: '690.56(C)(1)', 2020: '690.56(C)', 2023: '690.12(D)(1)' },
  'switch': { 2017: '690.56(C)(3)', 2020: '690.56(C)(2)', 2023: '690.12(D)(2)' },
  'sources': { 2017: '705.12(B)(3)', 2020: '705.12(C)', 2023: '705.12(C)' },
  'directory': { 2017: '705.10', 2020: '705.10', 2023: '705.10' },
  'storage': { 2017: '706.7(D)', 2020: '706.15(C)', 2023: '706.15(C)' },
}
const clause = (id: keyof typeof CLAUSE, set: RuleSet): string => set === 'iec' ? 'IEC 60364-7-712, 712.514' : `NEC ${set}, ${CLAUSE[id][set]}`

/** Every label that an edition asks for, at the thing on which it is stuck. */
export function labelsOf(ask: LabelAsk): Label[] {
  const { ground, rules, runs, wiring } = ask
  const kind = (...kinds: Thing['kind'][]) => ground.things.filter(one => kinds.includes(one.kind))
  const at = (id: string, things: Thing[], text: string | ((thing: Thing) => string), own: keyof typeof CLAUSE, where: string, reflective = false): Label[] => things.map(thing => ({ id: `${id}-${thing.id}`, text: typeof text === 'string' ? text : text(thing), thingId: thing.id, where: `${where} ${thing.name}`, clause: clause(own, rules.set), reflective }))
  const strings = wiring.circuits.filter(one => one.kind === 'string')
  const coldV = Math.max(0, ...strings.map(one => one.coldV))
  const service = kind('main-panel')
  const connected = ask.tap ? kind('meter') : ask.buses.length ? ground.things.filter(one => ask.buses.some(bus => bus.thingId === one.id) && one.kind !== 'combiner') : service
  if (rules.set === 'iec') return [
    ...at('dual', [...service, ...kind('meter')], 'Dual supply. Isolate both the mains and the on-site generation before working here.', 'sources', 'On'),
    ...strings.length ? at('dc', kind('inverter', 'dc-isolator', 'roof-box'), 'Photovoltaic direct current. Live in daylight, also after isolation.', 'dc-volts', 'On') : [],
    ...at('iso', kind('ac-disconnect'), 'Photovoltaic system: main alternating current isolator.', 'disconnect', 'On'),
    ...at('store', kind('storage'), thing => `Battery storage: ${ask.stores.find(one => one.thingId === thing.id)?.kWh.toFixed(1) ?? '?'} kWh.`, 'storage', 'On'),
  ]
  return [
    ...runs.filter(one => one.dc && !one.existing && one.flows.some(flow => flow.circuit !== null)).map((run): Label => ({ id: `dc-run-${run.id}`, text: rules.set === '2017' ? 'WARNING: PHOTOVOLTAIC POWER SOURCE' : 'PHOTOVOLTAIC POWER SOURCE', thingId: run.toId, where: `On run ${run.number}, at every box, either side of walls and each 10 ft`, clause: clause('dc-run', rules.set), reflective: true })),
    ...strings.length ? at('dc-volts', kind('inverter'), `MAXIMUM DC VOLTAGE ${Math.ceil(coldV)} V`, 'dc-volts', 'On') : [],
    ...at('disconnect', kind('ac-disconnect'), 'PV SYSTEM DISCONNECT. Terminals on line and load sides may be energized in the open position.', 'disconnect', 'On'),
    ...at('output', kind('ac-disconnect').length ? kind('ac-disconnect') : connected, `RATED AC OUTPUT CURRENT ${Number(ask.outA.toFixed(1))} A, NOMINAL ${rules.volts} V AC`, 'output', 'On'),
    ...at('shutdown', service, 'SOLAR PV SYSTEM IS EQUIPPED WITH RAPID SHUTDOWN. Turn the rapid shutdown switch to OFF to shut down conductors and reduce shock hazard in the array.', 'shutdown', 'Within 3 ft of the service disconnect, on', true),
    ...at('switch', kind('shutdown-button').length ? kind('shutdown-button') : kind('ac-disconnect'), 'RAPID SHUTDOWN SWITCH FOR SOLAR PV SYSTEM', 'switch', 'Within 3 ft of', true),
    ...at('directory', [...service, ...kind('meter')].slice(0, 1), `SOURCES: utility${ask.outA > 0 ? ', photovoltaic' : ''}${ask.stores.length ? ', energy storage' : ''}. Disconnects: ${kind('main-panel', 'ac-disconnect').map(one => one.name).join(', ')}.`, 'directory', 'On'),
    ...at('sources', connected, 'WARNING: fed by more than one source', 'sources', 'On'),
    ...ask.buses.flatMap((bus): Label[] => bus.held?.label ? [{ id: `bus-${bus.thingId}`, text: bus.held.label, thingId: bus.thingId, where: `Beside the source’s device in ${bus.name}`, clause: bus.held.clause, reflective: false }] : []),
    ...at('store', kind('storage'), thing => `ENERGY STORAGE DISCONNECT. ${ask.stores.find(one => one.thingId === thing.id)?.kWh.toFixed(1) ?? '?'} kWh, nominal ${thing.store?.volts ?? '?'} V.`, 'storage', 'On'),
  ]
}

/** How a label is made: white on red where lamps have to find it, letters of 3/8 in at least (NEC 690.31(D)(2), 690.12(D); ANSI Z535.4). */
export const labelMade = ({ reflective }: Pick<Label, 'reflective'>, us: boolean): string => us ? reflective ? 'Reflective, weatherproof, white on red, letters 3/8 in' : 'Weatherproof, 3 x 2 in' : 'Weatherproof, 75 x 50 mm'
