import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch } from '../../tests/fixtures/jobs'
import type { Catalogue } from '../catalogue'
import { type Face, type Job, type LoadEdition, plainBatten, rafterRow } from '../job'
import { planJob } from '../plan'
import { plainRules, plainTypedWind } from '../../tests/fixtures/plain-rules'

/** The countable fixture under an edition's plain loads, with facts of its face and array replaced. */
const loaded = (edition: LoadEdition, face: Partial<Face> = {}, array: Partial<Face['array']> = {}): Job =>
  after(changed(face, array), { type: 'set-loads', values: { rules: plainRules(edition) } })
const found = (job: Job, id: string, parts: Catalogue = catalogue) => planJob(job, parts).findings.find(one => one.id.startsWith(id))
const { timber } = changed({}).faces[0]!
/** The catalogue with one mount's fasteners changed. */
const withScrew = (mountId: string, values: Partial<NonNullable<Catalogue['mounts'][number]['fasteners']>>): Catalogue =>
  ({ ...catalogue, mounts: catalogue.mounts.map(one => one.id === mountId ? { ...one, fasteners: { ...one.fasteners!, ...values } } : one) })

describe('what a mount stands on', () => {
  it('sheathing thinner than the mount was tested on is a stop', () => {
    const on = (thicknessMm: number) => changed({ supports: {
      kind: 'sheathing',
      thicknessMm,
      areas: [{ fromXMm: 0, toXMm: 9000, fromYMm: 0, toYMm: 6000 }],
    } }, { mountId: 'limpet-sheathing' })
    expect(found(on(11), 'thin-sheathing')).toMatchObject({ severity: 'stop', measured: { kind: 'length', mm: 11 }, limit: { kind: 'length', mm: inch(15 / 32) } })
    expect(found(on(12), 'thin-sheathing')).toBeUndefined()
  })
  // NDS 12.1.4 (from memory): 40 to 70 % of the diameter in timber of specific gravity up to 0.5.
  it.each([[0.3, 'splits the rafter'], [0.4, null], [0.6, null], [0.7, null], [0.8, 'holds less']])('a pilot of %d of the lag’s diameter', (share, words) => {
    const finding = found(changed({}), 'pilot', withScrew('limpet-flashed', { pilotMm: share * inch(5 / 16) }))
    if (words) expect(finding).toMatchObject({ severity: 'caution', sentence: expect.stringContaining(words) as string })
    else expect(finding).toBeUndefined()
  })
  it('a lag that reaches less than 4 diameters past foot and sheathing holds nothing', () => {
    // 3 in less a tip of 3/16 in, 0.2 in of foot and 1 1/2 in of boards: 1.1125 in, and 4 D is 1 1/4 in.
    const finding = found(loaded('us-2010', { timber: { ...timber, sheathingMm: inch(1.5) } }), 'short-thread')
    expect(finding).toMatchObject({
      severity: 'stop',
      measured: { kind: 'length', mm: expect.closeTo(inch(1.1125), 6) as number },
      limit: { kind: 'length', mm: expect.closeTo(inch(1.25), 6) as number },
    })
    expect(found(loaded('us-2010', { timber: { ...timber, sheathingMm: inch(1.3) } }), 'short-thread')).toBeUndefined()
  })
  it('screws outside EN 1995-1-1 stop without an approval: 4 d from the edge of a 38.1 mm rafter', () => {
    // Table 8.6 (from memory): 4 · 7.9375 = 31.75 mm, and there are 19.05.
    const finding = found(loaded('en'), 'screw-approval')
    expect(finding).toMatchObject({
      severity: 'stop',
      measured: { kind: 'length', mm: expect.closeTo(19.05, 2) as number },
      limit: { kind: 'length', mm: expect.closeTo(31.75, 2) as number },
    })
    expect(finding!.sentence).toContain('EN 1995-1-1')
    expect(found(loaded('en'), 'screw-approval', withScrew('limpet-flashed', { approval: 'A-1' }))).toBeUndefined()
    expect(found(loaded('us-2010'), 'screw-approval')).toBeUndefined()
  })
})

