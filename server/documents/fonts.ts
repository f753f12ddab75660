import { readFile } from 'node:fs/promises'
import type { DocumentFonts } from './pdf'

let known: Promise<DocumentFonts> | null = null

/** Fonts that documents are set in, with the Greek and the mathematical signs that formulas need; they lie beside the thread's file, and are read once. */
export function documentFonts(): Promise<DocumentFonts> {
  known ??= Promise.all(['DejaVuSans.ttf', 'DejaVuSans-Bold.ttf'].map(name => readFile(new URL(`./${name}`, import.meta.url)))).then(([regular, bold]) => ({ regular: regular!, bold: bold! }))
  return known
}
