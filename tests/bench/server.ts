import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as later } from 'node:timers/promises'
import autocannon from 'autocannon'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { bigJob } from '../fixtures/big-job'
import { threeRowsOfSix } from '../fixtures/jobs'

/** What the server bears, on a database of its own on the project's cluster. Machines differ: compare, don't quote. */
const soakSeconds = Number(process.argv[2] ?? 300)
const pg = (...args: string[]) => execFileSync('scripts/pg.sh', args, { encoding: 'utf8' }).trim().split('\n').at(-1)!
pg('start')
const databaseUrl = pg('reset', 'upper_deck_bench')
execFileSync('npx', ['tsx', 'db/set-up.ts'], { env: { ...process.env, UPPER_DECK_OWNER_URL: pg('owner', 'upper_deck_bench') }, stdio: 'ignore' })

const delayFile = join(tmpdir(), `loop-delay-${process.pid}.json`)
const [app, bare] = [3193, 3194].map(port => `http://127.0.0.1:${port}`) as [string, string]
const common = { ...process.env, NUXT_DATABASE_URL: databaseUrl, NITRO_HOST: '127.0.0.1' }
const servers: ChildProcess[] = [
  spawn(process.execPath, ['--import', './tests/bench/loop-delay.mjs', '.output/server/index.mjs'], { stdio: ['ignore', 'ignore', 'inherit'], env: { ...common, NITRO_PORT: '3193', NUXT_DEMO: 'true', NUXT_BEHIND_PROXY: 'true', NUXT_SESSION_PASSWORD: 'only-for-the-benchmark-32-characters!', LOOP_DELAY_FILE: delayFile } }),
  spawn(process.execPath, ['tests/bench/bare-server.mjs'], { stdio: ['ignore', 'ignore', 'inherit'], env: { ...common, NITRO_PORT: '3194', BARE_FIRM: DEMO_FIRM_ID } }),
]
process.on('exit', () => servers.forEach(one => one.kill('SIGKILL')))
const up = async (address: string) => {
  while (!await fetch(address).then(() => true, () => false)) await later(50)
}
await Promise.all([up(`${app}/api/entry`), up(`${bare}/2d0c7f7a-0f5e-4f6c-8f10-5a4b3c2d0001`)])

const entered = await fetch(`${app}/api/session/demo`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{"role":"planner"}' })
const cookie = entered.headers.getSetCookie().map(one => one.split(';')[0]).join('; ')
/** Each call from an address of its own, so that what holds off a flood is not measured. */
const from = () => ({ cookie, 'content-type': 'application/json', 'x-forwarded-for': Array.from({ length: 4 }, () => Math.floor(Math.random() * 250)).join('.') })
const ask = async (method: string, path: string, body?: unknown) => {
  const answer = await fetch(`${app}${path}`, { method, headers: from(), ...(body === undefined ? {} : { body: JSON.stringify(body) }) })
  return { status: answer.status, body: await answer.json() as Record<string, never> }
}
const fixed = (value: number, digits = 1): string => value.toFixed(digits)
const p = (times: number[], share: number): number => [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))]!
const jobId = randomUUID()
await ask('POST', '/api/jobs', { id: jobId, job: threeRowsOfSix() })

// A handler that reads the same row, taken in turns so that both have the same machine.
const round = async (url: string) => (await autocannon({ url, connections: 20, duration: 5, requests: [{ setupRequest: request => ({ ...request, headers: from() }) }] })).requests.average
const ratios: number[] = []
let [ours, theirs] = [0, 0]
for (let i = 0; i < 4; i++) {
  ours = await round(`${app}/api/jobs/${jobId}?shelf=0`)
  theirs = await round(`${bare}/${jobId}`)
  ratios.push(ours / theirs)
}
console.log(`A job read, 20 connections: ${Math.round(ours)} a second, a bare handler ${Math.round(theirs)}; ratio ${fixed(p(ratios, 0.5), 2)} (${ratios.map(one => fixed(one, 2)).join(', ')})`)

