/** What every figure of every part is called, how it is written, and where it stands: forms, tables, files and messages read it here. */
import { plainClosure, type Shelf } from '../../catalogue'
import type { Figure, Group, ShelfWords } from './figure'
import { electronicsGroups, inverterGroups, trunkGroups } from './electrical'
import { clampGroups, mountGroups } from './holding'
import { approvalGroups, inRoofGroups } from './in-roof'
import { moduleGroups } from './modules'
import { railGroups } from './rails'
import { coveringGroups, pairGroups, setGroups, supplyGroups } from './small'

export type * from './figure'

/** What every part is known by. */
const named: Group = {
  title: 'Name', figures: [
    { path: 'name', label: 'Name', is: 'text', also: ['Model', 'Part', 'Product', 'Description'] },
    { path: 'maker', label: 'Maker', is: 'text', also: ['Manufacturer', 'Make', 'Brand', 'Supplier'] },
  ],
}

export const shelfWords: Record<Shelf, ShelfWords> = {
  modules: { one: 'module', many: 'Modules', groups: [named, ...moduleGroups] },
  rails: { one: 'rail', many: 'Rails', groups: [named, ...railGroups] },
  mounts: { one: 'mount', many: 'Mounts and hooks', groups: [named, ...mountGroups] },
  clamps: { one: 'clamp set', many: 'Clamps', groups: [named, ...clampGroups] },
  supplies: { one: 'small part', many: 'Small parts', groups: [named, ...supplyGroups] },
  coverings: { one: 'covering', many: 'Coverings', groups: [named, ...coveringGroups] },
  inRoofs: { one: 'in-roof system', many: 'In-roof systems', groups: [named, ...inRoofGroups] },
  electronics: { one: 'unit', many: 'Electronics', groups: [named, ...electronicsGroups] },
  trunks: { one: 'trunk cable', many: 'Trunk cables', groups: [named, ...trunkGroups] },
  inverters: { one: 'inverter', many: 'Inverters', groups: [named, ...inverterGroups] },
  sets: { one: 'set', many: 'Sets', groups: [named, ...setGroups] },
  pairs: { one: 'pairing', many: 'What goes with what', groups: pairGroups },
  approvals: { one: 'approval', many: 'Approved in-roof modules', groups: [named, ...approvalGroups] },
}

/** A figure with its whole path and name, in a repeated group for its nth row. */
export interface PlacedFigure { figure: Figure, path: string, label: string, group: Group }

/** All figures of a shelf; those of repeated groups for so many rows. */
export const figuresOf = (shelf: Shelf, rows: (group: Group) => number): PlacedFigure[] => shelfWords[shelf].groups.flatMap(group => group.rows
  ? Array.from({ length: rows(group) }, (_, i) => group.figures.map((figure): PlacedFigure => ({ figure, group, path: `${group.rows!.path}.${i}.${figure.path}`, label: `${group.rows!.one} ${i + 1} ${figure.label}` }))).flat()
  : group.figures.map((figure): PlacedFigure => ({ figure, group, path: figure.path, label: figure.label })))

/** What stands for a figure that may be left empty, and is. */
export const emptyOf = ({ is }: Figure): null | never[] => is === 'choices' || is === 'texts' ? [] : null

/** What a new row of a list begins with: a way through the covering with nothing lifted, cut or sealed; else what may be left empty. */
export const startingRow = ({ rows, figures }: Group): Record<string, unknown> => rows?.path === 'closures' ? structuredClone(plainClosure) : Object.fromEntries(figures.filter(figure => figure.optional).map(figure => [figure.path, emptyOf(figure)]))

/** As many rows as a list may have. */
export const mostRows = (group: Group): number => group.rows!.most
