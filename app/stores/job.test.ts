import 'fake-indexeddb/auto'
import { mockNuxtImport, registerEndpoint } from '@nuxt/test-utils/runtime'
import { createError, readBody } from 'h3'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { applyEdit, bareGround, collide, type Edit, type HistoryEntry, inverseOf, type Job, plainThing, plainWall, stacksOf, touches } from '#core/job'

// There are no threads here: the plan is worked out in place.
mockNuxtImport('usePlanner', () => () => ({
  planJob: async (...question: Parameters<typeof import('#core/plan')['planJob']>) => (await import('#core/plan')).planJob(...question),
}))

interface Sent { baseVersion: number | null, insist: boolean, entries: (Pick<HistoryEntry, 'id' | 'kind'> & { edit: Edit })[] }

/** A server that keeps one job as the real one does, and can be told to be away, to refuse, or that somebody else was faster. */
const office = {
  job: threeRowsOfSix(), version: 0, history: [] as (HistoryEntry & {
    version: number
    personName: string
    personId: string
    role: string
  })[], known: new Set<string>(), mood: 'well' as 'well' | 'away' | 'signed-out' | 'lost', asked: 0,
  /** More entries than these are not told one by one. */
  most: 300,
  /** What the job is called where it is read whole, to tell that it was. */
  readAs: '',
  /** Edits that it finds something wrong with. */
  refuses: (_: Edit): boolean => false,
  make(edit: Edit, id: string, kind: HistoryEntry['kind'] = 'edit', personName = 'Perrin Oakum') {
    this.history.push({ id, kind, edit, inverse: inverseOf(this.job, edit), version: ++this.version, personName, personId: personName, role: 'planner' })
    this.job = applyEdit(this.job, edit)
    this.known.add(id)
  },
  reset() {
    Object.assign(this, { job: threeRowsOfSix(), version: 0, history: [], known: new Set(), mood: 'well', asked: 0, most: 300, readAs: '', refuses: () => false })
  },
}
const jobId = '99999999-2222-4333-8444-555555555555'
registerEndpoint(`/api/jobs/${jobId}`, () => ({
  job: office.readAs ? { ...office.job, title: office.readAs } : office.job,
  version: office.version,
  catalogue,
  stacks: stacksOf(office.history.map(entry => ({ ...entry, own: entry.personName === 'Perrin Oakum' })), 100),
  made: office.history.filter(entry => entry.personName === 'Perrin Oakum').map(({ id }) => id),
}))
registerEndpoint(`/api/jobs/${jobId}/edits`, { method: 'POST', handler: async (event) => {
  office.asked++
  const { baseVersion, insist, entries } = await readBody<Sent>(event)
  if (office.mood === 'away') throw createError({ statusCode: 503 })
  if (office.mood === 'signed-out') throw createError({ statusCode: 401 })
  const fresh = entries.filter(entry => !office.known.has(entry.id))
  if (entries.length > 200) throw createError({ statusCode: 400 })
  const since = baseVersion === null ? [] : office.history.filter(entry => entry.version > baseVersion)
  const behind = since.length > office.most ? { since: null, job: office.job } : { since, job: null }
  const theirs = since.filter(entry => !entries.some(one => one.id === entry.id)).flatMap(entry => touches(entry.edit))
  if (!insist && collide(fresh.flatMap(entry => touches(entry.edit)), theirs)) throw createError({ statusCode: 409, data: { version: office.version, ...behind } })
  const refused = fresh.filter(entry => office.refuses(entry.edit)).map(({ id }) => ({ id, sentence: 'The office does not take this.' }))
  for (const { id, kind, edit } of fresh) if (!refused.some(one => one.id === id)) office.make(edit, id, kind)
  if (office.mood === 'lost') {
    office.mood = 'well'
    throw createError({ statusCode: 504 })
  }
  return { version: office.version, refused, ...behind }
} })

const pitch = (pitchDeg: number): Edit => ({ type: 'set-face', faceId: 'main', values: { pitchDeg } })
const pitchOf = (job: Job | null) => job!.faces[0]!.pitchDeg

async function opened() {
  const store = useJobStore()
  await store.open(jobId)
  await vi.waitFor(() => expect(store.plan).not.toBeNull(), { timeout: 20_000 })
  return store
}
const settled = (store: ReturnType<typeof useJobStore>, state: string) => vi.waitFor(() => expect(store.saveState).toBe(state), { timeout: 20_000 })

const kept = () => JSON.stringify(useQueue().entries.map(entry => entry.content))