// Big jobs among many.
const loopDelay = async () => {
  rmSync(delayFile, { force: true })
  servers[0]!.kill('SIGUSR2')
  await later(200)
  return JSON.parse(readFileSync(delayFile, 'utf8')) as { p50: number, p99: number, max: number }
}
const healths = async (seconds: number) => {
  const times: number[] = []
  for (const end = Date.now() + seconds * 1000; Date.now() < end;) {
    const start = performance.now()
    await (await fetch(`${app}/api/health`)).text()
    times.push(performance.now() - start)
    await later(10)
  }
  return times
}
const bigs = await Promise.all(Array.from({ length: 4 }, async () => ((await ask('POST', '/api/jobs/file', bigJob())).body as unknown as { jobId: string }).jobId))
await healths(2)
await loopDelay()
const idle = await healths(8)
const idleLoop = await loopDelay()
const planning = Promise.all(bigs.map(id => fetch(`${app}/api/jobs/${id}/mark-out.pdf`, { headers: from() }).then(answer => answer.status)))
await later(500)
await loopDelay()
const busy = await healths(12)
const busyLoop = await loopDelay()
console.log(`Health while four big jobs are planned: p99 ${fixed(p(busy, 0.99))} ms, idle ${fixed(p(idle, 0.99))} ms; median ${fixed(p(busy, 0.5))} and ${fixed(p(idle, 0.5))} ms. Event loop held up: p99 ${fixed(busyLoop.p99)} ms, idle ${fixed(idleLoop.p99)} ms`)
console.log(`  those four were answered with ${(await planning).join(', ')} (422: takes too long, said with what makes it big)`)

// Writers.
const faces = Array.from({ length: 20 }, (_, i) => ({ ...threeRowsOfSix().faces[0]!, id: `f${i}`, name: `Face ${i}` }))
async function writers(seconds: number, faceOf: (writer: number) => string) {
  const id = randomUUID()
  await ask('POST', '/api/jobs', { id, job: { ...threeRowsOfSix(), faces } })
  const tries: number[] = []
  const end = Date.now() + seconds * 1000
  await Promise.all(faces.map(async (_, writer) => {
    let version = 0
    for (let n = 0; Date.now() < end; n++) {
      const entry = { id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: faceOf(writer), values: { pitchDeg: 20 + (n + writer) % 30 } } }
      for (let tried = 1; ; tried++) {
        const { status, body } = await ask('POST', `/api/jobs/${id}/edits`, { baseVersion: version, insist: tried > 1, entries: [entry] })
        if (status === 200) {
          version = (body as unknown as { version: number }).version
          tries.push(tried)
          break
        }
        if (status !== 409 || tried > 9) throw new Error(`answered ${status}`)
      }
    }
  }))
  return tries
}
for (const [name, faceOf] of [['facts of their own', (writer: number) => `f${writer}`], ['one fact', () => 'f0']] as const) {
  const tries = await writers(15, faceOf)
  console.log(`20 writers for 15 s on ${name}: ${tries.length} edits, all in; tries: most ${Math.max(...tries)}, p99 ${p(tries, 0.99)}, at the first ${fixed(100 * tries.filter(one => one === 1).length / tries.length)} %`)
}

// Memory over a soak.
const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${servers[0]!.pid}/status`, 'utf8'))![1]) / 1024
const samples: number[] = []
const soak = autocannon({
  url: app, connections: 20, duration: soakSeconds,
  requests: [`/api/jobs/${jobId}?shelf=0`, '/api/jobs', `/api/jobs/${jobId}/edits?since=0`, '/api/me', '/api/shelf', '/api/health'].map(path => ({ path, setupRequest: request => ({ ...request, headers: from() }) })),
})
const sampling = setInterval(() => samples.push(memory()), Math.max(1000, soakSeconds * 20))
const soaked = await soak
clearInterval(sampling)
const third = Math.floor(samples.length / 3)
const mean = (values: number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
console.log(`Soak of ${soakSeconds} s at 20 connections: ${soaked.requests.total} answers, ${soaked.non2xx} refused, p99 ${soaked.latency.p99} ms; memory ${Math.round(mean(samples.slice(third, 2 * third)))} MB in the second third, ${Math.round(mean(samples.slice(2 * third)))} MB in the last (most ${Math.round(Math.max(...samples))})`)
process.exit(0)
