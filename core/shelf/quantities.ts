import { type Outcome, done, refused } from '../outcome'
import { formatLength, KG_PER_POUND, MM_PER_INCH, MPA_PER_PSI, N_PER_LBF, PA_PER_PSF, parseLength, type UnitSystem } from '../units'

/** What a part's figure measures. */
export type Measured
  = | 'length' | 'mass' | 'line-mass' | 'power' | 'voltage' | 'current' | 'per-kelvin' | 'pressure' | 'force' | 'torque' | 'stress'
    | 'second-moment' | 'section-modulus' | 'small-area' | 'volume' | 'stiffness' | 'share' | 'years'

interface Dimension {
  /** Units as they are written, each in the unit in which the shelf keeps the figure. */
  units: Record<string, number>
  /** The unit in which each crew is shown it. */
  shown: Record<UnitSystem, string>
}

const FOOT = 12 * MM_PER_INCH
const INCH_POUND_NM = N_PER_LBF * MM_PER_INCH / 1000
const same = (unit: string) => ({ metric: unit, imperial: unit })

export const dimensions: Record<Measured, Dimension> = {
  'length': { units: { mm: 1, cm: 10, m: 1000, in: MM_PER_INCH, ft: FOOT }, shown: { metric: 'mm', imperial: 'in' } },
  'mass': { units: { kg: 1, g: 0.001, lb: KG_PER_POUND, oz: KG_PER_POUND / 16 }, shown: { metric: 'kg', imperial: 'lb' } },
  'line-mass': { units: { 'kg/m': 1, 'lb/ft': KG_PER_POUND / FOOT * 1000 }, shown: { metric: 'kg/m', imperial: 'lb/ft' } },
  'power': { units: { W: 1, Wp: 1 }, shown: same('W') },
  'voltage': { units: { V: 1 }, shown: same('V') },
  'current': { units: { A: 1 }, shown: same('A') },
  'per-kelvin': { units: { '%/K': 0.01, '%/°C': 0.01 }, shown: same('%/K') },
  'pressure': { units: { 'Pa': 1, 'kPa': 1000, 'N/m²': 1, 'kN/m²': 1000, 'psf': PA_PER_PSF }, shown: { metric: 'Pa', imperial: 'psf' } },
  'force': { units: { N: 1, kN: 1000, lb: N_PER_LBF, lbf: N_PER_LBF }, shown: { metric: 'N', imperial: 'lb' } },
  'torque': { units: { 'N m': 1, 'lb ft': INCH_POUND_NM * 12, 'ft lb': INCH_POUND_NM * 12, 'lb in': INCH_POUND_NM, 'in lb': INCH_POUND_NM }, shown: { metric: 'N m', imperial: 'lb ft' } },
  'stress': { units: { 'MPa': 1, 'N/mm²': 1, 'GPa': 1000, 'psi': MPA_PER_PSI, 'ksi': 1000 * MPA_PER_PSI }, shown: { metric: 'MPa', imperial: 'ksi' } },
  'second-moment': { units: { 'mm⁴': 1, 'cm⁴': 1e4, 'in⁴': MM_PER_INCH ** 4 }, shown: { metric: 'mm⁴', imperial: 'in⁴' } },
  'section-modulus': { units: { 'mm³': 1, 'cm³': 1000, 'in³': MM_PER_INCH ** 3 }, shown: { metric: 'mm³', imperial: 'in³' } },
  'small-area': { units: { 'mm²': 1, 'cm²': 100, 'in²': MM_PER_INCH ** 2 }, shown: { metric: 'mm²', imperial: 'in²' } },
  'volume': { units: { 'ml': 1, 'fl oz': 29.5735295625 }, shown: { metric: 'ml', imperial: 'fl oz' } },
  'stiffness': { units: { 'N/mm': 1, 'lb/in': N_PER_LBF / MM_PER_INCH }, shown: { metric: 'N/mm', imperial: 'lb/in' } },
  'share': { units: { '%': 0.01 }, shown: same('%') },
  'years': { units: { years: 1, a: 1 }, shown: same('years') },
}

const RAISED: Record<string, string> = { '²': '2', '³': '3', '⁴': '4', '^': '', '·': '', '.': '', ' ': '', '″': 'in', '"': 'in', '\'': 'ft' }
const plain = (unit: string): string => [...unit.trim()].map(sign => RAISED[sign] ?? sign).join('').toLowerCase().replace(/(lb|kg|year|inch|foot)s$/, '$1').replace(/^inch$/, 'in').replace(/^(foot|feet)$/, 'ft').replace(/^(year|yr|yrs)$/, 'years')
const known = Object.fromEntries(Object.entries(dimensions).map(([is, { units }]) => [is, new Map(Object.entries(units).map(([unit, scale]) => [plain(unit), { unit, scale }]))])) as Record<Measured, Map<string, { unit: string, scale: number }>>

/** A unit by any of the ways in which it is written, or null. */
export const unitOf = (is: Measured, written: string): string | null => known[is].get(plain(written))?.unit ?? null

/** A number as it stands on the shelf, in a unit; figures enough to read back the very same value. */
export const inUnit = (value: number, is: Measured, unit: string): number => Number((value / dimensions[is].units[unit]!).toPrecision(12))

const NUMBER_AND_UNIT = /^([+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:e[+-]?\d+)?)\s*(.*)$/i

/**
 * Reads a figure; its own unit goes before the one that stands over it.
 * @param unit that of a bare number, null where it needs its own, unless there is but one
 */
export function parseQuantity(text: string, is: Measured, unit: string | null): Outcome<number> {
  const clean = text.trim().replace(/[−–]/g, '-')
  const units = Object.keys(dimensions[is].units)
  if (/\d,\d/.test(clean)) return refused(`“${text.trim()}”: a comma can mean two things in a figure. Write it with a point.`)
  const [, figure, written] = NUMBER_AND_UNIT.exec(clean) ?? []
  const own = written ? unitOf(is, written) : unit ?? (new Set(Object.values(dimensions[is].units)).size === 1 ? units[0]! : null)
  if (figure !== undefined && own) return done(Number(figure) * dimensions[is].units[own]!)
  // Feet, inches and fractions.
  const length = is === 'length' && /["'/″′]/.test(clean) ? parseLength(clean, 'imperial') : null
  if (length?.ok) return length
  if (figure !== undefined && !written) return refused(`“${text.trim()}” has no unit: write for example ${figure} ${units.join(`, ${figure} `).replace(/, ([^,]*)$/, ' or $1')}.`)
  return refused(`“${text.trim()}” is not a figure in ${units.join(', ').replace(/, ([^,]*)$/, ' or $1')}.`)
}

/** A figure with its unit, as it is read and typed: to five figures, and to the whole. */
export function writeQuantity(value: number, is: Measured, system: UnitSystem): string {
  const unit = dimensions[is].shown[system]
  if (unit === 'in') {
    const sixteenths = value / MM_PER_INCH * 16
    if (Math.abs(sixteenths - Math.round(sixteenths)) < 0.01) return formatLength(value, system)
  }
  const n = value / dimensions[is].units[unit]!
  return `${Math.abs(n) >= 10_000 ? Math.round(n) : Number(n.toPrecision(5))} ${unit}`
}
