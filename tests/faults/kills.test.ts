import { randomUUID } from 'node:crypto'
import { setTimeout as later } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sqlAsFirm } from '../fixtures/sql'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { threeRowsOfSix } from '../fixtures/jobs'
import { Client, Cluster, often, Server } from './machine'

const cluster = new Cluster()
let server: Server
let databaseUrl: string
beforeAll(async () => {
  databaseUrl = cluster.start()
  cluster.setUp()
  server = new Server({ NUXT_DATABASE_URL: databaseUrl })
  await server.start()
})
afterAll(async () => {
  await server.kill('SIGTERM')
  cluster.destroy()
})

/** A crew that types without a pause and sends again what was not answered, each entry under its id, as the page's queue does. */
class Crew {
  private stopped = false
  readonly made: string[] = []
  tries = 0
  private done: Promise<void>[] = []
  constructor(private readonly client: Client, private readonly jobId: string, writers: number) {
    for (let i = 0; i < writers; i++) this.done.push(this.write(i))
  }

  private async write(writer: number): Promise<void> {
    for (let n = 0; !this.stopped; n++) {
      const entry = { id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: `f${writer}`, values: { pitchDeg: 20 + n % 30 } } }
      for (let answered = false; !answered;) {
        this.tries++
        try {
          const { status, json } = await this.client.ask('POST', `/api/jobs/${this.jobId}/edits`, { baseVersion: null, entries: [entry] })
          answered = status === 200
          if (answered) expect(json<{ refused: unknown[] }>().refused).toEqual([])
          else if (status < 500) throw new Error(`refused with ${status}`)
        }
        catch (error) {
          if ((error as Error).message.startsWith('refused')) throw error
          await later(10)
        }
      }
      this.made.push(entry.id)
    }
  }

  /** In the middle of writing: two more are through, and others are on their way. */
  async underWay(): Promise<void> {
    const before = this.made.length
    while (this.made.length < before + 2) await later(5)
    await later(Math.random() * 60)
  }

  async stop(): Promise<void> {
    this.stopped = true
    await Promise.all(this.done)
  }
}

async function jobOfFaces(n: number): Promise<string> {
  const jobId = randomUUID()
  const base = threeRowsOfSix()
  await sqlAsFirm(databaseUrl, DEMO_FIRM_ID, 'insert into jobs (firm_id, job_id, document) values ($1, $2, $3)', [DEMO_FIRM_ID, jobId, { ...base, faces: Array.from({ length: n }, (_, i) => ({ ...base.faces[0]!, id: `f${i}`, name: `Face ${i}` })) }])
  return jobId
}

/** Every entry that was acknowledged is in the history once, and the history has no hole. */
async function nothingLostOrDoubled(jobId: string, crew: Crew): Promise<void> {
  const rows = await sqlAsFirm<{ edit_id: string, version: number }>(databaseUrl, DEMO_FIRM_ID, 'select edit_id, version from job_edits where job_id = $1 order by version', [jobId])
  expect(rows.map(row => row.version)).toEqual(rows.map((_, i) => i + 1))
  expect(rows.map(row => row.edit_id).sort()).toEqual([...crew.made].sort())
  const [job] = await sqlAsFirm<{ version: number }>(databaseUrl, DEMO_FIRM_ID, 'select version from jobs where job_id = $1', [jobId])
  expect(job!.version).toBe(rows.length)
}

describe('what was acknowledged', () => {
  it('is there once, after fifty deaths of the server in the middle of writing (fifteen in the suite)', async () => {
    const jobId = await jobOfFaces(4)
    const crew = new Crew(await new Client(server).enter(), jobId, 4)
    for (let i = 0; i < often(50, 15); i++) {
      await crew.underWay()
      await server.kill()
      await server.start()
    }
    await crew.stop()
    expect(crew.made.length).toBeGreaterThan(often(100, 30))
    expect(crew.tries).toBeGreaterThan(crew.made.length)
    await nothingLostOrDoubled(jobId, crew)
  })

  it('is there once, after ten deaths of PostgreSQL (four in the suite), which the server finds again by itself and says so meanwhile', async () => {
    const jobId = await jobOfFaces(4)
    const client = await new Client(server).enter()
    const crew = new Crew(client, jobId, 4)
    const healths = new Set<string>()
    for (let i = 0; i < often(10, 4); i++) {
      await crew.underWay()
      cluster.kill()
      if (i < 2) {
        await expect.poll(async () => await fetch(`${server.address}/api/health`).then(async answer => `${answer.status} ${await answer.text()}`), { timeout: 20_000, interval: 50 }).toMatch(/^503 .*"database":false/)
        const away = await client.ask('GET', '/api/me')
        healths.add(`${away.status} ${away.json<{ data: { problems: { sentence: string }[] } }>().data.problems[0]!.sentence}`)
      }
      cluster.start()
    }
    await expect.poll(() => fetch(`${server.address}/api/health`).then(answer => answer.status), { timeout: 30_000 }).toBe(200)
    await crew.stop()
    expect([...healths]).toEqual([expect.stringMatching(/^503 .*Nothing is lost/)])
    expect(crew.made.length).toBeGreaterThan(often(20, 8))
    await nothingLostOrDoubled(jobId, crew)
  })
})
