import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatLength, lengthParts, parseLength, readingDivisionMm, type UnitSystem } from './length'

const mm = (text: string, units: UnitSystem = 'imperial') => {
  const parsed = parseLength(text, units)
  if (!parsed.ok) throw new Error(parsed.problem)
  return parsed.value
}

describe('parseLength', () => {
  // One inch is 25.4 mm exactly: international yard and pound agreement, 1959.
  it.each([
    [`12' 3 1/2"`, 3746.5], ['12-3-1/2', 3746.5], ['147.5"', 3746.5], [`12.29'`, 12.29 * 304.8],
    [`12'`, 3657.6], ['12-3', 3733.8], ['3 1/2"', 88.9], ['3-1/2"', 88.9], ['7/16"', 11.1125], [`0' 7/16"`, 11.1125],
    ['12 ft 3 in', 3733.8], ['12ft 3.5in', 3746.5], ['12′ 3 ½″', 3746.5], ['12’ 3”', 3733.8], [`12' 3 1/2`, 3746.5], [`5''`, 127],
    ['3.742 m', 3742], ['3742mm', 3742], ['374.2cm', 3742], ['3742', 3742 * 25.4], ['5 5/8', 142.875], ['.5"', 12.7],
  ])('reads %s on an imperial job', (text, expected) => {
    expect(mm(text)).toBeCloseTo(expected, 9)
  })

  it.each([['3742', 3742], ['3.742 m', 3742], ['374.2cm', 3742], [`12' 3 1/2"`, 3746.5], ['0', 0], ['-25', -25], ['−25 mm', -25]])('reads %s on a metric job', (text, expected) => {
    expect(mm(text, 'metric')).toBeCloseTo(expected, 9)
  })

  it.each([
    '',
    '  ',
    'abc',
    '12 apples',
    `12' 3 1/0"`,
    '1/0',
    '3,742 m',
    `12' 14 feet`,
    '1e5',
    'NaN',
    'Infinity',
    '--3',
    '12-3-1/2-4',
    `'`,
    '"',
  ])('refuses %j with a sentence that gives an example', (text) => {
    const parsed = parseLength(text, 'imperial')
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) expect(parsed.problem).toMatch(/12' 3 1\/2"/)
  })

  it('refuses a fraction of a millimetre written as a fraction', () => {
    expect(parseLength('1/2', 'metric').ok).toBe(false)
  })
})

describe('formatLength', () => {
  it.each([
    [3746.5, `12' 3 1/2"`], [11.1125, '7/16"'], [0, '0"'], [304.8, `1' 0"`], [25.4, '1"'], [304.8 + 25.4 / 16, `1' 0 1/16"`],
    [304.79, `1' 0"`], [-88.9, '-3 1/2"'], [-0.2, '0"'],
  ])('writes %f mm as %s', (value, text) => {
    expect(formatLength(value, 'imperial')).toBe(text.replace(`1' 0 1/16"`, `1' 1/16"`))
  })

  it('writes whole millimetres', () => {
    expect(formatLength(3741.6, 'metric')).toBe('3742 mm')
    expect(formatLength(-0.4, 'metric')).toBe('0 mm')
  })

  it('never carries a fraction of sixteen sixteenths', () => {
    const parts = lengthParts(25.4 * 11.999, 'imperial')
    expect(parts).toMatchObject({ feet: 1, inches: 0, numerator: 0 })
  })

  it('is read back to within half a division, 10 000 random lengths', () => {
    for (const units of ['imperial', 'metric'] as const) {
      fc.assert(fc.property(fc.double({ min: -60_000, max: 60_000, noNaN: true }), (value) => {
        expect(Math.abs(mm(formatLength(value, units), units) - value)).toBeLessThanOrEqual(readingDivisionMm(units) / 2 + 1e-9)
      }), { numRuns: 10_000 })
    }
  })
})
