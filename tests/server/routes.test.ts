import './globals'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { MOST_ENTRIES } from '../../core/job'
import { threeRowsOfSix } from '../fixtures/jobs'
import { asFirm, type Caller, demoPlanner, freshJob, Office, otherFirm, routes } from './office'

const office = new Office()
let planner: Caller
beforeAll(async () => {
  await office.open()
  planner = await demoPlanner()
})
afterAll(() => office.close())

const edit = (values: object, id: string = randomUUID()) => ({ id, kind: 'edit', edit: { type: 'set-face', faceId: 'main', values } })
const pitch = (pitchDeg: number, id?: string) => edit({ pitchDeg }, id)
const noFace = () => ({ id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: 'nowhere', values: {} } })
const send = (jobId: string, baseVersion: unknown, entries: unknown, as: Caller | null = planner) => office.ask('post', `/api/jobs/${jobId}/edits`, {
  as,
  body: { baseVersion, entries },
})
/** An address of a route with this job in it, and something in every other place. */
const addressOf = (path: string, jobId: string) => path.replace(':id', jobId).replace(':face', 'main').replace(':photo', randomUUID()).replace(':shelf', 'coverings').replace(':item', 'marram-shingle')
/** What each route with a body is sent, so that nothing but who asks can be wrong with it. */
const bodies: [RegExp, () => { body?: unknown, raw?: string, type?: string }][] = [
  [/^(get|delete) /, () => ({})],
  [/edits$/, () => ({ body: { baseVersion: 0, entries: [pitch(31)] } })],
  [/ticks$/, () => ({ body: { ticks: [{ item: 'a', done: true }] } })],
  [/sheets$/, () => ({ body: { version: 0, note: '' } })],
  [/:photo$/, () => ({ body: { caption: 'x' } })],
  [/photographs$/, () => ({ raw: 'x', type: 'image/jpeg' })],
  [/jobs\/file$/, () => ({ body: threeRowsOfSix() })],
  [/copy$/, () => ({ body: { id: randomUUID() } })],
  [/^patch .*:id$/, () => ({ body: { archived: true } })],
  [/shelf\/file$/, () => ({ raw: 'x', type: 'text/csv' })],
  [/changes$/, () => ({ body: { changes: [{ shelf: 'modules', item: {}, was: null }] } })],
  [/currency$/, () => ({ body: { currency: 'EUR' } })],
  [/api\/jobs$/, () => ({ body: { id: randomUUID(), job: threeRowsOfSix() } })],
]
const bodyFor = (method: string, path: string) => bodies.find(([route]) => route.test(`${method} ${path}`))![1]()

describe('who may ask', () => {
  const asked = routes.filter(route => route.path !== '/api/health')
  it.each(asked.map(route => [route.method, route.path] as const))('%s %s answers nobody without a session, and nobody whose session has run out', async (method, path) => {
    const jobId = await freshJob()
    for (const as of [null, await demoPlanner(-1), { ...planner, sessionId: randomUUID() }]) {
      const answer = await office.ask(method, `${addressOf(path, jobId)}?list=van&since=0&name=parts.csv`, { as, ...bodyFor(method, path) })
      expect(answer.status).toBe(401)
      expect(answer.problems()[0]!.sentence).toContain('signed out')
    }
  })
  it.each(asked.filter(route => route.path.includes(':id')).map(route => [
    route.method,
    route.path,
  ] as const))('%s %s shows and changes nothing of another firm', async (method, path) => {
    const theirs = await freshJob()
    const stranger = await otherFirm()
    const answer = await office.ask(method, `${addressOf(path, theirs)}?list=van&since=0`, { as: stranger, ...bodyFor(method, path) })
    // A list of what is not there is empty.
    if (answer.status === 200) expect(JSON.stringify(answer.json())).toMatch(/^(\[\]|\{"entries":\[\]\})$/)
    else expect([404, 415]).toContain(answer.status)
    expect(await asFirm(DEMO_FIRM_ID, 'select version from jobs where job_id = $1', [theirs])).toEqual([{ version: 0 }])
  })
  it('health asks nobody', async () => expect((await office.ask('get', '/api/health')).json()).toEqual({ up: true }))
  it('tells who is signed in', async () => expect((await office.ask('get', '/api/me', { as: planner })).json()).toMatchObject({
    personName: 'Perrin Oakum',
    role: 'planner',
    firmName: 'Gannet Row Roofworks',
  }))
})

