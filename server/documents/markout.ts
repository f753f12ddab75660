import { type Check, endReadings, gaugeWords, type Mark, type MarkStep, revisionName } from '#core/markout'
import type { MarkoutSheet, SheetFace } from '#core/plan'
import { formatLength, formatQuantity, type UnitSystem } from '#core/units'
import { drawFigure } from './figure'
import { type DocumentFonts, footPages, INK, MUTED, openPdf, type Paper, type Pdf } from './pdf'

const MARGIN = 40
/** Figures are read at arm's length on a roof, points. */
const READING = 17
const BOX = 13

/** What a printed sheet says of its own standing. */
export interface SheetStanding {
  /** Null for a plan that was not issued: then it says so in large letters. */
  revision: number | null
  issuedBy: string
  issuedAt: string
  note: string
  /** Marks that have changed since; 0 where it still holds. */
  changedSince: number
}

/** The mark-out for print: every face with its figure to scale and every step with readings to tick. */
export async function markoutPdf(sheet: MarkoutSheet, standing: SheetStanding, paper: Paper, fonts: DocumentFonts): Promise<Buffer> {
  const { pdf, finish } = openPdf(`Mark-out, ${sheet.title}`, paper, MARGIN, fonts)
  sheet.faces.forEach((face, i) => {
    if (i > 0) pdf.addPage()
    drawFace(pdf, sheet, face, standing)
  })
  if (!sheet.faces.length) pdf.font('bold').fontSize(18).fillColor(INK).text('Nothing to mark out: no face carries modules.')
  const day = `${standing.issuedAt.slice(0, 16).replace('T', ' ')} UTC`
  footPages(pdf, MARGIN, (page, pages) => `${sheet.title}: ${standing.revision === null ? 'not issued' : `revision ${revisionName(standing.revision)}, issued by ${standing.issuedBy}, ${day}`}${standing.changedSince ? ', SUPERSEDED' : ''}. Page ${page} of ${pages}`)
  return await finish()
}

const widthOf = (pdf: Pdf) => pdf.page.width - 2 * MARGIN

/** Begins a new page where less than so much is left of this one. */
const room = (pdf: Pdf, height: number) => {
  if (pdf.y + height > pdf.page.height - MARGIN - 12) pdf.addPage()
}

function drawFace(pdf: Pdf, sheet: MarkoutSheet, face: SheetFace, standing: SheetStanding) {
  const width = widthOf(pdf)
  pdf.font('bold').fontSize(20).fillColor(INK).text(`Mark-out: ${face.name}`, MARGIN, MARGIN, { width: width - 150 })
  const box = { x: MARGIN + width - 142, y: MARGIN - 4 }
  pdf.rect(box.x, box.y, 142, 40).lineWidth(1.2).strokeColor(INK).stroke()
  pdf.font('bold').fontSize(standing.revision === null ? 13 : 16).text(standing.revision === null ? 'NOT ISSUED' : `Revision ${revisionName(standing.revision)}`, box.x, box.y + 5, { width: 142, align: 'center' })
  pdf.font('regular').fontSize(8).text(standing.revision === null ? 'for looking at only' : `${standing.issuedBy}, ${standing.issuedAt.slice(0, 10)}`, box.x, box.y + 26, { width: 142, align: 'center' })
  pdf.font('regular').fontSize(11).text(`${sheet.title}${sheet.place ? `, ${sheet.place}` : ''}. Hook both tapes on the ${face.datumWords}.`, MARGIN, MARGIN + 26, { width: width - 152 })
  pdf.y = Math.max(pdf.y, MARGIN + 44)
  if (standing.changedSince) banner(pdf, `SUPERSEDED: ${standing.changedSince} ${standing.changedSince === 1 ? 'mark has' : 'marks have'} changed since this revision was issued. Get the newer sheet before you mark.`)
  if (standing.note) pdf.font('regular').fontSize(10).fillColor(INK).text(standing.note, MARGIN, pdf.y + 2, { width })
  for (const caution of sheet.cautions) pdf.font(caution.startsWith('Stop') ? 'bold' : 'regular').fontSize(9).fillColor(INK).text(`•  ${caution}`, MARGIN, pdf.y + 1, { width })
  pdf.moveDown(1.2)
  const top = pdf.y
  const { scale, height } = drawFigure(pdf, face.figure, { x: MARGIN + 14, y: top, width: width - 28, height: Math.min(300, pdf.page.height - top - 140) })
  pdf.font('regular').fontSize(8).fillColor(MUTED).text(`Scale 1 : ${scale}. Eave ${formatLength(face.eaveMm, sheet.units)}, ${formatLength(face.upMm, sheet.units)} up the slope. Readings come first: never measure off the drawing.`, MARGIN, top + height + 24, { width, align: 'center' })
  pdf.moveDown(0.8)
  face.marks.forEach((step, i) => drawStep(pdf, step, i + 1, sheet.units))
}

