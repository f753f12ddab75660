import { cloneDeep, deburr, get, kebabCase, set } from 'es-toolkit/compat'
import { type Catalogue, pairId, type Shelf, type Source, sourceKinds, sourceNames, type SourceKind } from '../../catalogue'
import { type Outcome, done, refused } from '../../outcome'
import { readCell, sameWord } from '../cell'
import { freeId, sameItem } from '../changes'
import { shelfWords } from '../figures'
import type { RawLine } from '../lines'
import { type Column, readHeading, type RecordColumn, recordHeadings, shelfNamed } from './headings'

/** A sheet of a workbook, or a CSV: its name, and its rows as they are written, the headings first. */
export interface Table { name: string, rows: string[][] }

/** What a file does not say by itself. */
export interface Given {
  /** The shelf of tables whose name is none. */
  shelf: Shelf | null
  /** Who answers for figures that have no source of their own. */
  source: Source | null
}

type FigureColumn = Column & { is: 'figure' }
const MOST_LINES = 2000

/**
 * Reads tables of parts, one row a part. Nothing is taken: what was read is handed on to be judged, with what could not be read, and
 * with what was left out.
 */
export function readTables(tables: Table[], catalogue: Catalogue, given: Given): { lines: RawLine[], notes: string[] } {
  const lines: RawLine[] = []
  const notes: string[] = []
  for (const table of tables) {
    const top = table.rows.findIndex(row => row.filter(cell => cell.trim()).length > 1)
    if (top < 0) {
      if (table.rows.some(row => row.some(cell => cell.trim()))) notes.push(`“${table.name}” has no row of headings: nothing was read of it.`)
      continue
    }
    const heads = table.rows[top]!
    const shelfAt = heads.findIndex(head => sameWord(head, recordHeadings.shelf))
    const byName = shelfNamed(table.name)
    const rows = table.rows.slice(top + 1).map((cells, i) => ({ cells, line: top + i + 2 })).filter(({ cells }) => cells.some(cell => cell.trim()))
    if (rows.length > MOST_LINES) notes.push(`“${table.name}” has ${rows.length} parts: only the first ${MOST_LINES} were read.`)
    const unplaced: number[] = []
    const columns = new Map<Shelf, Column[]>()
    for (const { cells, line } of rows.slice(0, MOST_LINES)) {
      const shelf = (shelfAt >= 0 ? shelfNamed(cells[shelfAt] ?? '') : null) ?? byName ?? given.shelf
      if (!shelf) {
        unplaced.push(line)
        continue
      }
      if (!columns.has(shelf)) columns.set(shelf, heads.map(head => head.trim() ? readHeading(shelf, head, catalogue.currency) : { is: 'unknown', heading: '', why: '' }))
      lines.push(readRow(shelf, { table: table.name, line, cells }, columns.get(shelf)!, catalogue, given))
    }
    if (unplaced.length) notes.push(`“${table.name}”: nothing says on which shelf line ${unplaced.slice(0, 5).join(', ')}${unplaced.length > 5 ? ' …' : ''} belongs. Name the sheet after the shelf, give a column “${recordHeadings.shelf}”, or choose it here.`)
    const all = [...columns.values()]
    // A heading that some shelf of the table knows is in its place.
    for (const [c, head] of heads.entries()) {
      const found = all.map(list => list[c]!)
      if (head.trim() && found.length && found.every(column => column.is === 'unknown')) notes.push(`“${table.name}”, column “${head.trim()}” was left out: ${(found[0] as Column & { is: 'unknown' }).why}.`)
    }
  }
  return { lines, notes }
}

