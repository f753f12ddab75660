import { describe, expect, it } from 'vitest'
import { demoCatalogue, type Electronics, type Plate, type Trunk } from '../catalogue'
import { nextDevice } from '../electrical'
import { branchLimit, combinedA, earthWire, judgeSegments, moduleVolts, needsFuses, splitBy, stringCurrents, tableFactor, trunkRun } from './index'
import { hotCellC } from './heat'

const unit = (values: Partial<Electronics>): Electronics => ({ ...demoCatalogue.electronics[0]!, mostPerBranch: { 'split-240': null, 'wye-208': null, 'single-230': null }, mostDeviceA: null, ...values })
const amps = (a: number) => ({ 'split-240': a, 'wye-208': a * 240 / 208, 'single-230': a * 240 / 230 })
const trunk = (values: Partial<Trunk>): Trunk => ({ ...demoCatalogue.trunks[0]!, ...values })
const ask = { service: 'split-240', us: true, listedFull: false, boardShare: 0.8, deviceA: null } as const

describe('units on a branch', () => {
  // Common practice: 16 and 13 single units on a 20 A branch of 12 AWG.
  it.each([[1, 16], [1.21, 13]])('of %f A are %i on 20 A', (a, most) =>
    expect(branchLimit({ ...ask, unit: unit({ outA: amps(a) }), trunk: trunk({ listedA: 20, conductor: '12 AWG' }) })).toMatchObject({ most, deviceA: 20, governs: 'device' }))
  it('for two modules, 3 A each, are 8 on a 30 A trunk that is listed for 24 A: 24 A x 1.25 is its own 30 A device', () => {
    const pair = { ...ask, unit: unit({ outA: amps(3), modules: 2 }), trunk: trunk({ listedA: 24, conductor: '10 AWG' }) }
    expect(branchLimit(pair)).toMatchObject({ most: 8, deviceA: 30, mostDeviceA: 30 })
    // A larger device would let ten pass; trunk and conductor forbid it, and it is not reckoned with.
    expect(Math.floor(40 * 0.8 / 3 + 1e-9)).toBe(10)
    expect(branchLimit({ ...pair, deviceA: 40 })).toMatchObject({ most: 8, deviceA: 30 })
  })
  it('of a row of 20 modules are 16 + 4, each on its own device; together 30 A, 37.5 A, so 40 A', () => {
    const split = splitBy('fill', { rows: [Array.from({ length: 10 }, (_, i) => i)], most: 8, stepMm: () => 2100, homeMm: i => 2000 + i, fedInside: false })
    expect(split.branches.map(branch => 2 * branch.length).sort((a, b) => b - a)).toEqual([16, 4])
    const together = combinedA([8 * 3, 2 * 3], true)
    expect([together.sumA, together.leastA, nextDevice(true, together.leastA)]).toEqual([30, 37.5, 40])
  })
  it('take the least of maker, trunk and device, and say which', () => {
    const own = unit({ outA: amps(1), mostPerBranch: { 'split-240': 11, 'wye-208': null, 'single-230': null } })
    expect(branchLimit({ ...ask, unit: own, trunk: trunk({ listedA: 20 }) })).toMatchObject({ most: 11, governs: 'unit' })
    expect(branchLimit({ ...ask, unit: unit({ outA: amps(1) }), trunk: trunk({ listedA: 9, conductor: '12 AWG' }) })).toMatchObject({ most: 9, governs: 'trunk' })
    expect(branchLimit({ ...ask, unit: unit({ outA: amps(1) }), trunk: trunk({ listedA: 30, conductor: '10 AWG' }), deviceA: 15 })).toMatchObject({ most: 12, governs: 'device' })
  })
  it('are more where device and enclosure are listed for 100 %, and other ones at 208 V', () => {
    const own = { ...ask, unit: unit({ outA: amps(1) }), trunk: trunk({ listedA: 25, conductor: '12 AWG' }) }
    expect(branchLimit({ ...own, listedFull: true })!.most).toBe(20)
    // 240 W at 208 V are 1.154 A: 16 A over it are 13.87.
    expect(branchLimit({ ...own, service: 'wye-208' })!.most).toBe(13)
    expect(branchLimit({ ...own, unit: unit({ outA: { ...amps(1), 'wye-208': null } }), service: 'wye-208' })).toBeNull()
  })
  it('in Europe follow Ib <= In <= Iz with the grouping of the board in the place of 80 %', () => {
    const en = { ...ask, us: false, service: 'single-230' as const, unit: unit({ outA: { ...amps(1), 'single-230': 1.26 } }), trunk: trunk({ listedA: 23, conductor: '2.5 mm²' }) }
    // The largest device not over 23 A is 20 A; 20 x 0.8 / 1.26 is 12.7, and 15.9 where nothing warms it.
    expect([branchLimit(en)!.deviceA, branchLimit(en)!.most, branchLimit({ ...en, boardShare: 1 })!.most]).toEqual([20, 12, 15])
  })
})

