import './globals'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import ExcelJS from 'exceljs'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Catalogue, catalogueSchema, demoCatalogue, emptyCatalogue, type Module, shelves } from '../../core/catalogue'
import type { Job } from '../../core/job'
import { demoJobs } from '../../db/demo/jobs'
import { type Change, type ShelfLine, successionOf, type Used } from '../../core/shelf'
import { asFirm, type Caller, freshJob, Office, otherFirm } from './office'

const office = new Office()
beforeAll(() => office.open())
afterAll(() => office.close())

const shelfOf = async (as: Caller) => (await office.ask('get', '/api/shelf', { as })).json() as { catalogue: Catalogue, used: Used }
const change = (as: Caller, changes: Change[]) => office.ask('post', '/api/shelf/changes', { as, body: { changes } })
const readFile = (as: Caller, name: string, raw: string | Buffer, query = '&by=maker&note=Price+list&on=2026-05-01') => office.ask('post', `/api/shelf/file?name=${encodeURIComponent(name)}${query}`, { as, raw, type: 'application/octet-stream' })
const linesOf = async (as: Caller, name: string, raw: string | Buffer, query?: string) => (await readFile(as, name, raw, query)).json() as { lines: ShelfLine[], notes: string[] }
const [module] = demoCatalogue.modules as [Module]

