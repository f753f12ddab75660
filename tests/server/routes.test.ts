import './globals'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { MOST_ENTRIES } from '../../core/job'
import { threeRowsOfSix } from '../fixtures/jobs'
import { addressOf, asFirm, asKeeper, bodyFor, type Caller, demoPlanner, freshJob, Office, openRoutes, otherFirm, routes } from './office'

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
const send = (jobId: string, baseVersion: unknown, entries: unknown, as: Caller | null = planner, insist = false) => office.ask('post', `/api/jobs/${jobId}/edits`, {
  as,
  body: { baseVersion, insist, entries },
})
describe('who may ask', () => {
  const asked = routes.filter(route => !openRoutes.has(`${route.method} ${route.path}`))
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
    expect(answer.status).toBe(404)
    expect(await asFirm(DEMO_FIRM_ID, 'select version from jobs where job_id = $1', [theirs])).toEqual([{ version: 0 }])
  })
  it('health asks nobody', async () => expect((await office.ask('get', '/api/health')).json()).toEqual({ up: true, database: true }))
  it('tells who is signed in', async () => expect((await office.ask('get', '/api/me', { as: planner })).json()).toMatchObject({
    personName: 'Perrin Oakum',
    role: 'planner',
    firmName: 'Gannet Row Roofworks',
  }))
})

