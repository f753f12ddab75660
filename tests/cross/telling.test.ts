import { describe, expect, it } from 'vitest'
import { atFullLightA, expectedIscA, expectedVocV, foundShare, judgeIsc, judgeStandby, judgeVoc, lightTermV, normalShare, thirdLostFrom, toldAlone, toldBeside } from '../../core/proof'
import { seeded } from '../fixtures/random'
import { AT, day, type House, plate, reading, shareWrong, weatherOf } from '../fixtures/strange-strings'

/** What a string should read, by hand and by published formulas, and what its reading tells, by a stranger's simulation. */
describe('expected readings by hand', () => {
  it('5.08 A at 351 W/m² is 14.47 A at full light, before temperature', () => expect(atFullLightA(5.08, 351)).toBeCloseTo(14.47, 2))
  it('262 V over 7 are 37.4 V a module, 146 V over 4 are 36.5 V', () => {
    expect(262 / 7).toBeCloseTo(37.4, 1)
    expect(judgeVoc({ volts: 262, light: { gWm2: 1000, cellC: 25 } }, { modules: 7, plate, at: AT, beside: [] })).toMatchObject({ state: 'pass' })
    expect(146 / 4).toBeCloseTo(36.5, 1)
  })
  it('at 351 W/m² the light’s term takes 1.5 to 1.7 V of a module of 54 cells, 4 %, and more than half a module from 13 modules up', () => {
    for (const diodeFactor of [1.05, 1.1, 1.15]) {
      const term = -lightTermV({ ...plate, cells: 54, halfCut: false, diodeFactor }, { gWm2: 351, cellC: 25 })
      expect(term).toBeGreaterThan(1.5)
      expect(term).toBeLessThan(1.7)
    }
    const term = -lightTermV(plate, { gWm2: 351, cellC: 25 })
    expect(term / plate.vocV).toBeCloseTo(0.043, 2)
    const lit = expectedVocV(plate, { gWm2: 351, cellC: 25 })
    expect(13 * term).toBeGreaterThan(lit / 2)
    expect(11 * term).toBeLessThan(lit / 2)
  })
  it('follows IEC 60891, procedure 2 (from memory), written with its own a: V2 = Voc (1 + β (T − 25) + a ln (G / 1000)), and Isc with α', () => {
    // m Ns k T / q of 54 cells at 46 °C: 1.1 × 54 × 8.617333e-5 × 319.15 = 1.63363 V.
    const a = 1.1 * 54 * 8.617333e-5 * 319.15 / 37.4
    expect(expectedVocV(plate, day)).toBeCloseTo(37.4 * (1 - 0.0027 * 21 + a * Math.log(0.78)), 4)
    expect(expectedIscA(plate, day, 2)).toBeCloseTo(2 * 9.3 * 0.78 * (1 + 0.0005 * 21), 6)
  })
  it('the normal distribution by its table: 1.96 leaves 0.025, 2.5758 leaves 0.005 (handbook values)', () => {
    expect(1 - normalShare(1.96)).toBeCloseTo(0.0249979, 6)
    expect(normalShare(-2.5758)).toBeCloseTo(0.005, 5)
    expect(normalShare(0)).toBeCloseTo(0.5, 7)
  })
})

const counts = [4, 6, 8, 10, 11, 12, 14, 16]
describe('what a reading tells, by simulation', () => {
  const houses: [string, House][] = [['a delivery all alike, by day', { alike: true, light: day }], ['each module by itself, by day', { alike: false, light: day }], ['a delivery all alike, at 300 W/m²', { alike: true, light: { gWm2: 300, cellC: 22 } }]]
  it.each(houses)('good strings are called wrong less than once in a hundred, alone and beside others: %s', (_, house) => {
    for (const modules of counts) {
      expect(shareWrong(modules, 0, house, 0, modules), `${modules} alone`).toBeLessThan(0.01)
      if (!house.alike) for (const strings of [1, 2]) expect(shareWrong(modules, 0, house, strings, 40 + modules), `${modules} beside ${strings}`).toBeLessThan(0.01)
    }
  })
  it('one module short, alone: found as often as the screen says, 95 % and more up to 10 modules', () => {
    const house: House = { alike: true, light: day }
    for (const modules of counts) {
      const said = toldAlone(plate, day, modules).found
      expect(Math.abs(shareWrong(modules, 1, house, 0, 90 + modules) - said), `${modules}`).toBeLessThan(0.03)
      expect(said >= 0.95, `${modules}`).toBe(modules <= 10)
    }
  })
  it('one module short beside one like string, each module by itself: 99 % and more from 4 to 16 modules', () => {
    for (const modules of counts) {
      const found = shareWrong(modules, 1, { alike: false, light: day }, 1, 140 + modules)
      expect(found, `${modules}`).toBeGreaterThan(0.99)
      expect(toldBeside(plate, day, modules, 1).found, `${modules}`).toBeGreaterThan(0.99)
    }
  })
  it('a third of a module is told alone to 3 modules and no farther; beside a like string as far as is said', () => {
    const from = thirdLostFrom(plate, day, 1)
    expect(from.alone).toBe(4)
    expect(shareWrong(from.alone, 1 / 3, { alike: true, light: day }, 0, 7)).toBeLessThan(0.95)
    expect(shareWrong(from.alone - 1, 1 / 3, { alike: true, light: day }, 0, 8)).toBeGreaterThan(0.94)
    expect(shareWrong(from.beside - 1, 1 / 3, { alike: false, light: day }, 1, 9)).toBeGreaterThan(0.94)
    expect(shareWrong(from.beside + 1, 1 / 3, { alike: false, light: day }, 1, 10)).toBeLessThan(0.95)
    const said = judgeVoc({ volts: 8 * expectedVocV(plate, day), light: day }, { modules: 8, plate, at: AT, beside: [] }).sentence
    expect(said).toMatch(/a third of a module, is not told from 4 modules on/)
  })
  it('a planted fault is seen: a judge that forgets the light’s term calls good strings wrong at 300 W/m²', () => {
    const random = seeded(3)
    const light = { gWm2: 300, cellC: 22 }
    let wrong = 0
    for (let trial = 0; trial < 500; trial++) {
      const volts = reading(random, 12, 0, { alike: true, light }, weatherOf(random, light))
      if (judgeVoc({ volts, light }, { modules: 12, plate: { ...plate, cells: 1 }, at: AT, beside: [] }).state === 'fail') wrong++
    }
    expect(wrong / 500).toBeGreaterThan(0.1)
  })
})

