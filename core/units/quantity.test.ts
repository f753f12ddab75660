import { expect, it } from 'vitest'
import { count, formatMass, formatPower, formatQuantity, length, words } from './quantity'

it('writes every kind of quantity with its unit', () => {
  expect(formatQuantity(length(304.8), 'imperial')).toBe(`1' 0"`)
  expect(formatQuantity(count(3, 'fixings'), 'metric')).toBe('3 fixings')
  expect(formatQuantity({ kind: 'angle', deg: 26.565 }, 'metric')).toBe('26.6°')
  expect(formatQuantity({ kind: 'power', w: 850 }, 'metric')).toBe('850 W')
  expect(formatQuantity({ kind: 'mass', kg: 5 }, 'metric')).toBe('5 kg')
  expect(formatQuantity({ kind: 'energy', wh: 13_500 }, 'imperial')).toBe('13.5 kWh')
  expect(formatQuantity({ kind: 'factor', value: 1.118 }, 'metric')).toBe('1.118')
  expect(formatQuantity(words('yes'), 'metric')).toBe('yes')
  expect(formatPower(5525)).toBe('5.53 kW')
  // The pound is 0.45359237 kg exactly.
  expect(formatMass(45.359237, 'imperial')).toBe('100 lb')
})
