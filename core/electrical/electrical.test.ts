import { describe, expect, it } from 'vitest'
import {
  ampacity, awgWires, type Busbar, bundleShare, carries, countedA, copperMm2, deviceFor, earthByDevice, earthByLine, fedInsideDropV, figureIds, figuresOf, filled, heldBy, mm2Wires, mostOnBus, narrowest, nextDevice, ohmsPerMm, outsideMm2, racewayAmps, roofAdderC, runDropV,
  solidOhmsPerKft, sourceOf, supplyJumper, tapSumA, terminalAmps, threePhaseDropV, triedRules, trunkDropV,
} from './index'

describe('conductors', () => {
  it('of 12 AWG have 1.98 ohm a 1000 ft stranded and 1.93 solid (NEC chapter 9, table 8, DC at 75 °C, uncoated copper)', () => {
    expect(ohmsPerMm('12 AWG') * 304_800).toBeCloseTo(1.98, 9)
    expect(solidOhmsPerKft('12 AWG')).toBe(1.93)
    expect(ohmsPerMm('12 AWG', 'ac-raceway') * 304_800).toBe(2)
  })
  it('have devices of their own when they are small (NEC 240.4(D))', () => expect((['14 AWG', '12 AWG', '10 AWG'] as const).map(deviceFor)).toEqual([15, 20, 30]))
  it('carry 80 % from four together, 70 % from seven, 50 % from ten (table 310.15(C)(1))', () => expect([3, 4, 6, 7, 9, 10, 20].map(bundleShare)).toEqual([1, 0.8, 0.8, 0.7, 0.7, 0.5, 0.5]))
  it('are hotter by 33 °C under 7/8 in over a roof since 2017, XHHW-2 not; before by a table of heights', () => {
    expect([roofAdderC(20, '90', false), roofAdderC(22.3, '90', false), roofAdderC(20, 'xhhw-2', false)]).toEqual([33, 0, 0])
    expect([12, 50, 200, 600, 1000].map(mm => roofAdderC(mm, '90', true))).toEqual([33, 22, 17, 14, 0])
  })
  it('carry by hand: 10 AWG in 40 °C air and 33 °C of roof, four together', () => {
    // 40 A at 90 °C x 0.50 (71 to 75 °C) x 0.8.
    expect(ampacity('10 AWG', { airC: 40, adderC: 33, together: 4 })).toBeCloseTo(16, 9)
    expect(ampacity('10 AWG', { airC: 40, adderC: 0, together: 2 })).toBeCloseTo(36.4, 9)
    // The terminals' column forbids what the insulation would carry.
    expect(terminalAmps('12 AWG')).toBe(25)
    expect(carries('12 AWG', { terminalA: 26, afterA: 10, deviceA: null }, { airC: 20, adderC: 0, together: 2 })).toBe(false)
    expect(carries('12 AWG', { terminalA: 20, afterA: 16, deviceA: 30 }, { airC: 20, adderC: 0, together: 2 })).toBe(false)
  })
})

describe('volts lost', () => {
  it('at the last of k units on a trunk are 2 R p I k (k + 1) / 2, single phase', () => {
    for (const k of [1, 2, 7, 16]) expect(trunkDropV(Array.from({ length: k }, () => 1300), 6.5e-6, 1.1)).toBeCloseTo(2 * 6.5e-6 * 1300 * 1.1 * k * (k + 1) / 2, 12)
  })
  it('fed at its middle are about a quarter', () => {
    const stretches = Array.from({ length: 16 }, () => 1300)
    const share = fedInsideDropV(stretches, 8, 6.5e-6, 1) / trunkDropV(stretches, 6.5e-6, 1)
    expect(share).toBeCloseTo(36 / 136, 9)
    expect(share).toBeGreaterThan(0.24)
    expect(share).toBeLessThan(0.28)
  })
  it('on a run go there and back: 50 ft of 10 AWG at 16 A', () => expect(runDropV(15_240, ohmsPerMm('10 AWG'), 16)).toBeCloseTo(2 * 50 * 1.24 / 1000 * 16, 9))
})

const shares = { one: 0.53, two: 0.31, more: 0.4, nipple: 0.6 }
const of = (n: number, size: Parameters<typeof outsideMm2>[0]): number[] => Array.from({ length: n }, () => outsideMm2(size, 'thwn-2')!)

