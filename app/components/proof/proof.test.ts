import 'fake-indexeddb/auto'
import { mockNuxtImport, mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { readBody } from 'h3'
import { type Component, nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { applyEdit, type Edit, type Job } from '#core/job'
import { chainsOf, circuitsOf, expectedVocV } from '#core/proof'
import { grounded, strung } from '../../../tests/fixtures/ground'
import { catalogue, changed } from '../../../tests/fixtures/jobs'
import { proved, prover } from '../../../tests/fixtures/proof'
import { longRow, wiredBy, bare } from '../../../tests/fixtures/wiring'
import CrewTests from '../crew/CrewTests.vue'
import ProofCommission from './ProofCommission.vue'
import ProofHandOver from './ProofHandOver.vue'
import ProofOpen from './ProofOpen.vue'
import ProofSerials from './ProofSerials.vue'
import ProofTests from './ProofTests.vue'

// There are no threads here: the plan is worked out in place.
mockNuxtImport('usePlanner', () => () => ({
  planJob: async (...question: Parameters<typeof import('#core/plan')['planJob']>) => (await import('#core/plan')).planJob(...question),
}))
mockNuxtImport('useRoute', () => () => ({ params: { id: JOB }, query: {}, hash: '', path: '/' }))
const { JOB } = vi.hoisted(() => ({ JOB: '99999999-2222-4333-8444-666666666666' }))

/** An office that takes all that it is sent. */
const office = { job: strung(), version: 0 }
registerEndpoint(`/api/jobs/${JOB}`, () => ({ job: office.job, version: office.version, catalogue, stacks: { undo: [], redo: [] }, made: [] }))
registerEndpoint(`/api/jobs/${JOB}/photographs`, () => [])
registerEndpoint('/api/me', () => ({ firmId: '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a0001', firmName: 'Gannet Row', shelf: 0, personId: 'p', personName: 'Perrin Oakum', role: 'planner', vouches: true, licence: '', email: null, jobId: null, revision: null, pack: null }))
registerEndpoint(`/api/jobs/${JOB}/edits`, { method: 'POST', handler: async (event) => {
  const { entries } = await readBody<{ entries: { id: string, edit: Edit }[] }>(event)
  for (const { edit } of entries) {
    office.job = applyEdit(office.job, edit)
    office.version++
  }
  return { version: office.version, refused: [], since: [], job: null }
} })

/** Mounts a part of the rung on a job that is open. */
async function on(job: Job, part: Component) {
  Object.assign(office, { job, version: 0 })
  const store = useJobStore()
  await useMe().refresh()
  await store.open(JOB)
  await vi.waitFor(() => expect(store.plan).not.toBeNull(), { timeout: 20_000 })
  const wrapper = await mountSuspended(part)
  mounted = wrapper
  const press = async (name: string | RegExp) => {
    const found = wrapper.findAll('button').find(one => typeof name === 'string' ? one.text() === name : name.test(one.text()))
    if (!found) throw new Error(`There is no button ${name}: ${wrapper.findAll('button').map(one => one.text()).join(' | ')}`)
    await found.trigger('click')
    if (found.attributes('type') === 'submit') await found.element.closest('form')?.dispatchEvent(new Event('submit', { cancelable: true, bubbles: true }))
    await nextTick()
  }
  return { store, wrapper, press, text: () => wrapper.text() }
}
let mounted: { unmount: () => void } | null = null
beforeEach(async () => {
  mounted?.unmount()
  useJobStore().close()
  await useQueue().open()
  useQueue().drop(useQueue().entries.map(entry => entry.id))
})

describe('the rung of proof', () => {
  it('a roof’s numbers typed by a scanner as fast as it types: each at its own place, in order, none lost or twice', async () => {
    const { store, wrapper, text } = await on(changed({ outline: { kind: 'rectangle', eaveLengthMm: 57_000, slopeLengthMm: 7600 } }, { rowCount: 2, rows: [] }), ProofSerials)
    const field = wrapper.find('input[autocapitalize]')
    const many = store.plan!.totals.modules
    expect(many).toBeGreaterThan(90)
    for (let i = 0; i < many; i++) {
      await field.setValue(`SKG26-${String(1000 + i)}`)
      await field.element.closest('form')!.dispatchEvent(new Event('submit', { cancelable: true, bubbles: true }))
      await nextTick()
    }
    expect(wrapper.findAll('[role=alert]').map(one => one.text())).toEqual([])
    const serials = store.job!.proof.flatMap(one => one.kind === 'serial' ? [one] : [])
    expect(serials.map(one => one.serial)).toEqual(Array.from({ length: many }, (_, i) => `SKG26-${1000 + i}`))
    // Row by row from the eave, each from the left: by the places themselves.
    expect(serials).toEqual([...serials].sort((a, b) => a.yMm - b.yMm || a.xMm - b.xMm))
    expect(new Set(serials.map(one => `${one.xMm} ${one.yMm}`)).size).toBe(many)
    expect(text()).toContain(`${many} of ${many} read`)
  }, 150_000)
  it('what is typed half stays, and at its place, while another phone reads that and a new plan comes', async () => {
    const { store, wrapper, text } = await on(strung(), ProofSerials)
    const field = wrapper.find<HTMLInputElement>('input[autocapitalize]')
    await field.setValue('SKG26-1')
    expect(text()).toContain('Module 1')
    const [face] = store.job!.faces
    const row = store.plan!.faces[0]!.rows.rows[0]!
    store.commitNewest({ type: 'say-proof', entries: [{ at: null, entry: { id: 'theirs', by: 'Tom', at: '2026-05-04T10:00:00Z', kind: 'serial', faceId: face!.id, xMm: row.moduleLeftsMm[0]! + row.moduleWidthMm / 2, yMm: row.bottomMm + row.moduleHeightMm / 2, what: 'module', serial: 'SKG26-9999', partId: face!.array.moduleId, via: 'scanned' } }] })
    await vi.waitFor(() => expect(text()).toContain('SKG26-9999'))
    await vi.waitFor(() => expect(store.planned!.proof).toHaveLength(1), { timeout: 20_000 })
    await nextTick()
    expect(field.element.value).toBe('SKG26-1')
    expect(text()).toMatch(/Module 1\D/)
  })
  it('a duplicate is refused where it was typed, and stays there to be mended', async () => {
    const { store, wrapper, text } = await on(strung(), ProofSerials)
    const field = wrapper.find<HTMLInputElement>('input[autocapitalize]')
    for (let i = 0; i < 2; i++) {
      await field.setValue('SKG26-4711')
      await field.element.closest('form')!.dispatchEvent(new Event('submit', { cancelable: true, bubbles: true }))
      await nextTick()
    }
    expect(store.job!.proof.filter(one => one.kind === 'serial')).toHaveLength(1)
    expect(text()).toContain('stands already at')
    expect(field.element.value).toBe('SKG26-4711')
  })
  it('on the phone: what is needed is ticked, the tester read, and that this count can’t be told is said', async () => {
    // Fourteen on one string, alone.
    const job = wiredBy(longRow(14), bare('quillon-high'))
    const start = prover({ ...job, codes: { kind: 'european' } })
    start.next(chainsOf(start.ask)[0]!)
    const { store, wrapper, press, text } = await on(start.job, CrewTests)
    expect(text()).toContain('String 1')
    await press(/far end is open/)
    await press('Read the tester')
    await vi.waitFor(() => expect(wrapper.find('[role=radio][aria-checked=true]').exists()).toBe(true))
    await press('Keep it')
    const own = circuitsOf(start.ask)[0]!
    await vi.waitFor(() => expect(wrapper.findAll('input').length).toBeGreaterThan(2))
    await press('Read the tester')
    await vi.waitFor(() => expect(wrapper.findAll('input')[0]!.element.value).not.toBe(''))
    const inputs = wrapper.findAll('input')
    await inputs[0]!.setValue(String(own.tag.count * expectedVocV(own.plate!, { gWm2: 700, cellC: 40 })))
    await inputs[1]!.setValue('700')
    await inputs[2]!.setValue('40')
    await press('Keep it')
    expect(text()).toContain('this count can’t be told from this reading')
    expect(text()).toContain('Read another like string within 15 minutes')
    expect(store.job!.proof.at(-1)).toMatchObject({ kind: 'test', instrument: expect.stringMatching(/^Typed over stand-in/), judged: { state: 'caution', band: { unit: 'V' } } })
  })
  it('what is typed wrongly is said beside it and loses nothing', async () => {
    const { wrapper, press, text } = await on(strung(), ProofTests)
    await wrapper.find('input[inputmode=decimal]').setValue('about one')
    await press('Keep it')
    expect(text()).toContain('Type resistance in Ω')
    expect(wrapper.find<HTMLInputElement>('input[inputmode=decimal]').element.value).toBe('about one')
  })
  it('goods that nobody counted are not counted: nothing typed is no number, and never all of them', async () => {
    const { store, wrapper, text } = await on(strung(), ProofSerials)
    const form = wrapper.findAll('form').find(one => one.text().includes('Came, of'))!
    await form.trigger('submit')
    expect(text()).toContain('Type how many came')
    expect(store.job!.proof).toEqual([])
    await form.find('input[inputmode=numeric]').setValue('17')
    await form.trigger('submit')
    expect(store.job!.proof).toMatchObject([{ kind: 'goods', ordered: 18, counted: 17 }])
  })
  it('the gateway’s causes, by the fault that was planted; and all is well again', async () => {
    const { press, text } = await on(proved(grounded('main-panel')).job, ProofCommission)
    expect(text()).toContain('Every unit of the map reports')
    for (const [fault, words] of [['One unit’s plug', 'heard well'], ['A profile pending', 'pending is not set'], ['None', 'Every unit of the map reports']] as const) {
      await press(fault)
      await press('Ask the gateway')
      await vi.waitFor(() => expect(text()).toContain(words))
    }
  })
  it('nothing is handed over above what is open: it says what comes first', async () => {
    const { store, press, text } = await on(strung(), ProofHandOver)
    await press('Hand it over')
    expect(text()).toMatch(/Not yet: \d+ things are open/)
    expect(store.job!.proof).toEqual([])
  })
  it('something put down with who and when is open until it is done', async () => {
    const { wrapper, press, text, store } = await on(strung(), ProofOpen)
    const [words, who] = wrapper.findAll('input')
    await words!.setValue('Paint the conduit')
    await who!.setValue('Ines')
    await press('Put it down')
    expect(text()).toContain('Paint the conduit')
    await press('Done')
    expect(store.job!.proof.map(one => one.kind)).toEqual(['item', 'item-done'])
    expect(text()).not.toContain('Paint the conduit')
  })
})
