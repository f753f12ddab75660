import type { CoveringItem, CoveringSize } from '../schema'
import { inventedSource } from './source'

const inch = (n: number) => n * 25.4
const covering = (id: string, maker: string, name: string, size: CoveringSize): CoveringItem =>
  ({ id, maker, name, size, source: inventedSource('sizes as such coverings commonly have them'), figureSources: {}, retired: false, replaces: null })

/** Coverings of invented makers, by the sizes on their packs. */
export const coverings: CoveringItem[] = [
  covering('marram-shingle', 'Marram Roofing', 'Marram three-tab', { kind: 'coursed-shingle', exposureMm: inch(5), tabMm: inch(12) }),
  covering('marram-laminate', 'Marram Roofing', 'Marram laminate', { kind: 'coursed-shingle', exposureMm: inch(5.625), tabMm: null }),
  covering('samphire-pan', 'Samphire Clay', 'Samphire double pan', { kind: 'interlocking-tile', gaugeMm: 340, coverWidthMm: 300, lengthMm: 420, pan: { fromMm: 60, toMm: 240 } }),
  covering('samphire-plain', 'Samphire Clay', 'Samphire plain', { kind: 'plain-tile', gaugeMm: 100, coverWidthMm: 165, lengthMm: 265 }),
  covering('scaur-500', 'Scaur Quarries', 'Scaur 500 x 250', { kind: 'slate', lengthMm: 500, coverWidthMm: 250, lapMm: 100, nailing: 'centre', mayCut: true }),
  covering('dunlin-seam', 'Dunlin Sheet', 'Dunlin seam 430', { kind: 'standing-seam', coverWidthMm: 430, profile: 'double-lock' }),
]
