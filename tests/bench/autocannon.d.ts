declare module 'autocannon' {
  interface Request { path?: string, headers?: Record<string, string>, setupRequest?: (request: Request) => Request }
  interface Result { requests: { average: number, total: number }, latency: { p99: number }, non2xx: number }
  /** Asks again and again over so many connections for so many seconds. */
  export default function autocannon(options: { url: string, connections: number, duration: number, requests: Request[] }): Promise<Result>
}