describe('battens', () => {
  const battens = (values: Partial<Extract<Face['supports'], { kind: 'purlins' }>>): Face['supports'] => ({
    kind: 'purlins',
    member: 'batten',
    firstMm: 300,
    spacingMm: 345,
    widthMm: 50,
    thicknessMm: 40,
    batten: plainBatten,
    found: [],
    ...values,
  })
  it('fixings need two rafters’ nails on either side: near the end of a batten is a stop, counted', () => {
    const job = (rafterSpacingMm: number) => loaded('us-2010', { supports: battens({ batten: { ...plainBatten, rafterSpacingMm } }) }, {
      mountId: 'windlass-flashed',
      railId: 'hawser-mid',
      clampsId: 'hawser-grip',
    })
    const near = found(job(1800), 'batten-end')
    expect(near?.severity).toBe('stop')
    // By hand: every fixing within 3.6 m of either end of a face of 8534.4 mm.
    const plan = planJob(job(1800), catalogue).faces[0]!
    const count = plan.fixings.rails.flatMap(rail => rail.fixings).filter(({ atMm }) => atMm < 3600 || atMm > 8534.4 - 3600).length
    expect(near!.sentence).toMatch(new RegExp(`^${count} fixings? `))
    expect(found(job(300), 'batten-end')).toBeUndefined()
  })
  it('purlins are not battens: nothing is asked of nails', () => {
    const ids = planJob(loaded('us-2010', { supports: battens({ member: 'purlin', batten: null, thicknessMm: 80 }) }), catalogue).findings.map(one => one.id)
    expect(ids.filter(id => id.startsWith('batten'))).toEqual([])
  })
})

describe('loads that are not known', () => {
  it.each<[string, LoadEdition, Partial<Face>]>([
    ['46 degrees, US 2010', 'us-2010', { pitchDeg: 46 }], ['6 degrees, US 2016', 'us-2016', { pitchDeg: 6 }], ['4 degrees, EN', 'en', { pitchDeg: 4 }],
  ])('%s: wind is a stop of its own, and snow is checked all the same', (_, edition, face) => {
    const plan = planJob(loaded(edition, face), catalogue)
    expect(plan.findings.find(one => one.id.startsWith('wind-not-known'))).toMatchObject({
      severity: 'stop',
      sentence: expect.stringContaining('Dead load and snow are checked here, wind is not') as string,
    })
    expect(plan.faces[0]!.uses.every(use => use!.shares['fixing-down']!.share > 0)).toBe(true)
  })
  it('an engineer’s pressures take the stop away, and ask for his name until it is there', () => {
    const job = loaded('us-2010', { pitchDeg: 46 })
    const rules = job.loads.rules as Extract<Job['loads']['rules'], { edition: 'us-2010' }>
    const typed = (by: string): Job => after(job, { type: 'set-loads', values: { rules: { ...rules, wind: { ...plainTypedWind, by } } } })
    expect(found(typed(''), 'wind-not-known')).toBeUndefined()
    expect(found(typed(''), 'wind-by-nobody')?.severity).toBe('stop')
    expect(found(typed('M. Tamarisk'), 'wind-by-nobody')).toBeUndefined()
  })
  it('2022: unbalanced snow waits for W2 between 1/2 and 7 in 12, and only there', () => {
    const at = (pitchDeg: number) => {
      const job = loaded('us-2022', { pitchDeg })
      const rules = job.loads.rules as Extract<Job['loads']['rules'], { edition: 'us-2022' }>
      return found(after(job, { type: 'set-loads', values: { rules: { ...rules, snow: { ...rules.snow, groundPa: 1500 } } } }), 'snow-not-known')?.severity
    }
    expect([2, 20, 30.2, 31].map(at)).toEqual([undefined, 'stop', 'stop', undefined])
  })
  it('modules over an eave past the wall: a stop whose cure raises the rows to the wall', () => {
    const job = loaded('us-2010')
    const over = after(job, { type: 'set-loads', values: { building: { ...job.loads.building, eaveOverhangMm: 400 } } })
    // 400 mm in plan at 6 in 12 are 447.2 mm up the slope; rows begin at 152.4.
    const finding = found(over, 'over-eave')!
    expect(finding).toMatchObject({
      severity: 'stop',
      measured: { kind: 'length', mm: expect.closeTo(152.4, 3) as number },
      limit: { kind: 'length', mm: expect.closeTo(400 * Math.sqrt(1.25), 1) as number },
    })
    const cured = planJob(after(over, finding.cures[0]!.edit), catalogue)
    expect(cured.faces[0]!.rows.rows[0]!.bottomMm).toBeCloseTo(400 * Math.sqrt(1.25), 1)
    expect(cured.findings.some(one => one.id.startsWith('over-eave'))).toBe(false)
  })
})

