import { describe, expect, it } from 'vitest'
import { h, nextTick } from 'vue'
import type { Job } from '../../../core/job'
import { demoJobs } from '../../../db/demo/jobs'
import { grounded, strung, thing } from '../../../tests/fixtures/ground'
import { plain } from '../../../tests/fixtures/wiring'
import { mountOnJob } from '../../testing/mount-on-job'
import SlipGround from '../slip/SlipGround.vue'
import GroundConnection from './GroundConnection.vue'
import GroundLabels from './GroundLabels.vue'
import GroundRuns from './GroundRuns.vue'
import GroundWalls from './GroundWalls.vue'
import GroundWork from './GroundWork.vue'

const noFigure = /\bNaN\b|\bInfinity\b|\bundefined\b|\bnull\b|\[object/
const main = grounded('main-panel')
const whole = strung('whole-backup')
const thingIn = (id: string) => ({ kind: 'thing' as const, id })
const named = (job: { value: Job }, id: string) => thing(job.value, id)
type Mounted = Awaited<ReturnType<typeof mountOnJob>>
const choose = async ({ wrapper }: Mounted, label: string, value: unknown) => {
  wrapper.findAllComponents({ name: 'FieldChoiceField' }).find(one => one.props('label') === label)!.vm.$emit('choose', value)
  await nextTick()
}

describe('between roof and grid', () => {
  it('begins with a way that suits what comes down, and measures nothing that nobody measured', async () => {
    const { press, job, wrapper, plan } = await mountOnJob(GroundWork, plain())
    expect(wrapper.text()).toContain('How does it reach the grid?')
    expect(wrapper.text()).not.toContain('With storage')
    await press('To a sub-panel')
    expect(job.value.ground!.things.map(one => one.kind)).toContain('sub-panel')
    const wall = job.value.ground!.walls[0]!
    expect(job.value.assumed).toEqual(expect.arrayContaining([`wall ${wall.id}/wideMm`, `wall ${wall.id}/highMm`]))
    expect(plan.value.grid!.runs.length).toBeGreaterThan(2)
  })
  it.each(['1 Bellbuoy Lane', '30 Capstan Walk', 'Fennel Field', '9 Halyard Close'])('%s: every sheet of the rung shows figures with their units, none is none', async (title) => {
    const { job } = demoJobs.find(one => one.job.title.startsWith(title))!
    const parts = [GroundWalls, GroundRuns, GroundConnection, GroundLabels]
    const { wrapper, selection, plan } = await mountOnJob({ render: () => h('div', [...parts, SlipGround].map(part => h('section', [h(part)]))) }, job)
    for (const section of wrapper.findAll('section').filter(one => one.element.parentElement === wrapper.element)) expect(section.text().length).toBeGreaterThan(100)
    expect(wrapper.text()).not.toMatch(noFigure)
    for (const what of [...job.ground!.things.map(one => thingIn(one.id)), ...plan.value.grid!.runs.map(one => ({ kind: 'run' as const, id: one.id }))]) {
      selection.value = what
      await nextTick()
      for (const input of wrapper.findAll('input')) expect((input.element as HTMLInputElement).value).not.toMatch(noFigure)
      expect(wrapper.text()).not.toMatch(noFigure)
    }
  }, 120_000)
})

describe('the thing in hand', () => {
  it('takes every reading of a quick hand before the plan has caught up, and keeps them all', async () => {
    const on = await mountOnJob(SlipGround, whole, {}, thingIn('storage'), true)
    await on.type('From the left corner', '2 m')
    await on.type('From the floor', '0.4 m')
    await on.type('Mass', '104 kg')
    await on.type('One holds, pulled', '1500 N')
    await on.type('One holds, sheared', '900')
    await on.type('That holds so far from an edge', '90 mm')
    await on.type('Set so deep', '70 mm')
    expect(named(on.job, 'storage')).toMatchObject({ massKg: 104, at: { xMm: 2000, yMm: 400 }, anchors: { pullN: 1500, shearN: 900, edgeMm: 90, embedMm: 70 } })
  })
  it('refuses what is no figure with a sentence that keeps the old one', async () => {
    const { type, wrapper, job } = await mountOnJob(SlipGround, main, {}, thingIn('disconnect'))
    const before = named(job, 'disconnect')
    await type('Mass', 'heavy')
    expect(wrapper.text()).toContain('“heavy” is not a figure in kg.')
    await type('Stands short circuits of', '900 kA')
    expect(wrapper.findAll('[role=alert]')).toHaveLength(2)
    await type('Wide', '9 m')
    expect(wrapper.text()).toContain('Its width must be at most')
    expect(named(job, 'disconnect')).toEqual(before)
  })
  it('pressed ten times, Add adds ten things, each of its own', async () => {
    const on = await mountOnJob(SlipGround, main, {}, thingIn('disconnect'), true)
    const before = on.job.value.ground!.things.length
    for (let i = 0; i < 10; i++) await on.press('Add')
    const { things } = on.job.value.ground!
    expect(things).toHaveLength(before + 10)
    expect(new Set(things.map(one => one.id)).size).toBe(before + 10)
  })
  it('leads elsewhere, hangs on another wall and is found a place there; its device is the least that may where none is typed', async () => {
    const on = await mountOnJob(SlipGround, main, {}, thingIn('disconnect'))
    await on.type('Device towards the grid', '60 A')
    expect(named(on.job, 'disconnect').deviceA).toBe(60)
    await on.type('Device towards the grid', '')
    expect(named(on.job, 'disconnect').deviceA).toBeNull()
    await on.type('From the left corner', '1.5 m')
    await choose(on, 'Hangs on', 'outside')
    expect(named(on.job, 'disconnect')).toMatchObject({ wallId: 'outside', at: null })
    expect(on.plan.value.grid!.placing.stood.find(one => one.thingId === 'disconnect')!.found).toBe(true)
    await choose(on, 'Leads to', '-')
    expect(on.plan.value.findings.some(one => one.kind === 'ground-loose')).toBe(true)
  })
})

describe('the place', () => {
  it('takes walls, what is on them, ways between them and the electrician from a quick hand', async () => {
    const on = await mountOnJob(SlipGround, main, {}, { kind: 'face' }, true)
    for (let i = 0; i < 3; i++) await on.press('Add')
    for (let i = 0; i < 8; i++) await on.wrapper.findAll('button').find(one => one.text() === 'Another wall')?.trigger('click')
    for (let i = 0; i < 2; i++) await on.press('Another way')
    await on.type('Service', '150 A')
    await on.type('Short-circuit current there', '18 kA')
    const { walls, passages, supply } = on.job.value.ground!
    expect(new Set(walls[0]!.blocks.map(one => one.id)).size).toBe(3)
    expect(walls).toHaveLength(6)
    expect(new Set(passages.map(one => one.id)).size).toBe(2)
    expect(new Set(walls.map(one => one.name)).size).toBe(6)
    expect(supply).toMatchObject({ ratedA: 150, faultKA: 18 })
    expect(on.wrapper.text()).not.toContain('Another wall')
    // Nobody has measured the five new ones; a name is no measure.
    expect(on.job.value.assumed).toHaveLength(10)
    await on.type('Wall', 'Back of the shed')
    expect(on.job.value.assumed).toHaveLength(10)
  })
})

describe('the connection', () => {
  it('ticks what two plates say, one after the other, and keeps both', async () => {
    const string = strung()
    const job = { ...string, ground: { ...string.ground!, things: string.ground!.things.map(one => ({ ...one, says: [] })) } }
    const on = await mountOnJob(GroundConnection, job, {}, { kind: 'face' }, true)
    const asked = on.plan.value.grid!.asked
    expect(asked.length).toBeGreaterThan(1)
    const ticks = on.wrapper.findAll('button').filter(one => one.text() === 'It says so')
    expect(ticks).toHaveLength(asked.length)
    for (const one of [...ticks, ticks[0]!]) await one.trigger('click')
    for (const { thingId, says } of asked) expect(named(on.job, thingId).says.filter(one => one === says)).toHaveLength(1)
    for (const taken of [['pull-string'], [], ['pull-string']]) {
      await on.wrapper.findAll('li').find(one => one.text().startsWith('Pull string'))!.find('button').trigger('click')
      expect(on.job.value.ground!.growth).toEqual(taken)
    }
  })
  it('names the rule that holds on each busbar, with what it comes to', async () => {
    const { wrapper, plan } = await mountOnJob(GroundConnection, main)
    const [bus] = plan.value.grid!.buses
    expect(wrapper.text()).toContain(`${bus!.busA} A busbar`)
    expect(wrapper.text()).toContain(`${bus!.tries[0]!.leftA.toFixed(1)} A of ${bus!.tries[0]!.rightA.toFixed(1)} A`)
  })
})
