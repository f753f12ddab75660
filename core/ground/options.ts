import { nextDevice, racewayNames } from '../electrical'
import type { Ground } from '../job'
import { hasLoads } from './flows'
import type { GroundPlan, Run } from './layout'
import { perMetrePrice } from './parts'

/** A pull string, by the metre (common practice). */
const STRING_PER_M = 0.15
/** Ways kept free for a second array (common practice). */
const SPARE_WAYS = 2

/** Room to grow: what it would be and what more it costs, where raceway and copper say so; a maker's price has to be asked for. */
export function optionsOf(ground: Ground, runs: Run[], us: boolean): GroundPlan['options'] {
  const far = (mm: number) => us ? `${Math.ceil(mm / 304.8)} ft` : `${(mm / 1000).toFixed(1)} m`
  const laid = runs.filter(one => !one.existing)
  const switches = ground.things.filter(one => one.kind === 'ac-disconnect' && !one.existing)
  const metres = laid.reduce((sum, one) => sum + one.length.mm, 0) / 1000
  const out = laid.filter(one => !one.dc && one.flows.some(flow => flow.circuit === null) && !hasLoads(ground.things.find(thing => thing.id === one.fromId)!)).at(-1)
  const options = [
    ...switches.slice(0, 1).map((one) => {
      const own = laid.find(run => run.fromId === one.id)?.flows[0]?.deviceA ?? 0
      return { id: 'larger-switch' as const, name: `Larger switch for ${one.name}`, what: `Rated ${nextDevice(us, 2 * own) ?? 2 * own} A, with fuses of ${own} A: a second array changes fuses only. Its price is its maker’s.`, price: null }
    }),
    { id: 'spare-ways' as const, name: 'Spare ways', what: `${SPARE_WAYS * 2} poles free beside what is planned. Their price is the panel maker’s.`, price: null },
    ...laid.length ? [{ id: 'pull-string' as const, name: 'Pull string', what: `${far(1000 * metres)} in every raceway.`, price: metres * STRING_PER_M }] : [],
    ...out ? [{ id: 'second-feeder' as const, name: 'Feeder for a second array', what: `A second ${out.raceway ? racewayNames[out.raceway.kind] : 'cable'} beside run ${out.number}, ${far(out.length.mm)} with ${out.conductors.length} conductors of ${out.size}.`, price: perMetrePrice(out, ground) * out.length.mm / 1000 }] : [],
  ]
  return options.map(one => ({ ...one, taken: ground.growth.includes(one.id) }))
}