describe('edits', () => {
  it('are made once however often they are sent; whoever changes the same fact from an old version is told who was there before', async () => {
    const jobId = await freshJob()
    const entry = pitch(31)
    for (let i = 0; i < 2; i++) expect((await send(jobId, 0, [entry])).json()).toMatchObject({ version: 1, refused: [] })
    const late = pitch(40)
    const told = await send(jobId, 0, [late])
    expect(told.status).toBe(409)
    expect(told.json()).toMatchObject({ data: { version: 1, job: null, since: [{ edit: entry.edit, personName: 'Perrin Oakum' }] } })
    // Told once, it goes on top, whatever happens meanwhile.
    await send(jobId, null, [pitch(33)])
    expect((await send(jobId, 0, [late], planner, true)).json()).toMatchObject({ version: 3, refused: [], since: [{ version: 1 }, { version: 2 }] })
  })
  it('that share no fact with what others changed go in at the first try, with what the sender lacks', async () => {
    const jobId = await freshJob()
    await send(jobId, 0, [pitch(31)])
    expect((await send(jobId, 0, [edit({ name: 'Mine' })])).json()).toMatchObject({ version: 2, since: [{ version: 1 }], job: null })
    // One whose answer was lost is known again, beside another that is new.
    const lost = edit({ datum: 'right' })
    await send(jobId, 2, [lost])
    const next = edit({ datum: 'left' })
    expect((await send(jobId, 2, [lost, next])).json()).toMatchObject({ version: 4, refused: [], since: [{ id: lost.id }] })
    // A face taken away holds all of its facts.
    await send(jobId, 4, [{ id: randomUUID(), kind: 'edit', edit: { type: 'add-face', at: 1, face: { ...threeRowsOfSix().faces[0]!, id: 'f2', name: 'Other' } } }])
    await send(jobId, 5, [{ id: randomUUID(), kind: 'edit', edit: { type: 'remove-face', faceId: 'f2' } }])
    expect((await send(jobId, 5, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId: 'f2', values: { pitchDeg: 30 } } }])).status).toBe(409)
  })
  it('of twenty people on facts of their own are all in at the first try; on one fact each is in, told at most once', async () => {
    const jobId = await freshJob()
    const faces = Array.from({ length: 19 }, (_, i) => ({ ...threeRowsOfSix().faces[0]!, id: `f${i}`, name: `Face ${i}` }))
    await asFirm(DEMO_FIRM_ID, 'update jobs set document = $2 where job_id = $1', [jobId, { ...threeRowsOfSix(), faces: [...threeRowsOfSix().faces, ...faces] }])
    /** One person who types on a face of their own, each time on what the office answered last. */
    const writer = async (faceId: string) => {
      let version = 0
      for (let i = 0; i < 3; i++) {
        const answer = await send(jobId, version, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-face', faceId, values: { pitchDeg: 20 + i } } }])
        expect(answer.status).toBe(200)
        version = (answer.json() as { version: number }).version
      }
    }
    await Promise.all(['main', ...faces.map(face => face.id)].map(writer))
    const tries = await Promise.all(faces.map(async () => {
      const entry = pitch(28)
      const answer = await send(jobId, 60, [entry])
      if (answer.status === 200) return 1
      expect([answer.status, (answer.json() as { data: { since: { personName: string }[] } }).data.since[0]!.personName]).toEqual([409, 'Perrin Oakum'])
      expect((await send(jobId, 60, [entry], planner, true)).status).toBe(200)
      return 2
    }))
    expect(Math.max(...tries)).toBe(2)
    expect(await asFirm(DEMO_FIRM_ID, 'select version, (select count(*)::int from job_edits e where e.job_id = j.job_id) as entries from jobs j where job_id = $1', [jobId])).toEqual([{ version: 79, entries: 79 }])
  })
  it('that the sender lacks many of come as the job itself', async () => {
    const jobId = await freshJob()
    await asFirm(DEMO_FIRM_ID, `insert into job_edits (firm_id, job_id, version, edit_id, person_id, kind, edit, inverse)
      select $1, $2, n, gen_random_uuid(), $3, 'edit', $4, $4 from generate_series(1, 3000) as n`, [DEMO_FIRM_ID, jobId, planner.personId, pitch(30).edit])
    await asFirm(DEMO_FIRM_ID, 'update jobs set version = 3000 where job_id = $1', [jobId])
    const late = await send(jobId, 0, [pitch(40)])
    expect([late.status, late.json()]).toMatchObject([409, { data: { version: 3000, since: null, job: { title: 'Three rows of six' } } }])
    const read = await office.ask('get', `/api/jobs/${jobId}`, { as: planner })
    const { stacks } = read.json() as { stacks: { undo: unknown[] } }
    expect(stacks.undo).toHaveLength(100)
    for (const answer of [late, read]) expect(answer.bytes.length).toBeLessThan(300_000)
    expect((await office.ask('get', `/api/jobs/${jobId}/edits?since=0`, { as: planner })).json()).toMatchObject({ entries: { length: 300 } })
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
    const { job, made } = (await office.ask('get', `/api/jobs/${jobId}`, { as: planner })).json() as { job: { faces: { pitchDeg: number }[] }, made: string[] }
    expect([job.faces[0]!.pitchDeg, made]).toEqual([33, [good.id, last.id]])
  })
  it('without a version go on top of whatever the job is by now', async () => {
    const jobId = await freshJob()
    await send(jobId, 0, [pitch(31)])
    expect((await send(jobId, null, [edit({ name: 'Later' })])).json()).toMatchObject({ version: 2, refused: [] })
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
    for (const sql of ['delete from job_edits where job_id = $1', 'update job_edits set edit = inverse where job_id = $1', 'delete from issued_sheets where job_id = $1', 'delete from jobs where job_id = $1']) {
      await expect(asFirm(DEMO_FIRM_ID, sql, [jobId])).rejects.toThrow(/permission denied/)
    }
    for (const sql of ['truncate job_edits', 'alter table jobs add column spare int', 'drop policy own_firm on jobs', 'alter table jobs disable row level security', 'create table spare (n int)']) {
      await expect(asFirm(DEMO_FIRM_ID, sql)).rejects.toThrow(/permission denied|must be owner/)
    }
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
    for (const version of [0, 0]) await office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body: { id: randomUUID(), version, note: '' } })
    expect((await put(jobId, 'mark-out:A', [{ item: 'rail 1', done: true }])).json()).toEqual({ items: ['rail 1'] })
  })
  it.each([['cellar', [{ item: 'a', done: true }]], ['van', []], ['van', [{ item: '', done: true }]]])('on the list %s with %j are refused', async (list, ticks) => {
    expect((await put(await freshJob(), list, ticks)).status).toBe(400)
  })
})

