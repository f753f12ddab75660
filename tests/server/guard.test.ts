import './globals'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, eventHandler, toNodeListener } from 'h3'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import guard from '../../server/middleware/guard'

let server: Server
let address = ''
beforeAll(async () => {
  server = createServer(toNodeListener(createApp({ onError: () => {} }).use(guard).use(eventHandler(() => ({ reached: true })))))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => server.close())
const ask = (path: string, method = 'GET', headers: Record<string, string> = {}) => fetch(`${address}${path}`, { method, headers })

describe('the guard before every call', () => {
  it.each<[string, Record<string, string>, number]>([
    ['by a page of this site', { 'sec-fetch-site': 'same-origin' }, 200], ['by an address that was typed', { 'sec-fetch-site': 'none' }, 200], ['by a program', {}, 200],
    ['by a page of another site', { 'sec-fetch-site': 'cross-site' }, 403], ['by a page beside it', { 'sec-fetch-site': 'same-site' }, 403],
    ['by an older browser on another site', { origin: 'https://elsewhere.example' }, 403], ['from nowhere', { origin: 'null' }, 403],
  ])('a change %s', async (_, headers, status) => {
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE']) expect((await ask('/api/jobs', method, headers)).status).toBe(status)
    expect((await ask('/api/jobs', 'GET', headers)).status).toBe(200)
  })
  it('takes an older browser’s own origin', async () => expect((await ask('/api/jobs', 'POST', { origin: address })).status).toBe(200))
  it('says of an address that can’t be read that it can’t', async () => {
    for (const path of ['/api/jobs?a=%00', '/api/jobs/%ff', '/api/jobs?a=%E0%A4%A']) expect((await ask(path)).status).toBe(400)
  })
  it('gives every answer headers of its own, and stays out of the way of pages', async () => {
    const { headers } = await ask('/api/jobs')
    expect([headers.get('cache-control'), headers.get('x-content-type-options'), headers.get('content-security-policy')]).toEqual(['no-store', 'nosniff', 'default-src \'none\'; frame-ancestors \'none\'; sandbox'])
    expect((await ask('/jobs', 'GET')).headers.get('cache-control')).toBeNull()
  })
  it('holds off a flood from one address, and neither health nor anybody else', async () => {
    const from = { 'x-forwarded-for': '10.9.9.9' }
    const seen = new Set<number>()
    for (let i = 0; i < 130; i++) for (const answer of await Promise.all(Array.from({ length: 25 }, () => ask('/api/jobs', 'GET', from)))) seen.add(answer.status)
    expect([...seen].sort()).toEqual([200, 429])
    expect((await ask('/api/health', 'GET', from)).status).toBe(200)
    expect((await ask('/api/jobs', 'GET', { 'x-forwarded-for': '10.9.9.8' })).status).toBe(200)
  })
})
