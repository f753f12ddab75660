import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { setTimeout as later } from 'node:timers/promises'
import { expect, it } from 'vitest'
import { freePort } from './machine'

/** What a process has had of a processor, hundredths of a second. */
function ticksOf(pid: number): number {
  const after = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
  return Number(after[11]) + Number(after[12])
}

it('a server whose words nobody reads any more goes on answering, and does not run hot over it', { timeout: 60_000 }, async () => {
  const port = await freePort()
  // No database: every question has something to be said.
  const child = spawn(process.execPath, ['.output/server/index.mjs'], { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port), NUXT_DATABASE_URL: 'postgres://nobody@127.0.0.1:1/none' } })
  try {
    await new Promise(resolve => child.stdout.once('data', resolve))
    child.stdout.destroy()
    child.stderr.destroy()
    const ask = () => fetch(`http://127.0.0.1:${port}/api/session`, {
      method: 'POST', signal: AbortSignal.timeout(10_000), headers: { 'content-type': 'application/json', 'origin': `http://127.0.0.1:${port}` }, body: JSON.stringify({ email: 'helper@office.example', passphrase: 'long enough for anybody' }),
    }).then(answer => answer.status)
    for (let i = 0; i < 3; i++) expect(await ask()).toBe(503)
    const before = ticksOf(child.pid!)
    await later(1500)
    // A loop would have had all 150 of them.
    expect(ticksOf(child.pid!) - before).toBeLessThan(75)
  }
  finally {
    child.kill('SIGKILL')
  }
})
