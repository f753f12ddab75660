import { describe, expect, it } from 'vitest'
import { proved, provedStrings, provedUnits, prover, saying } from '../../tests/fixtures/proof'
import { brackwater, grounded, putting, setting, strung } from '../../tests/fixtures/ground'
import { catalogue } from '../../tests/fixtures/jobs'
import { notFinite } from '../../tests/fixtures/not-finite'
import { optimised, plain, withUnits, wiredBy } from '../../tests/fixtures/wiring'
import { planJob } from '../plan'
import { applyEdit, type Found } from '../job'
import { type Chain, chainsOf, circuitsOf, gaps, handOverState, holdingEdits, isProved, openProof, papersOf, remindersOf, serialPlaces, stepOf, storageAlone, thenAndNow, tightenedOf, wantedPictures } from './index'

const chainNamed = (chains: Chain[], name: string): Chain => chains.find(one => one.name === name)!
const states = ({ steps }: Chain) => steps.map(one => `${one.step} ${one.state}`)

describe('the order of tests', () => {
  it('nothing is offered before what comes first is logged; the far end stays open until then', () => {
    const one = prover(strung())
    const first = () => chainsOf(one.ask)
    expect(first().flatMap(chain => chain.steps.filter(step => step.state === 'next').map(step => `${chain.name}: ${step.step}`)).filter(words => !/Disconnect|Inverter|panel/i.test(words))).toEqual([`${one.job.faces[0]!.name}: continuity`])
    expect(chainNamed(first(), 'String 1').steps[0]!.why).toMatch(/After earth continuity/)
    one.next(first()[0]!)
    expect(states(chainNamed(first(), 'String 1'))).toEqual(['polarity next', 'voc waits', 'isc waits', 'insulation waits'])
    expect(chainNamed(first(), 'String 1').steps[0]!.why).toMatch(/far end is open/)
    for (const step of ['polarity', 'voc', 'isc', 'insulation']) {
      expect(chainNamed(first(), 'String 1').mayJoin, step).toBe(false)
      one.next(chainNamed(first(), 'String 1'))
    }
    const string = chainNamed(first(), 'String 1')
    expect([isProved(string), string.mayJoin]).toEqual([true, true])
    expect(chainNamed(first(), 'The whole of it').steps[0]!.why).toMatch(/String 1 is tested and joined/)
  })
  it('what is wrong holds up what comes after it, until it is read anew', () => {
    const one = prover(strung())
    one.next(chainsOf(one.ask)[0]!)
    const string = () => chainNamed(chainsOf(one.ask), 'String 1')
    one.next(string(), () => ({ step: 'polarity', right: false }))
    expect(states(string())).toEqual(['polarity failed', 'voc waits', 'isc waits', 'insulation waits'])
    one.say('test', { subject: string().subject, found: { step: 'polarity', right: true }, instrument: '', judged: null })
    expect(states(string()).slice(0, 2)).toEqual(['polarity done', 'voc next'])
    expect(stepOf(string(), 'polarity')!.earlier).toHaveLength(1)
  })
  it('joined before it was tested: said, and nothing more is offered until it is opened with no current', () => {
    const one = prover(strung())
    one.next(chainsOf(one.ask)[0]!)
    const string = () => chainNamed(chainsOf(one.ask), 'String 1')
    one.join(string().subject)
    expect(string().early).toBe(true)
    expect(string().steps[0]).toMatchObject({ state: 'waits', why: expect.stringMatching(/stop what flows/) })
    one.say('ready', { subject: string().subject, what: 'no-load' })
    one.say('end', { subject: string().subject, state: 'opened', tag: '', until: null })
    expect(string()).toMatchObject({ early: false, steps: [{ state: 'next', why: expect.stringMatching(/its far end is open/) }, {}, {}, {}] })
    // What was ticked before it was joined holds no more once it was.
    const before = prover(strung())
    before.next(chainsOf(before.ask)[0]!)
    before.say('ready', { subject: string().subject, what: 'far-end-open' })
    expect(chainNamed(chainsOf(before.ask), 'String 1').steps[0]!.why).toBe('')
    before.say('end', { subject: string().subject, state: 'opened', tag: '', until: null })
    expect(chainNamed(chainsOf(before.ask), 'String 1').steps[0]!.why).toMatch(/its far end is open/)
  })
  it('of strings that share an input all show their polarity before one is set beside another', () => {
    const one = prover(wiredBy(plain(), optimised))
    const shared = circuitsOf(one.ask).filter(({ circuit }) => circuit.kind === 'string' && circuit.together > 1)
    expect(shared.length).toBeGreaterThan(1)
    one.next(chainsOf(one.ask)[0]!)
    const named = (i: number) => chainNamed(chainsOf(one.ask), shared[i]!.name)
    one.next(named(0))
    expect(stepOf(named(0), 'combiner')).toMatchObject({ state: 'waits', why: expect.stringMatching(/polarity of String/) })
    one.next(named(1))
    expect(stepOf(named(0), 'combiner')!.state).toBe('next')
  })
  it('units: optimisers are counted while they stand by; told to begin they tell nothing; no short-circuit current', () => {
    const one = prover(wiredBy(plain(), optimised))
    one.next(chainsOf(one.ask)[0]!)
    const string = () => chainsOf(one.ask).find(chain => chain.subject.of === 'circuit')!
    expect(string().steps.map(step => step.step)).toEqual(['polarity', 'combiner', 'voc', 'insulation'])
    expect(string().leftOut[0]).toMatch(/No short-circuit current/)
    expect(stepOf(string(), 'insulation')!.needs).toContain('electronics-off')
    for (const { name } of circuitsOf(one.ask)) one.next(chainNamed(chainsOf(one.ask), name))
    one.next(string())
    const count = circuitsOf(one.ask)[0]!.tag.count
    one.next(string(), () => ({ step: 'voc', volts: count - 1, light: one.light, units: 'standby' }))
    expect(stepOf(string(), 'voc')!.verdict!.sentence).toMatch(count < 11 ? /1 unit short/ : /unit/)
    one.say('test', { subject: string().subject, instrument: '', judged: null, found: { step: 'voc', volts: 380, light: one.light, units: 'enabled' } })
    expect(stepOf(string(), 'voc')).toMatchObject({ state: 'looked', verdict: { sentence: expect.stringMatching(/tells nothing/) } })
  })
  it('shutdown units: standing by they are counted, told to begin the string reads as any', () => {
    const one = prover(wiredBy(plain(), withUnits()))
    one.next(chainsOf(one.ask)[0]!)
    const string = () => chainsOf(one.ask).find(chain => chain.subject.of === 'circuit')!
    one.next(string())
    const { plate, tag } = circuitsOf(one.ask)[0]!
    one.next(string(), () => ({ step: 'voc', volts: 0.5 * plate!.vocV * tag.count, light: one.light, units: 'enabled' }))
    expect(stepOf(string(), 'voc')!.state).toBe('failed')
  })
  it('branches of units: polarity and insulation dead, electronics off, volts live', () => {
    const one = prover(grounded('main-panel'))
    one.next(chainsOf(one.ask)[0]!)
    const branch = () => chainsOf(one.ask).find(chain => chain.subject.of === 'circuit')!
    expect(states(branch())).toEqual(['mains-polarity next', 'insulation waits', 'mains-volts waits'])
    one.next(branch())
    one.next(branch())
    expect(branch().mayJoin).toBe(true)
    expect(stepOf(branch(), 'mains-volts')!.why).toMatch(/After it is joined/)
    one.join(branch().subject)
    one.next(branch())
    expect(isProved(branch())).toBe(true)
  })
  it('in Europe loops, residual devices and, of three phases, their order; in the US the inverter’s guards', () => {
    const steps = (job: ReturnType<typeof plain>) => chainsOf(prover(job).ask).filter(one => one.subject.of === 'thing').flatMap(one => one.steps.map(step => step.step))
    expect(steps(brackwater())).toEqual(expect.arrayContaining(['loop']))
    const three = setting(brackwater(), { supply: { ...brackwater().ground!.supply, phases: 3 } })
    expect(steps(three)).not.toContain('arc-fault')
    expect(steps(strung())).toEqual(expect.arrayContaining(['ground-fault', 'arc-fault', 'switch']))
  })
  it('a reading is judged alike before and after it is said, also beside the string that was read last', () => {
    const one = prover(wiredBy(plain(), { system: 'strings', unitId: null, trunkId: null, inverterId: 'quillon-two' }))
    one.next(chainsOf(one.ask)[0]!)
    const names = circuitsOf(one.ask).map(own => own.name)
    expect(names.length).toBeGreaterThan(1)
    while (one.next(chainNamed(chainsOf(one.ask), names[0]!)));
    const second = () => chainNamed(chainsOf(one.ask), names[1]!)
    while (stepOf(second(), 'insulation')!.state !== 'next') one.next(second())
    const found = { step: 'insulation' as const, method: 'joined' as const, testV: 1000, minus: { mohm: 5, atLeast: false }, plus: null }
    const early = second().judge({ id: 'new', by: '', at: '2026-05-04T12:00:00Z', kind: 'test', subject: second().subject, found, instrument: '', judged: null })
    one.next(second(), () => found)
    expect(early.sentence).toMatch(/fell from 199 MΩ/)
    expect(stepOf(second(), 'insulation')!.verdict!.sentence).toBe(early.sentence)
  })
  it('a module that is exchanged makes its string’s tests a thing of the past; a number put right does not', () => {
    const one = proved(strung())
    const string = () => chainNamed(chainsOf(one.ask), 'String 1')
    const [place] = serialPlaces(one.ask).filter(at => at.what === 'module' && at.circuit === 1)
    const { faceId, xMm, yMm, partId, found } = place!
    one.say('serial', { faceId, xMm, yMm, what: 'module', partId, via: 'typed', serial: 'SKG26-PUT-RIGHT' })
    expect(isProved(string())).toBe(true)
    one.say('serial-off', { faceId, xMm, yMm, what: 'module', serial: found!.serial })
    expect(stepOf(string(), 'voc')).toMatchObject({ entry: null, earlier: [{}] })
    expect(gaps(serialPlaces(one.ask))).toHaveLength(1)
  })
})

