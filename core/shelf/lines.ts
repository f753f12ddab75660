import { set } from 'es-toolkit/compat'
import { type Catalogue, type Item, type ItemOf, pairId, type Shelf, type Source } from '../catalogue'
import { readCell } from './cell'
import { applyChanges, type Change, nameOf, sameItem, successionOf, type Used, usesOf, withItem } from './changes'
import { checkItem, danglingIn, findItem, gapsOf } from './check'
import { type Figure, shelfWords } from './figures'

/** A part as it was read from a file, not judged yet. */
export interface RawLine {
  /** The sheet, or the list of a job file's shelf, and the line in it. */
  table: string
  line: number
  shelf: Shelf
  item: Record<string, unknown>
  /** The part on the shelf that it is about. */
  was: Item | null
  problems: string[]
  /** Other parts that it names, looked up when all lines are read. */
  late: { figure: Figure, path: string, label: string, text: string }[]
  /** Names of the parts that a rail, a mount or clamps go with. */
  goesWith: string[]
  source: Source | null
}

/** How a line stands to the shelf: `in-place` comes in the place of a part that jobs use, which is retired. */
export type Standing = 'new' | 'same' | 'changed' | 'in-place' | 'refused'

/** A line of a file as it would be taken. */
export interface ShelfLine {
  table: string
  line: number
  shelf: Shelf
  name: string
  standing: Standing
  /** Each thing that keeps it from being taken. */
  problems: string[]
  /** What it can't be used for yet. */
  gaps: string[]
  changes: Change[]
}

/**
 * Judges lines together: they may name each other. Those that can be taken carry the changes that take them, each on top of those before it, to be
 * made in the order of the lines.
 */
export function judgedLines(raw: RawLine[], catalogue: Catalogue, used: Used): ShelfLine[] {
  // As if all that is readable by itself were on the shelf: names and references are looked up in it.
  let whole = catalogue
  for (const { shelf, item } of raw) if (typeof item.id === 'string' && shelf !== 'pairs') whole = withItem(whole, shelf, item as unknown as Item)
  for (const line of raw) resolve(line, whole)
  const pairs = raw.flatMap(line => pairsOf(line, whole))
  const drafts = raw.map(line => ({ ...line, read: checkItem(line.shelf, line.item) }))
  let after = catalogue
  for (const { shelf, read } of drafts) if (read.ok) after = withItem(after, shelf, read.value)
  for (const pair of pairs) if (pair.ok) after = withItem(after, 'pairs', pair.item)
  const seen = new Map<string, number>()
  let running = catalogue
  return drafts.map(({ read, ...line }): ShelfLine => {
    const key = `${line.shelf}/${String(line.item.id)}`
    const first = seen.get(key)
    seen.set(key, first ?? line.line)
    const own = pairs.filter(pair => pair.of === raw.find(one => one.item === line.item))
    const problems = [
      ...line.problems,
      ...read.ok ? danglingIn(after, line.shelf, read.value).map(one => one.sentence) : read.problems.filter(one => !line.problems.length || !one.sentence.endsWith('is missing.') || !isRead(line, one.path)).map(one => one.sentence),
      ...own.flatMap(pair => pair.ok ? [] : [pair.problem]),
      ...first === undefined ? [] : [`It is there twice: line ${first} has the same part.`],
    ]
    const base = { table: line.table, line: line.line, shelf: line.shelf, name: titleOf(line, after) }
    if (!read.ok || problems.length) return { ...base, standing: 'refused', problems: [...new Set(problems)], gaps: [], changes: [] }
    const fresh = own.flatMap(pair => pair.ok && !findItem(running, 'pairs', pair.item.id) ? [{ shelf: 'pairs' as const, item: pair.item, was: null }] : [])
    const standing = standingOf(line.shelf, read.value, catalogue, running, used, fresh)
    for (const change of standing.changes) running = withItem(running, change.shelf, change.item as Item)
    return { ...base, ...standing, problems: [], gaps: gapsOf(after, line.shelf, read.value) }
  })
}