describe('edits', () => {
  it('are made once however often they are sent, and an old version is told what changed', async () => {
    const jobId = await freshJob()
    const entry = pitch(31)
    for (let i = 0; i < 2; i++) expect((await send(jobId, 0, [entry])).json()).toEqual({ version: 1, refused: [] })
    const late = await send(jobId, 0, [pitch(40)])
    expect(late.status).toBe(409)
    expect(late.json()).toMatchObject({ data: { version: 1, entries: [{ edit: entry.edit, personName: 'Perrin Oakum' }] } })
  })
  it('that can’t be made are answered one by one, with the reason; the others are made without them', async () => {
    const jobId = await freshJob()
    const [good, gone, rail, last] = [
      pitch(31),
      noFace(),
      { id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { railId: 'no-such-rail' } } },
      pitch(33),
    ]
    const answer = (await send(jobId, 0, [good, gone, rail, last])).json() as { version: number, refused: { id: string, sentence: string }[] }
    expect(answer.version).toBe(2)
    expect(answer.refused.map(one => one.id)).toEqual([gone.id, rail.id])
    expect(answer.refused[0]!.sentence).toContain('removed meanwhile')
    expect(answer.refused[1]!.sentence).toContain('no-such-rail')
    const { job, history } = (await office.ask('get', `/api/jobs/${jobId}`, { as: planner })).json() as { job: { faces: { pitchDeg: number }[] }, history: { id: string }[] }
    expect([job.faces[0]!.pitchDeg, history.map(one => one.id)]).toEqual([33, [good.id, last.id]])
  })
  it('without a version go on top of whatever the job is by now', async () => {
    const jobId = await freshJob()
    await send(jobId, 0, [pitch(31)])
    expect((await send(jobId, null, [edit({ name: 'Later' })])).json()).toEqual({ version: 2, refused: [] })
  })
  it.each([
    [[pitch(-3)]],
    [[{ ...pitch(3), id: 'x' }]],
    [[]],
    ['edits'],
    [Array.from({ length: MOST_ENTRIES + 1 }, () => pitch(30))],
  ])('with a body that is none are refused with a path and a sentence', async (entries) => {
    const answer = await send(await freshJob(), 1, entries)
    expect(answer.status).toBe(400)
    expect(answer.problems()[0]!.path.length).toBeGreaterThan(0)
    expect(answer.problems()[0]!.sentence.length).toBeGreaterThan(10)
  })
  it('of several people at once are all there, each once', async () => {
    const jobId = await freshJob()
    const answers = await Promise.all(Array.from({ length: 12 }, (_, i) => send(jobId, null, [pitch(20 + i)])))
    expect(answers.map(one => one.status)).toEqual(Array.from({ length: 12 }, () => 200))
    expect((await office.ask('get', `/api/jobs/${jobId}/edits?since=0`, { as: planner })).json()).toMatchObject({ entries: Array.from({ length: 12 }, (_, i) => ({ version: i + 1 })) })
  })
  it('can’t be taken out of the history, even past the server', async () => {
    const jobId = await freshJob()
    await send(jobId, 0, [pitch(31)])
    await asFirm(DEMO_FIRM_ID, 'delete from job_edits where job_id = $1', [jobId])
    expect(await asFirm(DEMO_FIRM_ID, 'select version from job_edits where job_id = $1', [jobId])).toEqual([{ version: 1 }])
  })
  it.each(['yesterday', '-1', '1.5'])('since %s are asked for with a sentence', async (since) => {
    expect((await office.ask('get', `/api/jobs/${await freshJob()}/edits?since=${since}`, { as: planner })).status).toBe(400)
  })
})

describe('ticks', () => {
  const put = (jobId: string, list: string, ticks: unknown) => office.ask('put', `/api/jobs/${jobId}/ticks?list=${list}`, { as: planner, body: { ticks } })
  it('are kept by list, set twice without harm, and taken off', async () => {
    const jobId = await freshJob()
    const tick = [{ item: 'rail 1', done: true }]
    for (let i = 0; i < 2; i++) expect((await put(jobId, 'mark-out:A', tick)).json()).toEqual({ items: ['rail 1'] })
    expect((await put(jobId, 'van', [{ item: 'crayon', done: true }])).json()).toEqual({ items: ['crayon'] })
    expect((await put(jobId, 'mark-out:A', [{ item: 'rail 1', done: false }])).json()).toEqual({ items: [] })
    expect((await office.ask('get', `/api/jobs/${jobId}/ticks?list=van`, { as: planner })).json()).toEqual({ items: ['crayon'] })
  })
  it('on a revision that is superseded by then are taken', async () => {
    const jobId = await freshJob()
    for (const version of [0, 0]) await office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body: { version, note: '' } })
    expect((await put(jobId, 'mark-out:A', [{ item: 'rail 1', done: true }])).json()).toEqual({ items: ['rail 1'] })
  })
  it.each([['cellar', [{ item: 'a', done: true }]], ['van', []], ['van', [{ item: '', done: true }]]])('on the list %s with %j are refused', async (list, ticks) => {
    expect((await put(await freshJob(), list, ticks)).status).toBe(400)
  })
})

