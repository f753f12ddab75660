import 'fake-indexeddb/auto'
import { registerEndpoint } from '@nuxt/test-utils/runtime'
import { createPinia, setActivePinia } from 'pinia'
import { createError, readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Content, Entry } from '../queue/entry'
import { nextBatch, type Senders } from '../queue/send'
import { wordsOf } from '../queue/entry'

const jobId = '66666666-2222-4333-8444-555555555555'
const edit = (title: string): Content => ({ channel: 'edits', kind: 'edit', edit: { type: 'set-job', values: { title } } })
const tick = (item: string, list = 'van'): Content => ({ channel: 'ticks', list, item, done: true })

/** An office that writes down what it was sent, and can be away or unable to take a whole batch. */
const office = { got: [] as string[], batches: [] as number[], answer: 200, sick: '' }
registerEndpoint(`/api/jobs/${jobId}/edits`, { method: 'POST', handler: async (event) => {
  const { baseVersion, entries } = await readBody<{ baseVersion: number | null, entries: { id: string, edit: { values: { title: string } } }[] }>(event)
  if (office.answer !== 200) throw createError({ statusCode: office.answer })
  const titles = entries.map(entry => entry.edit.values.title)
  // A batch with something in it that no schema takes is refused whole, as by an office of another version.
  if (titles.includes(office.sick)) throw createError({ statusCode: 400, data: { problems: [{ path: 'edit', sentence: 'That is no title.' }] } })
  expect(baseVersion).toBeNull()
  office.batches.push(titles.length)
  office.got.push(...titles)
  return { version: office.got.length, refused: [] }
} })
registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'PUT', handler: async (event) => {
  if (office.answer !== 200) throw createError({ statusCode: office.answer })
  const { ticks } = await readBody<{ ticks: { item: string }[] }>(event)
  office.got.push(...ticks.map(one => `tick ${one.item}`))
  return { items: ticks.map(one => one.item) }
} })

/** A page is left when the device has written everything down: until then the browser asks whoever leaves. */
const written = (queue = useQueue()) => vi.waitFor(() => expect(queue.writing).toBe(0), { timeout: 20_000 })

/** The page as it comes up again: nothing is left but what the device kept. */
async function reloaded() {
  await written()
  setActivePinia(createPinia())
  const queue = useQueue()
  await queue.open()
  return queue
}
const empty = (queue: ReturnType<typeof useQueue>) => vi.waitFor(() => expect(queue.entries.filter(one => one.refused === null)).toEqual([]), { timeout: 20_000 })

beforeEach(async () => {
  Object.assign(office, { got: [], batches: [], answer: 200, sick: '' })
  localStorage.clear()
  const queue = await reloaded()
  queue.drop(queue.entries.map(entry => entry.id))
  await written(queue)
})