function banner(pdf: Pdf, text: string) {
  const width = widthOf(pdf)
  const y = pdf.y + 4
  pdf.font('bold').fontSize(12)
  const height = pdf.heightOfString(text, { width: width - 16 }) + 10
  pdf.rect(MARGIN, y, width, height).lineWidth(2).strokeColor('#a3291c').stroke()
  pdf.fillColor('#a3291c').text(text, MARGIN + 8, y + 6, { width: width - 16 })
  pdf.fillColor(INK)
  pdf.y = y + height + 4
}

function drawStep(pdf: Pdf, step: MarkStep, number: number, units: UnitSystem) {
  const width = widthOf(pdf)
  room(pdf, 86)
  const y = pdf.y + 6
  const where = `${step.tape === 'along' ? 'along the eave' : 'up the slope'}${step.lineMm ? `, line at ${formatLength(step.lineMm, units)}` : ''}`
  pdf.font('bold').fontSize(13).fillColor(INK).text(`${number}. ${step.title}`, MARGIN, y, { width: width * 0.55 })
  pdf.font('regular').fontSize(10).text(where, MARGIN + width * 0.55, y + 3, { width: width * 0.45, align: 'right' })
  pdf.y = Math.max(pdf.y, y + 17)
  pdf.moveTo(MARGIN, pdf.y).lineTo(MARGIN + width, pdf.y).lineWidth(1).strokeColor(INK).stroke()
  pdf.font('regular').fontSize(9.5).text(step.instruction, MARGIN, pdf.y + 3, { width })
  if (step.gauge) pdf.font('regular').fontSize(9.5).text(gaugeWords(step.gauge, units), MARGIN, pdf.y + 1, { width })
  pdf.y += 4
  // Long runs of short marks stand in two columns.
  const columns = step.marks.length > 5 && step.marks.every(mark => mark.upMm === null && mark.endsMm === null) ? 2 : 1
  drawMarks(pdf, step.marks, columns, units)
  if (step.closing) drawMarks(pdf, [step.closing], 1, units, true)
  for (const check of step.checks) drawCheck(pdf, check, units)
}

function drawMarks(pdf: Pdf, marks: Mark[], columns: number, units: UnitSystem, closing = false) {
  const width = widthOf(pdf)
  const each = (width - (columns - 1) * 18) / columns
  const perColumn = Math.ceil(marks.length / columns)
  for (let r = 0; r < perColumn; r++) {
    const rows = Array.from({ length: columns }, (_, c) => marks[c * perColumn + r]).filter(mark => mark !== undefined)
    const tall = rows.some(mark => mark.note || mark.upMm !== null || mark.endsMm) ? 33 : 23
    room(pdf, tall)
    const y = pdf.y
    rows.forEach((mark, c) => drawMark(pdf, mark, MARGIN + c * (each + 18), y, each, tall, units, closing))
    pdf.y = y + tall
  }
}

function drawMark(pdf: Pdf, mark: Mark, x: number, y: number, width: number, tall: number, units: UnitSystem, closing: boolean) {
  const half = width * 0.52
  pdf.font('regular').fontSize(10.5).fillColor(closing ? MUTED : INK).text(mark.label, x, y + 4, { width: half, height: 13, ellipsis: true })
  const under = [mark.note, endReadings(mark).map(({ where, mm }) => `${where} ${formatLength(mm, units)}`).join(', ')].filter(Boolean).join('. ')
  if (under) pdf.fontSize(8).fillColor(MUTED).text(under, x, y + 18, { width: width - 24, height: 11, ellipsis: true })
  pdf.font('bold').fontSize(closing ? 12 : READING).fillColor(closing ? MUTED : INK).text(formatLength(mark.readingMm, units), x + half - 10, y + (closing ? 4 : 2), { width: width - half - 12, align: 'right', lineBreak: false })
  if (mark.upMm !== null) pdf.font('regular').fontSize(10).fillColor(INK).text(`up ${formatLength(mark.upMm, units)}`, x + half - 10, y + 20, { width: width - half - 12, align: 'right', lineBreak: false })
  if (!closing) pdf.rect(x + width - BOX, y + 4, BOX, BOX).lineWidth(1).strokeColor(INK).stroke()
  pdf.moveTo(x, y + tall - 1).lineTo(x + width, y + tall - 1).lineWidth(0.4).dash(1, { space: 2 }).strokeColor(MUTED).stroke().undash()
}

function drawCheck(pdf: Pdf, { label, value, note }: Check, units: UnitSystem) {
  room(pdf, 18)
  const y = pdf.y
  const width = widthOf(pdf)
  pdf.font('regular').fontSize(9.5).fillColor(INK).text(`Check: ${label}${note ? ` (${note.toLowerCase()})` : ''}`, MARGIN + 10, y + 3, { width: width * 0.62, height: 12, ellipsis: true })
  pdf.font('bold').fontSize(12).text(formatQuantity(value, units), MARGIN + width * 0.62, y + 2, { width: width * 0.38 - 22, align: 'right', lineBreak: false })
  pdf.rect(MARGIN + width - BOX, y + 2, BOX, BOX).lineWidth(1).strokeColor(INK).stroke()
  pdf.y = y + 18
}
