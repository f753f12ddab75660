import { config } from './globals'
import { randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Postgres from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { purge } from '../../db/purge'
import { folderStore } from '../../server/pictures/store'
import { asFirm, asKeeper, type Caller, demoPlanner, freshJob, Office, otherFirm } from './office'

const office = new Office()
let planner: Caller
beforeAll(async () => {
  await office.open()
  planner = await demoPlanner()
})
afterAll(() => office.close())

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
    expect((await office.ask('get', `/api/jobs/${jobId}/photographs`, { as: planner })).json()).toEqual([])
    for (const method of ['get', 'delete', 'patch'] as const) expect((await office.ask(method, at, {
      as: planner,
      ...(method === 'patch' ? { body: { caption: '' } } : {}),
    })).status).toBe(404)
  })
  it('of many at once are no more than a job keeps, each once by its id, without the place where they were taken', async () => {
    const sharp = (await import('sharp')).default
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    const plain = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#889' } }).jpeg().toBuffer()
    const id = randomUUID()
    const twice = await Promise.all([1, 2].map(() => office.ask('post', `/api/jobs/${jobId}/photographs?id=${id}`, { as, raw: plain, type: 'image/jpeg' })))
    expect(twice.map(one => one.json())).toEqual([{ photoId: id }, { photoId: id }])
    const many = await Promise.all(Array.from({ length: 70 }, () => office.ask('post', `/api/jobs/${jobId}/photographs`, { as, raw: plain, type: 'image/jpeg' })))
    expect(many.filter(one => one.status === 201)).toHaveLength(59)
    expect(many.filter(one => one.status === 409)).toHaveLength(11)
    const other = await freshJob(as.firmId)
    const placed = await sharp(plain).withExif({ IFD3: { GPSLatitude: '50/1 3/1 0/1', GPSLatitudeRef: 'N' } }).jpeg().toBuffer()
    expect((await sharp(placed).metadata()).exif).toBeDefined()
    const { photoId } = (await office.ask('post', `/api/jobs/${other}/photographs`, { as, raw: placed, type: 'image/jpeg' })).json() as { photoId: string }
    const { exif, width } = await sharp((await office.ask('get', `/api/jobs/${other}/photographs/${photoId}`, { as })).bytes).metadata()
    expect([exif, width]).toEqual([undefined, 40])
  })
  it('are counted in turn: ten that reach the database at once are not ten more than a job keeps', async () => {
    const sharp = (await import('sharp')).default
    const as = await otherFirm()
    const jobId = await freshJob(as.firmId)
    const plain = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#889' } }).jpeg().toBuffer()
    await asFirm(as.firmId, 'insert into photographs (firm_id, job_id, person_id, content_type, width_px, height_px, picture, thumbnail) select $1, $2, $3, \'image/jpeg\', 20, 20, $4, $4 from generate_series(1, 57)', [as.firmId, jobId, as.personId, plain])
    // Somebody holds the job until all have looked how many there are, or wait their turn.
    const holder = new Postgres.Client({ connectionString: process.env.ROUTES_OWNER_URL })
    await holder.connect()
    await holder.query('begin')
    await holder.query('select from jobs where job_id = $1 for update', [jobId])
    const sent = Array.from({ length: 9 }, () => office.ask('post', `/api/jobs/${jobId}/photographs`, { as, raw: plain, type: 'image/jpeg' }))
    const waiting = async () => (await holder.query('select from pg_locks where not granted')).rowCount
    await expect.poll(waiting, { timeout: 20_000 }).toBeGreaterThan(6)
    await holder.query('commit')
    await holder.end()
    expect((await Promise.all(sent)).map(one => one.status).sort()).toEqual([201, 201, 201, 409, 409, 409, 409, 409, 409])
  })
  it('lie in a folder where one is given, by their ids; those in the database stay there', async () => {
    const sharp = (await import('sharp')).default
    const jobId = await freshJob()
    const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#455' } }).jpeg().toBuffer()
    const send = async () => ((await office.ask('post', `/api/jobs/${jobId}/photographs`, { as: planner, raw: picture, type: 'image/jpeg' })).json() as { photoId: string }).photoId
    const inside = await send()
    config.pictures = mkdtempSync(join(tmpdir(), 'pictures-'))
    const outside = await send()
    const file = join(config.pictures, DEMO_FIRM_ID, jobId, outside)
    expect(readFileSync(file).equals(picture)).toBe(true)
    expect(await asFirm(DEMO_FIRM_ID, 'select photo_id from photographs where job_id = $1 and picture is null', [jobId])).toEqual([{ photo_id: outside }])
    for (const id of [inside, outside]) expect((await office.ask('get', `/api/jobs/${jobId}/photographs/${id}`, { as: planner })).bytes.equals(picture)).toBe(true)
    expect((await office.ask('delete', `/api/jobs/${jobId}/photographs/${outside}`, { as: planner })).status).toBe(204)
    expect(existsSync(file)).toBe(false)
    config.pictures = ''
  })
  it('of a deleted job go with it a month later, also from a folder; of others none', async () => {
    const sharp = (await import('sharp')).default
    const picture = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#889' } }).jpeg().toBuffer()
    const folder = mkdtempSync(join(tmpdir(), 'pictures-'))
    config.pictures = folder
    const jobs = await Promise.all([freshJob(), freshJob(), freshJob()])
    for (const jobId of jobs) await office.ask('post', `/api/jobs/${jobId}/photographs`, { as: planner, raw: picture, type: 'image/jpeg' })
    config.pictures = ''
    const [gone, late] = jobs
    for (const [jobId, days] of [[gone, 31], [late, 29]] as const) await asKeeper(DEMO_FIRM_ID, 'update jobs set deleted_at = now() - make_interval(days => $2) where job_id = $1', [jobId, days])
    await purge(process.env.ROUTES_OWNER_URL!, folderStore(folder))
    expect(jobs.map(jobId => existsSync(join(folder, DEMO_FIRM_ID, jobId)))).toEqual([false, true, true])
    expect((await asKeeper<{ id: string }>(DEMO_FIRM_ID, 'select job_id as id from jobs where job_id = any($1)', [jobs])).map(row => row.id).sort()).toEqual(jobs.slice(1).sort())
  })
  it('that hide a huge picture in a small file are not opened', async () => {
    const sharp = (await import('sharp')).default
    const huge = await sharp({ create: { width: 10_000, height: 9_000, channels: 3, background: '#000' } }).png({ compressionLevel: 9 }).toBuffer()
    expect(huge.length).toBeLessThan(1_000_000)
    expect((await office.ask('post', `/api/jobs/${await freshJob()}/photographs`, { as: planner, raw: huge, type: 'image/png' })).status).toBe(415)
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
