import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import type { Plan } from '../core/plan'
import { demoCatalogue } from '../core/catalogue'
import { shelfFile } from '../core/shelf'
import { planFile } from './plan-file'
import { fileSchemas } from './schema'

const run = (...args: string[]) => spawnSync('npm', ['run', '-s', 'plan', '--', ...args], { encoding: 'utf8' })
const folder = mkdtempSync(join(tmpdir(), 'upper-deck-'))
const file = (name: string, text: string) => {
  const path = join(folder, name)
  writeFileSync(path, text)
  return path
}
const fixture = 'tests/fixtures/three-rows-of-six.json'

describe('npm run -s plan', () => {
  it('prints the fixture’s plan, and every count is right', () => {
    const { status, stdout } = run(fixture)
    expect(status).toBe(0)
    const plan = JSON.parse(stdout) as Plan
    expect(plan.totals).toMatchObject({ modules: 18, fixings: 36, sticks: 10, stops: 0 })
    const pieces = Object.fromEntries(plan.list.map(part => [part.kind, plan.list.filter(one => one.kind === part.kind).reduce((sum, one) => sum + one.pieces, 0)]))
    expect(pieces).toMatchObject({ 'module': 18, 'stick': 10, 'mid-clamp': 30, 'end-clamp': 12, 'mount': 36, 'lug': 3, 'electronics': 18 })
  })

  it('exits 1 when something stops the plan', async () => {
    const job = JSON.parse(readFileSync(fixture, 'utf8')) as { faces: { array: { allowedSpanMm: number } }[] }
    job.faces[0]!.array.allowedSpanMm = 300
    const { status, out, err } = await planFile(file('stopped.json', JSON.stringify(job)))
    expect([status, err]).toEqual([1, ''])
    expect((JSON.parse(out) as Plan).totals.stops).toBeGreaterThan(0)
  })

  it('exits 2 with a path and a sentence for what it can’t use', async () => {
    const job = JSON.parse(readFileSync(fixture, 'utf8')) as Record<string, unknown>
    const cubits = file('bad.json', JSON.stringify({ ...job, units: 'cubits' }))
    for (const [path, said] of [
      [cubits, /^units: /],
      [file('torn.json', '{"format":'), /not JSON/],
      [join(folder, 'nowhere.json'), /can’t be read/],
      [undefined, /Name a job file/],
    ] as const) {
      const { status, err, out } = await planFile(path)
      expect([status, out]).toEqual([2, ''])
      expect(err).toMatch(said)
    }
    expect(run(cubits)).toMatchObject({ status: 2, stdout: '', stderr: expect.stringMatching(/^units: /) as unknown })
  })
})

it('plans with the parts of a shelf file, and says what is wrong in one', async () => {
  const job = readFileSync('tests/fixtures/three-rows-of-six.json', 'utf8').replaceAll('skerry-425', 'tern-425')
  const own = { ...shelfFile(demoCatalogue), modules: [{ ...demoCatalogue.modules[0]!, id: 'tern-425', massKg: 22 }] }
  const [jobPath, shelfPath] = [file('own-job.json', job), file('own-shelf.json', JSON.stringify(own))]
  expect(await planFile(jobPath)).toMatchObject({ status: 2, err: expect.stringContaining('tern-425') as unknown })
  const planned = await planFile(jobPath, shelfPath)
  expect(planned.status).toBe(0)
  expect((JSON.parse(planned.out) as Plan).faces[0]!.parts.module).toMatchObject({ id: 'tern-425', massKg: 22 })
  const odd = file('odd-shelf.json', JSON.stringify({ ...own, modules: [{ ...own.modules[0], powerW: 900 }] }))
  expect(await planFile(jobPath, odd)).toMatchObject({ status: 2, err: expect.stringContaining('modules.0.powerW: 900 W is') as unknown })
})

it.each(Object.entries(fileSchemas))('keeps the committed %s in step with its one definition', (name, made) => {
  expect(JSON.parse(readFileSync(`docs/${name}`, 'utf8'))).toEqual(JSON.parse(JSON.stringify(made)))
})
