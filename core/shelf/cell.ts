import { type Catalogue, type Shelf, shelves } from '../catalogue'
import { type Outcome, done, refused } from '../outcome'
import type { Figure } from './figures'
import { dimensions, inUnit, type Measured, parseQuantity } from './quantities'

/** Where parts are looked up by name, and the currency of prices. */
export type Known = Pick<Catalogue, Shelf | 'currency'>

export const isMeasured = (figure: Figure): figure is Figure & { is: Measured } => figure.is in dimensions

const listed = (text: string): string[] => text.split(';').map(one => one.trim()).filter(Boolean)
const bare = (text: string): string => text.normalize('NFKD').toLowerCase().replace(/[^a-z0-9]/g, '')
const YES = ['yes', 'y', 'true', '1', 'x']
const NO = ['no', 'n', 'false', '0']

/**
 * Reads what is written for a figure in a cell or a field; never an empty one.
 * @param unit that of a bare number, null where it needs its own
 */
export function readCell(figure: Figure, text: string, unit: string | null, known: Known): Outcome<unknown> {
  if (isMeasured(figure)) return parseQuantity(text, figure.is, unit)
  switch (figure.is) {
    case 'text': return done(text.trim())
    case 'texts': return done(listed(text))
    case 'lengths': return each(listed(text), one => parseQuantity(one, 'length', unit))
    case 'flag': return flag(figure, text)
    case 'number': return numberOf(text, figure.of)
    case 'count': return numberOf(text, figure.of, true)
    case 'price': return priceOf(text, known.currency)
    case 'choice': return choice(figure.choices, text)
    case 'choices': return each(listed(text), one => choice(figure.choices, one))
    case 'part': return partNamed(known, figure.on, text)
    case 'parts': return each(listed(text), one => partNamed(known, figure.on, one))
  }
  throw new Error(`A figure of the kind “${(figure as Figure).is}” can’t be read.`)
}

function each<T>(texts: string[], read: (text: string) => Outcome<T>): Outcome<T[]> {
  const values: T[] = []
  for (const text of texts) {
    const outcome = read(text)
    if (!outcome.ok) return outcome
    values.push(outcome.value)
  }
  return done(values)
}

function flag({ yes, no }: { yes: string, no: string }, text: string): Outcome<boolean> {
  const word = bare(text)
  if (YES.includes(word) || word === bare(yes)) return done(true)
  if (NO.includes(word) || word === bare(no)) return done(false)
  return refused(`“${text}” is neither “${yes}” nor “${no}”: write yes or no.`)
}

function numberOf(text: string, of: string, whole = false): Outcome<number> {
  const clean = text.trim().replace(/[−–]/g, '-').replace(new RegExp(`\\s*${of}$`), '')
  const value = Number(clean)
  if (!clean || !Number.isFinite(value) || !/\d/.test(clean)) return refused(`“${text.trim()}” is not a number.`)
  return whole && !Number.isInteger(value) ? refused(`“${text.trim()}” is not a whole number.`) : done(value)
}

function priceOf(text: string, currency: string): Outcome<number> {
  const [, before, figure, after] = /^([A-Z]{3}|[$€£])?\s*(\d+(?:\.\d+)?)\s*([A-Z]{3})?$/.exec(text.trim()) ?? []
  if (figure === undefined) return refused(`“${text.trim()}” is not a price: write for example 12.50.`)
  const code = after ?? (before && before.length === 3 ? before : currency)
  return code === currency ? done(Number(figure)) : refused(`“${text.trim()}” is in ${code}; prices on this shelf are in ${currency}.`)
}

function choice(choices: Record<string, string>, text: string): Outcome<string> {
  const word = bare(text)
  const found = Object.entries(choices).filter(([key, label]) => bare(key) === word || bare(label) === word)[0] ?? Object.entries(choices).filter(([, label]) => word.length > 2 && bare(label).startsWith(word))[0]
  return found ? done(found[0]) : refused(`“${text.trim()}” is not one of ${Object.values(choices).join('; ')}.`)
}

/** A part by its id, its name, or its maker and name; the one that is not retired where two have the name. */
export function partNamed(known: Known, on: Shelf | 'any', text: string): Outcome<string> {
  const items = (on === 'any' ? shelves.filter(shelf => shelf !== 'pairs') : [on]).flatMap(shelf => known[shelf] as { id: string, name?: string, maker?: string, retired?: boolean }[])
  const byId = items.find(item => item.id === text.trim())
  if (byId) return done(byId.id)
  const word = bare(text)
  const named = items.filter(item => bare(item.name ?? '') === word || bare(`${item.maker ?? ''}${item.name ?? ''}`) === word)
  const [only, second] = named.some(item => !item.retired) ? named.filter(item => !item.retired) : named
  if (!only) return refused(`There is no “${text.trim()}” on the shelf.`)
  return second ? refused(`Several parts are called “${text.trim()}”: name it by its id, as ${only.id}.`) : done(only.id)
}

/** Writes a figure as `readCell` reads it back, measures as bare numbers in the metric unit. */
export function writeCell(figure: Figure, value: unknown): string {
  if (value === null || value === undefined) return ''
  if (isMeasured(figure)) return String(inUnit(value as number, figure.is, dimensions[figure.is].shown.metric))
  switch (figure.is) {
    case 'flag': return value ? 'yes' : 'no'
    case 'choice': return figure.choices[value as string]!
    case 'choices': return (value as string[]).map(one => figure.choices[one]!).join('; ')
    case 'lengths': return (value as number[]).map(one => inUnit(one, 'length', 'mm')).join('; ')
    case 'texts':
    case 'parts': return (value as string[]).join('; ')
    default: return String(value)
  }
}

/** The unit in which `writeCell` writes a figure. */
export const cellUnit = (figure: Figure, currency: string): string => isMeasured(figure) ? dimensions[figure.is].shown.metric : figure.is === 'lengths' ? 'mm' : figure.is === 'price' ? currency : ''

export const sameWord = (a: string, b: string): boolean => bare(a) === bare(b)
