import type { Shelf } from '../../catalogue'
import { isMeasured, sameWord } from '../cell'
import { type Figure, type Group, figuresOf, mostRows, shelfWords } from '../figures'
import { unitOf } from '../quantities'

/** What stands at the head of a column beside figures. */
export const recordHeadings = { id: 'Id', shelf: 'Shelf', retired: 'Retired', replaces: 'Replaces', sourceBy: 'Source', sourceNote: 'Document', sourceOn: 'Source date', goesWith: 'Goes with' } as const
export type RecordColumn = keyof typeof recordHeadings

/** The end of a heading that gives one figure's own source. */
export const OWN_SOURCE = 'source'

export type Column
  = | { is: 'record', what: RecordColumn }
    | { is: 'figure', figure: Figure, path: string, label: string, group: Group, unit: string | null }
    | { is: 'source', path: string, label: string }
    | { is: 'unknown', heading: string, why: string }

const shelfEntries = Object.entries(shelfWords) as [Shelf, typeof shelfWords[Shelf]][]
const singular = (word: string): string => word.replace(/s$/i, '')

/** The shelf that a sheet's name, or a cell, names. */
export const shelfNamed = (text: string): Shelf | null => shelfEntries.find(([shelf, { one, many }]) => [shelf, one, many].some(word => sameWord(singular(word), singular(text))))?.[0] ?? null

/**
 * What a column is for, by its heading: a figure's name or what others call it, with the unit in brackets, or at the end.
 * @param currency of the shelf's prices
 */
export function readHeading(shelf: Shelf, text: string, currency: string): Column {
  const heading = text.trim().replace(/\s+/g, ' ')
  const record = (Object.entries(recordHeadings) as [RecordColumn, string][]).find(([, name]) => sameWord(name, heading))
  if (record) return { is: 'record', what: record[0] }
  const [, bracketed, inBrackets] = /^(.*?)\s*[[(]([^\])]*)[\])]$/.exec(heading) ?? []
  const [, worded, lastWord] = /^(.*) (\S+)$/.exec(heading) ?? []
  const tries: [string, string | null][] = [[heading, null], ...(inBrackets === undefined ? [] : [[bracketed!, inBrackets] as [string, string]]), ...(lastWord === undefined ? [] : [[worded!, lastWord] as [string, string]])]
  const figures = figuresOf(shelf, mostRows)
  for (const [name, written] of tries) {
    const found = figures.find(({ label, path, figure, group }) => sameWord(label, name) || path === name || (!group.rows && figure.also?.some(also => sameWord(also, name))))
    if (!found) continue
    const { figure } = found
    const measured = isMeasured(figure) ? figure.is : figure.is === 'lengths' ? 'length' : null
    if (written === null) return { is: 'figure', ...found, unit: null }
    if (sameWord(written, OWN_SOURCE)) return { is: 'source', path: found.path, label: found.label }
    if (figure.is === 'price') {
      if (sameWord(written, currency)) return { is: 'figure', ...found, unit: null }
      return { is: 'unknown', heading, why: `prices on this shelf are in ${currency}` }
    }
    const unit = measured && unitOf(measured, written)
    if (unit) return { is: 'figure', ...found, unit }
    return { is: 'unknown', heading, why: `“${written}” is no unit of “${found.label}”` }
  }
  return { is: 'unknown', heading, why: `no figure of a ${shelfWords[shelf].one} is called so` }
}
