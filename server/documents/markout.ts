import type { Check, Mark, MarkStep } from '#core/trade'
import { endReadings, gaugeWords, type MarkoutSheet, revisionName, type SheetFace } from '#core/sheets/markout'
import { formatLength, formatQuantity, type UnitSystem } from '#core/units'
import { drawFigure } from './figure'
import { drawSection } from './section'
import { type DocumentFonts, footPages, INK, MUTED, openPdf, type Pdf } from './pdf'
import type { Paper } from './paper'

const MARGIN = 36
/** Figures are read at arm's length on a roof, points. */
const READING = 14
const TITLE = 12
const WHERE = 9.5
const WORDS = 9
const LABEL = 8.5
const UNDER = 8
const BOX = 11

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
  pdf.font('bold').fontSize(standing.revision === null ? 13 : 16).text(standing.revision === null ? 'NOT ISSUED' : `Revision ${revisionName(standing.revision)}`, box.x, box.y + 5, {
    width: 142,
    align: 'center',
  })
  pdf.font('regular').fontSize(8).text(standing.revision === null ? 'for looking at only' : `${standing.issuedBy}, ${standing.issuedAt.slice(0, 10)}`, box.x, box.y + 26, {
    width: 142,
    align: 'center',
  })
  pdf.font('regular').fontSize(11).text(`${sheet.title}${sheet.place ? `, ${sheet.place}` : ''}. Hook both tapes on the ${face.datumWords}.`, MARGIN, MARGIN + 26, { width: width - 152 })
  pdf.y = Math.max(pdf.y, MARGIN + 44)
  if (sheet.despite) banner(pdf, `ISSUED WITH ${sheet.despite.stops.length === 1 ? 'A STOP' : `${sheet.despite.stops.length} STOPS`} OPEN, by ${standing.issuedBy || 'nobody yet'}: ${sheet.despite.reason}`)
  if (standing.changedSince) banner(pdf, `SUPERSEDED: ${standing.changedSince} ${standing.changedSince === 1 ? 'mark has' : 'marks have'} changed since this revision was issued. Get the newer sheet before you mark.`)
  if (standing.note) pdf.font('regular').fontSize(10).fillColor(INK).text(standing.note, MARGIN, pdf.y + 2, { width })
  for (const caution of sheet.cautions) pdf.font(caution.startsWith('Stop') ? 'bold' : 'regular').fontSize(9).fillColor(INK).text(`•  ${caution}`, MARGIN, pdf.y + 1, { width })
  pdf.moveDown(1.1)
  const top = pdf.y
  const { scale, height } = drawFigure(pdf, face.figure, { x: MARGIN + 14, y: top, width: width - 28, height: Math.min(205, pdf.page.height - top - 140) })
  pdf.font('regular').fontSize(8).fillColor(MUTED).text(`Scale 1 : ${scale}. Eave ${formatLength(face.eaveMm, sheet.units)}, ${formatLength(face.upMm, sheet.units)} up the slope. Readings come first: never measure off the drawing.`, MARGIN, top + height + 24, {
    width,
    align: 'center',
  })
  pdf.moveDown(0.8)
  drawLines(pdf, face.marks, sheet.units)
  if (face.openings?.length) drawOpenings(pdf, face.openings)
}

const SECTION_HEIGHT = 210

