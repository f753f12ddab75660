import { type Catalogue, type Electronics, offered, type Service, type Trunk } from '../../catalogue'
import { type Edit, onBranches, type Orientation, type WireGroup, type WiringSystem, wiringSystemNames } from '../../job'
import { type Cure, type DraftFinding, noCures, onJob } from '../../trade'
import { current, power, voltage } from '../../units'
import type { WiringAsk } from '../ask'
import { groupFor } from '../groups'
import type { GroupPlan } from '../layout'
import { trunkSuits, unitSuits } from '../suits'
import { moduleVolts, TABLE_END_C } from '../string-volts'

/** Faces of a group that carry modules. */
const facesOf = ({ faces, job }: WiringAsk, group: WireGroup) => faces.filter(({ face, plan }) => plan.modules > 0 && groupFor(job.wiring.groups, face.id)?.id === group.id)
/** Which way the modules of a group lie. */
const waysOn = (faces: WiringAsk['faces']): Orientation[] => [...new Set(faces.flatMap(({ plan }) => plan.rows.rows.filter(row => row.count > 0).map(row => row.orientation)))]
const waysOf = (ask: WiringAsk, group: WireGroup): Orientation[] => waysOn(facesOf(ask, group))
const wayWords = (way: Orientation): string => way === 'upright' ? 'upright' : 'on their side'

const made = (unit: Electronics, service: Service): boolean => unit.outA[service] !== null

/** A unit with a trunk that go together on this roof, for cures: as the shelf stands. */
function pairs(catalogue: Catalogue, system: WiringSystem, service: Service, ways: Orientation[], us: boolean): { unit: Electronics, trunk: Trunk }[] {
  return offered(catalogue.electronics).filter(unit => unitSuits(unit, system) && made(unit, service) && (!us || unit.shutdown)).flatMap((unit) => {
    const trunk = offered(catalogue.trunks).find(one => trunkSuits(one, unit.id, ways, us))
    return trunk ? [{ unit, trunk }] : []
  })
}

const setGroup = (group: WireGroup): Edit => ({ type: 'set-wire-group', groupId: group.id, group })

/** Nobody has chosen how modules are wired. */
export function unchosen(ask: WiringAsk): DraftFinding[] {
  const { wiring, job, catalogue, faces } = ask
  if (!wiring.unwired) return []
  return [{
    ...onJob(ask, 'wiring', 'wiring-unchosen'), severity: 'caution',
    sentence: `Nobody has chosen how ${wiring.unwired === 1 ? 'one module is' : `${wiring.unwired} modules are`} wired: no electronics, trunk or strings are counted for ${wiring.unwired === 1 ? 'it' : 'them'}.`,
    propose: (): Cure[] => {
      const ways = waysOn(faces)
      return (['unit-each', 'unit-for-two'] as const).flatMap((system) => {
        const [pair] = pairs(catalogue, system, wiring.rules.service, ways, wiring.rules.us)
        const id = `g${job.wiring.groups.length + 1}`
        return pair ? [{ label: `${wiringSystemNames[system]}: ${pair.unit.name}`, edit: setGroup({ id, name: 'Whole roof', system, unitId: pair.unit.id, trunkId: pair.trunk.id, inverterId: null, faceIds: [] }) }] : []
      })
    },
  }]
}

/** What stops a group from being wired at all. */
export const problems = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap((plan): DraftFinding[] => plan.problem === null
  ? []
  : [{ ...onJob(ask, 'wiring', `wiring-problem:${plan.group.id}`), severity: 'stop', sentence: `${plan.group.name}: ${plan.problem}`, propose: () => problemCures(ask, plan) }])

function problemCures(ask: WiringAsk, { group, inverter }: GroupPlan): Cure[] {
  const { catalogue, wiring: { rules: { service, us } } } = ask
  if (onBranches(group.system)) {
    return pairs(catalogue, group.system, service, waysOf(ask, group), us)
      .map(({ unit, trunk }) => ({ label: `Take ${unit.name} on ${trunk.name}`, edit: setGroup({ ...group, unitId: unit.id, trunkId: trunk.id }) }))
  }
  if (inverter) return []
  return offered(catalogue.inverters).filter(one => (one.heldV !== null) === (group.system === 'optimisers'))
    .map(one => ({ label: `Take ${one.name}`, edit: setGroup({ ...group, inverterId: one.id }) }))
}

