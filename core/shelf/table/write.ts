import { get } from 'es-toolkit/compat'
import { type Catalogue, type Item, shelves, sourceNames, type Shelved, type Source } from '../../catalogue'
import { cellUnit, writeCell } from '../cell'
import { type Group, figuresOf, shelfWords } from '../figures'
import { OWN_SOURCE, recordHeadings } from './headings'
import type { Table } from './read'

const sourceCell = ({ by, note, on }: Source): string => [sourceNames[by], note, on].join('; ')

/**
 * A shelf as tables that `readTables` reads back as they are: a sheet for each kind of part, measures in metric units that stand in the headings.
 * An empty catalogue gives the headings, to be filled in.
 */
export function writeTables(catalogue: Catalogue): Table[] {
  return shelves.map((shelf): Table => {
    const items: Item[] = catalogue[shelf]
    const rowsOf = (group: Group): number => Math.max(1, ...items.map(item => (get(item, group.rows!.path) as unknown[]).length))
    const figures = figuresOf(shelf, rowsOf)
    const ownSources = shelf === 'pairs' ? [] : figures.filter(({ path }) => items.some(item => (item as unknown as Shelved).figureSources[path]))
    const paired = shelf === 'rails' || shelf === 'mounts' || shelf === 'clamps'
    const heads = [
      ...shelf === 'pairs' ? [] : [recordHeadings.id], ...figures.map(({ figure, label }) => cellUnit(figure, catalogue.currency) ? `${label} (${cellUnit(figure, catalogue.currency)})` : label),
      ...paired && !items.length ? [recordHeadings.goesWith] : [],
      ...shelf === 'pairs' ? [] : [recordHeadings.retired, recordHeadings.replaces], recordHeadings.sourceBy, recordHeadings.sourceNote, recordHeadings.sourceOn,
      ...ownSources.map(({ label }) => `${label} ${OWN_SOURCE}`),
    ]
    const rows = items.map((item) => {
      const part = item as unknown as Shelved
      return [
        ...shelf === 'pairs' ? [] : [item.id], ...figures.map(({ figure, path }) => writeCell(figure, get(item, path))),
        ...shelf === 'pairs' ? [] : [part.retired ? 'yes' : 'no', part.replaces ?? ''], sourceNames[item.source.by], item.source.note, item.source.on,
        ...ownSources.map(({ path }) => part.figureSources[path] ? sourceCell(part.figureSources[path]) : ''),
      ]
    })
    return { name: shelfWords[shelf].many, rows: [heads, ...rows] }
  })
}
