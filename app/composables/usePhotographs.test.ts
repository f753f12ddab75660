import 'fake-indexeddb/auto'
import { mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { createError, readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'

const jobId = '88888888-2222-4333-8444-555555555555'
/** What the office answers to the photographs sent, one after the other; after that it takes them. */
let answers: number[] = []
const office = { captions: new Map<string, string>(), away: false, hold: Promise.resolve() }
registerEndpoint(`/api/jobs/${jobId}/photographs`, { method: 'GET', handler: () => [...office.captions].map(([photoId, caption]) => ({ photoId, caption })) })
registerEndpoint(`/api/jobs/${jobId}/photographs`, { method: 'POST', handler: () => {
  const statusCode = answers.shift() ?? 201
  if (statusCode !== 201) throw createError({ statusCode, data: statusCode === 415 ? { problems: [{ path: '', sentence: 'This picture can’t be opened.' }] } : undefined })
  office.captions.set(`photo ${office.captions.size + 1}`, '')
  return {}
} })
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
  useQueue().drop(useQueue().entries.map(entry => entry.id))
  answers = []
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
    await vi.waitFor(() => expect(photos.problems.value).toEqual([expect.stringContaining('kept on this device')]))
    expect(captions()).toEqual(['Left end', ''])
    office.away = false
    window.dispatchEvent(new Event('online'))
    await vi.waitFor(() => expect(office.captions.get('eave')).toBe('Left end'))
    await vi.waitFor(() => expect(photos.problems.value).toEqual([]))
  })
  it('of a photograph that was taken away meanwhile hold up no other', async () => {
    const { photos } = await page()
    office.captions.delete('eave')
    photos.setCaption('eave', 'Left end')
    photos.setCaption('meter', 'In the hall')
    await vi.waitFor(() => expect(office.captions.get('meter')).toBe('In the hall'))
    await flushPromises()
    expect(photos.problems.value).toEqual([])
  })
})

describe('photographs chosen together', () => {
  const file = (bytes: number, name: string, type = 'image/jpeg') => new File([new Uint8Array(bytes).fill(1)], name, { type })
  it('go one by one; one that is refused is named and holds up no other', async () => {
    answers = [201, 415]
    const { photos } = await page()
    await photos.add([file(10, 'eave.jpg'), file(20, 'odd.jpg'), file(5, 'notes.txt', 'text/plain'), file(30, 'loft.jpg')])
    expect([...office.captions.keys()]).toEqual(['eave', 'meter', 'photo 3', 'photo 4'])
    expect(photos.problems.value).toEqual(['odd.jpg: This picture can’t be opened.', expect.stringContaining('notes.txt: ')])
    expect(photos.busy.value).toBe('')
  })
  it('say how many were not sent when the office goes away between them', async () => {
    answers = [201, 503]
    const { photos } = await page()
    await photos.add([file(10, 'eave.jpg'), file(20, 'valley.jpg'), file(30, 'loft.jpg')])
    expect([...office.captions.keys()]).toEqual(['eave', 'meter', 'photo 3'])
    expect(photos.photographs.value).toHaveLength(3)
    expect(photos.problems.value).toEqual(['The server can’t be reached. 2 photographs were not sent: choose them again in a minute.'])
  })
})
