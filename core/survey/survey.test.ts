import { describe, expect, it } from 'vitest'
import { after, catalogue, changed, inch, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { applyEdit, type Face, type Hit, type HitState, type Job, type Outline, plainSite, rafterRow, type Site } from '../job'
import { planJob } from '../plan'

const ids = (job: Job) => planJob(job, catalogue).findings.map(finding => finding.id)
const find = (job: Job, id: string) => planJob(job, catalogue).findings.find(finding => finding.id.startsWith(id))!
const sited = (site: Partial<Site>): Job => ({ ...threeRowsOfSix(), site: { ...plainSite, ...site } })

describe('the site', () => {
  it.each(['asbestos', 'protected-building', 'nesting-birds', 'bats'] as const)('%s stops the job until somebody has cleared it', (kind) => {
    expect(find(sited({ stops: [{ kind, cleared: '' }] }), `site-stop:${kind}`).severity).toBe('stop')
    expect(ids(sited({ stops: [{ kind, cleared: 'letter of 2 May' }] }))).not.toContain(`site-stop:${kind}`)
  })
  it('a covering that goes before the modules asks for a decision, whose cures decide', () => {
    for (const site of [{ coveringYearsLeft: 9 }, { coveringState: 'brittle' as const }]) {
      const job = sited(site)
      const { cures } = find(job, 'site-decision')
      expect(cures).toHaveLength(3)
      for (const cure of cures) expect(ids(applyEdit(job, cure.edit))).not.toContain('site-decision')
    }
    expect(ids(sited({ coveringYearsLeft: 30, coveringState: 'sound' }))).not.toContain('site-decision')
    expect(ids(sited({ decision: 're-roof-first' }))).toContain('site-wait')
  })
})

const taped = (diagonals: Extract<Outline, { kind: 'taped' }>['diagonals'], eave = 9000): Job => changed({
  outline: {
    kind: 'taped',
    form: 'quadrilateral',
    tapeSdMm: 3,
    diagonals,
    sides: [{ mm: eave, edge: 'eave' }, { mm: 5000, edge: 'rake' }, { mm: 9000, edge: 'ridge' }, { mm: 5000, edge: 'rake' }],
  },
})
const right = Math.hypot(9000, 5000)

describe('taped lengths', () => {
  it('too few leave the face loose and say so; as many as needed check nothing; one more checks', () => {
    expect(find(taped([]), 'tape-loose').sentence).toContain('1 more length is needed')
    expect(find(taped([{ from: 0, to: 2, mm: right }]), 'tape-unchecked').severity).toBe('note')
    expect(ids(taped([{ from: 0, to: 2, mm: right }, { from: 1, to: 3, mm: right }])).filter(id => id.startsWith('tape'))).toEqual([])
  })
  it('one slip among six shows, but not which; three readings of one length name it', () => {
    const slip = [{ from: 0, to: 2, mm: right }, { from: 1, to: 3, mm: right + 80 }]
    expect(find(taped(slip), 'tape-wrong').sentence).toContain('it can’t be told which of')
    const again = [...slip, { from: 1, to: 3, mm: right }, { from: 1, to: 3, mm: right + 2 }]
    expect(find(taped(again), 'tape-wrong').sentence).toContain('BD does not agree')
  })
  it('that no face has are a stop', () => expect(find(taped([{ from: 0, to: 2, mm: right }], 30_000), 'tape-impossible').severity).toBe('stop'))
})

describe('obstructions and reserved parts', () => {
  const flue = { id: 'flue', kind: 'vent' as const, round: true, xMm: 90_00, yMm: 3000, widthMm: 100, heightMm: 100, clearanceMm: 100 }
  it('off the face are told, and taken off by the cure', () => {
    const job = changed({ obstructions: [flue] })
    const finding = find(job, 'obstruction-outside')
    expect(finding.sentence).toContain('lies outside the face')
    expect(ids(applyEdit(job, finding.cures[0]!.edit))).not.toContain(finding.id)
    const reserved = changed({ reserved: [{ name: 'a tank', fromXMm: 20_000, toXMm: 21_000, fromYMm: 0, toYMm: 900 }] })
    expect(find(reserved, 'reserved-outside').cures).toHaveLength(1)
  })
  it('on its edge are not', () => expect(ids(changed({ obstructions: [{ ...flue, xMm: inch(336) - 20 }] })).some(id => id.startsWith('obstruction-outside'))).toBe(false))
})

const hits = (readings: [number, HitState?][]): Hit[] => readings.map(([at, state = 'seen'], i) => ({ id: `h${i}`, xMm: inch(at), yMm: 900, state, use: 'rafter' }))
const logged = (log: Hit[], layout: 'nominal' | 'fitted' | 'irregular' = 'nominal', more: Partial<Face> = {}) => changed({
  supports: { ...rafterRow(inch(12), inch(24), inch(1.5)), layout, hits: log },
  ...more,
})
const eight: [number, HitState?][] = [[9], [33], [57], [105], [129], [201], [249], [273]]

describe('the hit log', () => {
  it('that agrees on another row offers the fit, which moves every rafter to it', () => {
    const job = logged(hits(eight))
    const finding = find(job, 'fit-waits')
    expect(finding.sentence).toContain('8 hits agree on rafters every 2\' 0"')
    expect(finding.sentence).toContain('up to 3" from there')
    const fitted = planJob(applyEdit(job, finding.cures[0]!.edit), catalogue).faces[0]!.supports.rafters
    expect(fitted[0]!.centreMm / 25.4).toBeCloseTo(9, 1)
  })
  it('with a hit on no rafter names it with how far off, and it can be set aside', () => {
    const job = logged(hits([...eight, [165, 'knock']]), 'fitted')
    const finding = find(job, 'hit-wrong')
    expect(finding.sentence).toContain('The knock at 13\' 9"')
    expect(ids(applyEdit(job, finding.cures.at(-1)!.edit)).some(id => id.startsWith('hit-wrong'))).toBe(false)
  })
  it('with a second timber beside one offers a doubled rafter, twice as wide', () => {
    const job = logged(hits([...eight, [57 + 1.5]]), 'fitted')
    const finding = find(job, 'hit-wrong')
    expect(finding.cures.map(cure => cure.label)).toContain('It is a doubled rafter')
    const rafters = planJob(applyEdit(job, finding.cures.find(cure => cure.label.includes('doubled'))!.edit), catalogue).faces[0]!.supports.rafters
    expect(rafters.filter(rafter => rafter.widthMm > inch(2))).toHaveLength(1)
  })
  it('too short for a fit falls back to the typed spacing and says so', () => {
    const finding = find(logged(hits([[9]]), 'fitted'), 'hits-few')
    expect(finding.cures[0]!.edit).toMatchObject({ type: 'set-rafters', values: { layout: 'nominal' } })
  })
  it('makes fixings proved or guessed, and the finding counts those that would miss', () => {
    expect(find(threeRowsOfSix(), 'rafters-guessed').sentence).toMatch(/would miss the timber, and about [\d.]+ more would be in it but too near its edge/)
    const proved = logged(hits(Array.from({ length: 14 }, (_, i): [number] => [12 + 24 * i])), 'fitted')
    expect(ids(proved).some(id => id.startsWith('rafters-guessed'))).toBe(false)
  })
})

describe('timber and mounts', () => {
  it('too narrow for the screws’ edge distances is a stop with mounts that do fit', () => {
    const narrow = changed({ supports: rafterRow(inch(12), inch(24), 21) })
    const finding = find(narrow, 'strip-empty')
    expect(finding.sentence).toContain('has no sound strip')
    for (const cure of finding.cures) expect(ids(applyEdit(narrow, cure.edit)).some(id => id.startsWith('strip-empty'))).toBe(false)
  })
  it('a mount that is not made for the support is told with those that are', () => {
    const seams = changed({ supports: { kind: 'seams', firstMm: 100, spacingMm: 400 }, covering: { kind: 'standing-seam', coverWidthMm: 400, profile: 'double-lock', firstColumnMm: 100 } })
    const finding = find(seams, 'parts:main:mount-support')
    expect(finding.cures.map(cure => cure.label)).toContain('Use Cleat seam clamp')
  })
  it('rails between purlins are a stop; rows raised on to them are the cure where that works', () => {
    const job = changed({
      supports: { kind: 'purlins', member: 'purlin', firstMm: 100, spacingMm: 575, widthMm: 75, thicknessMm: 100, batten: null, found: [] },
      covering: { kind: 'screwed-sheet', coverWidthMm: 900, ribMm: 225, firstColumnMm: 0 },
    }, { mountId: 'cleat-sheet-foot', moduleId: 'skerry-390', rowGapMm: 33, rowCount: 1 })
    const lifted = after(job, { type: 'set-row', faceId: 'main', row: 0, values: { gapBelowMm: 390 } })
    const finding = find(lifted, 'off-support')
    expect(finding?.sentence ?? find(job, 'off-support').sentence).toContain('between purlins or battens')
    for (const cure of (finding ?? find(job, 'off-support')).cures) expect(ids(applyEdit(finding ? lifted : job, cure.edit)).some(id => id.startsWith('off-support'))).toBe(false)
  })
})
