import { describe, expect, it } from 'vitest'
import { after, changed } from '../../../tests/fixtures/jobs'
import { mountOnJob } from '../../testing/mount-on-job'
import { plainBatten, type PurlinSupports, rafterRow } from '#core/job'
import SupportsHitLog from './SupportsHitLog.vue'
import SupportsPurlins from './SupportsPurlins.vue'
import { plainRules } from '../../../tests/fixtures/plain-rules'

const noFigure = /\bNaN\b|\bInfinity\b|\bundefined\b|\[object/
const battens: PurlinSupports = { kind: 'purlins', member: 'batten', firstMm: 300, spacingMm: 345, widthMm: 50, thicknessMm: 40, batten: null, found: [] }
/** The part as it stands on a face whose supports are these, with a snow load so that battens have something to carry. */
const mounted = (supports: PurlinSupports) => mountOnJob(SupportsPurlins, after(changed({ supports }), {
  type: 'set-loads',
  values: { rules: plainRules('us-2010') },
}), { supports })

describe('the hit log', () => {
  it('reads places and heights off the datum corner, on an eave whose datum end lies 25 mm higher', async () => {
    const corners = ([[0, 0, 'eave'], [9000, 25, 'rake'], [9000, 6500, 'ridge'], [0, 6500, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge }))
    const supports = { ...rafterRow(300, 600, 38, []), layout: 'fitted' as const }
    const { type, job, wrapper } = await mountOnJob(SupportsHitLog, {
      ...changed({ outline: { kind: 'corners', corners }, datum: 'right', supports }),
      units: 'metric',
    }, { supports })
    await type('Height', '900')
    await type('Reading', '1500')
    await wrapper.find('form').trigger('submit')
    const [hit] = (job.value.faces[0]!.supports as typeof supports).hits
    expect(hit).toMatchObject({ xMm: 7500, yMm: 925 })
    expect(wrapper.text()).not.toMatch(noFigure)
  })
})

describe('lines of timber across the roof', () => {
  it('without a thickness no thread counts, and the plan stops until one is typed', async () => {
    const { plan, type, job, wrapper } = await mounted({ ...battens, thicknessMm: null })
    expect(wrapper.text()).toContain('nobody has measured it')
    expect(plan.value.findings.find(one => one.id.startsWith('no-thickness'))).toMatchObject({
      severity: 'stop',
      sentence: expect.stringContaining('how thick the battens are') as string,
    })
    await type('Thickness', '1 1/2"')
    expect((job.value.faces[0]!.supports as PurlinSupports).thicknessMm).toBeCloseTo(38.1, 6)
    expect(plan.value.findings.some(one => one.id.startsWith('no-thickness'))).toBe(false)
  })
  it('battens stop until somebody says how they are held, from usual sizes', async () => {
    const { plan, press, job } = await mounted(battens)
    expect(plan.value.findings.find(one => one.id.startsWith('battens-not-known'))?.severity).toBe('stop')
    await press('Say how the battens are held')
    expect((job.value.faces[0]!.supports as PurlinSupports).batten).toEqual(plainBatten)
    expect(plan.value.findings.some(one => one.id.startsWith('battens-not-known'))).toBe(false)
  })
  it('each of their figures is taken, with its unit, and odd ones are refused with a sentence', async () => {
    const { type, job, wrapper } = await mounted({ ...battens, batten: plainBatten })
    const own = () => (job.value.faces[0]!.supports as PurlinSupports).batten!
    const figures: [label: string, text: string, of: () => number, to: number][] = [
      ['Rafters under them', '18"', () => own().rafterSpacingMm, 457.2], ['Nail diameter', '0.148"', () => own().nails.diameterMm, 3.7592],
      ['Nail length', '3 1/4"', () => own().nails.lengthMm, 82.55], ['Nail head', '5/16"', () => own().nails.headMm, 7.9375],
      [
        'Bending strength',
        '1000 psi',
        () => own().bendingMpa,
        6.894757,
      ], ['Shear strength', '150 psi', () => own().shearMpa, 1.0342136], ['Nails at a rafter', '2', () => own().nails.perRafter, 2],
    ]
    for (const [label, text, of, to] of figures) {
      // The part keeps the supports it was given, so each edit is looked at by itself.
      await type(label, text)
      expect(of(), label).toBeCloseTo(to, 4)
    }
    await type('Nail length', 'long')
    expect(wrapper.text()).toContain('is not a length')
    await type('Nails at a rafter', '900')
    expect(wrapper.text()).toContain('At most six nails')
    expect(wrapper.text()).not.toMatch(noFigure)
  })
  it('smooth nails have no declared withdrawal to type; ring-shank ones do', async () => {
    const smooth = await mounted({ ...battens, batten: { ...plainBatten, nails: { ...plainBatten.nails, kind: 'smooth' } } })
    expect(smooth.wrapper.text()).not.toContain('Withdrawal')
    const ring = await mounted({ ...battens, batten: { ...plainBatten, nails: { ...plainBatten.nails, kind: 'ring-shank', faxMpa: null } } })
    expect(ring.wrapper.text()).toContain('declared by the maker')
  })
})
