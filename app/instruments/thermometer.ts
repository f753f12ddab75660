import type { Weather } from '#core/fieldwork'

/** A thermometer laid on the roof: asked, it says the air's temperature and how wet the surface is. */
export interface Thermometer {
  name: string
  /** @throws when there is none to be had */
  read: () => Promise<Weather>
}

/** A stand-in: an invented spring day, cold and damp until the dew has gone. Its readings are made up. */
export function simulatedThermometer(now: () => Date = () => new Date()): Thermometer {
  return {
    name: 'Stand-in for a thermometer: its readings are made up',
    async read() {
      const hour = now().getHours() + now().getMinutes() / 60
      const airC = Math.round((9 + 8 * Math.sin((hour - 9) / 24 * 2 * Math.PI)) * 2) / 2
      return { airC, surface: hour < 9 || hour > 20 ? 'damp' : 'dry' }
    },
  }
}
