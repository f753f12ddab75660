import { type UnitSystem, formatLength } from './length'

/** A figure together with what it measures, so that it can never be shown without its unit. */
export type Quantity
  = | { kind: 'length', mm: number }
    | { kind: 'count', n: number, of: string }
    | { kind: 'angle', deg: number }
    | { kind: 'power', w: number }
    | { kind: 'mass', kg: number }
    | { kind: 'energy', wh: number }
    | { kind: 'area', mm2: number }
    | { kind: 'pressure', pa: number }
    | { kind: 'force', n: number }
    | { kind: 'line-load', nPerMm: number }
    | { kind: 'moment', nmm: number }
    | { kind: 'torque', nm: number }
    | { kind: 'stress', mpa: number }
    | { kind: 'speed', ms: number }
    | { kind: 'section-modulus', mm3: number }
    | { kind: 'second-moment', mm4: number }
    | { kind: 'density', kgM3: number }
    | { kind: 'share', value: number }
    | { kind: 'factor', value: number }
    | { kind: 'voltage', v: number }
    | { kind: 'current', a: number }
    | { kind: 'temperature', c: number }
    | { kind: 'irradiance', wm2: number }
    | { kind: 'words', text: string }

export const length = (mm: number): Quantity => ({ kind: 'length', mm })
export const count = (n: number, of: string): Quantity => ({ kind: 'count', n, of })
export const words = (text: string): Quantity => ({ kind: 'words', text })
export const angle = (deg: number): Quantity => ({ kind: 'angle', deg })
export const area = (mm2: number): Quantity => ({ kind: 'area', mm2 })
export const pressure = (pa: number): Quantity => ({ kind: 'pressure', pa })
export const force = (n: number): Quantity => ({ kind: 'force', n })
export const lineLoad = (nPerMm: number): Quantity => ({ kind: 'line-load', nPerMm })
export const moment = (nmm: number): Quantity => ({ kind: 'moment', nmm })
/** As a wrench is set: to a tenth in pounds-force feet. */
export const torque = (nm: number): Quantity => ({ kind: 'torque', nm })
export const stress = (mpa: number): Quantity => ({ kind: 'stress', mpa })
export const speed = (ms: number): Quantity => ({ kind: 'speed', ms })
export const mass = (kg: number): Quantity => ({ kind: 'mass', kg })
export const power = (w: number): Quantity => ({ kind: 'power', w })
export const voltage = (v: number): Quantity => ({ kind: 'voltage', v })
export const current = (a: number): Quantity => ({ kind: 'current', a })
export const temperature = (c: number): Quantity => ({ kind: 'temperature', c })
export const irradiance = (wm2: number): Quantity => ({ kind: 'irradiance', wm2 })
export const share = (value: number): Quantity => ({ kind: 'share', value })
export const factor = (value: number): Quantity => ({ kind: 'factor', value })

/** Exact by the international foot and pound of 1959 and standard gravity. */
export const N_PER_LBF = 4.4482216152605
export const PA_PER_PSF = 47.88025898033584
export const MS_PER_MPH = 0.44704
export const MPA_PER_PSI = 0.006894757293168361
export const MM2_PER_FT2 = 92_903.04
const MM_PER_FOOT = 304.8
const MM_PER_INCH = 25.4

