import { type UnitSystem, formatLength } from './length'

/** A figure together with what it measures, so that it can never be shown without its unit. */
export type Quantity
  = | { kind: 'length', mm: number }
    | { kind: 'count', n: number, of: string }
    | { kind: 'angle', deg: number }
    | { kind: 'power', w: number }
    | { kind: 'mass', kg: number }
    | { kind: 'factor', value: number }
    | { kind: 'words', text: string }

export const length = (mm: number): Quantity => ({ kind: 'length', mm })
export const count = (n: number, of: string): Quantity => ({ kind: 'count', n, of })
export const words = (text: string): Quantity => ({ kind: 'words', text })

/** Writes a quantity with its unit in the job's system. */
export function formatQuantity(quantity: Quantity, units: UnitSystem): string {
  switch (quantity.kind) {
    case 'length': return formatLength(quantity.mm, units)
    case 'count': return `${quantity.n} ${quantity.of}`
    case 'angle': return `${quantity.deg.toFixed(1)}°`
    case 'power': return formatPower(quantity.w)
    case 'mass': return formatMass(quantity.kg, units)
    case 'factor': return quantity.value.toFixed(4)
    case 'words': return quantity.text
  }
}

/** Peak power: watts below one kilowatt, else kilowatts to two places. */
export const formatPower = (w: number): string => w < 1000 ? `${Math.round(w)} W` : `${(w / 1000).toFixed(2)} kW`

/** Exact by the international pound of 1959. */
const KG_PER_POUND = 0.45359237

/** Mass in pounds or kilograms, whole above ten and to one place below. */
export function formatMass(kg: number, units: UnitSystem): string {
  const value = units === 'imperial' ? kg / KG_PER_POUND : kg
  return `${value >= 10 ? Math.round(value) : Number(value.toFixed(1))} ${units === 'imperial' ? 'lb' : 'kg'}`
}
