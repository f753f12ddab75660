import { type Busbar, countedA, heldBy, tapClause, tapSumA, triedRules } from '../electrical'
import type { Ground, Thing } from '../job'
import { current, share } from '../units'
import type { Working } from '../working'
import { type Flows, hasLoads } from './flows'
import { isTap } from './lay'
import type { BusPlan, Run, TapPlan } from './layout'
import type { Net } from './net'
import type { GroundRules } from './rules'

/** A busbar as the rules see it, on one of its lines. */
export function busbarOf(thing: Thing, { sources, of }: Flows, net: Net, ground: Ground, line: 1 | 2 | 3 | null): Busbar | null {
  const { panel } = thing
  const into = net.into.get(thing.id) ?? []
  const own = (sources.get(thing.id) ?? []).filter(one => line === null || one.phase === null || one.phase === line)
  if (!panel || !own.length) return null
  // Devices on this bus: of each run that comes in with sources on this line, circuits of the roof each with their own.
  const devices = into.flatMap(edge => edge.circuits.length ? edge.circuits.map(one => one.carried.deviceA ?? 0) : (sources.get(edge.from.id) ?? []).some(one => own.includes(one)) ? [of.get(edge)![0]!.deviceA ?? 0] : [])
  const out = net.out.get(thing.id)
  return {
    busA: panel.busA, mainA: panel.mainA ?? (out ? of.get(out)![0]!.deviceA ?? ground.supply.ratedA : ground.supply.ratedA), feed: panel.feed, sourcesA: own.map(one => one.outA), sourceDevicesA: devices,
    loadDevicesA: panel.loadDevicesA, oppositeEnd: panel.oppositeEnd, dwelling: ground.dwelling, limitA: panel.limitA,
  }
}

/** Every busbar that sources are on, judged on the line that has most. */
export function busesOf(ground: Ground, net: Net, flows: Flows, rules: GroundRules): BusPlan[] {
  const factor = rules.figures['source-factor'].value
  return ground.things.flatMap((thing): BusPlan[] => {
    const lines = rules.phases === 3 ? [1, 2, 3] as const : [null]
    const bars = lines.map(line => busbarOf(thing, flows, net, ground, line)).filter(one => one !== null)
    const [bar] = bars.sort((a, b) => countedA(b, factor) - countedA(a, factor))
    if (!bar) return []
    const tries = triedRules(bar, rules.set, factor, rules.figures['bus-share'].value)
    const held = heldBy(tries, thing.panel!.rule)
    const poles = rules.phases === 3 ? 3 : 2
    const into = (net.into.get(thing.id) ?? []).filter(edge => !edge.from.existing)
    const needed = into.reduce((sum, edge) => sum + poles * Math.max(1, edge.circuits.length), 0)
    return [{
      thingId: thing.id, name: thing.name, busA: bar.busA, mainA: bar.mainA, sourcesA: bar.sourcesA, countedA: countedA(bar, factor), tries, held, ways: { needed, free: thing.panel!.ways },
      workings: tries.map((one): Working => ({
        what: `${thing.name}: busbar, ${one.rule === 'anywhere' ? 'source anywhere' : one.rule === 'far-end' ? 'source at the far end' : one.rule === 'sum' ? 'sum of devices' : 'fed in its middle'}`, formula: one.formula,
        values: [
          { symbol: 'ΣI', what: 'rated output of all sources, storage too', value: current(bar.sourcesA.reduce((sum, a) => sum + a, 0)) }, ...bar.limitA === null ? [] : [{ symbol: 'limit', what: 'of the listed power control system', value: current(bar.limitA) }],
          { symbol: 'main', what: 'device that protects the busbar', value: current(bar.mainA) }, { symbol: 'bus', what: 'busbar', value: current(bar.busA) },
          ...one.rule === 'sum' ? [{ symbol: 'Σ', what: 'devices of loads and sources, without the main', value: current(one.leftA) }] : [],
          ...one.rule === 'far-end' || one.rule === 'centre-fed' ? [{ symbol: 's', what: 'share of the busbar', value: share(rules.figures['bus-share'].value) }] : [],
        ],
        result: { kind: 'words', text: one.barred ? `${one.leftA.toFixed(1)} A against ${one.rightA.toFixed(1)} A; not here: ${one.barred}` : `${one.leftA.toFixed(1)} A ${one.holds ? '≤' : '>'} ${one.rightA.toFixed(1)} A: ${one.holds ? 'holds' : 'does not hold'}` },
        source: `${one.clause}, from memory`, basis: 'code',
      })),
    }]
  })
}

/** A tap before the main, where a run comes to the service without passing it. */
export function tapOf(ground: Ground, net: Net, flows: Flows, runs: Run[], rules: GroundRules): TapPlan | null {
  const edge = net.edges.find(one => isTap(one) && !hasLoads(one.from))
  if (!edge) return null
  const sources = flows.sources.get(edge.from.id) ?? []
  const deviceA = flows.of.get(edge)![0]!.deviceA ?? 0
  const run = runs.find(one => one.fromId === edge.from.id && one.toId === edge.to.id)!
  // Whatever else gives current to the service counts in the sum, on either side of the main.
  const all = flows.sources.get(edge.to.id) ?? sources
  const sumA = tapSumA({ sourcesA: all.map(one => one.outA), deviceA }, rules.set)
  return {
    thingId: edge.from.id, runId: run.id, sumA, serviceA: ground.supply.ratedA, deviceA, size: run.size,
    working: {
      what: 'Supply-side connection', formula: rules.set === '2017' ? 'Σ devices of sources ≤ service' : 'Σ I of sources ≤ service',
      values: [{ symbol: 'Σ', what: rules.set === '2017' ? 'its device' : 'rated output of all sources', value: current(sumA) }, { symbol: 'service', what: 'rating of the service', value: current(ground.supply.ratedA) }],
      result: { kind: 'words', text: `${sumA.toFixed(1)} A ${sumA <= ground.supply.ratedA ? '≤' : '>'} ${ground.supply.ratedA} A` }, source: `${tapClause(rules.set)}, from memory`, basis: 'code',
    },
  }
}
