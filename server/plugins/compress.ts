import { promisify } from 'node:util'
import { brotliCompress, constants, gzip } from 'node:zlib'

const [brotli, gz] = [promisify(brotliCompress), promisify(gzip)]
/** Shorter answers gain nothing. */
const LEAST_BYTES = 1400
/** Quick enough for an answer made at this moment: at this quality brotli is as fast as gzip and packs tighter. */
const BROTLI_QUALITY = 4

/** Packs answers in JSON and tables on their way out; documents and pictures are packed already. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('beforeResponse', async (event, response) => {
    // Nobody needs to know what this is made with.
    removeResponseHeader(event, 'x-powered-by')
    const accepted = getRequestHeader(event, 'accept-encoding') ?? ''
    const encoding = /\bbr\b/.test(accepted) ? 'br' : /\bgzip\b/.test(accepted) ? 'gzip' : null
    if (!encoding || !event.path.startsWith('/api/') || getResponseHeader(event, 'content-encoding')) return
    const { body } = response
    const type = String(getResponseHeader(event, 'content-type') ?? 'application/json')
    if (body === null || body === undefined || Buffer.isBuffer(body) || body instanceof ReadableStream || !/json|csv|svg|text/.test(type)) return
    const text = typeof body === 'string' ? body : JSON.stringify(body)
    if (text.length < LEAST_BYTES) return
    response.body = encoding === 'br' ? await brotli(text, { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } }) : await gz(text)
    setResponseHeaders(event, { 'content-type': type, 'content-encoding': encoding })
    appendResponseHeader(event, 'vary', 'accept-encoding')
  })
})
