import { createServer, request, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import type { AddressInfo, Socket } from 'node:net'
import config from '../../playwright.config'

/** A link between one phone and the office that can be cut, as a roof cuts it: for the page and for what stands before it alike. */
export interface Link {
  url: string
  /** Cuts it, also what is under way, or mends it. */
  cut: (off: boolean) => void
  /** Lets the office have a new version of the app from now on. */
  newVersion: () => void
  close: () => Promise<void>
}

export async function linkToOffice(): Promise<Link> {
  const office = new URL(config.use!.baseURL!)
  let off = false
  let version = 0
  const sockets = new Set<Socket>()
  const pass = (from: IncomingMessage, to: ServerResponse) => {
    if (off) return void from.socket.destroy()
    const asked = request({ host: office.hostname, port: office.port, method: from.method, path: from.url, headers: { ...from.headers, 'accept-encoding': 'identity' } }, (answer) => {
      const isWorker = version > 0 && from.url === '/sw.js'
      const { 'content-length': _, etag: __, ...headers } = answer.headers
      to.writeHead(isWorker && answer.statusCode === 304 ? 200 : answer.statusCode ?? 502, isWorker ? headers : answer.headers)
      if (isWorker) answer.on('end', () => to.end(`\n// version ${version}`)).pipe(to, { end: false })
      else answer.pipe(to)
    })
    asked.on('error', () => to.destroy())
    // A worker that is asked for anew is sent whole.
    if (version > 0 && from.url === '/sw.js') {
      asked.removeHeader('if-none-match')
      asked.removeHeader('if-modified-since')
    }
    to.on('close', () => asked.destroy())
    from.pipe(asked)
  }
  const server: Server = createServer(pass)
  server.on('connection', (socket) => {
    sockets.add(socket)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => {})
    if (off) socket.destroy()
  })
  await new Promise<void>(ready => server.listen(0, '127.0.0.1', ready))
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    cut: (isOff) => {
      off = isOff
      if (off) for (const socket of sockets) socket.destroy()
    },
    newVersion: () => version++,
    close: () => new Promise((done) => {
      for (const socket of sockets) socket.destroy()
      server.close(() => done())
    }),
  }
}
