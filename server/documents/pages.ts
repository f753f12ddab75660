import type { Pack, PackLabel, PackPage, PackTable } from '#core/sheets/pages'
import { formatQuantity, type UnitSystem } from '#core/units'
import { drawFigure } from './figure'
import type { Paper } from './paper'
import { type DocumentFonts, footPages, INK, MUTED, openPdf, type Pdf } from './pdf'

const MARGIN = 36
const RED = '#8b1a12'

/**
 * A pack on paper: a page for each part, its drawing to a round scale, and every table whole.
 * @param pictures the photographs' bytes by their names, JPEG or PNG; one that is not there is said
 */
export async function packPdf(pack: Pack, units: UnitSystem, paper: Paper, fonts: DocumentFonts, printed: string, pictures: Record<string, Uint8Array> = {}): Promise<Buffer> {
  const { pdf, finish } = openPdf(`${pack.name}, ${pack.title}`, paper, MARGIN, fonts)
  pack.pages.forEach((page, i) => {
    if (i > 0) pdf.addPage()
    pdf.font('bold').fontSize(17).fillColor(INK).text(page.title, MARGIN, MARGIN)
    pdf.font('regular').fontSize(9.5).text(`${pack.title}${pack.place ? `, ${pack.place}` : ''}. ${printed}`)
    if (i === 0) {
      pdf.moveDown(0.4)
      for (const caution of pack.cautions) pdf.font(/^stop/i.test(caution) ? 'bold' : 'regular').fontSize(9).fillColor(INK).text(`•  ${caution}`, { width: widthOf(pdf) })
    }
    pdf.moveDown(0.6)
    drawPage(pdf, page, units)
    drawPictures(pdf, page, pictures)
  })
  footPages(pdf, MARGIN, (page, pages) => `${pack.title}: ${pack.name.toLowerCase()}, page ${page} of ${pages}. ${pack.cautions[0] ?? ''}`)
  return await finish()
}

const widthOf = (pdf: Pdf) => pdf.page.width - 2 * MARGIN
const room = (pdf: Pdf, height: number) => {
  if (pdf.y + height > pdf.page.height - MARGIN - 14) pdf.addPage()
}

function drawPage(pdf: Pdf, page: PackPage, units: UnitSystem) {
  if (page.figure) {
    // Room for what stands over a figure, as a ridge's name.
    const top = pdf.y + 12
    const below = page.tables.reduce((sum, table) => sum + 30 + 15 * table.rows.length, 40)
    const height = Math.max(230, pdf.page.height - top - MARGIN - 30 - below)
    const { scale, height: drawn } = drawFigure(pdf, page.figure, { x: MARGIN, y: top, width: widthOf(pdf), height }, page.wordsToScale ? 'to-scale' : 'own-size')
    pdf.font('regular').fontSize(8).fillColor(MUTED).text(page.figure.name === 'One-line diagram' ? 'Not to scale.' : `Scale 1 : ${scale}. Readings come first: never measure off the drawing.`, MARGIN, top + drawn + 24, { width: widthOf(pdf), align: 'center' })
    pdf.moveDown(0.6)
  }
  for (const words of page.words) {
    room(pdf, 24)
    pdf.font('regular').fontSize(9).fillColor(INK).text(words, MARGIN, pdf.y, { width: widthOf(pdf) })
  }
  for (const table of page.tables) drawTable(pdf, table)
  for (const working of page.workings) {
    room(pdf, 40 + 11 * working.values.length)
    const y = pdf.y
    pdf.font('bold').fontSize(9).fillColor(INK).text(working.what, MARGIN, y, { width: widthOf(pdf) * 0.55 })
    const after = pdf.y
    pdf.text(formatQuantity(working.result, units), MARGIN + widthOf(pdf) * 0.56, y, { width: widthOf(pdf) * 0.44, align: 'right' })
    pdf.y = Math.max(after, pdf.y)
    pdf.font('regular').fontSize(8.5).text(`${working.formula}:  ${working.values.map(({ symbol, value }) => `${symbol} ${formatQuantity(value, units)}`).join(', ')}`, MARGIN + 8, pdf.y, { width: widthOf(pdf) - 8 })
    pdf.fontSize(7.5).fillColor(MUTED).text(`${working.source} (${working.basis}).`, MARGIN + 8, pdf.y, { width: widthOf(pdf) - 8 })
    pdf.moveDown(0.6)
  }
  for (const label of page.labels) drawLabel(pdf, label)
}