beforeEach(async () => {
  office.reset()
  localStorage.clear()
  useJobStore().close()
  await useQueue().open()
  useQueue().drop(useQueue().entries.map(entry => entry.id))
})

describe('the open job', () => {
  const other = '99999999-2222-4333-8444-666666666666'
  registerEndpoint(`/api/jobs/${other}`, () => ({ job: { ...threeRowsOfSix(), title: 'The next one' }, version: 0, catalogue, stacks: { undo: [], redo: [] }, made: [] }))
  it('stays open when the page of the one before it goes after it was opened', async () => {
    const store = await opened()
    const before = store.turn
    await store.open(other)
    store.close(before)
    await vi.waitFor(() => expect(store.job?.title).toBe('The next one'))
    store.close(store.turn)
    expect(store.job).toBeNull()
  })
  it('stays open also where both pages are of one job, as the planner and the crew’s phone', async () => {
    const store = await opened()
    const before = store.turn
    await store.open(jobId)
    store.close(before)
    expect(store.job).not.toBeNull()
  })
  it('is the one asked for last, whichever answer comes first; and none once its page has gone', async () => {
    const store = useJobStore()
    await Promise.all([store.open(jobId), store.open(other)])
    expect(store.job?.title).toBe('The next one')
    const late = store.open(jobId)
    store.close(store.turn)
    await late
    expect(store.job).toBeNull()
  })
  it('is planned, takes an edit at once, tells what it changed, and saves it', async () => {
    const store = await opened()
    expect(store.plan!.totals.modules).toBe(18)
    expect(store.commit({ type: 'set-array', faceId: 'main', values: { rowCount: 2 } }).ok).toBe(true)
    await vi.waitFor(() => expect(store.plan!.totals.modules).toBe(12))
    expect(store.changes.join(' ')).toContain('modules')
    await settled(store, 'saved')
    expect(office.job.faces[0]!.array.rowCount).toBe(2)
  })
  it('keeps the old value and says why where an edit can’t be made', async () => {
    const store = await opened()
    const outcome = store.commit(pitch(-3))
    expect(!outcome.ok && outcome.problem).toContain('above 0')
    expect(pitchOf(store.job)).toBe(pitchOf(threeRowsOfSix()))
    expect(office.asked).toBe(0)
  })
  it('undoes and redoes over a reload: both are edits that the office has', async () => {
    const store = await opened()
    const before = pitchOf(store.job)
    store.commit(pitch(33))
    await settled(store, 'saved')
    store.close()
    await store.open(jobId)
    expect(store.canUndo).toBe(true)
    store.undo()
    expect(pitchOf(store.job)).toBe(before)
    store.redo()
    expect(pitchOf(store.job)).toBe(33)
    await settled(store, 'saved')
    expect(office.history.map(entry => entry.kind)).toEqual(['edit', 'undo', 'redo'])
    const nothing = store.redo()
    expect(!nothing.ok && nothing.problem).toContain('nothing to redo')
  })
  it('shows an edit that somebody only looks at, without making it', async () => {
    const store = await opened()
    await store.previewEdit({ type: 'set-array', faceId: 'main', values: { rowCount: 1 } })
    expect(store.preview!.plan.totals.modules).toBe(6)
    expect(store.job!.faces[0]!.array.rowCount).not.toBe(1)
    await store.previewEdit(null)
    expect(store.preview).toBeNull()
  })
})

