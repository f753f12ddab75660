import type { SimulatedMeter } from './distance-meter'

/** Sold meters are good to about 1.5 mm (common practice). */
const METER_SD_MM = 1.5

/**
 * A stand-in for a distance meter, for trying the log without one: it measures an invented row of rafters, one after the
 * other, with a meter's own scatter. Its readings are made up and are not a survey.
 */
export function simulatedMeter(lengthMm: number, spacingMm: number): SimulatedMeter {
  const listeners = new Set<(mm: number) => void>()
  const scatter = (sdMm: number) => sdMm * Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random())
  const firstMm = 150 + Math.random() * (spacingMm - 150)
  const rafters = Array.from({ length: Math.max(1, Math.floor((lengthMm - firstMm) / spacingMm) + 1) }, (_, i) => firstMm + i * spacingMm * 1.001 + scatter(5))
  let next = 0
  let connected = false
  return {
    name: 'Simulated meter',
    connect: async () => {
      connected = true
    },
    disconnect: () => {
      connected = false
    },
    onReading(listener) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    measure() {
      if (!connected) return
      const mm = rafters[next % rafters.length]! + scatter(METER_SD_MM)
      next += 1 + Math.floor(Math.random() * 2)
      for (const listener of listeners) listener(Math.max(0, mm))
    },
  }
}
