import { mockNuxtImport, mountSuspended, registerEndpoint } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { readBody } from 'h3'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { after, catalogue, changed, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { type Edit, type Job, readEdit } from '#core/job'
import { sentencesOf, done, refused } from '#core/outcome'
import { loadoutOf } from '#core/sheets/loadout'
import { lineCards, markTasks, sheetChanges, markoutSheet } from '#core/sheets/markout'
import type { MarkStep } from '#core/trade'
import { planJob } from '#core/plan'
import LoadBuy from './LoadBuy.vue'
import LoadFaces from './LoadFaces.vue'
import LoadLifts from './LoadLifts.vue'
import LoadSpares from './LoadSpares.vue'
import LoadVan from './LoadVan.vue'
import SheetCutPlan from './CutPlan.vue'
import SheetIssue from './SheetIssue.vue'
import SheetRoofLine from './SheetRoofLine.vue'
import SheetStep from './SheetStep.vue'

const noFigure = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object/
const { edits, store } = vi.hoisted(() => ({ edits: [] as unknown[], store: { saveState: 'saved', job: null as unknown, commit: (_: unknown): unknown => null } }))
mockNuxtImport('useJobStore', () => () => store)

const jobId = '11111111-2222-4333-8444-555555555555'
const sheetOf = (job: Job) => {
  const plan = planJob(job, catalogue)
  return { job, plan, loadout: loadoutOf(job, plan, catalogue) }
}
const lifted = (values: Partial<Job['loadout']>) => after(threeRowsOfSix(), { type: 'set-loadout', values })

beforeEach(() => {
  edits.length = 0
  const job = threeRowsOfSix()
  store.commit = (edit: unknown) => {
    const read = readEdit(edit as Edit, job, catalogue)
    if (!read.ok) return refused(sentencesOf(read.problems))
    edits.push(edit)
    return done(true)
  }
})

describe('a line on the phone', () => {
  const marks = planJob(threeRowsOfSix(), catalogue).faces[0]!.marks
  const card = lineCards(markTasks([{ faceId: 'main', name: 'Main face', marks }])).find(one => one.step.id === 'fixings-row1-lower')!
  it('calls one reading out large and lists all of the line, each to be called or ticked', async () => {
    const wrapper = await mountSuspended(SheetRoofLine, { props: { card, units: 'imperial', ticked: new Set([card.tasks[0]!.key]), current: card.tasks[1]!, tells: true } })
    expect(wrapper.find('h1').text()).toBe('Fixing 2')
    expect(wrapper.findAll('li')).toHaveLength(card.tasks.length)
    expect(wrapper.findAll('[aria-pressed=true]')).toHaveLength(1)
    expect(wrapper.find('[data-called=true]').text()).toContain('Fixing 2')
    expect(wrapper.find('[data-reading]').text()).toBe(wrapper.find('[data-called=true] button:last-child > span:last-child').text())
    await wrapper.findAll('li')[2]!.findAll('button')[1]!.trigger('click')
    await wrapper.findAll('li')[0]!.findAll('button')[0]!.trigger('click')
    expect(wrapper.emitted('call')).toEqual([[card.tasks[2]!.key]])
    expect(wrapper.emitted('tick')).toEqual([[card.tasks[0]!.key, false]])
    expect(wrapper.text()).not.toMatch(noFigure)
  })
})

describe('a step of the mark-out', () => {
  const steps = planJob(threeRowsOfSix(), catalogue).faces[0]!.marks
  const mounted = (step: MarkStep) => mountSuspended(SheetStep, { props: { step, number: 3, units: 'imperial' } })
  it('shows every reading, where its line lies, and the closing reading', async () => {
    const step = steps.find(one => one.id === 'fixings-row1-lower')!
    const wrapper = await mounted(step)
    expect(wrapper.findAll('[data-mark]')).toHaveLength(step.marks.length)
    expect(wrapper.text()).toContain('3. Fixings on rail 1')
    expect(wrapper.text()).toContain('line at')
    expect(wrapper.text()).toContain('Closing reading: proves the tape')
    expect(wrapper.text()).not.toMatch(noFigure)
  })
  it('gives the gauge stick with what it would be off by', async () => {
    const text = (await mounted(steps.find(one => one.id === 'modules-row1')!)).text()
    expect(text).toMatch(/Gauge stick, module and gap along the eave/)
    expect(text).toMatch(/Stepped 5 times it ends (true|\d+\.\d{3} in (short|too far))/)
  })
  it('gives the checks of the square', async () => {
    const text = (await mounted(steps.find(one => one.id === 'square')!)).text()
    expect(text).toMatch(/Check\s*Diagonal between the two/)
  })
  it('has nothing to read off a tape where bolts are counted', async () => {
    const plan = planJob(changed({}, { railId: 'hawser-mid', mountId: 'limpet-four', clampsId: 'hawser-grip' }), catalogue)
    const wrapper = await mounted(plan.faces[0]!.marks.find(one => one.id === 'bolts')!)
    expect(wrapper.text()).toContain('7 bolts')
    expect(wrapper.text()).not.toContain('Closing reading')
  })
})

describe('issuing', () => {
  const issued = [{ revision: 1, issuedBy: 'Perrin Oakum', issuedAt: '2026-03-04T09:30:00.000Z', jobVersion: 4, note: 'Ladder left', despite: null }]
  const facesOf = (job: Job) => markoutSheet(job, planJob(job, catalogue)).faces
  const mounted = (props: Record<string, unknown>) => mountSuspended(SheetIssue, { props: { jobId, issued: [], changes: [], version: 4, stops: [], units: 'imperial', ...props } })
  it('is asked for where nothing was issued, and sends the version that was looked at with the note', async () => {
    let sent: unknown = null
    registerEndpoint(`/api/jobs/${jobId}/sheets`, { method: 'POST', handler: async (event) => {
      sent = await readBody(event)
      return { revision: 1 }
    } })
    const wrapper = await mounted({})
    expect(wrapper.text()).toContain('Not issued yet')
    await wrapper.find('input').setValue('Mind the vent')
    await wrapper.findAll('button').find(one => one.text() === 'Issue revision A')!.trigger('click')
    await vi.waitFor(() => expect(wrapper.emitted('issued')).toHaveLength(1))
    expect(sent).toEqual({ id: expect.stringMatching(/^[0-9a-f-]{36}$/), version: 4, note: 'Mind the vent', reason: '' })
  })
  it('with a stop open goes out only with a reason, which is sent along; an issued one shows it', async () => {
    let sent: unknown = null
    registerEndpoint(`/api/jobs/${jobId}/sheets`, { method: 'POST', handler: async (event) => {
      sent = await readBody(event)
      return { revision: 1 }
    } })
    const wrapper = await mounted({ stops: ['A rail can’t stand.'] })
    const button = () => wrapper.findAll('button').find(one => one.text() === 'Issue revision A')!
    expect(wrapper.text()).toContain('A stop is open')
    expect(button().attributes('disabled')).toBeDefined()
    const reason = wrapper.find('input[aria-label="Reason for issuing with a stop open"]')
    await reason.setValue('   ')
    expect(button().attributes('disabled')).toBeDefined()
    await reason.setValue('Rails only today')
    await button().trigger('click')
    await vi.waitFor(() => expect(sent).toMatchObject({ version: 4, note: '', reason: 'Rails only today' }))
    const shown = await mounted({ issued: [{ ...issued[0]!, despite: { stops: ['A rail can’t stand.'], reason: 'Rails only today' } }] })
    expect(shown.text()).toMatch(/Issued with a stop\s*open, by Perrin Oakum: Rails only today/)
  })
  it('says that a revision holds where nothing changed, and offers no other', async () => {
    const wrapper = await mounted({ issued })
    expect(wrapper.text()).toContain('Revision A issued by Perrin Oakum')
    expect(wrapper.text()).toContain('It holds')
    expect(wrapper.findAll('button').some(one => one.text().startsWith('Issue revision'))).toBe(false)
    expect(wrapper.text()).toContain('Ladder left')
  })
  it('names what changed since, and the next revision', async () => {
    const now = after(threeRowsOfSix(), { type: 'set-row', faceId: 'main', row: 0, values: { lowerRailMm: 320 } })
    const changes = sheetChanges(facesOf(threeRowsOfSix()), facesOf(now))
    const wrapper = await mounted({ issued, changes })
    expect(wrapper.text()).toMatch(/Revision A\s*is superseded: \d+ marks have changed/)
    await wrapper.findAll('button').find(one => one.text() === 'Show what changed')!.trigger('click')
    expect(wrapper.text()).toContain('Moved Rail lines: Rail 1')
    expect(wrapper.findAll('button').some(one => one.text() === 'Issue revision B')).toBe(true)
  })
})

describe('the van list', () => {
  it('comes by stages, and a tick is sent and kept', async () => {
    const sent: unknown[] = []
    registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'GET', handler: () => ({ items: [] }) })
    registerEndpoint(`/api/jobs/${jobId}/ticks`, { method: 'PUT', handler: async (event) => {
      const { ticks } = await readBody(event) as { ticks: { item: string, done: boolean }[] }
      sent.push(...ticks)
      return { items: ticks.filter(tick => tick.done).map(tick => tick.item) }
    } })
    const { loadout } = sheetOf(threeRowsOfSix())
    const wrapper = await mountSuspended(LoadVan, { props: { jobId, loadout, units: 'imperial', vanMm: 4000 } })
    expect(wrapper.findAll('h3').map(one => one.text())).toEqual(['Set up', 'Fixings', 'Rails', 'Roof wiring', 'Modules', 'Finish'])
    expect(wrapper.text()).toMatch(/^0 of \d+ on the van/)
    await wrapper.find('[data-part="module"] input').setValue(true)
    await flushPromises()
    expect(wrapper.text()).toMatch(/^1 of \d+ on the van/)
    await vi.waitFor(() => expect(sent).toHaveLength(1))
    await vi.waitFor(() => expect(useQueue().waitingOf(jobId)).toEqual([]))
    expect(wrapper.text()).toMatch(/^1 of \d+ on the van/)
    expect(wrapper.text()).toContain('the van takes')
    expect(wrapper.text()).not.toMatch(noFigure)
  })
})

