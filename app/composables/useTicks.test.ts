import 'fake-indexeddb/auto'
import { mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { createError, getQuery, readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import { rememberTicked, useTicked } from '../queue/ticked'

// What a list was at last is kept for the page: each test starts afresh.
const jobId = '77777777-2222-4333-8444-555555555555'
const office = { items: new Set<string>(), away: false, gone: false, sent: 0, lists: [] as string[] }
registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'GET', handler: () => {
  if (office.away) throw createError({ statusCode: 503 })
  return { items: [...office.items] }
} })
registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'PUT', handler: async (event) => {
  if (office.away) throw createError({ statusCode: 503 })
  if (office.gone) throw createError({ statusCode: 404, message: 'There is no such job.' })
  office.sent++
  office.lists.push(String(getQuery(event).list))
  const { ticks } = await readBody<{ ticks: { item: string, done: boolean }[] }>(event)
  for (const { item, done } of ticks) {
    if (done) office.items.add(item)
    else office.items.delete(item)
  }
  return { items: [...office.items] }
} })

/** A page with one list of ticks. */
async function page(list = ref('van')) {
  let ticks!: ReturnType<typeof useTicks>
  const wrapper = await mountSuspended(defineComponent({ setup() {
    ticks = useTicks(jobId, list)
    return () => h('p', [...ticks.ticked.value].join())
  } }))
  await flushPromises()
  return { ticks, wrapper, list }
}

beforeEach(() => {
  Object.assign(office, { items: new Set(), away: false, gone: false, sent: 0, lists: [] })
  localStorage.clear()
  useTicked().value = {}
  useQueue().drop(useQueue().entries.map(entry => entry.id))
})

describe('ticks', () => {
  it('of others are there when the list is opened', async () => {
    office.items.add('crayon')
    const { ticks } = await page()
    await vi.waitFor(() => expect([...ticks.ticked.value]).toEqual(['crayon']))
  })
  it('are set at once and reach the office; taking one off does too', async () => {
    const { ticks } = await page()
    ticks.set('tape', true)
    expect(ticks.ticked.value.has('tape')).toBe(true)
    await vi.waitFor(() => expect(ticks.reached.value).toBe(true))
    expect(office.items.has('tape')).toBe(true)
    ticks.set('tape', false)
    await vi.waitFor(() => expect(office.items.has('tape')).toBe(false))
  })
  it('wait on this device while the office is away, also over a reload', async () => {
    office.away = true
    const { ticks, wrapper } = await page()
    ticks.set('chalk', true)
    await flushPromises()
    expect(ticks.reached.value).toBe(false)
    wrapper.unmount()
    office.away = false
    const again = await page()
    window.dispatchEvent(new Event('online'))
    expect(again.ticks.ticked.value.has('chalk')).toBe(true)
    await vi.waitFor(() => expect(office.items.has('chalk')).toBe(true))
    await vi.waitFor(() => expect(again.ticks.reached.value).toBe(true))
  })
  it('of one list are not those of another', async () => {
    const { ticks, list } = await page(ref('mark-out:A'))
    ticks.set('rail 1', true)
    await vi.waitFor(() => expect(ticks.reached.value).toBe(true))
    office.items.clear()
    list.value = 'mark-out:B'
    await vi.waitFor(() => expect(ticks.ticked.value.size).toBe(0))
  })
  it('made on a list that is superseded meanwhile reach the office on the list they were made on', async () => {
    office.away = true
    const { ticks, list } = await page(ref('mark-out:A'))
    ticks.set('rail 1', true)
    list.value = 'mark-out:B'
    ticks.set('rail 2', true)
    expect([...ticks.ticked.value]).toEqual(['rail 2'])
    await flushPromises()
    office.away = false
    window.dispatchEvent(new Event('online'))
    await vi.waitFor(() => expect(ticks.reached.value).toBe(true))
    expect(office.lists).toEqual(['mark-out:A', 'mark-out:B'])
  })
  it('that the office does not take have not reached it, and are named with its reason', async () => {
    const { ticks } = await page()
    office.gone = true
    ticks.set('tape', true)
    await vi.waitFor(() => expect(ticks.refused.value).toHaveLength(1))
    expect(ticks.refused.value[0]!.refused).toMatch(/\.$/)
    expect(ticks.reached.value).toBe(false)
  })
  it('are remembered of the 200 lists heard of last', () => {
    for (let i = 0; i < 300; i++) rememberTicked(jobId, `mark-out:${i}`, [`rail ${i}`])
    rememberTicked(jobId, 'mark-out:100', ['rail 1', 'rail 2'])
    expect(Object.values(useTicked().value).map(items => items[0])).toEqual([...Array.from({ length: 199 }, (_, i) => `rail ${i + 101}`), 'rail 1'])
  })
})