describe('a firm’s shelf', () => {
  it('goes out as a workbook, a table and a file, and comes back as it is', { timeout: 240_000 }, async () => {
    const as = await otherFirm()
    for (const name of ['parts.xlsx', 'parts.json']) {
      const { bytes } = await office.ask('get', `/api/shelf/${name}`, { as })
      const { lines, notes } = await linesOf(as, name, bytes, '')
      expect(notes).toEqual([])
      expect(lines.length).toBeGreaterThan(80)
      expect(lines.filter(line => line.standing !== 'same')).toEqual([])
    }
    for (const shelf of shelves) {
      const csv = await office.ask('get', `/api/shelf/${shelf}/parts.csv`, { as })
      const { lines } = await linesOf(as, `${shelf}.csv`, csv.bytes, '')
      expect(lines.filter(line => line.standing !== 'same').map(line => [line.name, ...line.problems])).toEqual([])
      expect(lines).toHaveLength(demoCatalogue[shelf].length)
    }
  })
  it('has a workbook of headings to be filled in, which names every figure', async () => {
    const as = await otherFirm()
    const workbook = new ExcelJS.Workbook()
    await workbook.xlsx.load((await office.ask('get', '/api/shelf/blank.xlsx', { as })).bytes as unknown as ArrayBuffer)
    expect(workbook.worksheets.map(sheet => sheet.name)).toEqual(['Modules', 'Rails', 'Mounts and hooks', 'Clamps', 'Small parts', 'Coverings', 'In-roof systems', 'Electronics', 'Trunk cables', 'Inverters', 'Sets', 'What goes with what', 'Approved in-roof modules'])
    const heads = (workbook.getWorksheet('Rails')!.getRow(1).values as string[]).slice(1)
    expect(heads).toEqual(expect.arrayContaining(['Name', 'Ix (mm⁴)', 'Stick 1 length (mm)', 'Stick 1 price (USD)', 'Goes with', 'Source date']))
  })
  it('loses a part with its own small parts and pairings', async () => {
    const as = await otherFirm()
    const { catalogue } = await shelfOf(as)
    for (const set of catalogue.sets.filter(one => one.railId === 'hawser-mid')) expect((await office.ask('delete', `/api/shelf/sets/${set.id}`, { as })).status).toBe(200)
    expect((await office.ask('delete', '/api/shelf/rails/hawser-mid', { as })).status).toBe(200)
    expect(JSON.stringify((await shelfOf(as)).catalogue)).not.toContain('hawser-mid')
  })
  it('is one firm’s alone', async () => {
    const [ours, theirs] = [await otherFirm(), await otherFirm()]
    expect((await change(ours, [{ shelf: 'modules', item: { ...module, id: 'tern-410', name: 'Tern 410' }, was: null }])).status).toBe(200)
    expect((await shelfOf(theirs)).catalogue.modules.map(one => one.id)).not.toContain('tern-410')
    expect((await office.ask('delete', '/api/shelf/modules/tern-410', { as: theirs })).status).toBe(404)
    expect((await office.ask('delete', '/api/shelf/modules/tern-410', { as: ours })).status).toBe(200)
    expect((await shelfOf(ours)).catalogue.modules).toEqual(demoCatalogue.modules)
  })
  it('takes all changes of a file or none, and tells whoever was second', async () => {
    const as = await otherFirm()
    const [dearer, wrong] = [{ ...module, massKg: 21 }, { ...module, id: 'odd', powerW: 500 }]
    const refused = await change(as, [{ shelf: 'modules', item: dearer, was: module }, { shelf: 'modules', item: wrong, was: null }])
    expect(refused.status).toBe(409)
    expect(refused.problems()).toEqual([{ path: '1.powerW', sentence: expect.stringContaining('off Vmp × Imp') as unknown }])
    expect((await shelfOf(as)).catalogue.modules[0]).toEqual(module)
    const both = await Promise.all([21, 22].map(massKg => change(as, [{ shelf: 'modules', item: { ...module, massKg }, was: module }])))
    expect(both.map(one => one.status).sort()).toEqual([200, 409])
    expect(both.find(one => one.status === 409)!.problems()[0]!.sentence).toContain('Somebody else has changed this part')
  })
  it('keeps what a job uses, or used before something was undone', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    await office.ask('post', `/api/jobs/${jobId}/edits`, { as, body: { baseVersion: 0, entries: [
      { id: randomUUID(), kind: 'edit', edit: { type: 'batch', edits: [{ type: 'set-array', faceId: 'main', values: { moduleId: 'skerry-390', supplyIds: ['gull-tie'] } }] } },
    ] } })
    const { used } = await shelfOf(as)
    expect(used.modules).toEqual({ 'skerry-425': 1, 'skerry-390': 1 })
    expect(used.rails).toEqual({ 'bollard-light': 1 })
    expect(used.supplies).toMatchObject({ 'bollard-light-splice': 1, 'gull-tie': 1, 'gull-sealant': 1 })
    expect(used.supplies!['hawser-splice']).toBeUndefined()
    expect((await office.ask('delete', '/api/shelf/modules/skerry-390', { as })).problems()[0]!.sentence).toContain('retire it instead')
    expect((await change(as, [{ shelf: 'modules', item: { ...module, massKg: 21 }, was: module }])).problems()[0]!.sentence).toContain('keeps its figures')
  })
  it('has its prices in one currency', async () => {
    const as = await otherFirm()
    expect((await office.ask('put', '/api/shelf/currency', { as, body: { currency: 'euro' } })).problems()[0]!.sentence).toContain('three capitals')
    const jobId = await freshJob(as.firmId)
    const opened = async (shelf = '') => (await office.ask('get', `/api/jobs/${jobId}${shelf}`, { as })).json() as { shelf: number, catalogue: Catalogue | null }
    const before = await opened()
    await office.ask('put', '/api/shelf/currency', { as, body: { currency: 'EUR' } })
    // A page that has the shelf already is given it anew.
    expect((await opened(`?shelf=${before.shelf}`)).catalogue?.currency).toBe('EUR')
    expect((await shelfOf(as)).catalogue.currency).toBe('EUR')
  })
})

describe('an issued sheet', () => {
  it('keeps the figures it was made with when its parts are retired and others come in their place', async () => {
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    expect((await office.ask('post', `/api/jobs/${jobId}/sheets`, { as, body: { id: randomUUID(), version: 0, note: 'First' } })).status).toBe(201)
    const sheets = () => asFirm<{ sheet: object }>(as.firmId, 'select sheet from issued_sheets where job_id = $1', [jobId])
    const planned = async () => ((await office.ask('get', `/api/jobs/${jobId}/sheet`, { as })).json() as { plan: { faces: { parts: object, marks: object }[] } }).plan.faces[0]!
    const [before, plan] = [await sheets(), await planned()]
    const longer = { ...module, longMm: 1800 }
    expect((await change(as, successionOf(demoCatalogue, 'modules', longer))).status).toBe(200)
    expect(await sheets()).toEqual(before)
    // The job itself stands on the old figures too, and is told.
    expect(await planned()).toMatchObject({ marks: plan.marks, parts: { module: { longMm: 1755, retired: true } } })
    const { catalogue } = await shelfOf(as)
    expect(catalogue.modules.map(one => [one.id, one.retired])).toEqual([['skerry-425', true], ['skerry-425-2', false], ['skerry-390', false], ['lantern-460', false]])
  })
})

