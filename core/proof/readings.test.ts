import { describe, expect, it } from 'vitest'
import type { FoundOf } from '../job'
import { insulationClass, judgeInsulation, judgeLoop, judgeMainsLoss, judgeMainsVolts, judgeRcd, judgeShutdown, judgedOf, judgedThen, readResistance, readTorque, torqueWords } from './index'

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
