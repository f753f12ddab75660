import type { H3Event } from 'h3'

/** Reads a request's bytes, giving up as soon as there are more than allowed; null then. */
export async function readLimited(event: H3Event, mostBytes: number): Promise<Buffer | null> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > mostBytes) return null
  const chunks: Buffer[] = []
  let bytes = 0
  for await (const chunk of event.node.req) {
    bytes += (chunk as Buffer).length
    if (bytes > mostBytes) return null
    chunks.push(chunk as Buffer)
  }
  return Buffer.concat(chunks)
}
