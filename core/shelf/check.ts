import { type Catalogue, goesWith, type Item, type ItemOf, ownerShelves, type Shelf, shelfSchemas, shelves } from '../catalogue'
import type { Problem, Reading } from '../outcome'
import { worded } from './words'

/** Checks that data are an item of a shelf, by themselves. */
export function checkItem<S extends Shelf>(shelf: S, data: unknown): Reading<ItemOf<S>> {
  const parsed = shelfSchemas[shelf].safeParse(data)
  return parsed.success ? { ok: true, value: parsed.data as ItemOf<S> } : { ok: false, problems: worded(shelf, data, parsed.error) }
}

const itemsOf = (catalogue: Catalogue, shelf: Shelf): Item[] => catalogue[shelf]
export const findItem = (catalogue: Catalogue, shelf: Shelf, id: string): Item | null => itemsOf(catalogue, shelf).find(item => item.id === id) ?? null

const nameIn = (catalogue: Catalogue, shelf: Shelf, id: string): string => {
  const item = findItem(catalogue, shelf, id)
  return item && 'name' in item ? item.name : id
}
const missing = (path: string, id: string): Problem => ({ path, sentence: `There is no “${id}” on the shelf.` })
const isOn = (catalogue: Catalogue, on: Shelf[], id: string): boolean => on.some(shelf => findItem(catalogue, shelf, id) !== null)

/** What an item names that is not on the shelf, or does not go together there. */
export function danglingIn(catalogue: Catalogue, shelf: Shelf, item: Item): Problem[] {
  if (shelf === 'supplies') {
    const { forId } = item as ItemOf<'supplies'>
    return forId === null || isOn(catalogue, [...ownerShelves], forId) ? [] : [missing('forId', forId)]
  }
  if (shelf === 'pairs') {
    const { railId, withId } = item as ItemOf<'pairs'>
    return [...isOn(catalogue, ['rails'], railId) ? [] : [missing('railId', railId)], ...isOn(catalogue, ['mounts', 'clamps'], withId) ? [] : [missing('withId', withId)]]
  }
  if (shelf === 'approvals') {
    const { moduleId, systemId } = item as ItemOf<'approvals'>
    return [...isOn(catalogue, ['modules'], moduleId) ? [] : [missing('moduleId', moduleId)], ...isOn(catalogue, ['inRoofs'], systemId) ? [] : [missing('systemId', systemId)]]
  }
  if (shelf === 'trunks' || shelf === 'inverters') {
    const { unitIds } = item as ItemOf<'trunks'> | ItemOf<'inverters'>
    return unitIds.filter(id => !isOn(catalogue, ['electronics'], id)).map(id => missing('unitIds', id))
  }
  if (shelf !== 'sets') return []
  const { railId, mountId, clampsId, supplyIds } = item as ItemOf<'sets'>
  const unknown = [
    ...([['rails', 'railId', railId], ['mounts', 'mountId', mountId], ['clamps', 'clampsId', clampsId]] as const).filter(([on,, id]) => !isOn(catalogue, [on], id)).map(([, path, id]) => missing(path, id)),
    ...supplyIds.filter(id => !isOn(catalogue, ['supplies'], id)).map(id => missing('supplyIds', id)),
  ]
  if (unknown.length) return unknown
  return ([['mounts', 'mountId', mountId], ['clamps', 'clampsId', clampsId]] as const).filter(([,, id]) => !goesWith(catalogue, railId, id)).map(([on, path, id]) => ({
    path, sentence: `Nothing on the shelf says that ${nameIn(catalogue, 'rails', railId)} goes with ${nameIn(catalogue, on, id)}: say so first, with who says it.`,
  }))
}

/** What an item can't be used for yet, because nobody has given it: told, and no reason to refuse it. */
export function gapsOf(catalogue: Catalogue, shelf: Shelf, item: Item): string[] {
  if (shelf === 'modules') {
    const { plate, leadMm, junctionBox } = item as ItemOf<'modules'>
    return [...plate ? [] : ['No data plate: it can be laid out, not wired.'], ...plate && (leadMm === null || !junctionBox) ? ['Lead length or junction box not given: whether leads reach can’t be checked.'] : []]
  }
  if (shelf === 'mounts' || shelf === 'clamps') {
    const { id, resistances } = item as ItemOf<'mounts'> | ItemOf<'clamps'>
    return [
      ...resistances.length ? [] : ['Nothing says what one holds: it can’t be checked under load.'],
      ...catalogue.pairs.some(pair => pair.withId === id) ? [] : ['No rail goes with it yet.'],
    ]
  }
  if (shelf === 'rails') {
    const { id } = item as ItemOf<'rails'>
    const taken = catalogue.pairs.filter(pair => pair.railId === id).map(pair => pair.withId)
    return [
      ...catalogue.mounts.some(mount => taken.includes(mount.id)) ? [] : ['No mount goes with it yet.'],
      ...catalogue.clamps.some(clamps => taken.includes(clamps.id)) ? [] : ['No clamps go with it yet.'],
    ]
  }
  if (shelf === 'inRoofs') {
    const { id, holds } = item as ItemOf<'inRoofs'>
    return [...holds.length ? [] : ['Nothing says what a module on it holds: it can’t be checked under load.'], ...catalogue.approvals.some(one => one.systemId === id) ? [] : ['No module is approved with it yet.']]
  }
  if (shelf === 'electronics') {
    const { kind, id, shutdown } = item as ItemOf<'electronics'>
    return [
      ...kind !== 'ac-unit' || catalogue.trunks.some(one => one.unitIds.includes(id)) ? [] : ['No trunk on the shelf takes it yet.'],
      ...shutdown ? [] : ['Not listed as rapid-shutdown equipment: it does not answer for that.'],
    ]
  }
  if (shelf === 'sets') return [
    ...danglingIn(catalogue, shelf, item).map(problem => problem.sentence),
    ...(['rails', 'mounts', 'clamps'] as const).map(on => findItem(catalogue, on, (item as ItemOf<'sets'>)[({ rails: 'railId', mounts: 'mountId', clamps: 'clampsId' } as const)[on]])).filter(part => part && 'retired' in part && part.retired).map(part => `${(part as ItemOf<'rails'>).name} is retired: the set is not offered.`),
  ]
  return []
}

/** Items that name another one: what has to go, or be changed, before it can. */
export const namersOf = (catalogue: Catalogue, id: string): { shelf: Shelf, item: Item }[] => shelves.flatMap(shelf => itemsOf(catalogue, shelf).filter((item) => {
  if (shelf === 'supplies') return (item as ItemOf<'supplies'>).forId === id
  if (shelf === 'pairs') return (item as ItemOf<'pairs'>).railId === id || (item as ItemOf<'pairs'>).withId === id
  if (shelf === 'approvals') return (item as ItemOf<'approvals'>).moduleId === id || (item as ItemOf<'approvals'>).systemId === id
  if (shelf === 'trunks' || shelf === 'inverters') return (item as ItemOf<'trunks'> | ItemOf<'inverters'>).unitIds.includes(id)
  if (shelf !== 'sets') return false
  const { railId, mountId, clampsId, supplyIds } = item as ItemOf<'sets'>
  return [railId, mountId, clampsId, ...supplyIds].includes(id)
}).map(item => ({ shelf, item })))
