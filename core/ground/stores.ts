import { power, type Quantity } from '../units'
import type { Ground, Thing } from '../job'
import type { WiringPlan } from '../wiring'
import { groupOfInverter } from './flows'
import type { StorePlan } from './layout'
import type { Net } from './net'
import type { GroundRules } from './rules'

const kWh = (value: number): Quantity => ({ kind: 'energy', wh: 1000 * value })

/** What stands on the way of a store to the house, from it on. */
function wayFrom(thing: Thing, net: Net): Thing[] {
  const way: Thing[] = []
  for (let edge = net.out.get(thing.id); edge && way.length < 30; edge = net.out.get(edge.to.id)) way.push(edge.to)
  return way
}

/**
 * Energy against power of batteries: units x current x voltage, in and out apart; what reaches the house is the least of battery, inverter and gateway; the
 * hours that a load lasts, before taper, with the way's efficiency where the load is on the alternating side.
 */
export function storesOf(ground: Ground, net: Net, wiring: WiringPlan, rules: GroundRules): StorePlan[] {
  return ground.things.flatMap((thing): StorePlan[] => {
    const { store } = thing
    if (!store) return []
    const way = wayFrom(thing, net)
    const [chargeW, dischargeW] = [store.units * store.chargeA * store.volts, store.units * store.dischargeA * store.volts]
    const inverter = way.find(one => one.kind === 'inverter')
    const inverterW = store.outA !== null ? store.outA * rules.volts : inverter ? groupOfInverter(ground, wiring, inverter.id)?.inverter?.acW ?? null : null
    const gateway = way.find(one => one.transfer) ?? null
    const gatewayW = gateway ? gateway.transfer!.ratedA * rules.volts * (rules.phases === 3 ? 3 : 1) : null
    const limits = [
      { by: 'the batteries', w: dischargeW * store.efficiency }, ...inverterW === null ? [] : [{ by: store.outA === null ? 'the inverter' : 'its own converter', w: inverterW }], ...gatewayW === null ? [] : [{ by: 'the gateway', w: gatewayW }],
    ].sort((a, b) => a.w - b.w)
    const [least] = limits
    const loadW = gateway?.transfer?.loadW ?? null
    const energy = store.units * store.kWh
    const hours = loadW === null ? null : energy * 1000 * store.efficiency / Math.min(loadW, least!.w)
    return [{
      thingId: thing.id, kWh: energy, chargeW, dischargeW, outputW: least!.w, limitedBy: least!.by, hours,
      workings: [
        { what: `Energy of ${thing.name}`, formula: 'n × E', values: [{ symbol: 'n', what: 'units', value: { kind: 'count', n: store.units, of: 'units' } }, { symbol: 'E', what: 'usable of one', value: kWh(store.kWh) }], result: kWh(energy), source: 'Plate', basis: 'maker' },
        { what: `Power out of ${thing.name}`, formula: 'min(n I V η, inverter, gateway)', values: [
          { symbol: 'I', what: 'discharge of one', value: { kind: 'current', a: store.dischargeA } }, { symbol: 'V', what: 'its voltage', value: { kind: 'voltage', v: store.volts } }, { symbol: 'η', what: 'of the way to the house', value: { kind: 'share', value: store.efficiency } },
          ...limits.map(({ by, w }, i) => ({ symbol: `P${i + 1}`, what: by, value: power(w) })),
        ], result: power(least!.w), source: `The least: ${least!.by}`, basis: 'arithmetic' },
        { what: `Power into ${thing.name}`, formula: 'n × I × V', values: [{ symbol: 'I', what: 'charge of one', value: { kind: 'current', a: store.chargeA } }, { symbol: 'V', what: 'its voltage', value: { kind: 'voltage', v: store.volts } }], result: power(chargeW), source: 'Plate', basis: 'arithmetic' },
        ...hours === null ? [] : [{ what: 'How long it lasts in an outage', formula: 'n E η / P', values: [{ symbol: 'P', what: 'what runs then, no more than it gives', value: power(Math.min(loadW!, least!.w)) }], result: { kind: 'words' as const, text: `${hours.toFixed(1)} h before taper, with no sun` }, source: 'Common practice', basis: 'common practice' as const }],
      ],
    }]
  })
}
