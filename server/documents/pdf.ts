import { create } from 'fontkit'
import PDFDocument from 'pdfkit'
import { onceFor } from '#core/memory'
import type { Paper } from './paper'

/** Fonts as files, shipped with the server. */
export interface DocumentFonts { regular: Buffer, bold: Buffer }

export const INK = '#22272e'
export const MUTED = '#55575a'
export type Pdf = InstanceType<typeof PDFDocument>

/** Fonts are read once for all documents: their tables take longer to read than a page to write. */
const read = onceFor(create)

/** Opens a document in the app's own fonts; `finish` closes it and gives its bytes. */
export function openPdf(title: string, paper: Paper, margin: number, fonts: DocumentFonts): { pdf: Pdf, finish: () => Promise<Buffer> } {
  // No font to begin with: one opened there would be looked up anew, and read anew, with every change of font.
  const pdf = new PDFDocument({ size: paper, margin, bufferPages: true, font: null as unknown as string, info: { Title: title, Creator: 'Upper Deck' } })
  // It takes a font that is read already, though its types name only files.
  pdf.registerFont('regular', read(fonts.regular) as unknown as Buffer)
  pdf.registerFont('bold', read(fonts.bold) as unknown as Buffer)
  const chunks: Buffer[] = []
  pdf.on('data', (chunk: Buffer) => chunks.push(chunk))
  const finished = new Promise<void>(resolve => pdf.on('end', resolve))
  return {
    pdf,
    finish: async () => {
      pdf.end()
      await finished
      return Buffer.concat(chunks)
    },
  }
}

/** Writes a line at the foot of every page; it is told the page's number and how many there are. */
export function footPages(pdf: Pdf, margin: number, line: (page: number, pages: number) => string) {
  const { count } = pdf.bufferedPageRange()
  for (let i = 0; i < count; i++) {
    pdf.switchToPage(i)
    // Below the margin text would begin a page of its own.
    pdf.page.margins.bottom = 0
    pdf.font('regular').fontSize(8).fillColor(MUTED).text(line(i + 1, count), margin, pdf.page.height - 32, { width: pdf.page.width - 2 * margin, align: 'center' })
  }
}
