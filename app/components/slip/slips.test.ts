import { mockNuxtImport } from '@nuxt/test-utils/runtime'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../../db/demo/jobs'
import { after, changed, inch, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { mountOnJob } from '../../testing/mount-on-job'
import { type Hit, rafterRow, rulesOf } from '#core/job'
import { usualCovering } from '#core/coverings'
import CoveringWay from '../covering/CoveringWay.vue'
import SlipCovering from './SlipCovering.vue'
import SlipRafters from './SlipRafters.vue'
import SlipRails from './SlipRails.vue'
import SlipRows from './SlipRows.vue'
import SlipSurvey from './SlipSurvey.vue'
import SurveyCovering from '../survey/SurveyCovering.vue'
import SurveyObstructions from '../survey/SurveyObstructions.vue'
import SurveyRoof from '../survey/SurveyRoof.vue'
import SurveyTaped from '../survey/SurveyTaped.vue'
import KeepClearFace from '../keep-clear/KeepClearFace.vue'
import KeepClearRules from '../keep-clear/KeepClearRules.vue'
import KeepClearTaken from '../keep-clear/KeepClearTaken.vue'
import SiteSheet from '../site/SiteSheet.vue'

// There are no threads here: the planner's answers are worked out in place.
mockNuxtImport('usePlanner', () => () => ({
  probeFace: async (...question: Parameters<typeof import('#core/asks')['probeFace']>) => (await import('#core/asks')).probeFace(...question),
  pricePatterns: async (...question: Parameters<typeof import('#core/asks')['pricePatterns']>) => (await import('#core/asks')).pricePatterns(...question),
}))

const noFigure = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object/

describe('the same on all faces', () => {
  const three = () => {
    const job = threeRowsOfSix()
    const [face] = job.faces
    return { ...job, faces: [face!, { ...face!, id: 'back', covering: { ...usualCovering('slate', true) } }, { ...face!, id: 'side', covering: { ...usualCovering('coursed-shingle', true), kind: 'coursed-shingle' as const, exposureMm: 127, tabMm: null, firstCourseMm: 99, firstColumnMm: 0, coursesRead: [], coursesCounted: null } }] }
  }
  it('takes parts and covering over in one change, and leaves each face its own first course', async () => {
    const { press, job, edits, wrapper } = await mountOnJob(SurveyCovering, three())
    await press('Same covering and parts on 2 other faces')
    expect(edits).toHaveLength(1)
    const [own, back, side] = job.value.faces.map(face => face.covering)
    expect(back).toEqual(own)
    expect(side).toEqual({ ...own, firstCourseMm: 99 })
    expect(wrapper.text()).not.toContain('other face')
  })
  it('names small parts that one face has and another lacks as a difference', async () => {
    const job = three()
    job.faces[1]!.array = { ...job.faces[1]!.array, supplyIds: ['gull-lug'] }
    const { press, job: after } = await mountOnJob(SlipRails, { ...job, faces: job.faces.slice(0, 2) })
    await press('Same parts on the other face')
    expect(after.value.faces[1]!.array.supplyIds).toEqual([])
  })
})

describe('the covering', () => {
  const tiled = () => structuredClone(demoJobs.find(({ job }) => job.title === 'Kelp Quay 22')!.job)
  it('has a card for the fixing in hand: its steps in order, its cautions, every figure with its unit', async () => {
    const { wrapper } = await mountOnJob(SlipCovering, tiled(), {}, { kind: 'fixing', id: 'row1-lower rafter 3' })
    const text = wrapper.text()
    expect(text).toContain('course 6, tile')
    expect(text.indexOf('Lift tiles')).toBeLessThan(text.indexOf('Plate on rafter 3'))
    expect(text.indexOf('Plate on rafter 3')).toBeLessThan(text.indexOf('Notch tile'))
    expect(text).toContain('silica')
    expect(text).not.toMatch(noFigure)
  })
  it('is gone through another way by a choice, and a number that can’t be is told', async () => {
    const { wrapper, type, job, plan } = await mountOnJob(CoveringWay, { ...tiled(), faces: tiled().faces.map(face => ({ ...face, array: { ...face.array, openFirst: { count: 2, mountId: 'windlass-tile-post' } } })) }, {}, { kind: 'rails' })
    await type('So many at most', '40')
    expect(wrapper.text()).toContain('Type a whole number from 1 to 12.')
    await type('So many at most', '1')
    expect(job.value.faces[0]!.array.openFirst).toEqual({ count: 1, mountId: 'windlass-tile-post' })
    expect(plan.value.faces[0]!.openings.filter(one => one.first).length).toBeLessThanOrEqual(1)
  })
  it('takes a course read higher up, and says why one can’t be', async () => {
    const { wrapper, type, job } = await mountOnJob(SurveyCovering, changed({ covering: usualCovering('slate', true) }))
    await type('Another course read', 'course 12')
    expect(wrapper.text()).toContain('Type the course and its reading')
    await type('Another course read', '12 at 5\' 10"')
    expect(job.value.faces[0]!.covering).toMatchObject({ coursesRead: [{ course: 12, mm: expect.closeTo(inch(70), 6) as number }] })
    await type('Another course read', '9 at 6\' 0"')
    expect(wrapper.text()).toContain('A higher course has to read higher up the slope.')
    await type('Courses counted to the top', '34')
    expect(job.value.faces[0]!.covering).toMatchObject({ coursesCounted: 34 })
  })
})

describe('rows', () => {
  it('are dropped, added and held by button, and every figure has its unit', async () => {
    const { press, plan, wrapper } = await mountOnJob(SlipRows, threeRowsOfSix())
    await press('Drop a module from row 2')
    expect(plan.value.totals.modules).toBe(17)
    await press('Let row 2 fill')
    await press('One row fewer')
    expect(plan.value.totals.modules).toBe(12)
    expect(wrapper.text()).not.toMatch(noFigure)
  })
  it('have places that are dropped or held, and lock with what they hold', async () => {
    const { press, plan, job } = await mountOnJob(SlipRows, threeRowsOfSix(), {}, { kind: 'row', index: 0 })
    await press('Place 2')
    expect(plan.value.faces[0]!.rows.rows[0]!.blocks.map(block => block.count)).toEqual([1, 4])
    await press('Place 2')
    await press('Press to drop')
    await press('Place 3')
    expect(job.value.faces[0]!.array.rows[0]!.held).toHaveLength(1)
    await press('Place 3, held')
    await press('Lock this row')
    expect(job.value.faces[0]!.array.rows[0]!).toMatchObject({ locked: true, count: 6 })
    expect(job.value.faces[0]!.array.rows[0]!.held).toHaveLength(6)
    await press('Locked')
    expect(job.value.faces[0]!.array.rows[0] ?? null).toMatchObject({ locked: false, held: [] })
  })
  it('read their lower edge off the datum corner, and go where it is typed, on an eave out of level', async () => {
    const corners = ([[0, 20, 'eave'], [9000, 0, 'rake'], [9000, 6500, 'ridge'], [0, 6500, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge }))
    const { type, plan, field } = await mountOnJob(SlipRows, {
      ...changed({ outline: { kind: 'corners', corners }, datum: 'left' }),
      units: 'metric',
    }, {}, { kind: 'row', index: 0 })
    const reading = () => plan.value.faces[0]!.marks.find(step => step.id === 'first-row')!.marks[0]!.readingMm
    expect((field('Lower edge').element as HTMLInputElement).value).toBe(`${Math.round(reading())} mm`)
    await type('Lower edge', '400')
    expect(reading()).toBeCloseTo(400, 6)
    expect(plan.value.faces[0]!.rows.rows[0]!.bottomMm).toBeCloseTo(420, 6)
  })
  it('stand with equal margins when asked', async () => {
    const { press, plan } = await mountOnJob(SlipRows, changed({}, { shiftMm: 50 }))
    await press('Equal margins')
    const { slack } = plan.value.faces[0]!.rows
    expect(slack!.fromMm + slack!.toMm).toBeCloseTo(0, 6)
  })
})

describe('rafters', () => {
  const hits: Hit[] = [9, 33, 57, 81, 129, 153, 201, 252].map((at, i) => ({ id: `h${i}`, xMm: inch(at), yMm: 900, state: 'knock', use: 'rafter' }))
  const logged = (layout: 'nominal' | 'fitted' | 'irregular') => changed({ supports: { ...rafterRow(inch(12), inch(24), inch(1.5)), layout, hits } })

  it('take a typed place, forget it when it is emptied, and say why a length can’t be read', async () => {
    const { type, job, wrapper } = await mountOnJob(SlipRafters, threeRowsOfSix(), {}, { kind: 'rafters' })
    await type('Rafter 3', '5\' 1"')
    expect(job.value.faces[0]!.supports).toMatchObject({ found: [{ rafter: 3, centreMm: expect.closeTo(inch(61), 6) as number }] })
    await type('Rafter 3', '')
    expect(job.value.faces[0]!.supports).toMatchObject({ found: [] })
    await type('Spacing', 'wide')
    expect(wrapper.find('[role=alert]').text()).toContain('is not a length')
    await type('Spacing', '2"')
    expect(wrapper.find('[role=alert]').text()).toContain('at least 150 mm')
  })
  it.each(['nominal', 'fitted', 'irregular'] as const)('%s: the log says of each hit what it is to the rafters', async (layout) => {
    const { wrapper } = await mountOnJob(SlipRafters, logged(layout), {}, { kind: 'rafters' })
    const lines = wrapper.findAll('[data-hit]').map(line => line.text())
    expect(lines).toHaveLength(8)
    if (layout !== 'irregular') expect(lines[7]).toContain('fits no rafter')
    expect(lines[0]).toContain('rafter 1')
    expect(wrapper.text()).not.toMatch(noFigure)
  })
  it('log a hit by typing, refuse one twice, set one aside and take one out', async () => {
    const { field, wrapper, job, press } = await mountOnJob(SlipRafters, logged('fitted'), {}, { kind: 'rafters' })
    const log = async (reading: string) => {
      await field('Reading from').setValue(reading)
      await wrapper.find('form').trigger('submit')
    }
    const count = () => (job.value.faces[0]!.supports as { hits: Hit[] }).hits.length
    await log('14\' 9"')
    expect(count()).toBe(9)
    await log('14\' 9"')
    expect(count()).toBe(9)
    expect(wrapper.find('[role=alert]').text()).toContain('in the log already')
    await press('Set aside hit 8')
    expect((job.value.faces[0]!.supports as { hits: Hit[] }).hits[7]!.use).toBe('set-aside')
    await press('Take hit 1 out of the log')
    expect(count()).toBe(8)
  })
  it.each(['purlins', 'seams', 'screws', 'sheathing'] as const)('%s have fields of their own', async (kind) => {
    const supports = {
      purlins: {
        kind: 'purlins',
        member: 'batten',
        firstMm: 300,
        spacingMm: 600,
        widthMm: 50,
        thicknessMm: null,
        batten: null,
        found: [],
      }, seams: { kind: 'seams', firstMm: 200, spacingMm: 430 },
      screws: { kind: 'screws', firstMm: 125, spacingMm: 250, firstRowMm: 150, rowSpacingMm: 600 }, sheathing: { kind: 'sheathing', thicknessMm: 18, areas: [] },
    } as const
    const { wrapper, edits, type } = await mountOnJob(SlipRafters, changed({ supports: supports[kind] as never }), {}, { kind: 'rafters' })
    expect(wrapper.findAll('input').length).toBeGreaterThan(0)
    expect(wrapper.text()).not.toMatch(noFigure)
    await type({ purlins: 'First line', seams: 'First seam', screws: 'First screw', sheathing: 'Thickness' }[kind], kind === 'sheathing' ? '3/4"' : '7"')
    expect(edits).toHaveLength(1)
  })
})

describe('survey', () => {
  it('keeps the part that is open, and opens what an obstruction picked on the face needs', async () => {
    const job = changed({ obstructions: [{ id: 'flue', kind: 'vent', round: true, xMm: 3000, yMm: 3000, widthMm: 120, heightMm: 120, clearanceMm: 100 }] })
    const { wrapper, selection } = await mountOnJob(SlipSurvey, job)
    expect(wrapper.text()).toContain('Along the eave')
    selection.value = { kind: 'obstruction', id: 'flue' }
    await wrapper.vm.$nextTick()
    expect(wrapper.text()).toContain('Middle along')
  })
  it('reads obstructions from the datum corner', async () => {
    const job = changed({ datum: 'right', obstructions: [{ id: 'flue', kind: 'vent', round: true, xMm: inch(100), yMm: 3000, widthMm: 120, heightMm: 120, clearanceMm: 100 }] })
    const { type, job: now, field } = await mountOnJob(SurveyObstructions, job, {}, { kind: 'obstruction', id: 'flue' })
    expect((field('Middle along').element as HTMLInputElement).value).toBe('19\' 8"')
    await type('Middle along', '19\' 0"')
    expect(now.value.faces[0]!.obstructions[0]!.xMm).toBeCloseTo(inch(108), 6)
    await type('Across', '6"')
    expect(now.value.faces[0]!.obstructions[0]).toMatchObject({ widthMm: expect.closeTo(152.4, 6) as number, heightMm: expect.closeTo(152.4, 6) as number })
  })
  it.each([
    'coursed-shingle',
    'interlocking-tile',
    'plain-tile',
    'slate',
    'pressed-metal-tile',
    'screwed-sheet',
    'standing-seam',
    'felt-and-battens',
  ] as const)('%s shows its own measures, none without a unit', async (kind) => {
    const { wrapper } = await mountOnJob(SurveyCovering, changed({ covering: usualCovering(kind, true) }))
    // What nobody has read, or what may be left out, stands empty.
    for (const input of wrapper.findAll('input')) expect((input.element as HTMLInputElement).value).toMatch(/^$|["']$/)
    expect(wrapper.findAll('input').filter(input => (input.element as HTMLInputElement).value !== '').length).toBeGreaterThan(0)
    expect(wrapper.text()).not.toMatch(noFigure)
  })
  it('says which taped lengths contradict each other and what an error would have to be to show', async () => {
    const outline = {
      kind: 'taped', form: 'quadrilateral', tapeSdMm: 3, sides: [{ mm: 9000, edge: 'eave' }, { mm: 5000, edge: 'rake' }, { mm: 9000, edge: 'ridge' }, { mm: 5000, edge: 'rake' }],
      diagonals: [{ from: 0, to: 2, mm: 10_296 }, { from: 1, to: 3, mm: 10_360 }],
    } as const
    const job = changed({ outline: outline as never })
    const { wrapper, plan } = await mountOnJob(SurveyTaped, job, { outline: job.faces[0]!.outline })
    expect(wrapper.text()).toContain('would show')
    expect(wrapper.text()).toContain('6, 5 needed')
    expect(plan.value.findings.some(finding => finding.id.startsWith('tape-wrong'))).toBe(true)
  })
  it('adds a face with the parts and the bare supports of this one, and removes it again', async () => {
    const { press, job, type, wrapper } = await mountOnJob(SurveyRoof, threeRowsOfSix())
    await press('Add a face')
    expect(job.value.faces).toHaveLength(2)
    expect(job.value.faces[1]!.array.railId).toBe(job.value.faces[0]!.array.railId)
    await press('Remove Test face')
    expect(job.value.faces).toHaveLength(1)
    await type('Faces', 'south-west')
    expect(job.value.faces[0]!.place.azimuthDeg).toBe(225)
    await type('Storeys below', 'two')
    expect(wrapper.find('[role=alert]').text()).toContain('whole storeys')
    await type('Yields beside the best', '85')
    expect(job.value.faces[0]!.yieldShare).toBe(0.85)
  })
})

describe('keep-clear', () => {
  it.each(['plain', 'us-2018', 'us-2012', 'european', 'own'] as const)('%s: shows every figure it uses with its clause, and how much is covered', async (ruleSet) => {
    const job = after(threeRowsOfSix(), { type: 'set-keep-clear', values: rulesOf(ruleSet) })
    const { wrapper } = await mountOnJob(KeepClearRules, job)
    expect(wrapper.text()).toContain('Of the surveyed roof')
    expect(wrapper.text()).not.toMatch(noFigure)
    if (ruleSet === 'us-2018') expect(wrapper.text()).toContain('R324.6.1')
    if (ruleSet === 'us-2012') expect(wrapper.text()).toContain('605.11.3.2')
  })
  it('a share is typed in percent, and a figure typed over says so', async () => {
    const { type, job, wrapper } = await mountOnJob(KeepClearRules, after(threeRowsOfSix(), { type: 'set-keep-clear', values: rulesOf('us-2018') }))
    await type('Narrow up to', '40 %')
    expect(job.value.keepClear.values.coverShare).toBeCloseTo(0.4, 9)
    expect(wrapper.text()).toContain('R324.6.2, typed')
    await type('With sprinklers', '700')
    expect(wrapper.find('[role=alert]').text()).toContain('0 to 100 %')
  })
  it('lists who took what, adding up to what is left', async () => {
    const { wrapper, plan } = await mountOnJob(KeepClearTaken, threeRowsOfSix())
    const face = plan.value.faces[0]!
    const taken = face.strips.reduce((sum, strip) => sum + strip.takesMm2, 0)
    expect(taken + face.regionAreaMm2).toBeCloseTo(inch(336) * inch(240), -1)
    expect(wrapper.text()).toContain('Setback from the ridge')
    expect(wrapper.text()).toContain('sq ft')
  })
  it('shows typed setbacks only while they count', async () => {
    const plain = await mountOnJob(KeepClearFace, threeRowsOfSix())
    expect(plain.wrapper.text()).toContain('Below the ridge')
    const judged = await mountOnJob(KeepClearFace, after(threeRowsOfSix(), { type: 'set-keep-clear', values: rulesOf('us-2018') }))
    expect(judged.wrapper.text()).not.toContain('Below the ridge')
    expect(judged.wrapper.text()).toContain('Typed setbacks rest')
  })
})

describe('rails', () => {
  it('list each fixing in the order of the tape with what is known of its timber', async () => {
    const { wrapper } = await mountOnJob(SlipRails, changed({ datum: 'right' }), {}, { kind: 'rail', id: 'row1-lower' })
    const lines = wrapper.findAll('ol li').map(line => line.text())
    expect(lines).toHaveLength(6)
    expect(lines[0]).toContain('guessed')
    expect(lines[0]).toMatch(/timber \d+ %/)
    const numbers = lines.map(line => Number(line.match(/Rafter (\d+)/)![1]))
    expect(numbers).toEqual([...numbers].sort((a, b) => b - a))
  })
})

describe('the site sheet', () => {
  it('keeps text, years, directions and altitude, and says why it can’t', async () => {
    const { type, job, wrapper } = await mountOnJob(SiteSheet, threeRowsOfSix())
    await type('Age', '12 years')
    await type('Altitude', '250')
    await type('Street lies', 'NE')
    expect(job.value.site).toMatchObject({ coveringAgeYears: 12, streetDeg: 45, altitudeM: expect.closeTo(76.2, 6) as number })
    await type('Altitude', 'high')
    expect(wrapper.find('[role=alert]').text()).toContain('is not a length')
    await type('Street lies', '')
    expect(job.value.site.streetDeg).toBeNull()
  })
})
