import type { Catalogue } from '../catalogue'
import type { Ground, Job } from '../job'
import { memoryOf } from '../memory'
import { power } from '../units'
import type { WiringPlan } from '../wiring'
import { askedOf } from './asked'
import { busesOf, tapOf } from './buses'
import { flowsOf, groupOfInverter } from './flows'
import { islandOf } from './island'
import { jointsOf } from './joints'
import { knockoutsOf } from './knockouts'
import { labelsOf } from './labels'
import { laidOf } from './lay'
import type { GroundPlan } from './layout'
import { netOf } from './net'
import { optionsOf } from './options'
import { crowdingOf, placingOf } from './placing'
import { groundRules } from './rules'
import { runsOf } from './runs'
import { storesOf } from './stores'
import { anchorsOf } from './wall/anchors'

const plans = memoryOf<GroundPlan>(60)

/** What of the roof's wiring the ground is worked out from. */
const factsOf = ({ circuits, groups }: WiringPlan): unknown => [
  circuits.map(one => [one.number, one.kind, one.groupId, one.currentA, one.carried, one.drop.share, one.drop.ofV, one.kind === 'string' ? [one.inverter, one.coldV, one.modules.reduce((sum, module) => sum + module.powerW, 0)] : one.units.length]),
  groups.map(one => [one.group.id, one.inverter, one.sizes?.inverters]),
]

/**
 * From the roof box to the meter: what leads to what, currents, places on the walls, runs with their conductors and raceways, joints, busbars and taps,
 * storage, labels. Null where nobody has begun with it. It comes once the roof is wired, and knows of it only circuits and inverters.
 * @param quick only to be judged, as when a cure is tried: places are found, not proved the cheapest
 */
export const planGround = (job: Job, wiring: WiringPlan, catalogue: Catalogue, quick = false): GroundPlan | null =>
  job.ground && plans(catalogue, [quick, job.ground, job.codes, job.units, job.wiring.service, job.wiring.mostV, job.wiring.hotC, job.wiring.dropShare, factsOf(wiring)], () => planned(job, job.ground!, wiring, quick))

function planned(job: Job, ground: Ground, wiring: WiringPlan, quick: boolean): GroundPlan {
  const rules = groundRules(job, ground)
  const net = netOf(ground, wiring)
  const flows = flowsOf(ground, net, wiring, rules)
  const placing = placingOf(ground, net.edges.filter(edge => edge.from.kind !== 'meter').map(edge => ({ edge, laid: laidOf(ground, edge, flows.of.get(edge)!, rules, null) })), rules, quick)
  const { runs, drops } = runsOf(ground, net, flows, placing, wiring, job.wiring.dropShare, rules)
  const buses = busesOf(ground, net, flows, rules)
  const tap = tapOf(ground, net, flows, runs, rules)
  const stores = storesOf(ground, net, wiring, rules)
  const meter = ground.things.find(one => one.kind === 'meter')
  const outA = (meter ? flows.sources.get(meter.id) ?? [] : []).reduce((sum, one) => sum + one.outA, 0)
  return {
    rules, ground, problems: net.problems, runs, drops, joints: jointsOf(ground, net, runs, wiring, rules), knockouts: knockoutsOf(ground, runs, placing), buses, tap, placing, crowded: crowdingOf(ground, placing, rules),
    anchors: ground.things.filter(one => !one.existing).flatMap(one => anchorsOf(one, rules.figures, ground.quakeShare) ?? []), stores, ratios: ratiosOf(ground, wiring), island: islandOf(ground, net), asked: askedOf(ground, net, wiring, runs, rules),
    labels: labelsOf({ ground, wiring, rules, runs, buses, tap, stores, outA }), options: optionsOf(ground, runs, rules.us),
  }
}

/** Direct over alternating power of every inverter that strings go to; what is clipped by the hour comes with the weather. */
function ratiosOf(ground: Ground, wiring: WiringPlan): GroundPlan['ratios'] {
  return ground.things.filter(one => one.kind === 'inverter').flatMap((thing) => {
    const group = groupOfInverter(ground, wiring, thing.id)
    if (!group?.inverter) return []
    const n = ground.things.filter(one => one.kind === 'inverter' && (one.groupId === null || one.groupId === group.group.id)).indexOf(thing)
    const dcW = wiring.circuits.flatMap(one => one.kind === 'string' && one.groupId === group.group.id && one.inverter === n ? one.modules : []).reduce((sum, one) => sum + one.powerW, 0)
    const { acW } = group.inverter
    return dcW > 0
      ? [{ thingId: thing.id, dcW, acW, ratio: dcW / acW, working: { what: `Direct over alternating power of ${thing.name}`, formula: 'ΣP / Pac', values: [{ symbol: 'ΣP', what: 'of its modules', value: power(dcW) }, { symbol: 'Pac', what: 'its own', value: power(acW) }], result: { kind: 'factor' as const, value: dcW / acW }, source: 'Data plates; what is clipped hour by hour needs the weather', basis: 'arithmetic' as const } }]
      : []
  })
}
