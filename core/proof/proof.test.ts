import { describe, expect, it } from 'vitest'
import { proved, provedStrings, provedUnits, prover, saying } from '../../tests/fixtures/proof'
import { brackwater, grounded, putting, setting, strung } from '../../tests/fixtures/ground'
import { catalogue } from '../../tests/fixtures/jobs'
import { notFinite } from '../../tests/fixtures/not-finite'
import { optimised, plain, withUnits, wiredBy } from '../../tests/fixtures/wiring'
import { seeded } from '../../tests/fixtures/random'
import { planJob } from '../plan'
import { applyEdit, type Found, type FoundOf, type SeenUnit } from '../job'
import {
  causesOf, type Chain, expectedIscA, expectedVocV, chainsOf, circuitsOf, endsByCompass, gaps, gatewayNow, handOverState, holdingEdits, insulationClass, isProved, judgeInsulation, judgeLoop, judgeMainsLoss, judgeMainsVolts, judgeRcd, judgeShutdown,
  judgedOf, judgedThen, openProof, papersOf, portalRows, readInstrumentFile, readLabel, readResistance, readTorque, remindersOf, serialAt, serialPlaces, stepOf, storageAlone, thenAndNow, tightenedOf, torqueWords, wantedPictures,
} from './index'

const chainNamed = (chains: Chain[], name: string): Chain => chains.find(one => one.name === name)!
const states = ({ steps }: Chain) => steps.map(one => `${one.step} ${one.state}`)

describe('insulation (IEC 62446-1, table 3, from memory)', () => {
  it.each([[90, 250, 0.5], [95.9, 250, 0.5], [96, 500, 1], [400, 500, 1], [401, 1000, 1], [800, 1000, 1], [801, 1500, 1]])('an array of %d V is tested with %d V and holds %d MΩ', (vocV, testV, leastMohm) => expect(insulationClass(vocV)).toMatchObject({ testV, leastMohm }))
  it.each([['> 199 megohm', 199, true], ['>199MΩ', 199, true], ['12,5', 12.5, false], ['850 kΩ', 0.85, false], ['1.2 GΩ', 1200, false], ['OL 550 MΩ', 550, true], ['over 200', 200, true]])('reads “%s”', (text, mohm, atLeast) => {
    const read = readResistance(text)
    expect(read.ok && read.value.mohm).toBeCloseTo(mohm, 9)
    expect(read.ok && read.value.atLeast).toBe(atLeast)
  })
  it.each(['', 'OL', 'wet', '12 volt'])('says what is missing of “%s”', text => expect(readResistance(text).ok).toBe(false))
  const limit = { systemV: 300, testV: 500, leastMohm: 1 }
  const found = (values: Partial<FoundOf<'insulation'>>): FoundOf<'insulation'> => ({ step: 'insulation', method: 'joined', testV: 500, minus: { mohm: 30, atLeast: false }, plus: null, ...values })
  const judged = (values: Partial<FoundOf<'insulation'>>, before: { name: string, mohm: number } | null = null) => judgeInsulation(found(values), { limit, before })
  it('a bound over the limit passes, one under it does not tell, a figure under it is wrong', () => {
    expect(judged({ minus: { mohm: 199, atLeast: true } })).toMatchObject({ state: 'pass', sentence: expect.stringMatching(/lower bound/) })
    expect(judged({ minus: { mohm: 0.5, atLeast: true } }).state).toBe('caution')
    expect(judged({ minus: { mohm: 0.5, atLeast: false } }).state).toBe('fail')
  })
  it('both methods; the worse of both ends counts; the test voltage of its class', () => {
    expect(judged({ method: 'each', plus: { mohm: 0.4, atLeast: false } }).state).toBe('fail')
    expect(judged({ method: 'each' }).sentence).toMatch(/from \+ to earth is missing/)
    expect(judged({ testV: 250 })).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/asks for 500 V/) })
  })
  it('what passes and fell since the string before is named', () => {
    expect(judged({ minus: { mohm: 6, atLeast: false } }, { name: 'String 1', mohm: 199 })).toMatchObject({ state: 'caution', sentence: expect.stringMatching(/fell from 199 MΩ on String 1/) })
    expect(judged({ minus: { mohm: 6, atLeast: false } }, { name: 'String 1', mohm: 8 }).state).toBe('pass')
    expect(judged({ minus: { mohm: 60, atLeast: false } }, { name: 'String 1', mohm: 199 }).state).toBe('pass')
  })
})

