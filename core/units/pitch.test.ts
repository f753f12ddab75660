import { describe, expect, it } from 'vitest'
import { formatPitch, hipLengthMm, parsePitch, pitchFromRise, riseIn12, slopeFactor, slopeLengthMm } from './pitch'

describe('slope factors, as stamped on a framing square (length of common rafter per foot run, over 12)', () => {
  it.each([[4, 1.0541], [6, 1.1180], [8, 1.2019], [9, 1.2500], [12, 1.4142]])('%i:12', (rise, factor) => {
    expect(slopeFactor(pitchFromRise(rise))).toBeCloseTo(factor, 4)
  })
})

describe('hip or valley, inches per foot of run, as stamped on a framing square', () => {
  it.each([[6, 18.00], [8, 18.76], [12, 20.78]])('%i:12', (rise, inches) => {
    expect(hipLengthMm(12 * 25.4, pitchFromRise(rise)) / 25.4).toBeCloseTo(inches, 2)
  })
})

it('gives the slope of a 3-4-5 roof', () => {
  expect(slopeLengthMm(4000, pitchFromRise(9))).toBeCloseTo(5000, 9)
})

describe('parsePitch', () => {
  const deg = (text: string, units: 'imperial' | 'metric') => {
    const parsed = parsePitch(text, units)
    return parsed.ok ? parsed.value : null
  }
  it('reads rise in twelve, degrees and percent', () => {
    expect(deg('6:12', 'imperial')).toBeCloseTo(26.565, 3)
    expect(deg('6/12', 'metric')).toBeCloseTo(26.565, 3)
    expect(deg('6 in 12', 'imperial')).toBeCloseTo(26.565, 3)
    expect(deg('35°', 'imperial')).toBe(35)
    expect(deg('35 deg', 'metric')).toBe(35)
    expect(deg('100 %', 'metric')).toBeCloseTo(45, 9)
  })
  it('takes a bare number in the job’s own notation', () => {
    expect(deg('12', 'imperial')).toBeCloseTo(45, 9)
    expect(deg('45', 'metric')).toBe(45)
  })
  it.each(['', 'steep', '0', '-5', '76°', '90°', '400%'])('refuses %j with a sentence', (text) => {
    const parsed = parsePitch(text, 'metric')
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) expect(parsed.problem.length).toBeGreaterThan(20)
  })
  it('writes what it read', () => {
    expect(formatPitch(deg('7:12', 'imperial')!, 'imperial')).toBe('7:12')
    expect(formatPitch(35, 'metric')).toBe('35°')
    expect(riseIn12(pitchFromRise(4.5))).toBeCloseTo(4.5, 12)
  })
})
