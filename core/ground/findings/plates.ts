import { current, words } from '../../units'
import { judged, onThing, thingOf, withThing } from './on'

/** What no plate was read for yet. */
export const unread = judged((ask, grid) => grid.asked.map(({ thingId, says, sentence }) => ({
  ...onThing(ask, `plate-${says}`, thingId), severity: 'caution' as const, sentence: `${sentence}. Nobody has read that it does.`, measured: words('not read'),
  propose: () => [withThing('Its plate or data sheet says so', thingOf(grid, thingId), { says: [...thingOf(grid, thingId).says, says] })],
})))

/** Something stands less short-circuit current than the utility may send. */
export const faultTooLow = judged((ask, grid) => grid.ground.things.filter(one => one.faultKA !== null && grid.ground.supply.faultKA !== null && one.faultKA < grid.ground.supply.faultKA && (one.panel || one.kind === 'ac-disconnect')).map(thing => ({
  ...onThing(ask, 'fault', thing.id), severity: 'stop' as const, measured: current(1000 * thing.faultKA!), limit: current(1000 * grid.ground.supply.faultKA!),
  sentence: `${thing.name} stands ${thing.faultKA} kA; ${grid.ground.supply.faultKA} kA may come where the utility hands over (${grid.rules.us ? `NEC ${grid.rules.set}, 110.9` : 'IEC 60364-4-43'}).`,
  propose: () => [withThing(`One that stands ${grid.ground.supply.faultKA} kA`, thing, { faultKA: grid.ground.supply.faultKA })],
})))
