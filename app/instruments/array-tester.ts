import type { Found, Light, TestStep } from '#core/job'
import { expectedIscA, expectedVocV, insulationClass, MAINS_INSULATION, type ProvedCircuit } from '#core/proof'

/** An instrument for strings: asked for a test, it gives what it read, with the light in which it did. */
export interface ArrayTester {
  name: string
  /** @throws when there is none to be had, or it can't make this test */
  read: (step: TestStep, circuit: ProvedCircuit) => Promise<Found>
}

/** Faults that can be planted in what a stand-in reads, to see that they are found. */
export const testerFaults = { none: 'None', short: 'One module short', reversed: 'Reversed', leak: 'Wet plug', shade: 'Shaded', open: 'Plug not home' } as const
export type TesterFault = keyof typeof testerFaults

/** A stand-in: strings read what their plates and an invented light say, with an instrument's own scatter, and the fault that was planted. Its readings are made up. */
export function simulatedTester(fault: () => TesterFault, random: () => number = Math.random, light: Light = { gWm2: 712, cellC: 43 }): ArrayTester {
  const about = (share: number) => 1 + (random() - 0.5) * 2 * share
  return {
    name: 'Stand-in for an array tester: its readings are made up',
    async read(step, { tag, plate, unit, kind }) {
      const planted = fault()
      const modules = tag.count - (planted === 'short' ? 1 : 0)
      const now = { gWm2: Math.round(light.gWm2 * about(0.01)), cellC: Math.round(light.cellC * about(0.01)) }
      switch (step) {
        case 'polarity': case 'combiner': case 'mains-polarity': return { step, right: planted !== 'reversed' }
        case 'voc': {
          const standby = kind === 'optimisers' || kind === 'shutdown-units'
          if (!standby && !plate) throw new Error('Nobody has given the plate of these modules.')
          const whole = standby ? modules * (unit?.standbyV ?? 0) : modules * expectedVocV(plate!, now)
          return { step, volts: planted === 'open' ? 0.1 : Math.round(10 * whole * about(0.003)) / 10, light: now, units: standby ? 'standby' : 'none' }
        }
        case 'isc': {
          if (!plate) throw new Error('Nobody has given the plate of these modules.')
          return { step, amps: planted === 'open' ? 0 : Math.round(100 * expectedIscA(plate, now) * about(0.01) * (planted === 'shade' ? 0.6 : 1)) / 100, light: now }
        }
        case 'insulation': {
          const { testV } = kind === 'branch' || !plate ? MAINS_INSULATION : insulationClass(tag.count * plate.vocV)
          return { step, method: 'each', testV, minus: planted === 'leak' ? { mohm: 0.3, atLeast: false } : { mohm: 199, atLeast: true }, plus: planted === 'leak' ? { mohm: 0.4, atLeast: false } : { mohm: 199, atLeast: true } }
        }
        default: throw new Error('This instrument does not make that test: type what yours shows.')
      }
    },
  }
}
