import { randomUUID } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, createRouter, type EventHandler, toNodeListener } from 'h3'
import type { QueryResultRow } from 'pg'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { demoCatalogue } from '../../core/catalogue'
import type { Job } from '../../core/job'
import type { Role } from '../../core/people'
import { threeRowsOfSix } from '../fixtures/jobs'
import { sqlAsFirm } from '../fixtures/sql'

const files = import.meta.glob<{ default: EventHandler }>('../../server/api/**/*.ts', { eager: true })
type Method = 'get' | 'post' | 'put' | 'patch' | 'delete'

/** Every route by its file, as the build finds them: `[id]` is `:id`, and the method stands before the ending. */
export const routes = Object.entries(files).map(([file, { default: handler }]) => {
  const [, path, method] = /server(\/api\/.*?)(?:\/index)?\.(get|post|put|patch|delete)\.ts$/.exec(file)!
  return { method: method as Method, path: path!.replace(/\[(\w+)\]/g, ':$1'), handler }
})

/** Routes that whoever is not signed in may ask, too. */
export const openRoutes = new Set(['get /api/health', 'get /api/entry', 'post /api/session', 'delete /api/session', 'post /api/session/demo', 'post /api/session/forgotten', 'post /api/session/reset', 'post /api/join', 'post /api/join/look', 'post /api/links/open', 'post /api/session/passkey', 'post /api/session/passkey/options'])

/** An address of a route with this job in it, and something in every other place. */
export const addressOf = (path: string, jobId: string) => path.replace(':id', jobId).replace(':face', 'main').replace(/:(photo|person|invitation|link|key)/, randomUUID()).replace(':shelf', 'coverings').replace(':item', 'marram-shingle')
/** What each route with a body is sent, so that nothing but who asks can be wrong with it. */
const bodies: [RegExp, () => { body?: unknown, raw?: string, type?: string }][] = [
  [/^(get|delete) /, () => ({})],
  [/edits$/, () => ({ body: { baseVersion: 0, entries: [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: 'main', values: { pitchDeg: 31 } } }] } })],
  [/ticks$/, () => ({ body: { ticks: [{ item: 'a', done: true }] } })],
  [/sheets$/, () => ({ body: { id: randomUUID(), version: 0, note: '' } })],
  [/links$/, () => ({ body: { id: randomUUID(), revision: null, days: 3, note: '' } })],
  [/:photo$/, () => ({ body: { caption: 'x' } })],
  [/photographs$/, () => ({ raw: 'x', type: 'image/jpeg' })],
  [/jobs\/file$/, () => ({ body: threeRowsOfSix() })],
  [/copy$/, () => ({ body: { id: randomUUID() } })],
  [/^patch .*:id$/, () => ({ body: { archived: false } })],
  [/shelf\/file$/, () => ({ raw: 'x', type: 'text/csv' })],
  [/changes$/, () => ({ body: { changes: [{ shelf: 'modules', item: {}, was: null }] } })],
  [/currency$/, () => ({ body: { currency: 'EUR' } })],
  [/api\/jobs$/, () => ({ body: { id: randomUUID(), job: threeRowsOfSix() } })],
  [/passphrase$/, () => ({ body: { now: 'a', next: 'b' } })],
  [/passkeys\/options$/, () => ({})],
  [/passkeys$/, () => ({ body: { key: { id: 'x' }, name: '' } })],
  [/:person$/, () => ({ body: {} })],
  [/invitations$/, () => ({ body: { id: randomUUID(), email: `${randomUUID()}@example.org`, role: 'lead' } })],
]
export const bodyFor = (method: string, path: string) => bodies.find(([route]) => route.test(`${method} ${path}`))![1]()

export const asFirm = <T extends QueryResultRow>(firmId: string, sql: string, values: unknown[] = []): Promise<T[]> => sqlAsFirm<T>(process.env.ROUTES_DATABASE_URL, firmId, sql, values)

/** The same as the owner of the tables, who makes firms and people. */
export const asKeeper = <T extends QueryResultRow>(firmId: string, sql: string, values: unknown[] = []): Promise<T[]> => sqlAsFirm<T>(process.env.ROUTES_OWNER_URL, firmId, sql, values)