/** Whether the cell of a figure could not be read: it is not missing as well. */
const isRead = (line: RawLine, path: string): boolean => line.problems.some(problem => problem.startsWith(labelAt(line.shelf, path)))
const labelAt = (shelf: Shelf, path: string): string => shelfWords[shelf].groups.flatMap(group => group.figures).find(figure => figure.path === path)?.label ?? '\u0000'

/**
 * @param catalogue the shelf as the file found it: what says the same as it changes nothing
 * @param running the shelf after the lines before
 */
function standingOf(shelf: Shelf, item: Item, catalogue: Catalogue, running: Catalogue, used: Used, pairs: Change[]): Pick<ShelfLine, 'standing' | 'changes'> {
  const now = findItem(running, shelf, item.id)
  if (!now) return { standing: 'new', changes: [{ shelf, item, was: null }, ...pairs] }
  if (sameItem(findItem(catalogue, shelf, item.id), item)) return { standing: pairs.length ? 'changed' : 'same', changes: pairs }
  const change = { shelf, item, was: now }
  if (!usesOf(used, shelf, item.id) || shelf === 'pairs' || applyChanges(running, [change], used).ok) return { standing: 'changed', changes: [change, ...pairs] }
  const succession = successionOf(running, shelf, item as ItemOf<Exclude<Shelf, 'pairs'>>)
  const id = (succession[1]!.item as Item).id
  const moved = pairs.map((one): Change => {
    const pair = one.item as ItemOf<'pairs'>
    const [railId, withId] = pair.railId === item.id ? [id, pair.withId] : [pair.railId, id]
    return { ...one, item: { ...pair, id: pairId(railId, withId), railId, withId } }
  })
  return { standing: 'in-place', changes: [...succession, ...moved.filter(one => !succession.some(other => (other.item as Item).id === (one.item as Item).id))] }
}

function resolve(line: RawLine, whole: Catalogue): void {
  for (const { figure, path, label, text } of line.late) {
    const found = readCell(figure, text, null, whole)
    if (found.ok) set(line.item, path, found.value)
    else line.problems.push(`${label}: ${found.problem}`)
  }
  if (line.shelf === 'pairs' && typeof line.item.railId === 'string' && typeof line.item.withId === 'string') line.item.id = pairId(line.item.railId, line.item.withId)
}

type NamedPair = { of: RawLine } & ({ ok: true, item: ItemOf<'pairs'> } | { ok: false, problem: string })

/** The pairings that a rail, a mount or clamps name in their own line. */
function pairsOf(line: RawLine, whole: Catalogue): NamedPair[] {
  if (line.shelf !== 'rails' && line.shelf !== 'mounts' && line.shelf !== 'clamps') return line.goesWith.length ? [{ of: line, ok: false, problem: `A ${shelfWords[line.shelf].one} has nothing to go with: rails, mounts and clamps have.` }] : []
  const others: Shelf[] = line.shelf === 'rails' ? ['mounts', 'clamps'] : ['rails']
  return line.goesWith.map((text): NamedPair => {
    const found = others.map(on => readCell({ path: '', label: '', is: 'part', on }, text, null, whole)).find(one => one.ok)
    if (!found?.ok) return { of: line, ok: false, problem: `Goes with: there is no ${line.shelf === 'rails' ? 'mount and no clamps' : 'rail'} “${text}” on the shelf or in this file.` }
    const [railId, withId] = line.shelf === 'rails' ? [String(line.item.id), found.value as string] : [found.value as string, String(line.item.id)]
    const read = checkItem('pairs', { id: pairId(railId, withId), railId, withId, source: line.source })
    return read.ok ? { of: line, ok: true, item: read.value } : { of: line, ok: false, problem: read.problems[0]!.sentence }
  })
}

function titleOf({ shelf, item }: RawLine, whole: Catalogue): string {
  if (shelf !== 'pairs') return String(item.name ?? item.id ?? '(no name)')
  const name = (id: unknown) => (['rails', 'mounts', 'clamps'] as const).map(on => findItem(whole, on, String(id))).find(one => one !== null)
  const [rail, other] = [name(item.railId), name(item.withId)]
  return `${rail ? nameOf(rail) : '?'} with ${other ? nameOf(other) : '?'}`
}