describe('sheets', () => {
  const issue = (jobId: string, body: unknown) => office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body })
  it('are issued by revision as they stand, and kept so; their PDF is had again', async () => {
    const jobId = await freshJob()
    expect((await issue(jobId, { version: 0, note: 'First' })).json()).toEqual({ revision: 1 })
    await send(jobId, 0, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { shiftMm: 40 } } }])
    const sheet = (await office.ask('get', `/api/jobs/${jobId}/sheet`, { as: planner })).json() as {
      issued: unknown[]
      changes: { changes: unknown[] }[]
      plan: { totals: unknown }
    }
    expect(sheet.issued).toMatchObject([{ revision: 1, note: 'First', issuedBy: 'Perrin Oakum' }])
    expect(sheet.changes[0]!.changes.length).toBeGreaterThan(10)
    expect(sheet.plan.totals).toMatchObject({ modules: 18 })
    const pdf = await office.ask('get', `/api/jobs/${jobId}/mark-out.pdf?revision=1&paper=A4`, { as: planner })
    expect([pdf.status, pdf.bytes.subarray(0, 5).toString()]).toEqual([200, '%PDF-'])
    expect((await office.ask('get', `/api/jobs/${jobId}/mark-out.pdf?revision=7`, { as: planner })).status).toBe(404)
    expect((await office.ask('get', `/api/jobs/${jobId}/mark-out.pdf?paper=papyrus`, { as: planner })).status).toBe(400)
  })
  it('of a job that has changed, that stops or that carries nothing are not issued, and it is said why', async () => {
    const jobId = await freshJob()
    expect((await issue(jobId, { version: 3, note: '' })).problems()[0]!.sentence).toContain('changed since')
    await send(jobId, 0, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-loads', values: { engineer: { asked: true, name: '' } } } }])
    const stopped = await issue(jobId, { version: 1, note: '' })
    expect([stopped.status, stopped.problems()[0]!.path]).toEqual([409, 'reason'])
    expect((await issue(jobId, { version: 1, note: '', reason: 'The engineer signs on site.' })).status).toBe(201)
    await send(jobId, 1, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { rowCount: 0 } } }])
    expect((await issue(jobId, { version: 2, note: '', reason: 'Anyway.' })).problems()[0]!.sentence).toContain('nothing to issue')
  })
  it.each([
    ['mark-out.csv', 'text/csv', 'Fixings on rail 6'], [
      'load-out.csv',
      'text/csv',
      'Limpet flashed foot',
    ], ['purchases.csv', 'text/csv', 'Bollard'], ['job.json', 'application/json', 'upper-deck-job'], [
      'roof.geojson',
      'application/geo+json',
      'FeatureCollection',
    ],
    [
      'faces/main/drawing.svg',
      'image/svg+xml',
      '<g id="courses"',
    ], [
      'faces/main/drawing.dxf',
      'image/vnd.dxf',
      'COURSES',
    ], ['load-out.xlsx', 'application/vnd', 'PK'], ['calculations.pdf', 'application/pdf', '%PDF'], ['mark-out.pdf', 'application/pdf', '%PDF'],
  ])('%s comes as a file of its kind, named for the job', async (file, type, has) => {
    const answer = await office.ask('get', `/api/jobs/${await freshJob()}/${file}`, { as: planner })
    expect(answer.status).toBe(200)
    expect(answer.headers.get('content-type')).toContain(type)
    expect(answer.headers.get('content-disposition')).toContain('three-rows-of-six')
    expect(answer.text).toContain(has)
  })
  it('of a face that is not there are answered with a sentence', async () => {
    const answer = await office.ask('get', `/api/jobs/${await freshJob()}/faces/attic/drawing.svg`, { as: planner })
    expect([answer.status, answer.problems()[0]!.sentence]).toEqual([404, 'This job has no such face. It may have been removed.'])
  })
})

