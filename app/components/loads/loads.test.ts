import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import LoadsBuilding from './LoadsBuilding.vue'
import LoadsForm from './LoadsForm.vue'
import LoadsSnow from './LoadsSnow.vue'
import RailChart from './RailChart.vue'
import TimberForm from './TimberForm.vue'
import VanForm from './VanForm.vue'
import SlipLoadSummary from '../slip/SlipLoadSummary.vue'
import { mountOnJob } from '../../testing/mount-on-job'
import { type Job, type LoadEdition, loadEditions, noPlaceLoads } from '../../../core/job'
import { after, changed, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { plainRules } from '../../../tests/fixtures/plain-rules'

const noFigure = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object/
const loaded = (edition: LoadEdition): Job => after(threeRowsOfSix(), { type: 'set-loads', values: { rules: plainRules(edition) } })

describe('what loads the roof', () => {
  it.each(loadEditions)('%s: every figure stands with its unit, none is none', async (edition) => {
    const { wrapper } = await mountOnJob(LoadsForm, loaded(edition))
    expect(wrapper.text()).not.toMatch(noFigure)
    for (const input of wrapper.findAll('input')) expect((input.element as HTMLInputElement).value).not.toMatch(noFigure)
    if (edition !== 'none') expect(wrapper.text()).toContain('Ground snow')
    if (edition === 'us-2022') expect(wrapper.text()).toContain('Along edges, up')
  })
  it('takes figures in any unit, and refuses odd ones with a sentence that keeps the old', async () => {
    const { type, job, wrapper, field } = await mountOnJob(LoadsForm, loaded('us-2010'))
    const wind = () => (job.value.loads.rules as { wind: { speedMs: number } }).wind.speedMs
    await type('Basic wind speed', '50 m/s')
    expect(wind()).toBeCloseTo(50, 9)
    await type('Basic wind speed', '900')
    expect(wrapper.text()).toContain('at most 300 mph')
    expect(wind()).toBeCloseTo(50, 9)
    await type('Ground snow', '1.2 kPa')
    expect((field('Ground snow').element as HTMLInputElement).value).toBe('25.1 psf')
    await type('Topography, Kzt', '12')
    expect(wrapper.text()).toContain('at most 3')
  })
  it('what the place has to say, typed quicker than it can be planned, begins the rules all the same, and is mended in them', async () => {
    const waits: Job = after(threeRowsOfSix(), { type: 'set-loads', values: { place: { ...noPlaceLoads, edition: 'en' }, rules: { edition: 'none' } } })
    const { type, job, wrapper } = await mountOnJob(LoadsForm, waits, {}, { kind: 'face' }, true)
    await type('Basic wind speed', '25 m/s')
    wrapper.findAllComponents({ name: 'FieldPickField' }).find(one => one.props('label') === 'Terrain')!.vm.$emit('choose', 'II')
    await nextTick()
    await type('Ground snow load', '0.65 kPa')
    expect(job.value.loads.rules).toMatchObject({ edition: 'en', wind: { speedMs: 25, terrain: 'II' }, snow: { groundPa: 650 } })
    expect(job.value.loads.place).toEqual(noPlaceLoads)
    await type('Basic wind speed', '27 m/s')
    await type('Ground snow', '0.7 kPa')
    expect(job.value.loads.rules).toMatchObject({ wind: { speedMs: 27, terrain: 'II' }, snow: { groundPa: 700 } })
  })
  it('lets an engineer type over a zone’s coefficient, and says that it was typed', async () => {
    const { type, job, wrapper } = await mountOnJob(LoadsForm, loaded('us-2016'))
    await type('Zone 1, up', '1.4')
    expect((job.value.loads.rules as { wind: { coefficients: object } }).wind.coefficients).toEqual({ 1: { up: 1.4, down: 0.5 } })
    expect(wrapper.text()).toContain('typed; empty for the edition’s')
    await type('Zone 1, up', '')
    expect((job.value.loads.rules as { wind: { coefficients: object } }).wind.coefficients).toEqual({})
  })
})

describe('the building and its snow', () => {
  it('what is not typed follows from the face and says so; a typed height raises the wind and can be taken back', async () => {
    const { type, job, plan, field, wrapper } = await mountOnJob(LoadsBuilding, loaded('us-2010'))
    const worst = () => plan.value.faces[0]!.loading.loads!.onModule['3']!.upPa
    const before = worst()
    expect(wrapper.text()).toContain('from eave and pitch')
    await type('Mean roof height', '45 ft')
    expect(job.value.loads.building.heightMm).toBeCloseTo(45 * 304.8, 6)
    expect(wrapper.text()).toContain('typed; empty for eave and pitch')
    expect(worst()).toBeGreaterThan(before)
    await type('Mean roof height', '')
    expect(job.value.loads.building.heightMm).toBeNull()
    expect(worst()).toBe(before)
    await type('Width across the ridge', '60 ft')
    await type('Length along it', '70 ft')
    await type('Eave past the wall', '18"')
    expect(job.value.loads.building).toMatchObject({
      widthMm: expect.closeTo(60 * 304.8, 6) as number,
      lengthMm: expect.closeTo(70 * 304.8, 6) as number,
      eaveOverhangMm: expect.closeTo(457.2, 6) as number,
    })
    await type('Eave past the wall', 'a bit')
    expect(wrapper.text()).toContain('is not a length')
    expect((field('Eave past the wall').element as HTMLInputElement).value).toBe('a bit')
  })
  it('over 60 ft the wind is not known: a stop that says so, while snow is still there', async () => {
    const { type, plan } = await mountOnJob(LoadsBuilding, loaded('us-2010'))
    await type('Mean roof height', '61 ft')
    expect(plan.value.findings.find(finding => finding.severity === 'stop' && finding.sentence.includes('over 60 ft'))).toBeDefined()
    expect(plan.value.faces[0]!.loading.loads!.snow.uniformPa).toBeGreaterThan(0)
  })
  it('each edition asks for its own figures of snow', async () => {
    const asked = async (edition: LoadEdition) => (await mountOnJob(LoadsSnow, loaded(edition))).wrapper.findAll('label').map(label => label.text())
    expect(await asked('us-2010')).toEqual(expect.arrayContaining(['Importance, Is', 'Surface']))
    const strength = await asked('us-2022')
    expect(strength).toContain('Risk category')
    expect(strength).not.toContain('Importance, Is')
    expect(await asked('en')).toEqual(expect.arrayContaining(['Sliding', 'Source']))
    expect(await asked('none')).toEqual([])
  })
  it('2022 without the winter wind parameter stops where snow may lie unbalanced, and goes on once it is typed', async () => {
    const job = loaded('us-2022')
    const { type, plan } = await mountOnJob(LoadsSnow, after(job, { type: 'set-loads', values: { building: { ...job.loads.building, framing: 'other' } } }))
    const waits = () => plan.value.findings.some(finding => finding.severity === 'stop' && finding.sentence.includes('W2'))
    await type('Ground snow', '40 psf')
    expect(waits()).toBe(true)
    await type('Winter wind, W2', '0.45')
    expect(waits()).toBe(false)
    expect(plan.value.faces[0]!.loading.loads!.snow.drift!.pa).toBeGreaterThan(0)
  })
  it('a choice between two is taken by its own words', async () => {
    const { wrapper, job } = await mountOnJob(LoadsSnow, loaded('us-2010'))
    const field = wrapper.findAllComponents({ name: 'FieldYesNoField' }).find(one => one.props('label') === 'Surface')!
    expect(field.text()).toContain('Not slippery, or obstructed')
    field.vm.$emit('choose', true)
    await nextTick()
    expect(job.value.loads.rules).toMatchObject({ snow: { slippery: true } })
    expect(field.text()).toContain('Slippery, nothing in the way')
  })
})

it('what holds: timber, an engineer’s own figure, the first look at the rafter', async () => {
  const { type, job, plan, wrapper } = await mountOnJob(TimberForm, loaded('us-2010'))
  const before = plan.value.faces[0]!.uses[0]!.worst
  await type('Specific gravity', '0.5')
  expect(plan.value.faces[0]!.uses[0]!.worst).toBeLessThanOrEqual(before)
  await type('Specific gravity', '2')
  expect(wrapper.text()).toContain('at most 0.75')
  await type('Up', '900 lb')
  expect(job.value.faces[0]!.array.heldUpN).toBeCloseTo(900 * 4.4482216152605, 6)
  await type('Depth', '5 1/2')
  await type('Span along the slope', '12 ft')
  await type('Bending strength', '850 psi')
  expect(plan.value.findings.find(finding => finding.id.startsWith('screening'))!.sentence).toContain('not a sign-off')
  expect(wrapper.text()).not.toMatch(noFigure)
})

it('sticks: the van’s length, offcuts by length and pieces, bridged joints', async () => {
  const { type, job, press, plan, wrapper } = await mountOnJob(VanForm, threeRowsOfSix())
  await type('Longest load the van takes', '12 ft')
  expect(plan.value.faces[0]!.sticks.sticks.every(stick => stick.stockMm <= 3657.6)).toBe(true)
  await type('Add an offcut', '8 ft x 2')
  expect(job.value.van.offcuts).toMatchObject([{ railId: 'bollard-light', mm: expect.closeTo(2438.4, 6) as number, pieces: 2 }])
  expect(plan.value.faces[0]!.sticks.sticks.filter(stick => stick.fromYard).length).toBeGreaterThan(0)
  await type('Add an offcut', 'a bit')
  expect(wrapper.text()).toContain('is not a length')
  await press('Remove the offcut of 8\' 0"')
  expect(job.value.van.offcuts).toEqual([])
})

it('the summary and the chart of a rail say what they rest on', async () => {
  const job = after(changed({}, { allowedSpanMm: null }), { type: 'set-loads', values: { rules: plainRules('us-2010') } })
  const summary = await mountOnJob(SlipLoadSummary, job)
  expect(summary.wrapper.text()).toMatch(/US 2010.*psf.*%/s)
  const [rail] = summary.plan.value.faces[0]!.rails
  const { wrapper, press } = await mountOnJob(RailChart, job, { railId: rail!.id }, { kind: 'rail', id: rail!.id })
  expect(wrapper.text()).toContain('Along rail 1')
  for (const kind of ['Shear', 'Sag', 'Moment']) {
    await press(kind)
    expect(wrapper.text()).toMatch(/At most/)
    expect(wrapper.html()).not.toMatch(/NaN|Infinity/)
  }
})
