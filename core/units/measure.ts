import { done, type Outcome, refused } from '../outcome'
import type { UnitSystem } from './length'
import { formatQuantity, KG_PER_POUND, MPA_PER_PSI, MS_PER_MPH, N_PER_LBF, PA_PER_PSF, type Quantity } from './quantity'

/** What can be typed as a number with a unit. */
export type Measure = 'pressure' | 'force' | 'mass' | 'speed' | 'stress' | 'share' | 'factor'

interface Dimension {
  what: string
  /** Units by what is written after the figure, each in the internal unit. */
  units: Record<string, number>
  /** The unit that a bare number takes. */
  bare: Record<UnitSystem, string>
  example: Record<UnitSystem, string>
  quantity: (value: number) => Quantity
}

const dimensions: Record<Measure, Dimension> = {
  pressure: {
    what: 'pressure', units: { 'psf': PA_PER_PSF, 'pa': 1, 'kpa': 1000, 'n/m2': 1, 'kn/m2': 1000, 'n/m²': 1, 'kn/m²': 1000 }, bare: { imperial: 'psf', metric: 'kpa' },
    example: { imperial: '25 psf', metric: '0.75 kPa' }, quantity: pa => ({ kind: 'pressure', pa }),
  },
  force: {
    what: 'force', units: { lb: N_PER_LBF, lbf: N_PER_LBF, n: 1, kn: 1000 }, bare: { imperial: 'lb', metric: 'kn' },
    example: { imperial: '450 lb', metric: '2.1 kN' }, quantity: n => ({ kind: 'force', n }),
  },
  mass: {
    what: 'mass', units: { lb: KG_PER_POUND, lbs: KG_PER_POUND, kg: 1, t: 1000 }, bare: { imperial: 'lb', metric: 'kg' },
    example: { imperial: '400 lb', metric: '180 kg' }, quantity: kg => ({ kind: 'mass', kg }),
  },
  speed: {
    what: 'wind speed', units: { 'mph': MS_PER_MPH, 'm/s': 1, 'km/h': 1 / 3.6 }, bare: { imperial: 'mph', metric: 'm/s' },
    example: { imperial: '115 mph', metric: '25 m/s' }, quantity: ms => ({ kind: 'speed', ms }),
  },
  stress: {
    what: 'stress', units: { 'psi': MPA_PER_PSI, 'mpa': 1, 'n/mm2': 1, 'n/mm²': 1 }, bare: { imperial: 'psi', metric: 'mpa' },
    example: { imperial: '850 psi', metric: '16 MPa' }, quantity: mpa => ({ kind: 'stress', mpa }),
  },
  share: {
    what: 'share', units: { '%': 0.01 }, bare: { imperial: '%', metric: '%' },
    example: { imperial: '33 %', metric: '33 %' }, quantity: value => ({ kind: 'share', value }),
  },
  factor: {
    what: 'factor', units: { '': 1 }, bare: { imperial: '', metric: '' },
    example: { imperial: '1.1', metric: '1.1' }, quantity: value => ({ kind: 'factor', value }),
  },
}

const NUMBER_AND_UNIT = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)) ?(.*)$/

/**
 * Reads a figure with its unit; a bare number is in the job's usual unit (psf, lb, mph, psi; kPa, kN, kg, m/s, MPa; percent).
 * @returns the value in Pa, N, kg, m/s, MPa or as a plain number, or a sentence that says how to write it
 */
export function parseMeasure(text: string, measure: Measure, units: UnitSystem): Outcome<number> {
  const { what, units: known, bare, example } = dimensions[measure]
  const clean = text.trim().toLowerCase().replace(/−/g, '-').replace(/\s+/g, ' ')
  if (clean.includes(',')) return refused(`A comma can mean two things in a figure. Write it with a point, for example ${example[units]}.`)
  const [, figure, written] = NUMBER_AND_UNIT.exec(clean) ?? []
  const scale = figure === undefined ? undefined : known[written || bare[units]]
  if (scale === undefined) return refused(`“${text.trim()}” is not a ${what}. Write for example ${example[units]}.`)
  return done(Number(figure) * scale)
}

/** Writes a value as `parseMeasure` reads it. */
export const formatMeasure = (value: number, measure: Measure, units: UnitSystem): string => formatQuantity(dimensions[measure].quantity(value), units)
