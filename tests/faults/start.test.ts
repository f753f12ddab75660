import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { Cluster, freePort } from './machine'

const cluster = new Cluster()
const state = join(mkdtempSync(join(tmpdir(), 'ud-start-')), 'serving.json')
const running: ChildProcess[] = []
afterAll(async () => {
  for (const one of running) if (one.exitCode === null) await stopped(one)
  cluster.destroy()
  rmSync(state, { force: true })
})

/** `npm start` without what it sets up, on a cluster and a port of its own; gathers what it says. */
function start(port: number | string, args: string[] = [], env: NodeJS.ProcessEnv = {}): { process: ChildProcess, said: () => string } {
  let said = ''
  const child = spawn(process.execPath, ['scripts/serve.mjs', ...args], { env: { ...process.env, ...cluster.env, PORT: String(port), UPPER_DECK_STATE: state, ...env }, stdio: ['ignore', 'pipe', 'pipe'] })
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', chunk => said += chunk)
  running.push(child)
  return { process: child, said: () => said }
}
const stopped = (child: ChildProcess) => new Promise((resolve) => {
  child.once('exit', resolve)
  child.kill('SIGTERM')
})
const ended = (child: ChildProcess) => new Promise(resolve => child.exitCode === null ? child.once('exit', resolve) : resolve(child.exitCode))
const health = (address: string) => fetch(`${address}/api/health`).then(async answer => `${answer.status} ${await answer.text()}`, () => 'away')
const childOf = (pid: number) => Number(execFileSync('pgrep', ['-P', String(pid), '-f', 'index.mjs'], { encoding: 'utf8' }).trim().split('\n')[0])

describe('npm start', () => {
  it('stays by the server and its database: both are started again when they die; a second start says what runs, and can take over', async () => {
    const port = await freePort()
    const address = `http://127.0.0.1:${port}`
    const first = start(port)
    await expect.poll(() => health(address), { timeout: 90_000, interval: 300 }).toMatch(/^200/)
    expect(first.said()).toContain(`Upper Deck is at ${address}, with the demo`)

    process.kill(childOf(first.process.pid!), 'SIGKILL')
    await expect.poll(() => first.said(), { timeout: 20_000, interval: 20 }).toContain('It is started again')
    await expect.poll(() => health(address), { timeout: 30_000, interval: 200 }).toMatch(/^200/)

    cluster.kill()
    // On a busy machine it may be back before anybody looked.
    await expect.poll(async () => `${await health(address)} ${first.said()}`, { timeout: 20_000, interval: 50 }).toMatch(/^503 .*"database":false|PostgreSQL has died/)
    await expect.poll(() => health(address), { timeout: 30_000, interval: 300 }).toMatch(/^200/)
    expect(first.said()).toContain('PostgreSQL has died. It is started again.')

    const second = start(await freePort())
    await ended(second.process)
    expect(second.said()).toMatch(new RegExp(`Upper Deck runs already, at ${address} since .*npm start -- --take-over`))
    const third = start(port, ['--take-over'])
    await expect.poll(() => first.process.exitCode !== null && health(address), { timeout: 60_000, interval: 300 }).toMatch(/^200/)
    await stopped(third.process)
    expect(await health(address)).toBe('away')
  })

  it('says of a port that is taken, or is none, what to give instead', async () => {
    const taken = createServer()
    const port = await freePort()
    await new Promise<void>(resolve => taken.listen(port, '127.0.0.1', resolve))
    for (const [asked, says] of [[port, `Port ${port} is taken. Choose another: PORT=3200 npm start`], ['harbour', 'PORT is “harbour”, which is no port. Give a number: PORT=3200 npm start'], [99_999, 'which is no port']] as const) {
      const one = start(asked)
      expect(await ended(one.process)).toBe(1)
      expect(one.said()).toContain(says)
    }
    taken.close()
  })

  it('on the local network serves over TLS by a certificate of its own, in whose name a phone signs in; empty, it has no demo and prints the first owner’s link', async () => {
    const port = await freePort()
    execFileSync('scripts/pg.sh', ['start'], { env: { ...process.env, ...cluster.env }, stdio: 'ignore' })
    const lan = start(port, ['--lan'], { UPPER_DECK_DEMO: 'no' })
    await expect.poll(() => lan.said(), { timeout: 90_000, interval: 300 }).toMatch(/fingerprint[\s\S]*([0-9A-F]{2}:){31}/)
    const [, address] = /Upper Deck is at (https:\/\/[\d.]+:\d+)/.exec(lan.said())!
    expect(lan.said()).toMatch(new RegExp(`The first owner joins here, once, within a week: ${address}/join#[\\w-]{70,}`))
    const ask = (path: string, ...more: string[]) => execFileSync('curl', ['-s', '--cacert', '.data/secrets/tls-cert.pem', ...more, `${address}${path}`], { encoding: 'utf8' })
    await expect.poll(() => {
      try {
        return ask('/api/entry')
      }
      catch {
        return ''
      }
    }, { timeout: 20_000 }).toContain('"demo":[]')
    expect(ask('/api/session/demo', '-X', 'POST', '-H', 'content-type: application/json', '-d', '{"role":"planner"}')).toContain('no demo here')
    await stopped(lan.process)
  })
})
