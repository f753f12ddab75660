import { describe, expect, it } from 'vitest'
import { formatMeasure, formatQuantity, force, formatShare, moment, MS_PER_MPH, parseMeasure, PA_PER_PSF, pressure, speed } from './index'

describe('figures with units', () => {
  it.each([
    ['25 psf', 'pressure', 25 * PA_PER_PSF], ['25', 'pressure', 25 * PA_PER_PSF], ['1.2 kPa', 'pressure', 1200], ['115', 'speed', 115 * MS_PER_MPH], ['51.4 m/s', 'speed', 51.4],
    ['180 km/h', 'speed', 50], ['33 %', 'share', 0.33], ['33', 'share', 0.33], ['1.1', 'factor', 1.1], [
      '450 lb',
      'force',
      450 * 4.4482216152605,
    ], ['2 kN', 'force', 2000], ['330 lb', 'mass', 330 * 0.45359237], ['180 kg', 'mass', 180], ['0.4 t', 'mass', 400], ['16 N/mm2', 'stress', 16], [
      '−4 psf',
      'pressure',
      -4 * PA_PER_PSF,
    ],
  ] as const)('%s as a %s', (text, measure, value) => {
    const read = parseMeasure(text, measure, 'imperial')
    expect(read.ok && read.value).toBeCloseTo(value, 9)
  })
  it.each([
    ['', 'pressure'],
    ['much', 'speed'],
    ['12 stone', 'force'],
    ['1,5', 'factor'],
    ['5 psf psf', 'pressure'],
    ['NaN', 'factor'],
    ['1e9', 'factor'],
  ] as const)('refuses “%s” with a sentence', (text, measure) => {
    const read = parseMeasure(text, measure, 'metric')
    expect(read.ok).toBe(false)
    expect(!read.ok && read.problem).toMatch(/rite/)
  })
  it('are written with the unit of the job, and read back', () => {
    expect(formatQuantity(pressure(961), 'imperial')).toBe('20.1 psf')
    expect(formatQuantity(pressure(961), 'metric')).toBe('0.96 kPa')
    expect(formatQuantity(force(1500), 'metric')).toBe('1.50 kN')
    expect(formatQuantity(force(-0.2), 'metric')).toBe('0 N')
    expect(formatQuantity(moment(-113_000), 'metric')).toBe('−113 N m')
    expect(formatQuantity(speed(51.4096), 'imperial')).toBe('115 mph')
    expect(formatShare(1.002)).toBe('100.2 %')
    for (const [measure, value] of [['pressure', 1000], ['force', 3300], ['speed', 26], ['mass', 150], ['share', 0.4], ['factor', 1.25]] as const) {
      const read = parseMeasure(formatMeasure(value, measure, 'metric'), measure, 'metric')
      expect(read.ok && read.value).toBeCloseTo(value, 6)
    }
  })
})