describe('jobs', () => {
  interface Listed { jobId: string, title: string, archived: boolean, summary: { totals: { modules: number, stops: number } } | null }
  const listOf = async (as: Caller) => (await office.ask('get', '/api/jobs', { as })).json() as Listed[]
  it('are listed with the figures that tell them apart, one firm’s only', async () => {
    const stranger = await otherFirm()
    const own = await freshJob(stranger.firmId)
    expect((await listOf(stranger)).map(one => [one.jobId, one.title, one.summary!.totals.modules])).toEqual([[own, 'Three rows of six', 18]])
  })
  it('are listed anew once they, or the shelf, have changed', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    await listOf(as)
    expect((await send(jobId, 0, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { rowCount: 1 } } }], as)).status).toBe(200)
    expect((await listOf(as))[0]!.summary!.totals.modules).toBe(6)
    // What was worked out is kept: a list that finds nothing changed reads it.
    await asFirm(as.firmId, 'update jobs set summary = jsonb_set(summary, \'{totals,modules}\', \'99\')')
    expect((await listOf(as))[0]!.summary!.totals.modules).toBe(99)
    expect((await office.ask('delete', '/api/shelf/sets/shingle-light', { as })).status).toBe(200)
    expect((await office.ask('delete', '/api/shelf/pairs/bollard-light--limpet-flashed', { as })).status).toBe(200)
    expect((await listOf(as))[0]!.summary!.totals).toMatchObject({ modules: 6, stops: 1 })
  })
  it('are listed though one of them can’t be planned', async () => {
    const as = await otherFirm()
    const broken = threeRowsOfSix()
    const bad = await freshJob(as.firmId, { ...broken, faces: broken.faces.map(face => ({ ...face, array: { ...face.array, moduleId: 'gone' } })) })
    const good = await freshJob(as.firmId)
    const list = await listOf(as) as (Listed & { failed: boolean })[]
    expect(Object.fromEntries(list.map(job => [job.jobId, [job.failed, job.summary?.totals.modules ?? null]]))).toEqual({ [bad]: [true, null], [good]: [false, 18] })
  })
  it('of a whole season are answered before all are worked out, and are all there in the end', async () => {
    const as = await otherFirm()
    await asFirm(as.firmId, 'insert into jobs (firm_id, document) select $1, jsonb_set($2::jsonb, \'{title}\', to_jsonb(\'Job \' || n)) from generate_series(1, 300) as n', [as.firmId, JSON.stringify(threeRowsOfSix())])
    let list: Listed[] = []
    let rounds = 0
    do list = await listOf(as)
    while (list.some(job => !job.summary) && ++rounds < 100)
    expect(list).toHaveLength(300)
    expect(list.every(job => job.summary!.totals.modules === 18)).toBe(true)
  })
  it('start as somebody began them, once however often it is asked for, and open from a file that is one', async () => {
    const as = await otherFirm()
    const us = { kind: 'us', building: '2021', electrical: '2020' }
    const codesOf = async () => (await office.ask('get', '/api/codes?units=imperial', { as })).json()
    expect(await codesOf()).toEqual({ codes: null })
    const body = { id: randomUUID(), job: { ...threeRowsOfSix(), title: 'Shed', codes: us } }
    for (const made of await Promise.all([1, 2, 3].map(() => office.ask('post', '/api/jobs', { as, body })))) expect([made.status, made.json()]).toEqual([201, { jobId: body.id }])
    expect((await listOf(as)).map(job => job.title)).toEqual(['Shed'])
    // The firm's last set is offered for the next job of these units, and for no other.
    expect(await codesOf()).toEqual({ codes: us })
    expect((await office.ask('get', '/api/codes?units=metric', { as })).json()).toEqual({ codes: null })
    const opened = await office.ask('post', '/api/jobs/file', { as: planner, body: threeRowsOfSix() })
    const { jobId } = opened.json() as { jobId: string }
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as: planner })).json()).toMatchObject({ job: { title: 'Three rows of six' }, version: 0, history: [] })
  })
  it('are copied, archived, brought back, and deleted with all that belongs to them', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    await send(jobId, 0, [pitch(31)], as)
    await office.ask('post', `/api/jobs/${jobId}/sheets`, { as, body: { version: 1, note: '' } })
    await office.ask('put', `/api/jobs/${jobId}/ticks?list=van`, { as, body: { ticks: [{ item: 'a', done: true }] } })
    const id = randomUUID()
    for (let i = 0; i < 2; i++) expect((await office.ask('post', `/api/jobs/${jobId}/copy`, { as, body: { id } })).json()).toEqual({ jobId: id })
    expect((await office.ask('get', `/api/jobs/${id}`, { as })).json()).toMatchObject({ job: { title: 'Three rows of six, copy', faces: [{ pitchDeg: 31 }] }, version: 0, history: [] })
    for (const archived of [true, false]) {
      await office.ask('patch', `/api/jobs/${jobId}`, { as, body: { archived } })
      expect((await listOf(as)).find(job => job.jobId === jobId)!.archived).toBe(archived)
    }
    expect((await office.ask('delete', `/api/jobs/${jobId}`, { as })).status).toBe(200)
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as })).status).toBe(404)
    for (const table of ['job_edits', 'issued_sheets', 'ticks', 'photographs']) expect(await asFirm(as.firmId, `select 1 from ${table} where job_id = $1`, [jobId])).toEqual([])
    expect((await listOf(as)).map(job => job.jobId)).toEqual([id])
  })
  it('are refused with what is wrong and where', async () => {
    expect((await office.ask('post', '/api/jobs', { as: planner, body: { job: 3 } })).problems().map(one => one.path)).toEqual(['id'])
    expect((await office.ask('post', '/api/jobs', { as: planner, body: { id: randomUUID(), job: { ...threeRowsOfSix(), title: '', units: 'cubits' } } })).problems().map(one => one.path)).toEqual(['title', 'units'])
    expect((await office.ask('get', '/api/codes?units=cubits', { as: planner })).status).toBe(400)
    expect((await office.ask('post', '/api/jobs/file', { as: planner, raw: 'torn {' })).problems()[0]!.sentence).toContain('not JSON')
    expect((await office.ask('post', '/api/jobs/file', { as: planner, body: { ...threeRowsOfSix(), units: 'cubits' } })).problems()[0]!.path).toBe('units')
    expect((await office.ask('post', '/api/jobs/file', { as: planner, raw: `"${'x'.repeat(4_100_000)}"` })).status).toBe(413)
    for (const address of ['not-an-id', randomUUID()]) expect((await office.ask('get', `/api/jobs/${address}`, { as: planner })).status).toBe(404)
    expect((await office.ask('post', `/api/jobs/${await freshJob()}/edits`, { as: planner, raw: '{"torn' })).status).toBe(400)
  })
})

