import { type ChosenParts, idsOf, offered, type PartField, partFields } from './chosen'
import type { Catalogue, PartSet } from './schema'
import { goesOn, goesWith, gripsFrame, type Ground } from './together'

/** Rail, mount and clamps that go together on a roof under one module, and which of them are other than before. */
export interface WholeSet { parts: ChosenParts, changed: PartField[], named: PartSet | null }

/**
 * Every rail, mount and clamps on the shelf that go together on this ground under the chosen module; the fewest changes first,
 * then those that the firm has named as a set, then as the shelf stands. Parts that are retired are left out, save those chosen already.
 * @param keep the part that has to stay as it is chosen
 */
export function wholeSets(catalogue: Catalogue, chosen: ChosenParts, ground: Ground, keep?: PartField): WholeSet[] {
  const of = <T extends { id: string, retired: boolean }>(items: T[], own: T, field: PartField): T[] => keep === field ? [own] : items.filter(item => !item.retired || item.id === own.id)
  const mounts = of(catalogue.mounts, chosen.mount, 'mountId').filter(mount => goesOn(mount, ground))
  const clampSets = of(catalogue.clamps, chosen.clamps, 'clampsId').filter(clamps => gripsFrame(clamps, chosen.module))
  const before = idsOf(chosen)
  return of(catalogue.rails, chosen.rail, 'railId').flatMap((rail) => {
    const taken = clampSets.filter(clamps => goesWith(catalogue, rail.id, clamps.id))
    return mounts.filter(mount => goesWith(catalogue, rail.id, mount.id)).flatMap(mount => taken.map((clamps): WholeSet => {
      const parts = { module: chosen.module, rail, mount, clamps }
      const after = idsOf(parts)
      return { parts, changed: partFields.filter(field => after[field] !== before[field]), named: namedSet(catalogue, parts) }
    }))
  }).sort((a, b) => a.changed.length - b.changed.length || Number(!a.named) - Number(!b.named))
}

/**
 * The set with the fewest changes that holds a part as it is chosen, as {@link wholeSets} would give it first but for names, without going through
 * them all: to a rail, mount and clamps are found one by one. Null where nothing goes with it.
 */
export function nearestSet(catalogue: Catalogue, chosen: ChosenParts, ground: Ground, keep: PartField): Pick<WholeSet, 'parts' | 'changed'> | null {
  const fits = (mount: ChosenParts['mount']) => goesOn(mount, ground)
  const grips = (clamps: ChosenParts['clamps']) => gripsFrame(clamps, chosen.module)
  const first = <T extends { id: string, retired: boolean }>(railId: string, own: T, items: T[], field: PartField, suits: (item: T) => boolean): T | undefined =>
    suits(own) && goesWith(catalogue, railId, own.id) ? own : keep === field ? undefined : items.find(item => !item.retired && suits(item) && goesWith(catalogue, railId, item.id))
  let best: { parts: ChosenParts, changed: PartField[] } | null = null
  for (const rail of keep === 'railId' ? [chosen.rail] : [chosen.rail, ...catalogue.rails.filter(item => !item.retired && item.id !== chosen.rail.id)]) {
    const mount = first(rail.id, chosen.mount, catalogue.mounts, 'mountId', fits)
    const clamps = mount && first(rail.id, chosen.clamps, catalogue.clamps, 'clampsId', grips)
    if (!clamps) continue
    const parts = { module: chosen.module, rail, mount, clamps }
    const [before, after] = [idsOf(chosen), idsOf(parts)]
    const changed = partFields.filter(field => after[field] !== before[field])
    if (!best || changed.length < best.changed.length) best = { parts, changed }
    if (!changed.length) break
  }
  return best
}

const namedSet = ({ sets }: Catalogue, { rail, mount, clamps }: ChosenParts): PartSet | null =>
  offered(sets).find(set => set.railId === rail.id && set.mountId === mount.id && set.clampsId === clamps.id) ?? null

/** The firm's own sets that suit a roof and a module. Those that name a part which is retired or not on the shelf are left out. */
export const setsFor = (catalogue: Catalogue, chosen: ChosenParts, ground: Ground): WholeSet[] => {
  const whole = wholeSets(catalogue, chosen, ground)
  const stays = ({ rail, mount, clamps }: ChosenParts) => !rail.retired && !mount.retired && !clamps.retired
  return offered(catalogue.sets).flatMap(set => whole.filter(one => one.named?.id === set.id && stays(one.parts)))
}
