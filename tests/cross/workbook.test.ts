import ExcelJS from 'exceljs'
import { expect, it } from 'vitest'
import { loadoutOf, loadRows } from '../../core/sheets/loadout'
import { planJob } from '../../core/plan'
import { loadoutXlsx } from '../../server/documents/loadout'
import { after, catalogue, threeRowsOfSix } from '../fixtures/jobs'

it('the load-out is a workbook that a general reader opens, with formulas whose results are right', async () => {
  const job = after(threeRowsOfSix(), { type: 'set-loadout', values: { liftKg: 200, crateKg: 20 } })
  const loadout = loadoutOf(job, planJob(job, catalogue), catalogue)
  const book = new ExcelJS.Workbook()
  await book.xlsx.load((await loadoutXlsx(job, loadout)) as unknown as ArrayBuffer)
  expect(book.worksheets.map(sheet => sheet.name)).toEqual(['Van', 'Buy', 'By face', 'Lifts'])
  for (const [name, head] of [['Van', 'kg'], ['Buy', 'USD'], ['Lifts', 'kg']] as const) {
    const sheet = book.getWorksheet(name)!
    const column = (sheet.getRow(1).values as string[]).indexOf(head)
    const cells = Array.from({ length: sheet.rowCount - 2 }, (_, i) => Number(sheet.getRow(i + 2).getCell(column).value) || 0)
    const sum = sheet.getRow(sheet.rowCount).getCell(column)
    expect(sum.formula).toMatch(new RegExp(`^SUM\\([A-Z]+2:[A-Z]+${sheet.rowCount - 1}\\)$`))
    expect(sum.result).toBeCloseTo(cells.reduce((a, b) => a + b, 0), 6)
  }
  expect(book.getWorksheet('Van')!.rowCount - 2).toBe(loadRows(loadout, 'imperial').length)
})