function readRow(shelf: Shelf, { table, line, cells }: { table: string, line: number, cells: string[] }, columns: Column[], catalogue: Catalogue, given: Given): RawLine {
  const problems: string[] = []
  const cellOf = (what: RecordColumn): string => cells[columns.findIndex(column => column.is === 'record' && column.what === what)]?.trim() ?? ''
  const filled = columns.map((column, c) => ({ column, text: cells[c]?.trim() ?? '' })).filter(({ text }) => text !== '')
  const own = filled.filter((one): one is { column: FigureColumn, text: string } => one.column.is === 'figure')
  const said = (path: string) => own.find(({ column }) => column.path === path)?.text ?? ''

  const was = shelf === 'pairs' ? null : sameNamed(catalogue, shelf, cellOf('id'), said('maker'), said('name'))
  const item: Record<string, unknown> = was ? cloneDeep(was) as Record<string, unknown> : {}
  const before = cloneDeep(item)
  const late: RawLine['late'] = []
  for (const { column, text } of own) {
    // Parts are looked up once all lines are read: a file may bring them itself.
    if (column.figure.is === 'part' || column.figure.is === 'parts') {
      late.push({ figure: column.figure, path: column.path, label: column.label, text })
      continue
    }
    const value = readCell(column.figure, text, column.unit, catalogue)
    if (value.ok) set(item, column.path, value.value)
    else problems.push(`${column.label}: ${value.problem}`)
  }
  if (!was) emptied(shelf, item, own)
  const source = sourceFrom(cellOf('sourceBy'), cellOf('sourceNote'), cellOf('sourceOn'), given.source)
  if (!source.ok) problems.push(source.problem)
  else if (shelf === 'pairs') item.source = source.value
  else if (!was) Object.assign(item, { source: source.value, figureSources: {}, retired: false, replaces: null })
  else if (cellOf('sourceBy') && !sameItem(source.value, was.source)) item.source = source.value
  else if (given.source) {
    // What the file says otherwise than the shelf has its source; what it leaves alone keeps its own.
    const changed = own.filter(({ column }) => !sameItem(get(before, column.path), get(item, column.path)))
    item.figureSources = { ...(item.figureSources as object), ...Object.fromEntries(changed.map(({ column }) => [column.path, given.source])) }
  }
  for (const { column, text } of filled) {
    if (column.is !== 'source') continue
    const [by = '', note = '', on = ''] = text.split(';').map(one => one.trim())
    const one = sourceFrom(by, note, on, null)
    if (one.ok) set(item, ['figureSources', column.path], one.value)
    else problems.push(`${column.label}: ${one.problem}`)
  }
  if (shelf !== 'pairs') {
    if (cellOf('retired')) {
      const retired = readCell({ path: 'retired', label: 'Retired', is: 'flag', yes: 'Retired', no: 'Offered' }, cellOf('retired'), null, catalogue)
      if (retired.ok) item.retired = retired.value
      else problems.push(`Retired: ${retired.problem}`)
    }
    if (cellOf('replaces')) item.replaces = cellOf('replaces')
    item.id ??= cellOf('id') || freeId(catalogue, shelf, kebabCase(deburr(String(item.name ?? ''))) || shelfWords[shelf].one)
  }
  return { table, line, shelf, item, was, problems, late, goesWith: cellOf('goesWith').split(';').map(one => one.trim()).filter(Boolean), source: source.ok ? source.value : null }
}

/** The part on the shelf that a row is about: by its id, else by its maker and name. */
function sameNamed(catalogue: Catalogue, shelf: Exclude<Shelf, 'pairs'>, id: string, maker: string, name: string): Catalogue[typeof shelf][number] | null {
  const items: Catalogue[typeof shelf][number][] = catalogue[shelf]
  if (id) return items.find(item => item.id === id) ?? null
  return items.find(item => !item.retired && sameWord(item.name, name) && (!maker || sameWord(item.maker, maker))) ?? null
}

/** Lists without the rows that nobody filled, and parts of the item that nobody gave at all. */
function emptied(shelf: Shelf, item: Record<string, unknown>, own: { column: FigureColumn }[]): void {
  for (const { rows, maybe, figures } of shelfWords[shelf].groups) {
    if (rows) item[rows.path] = Array.isArray(item[rows.path]) ? (item[rows.path] as unknown[]).filter(row => row !== undefined) : []
    else if (maybe && !own.some(({ column }) => column.path.startsWith(`${maybe.path}.`))) set(item, maybe.path, null)
    if (rows || (maybe && get(item, maybe.path) === null)) continue
    for (const figure of figures) if (get(item, figure.path) === undefined && figure.optional) set(item, figure.path, null)
  }
  if (shelf === 'sets') item.supplyIds ??= []
  if (shelf === 'mounts') for (const path of ['tools'] as const) item[path] ??= []
}

function sourceFrom(by: string, note: string, on: string, given: Source | null): Outcome<Source | null> {
  if (!by) return done(given && { ...given, ...(note && { note }), ...(on && { on }) })
  const kind = sourceKinds.find(one => sameWord(one, by) || sameWord(sourceNames[one], by)) as SourceKind | undefined
  if (!kind) return refused(`“${by}” is no source: write ${Object.values(sourceNames).join(', ').toLowerCase()}.`)
  return done({ by: kind, note: note || given?.note || '', on: on || given?.on || '' })
}

/** The item of a pairing, of its two ids. */
export const pairItem = (railId: string, withId: string, source: Source | null): Record<string, unknown> => ({ id: pairId(railId, withId), railId, withId, source })
