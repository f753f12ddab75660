import { cloneDeep, deburr, get, kebabCase, set } from 'es-toolkit/compat'
import { type Catalogue, type Shelf, shelves, type Source, sourceKinds, sourceNames, type SourceKind } from '../../catalogue'
import { type Outcome, done, refused } from '../../outcome'
import { readCell, sameWord } from '../cell'
import { freeId, sameItem } from '../changes'
import { emptyOf, shelfWords } from '../figures'
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
/** Headings are looked for in so many rows. */
const ROWS_ABOVE = 12

/**
 * Reads tables of parts, one row a part. Nothing is taken: what was read is handed on to be judged, with what could not be read, and
 * with what was left out.
 */
export function readTables(tables: Table[], catalogue: Catalogue, given: Given): { lines: RawLine[], notes: string[] } {
  const lines: RawLine[] = []
  const notes: string[] = []
  const makers = new Map<string, string>()
  for (const table of tables) {
    const top = headingsRow(table, catalogue, given)
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
      lines.push(readRow(shelf, { table: table.name, line, cells }, columns.get(shelf)!, catalogue, given, makers))
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

/** Titles and notes may stand above the headings: of the first rows, the one with the most headings that are known. */
function headingsRow({ name, rows }: Table, catalogue: Catalogue, given: Given): number {
  const of = [shelfNamed(name) ?? given.shelf ?? shelves].flat()
  const known = (row: string[]) => row.filter(cell => cell.trim() && of.some(shelf => readHeading(shelf, cell, catalogue.currency).is !== 'unknown')).length
  const tries = rows.slice(0, ROWS_ABOVE).map((row, at) => ({ at, known: known(row), filled: row.filter(cell => cell.trim()).length })).filter(({ filled }) => filled > 1)
  return tries.reduce((best, one) => one.known > best.known ? one : best, tries[0] ?? { at: -1, known: 0 }).at
}

interface Row { cells: string[], columns: Column[] }
const cellOf = ({ cells, columns }: Row, what: RecordColumn): string => cells[columns.findIndex(column => column.is === 'record' && column.what === what)]?.trim() ?? ''

function readRow(shelf: Shelf, { table, line, cells }: { table: string, line: number, cells: string[] }, columns: Column[], catalogue: Catalogue, given: Given, makers: Map<string, string>): RawLine {
  const row: Row = { cells, columns }
  const filled = columns.map((column, c) => ({ column, text: cells[c]?.trim() ?? '' })).filter(({ text }) => text !== '')
  const own = filled.filter((one): one is { column: FigureColumn, text: string } => one.column.is === 'figure')
  const said = (path: string) => own.find(({ column }) => column.path === path)?.text ?? ''

  const was = shelf === 'pairs' ? null : sameNamed(catalogue, shelf, cellOf(row, 'id'), said('maker'), said('name'))
  const item: Record<string, unknown> = was ? cloneDeep(was) as Record<string, unknown> : {}
  const { problems, late } = readFigures(item, own, catalogue)
  if (!was) emptied(shelf, item, own)
  const source = sourceFrom(cellOf(row, 'sourceBy'), cellOf(row, 'sourceNote'), cellOf(row, 'sourceOn'), given.source)
  if (source.ok) putSource(shelf, item, was, row, own, source.value, given)
  else problems.push(source.problem)
  for (const { column, text } of filled) {
    if (column.is !== 'source') continue
    const [by = '', note = '', on = ''] = text.split(';').map(one => one.trim())
    const one = sourceFrom(by, note, on, null)
    if (one.ok) set(item, ['figureSources', column.path], one.value)
    else problems.push(`${column.label}: ${one.problem}`)
  }
  if (shelf !== 'pairs') {
    problems.push(...readStanding(item, row, catalogue))
    item.id ??= cellOf(row, 'id') || newId(shelf, String(item.name ?? ''), String(item.maker ?? ''), catalogue, makers)
  }
  return { table, line, shelf, item, was, problems, late, goesWith: cellOf(row, 'goesWith').split(';').map(one => one.trim()).filter(Boolean), source: source.ok ? source.value : null }
}

/** Puts the figures that can be read into an item. Parts are looked up once all lines are read: a file may bring them itself. */
function readFigures(item: Record<string, unknown>, own: { column: FigureColumn, text: string }[], catalogue: Catalogue): Pick<RawLine, 'problems' | 'late'> {
  const problems: string[] = []
  const late: RawLine['late'] = []
  for (const { column: { figure, path, label, unit }, text } of own) {
    if (figure.is === 'part' || figure.is === 'parts') {
      late.push({ figure, path, label, text })
      continue
    }
    const value = readCell(figure, text, unit, catalogue)
    if (value.ok) set(item, path, value.value)
    else problems.push(`${label}: ${value.problem}`)
  }
  return { problems, late }
}

/** Who answers for an item: of one that is there, what the file says otherwise has its source, and what it leaves alone keeps its own. */
function putSource(shelf: Shelf, item: Record<string, unknown>, was: RawLine['was'], row: Row, own: { column: FigureColumn }[], source: Source | null, given: Given): void {
  if (shelf === 'pairs') item.source = source
  else if (!was) Object.assign(item, { source, figureSources: {}, retired: false, replaces: null })
  else if (cellOf(row, 'sourceBy') && !sameItem(source, was.source)) item.source = source
  else if (given.source) {
    const changed = own.filter(({ column }) => !sameItem(get(was, column.path), get(item, column.path)))
    item.figureSources = { ...(item.figureSources as object), ...Object.fromEntries(changed.map(({ column }) => [column.path, given.source])) }
  }
}

/** Whether an item is retired, and what it replaces. */
function readStanding(item: Record<string, unknown>, row: Row, catalogue: Catalogue): string[] {
  if (cellOf(row, 'replaces')) item.replaces = cellOf(row, 'replaces')
  const text = cellOf(row, 'retired')
  if (!text) return []
  const retired = readCell({ path: 'retired', label: 'Retired', is: 'flag', yes: 'Retired', no: 'Offered' }, text, null, catalogue)
  if (!retired.ok) return [`Retired: ${retired.problem}`]
  item.retired = retired.value
  return []
}

/** An id made of a name; two makers may call their parts the same. */
function newId(shelf: Shelf, name: string, maker: string, catalogue: Catalogue, makers: Map<string, string>): string {
  const plain = freeId(catalogue, shelf, kebabCase(deburr(name)) || shelfWords[shelf].one)
  const key = `${shelf}/${plain}`
  const first = makers.get(key)
  if (first === undefined) makers.set(key, maker)
  return first === undefined || sameWord(first, maker) ? plain : freeId(catalogue, shelf, `${plain}-${kebabCase(deburr(maker))}`)
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
    if (rows) {
      item[rows.path] = Array.isArray(item[rows.path]) ? (item[rows.path] as unknown[]).filter(row => row !== undefined) : []
      for (const row of item[rows.path] as object[]) for (const figure of figures) if (get(row, figure.path) === undefined && figure.optional) set(row, figure.path, emptyOf(figure))
    }
    else if (maybe && !own.some(({ column }) => column.path.startsWith(`${maybe.path}.`))) set(item, maybe.path, null)
    if (rows || (maybe && get(item, maybe.path) === null)) continue
    for (const figure of figures) if (get(item, figure.path) === undefined && figure.optional) set(item, figure.path, emptyOf(figure))
  }
  if (shelf === 'sets') item.supplyIds ??= []
  if (shelf === 'mounts') item.tools ??= []
}

function sourceFrom(by: string, note: string, on: string, given: Source | null): Outcome<Source | null> {
  if (!by) return done(given && { ...given, ...(note && { note }), ...(on && { on }) })
  const kind = sourceKinds.find(one => sameWord(one, by) || sameWord(sourceNames[one], by)) as SourceKind | undefined
  if (!kind) return refused(`“${by}” is no source: write ${Object.values(sourceNames).join(', ').toLowerCase()}.`)
  return done({ by: kind, note: note || given?.note || '', on: on || given?.on || '' })
}
