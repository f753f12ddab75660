import { coveringNames, partKinds, profileNames } from '../../catalogue'
import type { Group } from './figure'

const kindWords = Object.fromEntries(partKinds.map(kind => [kind, `${kind[0]!.toUpperCase()}${kind.slice(1).replace('-', ' ')}`]))

export const supplyGroups: Group[] = [
  {
    title: 'What it is', figures: [
      { path: 'kind', label: 'Kind of part', is: 'choice', choices: kindWords },
      { path: 'forId', label: 'Part of', is: 'part', on: 'any', optional: true, hint: 'empty: goes with any' },
    ],
  },
  {
    title: 'Pack and price', figures: [
      { path: 'packOf', label: 'Pack of', is: 'count', of: 'pieces' },
      { path: 'price', label: 'Price', is: 'price', optional: true, hint: 'of one piece; empty: by what it is part of' },
      { path: 'massKg', label: 'Weight', is: 'mass', optional: true, hint: 'of one piece; empty: by what it is part of' },
      { path: 'holds', label: 'Holds', is: 'number', of: 'ml or mm', optional: true, hint: 'ml in a cartridge, mm on a reel' },
    ],
  },
]

export const coveringGroups: Group[] = [{
  title: 'Usual sizes', figures: [
    { path: 'size.kind', label: 'Covering', is: 'choice', choices: coveringNames },
    { path: 'size.exposureMm', label: 'Exposure', is: 'length', hint: 'shingle: height that shows' },
    { path: 'size.gaugeMm', label: 'Gauge', is: 'length', hint: 'tile and battens' },
    { path: 'size.tabMm', label: 'Tab', is: 'length', optional: true, hint: 'shingle; empty: a course runs through' },
    { path: 'size.lengthMm', label: 'Length', is: 'length', hint: 'of a whole tile or slate', also: ['Slate length'] },
    { path: 'size.lapMm', label: 'Lap', is: 'length', hint: 'slate' },
    { path: 'size.mayCut', label: 'May be cut', is: 'flag', yes: 'May be cut', no: 'Must not be cut' },
    { path: 'size.profile', label: 'Profile', is: 'choice', choices: profileNames },
    { path: 'size.nailing', label: 'Nailed', is: 'choice', choices: { centre: 'Centre-nailed', head: 'Head-nailed' } },
    { path: 'size.coverWidthMm', label: 'Cover width', is: 'length', hint: 'of one unit' },
    { path: 'size.pan.fromMm', label: 'Pan from', is: 'length', hint: 'interlocking tile' },
    { path: 'size.pan.toMm', label: 'Pan to', is: 'length' },
    { path: 'size.ribMm', label: 'Ribs apart', is: 'length', hint: 'screwed sheet' },
  ],
}]

export const setGroups: Group[] = [{
  title: 'What it is put together of', figures: [
    { path: 'railId', label: 'Rail', is: 'part', on: 'rails' },
    { path: 'mountId', label: 'Mount', is: 'part', on: 'mounts' },
    { path: 'clampsId', label: 'Clamps', is: 'part', on: 'clamps' },
    { path: 'supplyIds', label: 'Small parts', is: 'parts', on: 'supplies', hint: 'electronics, bonding: where several would do' },
  ],
}]

export const pairGroups: Group[] = [{
  title: 'What goes together', figures: [
    { path: 'railId', label: 'Rail', is: 'part', on: 'rails' },
    { path: 'withId', label: 'Mount or clamps', is: 'part', on: 'any' },
  ],
}]