describe('voltages of strings', () => {
  const plate = (values: Partial<Plate>): Plate => ({ vocV: 37.4, vmpV: 31, iscA: 9.3, impA: 8.8, powerPerK: -0.0036, vocPerK: -0.0027, iscPerK: 0.0005, cells: 60, halfCut: false, seriesFuseA: 15, overPlate: null, backGain: null, diodeFactor: null, ...values })
  it('7 modules at 37.4 V are 262 V (common practice)', () => expect(7 * 37.4).toBeCloseTo(262, 0))
  it('14 of Voc 37.4 V at 25 °C: 524 V, 573 V at -10 °C with -0.27 %/K, 597 V by the table', () => {
    expect(14 * 37.4).toBeCloseTo(523.6, 6)
    const maker = 14 * moduleVolts(plate({}), -10, 60).coldVocV!
    expect(maker).toBeCloseTo(573, 0)
    const table = 14 * moduleVolts(plate({ vocPerK: null }), -10, 60).coldVocV!
    expect(table).toBeCloseTo(597, 0)
    // Over a 500 V input, just under the 600 V of a dwelling.
    expect([maker > 500, table < 600]).toEqual([true, true])
  })
  it('never take a reading for the plate: the same 37.4 V on cells at 45 °C would be 606 V at -10 °C', () => {
    const stc = 37.4 / (1 - 0.0027 * 20)
    expect(14 * moduleVolts(plate({ vocV: stc }), -10, 60).coldVocV!).toBeCloseTo(606, 0)
  })
  // NEC table 690.7(A): the ends of bands were given, the others are from memory.
  it.each([[-1, 1.12], [-5, 1.12], [-5.1, 1.14], [-10, 1.14], [-16, 1.18], [-20, 1.18], [-36, 1.25], [-40, 1.25], [24, 1.02], [0, 1.1]])('at %f °C take %f by the table', (c, factor) => expect(tableFactor(c)).toBe(factor))
  it('colder than the table have no factor, and are not made up', () => {
    expect(tableFactor(-40.1)).toBeNull()
    expect(moduleVolts(plate({ vocPerK: null }), -41, 60).coldVocV).toBeNull()
  })
  it('add what a module may be over its plate, and to the current the gain of its back', () => {
    const own = moduleVolts(plate({ overPlate: 0.03, backGain: 0.1 }), -10, 60)
    expect(own.coldVocV).toBeCloseTo(37.4 * 1.03 * (1 + 0.0027 * 35), 9)
    expect(own.iscA).toBeCloseTo(9.3 * 1.03 * 1.1, 9)
  })
  it('take Vmp at the cell’s temperature, not the air’s', () => {
    expect(hotCellC(35, false)).toBeCloseTo(61, 9)
    expect(hotCellC(35, true)).toBeGreaterThan(hotCellC(35, false))
    // Vmp = P / I: -0.36 % - 0.05 % a kelvin over 36 K.
    expect(moduleVolts(plate({}), 0, 61).hotVmpV).toBeCloseTo(31 * (1 - 0.0041 * 36), 9)
  })
})

