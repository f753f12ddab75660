import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url'

/** Reads what bars and squares say in a picture, all kinds that labels of modules carry; works without a signal. */
export interface CodeReader { read: (picture: ImageBitmapSource) => Promise<string[]> }

/** The reader, loaded when it is wanted: its program is large and lies on the device from the first visit on. */
export async function codeReader(): Promise<CodeReader> {
  const { BarcodeDetector, prepareZXingModule } = await import('barcode-detector/ponyfill')
  prepareZXingModule({ overrides: { locateFile: (path: string, prefix: string) => path.endsWith('.wasm') ? wasmUrl : prefix + path } })
  const detector = new BarcodeDetector({ formats: ['code_128', 'code_39', 'data_matrix', 'qr_code', 'ean_13', 'itf'] })
  return { read: async picture => (await detector.detect(picture)).map(({ rawValue }) => rawValue) }
}

/** A scanner that types, as one held in the hand does; a stand-in types invented numbers, one after the other. */
export interface TypingScanner { name: string, scan: () => string }
export const simulatedScanner = (start = Math.floor(Math.random() * 900_000)): TypingScanner => {
  let next = start
  return { name: 'Stand-in for a scanner: its numbers are made up', scan: () => `SKG26-${String(++next).padStart(6, '0')}` }
}
