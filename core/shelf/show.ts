import { get } from 'es-toolkit/compat'
import { type Catalogue, type Item, ownerShelves, type Shelf } from '../catalogue'
import type { UnitSystem } from '../units'
import { isMeasured } from './cell'
import { findItem } from './check'
import { type Figure, figuresOf, type PlacedFigure } from './figures'
import { writeQuantity } from './quantities'

/** The figures that tell the parts of a shelf apart, by their paths. */
const telling: Record<Shelf, string[]> = {
  modules: ['powerW', 'longMm', 'shortMm', 'thicknessMm', 'massKg'],
  rails: ['usualSpanMm', 'greatestSpanMm', 'section.ixMm4', 'massKgPerM'],
  mounts: ['coverings', 'into', 'price'],
  clamps: ['thicknessMm.fromMm', 'thicknessMm.toMm', 'gapMm', 'railPastMm'],
  supplies: ['kind', 'forId', 'packOf', 'price'],
  coverings: ['size.kind', 'size.exposureMm', 'size.gaugeMm', 'size.coverWidthMm'],
  inRoofs: ['kind', 'coverings', 'leastPitchDeg', 'mostRows'],
  electronics: ['kind', 'modules', 'wideMm', 'price'],
  trunks: ['for', 'spacingMm', 'listedA', 'price'],
  inverters: ['mostV', 'acW', 'massKg', 'price'],
  sets: ['railId', 'mountId', 'clampsId'],
  approvals: ['moduleId', 'systemId', 'fireClass', 'on'],
  pairs: ['railId', 'withId'],
}
export const tellingFigures = (shelf: Shelf): PlacedFigure[] => telling[shelf].map(path => figuresOf(shelf, () => 1).find(one => one.path === path)!)

export const money = (price: number, currency: string): string => new Intl.NumberFormat('en', { style: 'currency', currency }).format(price)

const nameById = (catalogue: Catalogue, id: string, on: Shelf | 'any'): string => {
  const shelves: Shelf[] = on === 'any' ? [...ownerShelves] : [on]
  const item = shelves.map(shelf => findItem(catalogue, shelf, id)).find(one => one !== null)
  return item && 'name' in item ? item.name : id
}

/** A figure as a person reads it, with its unit; empty where nobody has given it. */
export function showFigure(figure: Figure, value: unknown, catalogue: Catalogue, system: UnitSystem): string {
  if (value === null || value === undefined) return ''
  if (isMeasured(figure)) return writeQuantity(value as number, figure.is, system)
  switch (figure.is) {
    case 'price': return money(value as number, catalogue.currency)
    case 'flag': return value ? figure.yes : figure.no
    case 'choice': return figure.choices[value as string] ?? ''
    case 'choices': return (value as string[]).map(one => figure.choices[one]).join(', ')
    case 'lengths': return (value as number[]).map(one => writeQuantity(one, 'length', system)).join('; ')
    case 'texts': return (value as string[]).join('; ')
    case 'part': return nameById(catalogue, value as string, figure.on)
    case 'parts': return (value as string[]).map(id => nameById(catalogue, id, figure.on)).join(', ')
    case 'count':
    case 'number': return `${value as number} ${figure.of}`.trim()
    default: return String(value as string)
  }
}

export const showAt = (one: PlacedFigure, item: Item, catalogue: Catalogue, system: UnitSystem): string => showFigure(one.figure, get(item, one.path), catalogue, system)
