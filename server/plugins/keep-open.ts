import type { Server } from 'node:http'

/** Longer than phones and proxies keep a quiet connection (60 s is usual). */
const KEPT_MS = 65_000

/** Node closes a connection that was quiet for 5 s: whoever asks again at that very moment would get no answer. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hookOnce('request', ({ node: { req: { socket } } }) => {
    const { server } = socket as typeof socket & { server?: Server }
    if (server) server.keepAliveTimeout = KEPT_MS
  })
})