describe('files of parts', () => {
  it('in a spreadsheet’s old code page, with semicolons, are read', async () => {
    const text = 'Name;Maker;Covering;Gauge (mm);Cover width (mm)\r\nKüstenpfanne;Dünenziegel;Pressed metal tile;369;1265\r\n'
    const { lines } = await linesOf(await otherFirm(), 'coverings.csv', Buffer.from(text, 'latin1'))
    expect(lines).toMatchObject([{ standing: 'new', name: 'Küstenpfanne', changes: [{ item: { id: 'kustenpfanne', size: { gaugeMm: 369 } } }] }])
  })
  it('in a workbook are read as they are shown: percent, formulas, fractions', async () => {
    const workbook = new ExcelJS.Workbook()
    const sheet = workbook.addWorksheet('Modules')
    sheet.addRow(['Name', 'Power left then', 'Product warranty', 'Power warranty', 'Weight (kg)', 'Lead length'])
    sheet.addRow(['Skerry 425', 0.9, 25, 30, { formula: '20+0.5', result: 20.5 }, `3' 11 1/4"`])
    sheet.getCell('B2').numFmt = '0 %'
    const { lines } = await linesOf(await otherFirm(), 'list.xlsx', Buffer.from(await workbook.xlsx.writeBuffer()))
    expect(lines[0]!.problems).toEqual([])
    expect(lines[0]).toMatchObject({ standing: 'changed', changes: [{ item: { warranty: { powerShare: 0.9, productYears: 25, powerYears: 30 }, massKg: 20.5 } }] })
    expect((lines[0]!.changes[0]!.item as Module).leadMm).toBeCloseTo(47.25 * 25.4, 9)
  })
  it.each([
    ['parts.pdf', 'x', 422, 'is none of .csv, .xlsx and .json'],
    ['parts.xlsx', 'not a workbook', 422, 'can’t be read as a workbook'],
    ['parts.json', '{', 422, 'is not JSON'],
    ['parts.json', '{"format":"upper-deck-job"}', 422, 'is not a shelf file'],
    ['parts.json', JSON.stringify({ format: 'upper-deck-shelf', formatVersion: 1, currency: 'EUR' }), 422, 'Its prices are in "EUR"'],
    ['parts.csv', '', 422, 'is empty'],
    ['parts.csv', 'x'.repeat(4_000_001), 413, 'at most 4 MB'],
  ])('that are none are refused with a sentence: %s', async (name, raw, status, sentence) => {
    const answer = await readFile(await otherFirm(), name, raw)
    expect(answer.status).toBe(status)
    expect(answer.problems()[0]!.sentence).toContain(sentence)
  })
  it('with a part that is none say so of its line, and take the others', async () => {
    const file = { format: 'upper-deck-shelf', formatVersion: 1, currency: 'USD', modules: [{ ...module, id: 'tern-1', plate: { ...module.plate!, vmpV: 60 } }, 7, { ...module, id: 'tern-2' }], boats: [] }
    const { lines, notes } = await linesOf(await otherFirm(), 'own.json', JSON.stringify(file))
    expect(lines.map(line => line.standing)).toEqual(['refused', 'refused', 'new'])
    expect(lines[0]!.problems.join(' ')).toContain('Vmp, 60 V, is over Voc')
    expect(notes).toEqual(['“boats” was left out: there is no such shelf.'])
  })
})

