import { describe, expect, it } from 'vitest'
import { prover } from '../../tests/fixtures/proof'
import { strung } from '../../tests/fixtures/ground'
import { readInstrumentFile } from './index'

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
    ['1,polarity,perhaps,,,,,,', /neither right nor reversed/], ['7,voc,300,,700,40,,,', /no circuit “7”/], ['1,voc,300,,,,,,', /irradiance or cell temperature is missing/], ['1,voc,much,,700,40,,,', /Line 2/], ['1,riso,wet,,,,500,,', /insulation/], ['1,riso,200,,,,,,', /test voltage is missing/], ['1,taste,sour,,,,,,', /no test/], ['1,voc,,,700,40,,,', /Type the open-circuit voltage in V/], [',rpe,,,,,,,', /Type the resistance in Ω/], ['1,polarity,ok,,,,,04/05/2026 10:00,', /no time that can be read/],
  ])('says why “%s” is left out', (line, why) => expect(read(HEAD, line)).toMatchObject({ readings: [], problems: [expect.stringMatching(why)] }))
  it('says which columns it lacks, and which nothing is read from', () => {
    expect(read('String,Value', '1,2').problems[0]).toMatch(/no column “test”/)
    expect(read(`${HEAD},Mood`, '1,polarity,ok,,,,,,,good').problems[0]).toMatch(/mood/)
    expect(read('').problems[0]).toMatch(/no column/)
  })
})
