import { isEqualWith } from 'es-toolkit'
import { cloneDeep, set, unset } from 'es-toolkit/compat'
import { type Catalogue, type Item, type ItemOf, type Pair, pairId, type Shelf, type Source } from '../catalogue'
import type { Problem, Reading } from '../outcome'
import { checkItem, danglingIn, findItem, namersOf } from './check'
import { figuresOf } from './figures'

/** Jobs that a part stands in, by shelf and id; those of which a job's history only knows count too. */
export type Used = Partial<Record<Shelf, Record<string, number>>>
export const usesOf = (used: Used, shelf: Shelf, id: string): number => used[shelf]?.[id] ?? 0

/** One item as it shall be, and as whoever changes it last saw it; null for one that was not there. */
export interface Change { shelf: Shelf, item: unknown, was: Item | null }

/** Figures that are equal but for the last digits of a conversion count as equal. */
export const sameItem = (a: unknown, b: unknown): boolean => isEqualWith(a, b, (one, other) => typeof one === 'number' && typeof other === 'number' ? Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one)) : undefined)

/** An item without what may change while jobs use it: what it costs, and whether it is offered. */
function withoutPrices(shelf: Shelf, item: Item): Item {
  const rest = cloneDeep(item)
  if ('retired' in rest) set(rest, 'retired', false)
  for (const { figure, path, group } of figuresOf(shelf, group => (item as unknown as Record<string, unknown[]>)[group.rows!.path]?.length ?? 0)) {
    if (figure.is !== 'price') continue
    unset(rest, path)
    if ('figureSources' in rest) unset(rest.figureSources, [group.rows ? path : figure.path])
  }
  return rest
}

/**
 * The catalogue after changes, all or none. Problems have the path of the change and of the figure in it. A part that jobs use keeps its figures:
 * only its prices and whether it is offered may change.
 */
export function applyChanges(catalogue: Catalogue, changes: Change[], used: Used): Reading<{ catalogue: Catalogue, items: { shelf: Shelf, item: Item }[] }> {
  const problems: Problem[] = []
  const items: { shelf: Shelf, item: Item, at: number }[] = []
  let next = catalogue
  changes.forEach(({ shelf, item: data, was }, at) => {
    const refuse = (found: Problem[]) => problems.push(...found.map(({ path, sentence }) => ({ path: `${at}.${path}`, sentence })))
    const read = checkItem(shelf, data)
    if (!read.ok) return refuse(read.problems)
    const item = read.value
    const now = findItem(next, shelf, item.id)
    if (!sameItem(now, was)) {
      return refuse([{ path: 'id', sentence: now === null ? 'Somebody else has taken this part from the shelf. Load the page again.' : was === null ? `There is a part with the id “${item.id}” already.` : 'Somebody else has changed this part meanwhile. Load the page again and look at both.' }])
    }
    const uses = usesOf(used, shelf, item.id)
    if (now && uses && !sameItem(withoutPrices(shelf, now), withoutPrices(shelf, item))) {
      return refuse([{ path: 'id', sentence: `${nameOf(now)} stands in ${uses} ${uses === 1 ? 'job' : 'jobs'} and keeps its figures. Save it as a new part in its place; the jobs keep the old one.` }])
    }
    items.push({ shelf, item, at })
    next = withItem(next, shelf, item)
  })
  for (const { shelf, item, at } of items) problems.push(...danglingIn(next, shelf, item).map(({ path, sentence }) => ({ path: `${at}.${path}`, sentence })))
  return problems.length ? { ok: false, problems } : { ok: true, value: { catalogue: next, items: items.map(({ shelf, item }) => ({ shelf, item })) } }
}

export const nameOf = (item: Item): string => 'name' in item ? item.name : item.id

