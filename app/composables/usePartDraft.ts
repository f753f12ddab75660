import { cloneDeep, kebabCase, deburr, set } from 'es-toolkit/compat'
import { type Catalogue, type Item, type ItemOf, pairId, type Shelf, type Source } from '#core/catalogue'
import type { Problem } from '#core/outcome'
import { applyChanges, type Change, checkItem, companionsFor, freeId, type Group, sameItem, shelfWords, successionOf, type Used, usesOf } from '#core/shelf'

/** A part being typed: a new one, one like another, or one of the shelf with other figures. */
export interface PartDraft { shelf: Shelf, item: Record<string, unknown>, was: Item | null, like: Item | null }

/** A part nobody has typed anything of: lists are empty, and what may be missing is. */
export function blankPart(shelf: Shelf): PartDraft {
  const item: Record<string, unknown> = shelf === 'pairs' ? {} : { figureSources: {}, retired: false, replaces: null }
  for (const { rows, maybe, figures } of shelfWords[shelf].groups) {
    if (rows) item[rows.path] = [{}]
    else if (maybe) set(item, maybe.path, null)
    else for (const figure of figures) if (figure.optional) set(item, figure.path, null)
  }
  if (shelf === 'modules') item.plate = {}
  if (shelf === 'mounts') Object.assign(item, { coverings: [], into: [], tools: [], closures: [], fasteners: optionalOf(shelfWords.mounts.groups.find(group => group.maybe?.path === 'fasteners')!) })
  if (shelf === 'sets') item.supplyIds = []
  item.source = { by: undefined, note: '', on: today() }
  return { shelf, item, was: null, like: null }
}

/** A part of a part, with what may be left empty empty. */
export function optionalOf({ figures, maybe }: Group): Record<string, unknown> {
  const made: Record<string, unknown> = {}
  for (const figure of figures) if (figure.optional) set(made, figure.path.slice(maybe!.path.length + 1), null)
  return made
}

/** One like another, under a name of its own; who answers for its figures is asked again. */
export const partLike = (shelf: Shelf, like: Item): PartDraft => ({
  shelf, was: null, like,
  item: { ...cloneDeep(like) as Record<string, unknown>, id: undefined, ...('name' in like && { name: `${like.name}, copy`, retired: false, replaces: null, figureSources: {} }), source: { by: undefined, note: '', on: today() } },
})

/** What saving a draft would do, or what is wrong with it. */
export interface Saving { changes: Change[], problems: Problem[], id: string, inPlace: boolean }

/** The changes that save a draft. A part that jobs use gets a successor; a copy brings along what goes with it. */
export function savingOf(draft: PartDraft, catalogue: Catalogue, used: Used): Saving {
  const { shelf, was, like } = draft
  const id = was
    ? was.id
    : shelf === 'pairs'
      ? pairId(String(draft.item.railId), String(draft.item.withId))
      : freeId(catalogue, shelf, kebabCase(deburr(String(draft.item.name ?? ''))) || shelfWords[shelf].one)
  const item = { ...draft.item, id }
  const read = checkItem(shelf, item)
  if (!read.ok) return { changes: [], problems: read.problems.filter(one => one.path !== 'id'), id, inPlace: false }
  const change: Change = { shelf, item: read.value, was }
  const judged = (changes: Change[], inPlace: boolean, at: string): Saving => {
    const applied = applyChanges(catalogue, changes, used)
    return { changes, problems: applied.ok ? [] : applied.problems.map(one => ({ ...one, path: one.path.replace(/^\d+\./, '') })), id: at, inPlace }
  }
  if (was && shelf !== 'pairs' && usesOf(used, shelf, id) && !sameItem(was, read.value) && !applyChanges(catalogue, [change], used).ok) {
    const changes = successionOf(catalogue, shelf, read.value as ItemOf<Exclude<Shelf, 'pairs'>>)
    return judged(changes, true, (changes[1]!.item as Item).id)
  }
  const copied: Source = { by: 'from-memory', note: `Copied from ${like && 'name' in like ? like.name : ''}; not checked yet`, on: today() }
  return judged([change, ...(like ? companionsFor(catalogue, shelf, like.id, id, copied) : [])], false, id)
}

/** A draft with one figure changed. */
export function withFigure(draft: PartDraft, path: string, value: unknown): PartDraft {
  const item = cloneDeep(draft.item)
  set(item, path, value)
  return { ...draft, item }
}