describe('an eave out of level past the wall', () => {
  it('is measured from its higher end, where modules are nearest to it', () => {
    const corners = ([[0, 0, 'eave'], [9000, 40, 'rake'], [9000, 7000, 'ridge'], [0, 7000, 'rake']] as const).map(([xMm, yMm, edge]) => ({ xMm, yMm, edge }))
    const job = loaded('us-2010', { outline: { kind: 'corners', corners }, pitchDeg: 20 })
    const over = after(job, { type: 'set-loads', values: { building: { ...job.loads.building, eaveOverhangMm: 400 } } })
    const finding = found(over, 'over-eave')!
    const first = planJob(over, catalogue).faces[0]!.rows.rows[0]!
    expect(finding.measured).toEqual({ kind: 'length', mm: expect.closeTo(first.bottomMm - 40, 6) as number })
    const cured = planJob(after(over, finding.cures[0]!.edit), catalogue).faces[0]!.rows.rows[0]!
    expect(cured.bottomMm).toBeCloseTo(40 + 400 / Math.cos(20 * Math.PI / 180), 3)
  })
})

describe('rafters that can’t be as they are said', () => {
  it('a find that carries others off the face has a wrong number', () => {
    const job = changed({ supports: rafterRow(inch(12), inch(24), 38.1, [{ rafter: 4, centreMm: inch(12) }]) })
    const finding = found(job, 'rafters-carried')!
    expect(finding).toMatchObject({ severity: 'stop', sentence: expect.stringContaining('must have the wrong number') as string })
    expect(finding.cures.map(cure => cure.label)).toContain('Forget rafter 4')
  })
  it('a rail over one rafter can’t stand', () => {
    // One module in the middle of the face, over the only rafter: its overhangs are short, and still nothing keeps it from turning.
    const job = after(loaded('us-2010', { supports: rafterRow(inch(168), inch(400), 38.1, []) }, { rowCount: 1, shiftMm: 0 }), {
      type: 'set-row',
      faceId: 'main',
      row: 0,
      values: { count: 1 },
    })
    expect(found(job, 'cannot-stand')).toMatchObject({ severity: 'stop', sentence: expect.stringContaining('two fixings at least') as string })
  })
  it('600 mm and 24 in are rivals until the far end tells', () => {
    const hits = (places: number[]): Job => changed({ supports: {
      ...rafterRow(300, 600, 38.1, []),
      layout: 'fitted',
      hits: places.map((xMm, i) => ({ id: `h${i}`, xMm, yMm: 600, state: 'pilot-hit' as const, use: 'rafter' as const })),
    } })
    const near = found(hits([300, 900]), 'fit-rival')!
    expect(near.sentence).toMatch(/would also go with rafters every/)
    expect(found(hits([300, 900, 300 + 12 * 600]), 'fit-rival')?.sentence ?? '').not.toContain(`2' 0"`)
  })
})
