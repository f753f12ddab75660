import type { Ground, PlateSays, Thing } from '../job'
import type { WiringPlan } from '../wiring'
import type { Asked, Run } from './layout'
import type { Net } from './net'
import type { GroundRules } from './rules'

/** Direct-current lines of buildings people live in may be so long before a surge arrester is asked for: 115 m over the flashes a km² and year (IEC 60364-7-712, 712.443.5.101, from memory). */
export const criticalMm = (flashes: number): number => 115_000 / flashes
/** Farther apart than this, one arrester protects one end only, mm (IEC 60364-7-712, from memory). */
const ONE_ARRESTER_MM = 10_000

/** What plates and data sheets still have to say, until somebody has read it there. */
export function askedOf(ground: Ground, net: Net, wiring: WiringPlan, runs: Run[], rules: GroundRules): Asked[] {
  const strings = wiring.circuits.filter(one => one.kind === 'string')
  const coldV = Math.max(0, ...strings.map(one => one.coldV))
  const { figures, us } = rules
  const asked: Asked[] = []
  const ask = (thing: Thing, says: PlateSays, sentence: string) => {
    if (!thing.says.includes(says)) asked.push({ thingId: thing.id, says, sentence })
  }
  const backfed = ground.things.some(one => one.kind === 'storage')
  for (const thing of ground.things) {
    const inverter = thing.kind === 'inverter' && strings.length > 0
    if (inverter && us && coldV >= figures['arc-fault'].value) ask(thing, 'arc-fault', `${thing.name} has to stop arcs of direct current: its strings reach ${Math.round(coldV)} V, ${figures['arc-fault'].value} V and more ask for it (${figures['arc-fault'].clause})`)
    if (inverter && us) ask(thing, 'ground-fault', `${thing.name} has to see ground faults of direct current (NEC ${rules.set}, 690.41(B))`)
    if (inverter && !us) {
      if (!ground.things.some(one => one.kind === 'dc-isolator' && one.leadsTo === thing.id)) ask(thing, 'dc-isolator', `${thing.name} has to have a switch for direct current of its own, or an isolator before it (IEC 60364-7-712, 712.536)`)
      if (!thing.says.includes('rcd-b')) ask(thing, 'no-dc-residual', `A residual current device before ${thing.name} is of type B, unless its maker says that it lets no direct current through (IEC 60364-7-712, 712.531.3)`)
      const dcMm = Math.max(0, ...runs.filter(one => one.dc && one.flows.some(flow => flow.circuit !== null)).map(one => one.length.mm))
      if (ground.flashes !== null && dcMm > criticalMm(ground.flashes)) ask(thing, 'dc-surge', `${thing.name} wants surge arresters on its strings${dcMm > ONE_ARRESTER_MM ? ', at both ends, since they are over 10 m long' : ''}: ${(dcMm / 1000).toFixed(1)} m of line against ${(criticalMm(ground.flashes) / 1000).toFixed(1)} m (IEC 60364-7-712, 712.443)`)
    }
    // Where current can come from either side a device has to open it from either side.
    if (backfed && thing.panel && !thing.existing && (net.into.get(thing.id) ?? []).length) ask(thing, 'two-way', `Devices in ${thing.name} that sources or storage feed back have to work either way: not marked line and load (${us ? `NEC ${rules.set}, 705.30(D)` : 'IEC 60364-5-53'})`)
    if (thing.kind === 'main-panel' && us && rules.set !== '2017' && ground.dwelling && !thing.existing) ask(thing, 'surge', `${thing.name} is new: services of dwellings have a surge-protective device (NEC ${rules.set}, 230.67)`)
    if (thing.kind === 'main-panel' && ground.supply.earthing === 'tt') ask(thing, 'rcd', `${thing.name} is earthed by its own electrode (TT): every circuit of a source is behind a residual current device (IEC 60364-4-41, 411.5)`)
    if (thing.panel && ground.supply.faultKA !== null && thing.faultKA === null) ask(thing, 'fault-rating', `${thing.name} has to stand ${ground.supply.faultKA} kA; nobody has read what it stands (${us ? `NEC ${rules.set}, 110.9` : 'IEC 60364-4-43'})`)
  }
  return asked
}