describe('the device’s queue', () => {
  it('keeps what the office does not have over a reload, in order, and sends it then though no job is open', async () => {
    office.answer = 503
    const queue = useQueue()
    for (const content of [edit('A'), tick('crayon'), edit('B'), edit('C')]) queue.add(jobId, content)
    await vi.waitFor(() => expect(queue.standing).toBe('offline'), { timeout: 20_000 })
    const again = await reloaded()
    expect(again.entries.map(wordsOf)).toEqual(['the job’s name', 'a tick', 'the job’s name', 'the job’s name'])
    office.answer = 200
    await again.send()
    await empty(again)
    expect(office.got).toEqual(['A', 'tick crayon', 'B', 'C'])
    expect((await reloaded()).entries).toEqual([])
  })
  it('halves a batch that is refused whole until the bad one is alone: the good ones get there', async () => {
    office.sick = 'bad'
    const queue = useQueue()
    for (let i = 0; i < 40; i++) queue.add(jobId, edit(i === 23 ? 'bad' : `T${i}`))
    await empty(queue)
    expect(office.got).toEqual(Array.from({ length: 40 }, (_, i) => `T${i}`).filter(title => title !== 'T23'))
    expect(queue.asideOf(jobId).map(one => one.refused)).toEqual(['That is no title.'])
    expect((await reloaded()).asideOf(jobId)).toHaveLength(1)
  })
  it('sends though something new comes every 60 ms and never stops coming', async () => {
    const queue = useQueue()
    for (let i = 0; i < 60 && !office.got.length; i++) {
      queue.add(jobId, edit(`K${i}`))
      await new Promise(resolve => setTimeout(resolve, 60))
    }
    expect(office.got.length).toBeGreaterThan(0)
    await empty(queue)
    expect(office.got.every((title, i) => title === `K${i}`)).toBe(true)
  })
  it('sets all of a job that is gone aside with one request', async () => {
    office.answer = 404
    const queue = useQueue()
    for (let i = 0; i < 30; i++) queue.add(jobId, edit(`G${i}`))
    await vi.waitFor(() => expect(queue.asideOf(jobId)).toHaveLength(30), { timeout: 20_000 })
  })
  it('sends what a full device could not write down, and says meanwhile that it is not kept', async () => {
    office.answer = 503
    const queue = useQueue()
    queue.add(jobId, edit('kept'))
    await vi.waitFor(() => expect(queue.standing).toBe('offline'), { timeout: 20_000 })
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    queue.add(jobId, edit('not kept'))
    await vi.waitFor(() => expect(queue.keeps).toBe(false))
    full.mockRestore()
    office.answer = 200
    await queue.send()
    await empty(queue)
    expect(office.got).toEqual(['kept', 'not kept'])
  })
  it('takes over what an earlier version of the page left, and names what it can’t read', async () => {
    office.answer = 503
    localStorage.setItem(`upper-deck/unsent/${jobId}`, JSON.stringify([
      { id: '00000000-0000-4000-8000-000000000001', kind: 'edit', edit: { type: 'set-job', values: { title: 'Old' } } },
      { id: '00000000-0000-4000-8000-000000000002', kind: 'edit', edit: { type: 'set-crayon' } },
    ]))
    localStorage.setItem(`ticks:${jobId}:mark-out:A`, JSON.stringify({ ticked: ['x'], waiting: [{ item: 'x', done: true }] }))
    localStorage.setItem(`upper-deck/captions/${jobId}`, JSON.stringify({ eave: 'Left end' }))
    localStorage.setItem('read-marks-aloud', 'true')
    const queue = await reloaded()
    expect(queue.entries.map(wordsOf).sort()).toEqual(['a photograph’s caption', 'a tick', 'something typed with an earlier version', 'the job’s name'])
    expect(queue.asideOf(jobId)[0]!.refused).toContain('earlier version')
    expect(queue.of(jobId, 'ticks')[0]!.content.list).toBe('mark-out:A')
    expect(Object.keys(localStorage)).toEqual(['read-marks-aloud'])
    expect((await reloaded()).entries).toHaveLength(4)
  })
})

describe('a batch', () => {
  const sender = { most: 3, together: ({ content }: Entry) => content.channel === 'ticks' ? content.list : '', send: async () => {} }
  const senders: Senders = { edits: sender, ticks: sender, captions: sender, photographs: sender }
  const entries = (...contents: [Content, string?, string?][]): Entry[] => contents.map(([content, refused, job], order) => ({
    id: String(order),
    jobId: job ?? jobId,
    order,
    refused: refused ?? null,
    content,
  }))
  const ids = (all: Entry[]) => nextBatch(all, senders).map(one => one.id)
  it('is the first in order that go together, so many at most, none of those set aside', () => {
    expect(ids(entries([edit('a')], [edit('b')], [tick('c')], [edit('d')]))).toEqual(['0', '1'])
    expect(ids(entries([edit('a'), 'no'], [tick('b')], [tick('c')], [tick('d')], [tick('e')]))).toEqual(['1', '2', '3'])
    expect(ids(entries([tick('a', 'mark-out:A')], [tick('b', 'mark-out:B')]))).toEqual(['0'])
    expect(ids(entries([edit('a')], [edit('b'), undefined, 'another job']))).toEqual(['0'])
    expect(ids(entries([edit('a'), 'no']))).toEqual([])
  })
})
