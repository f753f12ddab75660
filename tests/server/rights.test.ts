import './globals'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { threeRowsOfSix } from '../fixtures/jobs'
import type { Edit } from '../../core/job'
import type { Role } from '../../core/people'
import { addressOf, asKeeper, bodyFor, type Caller, demoPerson, freshJob, Office, openRoutes, openSession, otherFirm, routes } from './office'

/**
 * Who may ask what, written down by hand as the trade has it, not read from the app's own table: o owner, p planner, l lead, y yard,
 * g a guest who is invited to this job, s somebody who holds a link to one sheet of it, k to one hand-over pack.
 */
const mayAsk: Record<string, string> = {
  'get /api/codes': 'oply', 'get /api/jobs': 'oply', 'get /api/news': 'oplyg', 'get /api/outbox': 'o', 'get /api/people': 'oply', 'get /api/shelf': 'oply',
  'post /api/jobs': 'op', 'post /api/jobs/file': 'op', 'post /api/invitations': 'o', 'delete /api/invitations/:invitation': 'o', 'patch /api/people/:person': 'o',
  'get /api/me': 'oplygsk', 'get /api/me/sessions': 'oplygsk', 'get /api/me/jobs': 'oply', 'delete /api/me/sessions': 'oplygsk', 'put /api/me/passphrase': 'oplygsk',
  'get /api/me/passkeys': 'oplygsk', 'post /api/me/passkeys': 'oplygsk', 'post /api/me/passkeys/options': 'oplygsk', 'delete /api/me/passkeys/:key': 'oplygsk',
  'get /api/shelf/blank.xlsx': 'oply', 'get /api/shelf/parts.json': 'oply', 'get /api/shelf/parts.xlsx': 'oply', 'get /api/shelf/:shelf/parts.csv': 'oply', 'get /api/approvals/:approval/jobs': 'oply',
  'post /api/shelf/changes': 'op', 'post /api/shelf/file': 'op', 'put /api/shelf/currency': 'op', 'delete /api/shelf/:shelf/:item': 'op',
  'get /api/jobs/:id': 'oplyg', 'get /api/jobs/:id/edits': 'oplyg', 'get /api/jobs/:id/ticks': 'oplyg', 'get /api/jobs/:id/sheet': 'oplyg', 'get /api/jobs/:id/sheets': 'oplyg',
  'get /api/jobs/:id/job.json': 'oplyg', 'get /api/jobs/:id/roof.geojson': 'oplyg', 'get /api/jobs/:id/mark-out.csv': 'oplyg', 'get /api/jobs/:id/load-out.csv': 'oplyg', 'get /api/jobs/:id/load-out.xlsx': 'oplyg',
  'get /api/jobs/:id/purchases.csv': 'oplyg', 'get /api/jobs/:id/calculations.pdf': 'oplyg', 'get /api/jobs/:id/permit.pdf': 'oplyg', 'get /api/jobs/:id/ground/:drawing': 'oplyg', 'get /api/jobs/:id/faces/:face/drawing.dxf': 'oplyg', 'get /api/jobs/:id/faces/:face/drawing.svg': 'oplyg',
  'get /api/jobs/:id/mark-out.pdf': 'oplygs', 'get /api/jobs/:id/hand-over.pdf': 'oplygk', 'get /api/jobs/:id/serial-map.pdf': 'oplyg', 'get /api/jobs/:id/array-layout.csv': 'oplyg', 'get /api/jobs/:id/array-layout.json': 'oplyg',
  'get /api/jobs/:id/photographs': 'oplyg', 'get /api/jobs/:id/photographs/:photo': 'oplyg', 'post /api/jobs/:id/photographs': 'opl', 'patch /api/jobs/:id/photographs/:photo': 'opl', 'delete /api/jobs/:id/photographs/:photo': 'opl',
  'put /api/jobs/:id/ticks': 'oply', 'post /api/jobs/:id/edits': 'opl', 'post /api/jobs/:id/sheets': 'op', 'post /api/jobs/:id/copy': 'op', 'patch /api/jobs/:id': 'op', 'delete /api/jobs/:id': 'op',
  'get /api/jobs/:id/links': 'op', 'post /api/jobs/:id/links': 'op', 'delete /api/jobs/:id/links/:link': 'op',
}

const office = new Office()
beforeAll(() => office.open())
afterAll(() => office.close())

