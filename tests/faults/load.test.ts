import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { setTimeout as later } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { seeded } from '../fixtures/random'
import { bigJob } from '../fixtures/big-job'
import { Client, Cluster, often, Server } from './machine'

const cluster = new Cluster()
let server: Server
beforeAll(async () => {
  const databaseUrl = cluster.start()
  cluster.setUp()
  // Each request comes from an address of its own, so that what holds off a flood does not answer first.
  server = new Server({ NUXT_DATABASE_URL: databaseUrl, NUXT_BEHIND_PROXY: 'true' })
  await server.start()
})
afterAll(async () => {
  await server.kill()
  cluster.destroy()
})

describe('nonsense', () => {
  it('of ten thousand kinds (a quarter of them in the suite) gets no answer that says the server broke', async () => {
    const client = await new Client(server).enter('owner')
    const { next: random, pick } = seeded(31)
    const jobId = '2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0002'
    const texts = ['', '\0', 'a\0b', '\uD800', '\uDFFF x', '💥', 'x'.repeat(5000), '../../etc', '\'; drop table jobs; --', '%00', '1e999', '-1', '2147483648', '9007199254740993', randomUUID(), 'null', '{}', '\u202E']
    const value = (depth = 0): unknown => pick<() => unknown>([
      () => pick(texts), () => random() * 1e308, () => -(2 ** 31) - 1, () => 2 ** 53 + 2, () => null, () => true, () => [], () => ({}), () => Number.MAX_VALUE,
      ...(depth < 4 ? [() => Array.from({ length: Math.floor(random() * 4) }, () => value(depth + 1)), () => Object.fromEntries(Array.from({ length: 3 }, () => [pick([...texts.slice(0, 6), 'id', 'edit', 'values', 'faceId', 'type', 'entries']), value(depth + 1)]))] : []),
    ])()
    const entry = () => ({ id: pick([randomUUID(), 'x', 7]), kind: pick(['edit', 'undo', 'burn']), edit: { type: pick(['set-face', 'set-array', 'set-row', 'set-job', 'add-face', 'log-hits', 'batch', 'nothing']), faceId: pick(['main', '\0', 'x']), values: value(), hits: value(), face: value(), at: value(), edits: value(), row: value() } })
    const bodies: (() => unknown)[] = [
      value, () => ({ baseVersion: value(), entries: [entry()] }), () => ({ baseVersion: null, entries: Array.from({ length: 3 }, entry) }), () => ({ baseVersion: 2 ** 31, entries: [entry()] }), () => ({ ticks: [{ item: pick(texts), done: value() }] }),
      () => ({ id: randomUUID(), version: value(), note: pick(texts) }), () => ({ id: randomUUID(), job: value() }), () => ({ email: pick(texts), role: value(), id: value() }), () => ({ caption: pick(texts) }), () => ({ revision: value(), days: value(), note: pick(texts), id: randomUUID() }),
      () => ({ changes: [{ shelf: pick(['modules', 'boats']), item: value(), was: value() }] }), () => ({ token: pick(texts) }), () => ({ currency: pick(texts) }),
    ]
    const paths = ['jobs', 'jobs/file', `jobs/${jobId}`, `jobs/${jobId}/edits`, `jobs/${jobId}/ticks`, `jobs/${jobId}/sheets`, `jobs/${jobId}/links`, `jobs/${jobId}/copy`, `jobs/${jobId}/photographs`, `jobs/${jobId}/photographs/${randomUUID()}`, `jobs/${jobId}/links/x`, `jobs/${jobId}/mark-out.pdf`, `jobs/${jobId}/faces/main/drawing.svg`, 'shelf', 'shelf/changes', 'shelf/currency', 'shelf/file', 'shelf/modules/x', 'people', 'people/x', 'invitations', 'links/open', 'join/look', 'codes', 'me', 'me/passphrase', 'outbox', 'session/demo']
    const broken: string[] = []
    const statuses = new Map<number, number>()
    const one = async () => {
      const method = pick(['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'POST'])
      // Deleting what the others ask for would leave nothing to ask.
      const path = pick(method === 'DELETE' ? paths.filter(each => each !== `jobs/${jobId}`) : paths)
      const query = Array.from({ length: Math.floor(random() * 3) }, () => `${pick(['since', 'list', 'revision', 'paper', 'order', 'after', 'search', 'caption', 'name', 'units', 'archived', 'id'])}=${pick([...texts.filter(text => !/[\uD800-\uDFFF]/.test(text)).map(encodeURIComponent), '%', '%ff', '%E0%A4%A'])}`).join('&')
      const raw = pick([() => JSON.stringify(pick(bodies)()), () => '{"torn', () => '[[[[', () => '\u0000', () => '"\\ud800"', () => `{"a":${'['.repeat(3000)}${']'.repeat(3000)}}`])()
      const address = `/api/${path}${query && `?${query}`}`
      const answer = await fetch(`${server.address}${address}`, { method, headers: { 'cookie': client.cookie, 'content-type': pick(['application/json', 'text/plain', 'image/png', 'text/csv']), 'x-forwarded-for': Array.from({ length: 4 }, () => Math.floor(random() * 250)).join('.') }, ...(method === 'GET' ? {} : { body: raw }) })
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
      const said = await answer.text()
      if (answer.status >= 500) broken.push(`${answer.status} ${method} ${address} ${raw.slice(0, 300)} ${said.slice(0, 200)}`)
    }
    const N = often(10_000, 2_500)
    for (let i = 0; i < N; i += 20) await Promise.all(Array.from({ length: 20 }, one))
    expect(broken.slice(0, 5)).toEqual([])
    expect([...statuses.values()].reduce((sum, n) => sum + n, 0)).toBe(N)
    expect(statuses.get(400)).toBeGreaterThan(N / 20)
    for (const [status, n] of statuses) expect([status, n < N / 10 || [400, 401, 403, 404, 405, 415, 200].includes(status)]).toEqual([status, true])
    const health = await fetch(`${server.address}/api/health`)
    expect(health.status).toBe(200)
  })
  it('of a size that nobody sends is refused before it is taken in', async () => {
    const client = await new Client(server).enter()
    const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024
    const before = memory()
    const chunk = new Uint8Array(1 << 20).fill(32)
    const body = new ReadableStream({ start(controller) {
      for (let i = 0; i < 200; i++) controller.enqueue(chunk)
      controller.close()
    } })
    const answer = await fetch(`${server.address}/api/jobs/file`, { method: 'POST', headers: { 'cookie': client.cookie, 'content-type': 'application/json' }, body, duplex: 'half' } as RequestInit).catch(() => null)
    if (answer) expect(answer.status).toBe(413)
    expect(memory() - before).toBeLessThan(150)
  })
})

// Last, since nobody waits until all of it is worked out.
describe('a job that takes long', () => {
  it('of some keeps nobody else waiting: health and other people’s sheets are answered while four of them are worked out', async () => {
    const client = await new Client(server).enter()
    const big = bigJob()
    const sent = await Promise.all(Array.from({ length: 4 }, () => client.ask('POST', '/api/jobs/file', big)))
    expect(sent.map(one => [one.status, one.status === 201 ? '' : JSON.stringify(one.json())])).toEqual(sent.map(() => [201, '']))
    const jobIds = sent.map(one => one.json<{ jobId: string }>().jobId)
    let ready = 0
    const asked = Promise.all(jobIds.map(jobId => client.ask('GET', `/api/jobs/${jobId}/mark-out.pdf`).then(() => ready++)))
    await later(300)
    let answered = 0
    while (!ready && answered < 150) {
      expect((await fetch(`${server.address}/api/health`)).status).toBe(200)
      answered++
      await later(15)
    }
    // Nobody waits for a plan of another's: a server that plans in its own thread answers once between two of them, however fast the machine is.
    expect(answered).toBeGreaterThan(20)
    // They can still be edited, and the list is there.
    const { jobs } = (await client.ask('GET', '/api/jobs?order=opened')).json<{ jobs: { jobId: string }[] }>()
    expect(jobs.map(job => job.jobId)).toEqual(expect.arrayContaining(jobIds))
    expect((await client.ask('POST', `/api/jobs/${jobIds[0]}/edits`, { baseVersion: 0, entries: [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-job', values: { title: 'Still edited' } } }] })).status).toBe(200)
    // How long they take is the machine's matter, and nobody here waits for it.
    void asked.catch(() => {})
  })
})
