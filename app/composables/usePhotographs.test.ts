import { mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { createError, readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

const jobId = '88888888-2222-4333-8444-555555555555'
const office = { captions: new Map<string, string>(), away: false, hold: Promise.resolve() }
registerEndpoint(`/api/jobs/${jobId}/photographs`, { method: 'GET', handler: () => [...office.captions].map(([photoId, caption]) => ({ photoId, caption })) })
for (const photoId of ['eave', 'meter']) {
  registerEndpoint(`/api/jobs/${jobId}/photographs/${photoId}`, { method: 'PATCH', handler: async (event) => {
    await office.hold
    if (office.away) throw createError({ statusCode: 503 })
    if (!office.captions.has(photoId)) throw createError({ statusCode: 404 })
    const { caption } = await readBody<{ caption: string }>(event)
    office.captions.set(photoId, caption)
    return { caption }
  } })
}

async function page() {
  let photos!: ReturnType<typeof usePhotographs>
  const wrapper = await mountSuspended(defineComponent({ setup() {
    photos = usePhotographs(jobId)
    return () => h('p', photos.photographs.value.map(photo => photo.caption).join())
  } }))
  await vi.waitFor(() => expect(photos.photographs.value).toHaveLength(office.captions.size))
  return { photos, wrapper, captions: () => photos.photographs.value.map(photo => photo.caption) }
}

beforeEach(() => {
  Object.assign(office, { captions: new Map([['eave', ''], ['meter', '']]), away: false, hold: Promise.resolve() })
  localStorage.clear()
})

describe('captions of photographs', () => {
  it('show at once and reach the office in the order typed', async () => {
    const { photos, captions } = await page()
    for (const caption of ['E', 'Eave', 'Eave, no gutter']) photos.setCaption('eave', caption)
    photos.setCaption('meter', 'In the hall')
    expect(captions()).toEqual(['Eave, no gutter', 'In the hall'])
    await vi.waitFor(() => expect([...office.captions.values()]).toEqual(['Eave, no gutter', 'In the hall']))
    expect(captions()).toEqual(['Eave, no gutter', 'In the hall'])
  })
  it('are there again when the page went before the office had answered', async () => {
    let letGo = () => {}
    office.hold = new Promise(resolve => letGo = resolve)
    const first = await page()
    first.photos.setCaption('eave', 'Left end')
    first.wrapper.unmount()
    const again = await page()
    expect(again.captions()).toEqual(['Left end', ''])
    letGo()
    await vi.waitFor(() => expect(office.captions.get('eave')).toBe('Left end'))
  })
  it('wait on this device while the office is away, which is said, and go when it is back', async () => {
    office.away = true
    const { photos, captions } = await page()
    photos.setCaption('eave', 'Left end')
    await vi.waitFor(() => expect(photos.problem.value).toContain('kept on this device'))
    expect(captions()).toEqual(['Left end', ''])
    office.away = false
    window.dispatchEvent(new Event('online'))
    await vi.waitFor(() => expect(office.captions.get('eave')).toBe('Left end'))
    await vi.waitFor(() => expect(photos.problem.value).toBe(''))
  })
  it('of a photograph that was taken away meanwhile hold up no other', async () => {
    const { photos } = await page()
    office.captions.delete('eave')
    photos.setCaption('eave', 'Left end')
    photos.setCaption('meter', 'In the hall')
    await vi.waitFor(() => expect(office.captions.get('meter')).toBe('In the hall'))
    await flushPromises()
    expect(photos.problem.value).toBe('')
  })
})
