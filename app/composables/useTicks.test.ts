import { mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { createError, readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'

const jobId = '77777777-2222-4333-8444-555555555555'
const office = { items: new Set<string>(), away: false, sent: 0 }
registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'GET', handler: () => {
  if (office.away) throw createError({ statusCode: 503 })
  return { items: [...office.items] }
} })
registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'PUT', handler: async (event) => {
  if (office.away) throw createError({ statusCode: 503 })
  office.sent++
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
  Object.assign(office, { items: new Set(), away: false, sent: 0 })
  localStorage.clear()
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
  it('that this device can’t read any more are asked for again', async () => {
    localStorage.setItem(`ticks:${jobId}:van`, 'torn {')
    office.items.add('saw')
    const { ticks } = await page()
    await vi.waitFor(() => expect([...ticks.ticked.value]).toEqual(['saw']))
  })
})
