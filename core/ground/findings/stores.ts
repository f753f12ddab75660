import { count, power, type Quantity } from '../../units'
import { noCures } from '../../trade'
import { formatPower } from '../../units'
import { judged, onGrid, onThing, thingOf, withThing } from './on'

const kWh = (value: number): Quantity => ({ kind: 'energy', wh: 1000 * value })

/** One unit over what a code allows, or all of them over what their place does. */
export const storeTooLarge = judged((ask, grid) => {
  const { ground, rules } = grid
  const stores = ground.things.filter(one => one.store)
  const unit = rules.figures['storage-unit']
  const places = ['utility', 'inside', 'garage', 'outside'] as const
  return [
    ...stores.filter(one => one.store!.kWh > unit.value).map(thing => ({ ...onThing(ask, 'store-unit', thing.id), severity: 'stop' as const, measured: kWh(thing.store!.kWh), limit: kWh(unit.value), sentence: `One unit of ${thing.name} holds ${thing.store!.kWh} kWh; ${unit.value} kWh are the most (${unit.clause}).`, propose: noCures })),
    ...places.flatMap((place) => {
      const here = stores.filter(one => ground.walls.find(wall => wall.id === one.wallId)?.place === place)
      const sum = here.reduce((total, one) => total + one.store!.units * one.store!.kWh, 0)
      const limit = rules.figures[place === 'utility' || place === 'inside' ? 'storage-utility' : 'storage-other']
      const other = ground.walls.find(wall => wall.place === 'garage' || wall.place === 'outside')
      return sum > limit.value + 1e-9 ? [{ ...onThing(ask, `store-sum-${place}`, here[0]!.id), severity: 'stop' as const, measured: kWh(sum), limit: kWh(limit.value), sentence: `${sum.toFixed(1)} kWh of storage ${place === 'outside' ? 'on the outside wall' : place === 'garage' ? 'in the garage' : 'in the utility room'}; ${limit.value} kWh are the most there (${limit.clause}).`, propose: () => other && place !== 'garage' && place !== 'outside' ? here.map(thing => withThing(`Hang ${thing.name} on ${other.name}`, thing, { wallId: other.id, at: null })) : [] }] : []
    }),
  ]
})

/** Batteries that give less than the inverter behind them. */
export const storeSlow = judged((ask, grid) => grid.stores.filter(one => one.limitedBy === 'the batteries').map(store => ({
  ...onThing(ask, 'store-power', store.thingId), severity: 'note' as const, measured: power(store.dischargeW), sentence: `${thingOf(grid, store.thingId).name} gives ${formatPower(store.outputW)} at most and takes ${formatPower(store.chargeW)}, whatever the inverter could: ${store.kWh.toFixed(1)} kWh${store.hours === null ? '' : `, ${store.hours.toFixed(1)} h of what runs in an outage`}.`, propose: noCures,
})))

/** An outage wants more than the way out of the batteries gives. */
export const outageOver = judged((ask, grid) => grid.stores.flatMap((store) => {
  const gateway = grid.ground.things.find(one => one.transfer)
  const loadW = gateway?.transfer?.loadW
  return loadW && loadW > store.outputW + 1e-9 ? [{ ...onThing(ask, 'outage', store.thingId), severity: 'caution' as const, measured: power(loadW), limit: power(store.outputW), sentence: `In an outage ${formatPower(loadW)} are to run; ${store.limitedBy} ${store.limitedBy === 'the batteries' ? 'give' : 'gives'} ${formatPower(store.outputW)}.`, propose: () => [withThing(`Run ${formatPower(Math.floor(store.outputW))} at most`, gateway!, { transfer: { ...gateway!.transfer!, loadW: Math.floor(store.outputW) } })] }] : []
}))

/** Storage wants people told of fire, and cars kept off it. */
export const storeGuarded = judged((ask, grid) => {
  const stores = grid.ground.things.filter(one => one.store)
  if (!stores.length) return []
  const garage = stores.some(one => grid.ground.walls.find(wall => wall.id === one.wallId)?.place === 'garage')
  return [{ ...onGrid(ask, 'store-alarm'), severity: 'note', onSheets: true, measured: count(stores.length, 'stores'), sentence: `Storage: smoke alarms joined to those of the house${garage ? ', and a post or a raised stand where a car could reach it' : ''} (${grid.rules.us ? 'IRC R328.7 and R328.8' : 'national rules'}). The fire service and the insurer may ask for more.`, propose: noCures }]
})