/** A person of a firm with a session that holds. */
export interface Caller { firmId: string, sessionId?: string, linkId?: string, personId: string }

export async function openSession(firmId: string, personId: string, hours = 8): Promise<Caller> {
  const [row] = await asFirm<{ session_id: string }>(firmId, 'insert into sessions (firm_id, person_id, expires_at) values ($1, $2, now() + make_interval(hours => $3)) returning session_id', [
    firmId,
    personId,
    hours,
  ])
  return { firmId, personId, sessionId: row!.session_id }
}

/** Somebody of the demo firm. */
export async function demoPerson(role: Role, hours?: number): Promise<Caller> {
  const [person] = await asFirm<{ person_id: string }>(DEMO_FIRM_ID, 'select person_id from people where role = $1 and left_at is null order by created_at, person_id', [role])
  return await openSession(DEMO_FIRM_ID, person!.person_id, hours)
}
export const demoPlanner = (hours?: number): Promise<Caller> => demoPerson('planner', hours)

/** Another firm with a planner and the demo's shelf, so that it can plan as well. */
export async function otherFirm(): Promise<Caller> {
  const [firmId, personId] = [randomUUID(), randomUUID()]
  await asKeeper(firmId, 'insert into firms (firm_id, name) values ($1, $2)', [firmId, 'Marsh Lane Slaters'])
  await asKeeper(firmId, 'insert into people (firm_id, person_id, name, role, vouches, licence) values ($1, $2, $3, $4, true, $5)', [firmId, personId, 'Dabney Thrift', 'planner', 'Board 7'])
  const { currency: _, ...shelves } = demoCatalogue
  for (const [kind, items] of Object.entries(shelves)) {
    await asFirm(firmId, 'insert into catalogue_items (firm_id, kind, item_id, position, data) select $1, $2, one->>\'id\', nth, one from jsonb_array_elements($3) with ordinality as items(one, nth)', [
      firmId,
      kind,
      JSON.stringify(items),
    ])
  }
  return await openSession(firmId, personId)
}

export async function freshJob(firmId = DEMO_FIRM_ID, job: Job = threeRowsOfSix()): Promise<string> {
  const jobId = randomUUID()
  await asFirm(firmId, 'insert into jobs (firm_id, job_id, document) values ($1, $2, $3)', [firmId, jobId, job])
  return jobId
}

export interface Answer { status: number, headers: Headers, bytes: Buffer, text: string, json: () => unknown, problems: () => { path: string, sentence: string }[] }

/** The routes behind a real listener on loopback, without the rest of the app. */
export class Office {
  private server: Server | null = null
  async open(): Promise<void> {
    const router = createRouter()
    for (const { method, path, handler } of routes) router[method](path, handler)
    this.server = createServer(toNodeListener(createApp({ onError: () => {} }).use(router)))
    await new Promise<void>(resolve => this.server!.listen(0, '127.0.0.1', resolve))
  }

  close(): void {
    this.server?.close()
  }

  async ask(method: Method, path: string, { as = null, body, raw, type, from }: { as?: Caller | null, body?: unknown, raw?: string | Buffer, type?: string, /** The address it is asked from, as a proxy names it. */ from?: string } = {}): Promise<Answer> {
    const { port } = this.server!.address() as AddressInfo
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
      method: method.toUpperCase(), body: raw === undefined ? body === undefined ? undefined : JSON.stringify(body) : raw as BodyInit,
      headers: {
        ...(from ? { 'x-forwarded-for': from } : {}),
        ...(as ? { 'x-test-session': JSON.stringify({ firmId: as.firmId, sessionId: as.sessionId, linkId: as.linkId }) } : {}),
        ...(raw !== undefined || body !== undefined ? { 'content-type': type ?? 'application/json' } : {}),
      },
    })
    const bytes = Buffer.from(await answer.arrayBuffer())
    const text = bytes.toString('utf8')
    const json = () => JSON.parse(text) as unknown
    return {
      status: answer.status,
      headers: answer.headers,
      bytes,
      text,
      json,
      problems: () => (json() as { data?: { problems?: { path: string, sentence: string }[] } }).data?.problems ?? [],
    }
  }
}