describe('a raceway', () => {
  // NEC annex C, table C.1 (from memory): THWN conductors of one size in EMT.
  it.each([['12 AWG', '1/2', 9], ['12 AWG', '3/4', 16], ['10 AWG', '3/4', 10], ['8 AWG', '3/4', 6], ['6 AWG', '1', 7], ['4 AWG', '1-1/4', 7], ['1/0 AWG', '2', 7]] as const)('of EMT holds as many %s in %s in as annex C says: %i', (size, trade, most) => {
    expect([filled('emt', trade, of(most, size), shares, false).fits, filled('emt', trade, of(most + 1, size), shares, false).fits]).toEqual([true, false])
  })
  it('takes 53 % of one, 31 % of two, 40 % of more, 60 % in a nipple (chapter 9, table 1 and note 4)', () => {
    expect([1, 2, 3].map(n => filled('emt', '1', of(n, '8 AWG'), shares, false).limit)).toEqual([0.53, 0.31, 0.4])
    expect(filled('emt', '1', of(3, '8 AWG'), shares, true).limit).toBe(0.6)
  })
  it('is none where nothing holds them, and is named where there is no such size', () => {
    expect(narrowest('conduit-en', Array.from({ length: 9 }, () => outsideMm2('95 mm²', 'h07v')!), shares, false)).toBeNull()
    expect(() => filled('emt', '25', [10], shares, false)).toThrow('emt is not made in 25')
  })
})

describe('conductors below the roof box', () => {
  it('carry table x heat x company, whatever the size', () => {
    expect(racewayAmps('6 AWG', { airC: 35, carrying: 6, loaded: 2, nipple: false })).toEqual({ baseA: 75, airShare: 0.96, companyShare: 0.8, amps: 75 * 0.96 * 0.8 })
    expect(racewayAmps('6 AWG', { airC: 35, carrying: 6, loaded: 2, nipple: true }).companyShare).toBe(1)
    // IEC 60364-5-52, method B1, two loaded conductors of 6 mm²: 41 A at 30 °C; two circuits bunched 0.80.
    expect(racewayAmps('6 mm²', { airC: 30, carrying: 4, loaded: 2, nipple: false }).amps).toBeCloseTo(41 * 0.8, 9)
  })
  it('carry more the thicker they are, and lose less', () => {
    for (const sizes of [awgWires, mm2Wires]) {
      sizes.slice(1).forEach((size, i) => {
        const thinner = sizes[i]!
        expect(copperMm2(size)).toBeGreaterThan(copperMm2(thinner))
        expect(terminalAmps(size)).toBeGreaterThan(terminalAmps(thinner))
        expect(ohmsPerMm(size)).toBeLessThan(ohmsPerMm(thinner))
        expect(ohmsPerMm(size, 'ac-raceway')).toBeLessThan(ohmsPerMm(thinner, 'ac-raceway'))
      })
    }
  })
  it('have an earth by their device (table 250.122), by their line in Europe (table 54.2), and a jumper before it (250.102(C))', () => {
    expect([15, 20, 60, 100, 200].map(earthByDevice)).toEqual(['14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG'])
    expect((['10 mm²', '16 mm²', '25 mm²', '35 mm²', '50 mm²'] as const).map(size => earthByLine(size, mm2Wires))).toEqual(['10 mm²', '16 mm²', '16 mm²', '16 mm²', '25 mm²'])
    expect((['6 AWG', '2 AWG', '1/0 AWG', '3/0 AWG'] as const).map(size => supplyJumper(awgWires, size))).toEqual(['8 AWG', '8 AWG', '6 AWG', '4 AWG'])
  })
  it('lose √3 between three phases, twice on one', () => expect(threePhaseDropV(10_000, 1e-6, 20) / runDropV(10_000, 1e-6, 20)).toBeCloseTo(Math.sqrt(3) / 2, 12))
})

