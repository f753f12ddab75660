import type { CalculationSection, CalculationSheet } from '#core/sheets/calculation'
import { formatQuantity, type UnitSystem } from '#core/units'
import type { Working } from '#core/working'
import { type DocumentFonts, footPages, INK, MUTED, openPdf, type Pdf } from './pdf'

const LEFT = 48
const WIDTH = 595 - 2 * LEFT
/** Draws a calculation sheet on A4 pages. */
export async function calculationPdf(sheet: CalculationSheet, units: UnitSystem, fonts: DocumentFonts, printed: string): Promise<Buffer> {
  const { pdf, finish } = openPdf(`Calculation sheet, ${sheet.title}`, 'A4', LEFT, fonts)
  pdf.font('bold').fontSize(18).fillColor(INK).text('Calculation sheet')
  pdf.font('regular').fontSize(10.5).text(`${sheet.title}${sheet.place ? `, ${sheet.place}` : ''}. ${printed}`)
  pdf.moveDown(0.6)
  for (const caution of sheet.cautions) pdf.font('regular').fontSize(9).fillColor(INK).text(`•  ${caution}`, { width: WIDTH })
  for (const one of sheet.sections) drawSection(pdf, one, units)
  // Every page says whose it is and that it is not the last word.
  footPages(pdf, LEFT, (page, pages) => `${sheet.title}: page ${page} of ${pages}. Not a sign-off: the local code and a licensed engineer come first.`)
  return await finish()
}

/** Begins a new page where less than so much is left of this one. */
const room = (pdf: Pdf, height: number) => {
  if (pdf.y + height > pdf.page.height - LEFT) pdf.addPage()
}

function drawSection(pdf: Pdf, { title, workings, table }: CalculationSection, units: UnitSystem) {
  room(pdf, 110)
  pdf.moveDown(1)
  pdf.font('bold').fontSize(12.5).fillColor(INK).text(title, LEFT)
  pdf.moveTo(LEFT, pdf.y + 1).lineTo(LEFT + WIDTH, pdf.y + 1).lineWidth(1).strokeColor(INK).stroke()
  pdf.moveDown(0.3)
  for (const working of workings) drawWorking(pdf, working, units)
  if (table) drawTable(pdf, table)
}

function drawWorking(pdf: Pdf, working: Working, units: UnitSystem) {
  room(pdf, 46 + 11 * working.values.length)
  pdf.font('bold').fontSize(9.5).fillColor(INK).text(working.what, LEFT, pdf.y, { width: WIDTH - 130, continued: false })
  const after = pdf.y
  pdf.text(formatQuantity(working.result, units), LEFT + WIDTH - 160, after - 12, { width: 160, align: 'right' })
  pdf.y = Math.max(pdf.y, after)
  pdf.font('regular').fontSize(9).text(working.formula, LEFT + 10, pdf.y, { width: WIDTH - 20 })
  for (const { symbol, what, value } of working.values) {
    const y = pdf.y
    pdf.fillColor(INK).text(symbol, LEFT + 10, y, { width: 52 })
    pdf.text(what, LEFT + 66, y, { width: 290 })
    const below = pdf.y
    pdf.text(formatQuantity(value, units), LEFT + 356, y, { width: WIDTH - 356, align: 'right' })
    pdf.y = Math.max(pdf.y, below)
  }
  pdf.fontSize(8).fillColor(MUTED).text(`${working.source} (${working.basis}).`, LEFT + 10, pdf.y, { width: WIDTH - 20 })
  pdf.moveDown(0.55)
}

function drawTable(pdf: Pdf, { head, rows }: NonNullable<CalculationSection['table']>) {
  const each = WIDTH / head.length
  const line = (cells: string[], font: 'regular' | 'bold') => {
    room(pdf, 26)
    const y = pdf.y
    let lowest = y
    cells.forEach((cell, i) => {
      pdf.font(font).fontSize(9).fillColor(INK).text(cell, LEFT + i * each, y, { width: each - 6 })
      lowest = Math.max(lowest, pdf.y)
    })
    pdf.y = lowest + 2
    pdf.x = LEFT
  }
  pdf.moveDown(0.3)
  line(head, 'bold')
  for (const row of rows) line(row, 'regular')
}