describe('the rest of the load-out', () => {
  it('lays out what each face takes, without spares', async () => {
    const { job, loadout } = sheetOf(threeRowsOfSix())
    const wrapper = await mountSuspended(LoadFaces, { props: { job, loadout, units: 'imperial' } })
    const pieces = (kind: string) => wrapper.findAll(`[data-part="${kind}"] td:first-child`).reduce((sum, cell) => sum + Number(cell.text()), 0)
    expect([pieces('module'), pieces('end-clamp'), pieces('mid-clamp'), pieces('mount')]).toEqual([18, 12, 30, 36])
  })
  it('fills lifts within the rated load, and refuses one that is none', async () => {
    const { job, loadout } = sheetOf(lifted({ liftKg: 150, crateKg: 18 }))
    const wrapper = await mountSuspended(LoadLifts, { props: { job, loadout, units: 'metric' } })
    expect(wrapper.findAll('h3').filter(one => one.text().includes('modules'))).not.toHaveLength(0)
    expect(wrapper.findAll('li li').filter(one => one.text().startsWith('6 Skerry 425'))).toHaveLength(3)
    const field = wrapper.findAll('input')[0]!
    await field.setValue('3 kg')
    await field.trigger('change')
    expect(wrapper.find('[role="alert"]').text()).toContain('at least 20 kg')
    await field.setValue('220 kg')
    await field.trigger('change')
    expect(edits).toEqual([{ type: 'set-loadout', values: { liftKg: 220 } }])
  })
  it('asks for the rated load where none was typed, and names what is too heavy', async () => {
    const plain = sheetOf(threeRowsOfSix())
    expect((await mountSuspended(LoadLifts, { props: { job: plain.job, loadout: plain.loadout, units: 'metric' } })).text()).toContain('Type the lift’s rated load')
    const heavy = sheetOf(lifted({ liftKg: 25, crateKg: 10 }))
    expect((await mountSuspended(LoadLifts, { props: {
      job: heavy.job,
      loadout: heavy.loadout,
      units: 'metric',
    } })).find('[role="alert"]').text()).toContain('Skerry 425: one alone is over the rated load')
  })
  it('groups what is bought by supplier with sums', async () => {
    // A shelf on which nobody has priced the labels: they cost something, and it is said that nobody knows what.
    const unpriced = { ...catalogue, supplies: catalogue.supplies.map(one => one.kind === 'label' ? { ...one, price: null } : one) }
    const loadout = loadoutOf(threeRowsOfSix(), planJob(threeRowsOfSix(), unpriced), unpriced)
    const text = (await mountSuspended(LoadBuy, { props: { loadout, units: 'imperial' } })).text()
    for (const group of loadout.purchases) expect(text).toContain(group.supplier)
    expect(text).toContain('no price')
    expect(text).toContain('1 part without a price')
  })
  it('reads rules for spares, and says how to write one it can’t read', async () => {
    const { job, loadout } = sheetOf(threeRowsOfSix())
    const wrapper = await mountSuspended(LoadSpares, { props: { job, loadout } })
    const label = wrapper.findAll('label').find(one => one.text().startsWith('Skerry 425'))!
    const field = wrapper.find(`#${label.attributes('for')}`)
    for (const [typed, spare] of [['5 %', { percent: 5, pieces: 0 }], ['2', { percent: 0, pieces: 2 }], ['2.5 % + 1', { percent: 2.5, pieces: 1 }]] as const) {
      await field.setValue(typed)
      await field.trigger('change')
      expect(edits.at(-1)).toEqual({ type: 'set-loadout', values: { spares: [{ kind: 'module', ...spare }] } })
    }
    await field.setValue('a few')
    await field.trigger('change')
    expect(wrapper.find('[role="alert"]').text()).toContain('Write for example 5 %')
    expect(edits).toHaveLength(3)
    await field.setValue('60 %')
    await field.trigger('change')
    expect(wrapper.find('[role="alert"]').text()).toContain('At most 50 %')
  })
  it('draws every stick to scale with its pieces', async () => {
    const { plan } = sheetOf(threeRowsOfSix())
    const wrapper = await mountSuspended(SheetCutPlan, { props: { faceName: 'Main face', plan: plan.faces[0]!, units: 'imperial' } })
    expect(wrapper.findAll('ol > li')).toHaveLength(plan.totals.sticks)
    expect(wrapper.text()).toContain(`${plan.totals.sticks} sticks of Bollard light rail`)
    expect(wrapper.text()).not.toMatch(noFigure)
  })
})