describe('a busbar', () => {
  const bus = (values: Partial<Busbar>): Busbar => ({ busA: 200, mainA: 200, feed: 'end', sourcesA: [], sourceDevicesA: [], loadDevicesA: 0, oppositeEnd: true, dwelling: true, limitA: null, ...values })
  const held = (values: Partial<Busbar>, rules: '2017' | '2020' | '2023' | 'iec' = '2023') => heldBy(triedRules(bus(values), rules, rules === 'iec' ? 1 : 1.25, rules === 'iec' ? 1 : 1.2), null)?.rule ?? null
  // The worked case of three rows, each of 30 A output on a device of 40 A.
  it('of a sub-panel with three rows of 30 A takes them by the sum of devices on 125 A; the 200 A main panel does not', () => {
    const rows = { sourcesA: [30, 30, 30], sourceDevicesA: [40, 40, 40] }
    expect(nextDevice(true, countedA({ sourcesA: rows.sourcesA, limitA: null }, 1.25))).toBe(125)
    expect(held({ ...rows, busA: 125, mainA: 125 })).toBe('sum')
    const far = triedRules(bus({ sourcesA: [90], sourceDevicesA: [125], loadDevicesA: 260 }), '2023', 1.25, 1.2).find(one => one.rule === 'far-end')!
    expect([far.leftA, far.rightA, far.holds]).toEqual([312.5, 240, false])
    expect(held({ sourcesA: [90], sourceDevicesA: [125], loadDevicesA: 260 })).toBeNull()
  })
  // 200 A busbar with a 200 A main: 40 A of device at the far end, that is 32 A of output (the common case of 705.12).
  it('of 200 A with a 200 A main takes 32 A of output at its far end and none beside the main', () => {
    expect(held({ sourcesA: [32], sourceDevicesA: [40], loadDevicesA: 260 })).toBe('far-end')
    expect(held({ sourcesA: [32.1], sourceDevicesA: [45], loadDevicesA: 260 })).toBeNull()
    expect(held({ sourcesA: [32], sourceDevicesA: [40], loadDevicesA: 260, oppositeEnd: false })).toBeNull()
    expect(mostOnBus(bus({ loadDevicesA: 260 }), '2023', 1.25, 1.2)).toBeCloseTo(32, 9)
  })
  it('fed in its middle takes 120 % in dwellings only, and an engineer’s takes none', () => {
    expect(held({ feed: 'centre', sourcesA: [32], sourceDevicesA: [40], loadDevicesA: 260 })).toBe('centre-fed')
    expect(held({ feed: 'centre', dwelling: false, sourcesA: [32], sourceDevicesA: [40], loadDevicesA: 260 })).toBeNull()
    expect(held({ feed: 'through', sourcesA: [1], sourceDevicesA: [15] })).toBeNull()
  })
  it('counts what a listed control system holds sources to', () => expect(held({ sourcesA: [90], sourceDevicesA: [125], loadDevicesA: 260, limitA: 40 })).toBe('far-end'))
  it('of Europe carries its main and its sources together', () => {
    expect(held({ busA: 100, mainA: 63, sourcesA: [32], sourceDevicesA: [40] }, 'iec')).toBe('anywhere')
    expect(held({ busA: 80, mainA: 63, sourcesA: [32], sourceDevicesA: [40] }, 'iec')).toBeNull()
  })
  it('names each edition’s own clause', () => expect((['2017', '2020', '2023'] as const).map(set => triedRules(bus({}), set, 1.25, 1.2)[1]!.clause)).toEqual(['NEC 2017, 705.12(B)(2)(3)(b)', 'NEC 2020, 705.12(B)(3)(2)', 'NEC 2023, 705.12(B)(2)']))
  it('is left out by a tap: devices are summed until 2017, currents since', () => expect([tapSumA({ sourcesA: [30, 30], deviceA: 80 }, '2017'), tapSumA({ sourcesA: [30, 30], deviceA: 80 }, '2020')]).toEqual([80, 60]))
})

describe('a code’s figures', () => {
  it('each have a source, say that they are from memory, and can be typed over by name', () => {
    for (const set of ['2017', '2020', '2023', 'iec'] as const) {
      const figures = figuresOf(set)
      for (const id of figureIds) {
        expect(figures[id].value).toBeGreaterThan(0)
        expect(sourceOf(figures[id]).length).toBeGreaterThan(5)
      }
    }
    expect(sourceOf(figuresOf('2020')['bus-share'])).toBe('NEC 2020, 705.12(B)(3)(2), from memory')
    const typed = figuresOf('2020', [{ id: 'gas', value: 500, by: 'Wren Tallis' }])
    expect([typed.gas.value, sourceOf(typed.gas)]).toEqual([500, 'Typed on this job by Wren Tallis, in place of The utility’s own rule'])
  })
})
