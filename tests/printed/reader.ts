import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { DocumentFonts } from '../../server/documents/pdf'

/** Reads printed PDFs back by a general reader: their words page by page, and what of them lies over something else. */

// The reader brings a push of its own, several times slower than Node's, which it is given back.
const { push } = Array.prototype
const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
await import('pdfjs-dist/legacy/build/pdf.worker.mjs' as string)
Array.prototype.push = push

/** The fonts that ship with the server. */
export async function printFonts(): Promise<DocumentFonts> {
  const folder = join(dirname(createRequire(import.meta.url).resolve('dejavu-fonts-ttf/package.json')), 'ttf')
  const [regular, bold] = await Promise.all(['DejaVuSans.ttf', 'DejaVuSans-Bold.ttf'].map(name => readFile(join(folder, name))))
  return { regular: regular!, bold: bold! }
}

/** A PDF's pages as a general reader sees them. */
export async function read(pdf: Buffer): Promise<{ pages: string[], width: number, height: number }> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise
  const pages: string[] = []
  for (let p = 1; p <= document.numPages; p++) pages.push((await (await document.getPage(p)).getTextContent()).items.map(item => 'str' in item ? item.str : '').join(' ').replace(/\s+/g, ' '))
  const [, , width, height] = (await document.getPage(1)).view as [number, number, number, number]
  return { pages, width, height }
}
/** Boxes of all text of a PDF's pages, by a general reader: left, bottom, right and top in points, without what is blank. */
async function boxesOf(pdf: Buffer) {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise
  return await Promise.all(Array.from({ length: document.numPages }, async (_, p) => {
    const page = await document.getPage(p + 1)
    const [, , width, height] = page.view as [number, number, number, number]
    const { items } = await page.getTextContent()
    return { width, height, boxes: items.flatMap((item) => {
      if (!('str' in item) || !item.str.trim()) return []
      const [a, b, , , x, y] = item.transform as [number, number, number, number, number, number]
      const size = Math.hypot(a, b)
      // Turned text, as beside a drawing, takes its length along its own way.
      const upright = Math.abs(b) < 1e-6
      // Ascenders and descenders of figures and letters without the font's own leading.
      return [upright
        ? { text: item.str, left: x, right: x + item.width, low: y - 0.18 * size, high: y + 0.72 * size }
        : { text: item.str, left: x - 0.72 * size, right: x + 0.18 * size, low: y, high: y + item.width }]
    }) }
  }))
}

/** What of a PDF's text leaves its page, is cut, or lies over other text. */
export const faults = async (pdf: Buffer) => (await boxesOf(pdf)).flatMap(({ width, height, boxes }, p) => boxes.flatMap((one, i) => [
  ...(one.left < 8 || one.right > width - 8 || one.low < 8 || one.high > height - 8 ? [`page ${p + 1}: “${one.text}” leaves the page`] : []),
  ...(/…$/.test(one.text) ? [`page ${p + 1}: “${one.text}” is cut`] : []),
  ...boxes.slice(i + 1).flatMap(two => Math.min(one.right, two.right) - Math.max(one.left, two.left) > 0.8 && Math.min(one.high, two.high) - Math.max(one.low, two.low) > 0.8 ? [`page ${p + 1}: “${one.text}” over “${two.text}”`] : []),
]))
