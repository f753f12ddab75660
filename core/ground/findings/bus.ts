import { mostOnBus, nextDevice } from '../../electrical'
import { current, length } from '../../units'
import { busbarOf } from '../buses'
import { flowsOf } from '../flows'
import type { GroundAsk } from '../ask'
import type { BusPlan, GroundPlan } from '../layout'
import { netOf } from '../net'
import type { Cure } from '../../trade'
import { judged, onThing, thingOf, withPanel, withRun, withThing } from './on'

/** A busbar that no rule of the edition lets its sources on. */
export const busOver = judged((ask, grid) => grid.buses.filter(bus => !bus.held).map((bus) => {
  const thing = thingOf(grid, bus.thingId)
  const tried = bus.tries.filter(one => one.barred === null)
  const asked = thing.panel!.rule
  const shown = (asked ? bus.tries.filter(one => one.rule === asked) : tried)
  const nearest = [...shown].sort((a, b) => a.leftA - a.rightA - (b.leftA - b.rightA))[0] ?? bus.tries[0]!
  return {
    ...onThing(ask, 'bus', thing.id), severity: 'stop' as const, measured: current(nearest.leftA), limit: current(nearest.rightA),
    sentence: `${thing.name}’s ${bus.busA} A busbar does not take its sources by ${asked ? 'the rule that was chosen' : 'any rule of this edition that may be used here'}: ${shown.map(one => `${one.leftA.toFixed(1)} A against ${one.rightA.toFixed(1)} A (${one.clause})`).join('; ') || nearest.barred}.${thing.panel!.feed === 'through' ? ' A feed-through or multi-ampacity busbar is an engineer’s.' : ''}`,
    propose: () => busCures(ask, grid, bus),
  }
}))

/** Where they help: another rule, sources at the far end, a smaller main, a larger bus, before the main, a listed limit. */
function busCures(ask: GroundAsk, grid: GroundPlan, bus: BusPlan): Cure[] {
  const thing = thingOf(grid, bus.thingId)
  const { panel } = thing
  const { us, set, figures } = grid.rules
  const into = grid.runs.filter(run => run.toId === bus.thingId && !run.existing)
  const meter = grid.ground.things.find(one => one.kind === 'meter')
  const last = into.length === 1 ? thingOf(grid, into[0]!.fromId) : null
  // A main stays above the load that was calculated, where somebody has.
  const factor = figures['source-factor'].value
  const share = figures['bus-share'].value
  const lowered = panel!.mainA === null || panel!.loadA === null ? [] : [...Array.from({ length: 400 }, (_, i) => 400 - i)].filter(a => nextDevice(us, a) === a && a < panel!.mainA! && a >= panel!.loadA! && a <= share * bus.busA - bus.countedA)
  const larger = [100, 125, 150, 160, 200, 225, 250, 400].find(a => a > bus.busA && (bus.countedA + bus.mainA <= share * a || (us && panel!.loadDevicesA + 0 <= a)) && bus.mainA <= a)
  const net = netOf(grid.ground, ask.wiring)
  const bar = busbarOf(thing, flowsOf(grid.ground, net, ask.wiring, grid.rules), net, grid.ground, null)
  const room = bar ? mostOnBus({ ...bar, limitA: null }, set, factor, share) * factor : 0
  return [
    ...panel!.rule === null ? [] : withPanel('Take the first rule that holds', thing, { rule: null }),
    ...panel!.oppositeEnd || panel!.feed !== 'end' || !us ? [] : withPanel('Put the source’s device at the end opposite to the main', thing, { oppositeEnd: true }),
    ...lowered.length ? withPanel(`A main of ${lowered[0]} A; the load was calculated at ${panel!.loadA} A`, thing, { mainA: lowered[0]!, oppositeEnd: true }) : [],
    ...meter && last && !['main-panel', 'gateway', 'sub-panel'].includes(last.kind) && thing.kind === 'main-panel' ? [withThing('Connect before the main, at the service', last, { leadsTo: meter.id })] : [],
    ...meter && last?.kind === 'sub-panel' && !last.panel!.loadDevicesA && thing.kind === 'main-panel' ? [withThing('Connect before the main, at the service', last, { leadsTo: meter.id })] : [],
    ...larger ? withPanel(`A busbar of ${larger} A`, thing, { busA: larger, oppositeEnd: panel!.feed === 'end' ? true : panel!.oppositeEnd }) : [],
    ...us && set !== '2017' && room >= 1 ? withPanel(`A listed power control system that holds it to ${Math.floor(room)} A (705.13)`, thing, { limitA: Math.floor(room), oppositeEnd: panel!.feed === 'end' ? true : panel!.oppositeEnd }) : [],
  ]
}