function drawTable(pdf: Pdf, { title, head, rows, widths }: PackTable) {
  const line = (cells: string[], font: 'regular' | 'bold') => {
    const columns = widths.map(share => share * widthOf(pdf))
    pdf.font(font).fontSize(8.5)
    const high = Math.max(...cells.map((cell, i) => pdf.heightOfString(cell || ' ', { width: columns[i]! - 6 })))
    room(pdf, high + 4)
    const y = pdf.y
    let x = MARGIN
    cells.forEach((cell, i) => {
      pdf.fillColor(INK).text(cell, x, y, { width: columns[i]! - 6 })
      x += columns[i]!
    })
    pdf.y = y + high + 3
    pdf.moveTo(MARGIN, pdf.y - 1.5).lineTo(MARGIN + widthOf(pdf), pdf.y - 1.5).lineWidth(font === 'bold' ? 0.9 : 0.25).strokeColor(INK).stroke()
  }
  pdf.moveDown(0.7)
  if (title) {
    room(pdf, 50)
    pdf.font('bold').fontSize(11).fillColor(INK).text(title, MARGIN, pdf.y, { width: widthOf(pdf) })
    pdf.moveDown(0.2)
  }
  line(head, 'bold')
  for (const row of rows) line(row, 'regular')
}

/** A label as it is made, with its place beside it. */
function drawLabel(pdf: Pdf, { text, where, clause, made, reflective }: PackLabel) {
  const wide = widthOf(pdf) * 0.48
  pdf.font('bold').fontSize(9.5)
  const high = Math.max(26, pdf.heightOfString(text, { width: wide - 16 }) + 12)
  room(pdf, high + 8)
  const y = pdf.y
  const box = pdf.rect(MARGIN, y, wide, high).lineWidth(1.2)
  if (reflective) box.fillAndStroke(RED, RED)
  else box.strokeColor(INK).stroke()
  pdf.font('bold').fontSize(9.5).fillColor(reflective ? '#ffffff' : INK).text(text, MARGIN + 8, y + 6, { width: wide - 16 })
  pdf.font('regular').fontSize(9).fillColor(INK).text(where, MARGIN + wide + 10, y, { width: widthOf(pdf) - wide - 10 })
  pdf.fontSize(7.5).fillColor(MUTED).text(`${clause}. ${made}.`, MARGIN + wide + 10, pdf.y, { width: widthOf(pdf) - wide - 10 })
  pdf.y = Math.max(pdf.y, y + high) + 7
  pdf.x = MARGIN
}

/** Photographs two abreast, each over what it shows. */
function drawPictures(pdf: Pdf, { pictures }: PackPage, bytes: Record<string, Uint8Array>) {
  const gap = 12
  const wide = (widthOf(pdf) - gap) / 2
  const high = wide * 0.7
  pictures.forEach(({ photoId, caption }, i) => {
    if (i % 2 === 0) room(pdf, high + 34)
    const y = pdf.y
    const x = MARGIN + (i % 2) * (wide + gap)
    const picture = bytes[photoId]
    if (picture) pdf.image(Buffer.from(picture), x, y, { fit: [wide, high] })
    else pdf.font('regular').fontSize(8.5).fillColor(MUTED).text('This photograph has not reached the office.', x, y + 10, { width: wide })
    pdf.font('regular').fontSize(8.5).fillColor(INK).text(caption, x, y + high + 4, { width: wide, height: 24, ellipsis: true })
    pdf.y = i % 2 === 0 && i < pictures.length - 1 ? y : y + high + 34
    pdf.x = MARGIN
  })
}
