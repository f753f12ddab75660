import PDFDocument from 'pdfkit'
import type { CalculationSection, CalculationSheet } from '#core/plan'
import { formatQuantity, type UnitSystem } from '#core/units'
import type { Working } from '#core/working'

/** Fonts as files, shipped with the server. */
export interface DocumentFonts { regular: Buffer, bold: Buffer }

const LEFT = 48
const WIDTH = 595 - 2 * LEFT
const INK = '#22272e'
const MUTED = '#55575a'

type Pdf = InstanceType<typeof PDFDocument>

/** Draws a calculation sheet on A4 pages. */
export async function calculationPdf(sheet: CalculationSheet, units: UnitSystem, fonts: DocumentFonts, printed: string): Promise<Buffer> {
  const pdf = new PDFDocument({ size: 'A4', margin: LEFT, bufferPages: true, font: fonts.regular as unknown as string, info: { Title: `Calculation sheet, ${sheet.title}`, Creator: 'Upper Deck' } })
  pdf.registerFont('regular', fonts.regular)
  pdf.registerFont('bold', fonts.bold)
  const chunks: Buffer[] = []
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk))
  const finished = new Promise<void>(resolve => pdf.on('end', resolve))
  pdf.font('bold').fontSize(18).fillColor(INK).text('Calculation sheet')
  pdf.font('regular').fontSize(10.5).text(`${sheet.title}${sheet.place ? `, ${sheet.place}` : ''}. ${printed}`)
  pdf.moveDown(0.6)
  for (const caution of sheet.cautions) pdf.font('regular').fontSize(9).fillColor(INK).text(`•  ${caution}`, { width: WIDTH })
  for (const one of sheet.sections) drawSection(pdf, one, units)
  numberPages(pdf, sheet.title)
  pdf.end()
  await finished
  return Buffer.concat(chunks)
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

/** Every page says whose it is and that it is not the last word. */
function numberPages(pdf: Pdf, title: string) {
  const { count } = pdf.bufferedPageRange()
  for (let i = 0; i < count; i++) {
    pdf.switchToPage(i)
    // Below the margin text would begin a page of its own.
    pdf.page.margins.bottom = 0
    pdf.font('regular').fontSize(8).fillColor(MUTED).text(`${title}: page ${i + 1} of ${count}. Not a sign-off: the local code and a licensed engineer come first.`, LEFT, pdf.page.height - 32, { width: WIDTH, align: 'center' })
  }
}