/** Somebody of a role whom no other test knows; a guest of a job. */
const somebody = async (role: Role, jobId: string | null = null): Promise<Caller> => {
  const personId = randomUUID()
  await asKeeper(DEMO_FIRM_ID, 'insert into people (firm_id, person_id, name, role, job_id) values ($1, $2, $3, $4, $5)', [DEMO_FIRM_ID, personId, 'Helper', role, jobId])
  return await openSession(DEMO_FIRM_ID, personId)
}
const guestOf = (jobId: string) => somebody('guest', jobId)
async function linkTo(jobId: string, revision: number | null, pack: 'householder' | null = null): Promise<Caller> {
  const planner = await demoPerson('planner')
  if (revision !== null) await office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body: { id: randomUUID(), version: 0, note: '' } })
  const made = await office.ask('post', `/api/jobs/${jobId}/links`, { as: planner, body: { id: randomUUID(), revision, pack, days: 3, note: 'Helper' } })
  // From one address no more than so many are opened in an hour, and this walk opens more.
  await asKeeper(DEMO_FIRM_ID, 'delete from tries', [])
  const opened = await office.ask('post', '/api/links/open', { body: { token: (made.json() as { link: string }).link.split('#')[1] } })
  return { ...JSON.parse(opened.headers.get('x-test-session')!) as Caller, personId: '' }
}

describe('rights', () => {
  const asked = routes.filter(route => !openRoutes.has(`${route.method} ${route.path}`))
  it('are written down for every route there is', () => expect(Object.keys(mayAsk).sort()).toEqual(asked.map(route => `${route.method} ${route.path}`).sort()))

  it.each(asked.map(route => [route.method, route.path] as const))('%s %s is for those it is for', async (method, path) => {
    if (path === '/api/news') return
    const who: [string, () => Promise<{ as: Caller, jobId: string }>][] = [
      ...(['owner', 'planner', 'lead', 'yard'] as const).map((role: Role): [string, () => Promise<{ as: Caller, jobId: string }>] => [role[0]!, async () => ({ as: await somebody(role), jobId: await freshJob() })]),
      ['g', async () => {
        const jobId = await freshJob()
        return { as: await guestOf(jobId), jobId }
      }],
      ['g', async () => {
        const jobId = await freshJob()
        return { as: await linkTo(jobId, null), jobId }
      }],
      ['s', async () => {
        const jobId = await freshJob()
        return { as: await linkTo(jobId, 1), jobId }
      }],
      ['k', async () => {
        const jobId = await freshJob()
        return { as: await linkTo(jobId, null, 'householder'), jobId }
      }],
    ]
    await Promise.all(who.map(async ([letter, come]) => {
      const { as, jobId } = await come()
      const answer = await office.ask(method, `${addressOf(path, jobId)}?list=van&since=0&name=parts.csv&units=metric&revision=1`, { as, ...bodyFor(method, path) })
      if (mayAsk[`${method} ${path}`]!.includes(letter)) expect([letter, answer.status]).not.toEqual([letter, 403])
      else expect([letter, answer.status, answer.problems()[0]?.path]).toEqual([letter, 403, 'right'])
      expect(answer.status).toBeLessThan(500)
    }))
  })

  it('of a guest end at their one job, and of a link at its one sheet', async () => {
    const [own, other] = [await freshJob(), await freshJob()]
    for (const as of [await guestOf(own), await linkTo(own, null)]) {
      expect((await office.ask('get', `/api/jobs/${own}`, { as })).status).toBe(200)
      for (const path of ['', '/photographs', '/sheet', '/edits?since=0']) expect((await office.ask('get', `/api/jobs/${other}${path}`, { as })).status).toBe(404)
    }
    const sheet = await linkTo(own, 1)
    expect((await office.ask('get', `/api/jobs/${own}/mark-out.pdf?revision=1`, { as: sheet })).status).toBe(200)
    for (const path of ['mark-out.pdf', 'mark-out.pdf?revision=2']) expect((await office.ask('get', `/api/jobs/${own}/${path}`, { as: sheet })).status).toBe(403)
    expect((await office.ask('get', `/api/jobs/${other}/mark-out.pdf?revision=1`, { as: sheet })).status).toBe(404)
  })

  it('by a link end when it is taken back, and when its day has come', async () => {
    // So many links were opened above that one address would have to wait.
    await asKeeper(DEMO_FIRM_ID, 'delete from tries', [])
    const jobId = await freshJob()
    const planner = await demoPerson('planner')
    const as = await linkTo(jobId, null)
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as })).status).toBe(200)
    const [{ linkId, openedAt }] = (await office.ask('get', `/api/jobs/${jobId}/links`, { as: planner })).json() as [{ linkId: string, openedAt: string | null }]
    expect(openedAt).not.toBeNull()
    expect((await office.ask('delete', `/api/jobs/${jobId}/links/${linkId}`, { as: planner })).status).toBe(200)
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as })).status).toBe(401)
    expect((await office.ask('delete', `/api/jobs/${jobId}/links/${linkId}`, { as: planner })).status).toBe(404)
    const later = await linkTo(jobId, null)
    await asKeeper(DEMO_FIRM_ID, 'update share_links set expires_at = now() where job_id = $1', [jobId])
    expect((await office.ask('get', `/api/jobs/${jobId}`, { as: later })).status).toBe(401)
    // Whoever was signed in here before, and is not any more, reads by the link as anybody does.
    const ended = await demoPerson('yard', -1)
    const link = (await office.ask('post', `/api/jobs/${jobId}/links`, { as: planner, body: { id: randomUUID(), revision: null, days: 3, note: '' } })).json() as { link: string }
    const opened = await office.ask('post', '/api/links/open', { as: ended, body: { token: link.link.split('#')[1] } })
    expect(JSON.parse(opened.headers.get('x-test-session')!)).toHaveProperty('linkId')
    const kept = await office.ask('post', '/api/links/open', { as: planner, body: { token: link.link.split('#')[1] } })
    expect([kept.status, kept.headers.get('x-test-session')]).toEqual([200, null])
    for (const token of ['', 'x'.repeat(75), 'AAAA']) expect((await office.ask('post', '/api/links/open', { body: { token } })).status).toBe(410)
  })
})