describe('the side of alternating current', () => {
  it('residual current devices, 300 and 40 ms (IEC 61008-1, from memory)', () => {
    const rcd = (ms: number, fiveMs: number) => judgeRcd({ step: 'rcd', ratedMa: 30, ms, fiveMs })
    expect([rcd(299, 39), rcd(301, 39), rcd(299, 41)].map(one => one.state)).toEqual(['pass', 'fail', 'fail'])
    expect(rcd(310, 60).sentence).toMatch(/310 ms at its rated current.*60 ms at five times/)
  })
  it('loops: 16 A of type C at 230 V, 0.8 × 230 / 160 = 1.15 Ω; by an electrode 200 Ω', () => {
    const loop = (ohm: number, deviceA: number | null = 16, earthing = 'tn-s') => judgeLoop({ step: 'loop', ohm }, { deviceA }, earthing, 230).state
    expect([loop(1.14), loop(1.16), loop(0.2, null), loop(150, null, 'tt'), loop(220, null, 'tt')]).toEqual(['pass', 'fail', 'caution', 'pass', 'fail'])
  })
  it('volts, loss of mains, what the button leaves', () => {
    const volts = (v: number, us = true) => judgeMainsVolts({ step: 'mains-volts', volts: v }, us ? { us, service: 'split-240' } : { us, service: 'single-230' }).state
    expect([volts(240), volts(251), volts(253), volts(120), volts(0), volts(253, false), volts(254, false)]).toEqual(['pass', 'pass', 'fail', 'fail', 'fail', 'pass', 'fail'])
    expect([[true, 2], [true, 2.1], [false, 1]].map(([stops, seconds]) => judgeMainsLoss({ step: 'mains-loss', stops: stops as boolean, seconds: seconds as number }).state)).toEqual(['pass', 'fail', 'fail'])
    const shut = (v: number, seconds: number, us = true) => judgeShutdown({ step: 'shutdown', volts: v, seconds }, { us }).state
    expect([shut(30, 30), shut(31, 5), shut(10, 31), shut(60, 5, false)]).toEqual(['pass', 'fail', 'fail', 'pass'])
  })
})

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

describe('serial numbers', () => {
  const one = prover(grounded('main-panel'))
  const places = serialPlaces(one.ask)
  it('every module and every unit has its place, row by row from the eave', () => {
    expect(places.filter(at => at.what === 'module')).toHaveLength(18)
    expect(places.filter(at => at.what === 'unit')).toHaveLength(one.ask.wiring.circuits.reduce((sum, circuit) => sum + (circuit.kind === 'branch' ? circuit.units.length : 0), 0))
    expect(places.every(at => at.circuit !== null)).toBe(true)
  })
  it('the compass: seen from outside, the left end of a face that looks south is west', () => {
    expect(endsByCompass({ place: { azimuthDeg: 180 } as never })).toEqual({ left: 'west', right: 'east', faces: 'south' })
    expect(endsByCompass({ place: { azimuthDeg: 270 } as never }).left).toBe('north')
  })
  it.each([['skg26-0041', 'SKG26-0041', null], ['Skerry 390;S/N:SKG26-0041', 'SKG26-0041', 'skerry-390'], ['SN=AB12345678', 'AB12345678', null]])('a label that reads “%s”', (text, serial, partId) => {
    expect(readLabel(text, catalogue.modules)).toEqual({ ok: true, value: { serial, partId } })
  })
  it.each(['', '12', 'Skerry 390', 'ab*cd'])('refuses “%s” with a sentence', text => expect(readLabel(text, catalogue.modules)).toMatchObject({ ok: false }))
  it('refuses a duplicate, another type, what was taken off here, and second-hand modules nobody has measured', () => {
    const [a, b] = places.filter(at => at.what === 'module')
    const own = a!.partId
    const other = catalogue.modules.find(module => module.id !== own)!.id
    const placed = saying(one.job, 'serial', { faceId: a!.faceId, xMm: a!.xMm, yMm: a!.yMm, what: 'module', partId: own, via: 'typed', serial: 'SK-1234' })
    const ask = { ...one.ask, job: placed }
    const now = serialPlaces(ask)
    const at = now.find(place => place.id === b!.id)!
    const tried = (label: { serial: string, partId: string | null }, job = placed) => {
      const outcome = serialAt({ ...one.ask, job }, now, at, label)
      return outcome.ok ? outcome.value.serial : outcome.problem
    }
    expect(tried({ serial: 'SK-1234', partId: null })).toMatch(/stands already at .*module 1, row 1 from the eave, 1 from the left/)
    expect(tried({ serial: 'SK-9999', partId: other })).toMatch(/This label says/)
    expect(tried({ serial: 'SK-9999', partId: own })).toBe('SK-9999')
    const off = saying(placed, 'serial-off', { faceId: a!.faceId, xMm: a!.xMm, yMm: a!.yMm, what: 'module', serial: 'SK-5555' })
    expect(tried({ serial: 'SK-5555', partId: null }, off)).toMatch(/taken off this roof before/)
    const used = saying(placed, 'goods', { partId: own, ordered: 18, counted: 18, glass: true, frame: true, label: true, secondHand: true, words: '' })
    expect(tried({ serial: 'SK-7777', partId: null }, used)).toMatch(/second-hand/)
    const { plate } = catalogue.modules.find(module => module.id === own)!
    const bench = (share: number) => saying(used, 'bench', { serial: 'SK-7777', partId: own, volts: share * expectedVocV(plate!, one.light), amps: expectedIscA(plate!, one.light), light: one.light })
    expect(tried({ serial: 'SK-7777', partId: null }, bench(1))).toBe('SK-7777')
    expect(tried({ serial: 'SK-7777', partId: null }, bench(0.67))).toMatch(/not sound: .*bypass diode/)
  })
  it('a portal’s rows: one a module, with the unit that takes it, by random places none twice', () => {
    const rows = portalRows(proved(grounded('main-panel')).ask)
    expect(rows).toHaveLength(18)
    expect(new Set(rows.map(row => row.moduleSerial)).size).toBe(18)
    expect(new Set(rows.map(row => row.unitSerial)).size).toBe(18)
    expect(rows.every(row => row.moduleSerial && row.unitSerial && row.circuit)).toBe(true)
  })
})

