import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Client, Cluster, Server } from './machine'

const [here, there] = [new Cluster(), new Cluster()]
const folder = join(mkdtempSync(join(tmpdir(), 'ud-backup-')), 'one')
const script = (name: 'backup' | 'restore', cluster: Cluster, ...args: string[]) => execFileSync(`scripts/${name}.sh`, args, { encoding: 'utf8', env: { ...process.env, ...cluster.env }, stdio: ['ignore', 'pipe', 'pipe'] })
let [first, second]: (Server | null)[] = [null, null]
beforeAll(() => {
  here.start()
  here.setUp()
})
afterAll(async () => {
  for (const server of [first, second]) await server?.kill('SIGTERM')
  here.destroy()
  there.destroy()
  rmSync(folder, { recursive: true, force: true })
})

it('a firm’s work is backed up, read back, and restored into an empty cluster where the app goes on with it', async () => {
  first = new Server({ NUXT_DATABASE_URL: here.start() })
  await first.start()
  const client = await new Client(first).enter()
  const { jobs: [job] } = (await client.ask('GET', '/api/jobs')).json<{ jobs: { jobId: string }[] }>()
  const entry = { id: randomUUID(), kind: 'edit', edit: { type: 'set-job', values: { title: 'As it was backed up' } } }
  expect((await client.ask('POST', `/api/jobs/${job!.jobId}/edits`, { baseVersion: null, entries: [entry] })).status).toBe(200)

  expect(script('backup', here, folder)).toMatch(/read back: \d+ tables, \d{2,} rows/)
  // Only whoever runs the server reads it.
  expect(statSync(folder).mode & 0o077).toBe(0)
  expect(() => script('backup', here, folder)).toThrow(/There is a backup/)

  const app = there.start()
  there.setUp(false)
  expect(script('restore', there, folder)).toContain('Everybody signs in again')
  second = new Server({ NUXT_DATABASE_URL: app })
  await second.start()
  const again = await new Client(second).enter()
  const restored = (await again.ask('GET', `/api/jobs/${job!.jobId}`)).json<{ job: { title: string }, made: string[] }>()
  expect([restored.job.title, restored.made]).toEqual(['As it was backed up', [entry.id]])
  const photos = (await again.ask('GET', '/api/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001/photographs')).json<{ photoId: string }[]>()
  for (const one of photos) expect((await fetch(`${second!.address}/api/jobs/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001/photographs/${one.photoId}`, { headers: { cookie: again.cookie } })).headers.get('content-type')).toBe('image/jpeg')
  // The app's role is as small there as it was here, and it can write.
  expect((await again.ask('POST', `/api/jobs/${job!.jobId}/edits`, { baseVersion: null, entries: [{ ...entry, id: randomUUID() }] })).status).toBe(200)
  // Work of somebody else is not overwritten in silence.
  expect(() => script('restore', there, folder)).toThrow(/--replace/)
  expect(script('restore', there, folder, '--replace')).toContain('kept as upper_deck_before')
  expect((await (await new Client(second).enter()).ask('GET', `/api/jobs/${job!.jobId}`)).json<{ made: string[] }>().made).toEqual([entry.id])
})

it('a damaged backup is not restored', () => {
  const dump = join(folder, 'database.dump')
  const bytes = readFileSync(dump)
  bytes[Math.floor(bytes.length / 2)]! ^= 1
  writeFileSync(dump, bytes)
  expect(() => script('restore', there, folder, '--replace')).toThrow(/damaged/)
})

it('a database that a newer version was at is left alone, in a sentence with the command that helps', () => {
  execFileSync('scripts/pg.sh', ['psql', '-c', 'insert into migrations (name, run_on) values (\'9999_from-later\', now())'], { env: { ...process.env, ...here.env }, stdio: 'ignore' })
  expect(() => here.setUp()).toThrow(/A newer version of Upper Deck has been at this database \(9999_from-later\).*npm run restore/)
})