describe('what is on the way', () => {
  it('is kept on this device while the office is away, and is there again after a reload', async () => {
    const store = await opened()
    office.mood = 'away'
    store.commit(pitch(27))
    await settled(store, 'offline')
    expect(kept()).toContain('27')
    store.close()
    office.mood = 'well'
    await store.open(jobId)
    expect(pitchOf(store.job)).toBe(27)
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(27), { timeout: 20_000 })
    await settled(store, 'saved')
    expect(kept()).toBe('[]')
  })
  it('goes on top of what somebody else changed meanwhile, and says who and what', async () => {
    const store = await opened()
    office.make({ type: 'set-job', values: { title: 'Renamed elsewhere' } }, '11111111-0000-4000-8000-000000000001', 'edit', 'Dabney Thrift')
    store.commit(pitch(41))
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(41), { timeout: 20_000 })
    expect(office.job.title).toBe('Renamed elsewhere')
    await vi.waitFor(() => expect(store.job!.title).toBe('Renamed elsewhere'))
    expect(store.meanwhile).toMatchObject({ who: ['Dabney Thrift'], theirs: [], onRoof: false })
  })
  it('whose answer was lost is known again: it is nobody else’s, and what is older is not put over what is newer', async () => {
    const store = await opened()
    office.mood = 'lost'
    store.commit(pitch(21))
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(21), { timeout: 20_000 })
    office.make({ type: 'set-job', values: { place: 'Elsewhere' } }, '11111111-0000-4000-8000-000000000003', 'edit', 'Dabney Thrift')
    store.commit(pitch(22))
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(22), { timeout: 20_000 })
    await settled(store, 'saved')
    expect(office.history.map(entry => entry.personName)).toEqual(['Perrin Oakum', 'Dabney Thrift', 'Perrin Oakum'])
    expect(store.meanwhile).toMatchObject({ who: ['Dabney Thrift'], theirs: [] })
    expect([pitchOf(store.job), store.job!.place]).toEqual([22, 'Elsewhere'])
    store.undo()
    expect(pitchOf(store.job)).toBe(21)
    await settled(store, 'saved')
  })
  it('can be taken back only as far as it is one’s own, also after a reload', async () => {
    const store = await opened()
    store.commit(pitch(31))
    store.commit({ type: 'set-job', values: { title: 'Mine' } })
    await settled(store, 'saved')
    office.make(pitch(44), '11111111-0000-4000-8000-000000000004', 'edit', 'Dabney Thrift')
    store.commit({ type: 'set-job', values: { place: 'Here' } })
    await settled(store, 'saved')
    await vi.waitFor(() => expect(pitchOf(store.job)).toBe(44))
    for (const reload of [false, true]) {
      if (reload) {
        store.close()
        await store.open(jobId)
        expect(store.redo().ok && store.redo().ok).toBe(true)
      }
      // The place and the title; the pitch is another's by now.
      expect([store.undo().ok, store.undo().ok, store.undo().ok]).toEqual([true, true, false])
      expect([pitchOf(store.job), store.job!.title, store.job!.place]).toEqual([44, threeRowsOfSix().title, threeRowsOfSix().place])
      await settled(store, 'saved')
    }
  })
  it('goes on top of more than can be told one by one, and nothing of theirs is taken back by undo', async () => {
    const store = await opened()
    const named = (name: string): Edit => ({ type: 'set-face', faceId: 'main', values: { name } })
    const before = store.job!.faces[0]!.name
    store.commit(named('Mine'))
    store.commit(pitch(31))
    await settled(store, 'saved')
    office.most = 3
    const theirs = (n: number) => office.make(n % 2 ? pitch(40 + n) : { type: 'set-job', values: { title: `Theirs ${n}` } }, `22222222-0000-4000-8000-${String(n).padStart(12, '0')}`, 'edit', 'Dabney Thrift')
    for (let n = 1; n <= 6; n++) theirs(n)
    office.readAs = 'Read whole'
    store.commit({ type: 'set-job', values: { place: 'Here' } })
    await vi.waitFor(() => expect(store.job!.title).toBe('Read whole'), { timeout: 20_000 })
    await settled(store, 'saved')
    expect([pitchOf(store.job), store.job!.place]).toEqual([45, 'Here'])
    expect(store.meanwhile).toMatchObject({ who: ['others'], what: ['very many things'] })
    // The office says what of ours can be taken back: what they have not touched, from before, too.
    expect([store.undo().ok, store.undo().ok]).toEqual([true, true])
    expect([store.job!.place, store.job!.faces[0]!.name]).toEqual([threeRowsOfSix().place, before])
    for (const _ of [1, 2]) store.redo()
    await settled(store, 'saved')
    for (let n = 7; n <= 12; n++) theirs(n)
    store.commit(pitch(33))
    await settled(store, 'saved')
    // My own, put over theirs knowingly, and no older one of mine.
    store.undo()
    expect([pitchOf(store.job), store.job!.place]).toEqual([51, 'Here'])
    expect(store.undo().ok).toBe(false)
    await settled(store, 'saved')
    expect([pitchOf(office.job), office.job.place]).toEqual([51, 'Here'])
  })
  it('is shared by two on one wall: 80 readings of a box in a row here, its plate and a neighbour typed there, all of it kept', async () => {
    const box = { ...plainThing, id: 'box', wallId: plainWall.id, at: { xMm: 0, yMm: 900 } }
    office.job = { ...office.job, ground: { ...bareGround, walls: [plainWall], things: [box, { ...box, id: 'other', name: 'Other' }] } }
    const store = await opened()
    const there = (n: number): Edit => n % 2
      ? { type: 'set-thing', thingId: 'box', values: { massKg: n } }
      : { type: 'set-thing', thingId: 'other', values: { at: { xMm: 25 * n, yMm: 300 } } }
    for (let n = 1; n <= 80; n++) {
      expect(store.commitNewest({ type: 'set-thing', thingId: 'box', values: { at: { xMm: 25 * n, yMm: 900 } } }).ok).toBe(true)
      if (n % 4 === 0) office.make(there(n / 4), `33333333-0000-4000-8000-${String(n).padStart(12, '0')}`, 'edit', 'Dabney Thrift')
      if (n % 16 === 0) await nextTick()
    }
    await settled(store, 'saved')
    const expected = [{ massKg: 19, at: { xMm: 2000, yMm: 900 } }, { at: { xMm: 500, yMm: 300 } }]
    expect(office.job.ground!.things).toMatchObject(expected)
    expect(store.job!.ground!.things).toMatchObject(expected)
    expect(store.meanwhile).toMatchObject({ who: ['Dabney Thrift'], theirs: [] })
    expect(store.undo().ok).toBe(true)
    expect(store.job!.ground!.things[0]).toMatchObject({ massKg: 19, at: { xMm: 1975, yMm: 900 } })
    await settled(store, 'saved')
  })
  it('stands against the other’s side of the same fact until that is taken', async () => {
    const store = await opened()
    office.make(pitch(20), '11111111-0000-4000-8000-000000000002', 'edit', 'Dabney Thrift')
    store.commit(pitch(50))
    await vi.waitFor(() => expect(store.meanwhile?.theirs).toHaveLength(1), { timeout: 20_000 })
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(50), { timeout: 20_000 })
    store.takeTheirs()
    expect(pitchOf(store.job)).toBe(20)
    await vi.waitFor(() => expect(pitchOf(office.job)).toBe(20), { timeout: 20_000 })
  })
  it('that the office refuses is set aside alone, by name; the rest is made, and it can be tried again or given up', async () => {
    const store = await opened()
    office.refuses = edit => edit.type === 'set-job'
    store.commit(pitch(12))
    store.commit({ type: 'set-job', values: { title: 'Not this' } })
    store.commit({ type: 'set-array', faceId: 'main', values: { rowCount: 2 } })
    await vi.waitFor(() => expect(store.aside).toHaveLength(1), { timeout: 20_000 })
    await settled(store, 'saved')
    expect(store.aside[0]).toMatchObject({ refused: 'The office does not take this.', content: { edit: { type: 'set-job' } } })
    expect([pitchOf(office.job), office.job.faces[0]!.array.rowCount, store.job!.title]).toEqual([12, 2, threeRowsOfSix().title])
    office.refuses = () => false
    useQueue().takeUp(store.aside[0]!.id)
    await vi.waitFor(() => expect(office.job.title).toBe('Not this'), { timeout: 20_000 })
    expect(store.aside).toHaveLength(0)
    office.refuses = () => true
    store.commit(pitch(60))
    await vi.waitFor(() => expect(store.aside).toHaveLength(1), { timeout: 20_000 })
    useQueue().giveUp(store.aside[0]!.id)
    expect([store.aside.length, pitchOf(store.job)]).toEqual([0, 12])
  })
  it('goes in batches that the office takes: 500 made while it is away are all there', async () => {
    const store = await opened()
    office.mood = 'away'
    for (let i = 1; i <= 500; i++) store.commit(pitch(10 + i / 25))
    await settled(store, 'offline')
    expect(store.waiting).toBe(500)
    office.mood = 'well'
    window.dispatchEvent(new Event('online'))
    await vi.waitFor(() => expect(office.history).toHaveLength(500), { timeout: 20_000 })
    await settled(store, 'saved')
    expect([pitchOf(office.job), pitchOf(store.job), store.aside.length]).toEqual([30, 30, 0])
  })
  it('says that one is signed out, and loses nothing', async () => {
    const store = await opened()
    office.mood = 'signed-out'
    store.commit(pitch(13))
    await settled(store, 'signed-out')
    expect(pitchOf(store.job)).toBe(13)
    expect(kept()).toContain('13')
  })
})

it('a job that can’t be opened says why', async () => {
  const store = useJobStore()
  await store.open('00000000-0000-4000-8000-00000000dead')
  expect(store.loadProblem.length).toBeGreaterThan(10)
  expect(store.job).toBeNull()
})