describe('photographs', () => {
  it('are taken in, captioned, shown and taken away', async () => {
    const sharp = (await import('sharp')).default
    const jobId = await freshJob()
    const picture = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#889' } }).jpeg().toBuffer()
    const sent = await office.ask('post', `/api/jobs/${jobId}/photographs?caption=Eave`, { as: planner, raw: picture, type: 'image/jpeg' })
    const { photoId } = sent.json() as { photoId: string }
    const at = `/api/jobs/${jobId}/photographs/${photoId}`
    expect((await office.ask('patch', at, { as: planner, body: { caption: 'Eave, left end' } })).json()).toEqual({ caption: 'Eave, left end' })
    expect((await office.ask('get', `/api/jobs/${jobId}/photographs`, { as: planner })).json()).toMatchObject([{
      photoId,
      caption: 'Eave, left end',
      widthPx: 900,
      heightPx: 600,
      personName: 'Perrin Oakum',
    }])
    const [whole, small] = [await office.ask('get', at, { as: planner }), await office.ask('get', `${at}?size=small`, { as: planner })]
    expect(whole.bytes.equals(picture)).toBe(true)
    expect(small.bytes.length).toBeLessThan(whole.bytes.length)
    expect((await office.ask('delete', at, { as: planner })).status).toBe(204)
    for (const method of ['get', 'delete', 'patch'] as const) expect((await office.ask(method, at, {
      as: planner,
      ...(method === 'patch' ? { body: { caption: '' } } : {}),
    })).status).toBe(404)
  })
  it.each([
    ['text/plain', 'notes', 415],
    ['image/jpeg', 'no picture at all', 415],
    ['image/jpeg', '', 413],
  ])('as %s of “%s” are refused with a sentence', async (type, raw, status) => {
    const answer = await office.ask('post', `/api/jobs/${await freshJob()}/photographs`, { as: planner, raw, type })
    expect(answer.status).toBe(status)
    expect(answer.problems()[0]!.sentence.length).toBeGreaterThan(15)
  })
})
