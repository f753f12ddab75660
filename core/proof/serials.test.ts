import { describe, expect, it } from 'vitest'
import { proved, prover, saying } from '../../tests/fixtures/proof'
import { grounded } from '../../tests/fixtures/ground'
import { catalogue } from '../../tests/fixtures/jobs'
import { expectedIscA, expectedVocV, endsByCompass, portalRows, readLabel, serialAt, serialPlaces } from './index'

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
