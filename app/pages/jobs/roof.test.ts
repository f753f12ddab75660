import { mockNuxtImport, mountSuspended } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { catalogue, changed, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { type Job, starterFace } from '#core/job'
import { lineCards, markTasks } from '#core/sheets/markout'
import { planJob } from '#core/plan'
import RoofPage from './[id]/roof.vue'

const { state } = vi.hoisted(() => ({ state: { sheet: null as unknown, error: null as unknown, ticks: new Set<string>() } }))
mockNuxtImport('useSheet', () => () => ({ sheet: ref(state.sheet), error: ref(state.error), refresh: () => {} }))
mockNuxtImport('useTicks', () => () => {
  const ticked = ref(state.ticks)
  const set = (item: string, done: boolean) => {
    const next = new Set(ticked.value)
    if (done) next.add(item)
    else next.delete(item)
    ticked.value = state.ticks = next
  }
  return { ticked, set, reached: ref(true) }
})
mockNuxtImport('useRoute', () => () => ({
  params: { id: 'one' },
  query: {},
  meta: {},
  path: '/jobs/one/roof',
  fullPath: '/jobs/one/roof',
  hash: '',
  name: 'roof',
  matched: [],
  redirectedFrom: undefined,
}))

interface More { issued?: unknown[], changes?: unknown[] }
const sheetOf = (job: Job, { issued = [], changes = [] }: More = {}) => ({ job, plan: planJob(job, catalogue), issued, changes })
const cardsOf = (job: Job) => lineCards(markTasks(planJob(job, catalogue).faces.map((plan, f) => ({ faceId: plan.faceId, name: job.faces[f]!.name, marks: plan.marks }))))
async function onRoof(job: Job, more: More = {}) {
  state.sheet = sheetOf(job, more)
  const wrapper = await mountSuspended(RoofPage)
  await flushPromises()
  const button = (name: string) => wrapper.findAll('button').find(one => one.text() === name || one.attributes('aria-label') === name)!
  return { wrapper, button, press: async (name: string) => (await button(name).trigger('click'), flushPromises()), called: () => wrapper.find('h1').text() }
}
const revision = { revision: 1, issuedBy: 'Ada', issuedAt: '2026-01-01T00:00:00Z', jobVersion: 3, note: '', despite: null }

beforeEach(() => {
  state.ticks = new Set()
  state.error = null
})

describe('the mark-out on the roof', () => {
  it('calls out every reading of every line in order, and is done when all are ticked', async () => {
    const job = threeRowsOfSix()
    const cards = cardsOf(job)
    const { wrapper, button, called } = await onRoof(job)
    const heard: string[] = []
    const all = cards.reduce((sum, card) => sum + card.tasks.length, 0)
    for (let i = 0; i < all; i++) {
      heard.push(called())
      await (button('Marked') ?? button('It proves')).trigger('click')
    }
    await flushPromises()
    expect(heard.map(words => words.replace('Closes at: ', ''))).toEqual(cards.flatMap(card => card.tasks.map(task => task.kind === 'check' ? task.check.label : task.mark.label)))
    expect(state.ticks.size).toBe(all)
    expect(wrapper.text()).toContain(`${cards.length} of ${cards.length} done`)
    expect(button('All done ✓')).toBeDefined()
    expect(wrapper.text()).not.toMatch(/\bNaN\b|\bundefined\b|\[object/)
  })
  it('ticks a whole line at once, goes back, and takes a tick away by itself', async () => {
    const cards = cardsOf(threeRowsOfSix())
    const { press, wrapper, button, called } = await onRoof(threeRowsOfSix())
    await press('Whole line')
    expect(state.ticks.size).toBe(cards[0]!.tasks.length)
    expect(called()).toBe(cards[1]!.tasks[0]!.kind === 'check' ? '' : (cards[1]!.tasks[0] as { mark: { label: string } }).mark.label)
    expect(button('Back').attributes('disabled')).toBeUndefined()
    await press('Back')
    expect(button('Back').attributes('disabled')).toBeDefined()
    expect(wrapper.findAll('[aria-pressed=true]')).toHaveLength(cards[0]!.tasks.length)
    await press('Datum corner: done')
    expect(state.ticks.size).toBe(cards[0]!.tasks.length - 1)
    expect(called()).toBe('Datum corner')
  })
  it('opens on the first line that is not done', async () => {
    const cards = cardsOf(threeRowsOfSix())
    state.ticks = new Set(cards.slice(0, 3).flatMap(card => card.tasks.map(task => task.key)))
    const { wrapper } = await onRoof(threeRowsOfSix())
    expect(wrapper.find('header').text()).toContain(cards[3]!.step.title)
    expect(wrapper.find('header').text()).toContain(`3 of ${cards.length} done`)
  })
  it('lists all lines, each with its face where there are several, and opens the one that is pressed', async () => {
    const job = threeRowsOfSix()
    const two: Job = { ...job, faces: [job.faces[0]!, { ...job.faces[0]!, id: 'rear', name: 'Rear slope' }] }
    const { press, wrapper } = await onRoof(two)
    await wrapper.find('header button').trigger('click')
    const lines = wrapper.findAll('ol li')
    expect(lines).toHaveLength(cardsOf(two).length)
    expect(lines.filter(line => line.text().includes('Rear slope'))).toHaveLength(cardsOf(two).filter(card => card.faceId === 'rear').length)
    await lines.at(-1)!.find('button').trigger('click')
    expect(wrapper.find('header').text()).toContain('Rear slope')
    await press('Back')
    expect(wrapper.find('header').text()).toContain(cardsOf(two).at(-2)!.step.title)
  })
})

describe('what the roof is told at the top', () => {
  it('a stop that is open, and the reason where it was issued all the same', async () => {
    // Far more gap than the rail's span allows: no fixing stands where it must.
    const job = changed({ supports: { ...threeRowsOfSix().faces[0]!.supports, spacingMm: 2400 } as never })
    expect(planJob(job, catalogue).totals.stops).toBeGreaterThan(0)
    expect((await onRoof(job)).wrapper.find('[role=alert]').text()).toContain('nothing is to be fixed by this yet')
    const despite = { reason: 'Rails only today', stops: ['one'] }
    expect((await onRoof(job, { issued: [{ ...revision, despite }] })).wrapper.find('[role=alert]').text()).toContain('Ada issued it all the same: Rails only today')
  })
  it('marks that have changed since the sheet was issued', async () => {
    const { wrapper } = await onRoof(threeRowsOfSix(), { issued: [revision], changes: [{ faceId: 'main', name: 'Main', changes: [{}, {}] }] })
    expect(wrapper.find('[role=alert]').text()).toContain('2 marks have changed since revision A')
  })
  it('which revision it is, and that nothing is marked out yet where no row stands', async () => {
    expect((await onRoof(threeRowsOfSix(), { issued: [revision] })).wrapper.text()).toContain('Revision A, Ada; ticks have reached the office')
    expect((await onRoof(threeRowsOfSix())).wrapper.text()).toContain('Not issued yet')
    const bare: Job = { ...threeRowsOfSix(), faces: [starterFace('f', 'Bare', 'imperial', threeRowsOfSix().faces[0]!.array)] }
    expect((await onRoof({ ...bare, faces: [{ ...bare.faces[0]!, array: { ...bare.faces[0]!.array, rowCount: 0 } }] })).wrapper.text()).toContain('Nothing to mark out yet')
  })
  it('that the office can’t be reached, and that ticks are kept', async () => {
    state.error = new Error('away')
    state.sheet = null
    const wrapper = await mountSuspended(RoofPage)
    await flushPromises()
    expect(wrapper.find('[role=alert]').text()).toContain('kept on this phone')
    expect(wrapper.find('[role=alert]').text()).toContain('not on this phone')
  })
  it('shows what it has, though the office can’t be reached', async () => {
    state.error = new Error('away')
    expect((await onRoof(threeRowsOfSix())).wrapper.find('h1').text()).toBe('Datum corner')
  })
})
