import { mountSuspended } from '@nuxt/test-utils/runtime'
import { describe, expect, it } from 'vitest'
import { catalogue, changed, inch, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { stages } from '#core/job'
import { planJob } from '#core/plan'
import { checkWords } from '#core/strength'
import FindingsList from './FindingsList.vue'
import LadderNav from './LadderNav.vue'
import WorkingPanel from './WorkingPanel.vue'

const stopped = planJob(changed({}, { rows: [{
  count: null,
  shiftMm: 0,
  gapBelowMm: null,
  lowerRailMm: 100,
  upperRailMm: null,
  orientation: null,
  breaks: [],
  skip: [],
  held: [],
  locked: false,
}] }), catalogue)

describe('the ladder', () => {
  it('has the ground at the bottom, and each rung says whether it wants somebody', async () => {
    const wrapper = await mountSuspended(LadderNav, { props: { stage: 'rails', findings: stopped.findings, jobId: 'x' } })
    const rungs = wrapper.findAll('a')
    expect(rungs.map(one => one.attributes('data-stage'))).toEqual([...stages].reverse().map(stage => stage.id))
    expect(rungs.find(one => one.attributes('data-stage') === 'rails')!.text()).toContain('stopped')
    expect(rungs.find(one => one.attributes('data-stage') === 'rows')!.text()).toContain('clear')
    expect(rungs.filter(one => one.attributes('aria-current') === 'page').map(one => one.attributes('data-stage'))).toEqual(['rails'])
  })
})

describe('findings', () => {
  it('are sentences with their cures, the worst first, each to be previewed and made', async () => {
    const wrapper = await mountSuspended(FindingsList, { props: { findings: stopped.findings } })
    const articles = wrapper.findAll('article')
    expect(articles).toHaveLength(stopped.findings.length)
    expect(articles[0]!.text()).toMatch(/^Stop\./)
    const [cure] = stopped.findings[0]!.cures
    const button = articles[0]!.findAll('button').find(one => one.text() === cure!.label)!
    await button.trigger('pointerenter')
    await button.trigger('click')
    await button.trigger('pointerleave')
    expect(wrapper.emitted('preview')).toEqual([[cure], [null]])
    expect(wrapper.emitted('cure')).toEqual([[cure]])
    await articles[0]!.findAll('button').find(one => one.text() === 'Show it')!.trigger('click')
    expect(wrapper.emitted('show')).toEqual([[stopped.findings[0]]])
  })
  it('say so where there are none', async () => {
    expect((await mountSuspended(FindingsList, { props: { findings: [] } })).text()).toContain('Nothing here stops you')
  })
  it('have words for every check that can govern', () => {
    for (const { name } of Object.values(checkWords)) expect(name.length).toBeGreaterThan(5)
  })
})

describe('working', () => {
  it('shows formula, values with units, result and source', async () => {
    const { limits } = planJob(threeRowsOfSix(), catalogue).faces[0]!
    const wrapper = await mountSuspended(WorkingPanel, { props: { open: true, workings: [limits.spanWorking, limits.overhangWorking], all: [], units: 'imperial' } })
    await new Promise(resolve => setTimeout(resolve, 50))
    const text = document.body.textContent!
    expect(text).toContain(limits.spanWorking.what)
    expect(text).toContain(limits.spanWorking.formula)
    expect(text).toContain('4\' 0"')
    expect(text).not.toMatch(/\bNaN\b|\bundefined\b/)
    expect(limits.maxSpanMm).toBeCloseTo(inch(48), 6)
    wrapper.unmount()
  })
})