/** Why a trunk does not do, null where it does: it is missing, made for other units, or for modules that lie the other way. */
function trunkWhy(unit: Electronics, trunk: Trunk | null, ways: Orientation[]): string | null {
  if (!trunk) return `no trunk on the shelf takes ${unit.name} and suits modules ${ways.map(wayWords).join(' and ')}`
  if (!trunk.unitIds.includes(unit.id)) return `${trunk.name} does not take ${unit.name}`
  return trunk.for !== 'either' && ways.some(way => way !== trunk.for)
    ? `${trunk.name} is for modules ${wayWords(trunk.for)}, and some here lie the other way: its drops are ${trunk.spacingMm} mm apart`
    : null
}

export const trunkUnsuited = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap(({ group, unit, trunk, modules }): DraftFinding[] => {
  if (!onBranches(group.system) || !unit || !modules) return []
  const ways = waysOf(ask, group)
  const why = trunkWhy(unit, trunk, ways)
  if (why === null) return []
  return [{
    ...onJob(ask, 'wiring', `wiring-trunk:${group.id}`), severity: 'stop', sentence: `${group.name}: ${why}.`,
    propose: () => offered(ask.catalogue.trunks).filter(one => trunkSuits(one, unit.id, ways, ask.wiring.rules.us)).map(one => ({ label: `Order ${one.name}`, edit: setGroup({ ...group, trunkId: one.id }) })),
  }]
})

/** A device over what unit and trunk allow: the lower one is reckoned with. */
export const deviceOver = (ask: WiringAsk): DraftFinding[] => ask.wiring.groups.flatMap(({ group, limit }): DraftFinding[] => {
  const { deviceA } = ask.job.wiring
  return !limit || deviceA === null || deviceA <= limit.mostDeviceA + 1e-9
    ? []
    : [{
        ...onJob(ask, 'wiring', `wiring-device:${group.id}`), severity: 'stop', measured: current(deviceA), limit: current(limit.mostDeviceA),
        sentence: `${group.name}: a branch’s device of ${deviceA} A is over the ${limit.mostDeviceA} A that its unit and trunk allow. Branches are reckoned with ${limit.mostDeviceA} A. Two trunks never share a larger one: each has its own.`,
        propose: () => [{ label: `Take ${limit.mostDeviceA} A`, edit: { type: 'set-wiring', values: { deviceA: null } } }],
      }]
})

/** A module that a unit does not stand: open-circuit voltage at the coldest, short-circuit current or power. */
export function inputOver(ask: WiringAsk): DraftFinding[] {
  return ask.wiring.groups.flatMap(({ unit, group }): DraftFinding[] => {
    if (!unit) return []
    const modules = new Map(facesOf(ask, group).map(({ plan: { parts: { module } } }) => [module.id, module]))
    const coldC = ask.job.wiring.coldC ?? TABLE_END_C
    return [...modules.values()].flatMap((module): DraftFinding[] => {
      const base = { ...onJob(ask, 'wiring', `wiring-input:${group.id}:${module.id}`), severity: 'stop' as const, propose: noCures }
      if (unit.inW !== null && module.powerW > unit.inW) return [{ ...base, measured: power(module.powerW), limit: power(unit.inW), sentence: `${unit.name} takes modules to ${unit.inW} W; ${module.name} has ${module.powerW} W.` }]
      if (!module.plate) return [{ ...base, severity: 'caution', sentence: `The data plate of ${module.name} is not on the shelf: whether ${unit.name} stands its volts and amperes is not checked.` }]
      const cold = moduleVolts(module.plate, coldC, 25)
      if (cold.coldVocV !== null && cold.coldVocV > unit.inV) return [{ ...base, measured: voltage(cold.coldVocV), limit: voltage(unit.inV), sentence: `${module.name} reaches ${cold.coldVocV.toFixed(1)} V at ${coldC} °C; ${unit.name} stands ${unit.inV} V.` }]
      return unit.inA !== null && cold.iscA > unit.inA ? [{ ...base, measured: current(cold.iscA), limit: current(unit.inA), sentence: `${module.name} may give ${cold.iscA.toFixed(1)} A; ${unit.name} stands ${unit.inA} A.` }] : []
    })
  })
}
