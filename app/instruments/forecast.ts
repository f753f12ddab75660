import type { ForecastHour } from '#core/fieldwork'

/** The weather of a day to come, hour by hour. */
export interface Forecast {
  name: string
  /** @throws when it can't be had, as without a signal */
  day: (date: string) => Promise<ForecastHour[]>
}

/** A stand-in: an invented day with dew until the morning and a shower in the late afternoon. It is made up. */
export const simulatedForecast = (): Forecast => ({
  name: 'Stand-in for a forecast: it is made up',
  day: async date => Array.from({ length: 15 }, (_, i): ForecastHour => {
    const hour = 6 + i
    const airC = Math.round((12 + 9 * Math.sin((hour - 9) / 24 * 2 * Math.PI)) * 10) / 10
    return { at: `${date}T${String(hour).padStart(2, '0')}:00`, airC, dewPointC: 8, rainMm: hour >= 17 && hour < 19 ? 1.2 : 0, windMps: 4 + (hour > 14 ? 3 : 0) }
  }),
})