/** How the covering is opened and closed at each fixing: a section to scale with its card, those alike together. */
function drawOpenings(pdf: Pdf, groups: NonNullable<SheetFace['openings']>) {
  const width = widthOf(pdf)
  pdf.addPage()
  pdf.font('bold').fontSize(TITLE + 2).fillColor(INK).text('Through the covering', MARGIN, pdf.y, { width })
  for (const { title, section, above, card } of groups) {
    const words = [card.way, ...card.steps.map((step, i) => `${i + 1}. ${step.words}`), ...card.cautions.map(one => `Caution: ${one}`), `Only when: ${card.conditions.join('; ') || 'any weather'}.`]
    const height = 30 + SECTION_HEIGHT + words.reduce((sum, text) => sum + textHeight(pdf, 'regular', WORDS, text, width) + 1, 0)
    room(pdf, Math.min(height, pdf.page.height - 2 * MARGIN - 40))
    pdf.font('bold').fontSize(TITLE).fillColor(INK).text(title, MARGIN, pdf.y + 8, { width })
    const top = pdf.y + 4
    const wide = above ? width * 0.58 : width
    drawSection(pdf, section, { x: MARGIN, y: top, width: wide - GAP, height: SECTION_HEIGHT })
    if (above) drawSection(pdf, above, { x: MARGIN + wide, y: top, width: width - wide, height: SECTION_HEIGHT })
    pdf.y = top + SECTION_HEIGHT + 6
    for (const [i, text] of words.entries()) {
      room(pdf, textHeight(pdf, 'regular', WORDS, text, width) + 2)
      pdf.font(i === 0 ? 'bold' : 'regular').fontSize(WORDS).fillColor(INK).text(text, MARGIN, pdf.y + 1, { width })
    }
  }
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

/** What one cell of a line says: a mark or a check. */
interface Cell { label: string, reading: string, under: string[] }

const GAP = 8
/** Cells never get narrower than this, points, so that a note has room for its words. */
const LEAST_CELL = 92

const cellsOf = (step: MarkStep, units: UnitSystem): Cell[] => [
  ...step.marks.map(mark => markCell(mark, units)),
  ...step.checks.map(({ label, value, note }: Check): Cell => ({ label: `Check: ${label}`, reading: formatQuantity(value, units), under: note ? [note] : [] })),
]

const markCell = (mark: Mark, units: UnitSystem): Cell => ({
  label: mark.label, reading: formatLength(mark.readingMm, units),
  under: [
    ...(mark.upMm === null ? [] : [`up ${formatLength(mark.upMm, units)}`]),
    ...endReadings(mark).map(({ where, mm }) => `${where} ${formatLength(mm, units)}`),
    ...(mark.note ? [mark.note] : []),
  ],
})

/** Which tape, where the line lies on the other one, and what the tape must read at its far end. */
const whereWords = ({ marks, tape, lineMm, closing }: MarkStep, units: UnitSystem): string => marks.length
  ? [
      tape === 'along' ? 'along the eave' : 'up the slope',
      ...(lineMm ? [`line at ${formatLength(lineMm, units)}`] : []),
      ...(closing ? [`closes at ${formatLength(closing.readingMm, units)}`] : []),
    ].join(', ')
  : ''

/** One line to strike, measured: its title and place, what to do where that has not been said yet, and its readings in rows of cells. */
interface Line { title: string, where: string, words: string[], rows: Cell[][], each: number, width: number, headHeight: number, heights: number[] }

/** Cells are as wide as their longest reading needs and as high as their words: nothing is cut, nothing runs into its neighbour. */
function measured(pdf: Pdf, step: MarkStep, number: number, units: UnitSystem, words: string[], width: number): Line {
  const cells = cellsOf(step, units)
  pdf.font('bold').fontSize(READING)
  const widest = Math.max(LEAST_CELL, ...cells.map(cell => pdf.widthOfString(cell.reading) + BOX + 4))
  const columns = Math.max(1, Math.floor((width + GAP) / (widest + GAP)))
  const each = (width - (columns - 1) * GAP) / columns
  const rows = Array.from({ length: Math.ceil(cells.length / columns) }, (_, r) => cells.slice(r * columns, (r + 1) * columns))
  const title = `${number}. ${step.title}`
  const where = whereWords(step, units)
  return {
    title, where, words, rows, each, width, heights: rows.map(row => Math.max(...row.map(cell => cellHeight(pdf, cell, each)))),
    headHeight: 5 + titleHeight(pdf, title, where, width) + 4 + words.reduce((sum, text) => sum + textHeight(pdf, 'regular', WORDS, text, width) + 1, 0) + 2,
  }
}

/** Its instruction, unless a line before has given the same, and its gauge stick. */
function wordsOf(step: MarkStep, units: UnitSystem, said: Set<string>): string[] {
  const words = said.has(step.instruction) ? [] : [step.instruction]
  said.add(step.instruction)
  return step.gauge ? [...words, gaugeWords(step.gauge, units)] : words
}

/** All lines of a face, short ones two beside each other where the second has nothing new to say. */
function drawLines(pdf: Pdf, steps: MarkStep[], units: UnitSystem) {
  const said = new Set<string>()
  const half = (widthOf(pdf) - 2 * GAP) / 2
  for (let i = 0; i < steps.length; i++) {
    const line = measured(pdf, steps[i]!, i + 1, units, wordsOf(steps[i]!, units, said), widthOf(pdf))
    const next = steps[i + 1]
    const pair = next && line.rows.length === 1 && !steps[i]!.gauge && said.has(next.instruction) && !next.gauge
      ? [measured(pdf, steps[i]!, i + 1, units, line.words, half), measured(pdf, next, i + 2, units, [], half)]
      : []
    if (pair.length && pair.every(one => one.rows.length <= 2)) {
      const heights = pair.map(one => one.headHeight + one.heights.reduce((sum, height) => sum + height, 0))
      room(pdf, Math.max(...heights))
      const top = pdf.y
      pair.forEach((one, k) => drawRows(pdf, one, drawHead(pdf, one, MARGIN + k * (half + 2 * GAP), top), MARGIN + k * (half + 2 * GAP)))
      pdf.y = top + Math.max(...heights)
      i++
      continue
    }
    room(pdf, line.headHeight + (line.heights[0] ?? 0))
    pdf.y = drawHead(pdf, line, MARGIN, pdf.y)
    line.rows.forEach((row, r) => {
      room(pdf, line.heights[r]!)
      pdf.y = drawRows(pdf, { ...line, rows: [row], heights: [line.heights[r]!] }, pdf.y, MARGIN)
    })
  }
}

/** Draws a line's title, place and words; returns where its readings begin. */
function drawHead(pdf: Pdf, { title, where, words, width, headHeight }: Line, x: number, top: number): number {
  let y = top + 5
  const beside = fitsBeside(pdf, title, where, width)
  pdf.font('bold').fontSize(TITLE).fillColor(INK).text(title, x, y, beside ? { lineBreak: false } : { width })
  if (where) {
    const under = y + textHeight(pdf, 'bold', TITLE, title, width)
    pdf.font('regular').fontSize(WHERE).fillColor(INK)
    if (beside) pdf.text(where, x + width - pdf.widthOfString(where), y + 2, { lineBreak: false })
    else pdf.text(where, x, under, { width })
  }
  y += titleHeight(pdf, title, where, width)
  pdf.moveTo(x, y + 1).lineTo(x + width, y + 1).lineWidth(1).strokeColor(INK).stroke()
  y += 4
  for (const text of words) {
    pdf.font('regular').fontSize(WORDS).fillColor(INK).text(text, x, y, { width })
    y += textHeight(pdf, 'regular', WORDS, text, width) + 1
  }
  return top + headHeight
}

function drawRows(pdf: Pdf, { rows, heights, each, width }: Line, from: number, x: number): number {
  let y = from
  rows.forEach((row, r) => {
    row.forEach((cell, c) => drawCell(pdf, cell, x + c * (each + GAP), y, each))
    y += heights[r]!
    pdf.moveTo(x, y - 2).lineTo(x + width, y - 2).lineWidth(0.4).dash(1, { space: 2 }).strokeColor(MUTED).stroke().undash()
  })
  return y
}

/** Whether a line's place stands on one line with its title. */
const fitsBeside = (pdf: Pdf, title: string, where: string, width: number): boolean =>
  pdf.font('bold').fontSize(TITLE).widthOfString(title) + pdf.font('regular').fontSize(WHERE).widthOfString(where) + 2 * GAP <= width

const titleHeight = (pdf: Pdf, title: string, where: string, width: number): number => fitsBeside(pdf, title, where, width)
  ? textHeight(pdf, 'bold', TITLE, 'A', width)
  : textHeight(pdf, 'bold', TITLE, title, width) + (where ? textHeight(pdf, 'regular', WHERE, where, width) : 0)

const textHeight = (pdf: Pdf, font: 'regular' | 'bold', size: number, text: string, width: number) => pdf.font(font).fontSize(size).heightOfString(text, { width })

const cellHeight = (pdf: Pdf, cell: Cell, width: number): number =>
  textHeight(pdf, 'regular', LABEL, cell.label, width) + READING * 1.16 + cell.under.reduce((sum, text) => sum + textHeight(pdf, 'regular', UNDER, text, width), 0) + 4

function drawCell(pdf: Pdf, cell: Cell, x: number, top: number, width: number) {
  let y = top
  pdf.font('regular').fontSize(LABEL).fillColor(INK).text(cell.label, x, y, { width })
  y += textHeight(pdf, 'regular', LABEL, cell.label, width)
  pdf.rect(x, y + 2, BOX, BOX).lineWidth(1).strokeColor(INK).stroke()
  pdf.font('bold').fontSize(READING).fillColor(INK).text(cell.reading, x + BOX + 4, y, { lineBreak: false })
  y += READING * 1.16
  for (const text of cell.under) {
    pdf.font('regular').fontSize(UNDER).fillColor(MUTED).text(text, x, y, { width })
    y += textHeight(pdf, 'regular', UNDER, text, width)
  }
}