describe('a module that is approved with an in-roof system', () => {
  it('is offered to the open jobs that could take it, job by job, a few at a time, and changes none by itself', { timeout: 120_000 }, async () => {
    const as = await otherFirm()
    const { catalogue } = await shelfOf(as)
    const framed = demoJobs.find(({ job }) => job.title === '2 Eelgrass Cottages')!.job
    const jobs = await Promise.all(Array.from({ length: 8 }, (_, i) => freshJob(as.firmId, { ...framed, title: `Cottage ${i}` })))
    const plain = await freshJob(as.firmId)
    await asFirm(as.firmId, 'update jobs set archived_at = now() where job_id = $1', [jobs[7]])
    const item = { ...catalogue.approvals[0]!, id: 'skerry-425-frame', moduleId: 'skerry-425', systemId: 'foreshore-frame', on: '2026-11-02' }
    expect((await change(as, [{ shelf: 'approvals', item, was: null }])).status).toBe(200)
    interface Offered { jobs: { jobId: string, title: string, version: number, offers: { changes: string[], edit: object }[] }[], next: string | null }
    const look = async (after?: string) => (await office.ask('get', `/api/approvals/${item.id}/jobs${after ? `?after=${after}` : ''}`, { as })).json() as Offered
    const first = await look()
    const second = await look(first.next!)
    const found = [...first.jobs, ...second.jobs]
    expect([first.jobs.length, second.jobs.length, second.next]).toEqual([6, 1, null])
    expect(found.map(one => one.jobId).sort()).toEqual(jobs.slice(0, 7).sort())
    expect(found.map(one => one.jobId)).not.toContain(plain)
    expect(found[0]!.offers[0]!.changes.some(one => one.startsWith('power W +'))).toBe(true)
    const moduleOf = async (jobId: string) => ((await office.ask('get', `/api/jobs/${jobId}`, { as })).json() as { job: Job }).job.faces[0]!.array.moduleId
    expect(await Promise.all(jobs.map(moduleOf))).toEqual(jobs.map(() => 'skerry-390'))
    const { jobId, version, offers: [offer] } = found[0]!
    expect((await office.ask('post', `/api/jobs/${jobId}/edits`, { as, body: { baseVersion: version, entries: [{ id: randomUUID(), kind: 'edit', edit: offer!.edit }] } })).json()).toMatchObject({ refused: [] })
    expect([await moduleOf(jobId), await moduleOf(found[1]!.jobId)]).toEqual(['skerry-425', 'skerry-390'])
    expect((await office.ask('get', '/api/approvals/no-such/jobs', { as })).status).toBe(404)
    // A system that jobs use keeps its figures, and takes its approvals along when it goes.
    expect((await change(as, [{ shelf: 'inRoofs', item: { ...catalogue.inRoofs[1]!, mostRows: 2 }, was: catalogue.inRoofs[1]! }])).problems()[0]!.sentence).toMatch(/keeps its figures/)
    expect((await office.ask('delete', '/api/shelf/inRoofs/saltings-low', { as })).status).toBe(200)
    expect((await shelfOf(as)).catalogue.approvals.some(one => one.systemId === 'saltings-low')).toBe(false)
  })
})