describe('the gateway', () => {
  const one = proved(grounded('main-panel'))
  const { gateway, report } = gatewayNow(one.ask)
  const units = serialPlaces(one.ask).filter(at => at.what === 'unit')
  const branches = [...new Set(units.map(at => at.circuit))]
  const along = (number: number | null) => circuitsOf(one.ask).find(own => own.circuit.number === number)!.members.map(member => units.find(at => at.id === member)!.found!.serial)
  const told = (change: (units: SeenUnit[]) => SeenUnit[], values: Partial<typeof gateway & object> = {}) => causesOf(one.ask, { ...gateway!, ...values }, { ...report!, units: change(report!.units) }).map(cause => cause.kind)
  const without = (...serials: string[]) => (seen: SeenUnit[]) => seen.filter(unit => !serials.includes(unit.serial))
  it('says nothing where all report and make alike', () => expect(told(seen => seen)).toEqual([]))
  it('one unit, the far end of a branch, a whole branch, all: each has its own cause', () => {
    const own = along(branches[0]!)
    expect(told(without(own[3]!))).toEqual(['connector'])
    expect(told(without(...own.slice(-3)))).toEqual(['branch-tail'])
    if (branches.length > 1) expect(told(without(...own))).toEqual(['branch-missing'])
    expect(told(() => [])).toEqual(['all-missing'])
    expect(told(seen => seen, { powered: false })).toEqual(['no-power'])
    expect(told(seen => seen, { online: false })).toEqual(['no-network'])
  })
  it('names the joint: between the last that reports and the first that does not, whichever end is fed', () => {
    const own = along(branches[0]!)
    const words = (...serials: string[]) => causesOf(one.ask, gateway, { ...report!, units: without(...serials)(report!.units) })[0]!
    expect(words(...own.slice(-2)).places.map(at => at.found!.serial)).toEqual(own.slice(-2))
    expect(words(own[0]!, own[1]!).places.map(at => at.found!.serial)).toEqual([own[1], own[0]])
  })
  it('a weak signal beside it: move the gateway; a profile that is pending is not set; a unit that makes less; a stranger', () => {
    const own = along(branches[0]!)
    const near = [own[2]!, own[4]!]
    expect(told(seen => without(own[3]!)(seen).map(unit => near.includes(unit.serial) ? { ...unit, signal: 1 } : unit))).toEqual(['weak'])
    expect(told(seen => seen.map((unit, i) => i === 4 ? { ...unit, profile: 'pending' } : unit))).toEqual(['profile'])
    expect(told(seen => seen.map((unit, i) => i === 4 ? { ...unit, watts: 90 } : unit))).toEqual(['little'])
    expect(told(seen => seen.map(unit => ({ ...unit, watts: 5 })))).toEqual(['too-dark'])
    expect(told(seen => seen.map(unit => ({ ...unit, watts: null })))).toEqual(['no-output'])
    expect(told(seen => [...seen, { serial: 'OTHER-1', signal: 4, profile: 'set', watts: 260 }])).toEqual(['stranger'])
    expect(told(without(own[3]!), { updating: true })).toEqual(['updating', 'connector'])
  })
  it('random faults, one or two at once: what is missing is always named, and nothing that reports', () => {
    const random = seeded(11)
    for (let trial = 0; trial < 200; trial++) {
      const gone = new Set(Array.from({ length: random.whole(1, 6) }, () => random.pick(report!.units).serial))
      const causes = causesOf(one.ask, gateway, { ...report!, units: without(...gone)(report!.units) })
      const named = causes.flatMap(cause => cause.places.map(at => at.found!.serial))
      expect(new Set(named)).toEqual(gone)
      expect(named).toHaveLength(gone.size)
    }
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

describe('torques of terminals', () => {
  it.each([['2.5', 'metric', 2.5], ['2,5 N m', 'metric', 2.5], ['22 lb in', 'metric', 2.4857], ['22', 'imperial', 2.4857], ['22 in-lb', 'imperial', 2.4857], ['30 lb ft', 'imperial', 40.675], ['4 Nm', 'imperial', 4]] as const)('“%s” on a %s job is %d N m (NIST SP 811: 1 lbf·in = 0.1129848 N·m)', (text, units, nm) => {
    const read = readTorque(text, units)
    expect(read.ok && read.value).toBeCloseTo(nm, 3)
  })
  it.each(['', 'tight', '12 kg'])('refuses “%s”', text => expect(readTorque(text, 'metric').ok).toBe(false))
  it('is said as its screwdriver is set', () => expect([torqueWords(2.5, 'metric'), torqueWords(2.4857, 'imperial')]).toEqual(['2.5 N m', '22 lb in (2.49 N m)']))
})

describe('what is kept of a verdict', () => {
  it('stays as it was judged; where plan or shelf say otherwise now, both are told', () => {
    const now = judgeInsulation({ step: 'insulation', method: 'joined', testV: 500, minus: { mohm: 30, atLeast: false }, plus: null }, { limit: { systemV: 300, testV: 500, leastMohm: 1 }, before: null })
    expect(judgedThen(judgedOf(now), now)).toBe('')
    expect(judgedThen({ state: 'pass', band: { from: 0.5, to: null, unit: 'MΩ' } }, now)).toBe('judged right then, 0.5 and more MΩ')
    expect(judgedThen({ state: 'fail', band: null }, now)).toBe('judged wrong then')
    expect(judgedThen(null, now)).toBe('')
  })
})

describe('a tester’s file', () => {
  const { ask } = prover(strung())
  const read = (...lines: string[]) => readInstrumentFile(ask, lines.join('\n'))
  const HEAD = 'String,Measurement,Result,Plus,G (W/m²),Cell temperature,Test voltage,Time,Instrument'
  it('takes in what fits, whatever its signs and its order of columns', () => {
    const { readings, problems } = read(HEAD, 'S1,VOC,312.4 V,,702,41,,2026-05-04T10:15:00Z,T-9', '1,Isc,9.02 A,,702,41,,,', 'String 1,Riso,> 199 MΩ,42 MΩ,,,500,,', '1,polarity,OK,,,,,,', ',Rpe,0.08 Ω,,,,,,')
    expect(problems).toEqual([])
    expect(readings.map(one => one.found)).toEqual([
      { step: 'voc', volts: 312.4, light: { gWm2: 702, cellC: 41 }, units: 'none' }, { step: 'isc', amps: 9.02, light: { gWm2: 702, cellC: 41 } },
      { step: 'insulation', method: 'each', testV: 500, minus: { mohm: 199, atLeast: true }, plus: { mohm: 42, atLeast: false } }, { step: 'polarity', right: true }, { step: 'continuity', ohm: 0.08 },
    ])
    expect(readings[0]).toMatchObject({ instrument: 'T-9', at: '2026-05-04T10:15:00.000Z', subject: { of: 'circuit' } })
  })
  it.each([
    ['1,polarity,perhaps,,,,,,', /neither right nor reversed/], ['7,voc,300,,700,40,,,', /no circuit “7”/], ['1,voc,300,,,,,,', /irradiance or cell temperature is missing/], ['1,voc,much,,700,40,,,', /Line 2/], ['1,riso,wet,,,,500,,', /insulation/], ['1,riso,200,,,,,,', /test voltage is missing/], ['1,taste,sour,,,,,,', /no test/],
  ])('says why “%s” is left out', (line, why) => expect(read(HEAD, line)).toMatchObject({ readings: [], problems: [expect.stringMatching(why)] }))
  it('says which columns it lacks, and which nothing is read from', () => {
    expect(read('String,Value', '1,2').problems[0]).toMatch(/no column “test”/)
    expect(read(`${HEAD},Mood`, '1,polarity,ok,,,,,,,good').problems[0]).toMatch(/mood/)
    expect(read('').problems[0]).toMatch(/no column/)
  })
})
