import type { Shelf } from '../../catalogue'
import type { Measured } from '../quantities'

/** How a figure is written in a cell and in a field. */
export type FigureKind
  = | { is: Measured }
    | { is: 'text' } | { is: 'texts' } | { is: 'lengths' } | { is: 'flag', yes: string, no: string }
    /** A plain number, or a whole one, with the word for what it counts. */
    | { is: 'number', of: string } | { is: 'count', of: string } | { is: 'price' }
    | { is: 'choice' | 'choices', choices: Record<string, string> }
    /** Another item of the shelf, or several. */
    | { is: 'part' | 'parts', on: Shelf | 'any' }

/** One figure of a part: where it stands in the data, and what it is called in forms, tables and messages. */
export type Figure = FigureKind & {
  /** Path in the item, with dots; in a repeated group, from one of its rows. */
  path: string
  label: string
  /** What others call it at the head of a column. */
  also?: string[]
  hint?: string
  /** May be left empty. */
  optional?: true
}

/** Figures that stand together. */
export interface Group {
  title: string
  figures: Figure[]
  /** A part of the item that may be missing as a whole, by its path. */
  maybe?: { path: string, has: string }
  /** A list in the item, by its path, and what one row of it is called. */
  rows?: { path: string, one: string, most: number }
}

export interface ShelfWords { one: string, many: string, groups: Group[] }
