import type { Ground, Thing } from '../job'
import type { GroundPlan } from './layout'
import type { Net } from './net'

/**
 * Links of neutral and earth that a house has while it is parted from the grid: there must be exactly one. Those behind the gateway stay; those before
 * it stay only where the gateway does not switch the neutral; its own is made where it is told to.
 */
export function islandOf({ things }: Ground, net: Net): GroundPlan['island'] {
  const gateway = things.find(one => one.transfer)
  if (!gateway) return null
  const behind = new Set<string>()
  const gather = (id: string) => {
    for (const edge of net.into.get(id) ?? []) {
      if (behind.has(edge.from.id)) continue
      behind.add(edge.from.id)
      gather(edge.from.id)
    }
  }
  gather(gateway.id)
  const { switchesNeutral, islandLink } = gateway.transfer!
  const joined = (one: Thing) => one.neutralLink && one.id !== gateway.id
  const links = [
    ...things.filter(one => joined(one) && behind.has(one.id)).map(one => one.name),
    ...switchesNeutral ? [] : things.filter(one => joined(one) && !behind.has(one.id)).map(one => one.name),
    ...islandLink ? [`${gateway.name}, while the grid is away`] : [], ...gateway.neutralLink ? [gateway.name] : [],
  ]
  return {
    links,
    working: {
      what: 'Neutral and earth in an island', formula: 'links behind + links before, unless the neutral is switched + the gateway’s own = 1',
      values: [{ symbol: 's', what: 'the neutral', value: { kind: 'words', text: switchesNeutral ? 'is switched' : 'is not switched' } }, { symbol: 'g', what: 'the gateway', value: { kind: 'words', text: islandLink ? 'joins them itself' : 'does not join them' } }],
      result: { kind: 'words', text: links.length ? links.join('; ') : 'none' }, source: 'NEC 250.30, 702.11; IEC 60364-5-55, 551.6', basis: 'code',
    },
  }
}