describe('currents (NEC 690.8, 690.9)', () => {
  it('of a string: 1.25 Isc, 1.56 Isc before and 1.25 Isc after what heat and company take off', () => {
    const own = stringCurrents(10, true)
    expect([own.maxA, own.terminalA, own.afterA, own.deviceA]).toEqual([12.5, 15.625, 12.5, 15.625])
  })
  it('want a fuse a string from three side by side, and for two where the other’s current is more than a module stands', () => {
    expect([needsFuses(1, 10, 15), needsFuses(2, 10, 15), needsFuses(2, 13, 15), needsFuses(3, 1, 30)]).toEqual([false, false, true, true])
  })
})

describe('a trunk', () => {
  it('has a drop a unit, caps what a gap leaves over and joints to another row', () => {
    const row = { mm: 1050, sameRow: true }
    const run = trunkRun([row, row, { mm: 2100, sameRow: true }, { mm: 1775, sameRow: false }, row], 1300, false)
    expect(run).toMatchObject({ used: 6, caps: 1, drops: 7, terminators: 1, jumpers: 1 })
    expect(run.hops.map(hop => hop.unused)).toEqual([0, 0, 1, 0, 0])
    expect(run.cableMm).toBe(1300 + 3 * 1300 + 2 * 1300 - 1300 + 1300 * 0 + (1775 + 300) + 1300)
    expect(trunkRun([row, row, row], 1300, true).terminators).toBe(2)
  })
})

describe('bonding conductor', () => {
  const us = { us: true, guarded: true, lightning: false, classTwo: false }
  // NEC table 250.122, as given.
  it.each([[20, '12 AWG'], [60, '10 AWG'], [100, '8 AWG'], [200, '6 AWG']])('for %i A is %s of copper', (deviceA, size) => expect(earthWire({ ...us, deviceA })!.size).toBe(size))
  it('bare along rails is 6 AWG where it could be struck (NEC 250.120(C))', () => expect(earthWire({ ...us, guarded: false, deviceA: 20 })).toMatchObject({ size: '6 AWG' }))
  it('in Europe is 6 mm², 16 mm² with a lightning system, none for class II where the country says so', () => {
    const en = { us: false, deviceA: 20, guarded: false }
    expect([earthWire({ ...en, lightning: false, classTwo: false })?.size, earthWire({ ...en, lightning: true, classTwo: true })?.size, earthWire({ ...en, lightning: false, classTwo: true })]).toEqual(['6 mm²', '16 mm²', null])
  })
})

describe('rapid shutdown (NEC 690.12)', () => {
  const drafts = [{ id: '1', name: 'string', where: 'inside' as const, volts: 300, why: 'x' }, { id: '2', name: 'home', where: 'outside' as const, volts: 300, why: 'x' }, { id: '3', name: 'low', where: 'outside' as const, volts: 30, why: 'x' }, { id: '4', name: 'lead', where: 'inside' as const, volts: 80.1, why: 'x' }]
  const over = (edition: '2017' | '2020' | '2023', insideBy: 'none' | 'listed' | 'no-exposed-metal', insideNote = '') => judgeSegments(drafts, { edition, insideBy, insideNote }).map(one => one.over !== null)
  it('leaves 30 V outside whatever is listed, and 80 V inside', () => expect(over('2020', 'none')).toEqual([true, true, false, true]))
  it('takes a listed array that is named, in every edition', () => {
    expect(over('2023', 'listed')).toEqual([true, true, false, true])
    expect(over('2023', 'listed', 'Array listing 7')).toEqual([false, true, false, false])
  })
  it('takes no exposed metal within 8 ft in 2017 and 2020 only', () => expect([over('2017', 'no-exposed-metal')[0], over('2020', 'no-exposed-metal')[0], over('2023', 'no-exposed-metal')[0]]).toEqual([false, false, true]))
})
