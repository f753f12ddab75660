import { count } from '../../units'
import type { GroundPlan } from '../layout'
import { judged, onThing, thingOf, withPanel, withThing } from './on'

/** No way free for what comes in. */
export const noWay = judged((ask, grid) => grid.buses.filter(bus => bus.ways.needed > bus.ways.free).map((bus) => {
  const thing = thingOf(grid, bus.thingId)
  return {
    ...onThing(ask, 'ways', thing.id), severity: 'stop' as const, measured: count(bus.ways.free, 'poles'), limit: count(bus.ways.needed, 'poles'), sentence: `${thing.name} has ${bus.ways.free === 0 ? 'no free way' : `${bus.ways.free} free poles`}; what comes in takes ${bus.ways.needed}.`,
    propose: () => [
      ...noWayCures(grid, thing.id),
      ...thing.existing ? [] : withPanel(`A panel with ${bus.ways.needed} free poles`, thing, { ways: bus.ways.needed }),
      ...thing.existing ? withPanel(`Two loads move to one device each: ${bus.ways.needed} poles free`, thing, { ways: bus.ways.needed }) : [],
    ],
  }
}))

/** What leads to a full panel may meet the service before it. */
function noWayCures(grid: GroundPlan, panelId: string) {
  const meter = grid.ground.things.find(one => one.kind === 'meter')
  const into = grid.runs.filter(run => run.toId === panelId && !run.existing)
  const one = into.length === 1 ? thingOf(grid, into[0]!.fromId) : null
  return meter && one && one.kind === 'ac-disconnect' ? [withThing('Connect before the main, at the service', one, { leadsTo: meter.id })] : []
}