describe('what is open', () => {
  it('a job on units and one on strings can both be proved to the end, and then nothing is open but the roof', () => {
    for (const job of [provedUnits(), provedStrings()]) {
      const open = openProof(prover(job).ask)
      expect(open.filter(one => one.group !== 'roof').map(one => one.words)).toEqual([])
      expect(notFinite(planJob(job, catalogue).findings)).toEqual([])
    }
  })
  it('each thing left out is open, by its group', () => {
    const groups = (job: ReturnType<typeof plain>) => new Set(openProof(prover(job).ask).map(one => one.group))
    const drop = (kind: string) => ({ ...provedUnits(), proof: provedUnits().proof.filter(one => one.kind !== kind) })
    for (const [kind, group] of [['serial', 'serials'], ['goods', 'serials'], ['test', 'tests'], ['report', 'commissioning'], ['password', 'commissioning'], ['torque', 'torques'], ['photograph', 'photographs'], ['paper', 'papers'], ['end', 'tests']] as const) expect([kind, groups(drop(kind)).has(group)]).toEqual([kind, true])
    expect(openProof(prover({ ...provedUnits(), ground: null }).ask).map(one => one.id)).toContain('tests no-grid')
    const [read] = provedUnits().proof.filter(one => one.kind === 'serial')
    const other = { ...read!, id: 'theirs', by: 'Tom', serial: 'SKG26-THEIRS' } as typeof read & object
    expect(openProof(prover({ ...provedUnits(), proof: [...provedUnits().proof, other] }).ask).map(one => one.words).join()).toMatch(/Two people read one place differently: .* and SKG26-THEIRS/)
    const item = saying(provedUnits(), 'item', { words: 'Paint the conduit', who: 'Ines', due: '2026-06-01' })
    expect(groups(item).has('items')).toBe(true)
    expect(groups(saying(item, 'item-done', { itemId: item.proof.at(-1)!.id })).has('items')).toBe(false)
  })
  it('terminals: calibration that lapsed, no mark, tightened twice without the maker’s word, another torque', () => {
    const job = putting(grounded('main-panel'), 'disconnect', { torqueNm: 4 })
    const base = { thingId: 'disconnect', terminal: 'L1', torqueNm: 4, tool: 'No. 7', calibratedTo: '2027-01-01', marked: true, againBy: '' }
    const problems = (...said: Partial<typeof base>[]) => tightenedOf({ job: said.reduce<typeof job>((now, one) => saying(now, 'torque', { ...base, ...one }), job) }).find(one => one.thing.id === 'disconnect')!.problems
    expect(problems({})).toEqual([])
    expect(problems({ calibratedTo: '2026-01-01' })[0]).toMatch(/calibrated until/)
    expect(problems({ marked: false })[0]).toMatch(/witness mark/)
    expect(problems({}, {})[0]).toMatch(/tightened twice/)
    expect(problems({}, { againBy: 'Maker’s sheet 4' })).toEqual([])
    expect(problems({ torqueNm: 6 })[0]).toMatch(/asks for 35.4 lb in \(4 N m\)/)
  })
  it('strings that wait capped while storage runs alone: tested, tagged, with a day', () => {
    const one = prover(strung())
    one.say('stage', { storageAlone: true })
    one.next(chainsOf(one.ask)[0]!)
    for (const name of circuitsOf(one.ask).map(own => own.name)) {
      while (one.next(chainNamed(chainsOf(one.ask), name)));
      one.say('end', { subject: chainNamed(chainsOf(one.ask), name).subject, state: 'capped', tag: `${name}, tested, do not join`, until: '2026-09-01' })
    }
    expect(storageAlone(one.ask)).toBe(true)
    expect(openProof(one.ask).filter(open => open.id.includes('circuit'))).toEqual([])
    expect(chainNamed(chainsOf(one.ask), 'The whole of it').steps.map(step => step.step)).toEqual(['mains-loss'])
    expect(remindersOf(one.ask)[0]).toMatchObject({ due: '2026-09-01', words: expect.stringMatching(/waits capped/) })
    one.say('stage', { storageAlone: false })
    expect(openProof(one.ask).filter(open => open.id.includes('capped')).length).toBeGreaterThan(0)
  })
  it('papers wait for one another, and days are told in their order', () => {
    const one = prover(grounded('main-panel'))
    const state = () => Object.fromEntries(papersOf(one.ask).map(paper => [paper.kind, paper.state]))
    expect(state()).toMatchObject({ permit: 'open', inspection: 'waits', energise: 'waits' })
    one.papers(2)
    expect(state()).toMatchObject({ 'permit': 'granted', 'inspection': 'open', 'grid-consent': 'granted' })
    one.say('paper', { paper: 'inspection', state: 'booked', on: '2026-05-06', due: '2026-05-11', who: 'Perrin', number: '', photoId: null })
    one.say('item', { words: 'Paint', who: 'Ines', due: '2026-05-09' })
    expect(remindersOf(one.ask).map(reminder => reminder.due)).toEqual(['2026-05-09', '2026-05-11'])
    one.say('paper', { paper: 'meter', state: 'not-needed', on: '2026-05-06', due: null, who: '', number: '', photoId: null })
    expect(papersOf(one.ask).find(paper => paper.kind === 'energise')!.waitsFor).toEqual(['utility'])
  })
  it('photographs by rule set', () => {
    const ids = (job: ReturnType<typeof plain>) => wantedPictures(prover(job).ask).map(one => one.id)
    expect(ids(grounded('main-panel'))).toContain('shutdown-label')
    expect(ids(brackwater())).not.toContain('shutdown-label')
    expect(ids(brackwater())).toContain('schedule')
    expect(ids(strung())).toContain('tester')
  })
})

