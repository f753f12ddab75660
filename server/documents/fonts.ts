import type { DocumentFonts } from './pdf'

let known: Promise<DocumentFonts> | null = null

async function read(name: string): Promise<Buffer> {
  const bytes = await useStorage('assets:fonts').getItemRaw<Uint8Array>(name)
  if (!bytes) throw new Error(`The font ${name} is not shipped with this server.`)
  return Buffer.from(bytes)
}

/** Fonts that documents are set in; read once. */
export function documentFonts(): Promise<DocumentFonts> {
  known ??= Promise.all([read('DejaVuSans.ttf'), read('DejaVuSans-Bold.ttf')]).then(([regular, bold]) => ({ regular: regular!, bold: bold! }))
  return known
}