/** The catalogue with an item put in the place of the one with its id, beside the one it replaces, or at the end of its shelf. */
export function withItem(catalogue: Catalogue, shelf: Shelf, item: Item): Catalogue {
  const items: Item[] = catalogue[shelf]
  if (items.some(one => one.id === item.id)) return { ...catalogue, [shelf]: items.map(one => one.id === item.id ? item : one) }
  const before = 'replaces' in item ? items.findIndex(one => one.id === item.replaces) : -1
  return { ...catalogue, [shelf]: items.toSpliced(before < 0 ? items.length : before + 1, 0, item) }
}

/** Why an item can't be taken from the shelf for good, or null. */
export function keptBy(catalogue: Catalogue, shelf: Shelf, id: string, used: Used): string | null {
  const uses = usesOf(used, shelf, id)
  if (uses) return `It stands in ${uses} ${uses === 1 ? 'job' : 'jobs'}, or in what was undone there: retire it instead.`
  // Pairings and small parts of its own go with it.
  const namers = namersOf(catalogue, id).filter(one => one.shelf === 'sets')
  return namers.length ? `${namers.map(({ item }) => nameOf(item)).join(', ')} ${namers.length === 1 ? 'names' : 'name'} it: change that first.` : null
}

/** An id that no item of a shelf has, made of a name. */
export function freeId(catalogue: Catalogue, shelf: Shelf, wanted: string): string {
  const base = wanted.slice(0, 56).replace(/-+$/, '')
  if (!findItem(catalogue, shelf, base)) return base
  for (let n = 2; ; n++) if (!findItem(catalogue, shelf, `${base}-${n}`)) return `${base}-${n}`
}

/**
 * What goes with a part and the small parts that are made for it, the same for another id: a copy is as usable as what it was copied from.
 * @param source who answers for them now; null where it is the same part with better figures
 */
export function companionsFor(catalogue: Catalogue, shelf: Shelf, fromId: string, toId: string, source: Source | null): Change[] {
  const own = source && { source }
  if (shelf === 'supplies' || shelf === 'coverings' || shelf === 'sets' || shelf === 'pairs' || shelf === 'approvals') return []
  const taken = new Set<string>()
  return namersOf(catalogue, fromId).flatMap(({ shelf: on, item }): Change[] => {
    if (on === 'pairs') {
      const pair = item as Pair
      const [railId, withId] = pair.railId === fromId ? [toId, pair.withId] : [pair.railId, toId]
      return [{ shelf: on, was: null, item: { ...pair, ...own, id: pairId(railId, withId), railId, withId } }]
    }
    if (on !== 'supplies') return []
    const supply = item as ItemOf<'supplies'>
    let id = freeId(catalogue, on, supply.id)
    while (taken.has(id)) id += '-x'
    taken.add(id)
    return [{ shelf: on, was: null, item: { ...supply, ...own, id, forId: toId, replaces: null } }]
  })
}

/**
 * What puts a part with new figures in the place of one that jobs use: the old one is retired, sets take the new one, and what goes with it
 * goes with the new one as well.
 * @param item the new figures, still under the old id
 */
export function successionOf(catalogue: Catalogue, shelf: Exclude<Shelf, 'pairs'>, item: ItemOf<Exclude<Shelf, 'pairs'>>): Change[] {
  const old = findItem(catalogue, shelf, item.id) as ItemOf<Exclude<Shelf, 'pairs'>>
  const id = freeId(catalogue, shelf, item.id.replace(/-\d+$/, tail => /^-\d$/.test(tail) ? '' : tail))
  const sets = namersOf(catalogue, item.id).filter(one => one.shelf === 'sets').map((one): Change => {
    const own = one.item as ItemOf<'sets'>
    const to = (part: string) => part === item.id ? id : part
    return { shelf: 'sets', was: own, item: { ...own, railId: to(own.railId), mountId: to(own.mountId), clampsId: to(own.clampsId), supplyIds: own.supplyIds.map(to) } }
  })
  return [
    { shelf, was: old, item: { ...old, retired: true } },
    { shelf, was: null, item: { ...item, id, retired: false, replaces: old.id } },
    ...companionsFor(catalogue, shelf, item.id, id, null),
    ...sets,
  ]
}
