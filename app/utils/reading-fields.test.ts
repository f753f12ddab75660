import { describe, expect, it } from 'vitest'
import { type Found, foundSchema, type TestStep } from '#core/job'
import { foundFrom, readingFields, typedFrom } from './reading-fields'

const steps = foundSchema.options.map(one => one.shape.step.value) as TestStep[]
const light = { gWm2: 640, cellC: 38.5 }
const samples: Found[] = [
  { step: 'continuity', ohm: 0.08 }, { step: 'polarity', right: false }, { step: 'combiner', right: true }, { step: 'voc', volts: 312.4, light, units: 'none' }, { step: 'voc', volts: 9.8, light, units: 'standby' }, { step: 'isc', amps: 8.91, light }, { step: 'switch', opens: true },
  { step: 'insulation', method: 'each', testV: 500, minus: { mohm: 199, atLeast: true }, plus: { mohm: 42.5, atLeast: false } }, { step: 'insulation', method: 'joined', testV: 1000, minus: { mohm: 1.2, atLeast: false }, plus: null },
  { step: 'mains-polarity', right: true }, { step: 'mains-volts', volts: 238 }, { step: 'rcd', ratedMa: 30, ms: 121, fiveMs: 21 }, { step: 'loop', ohm: 0.41 }, { step: 'phase-order', right: true }, { step: 'ground-fault', armed: true }, { step: 'arc-fault', armed: false }, { step: 'mains-loss', stops: true, seconds: 0.4 }, { step: 'shutdown', volts: 4, seconds: 11 },
]

describe('the form of each test', () => {
  it('every test has a form, and what an instrument gave fills it so that the same is kept', () => {
    expect(new Set(samples.map(one => one.step))).toEqual(new Set(steps))
    for (const found of samples) {
      const fields = readingFields(found.step, 'units' in found && found.units !== 'none')
      expect(foundFrom(found.step, fields, typedFrom(found)), found.step).toEqual({ ok: true, value: found })
    }
  })
  it('an empty form says what is missing, of every test', () => {
    for (const step of steps) {
      const read = foundFrom(step, readingFields(step, false), {})
      expect(read.ok ? '' : read.problem, step).toMatch(/^(Type|Say|−|\+)/)
    }
  })
  it.each([['12,5', 12.5], [' 12.5 ', 12.5]])('“%s” is read', (text, volts) => expect(foundFrom('mains-volts', readingFields('mains-volts', false), { volts: text })).toEqual({ ok: true, value: { step: 'mains-volts', volts } }))
  it.each(['', 'high', '12 V extra', '-4', '99999'])('“%s” is refused with its unit', (text) => {
    const read = foundFrom('mains-volts', readingFields('mains-volts', false), { volts: text })
    expect(read.ok ? '' : read.problem).toMatch(/V/)
  })
})