describe('sheets', () => {
  const issue = (jobId: string, body: object) => office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body: { id: randomUUID(), ...body } })
  it('are issued once, however often their answer is lost', async () => {
    const jobId = await freshJob()
    const id = randomUUID()
    const answers = await Promise.all([1, 2, 3].map(() => issue(jobId, { id, version: 0, note: '' })))
    expect(answers.map(one => [one.status, one.json()])).toEqual(answers.map(() => [201, { revision: 1 }]))
    expect(await asFirm(DEMO_FIRM_ID, 'select revision, planner from issued_sheets where job_id = $1', [jobId])).toEqual([{ revision: 1, planner: 'test' }])
  })
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
  interface Listed { jobId: string, title: string, archived: boolean, older: boolean, problem: { kind: string, sentence: string } | null, summary: { totals: { modules: number, stops: number }, reminders?: { due: string }[] } | null }
  interface Page { jobs: Listed[], atWork: number, archived: number, next: string | null }
  const pageOf = async (as: Caller, query = '') => (await office.ask('get', `/api/jobs${query}`, { as })).json() as Page
  /** The first page once all of it has been worked out in the background. */
  const listOf = async (as: Caller, query = '') => {
    let page = await pageOf(as, query)
    for (let i = 0; i < 200 && page.jobs.some(job => job.older && !job.archived); i++) {
      await new Promise(later => setTimeout(later, 100))
      page = await pageOf(as, query)
    }
    return page.jobs
  }
  it('are listed with the figures that tell them apart, one firm’s only; until they are worked out it is said', async () => {
    const stranger = await otherFirm()
    const own = await freshJob(stranger.firmId)
    expect((await pageOf(stranger)).jobs.map(one => [one.jobId, one.older, one.summary])).toEqual([[own, true, null]])
    expect((await listOf(stranger)).map(one => [one.jobId, one.title, one.summary!.totals.modules])).toEqual([[own, 'Three rows of six', 18]])
  })
  it('are worked out anew once they, or the shelf, have changed; until then the older figures stand, and say so', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    await listOf(as)
    expect((await send(jobId, 0, [{ id: randomUUID(), kind: 'edit', edit: { type: 'set-array', faceId: 'main', values: { rowCount: 1 } } }], as)).status).toBe(200)
    expect((await pageOf(as)).jobs).toMatchObject([{ older: true, summary: { totals: { modules: 18 } } }])
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
    const list = await listOf(as)
    expect(Object.fromEntries(list.map(job => [job.jobId, [job.problem?.kind ?? null, job.summary?.totals.modules ?? null]]))).toEqual({ [bad]: ['broken', null], [good]: [null, 18] })
  })
  it.each(['changed', 'opened', 'name', 'settle', 'due'])('of a whole season are listed by pages, sorted by %s, each once', async (order) => {
    const as = await otherFirm()
    await asFirm(as.firmId, `insert into jobs (firm_id, document, created_at, updated_at, archived_at, summary_of, summary)
      select $1, jsonb_set(jsonb_set($2::jsonb, '{title}', to_jsonb('Job ' || n)), '{place}', to_jsonb((array['Alder Quay', 'Birch Quay', 'Cedar Quay'])[1 + n % 3])), now() - n * interval '1 hour', now() - (n * 7 % 130) * interval '1 hour', case when n % 13 = 0 then now() end, '0@0@test', jsonb_build_object('totals', jsonb_build_object('stops', n % 5), 'reminders', case when n % 4 = 0 then jsonb_build_array(jsonb_build_object('words', 'Permit', 'due', to_char(date '2026-05-01' + n * 11 % 90, 'YYYY-MM-DD'))) else '[]'::jsonb end)
      from generate_series(1, 130) as n`, [as.firmId, JSON.stringify(threeRowsOfSix())])
    const all = await asFirm<{ job_id: string, title: string, stops: number }>(as.firmId, 'select job_id, title, stops, created_at, updated_at from jobs where archived_at is null')
    const pages: Listed[] = []
    let next: string | null = ''
    while (next !== null) {
      const page: Page = await pageOf(as, `?order=${order}${next && `&after=${next}`}`)
      expect([page.atWork, page.archived]).toEqual([120, 10])
      pages.push(...page.jobs)
      next = page.next
    }
    expect(pages.map(job => job.jobId).sort()).toEqual(all.map(job => job.job_id).sort())
    if (order === 'name') expect(pages.map(job => job.title)).toEqual(all.map(job => job.title).sort(new Intl.Collator('en', { numeric: true }).compare))
    const stopsOf = new Map(all.map(job => [job.job_id, job.stops]))
    if (order === 'settle') expect(pages.map(job => stopsOf.get(job.jobId))).toEqual(all.map(job => job.stops).sort((a, b) => b - a))
    if (order === 'due') {
      const days = pages.map(job => job.summary?.reminders?.[0]?.due ?? null)
      expect(days.filter(Boolean)).toEqual(days.filter(Boolean).sort())
      // Those with no day come last.
      expect(days.findIndex(day => day === null)).toBe(days.filter(Boolean).length)
    }
    expect((await pageOf(as, '?search=quay%20BIRCH%20job')).jobs.every(job => Number(job.title.slice(4)) % 3 === 1)).toBe(true)
    expect((await pageOf(as, '?search=100%25')).jobs).toEqual([])
    expect((await pageOf(as, '?archived=true')).jobs).toHaveLength(10)
    for (const wrong of ['order=size', 'after=nowhere', `after=${Buffer.from(JSON.stringify(['noon', randomUUID()])).toString('base64url')}`, 'search=%00']) expect((await office.ask('get', `/api/jobs?${wrong}`, { as })).status).toBe(400)
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
    // Asked twice with one id, as after a lost answer, one job is opened.
    const [jobId, ...again] = await Promise.all([1, 2].map(async () => ((await office.ask('post', `/api/jobs/file?id=${body.id.replace(/^./, '0')}`, { as: planner, body: threeRowsOfSix() })).json() as { jobId: string }).jobId))
    expect(again).toEqual([jobId])
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as: planner })).json()).toMatchObject({ job: { title: 'Three rows of six' }, version: 0, stacks: { undo: [], redo: [] } })
  })
  it('are copied, archived, brought back, and deleted with all that belongs to them', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    await send(jobId, 0, [pitch(31)], as)
    await office.ask('post', `/api/jobs/${jobId}/sheets`, { as, body: { id: randomUUID(), version: 1, note: '' } })
    await office.ask('put', `/api/jobs/${jobId}/ticks?list=van`, { as, body: { ticks: [{ item: 'a', done: true }] } })
    const id = randomUUID()
    for (let i = 0; i < 2; i++) expect((await office.ask('post', `/api/jobs/${jobId}/copy`, { as, body: { id } })).json()).toEqual({ jobId: id })
    expect((await office.ask('get', `/api/jobs/${id}`, { as })).json()).toMatchObject({ job: { title: 'Three rows of six, copy', faces: [{ pitchDeg: 31 }] }, version: 0, stacks: { undo: [], redo: [] } })
    for (const archived of [true, false]) {
      await office.ask('patch', `/api/jobs/${jobId}`, { as, body: { archived } })
      expect((await pageOf(as, `?archived=${archived}`)).jobs.map(job => job.jobId)).toContain(jobId)
    }
    expect((await office.ask('delete', `/api/jobs/${jobId}`, { as })).status).toBe(200)
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as })).status).toBe(404)
    for (const path of ['edits?since=0', 'ticks?list=van', 'photographs', 'sheet', 'job.json', 'links']) expect((await office.ask('get', `/api/jobs/${jobId}/${path}`, { as })).status).toBe(404)
    expect((await send(jobId, null, [pitch(20)], as)).status).toBe(404)
    expect((await pageOf(as)).jobs.map(job => job.jobId)).toEqual([id])
    // The keeper of the tables takes it away for good, with all that belongs to it.
    await asKeeper(as.firmId, 'delete from jobs where job_id = $1', [jobId])
    for (const table of ['job_edits', 'issued_sheets', 'ticks', 'photographs']) expect(await asFirm(as.firmId, `select 1 from ${table} where job_id = $1`, [jobId])).toEqual([])
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
