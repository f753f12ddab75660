import type { Workbook, Worksheet } from 'exceljs'
import type { Job } from '#core/job'
import { type Loadout, loadRows, purchaseRows } from '#core/sheets/loadout'
import { loadStageNames } from '#core/trade'
import { formatLength } from '#core/units'
import { ExcelJS } from './excel'

type Row = Record<string, string | number>

function addTable(book: Workbook, name: string, rows: Row[], sums: string[]): Worksheet {
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] })
  const heads = Object.keys(rows[0] ?? { nothing: '' })
  sheet.columns = heads.map(head => ({ header: head, key: head, width: Math.min(44, Math.max(head.length, ...rows.map(row => String(row[head] ?? '').length)) + 2) }))
  sheet.getRow(1).font = { bold: true }
  sheet.addRows(rows)
  if (sums.length && rows.length) {
    // Written as formulas, so that what is typed over is added up again.
    const total: Record<string, unknown> = { [heads[0]!]: 'Sum' }
    for (const head of sums) {
      const column = sheet.getColumn(head).letter
      total[head] = { formula: `SUM(${column}2:${column}${rows.length + 1})`, result: rows.reduce((sum, row) => sum + (Number(row[head]) || 0), 0) }
    }
    sheet.addRow(total).font = { bold: true }
  }
  return sheet
}

/** The load-out as a workbook: what goes on the van, what is bought of whom, what each face takes, and the lifts. */
export async function loadoutXlsx(job: Job, loadout: Loadout): Promise<Buffer> {
  const book = new ExcelJS.Workbook()
  book.creator = 'Upper Deck'
  book.title = `Load-out, ${job.title}`
  addTable(book, 'Van', loadRows(loadout, job.units), ['kg'])
  addTable(book, 'Buy', purchaseRows(loadout, job.units), [loadout.currency])
  addTable(book, 'By face', job.faces.flatMap(face => loadout.lines.flatMap((line): Row[] => {
    const pieces = line.byFace.filter(one => one.faceId === face.id).reduce((sum, one) => sum + one.pieces, 0)
    return pieces ? [{ face: face.name, stage: loadStageNames[line.stage], part: line.name, pieces }] : []
  })), [])
  if (loadout.lifts.lifts.length) addTable(book, 'Lifts', loadout.lifts.lifts.flatMap(lift => lift.items.map((item): Row => ({
    lift: lift.number,
    stage: loadStageNames[lift.stage],
    part: item.name,
    length: item.lengthMm === null ? '' : formatLength(item.lengthMm, job.units),
    pieces: item.pieces,
    kg: Number(item.massKg.toFixed(2)),
  }))), ['kg'])
  return Buffer.from(await book.xlsx.writeBuffer())
}