describe('later years', () => {
  const handed = saying(provedStrings(), 'handed-over', { to: 'Mr Sallow', on: '2026-05-20', calls: '' })
  it('is opened again, and what is read now is set beside what was read then, in the same light', () => {
    expect(handOverState({ job: handed }).state).toBe('handed-over')
    const one = prover(saying(handed, 'visit', { why: 'fault', words: 'Half the yield since autumn' }))
    expect(handOverState(one.ask).state).toBe('reopened')
    const string = circuitsOf(one.ask)[0]!
    const then = provedStrings().proof.find(entry => entry.kind === 'test' && entry.found.step === 'voc')!
    const volts = then.kind === 'test' && then.found.step === 'voc' ? then.found.volts : 0
    const read = (found: Found) => one.say('test', { subject: { of: 'circuit', tag: string.tag }, found, instrument: '', judged: null })
    read({ step: 'voc', volts: volts * (string.tag.count - 1) / string.tag.count, light: one.light, units: 'none' })
    read({ step: 'insulation', method: 'joined', testV: 500, minus: { mohm: 4, atLeast: false }, plus: null })
    const compared = thenAndNow(one.ask)
    expect(compared).toHaveLength(2)
    expect(compared[0]!.change).toBeCloseTo(-1 / string.tag.count, 2)
    expect(compared[0]!.sentence).toMatch(/1\.0 modules/)
    expect(compared[1]!.sentence).toMatch(/moisture/)
  })
  it('for an extension every module is held where it stands: planned again, none has moved', () => {
    const one = prover(provedUnits())
    const edits = holdingEdits(one.ask)
    expect(edits.length).toBe(3)
    const after = planJob(edits.reduce(applyEdit, one.job), catalogue)
    expect(after.faces[0]!.rows.rows.map(row => row.moduleLeftsMm)).toEqual(planJob(one.job, catalogue).faces[0]!.rows.rows.map(row => row.moduleLeftsMm))
    expect(holdingEdits({ faces: after.faces.map(plan => ({ face: edits.reduce(applyEdit, one.job).faces[0]!, plan })) })).toEqual([])
  })
})
