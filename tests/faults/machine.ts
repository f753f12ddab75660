import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as later } from 'node:timers/promises'

/** `FAULTS=few` does less of what only numbers make surer: for a suite that is run often. */
export const often = (full: number, few: number): number => process.env.FAULTS === 'few' ? few : full

/** The last line that a command prints. */
const run = (command: string, args: string[], env: NodeJS.ProcessEnv): string => execFileSync(command, args, { encoding: 'utf8', env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] }).trim().split('\n').at(-1)!

export const freePort = (): Promise<number> => new Promise((resolve) => {
  const probe = createServer()
  probe.listen(0, '127.0.0.1', () => {
    const { port } = probe.address() as AddressInfo
    probe.close(() => resolve(port))
  })
})

/** A PostgreSQL cluster of its own, which may be killed without anybody else's harm. */
export class Cluster {
  readonly home = mkdtempSync(join(tmpdir(), 'ud-pg-'))
  readonly env = { UPPER_DECK_PG_HOME: this.home }
  constructor() {
    chmodSync(this.home, 0o755)
  }

  /** Starts it, or again after it was killed; answers with the address for the app. */
  start = (): string => run('scripts/pg.sh', ['start'], this.env)
  owner = (): string => run('scripts/pg.sh', ['owner'], this.env)
  setUp = (demo = true): string => execFileSync('npx', ['tsx', 'db/set-up.ts'], { encoding: 'utf8', env: { ...process.env, UPPER_DECK_OWNER_URL: this.owner(), UPPER_DECK_DEMO: demo ? 'yes' : 'no' }, stdio: ['ignore', 'pipe', 'pipe'] })

  /** Kills every process of it at once, as when the power goes. */
  kill(): void {
    const pid = execFileSync('bash', ['-c', `. scripts/cluster.sh; as head -1 "$DATA/postmaster.pid"`], { encoding: 'utf8', env: { ...process.env, ...this.env } }).trim()
    const children = execFileSync('bash', ['-c', `pgrep -P ${pid} || true`], { encoding: 'utf8' }).trim().split('\n').filter(Boolean)
    for (const one of [pid, ...children]) {
      try {
        process.kill(Number(one), 'SIGKILL')
      }
      catch {
        // It went with the first.
      }
    }
  }

  destroy(): void {
    try {
      run('scripts/pg.sh', ['stop'], this.env)
    }
    finally {
      rmSync(this.home, { recursive: true, force: true })
    }
  }
}

/** A copy of the built server. */
export class Server {
  private process: ChildProcess | null = null
  address = ''
  constructor(private readonly env: NodeJS.ProcessEnv) {}

  async start(port = 0): Promise<void> {
    const at = port || Number(this.address.split(':').at(-1)) || await freePort()
    this.address = `http://127.0.0.1:${at}`
    this.process = spawn(process.execPath, ['.output/server/index.mjs'], {
      stdio: process.env.FAULTS_LOUD ? 'inherit' : 'ignore',
      env: { ...process.env, NUXT_DEMO: 'true', NUXT_SESSION_PASSWORD: 'only-for-the-fault-tests-32-characters!', NITRO_HOST: '127.0.0.1', NITRO_PORT: String(at), ...this.env },
    })
    for (let i = 0; i < 400; i++) {
      if (await fetch(`${this.address}/api/entry`).then(answer => answer.ok, () => false)) return
      await later(25)
    }
    throw new Error('The server did not start.')
  }

  /** As when the machine falls over. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
    const dead = new Promise(resolve => this.process!.once('exit', resolve))
    this.process!.kill(signal)
    await dead
  }

  get pid(): number {
    return this.process!.pid!
  }
}

/** Somebody who is signed in, by the cookie that the server gave. */
export class Client {
  cookie = ''
  constructor(public server: { address: string }) {}

  async enter(role = 'planner'): Promise<this> {
    const answer = await fetch(`${this.server.address}/api/session/demo`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ role }) })
    this.cookie = answer.headers.getSetCookie().map(one => one.split(';')[0]).join('; ')
    return this
  }

  async ask(method: string, path: string, body?: unknown): Promise<{ status: number, json: <T>() => T }> {
    const answer = await fetch(`${this.server.address}${path}`, {
      method, signal: AbortSignal.timeout(40_000),
      headers: { cookie: this.cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await answer.text()
    return { status: answer.status, json: <T>() => JSON.parse(text) as T }
  }
}