describe('a shelf of before', () => {
  it('keeps what it said of flashing and sealant in words, and its coverings get what they lack', async () => {
    const client = new pg.Client({ connectionString: process.env.ROUTES_OWNER_URL })
    await client.connect()
    try {
      await client.query('begin')
      const firmId = randomUUID()
      await client.query('select set_config(\'app.firm_id\', $1, true)', [firmId])
      await client.query('insert into firms (firm_id, name) values ($1, $2)', [firmId, 'Fen Road Roofing'])
      const put = (kind: string, id: string, data: object) => client.query('insert into catalogue_items (firm_id, kind, item_id, position, data) values ($1, $2, $3, 0, $4)', [firmId, kind, id, data])
      const { closures: _, ...mount } = demoCatalogue.mounts[1]!
      await put('mounts', mount.id, { ...mount, flashed: true, sealantMl: 7 })
      const { size: { kind: covered, gaugeMm }, ...tile } = demoCatalogue.coverings.find(one => one.size.kind === 'interlocking-tile')! as typeof demoCatalogue.coverings[number] & { size: { kind: 'interlocking-tile', gaugeMm: number } }
      await put('coverings', tile.id, { ...tile, size: { kind: covered, gaugeMm, coverWidthMm: 300, pan: { fromMm: 60, toMm: 240 } } })
      await client.query(readFileSync('db/migrations/0012_ways-through-coverings.sql', 'utf8'))
      const { rows } = await client.query<{ kind: 'mounts' | 'coverings', data: object }>('select kind, data from catalogue_items where firm_id = $1', [firmId])
      const shelf = emptyCatalogue('USD')
      for (const { kind, data } of rows) (shelf[kind] as object[]).push(data)
      const read = catalogueSchema.parse(shelf)
      expect(read.mounts[0]).toMatchObject({ closures: [], sealant: 'Inverted U under the flashing, open below; with a flashing; 7 ml of sealant' })
      expect(read.coverings[0]!.size).toMatchObject({ gaugeMm, lengthMm: gaugeMm + 75 })
    }
    finally {
      await client.query('rollback')
      await client.end()
    }
  })
  it('has sources and pairs after the migration, and every item passes its checks', async () => {
    const client = new pg.Client({ connectionString: process.env.ROUTES_OWNER_URL })
    await client.connect()
    try {
      await client.query('begin')
      const firmId = randomUUID()
      await client.query('select set_config(\'app.firm_id\', $1, true)', [firmId])
      await client.query('insert into firms (firm_id, name) values ($1, $2)', [firmId, 'Fen Road Roofing'])
      const old = (kind: 'modules' | 'rails' | 'mounts' | 'clamps' | 'supplies', item: { id: string }) => {
        const { source: _, figureSources: __, retired: ___, replaces: ____, plate: _____, lipMm: ______, junctionBox: _______, leadMm: ________, warranty: _________, ...rest } = item as Record<string, unknown>
        const partners = (by: 'railId' | 'withId', other: 'railId' | 'withId', shelf: { id: string }[]) => demoCatalogue.pairs.filter(pair => pair[by] === item.id && shelf.some(one => one.id === pair[other])).map(pair => pair[other])
        return { ...rest, evidence: kind === 'clamps' ? 'Test report 12' : 'Invented for the demonstration', ...(kind === 'rails' && { mountIds: partners('railId', 'withId', demoCatalogue.mounts) }), ...(kind === 'clamps' && { railIds: partners('withId', 'railId', demoCatalogue.rails) }) }
      }
      for (const kind of ['modules', 'rails', 'mounts', 'clamps', 'supplies'] as const) {
        for (const [position, item] of demoCatalogue[kind].entries()) await client.query('insert into catalogue_items (firm_id, kind, item_id, position, data) values ($1, $2, $3, $4, $5)', [firmId, kind, item.id, position, old(kind, item)])
      }
      // That migration knew fewer shelves; what other firms have on the newer ones is out of its way until all is taken back.
      await client.query('alter table catalogue_items no force row level security')
      await client.query('delete from catalogue_items where kind in (\'inRoofs\', \'approvals\', \'electronics\', \'trunks\', \'inverters\')')
      await client.query(readFileSync('db/migrations/0005_shelf.sql', 'utf8'))
      const { rows } = await client.query<{ kind: keyof Omit<Catalogue, 'currency'>, data: object }>('select kind, data from catalogue_items where firm_id = $1 order by position', [firmId])
      const shelf = emptyCatalogue('USD')
      for (const { kind, data } of rows) (shelf[kind] as object[]).push(data)
      const read = catalogueSchema.parse(shelf)
      expect(read.pairs.map(pair => pair.id).sort()).toEqual(demoCatalogue.pairs.map(pair => pair.id).sort())
      expect(read.rails.map(({ section }) => section)).toEqual(demoCatalogue.rails.map(({ section }) => section))
      expect(read.clamps[0]!.source).toMatchObject({ by: 'from-memory', note: 'Test report 12' })
      expect(read.modules[0]!.source.by).toBe('invented')
    }
    finally {
      await client.query('rollback')
      await client.end()
    }
  })
})