describe('edits by right', () => {
  const make = (jobId: string, as: Caller, edit: unknown, baseVersion: number | null = null) => office.ask('post', `/api/jobs/${jobId}/edits`, { as, body: { baseVersion, entries: [{ id: randomUUID(), kind: 'edit', edit }] } })
  const refusedBy = async (jobId: string, as: Caller, edit: Edit) => ((await make(jobId, as, edit)).json() as { refused: { sentence: string }[] }).refused[0]?.sentence ?? ''
  const setArray = (values: object) => ({ type: 'set-array', faceId: 'main', values }) as Edit
  it('a lead logs what is found, moves what keeps every limit, and changes no limit, part or number of modules', async () => {
    const [jobId, lead] = [await freshJob(), await demoPerson('lead')]
    expect(await refusedBy(jobId, lead, { type: 'log-hits', faceId: 'main', hits: [{ at: 0, hit: { id: 'h1', xMm: 410, yMm: 1000, state: 'knock', use: 'rafter' } }] })).toBe('')
    expect(await refusedBy(jobId, lead, { type: 'move-rafter', faceId: 'main', rafter: 2, centreMm: 1010 })).toBe('')
    expect(await refusedBy(jobId, lead, setArray({ shiftMm: 20 }))).toBe('')
    expect(await refusedBy(jobId, lead, setArray({ shiftMm: 5000 }))).toMatch(/number of modules|keep every limit/)
    // A reading that takes a module away is told to a planner, who decides.
    expect(await refusedBy(jobId, lead, { type: 'set-face', faceId: 'main', values: { obstructions: [{ id: 'v', kind: 'vent', round: false, xMm: 3000, yMm: 2500, widthMm: 300, heightMm: 300, clearanceMm: 50 }] } } as Edit)).toContain('number of modules')
    expect(await refusedBy(jobId, lead, { type: 'set-face', faceId: 'main', values: { pitchDeg: 26.6 } } as Edit)).toBe('')
    for (const edit of [setArray({ allowedSpanMm: 2400 }), setArray({ railId: 'bollard-heavy' }), { type: 'set-row', faceId: 'main', row: 0, values: { count: 3 } }, { type: 'set-job', values: { wanted: 9 } }, { type: 'set-keep-clear', values: { sprinklers: true } }] as Edit[]) {
      expect(await refusedBy(jobId, lead, edit)).toMatch(/a planner does that/)
    }
    const { entries } = (await office.ask('get', `/api/jobs/${jobId}/edits?since=0`, { as: lead })).json() as { entries: { role: string, personName: string }[] }
    expect(entries.map(one => [one.role, one.personName])).toEqual(entries.map(() => ['lead', 'Dabney Thrift']))
    expect(entries).toHaveLength(4)
  })
  it('an engineer’s figure is typed by whoever vouches, and by nobody else', async () => {
    const jobId = await freshJob()
    const figures: Edit[] = [setArray({ allowedSpanMm: 2400 }), setArray({ heldUpN: 900 }), { type: 'set-loads', values: { engineer: { asked: true, name: 'A. Beam' } } }]
    for (const edit of figures) expect(await refusedBy(jobId, await demoPerson('owner'), edit)).toContain('vouches')
    for (const edit of figures) expect(await refusedBy(jobId, await demoPerson('planner'), edit)).toBe('')
    // By name, licence and date, on every sheet; for each figure whoever typed it last.
    const planner = await demoPerson('planner')
    await refusedBy(jobId, planner, setArray({ allowedSpanMm: 2300 }))
    const cautionsOf = async (jobId: string, version: number) => {
      await office.ask('post', `/api/jobs/${jobId}/sheets`, { as: planner, body: { id: randomUUID(), version, note: '', reason: 'To see who vouches' } })
      const [last] = await asKeeper<{ sheet: { cautions: string[] } }>(DEMO_FIRM_ID, 'select sheet from issued_sheets where job_id = $1 order by revision desc limit 1', [jobId])
      return last!.sheet.cautions.filter(line => line.includes('vouches'))
    }
    const today = new Date().toISOString().slice(0, 10)
    expect(await cautionsOf(jobId, 4)).toEqual(['what a fixing holds', 'the allowed span', 'the engineer'].map(what => `Perrin Oakum vouches for ${what}: licence Structural, Saltmarsh board 4471, ${today}.`))
    // A copy has the figures, and nobody who typed them there.
    const copy = randomUUID()
    await office.ask('post', `/api/jobs/${jobId}/copy`, { as: planner, body: { id: copy } })
    expect(await cautionsOf(copy, 0)).toEqual(['what a fixing holds', 'the allowed span', 'the engineer'].map(what => `Nobody vouches for ${what} as it stands. Whoever may takes it off and types it anew.`))
    // A face that comes back with another figure brings nobody's word for it.
    const [main] = threeRowsOfSix().faces
    const face = (id: string, allowedSpanMm: number | null): Edit => ({ type: 'add-face', at: 0, face: { ...main!, id, array: { ...main!.array, allowedSpanMm } } })
    expect(await refusedBy(jobId, await demoPerson('owner'), { type: 'batch', edits: [face('other', null), { type: 'remove-face', faceId: 'main' }, face('main', 2600), { type: 'remove-face', faceId: 'other' }] } as Edit)).toBe('')
    expect(await cautionsOf(jobId, 5)).toEqual(['Nobody vouches for the allowed span as it stands. Whoever may takes it off and types it anew.', `Perrin Oakum vouches for the engineer: licence Structural, Saltmarsh board 4471, ${today}.`])
    // What is taken off has nobody to vouch for it.
    await refusedBy(jobId, planner, setArray({ allowedSpanMm: null }))
    expect((await cautionsOf(jobId, 6)).filter(line => line.includes('span'))).toEqual([])
  })
  it('what a lead sends that can’t be made is refused with its reason, and nothing breaks', async () => {
    const [jobId, lead] = [await freshJob(), await demoPerson('lead')]
    expect(await refusedBy(jobId, lead, { type: 'set-array', faceId: 'nowhere', values: { shiftMm: 5 } })).toContain('removed meanwhile')
    expect(await refusedBy(jobId, lead, { type: 'set-row', faceId: 'main', row: 0, values: { held: [0, 1, 2] } })).toMatch(/number of modules|keep every limit/)
  })
  it('a batch is as much as the most of it', async () => {
    const [jobId, lead] = [await freshJob(), await demoPerson('lead')]
    expect(await refusedBy(jobId, lead, { type: 'batch', edits: [setArray({ shiftMm: 5 }), setArray({ moduleId: 'skerry-425' })] } as Edit)).toMatch(/planner/)
  })
  it('nothing of it reaches another firm', async () => {
    const jobId = await freshJob()
    expect((await make(jobId, await otherFirm(), setArray({ shiftMm: 5 }))).status).toBe(404)
  })
})