describe('what is said', () => {
  const ask = (modules: number, beside: Parameters<typeof judgeVoc>[1]['beside'] = []) => ({ modules, plate, at: AT, beside })
  const good = (modules: number) => modules * expectedVocV(plate, day)
  it('a string one module short names itself where the count allows it', () => {
    expect(judgeVoc({ volts: good(6), light: day }, ask(7))).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/it reads as 6 modules, 1 module short/) })
  })
  it('where it does not, it says so and asks for the comparison', () => {
    expect(judgeVoc({ volts: good(13), light: day }, ask(14))).toMatchObject({ state: 'fail' })
    expect(judgeVoc({ volts: good(14), light: day }, ask(14))).toMatchObject({ state: 'caution', sentence: expect.stringMatching(/this count can’t be told from this reading.*compare/) })
  })
  it('beside a like string both are named, and of three the one', () => {
    const beside = (...counts: number[]) => counts.map((n, i) => ({ name: `String ${i + 2}`, modules: 14, value: good(n) * 1.02, light: day, at: AT }))
    expect(judgeVoc({ volts: good(13) * 1.02, light: day }, ask(14, beside(14)))).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/1 module short/) })
    expect(judgeVoc({ volts: good(14) * 1.02, light: day }, ask(14, beside(13)))).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/String 2 lacks one/) })
    expect(judgeVoc({ volts: good(14) * 1.02, light: day }, ask(14, beside(14, 13)))).toMatchObject({ state: 'pass' })
    expect(judgeVoc({ volts: good(14), light: day }, ask(14, beside(14).map(one => ({ ...one, at: '2026-05-04T11:00:00Z' }))))).toMatchObject({ state: 'caution' })
  })
  it('amperes: a band alone, 5 % beside a like string, and no verdict under 400 W/m²', () => {
    const amps = (light = day) => expectedIscA(plate, light)
    expect(judgeIsc({ amps: amps(), light: day }, ask(8))).toMatchObject({ state: 'pass' })
    expect(judgeIsc({ amps: 0.7 * amps(), light: day }, ask(8))).toMatchObject({ state: 'fail' })
    expect(judgeIsc({ amps: 0.94 * amps(), light: day }, ask(8, [{ name: 'String 2', modules: 1, value: amps(), light: day, at: AT }]))).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/6\.0 % less/) })
    const dim = { gWm2: 351, cellC: 20 }
    expect(judgeIsc({ amps: amps(dim), light: dim }, ask(8))).toMatchObject({ state: 'caution' })
    expect(judgeIsc({ amps: 0.6 * amps(dim), light: dim }, ask(8))).toMatchObject({ state: 'caution', sentence: expect.stringMatching(/no verdict/) })
    expect(judgeVoc({ volts: 200, light: { gWm2: 40, cellC: 10 } }, ask(8))).toMatchObject({ state: 'caution', sentence: expect.stringMatching(/nothing is judged/) })
  })
  it('the band of a current grows as the light falls: at 200 W/m² the irradiance is known to 10 %', () => {
    const { value, to } = judgeIsc({ amps: 2, light: { gWm2: 200, cellC: 20 } }, ask(8)).expected!
    expect(to / value - 1).toBeCloseTo(2.81 * Math.hypot(0.015, 0.1, 0.0025, 0.005), 6)
  })
  it('units that stand by are counted by what each leaves: 10 of 11 at 1 V; of 16 the count is not told', () => {
    expect(judgeStandby({ volts: 9 }, { modules: 9, standbyV: 1 })).toMatchObject({ state: 'pass' })
    expect(judgeStandby({ volts: 10 }, { modules: 11, standbyV: 1 })).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/10 units, 1 unit short/) })
    expect(judgeStandby({ volts: 16 }, { modules: 16, standbyV: 1 })).toMatchObject({ state: 'caution' })
    expect(judgeStandby({ volts: 0 }, { modules: 9, standbyV: 1 })).toMatchObject({ state: 'fail', sentence: expect.stringMatching(/Nothing is joined through/) })
    expect(foundShare(8, 1, 0.0206)).toBeGreaterThan(0.99)
  })
})