/** A listed limit that the edition does not know. */
export const limitTooEarly = judged((ask, grid) => grid.rules.set === '2017'
  ? grid.ground.things.filter(one => one.panel?.limitA).map(thing => ({ ...onThing(ask, 'limit', thing.id), severity: 'stop' as const, measured: current(thing.panel!.limitA!), sentence: `${thing.name} counts on a power control system; the 2017 edition has no rule for one (705.13 came with 2020).`, propose: () => withPanel('Without it', thing, { limitA: null }) }))
  : [])

/** A tap before the main that the service, its copper or its device does not allow. */
export const tapOver = judged((ask, grid) => {
  const { tap, ground, rules } = grid
  if (!tap) return []
  const thing = thingOf(grid, tap.thingId)
  const run = grid.runs.find(one => one.id === tap.runId)!
  const far = ground.supply.tapMm !== null && ground.dwelling && rules.us && ground.supply.tapMm > rules.figures['tap-device'].value + 1e-6
  return [
    ...tap.sumA > tap.serviceA + 1e-9
      ? [{
          ...onThing(ask, 'tap', thing.id), severity: 'stop' as const, measured: current(tap.sumA), limit: current(tap.serviceA), sentence: `The service is rated ${tap.serviceA} A; sources before the main come to ${tap.sumA.toFixed(1)} A (${tap.working.source}): the main is smaller than the tap.`,
          propose: () => [{ label: `A service of ${nextDevice(rules.us, tap.sumA) ?? Math.ceil(tap.sumA)} A, by the utility`, edit: { type: 'set-ground' as const, values: { supply: { ...ground.supply, ratedA: nextDevice(rules.us, tap.sumA) ?? Math.ceil(tap.sumA) } } } }],
        }]
      : [],
    ...far
      ? [{
          ...onThing(ask, 'tap-device', thing.id), severity: 'stop' as const, measured: length(ground.supply.tapMm!), limit: length(rules.figures['tap-device'].value), sentence: `The device stands ${Math.round(ground.supply.tapMm! / 304.8)} ft from the tap; in dwellings it is within 10 ft of it (${rules.figures['tap-device'].clause}).`,
          propose: () => [{ label: 'Put it within 10 ft', edit: { type: 'set-ground' as const, values: { supply: { ...ground.supply, tapMm: rules.figures['tap-device'].value } } } }],
        }]
      : [],
    ...ground.supply.tapMm === null && rules.us
      ? [{ ...onThing(ask, 'tap-far', thing.id), severity: 'caution' as const, sentence: `Nobody has said how far the device stands from the tap: within 10 ft in dwellings (${rules.figures['tap-device'].clause}).`, propose: () => [] }]
      : [],
    ...run.choice.size !== null && rules.us && ['14 AWG', '12 AWG', '10 AWG', '8 AWG'].includes(run.size)
      ? [{ ...onThing(ask, 'tap-thin', thing.id), severity: 'stop' as const, sentence: `Run ${run.number} taps the service with ${run.size}; 6 AWG copper is the least.`, propose: () => [withRun('6 AWG and thicker, by its current', run, { size: null })] }]
      : [],
  ]
})
