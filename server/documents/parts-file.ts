import type { Cell, Workbook } from 'exceljs'
import Papa from 'papaparse'
import type { Catalogue } from '#core/catalogue'
import type { Reading } from '#core/outcome'
import { type Given, type RawLine, readShelfFile, readTables, type Table, writeTables } from '#core/shelf'
import { ExcelJS } from './excel'

type Lines = Reading<{ lines: RawLine[], notes: string[] }>
const refuse = (sentence: string): Lines => ({ ok: false, problems: [{ path: '(body)', sentence }] })

/** Reads a CSV, a workbook or a shelf file, by the ending of its name. */
export async function readPartsFile(bytes: Buffer, name: string, catalogue: Catalogue, given: Given): Promise<Lines> {
  const ending = /\.([a-z]+)$/i.exec(name)?.[1]?.toLowerCase()
  if (!bytes.length) return refuse(`${name} is empty.`)
  if (ending === 'json') return readJson(bytes, name, catalogue, given)
  if (ending === 'xlsx') {
    const tables = await workbookTables(bytes)
    return tables ? { ok: true, value: readTables(tables, catalogue, given) } : refuse(`${name} can’t be read as a workbook. Save it again as .xlsx or .csv.`)
  }
  if (ending === 'csv' || ending === 'txt') {
    const table = csvTable(bytes, name)
    return { ok: true, value: readTables([table], catalogue, given) }
  }
  return refuse(`${name} is none of .csv, .xlsx and .json. Save it as one of them.`)
}

function readJson(bytes: Buffer, name: string, catalogue: Catalogue, { source }: Given): Lines {
  try {
    return readShelfFile(JSON.parse(bytes.toString('utf8')), catalogue, source)
  }
  catch {
    return refuse(`${name} is not JSON.`)
  }
}

/** Text as it was written: UTF-8, else the code page that spreadsheets of old write. */
function decoded(bytes: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  }
  catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** A cell that a spreadsheet would take for a formula was written with a mark before it. */
const unmarked = (cell: string): string => cell.replace(/^'(?=[=+\-@])/, '')
const csvTable = (bytes: Buffer, name: string): Table => ({
  name: name.replace(/\.[a-z]+$/i, ''), rows: Papa.parse<string[]>(decoded(bytes), { skipEmptyLines: false }).data.map(row => row.map(unmarked)),
})

async function workbookTables(bytes: Buffer): Promise<Table[] | null> {
  const workbook: Workbook = new ExcelJS.Workbook()
  try {
    await workbook.xlsx.load(bytes as unknown as ArrayBuffer)
  }
  catch {
    return null
  }
  return workbook.worksheets.map(sheet => ({
    name: sheet.name, rows: Array.from({ length: sheet.rowCount }, (_, r) => Array.from({ length: sheet.columnCount }, (__, c) => cellText(sheet.getRow(r + 1).getCell(c + 1)))),
  }))
}

/** A cell as a person reads it, numbers in full. */
function cellText(cell: Cell): string {
  const value = cell.result ?? cell.value
  if (value === null || value === undefined) return ''
  if (typeof value === 'number') return cell.numFmt?.includes('%') ? `${Number((100 * value).toPrecision(12))} %` : String(value)
  if (value instanceof Date) return value.toISOString().slice(0, 10)
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : cell.text
}

/** Figures as numbers, so that a spreadsheet can reckon with them and takes none for a formula; a name such as 0425 stays as it is. */
const asNumber = (text: string): string | number => text && String(Number(text)) === text ? Number(text) : text

/** The shelf as a workbook, a sheet a kind of part. */
export async function partsXlsx(catalogue: Catalogue): Promise<Buffer> {
  const workbook: Workbook = new ExcelJS.Workbook()
  for (const { name, rows } of writeTables(catalogue)) {
    const sheet = workbook.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] })
    for (const row of rows) sheet.addRow(row.map(asNumber))
    sheet.getRow(1).font = { bold: true }
    for (const column of sheet.columns) column.width = 16
  }
  return Buffer.from(await workbook.xlsx.writeBuffer())
}

export const partsCsv = (table: Table): string => Papa.unparse(table.rows.map(row => row.map(asNumber)), { newline: '\r\n', escapeFormulae: true })