/** Writes a quantity with its unit in the job's system. */
export function formatQuantity(quantity: Quantity, units: UnitSystem): string {
  const us = units === 'imperial'
  switch (quantity.kind) {
    case 'length': return formatLength(quantity.mm, units)
    case 'count': return `${quantity.n} ${quantity.of}`
    case 'angle': return `${quantity.deg.toFixed(1)}°`
    case 'power': return formatPower(quantity.w)
    case 'mass': return formatMass(quantity.kg, units)
    case 'energy': return `${Number((quantity.wh / 1000).toFixed(1))} kWh`
    case 'area': return us ? `${figures(quantity.mm2 / MM2_PER_FT2)} ft²` : `${figures(quantity.mm2 / 1e6)} m²`
    case 'pressure': return us ? `${plain(quantity.pa / PA_PER_PSF, 1)} psf` : `${plain(quantity.pa / 1000, 2)} kPa`
    case 'force': return us ? `${plain(quantity.n / N_PER_LBF, 0)} lb` : Math.abs(quantity.n) < 1000 ? `${plain(quantity.n, 0)} N` : `${plain(quantity.n / 1000, 2)} kN`
    case 'line-load': return us ? `${plain(quantity.nPerMm * MM_PER_FOOT / N_PER_LBF, 1)} lb/ft` : `${plain(quantity.nPerMm, 3)} kN/m`
    case 'moment': return us ? `${plain(quantity.nmm / (N_PER_LBF * MM_PER_FOOT), 0)} lb ft` : `${plain(quantity.nmm / 1000, 0)} N m`
    case 'torque': return us ? `${plain(1000 * quantity.nm / (N_PER_LBF * MM_PER_FOOT), 1)} lb ft` : `${plain(quantity.nm, 0)} N m`
    case 'stress': return us ? `${plain(quantity.mpa / MPA_PER_PSI, 0)} psi` : `${plain(quantity.mpa, 1)} MPa`
    case 'speed': return us ? `${plain(quantity.ms / MS_PER_MPH, 0)} mph` : `${plain(quantity.ms, 1)} m/s`
    case 'section-modulus': return us ? `${figures(quantity.mm3 / MM_PER_INCH ** 3)} in³` : `${figures(quantity.mm3 / 1000)} cm³`
    case 'second-moment': return us ? `${figures(quantity.mm4 / MM_PER_INCH ** 4)} in⁴` : `${figures(quantity.mm4 / 1e4)} cm⁴`
    case 'density': return `${Math.round(quantity.kgM3)} kg/m³`
    case 'share': return formatShare(quantity.value)
    case 'factor': return String(Number(quantity.value.toFixed(4)))
    case 'voltage': return `${plain(quantity.v, Math.abs(quantity.v) < 10 ? 2 : Math.abs(quantity.v) < 100 ? 1 : 0)} V`
    case 'current': return `${plain(quantity.a, 2).replace(/\.?0+$/, '')} A`
    // Electrical work is written in degrees Celsius on both sides of the ocean: the tables are.
    case 'temperature': return us ? `${plain(quantity.c, 0)} °C (${plain(quantity.c * 9 / 5 + 32, 0)} °F)` : `${plain(quantity.c, 0)} °C`
    case 'irradiance': return `${Math.round(quantity.wm2)} W/m²`
    case 'words': return quantity.text
  }
}

/** A number to so many places, without the minus sign of a rounded nought. */
function plain(value: number, places: number): string {
  const text = value.toFixed(places)
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−')
}

/** Three figures that count. */
const figures = (value: number): string => String(Number(value.toPrecision(3)))

/** A share in percent; what is over the whole is never rounded down to it. */
export function formatShare(value: number): string {
  const percent = 100 * value
  return percent > 100 && percent < 100.5 ? `${percent.toFixed(1)} %` : `${Math.round(percent)} %`
}

/** Peak power: watts below one kilowatt, else kilowatts to two places. */
export const formatPower = (w: number): string => w < 1000 ? `${Math.round(w)} W` : `${(w / 1000).toFixed(2)} kW`

/** Exact by the international pound of 1959. */
export const KG_PER_POUND = 0.45359237

/** Mass in pounds or kilograms, whole above ten and to one place below. */
export function formatMass(kg: number, units: UnitSystem): string {
  const value = units === 'imperial' ? kg / KG_PER_POUND : kg
  return `${value >= 10 ? Math.round(value) : Number(value.toFixed(1))} ${units === 'imperial' ? 'lb' : 'kg'}`
}
