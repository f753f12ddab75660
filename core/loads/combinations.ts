import type { Format } from '../catalogue'
import type { LoadEdition } from '../job'

/** What acts together: factors on dead load, snow and wind. Wind is up, down or not there. */
export interface Combination {
  name: string
  dead: number
  snow: number
  wind: number
  windActs: 'up' | 'down' | 'none'
  /** What lasts shortest in it, and so decides how long timber has to hold. */
  shortest: 'dead' | 'snow' | 'wind'
}

/** An edition's combinations for strength and for deflection; typed by format so that loads and resistances can't be mixed. */
export interface Combinations<F extends Format = Format> { format: F, strength: Combination[], service: Combination[], source: string }

const one = (name: string, dead: number, snow: number, wind: number, windActs: Combination['windActs'], shortest: Combination['shortest']): Combination => ({
  name,
  dead,
  snow,
  wind,
  windActs,
  shortest,
})

/** ASD combinations; the 2022 edition's snow is at strength level and is taken at 0.7 of it. */
function asd(snow: number, edition: string): Combinations<'asd'> {
  const s = snow === 1 ? 'S' : `${snow}S`
  const list = [
    one('D', 1, 0, 0, 'none', 'dead'),
    one(`D + ${s}`, 1, snow, 0, 'none', 'snow'),
    one('D + 0.6W', 1, 0, 0.6, 'down', 'wind'),
    one(snow === 1 ? 'D + 0.75S + 0.75(0.6W)' : 'D + 0.75(0.7S) + 0.75(0.6W)', 1, 0.75 * snow, 0.45, 'down', 'wind'),
    one('0.6D + 0.6W', 0.6, 0, 0.6, 'up', 'wind'),
  ]
  return { format: 'asd', strength: list, service: list, source: `ASCE 7-${edition}, 2.4.1 (from memory)` }
}

/** 0.9G belongs to arrays that lie by their own mass alone; here screws and clamps hold, so it is a matter of strength: 1.0G. */
const en: Combinations<'en'> = {
  format: 'en',
  strength: [
    one('1.35G', 1.35, 0, 0, 'none', 'dead'),
    one('1.35G + 1.5S + 0.9W', 1.35, 1.5, 0.9, 'down', 'wind'),
    one('1.35G + 1.5W + 0.75S', 1.35, 0.75, 1.5, 'down', 'wind'),
    one('1.0G + 1.5W', 1, 0, 1.5, 'up', 'wind'),
    one('1.35G + 1.5S', 1.35, 1.5, 0, 'none', 'snow'),
  ],
  service: [one('G + S + 0.6W', 1, 1, 0.6, 'down', 'wind'), one('G + W + 0.5S', 1, 0.5, 1, 'down', 'wind'), one('G + W', 1, 0, 1, 'up', 'wind')],
  source: 'EN 1990, 6.4.3 and 6.5.3, equations 6.10 and 6.14 (factors of the main text)',
}

/** Combinations by edition; null where nobody has said what loads the roof. */
export function combinationsOf(edition: LoadEdition): Combinations | null {
  switch (edition) {
    case 'none': return null
    case 'us-2010': return asd(1, '10')
    case 'us-2016': return asd(1, '16')
    case 'us-2022': return asd(0.7, '22')
    case 'en': return en
  }
}

/** What can still be said where the wind is not known: dead load and snow. Uplift is wind alone, so it drops out. */
export const withoutWind = (all: Combinations): Combinations => {
  const still = (list: Combination[]) => list.filter(one => one.windActs !== 'up').map((one): Combination => one.windActs === 'none'
    ? one
    : { ...one, name: `${one.name}, wind not known`, wind: 0, windActs: 'none', shortest: one.snow > 0 ? 'snow' : 'dead' })
  return { ...all, strength: still(all.strength), service: still(all.service) }
}
