import { randomUUID } from 'node:crypto'
import type { APIRequestContext } from '@playwright/test'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { asFirm, expect, freshJob, test } from './support'

/** Signs the request context in the way a page would. */
const signIn = (request: APIRequestContext) => request.get('/', { headers: { accept: 'text/html' } })
const pitch = (pitchDeg: number, id: string = randomUUID()) => ({ id, kind: 'edit', edit: { type: 'set-face', faceId: 'main', values: { pitchDeg } } })
interface Refusal { data: { problems: { path: string, sentence: string }[] } }

test('nobody gets at a job without a session', async ({ request }) => {
  const jobId = await freshJob()
  for (const path of ['/api/me', '/api/jobs', `/api/jobs/${jobId}`, `/api/jobs/${jobId}/sheet`, `/api/jobs/${jobId}/mark-out.csv`, `/api/jobs/${jobId}/calculations.pdf`, `/api/jobs/${jobId}/mark-out.pdf`, `/api/jobs/${jobId}/load-out.xlsx`, `/api/jobs/${jobId}/roof.geojson`, `/api/jobs/${jobId}/ticks?list=van`, `/api/jobs/${jobId}/edits?since=0`]) {
    const answer = await request.get(path)
    expect(answer.status(), path).toBe(401)
    expect(((await answer.json()) as Refusal).data.problems[0]!.sentence).toContain('signed out')
  }
})

test('an edit sent twice is made once, an old version is told, a bad edit is refused with its path', async ({ request }) => {
  const jobId = await freshJob()
  await signIn(request)
  const send = (baseVersion: unknown, entries: unknown) => request.post(`/api/jobs/${jobId}/edits`, { data: { baseVersion, entries } })
  const entry = pitch(31)
  expect(await (await send(0, [entry])).json()).toEqual({ version: 1 })
  expect(await (await send(0, [entry])).json()).toEqual({ version: 1 })

  const late = await send(0, [pitch(40)])
  expect(late.status()).toBe(409)
  const told = (await late.json()) as { data: { version: number, entries: { edit: unknown }[] } }
  expect(told.data.version).toBe(1)
  expect(told.data.entries[0]!.edit).toEqual(entry.edit)

  for (const [base, entries, status] of [
    [1, [pitch(-3)], 400], [1, [{ ...pitch(3), id: 'x' }], 400], ['one', [pitch(3)], 400], [1, [], 400], [1, 'edits', 400],
    [1, [{ ...pitch(3), edit: { type: 'set-face', faceId: 'nowhere', values: {} } }], 422],
    [1, [{ ...pitch(3), edit: { type: 'set-array', faceId: 'main', values: { railId: 'no-such-rail' } } }], 422],
  ] as const) {
    const answer = await send(base, entries)
    expect(answer.status(), JSON.stringify(entries)).toBe(status)
    const { problems } = ((await answer.json()) as Refusal).data
    expect(problems[0]!.path.length).toBeGreaterThan(0)
    expect(problems[0]!.sentence.length).toBeGreaterThan(10)
  }
  // All or none: one bad edit in a batch leaves the job as it was.
  expect((await send(1, [pitch(50), { ...pitch(3), edit: { type: 'set-face', faceId: 'nowhere', values: {} } }])).status()).toBe(422)
  expect(((await (await request.get(`/api/jobs/${jobId}`)).json()) as { version: number }).version).toBe(1)
})

test('odd addresses and bodies are answered with a sentence, never with a fault', async ({ request }) => {
  await signIn(request)
  for (const path of ['/api/jobs/not-an-id', `/api/jobs/${randomUUID()}`, `/api/jobs/${randomUUID()}/sheet`]) expect((await request.get(path)).status()).toBe(404)
  const jobId = await freshJob()
  expect((await request.get(`/api/jobs/${jobId}/edits?since=yesterday`)).status()).toBe(400)
  expect((await request.post(`/api/jobs/${jobId}/edits`, { headers: { 'content-type': 'application/json' }, data: Buffer.from('{"torn') })).status()).toBe(400)
  expect((await request.post('/api/jobs', { data: { title: '', place: '', units: 'cubits' } })).status()).toBe(400)
})

test('one firm never sees or changes another’s jobs, even past the server', async ({ request }) => {
  const otherFirm = randomUUID()
  await asFirm(otherFirm, 'insert into firms (firm_id, name) values ($1, $2)', [otherFirm, 'Marsh Lane Slaters'])
  const theirs = await freshJob(otherFirm)
  await signIn(request)
  expect((await request.get(`/api/jobs/${theirs}`)).status()).toBe(404)
  expect((await request.post(`/api/jobs/${theirs}/edits`, { data: { baseVersion: 0, entries: [pitch(31)] } })).status()).toBe(404)
  expect(await asFirm(DEMO_FIRM_ID, 'select 1 from jobs where job_id = $1', [theirs])).toEqual([])
  await asFirm(DEMO_FIRM_ID, 'update jobs set version = 99 where job_id = $1', [theirs])
  expect(await asFirm(otherFirm, 'select version from jobs where job_id = $1', [theirs])).toEqual([{ version: 0 }])
  // History is append-only for the app's own role.
  const mine = await freshJob()
  await request.post(`/api/jobs/${mine}/edits`, { data: { baseVersion: 0, entries: [pitch(31)] } })
  await asFirm(DEMO_FIRM_ID, 'delete from job_edits where job_id = $1', [mine])
  expect(await asFirm(DEMO_FIRM_ID, 'select version from job_edits where job_id = $1', [mine])).toEqual([{ version: 1 }])
})

test('the server’s sheet and tables carry the same plan as the command line’s', async ({ request }) => {
  const jobId = await freshJob()
  await signIn(request)
  const sheet = (await (await request.get(`/api/jobs/${jobId}/sheet`)).json()) as { plan: { totals: { fixings: number, sticks: number } } }
  expect(sheet.plan.totals).toMatchObject({ fixings: 36, sticks: 10 })
  const csv = await request.get(`/api/jobs/${jobId}/mark-out.csv`)
  expect(csv.headers()['content-disposition']).toContain('three-rows-of-six-mark-out.csv')
  expect(await csv.text()).toContain('Fixings on rail 6')
  expect(await (await request.get(`/api/jobs/${jobId}/load-out.csv`)).text()).toContain('Limpet flashed foot')
  expect(((await (await request.get(`/api/jobs/${jobId}/job.json`)).json()) as { format: string }).format).toBe('upper-deck-job')
})
