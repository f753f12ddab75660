import { type Pair, pairId, type PartSet } from '../schema'
import { inventedSource } from './source'

const taking = (railId: string, ...withIds: string[]): Pair[] =>
  withIds.map(withId => ({ id: pairId(railId, withId), railId, withId, source: inventedSource('no such list was ever published') }))

/** What the invented makers let their rails go with. */
export const pairs: Pair[] = [
  ...taking('bollard-light', 'limpet-flashed', 'limpet-four', 'limpet-sheathing', 'cleat-sheet-foot', 'cleat-seam', 'cleat-bulb', 'pinch-inch', 'pinch-hidden'),
  ...taking('bollard-deep', 'limpet-flashed', 'limpet-four', 'limpet-sheathing', 'cleat-sheet-foot', 'cleat-seam', 'cleat-bulb', 'pinch-inch', 'pinch-hidden'),
  ...taking('hawser-mid', 'limpet-four', 'windlass-flashed', 'windlass-tile-hook', 'windlass-slate-hook', 'windlass-tile-post', 'windlass-strip-post', 'windlass-slate-plate', 'windlass-metal-tile', 'cleat-sheet-foot', 'cleat-seam', 'cleat-bulb', 'hawser-grip'),
  ...taking('thole-coupled', 'thole-edge-foot', 'thole-grip'),
]

const set = (id: string, maker: string, name: string, railId: string, mountId: string, clampsId: string): PartSet =>
  ({ id, maker, name, railId, mountId, clampsId, supplyIds: ['gull-lug'], source: inventedSource('put together to be tried'), figureSources: {}, retired: false, replaces: null })

/** Parts that the invented firm takes together. */
export const sets: PartSet[] = [
  set('shingle-light', 'Gannet Row Roofworks', 'Shingle, light rail', 'bollard-light', 'limpet-flashed', 'pinch-inch'),
  set('shingle-deep', 'Gannet Row Roofworks', 'Shingle, deep rail', 'bollard-deep', 'limpet-flashed', 'pinch-inch'),
  set('shingle-sheathing', 'Gannet Row Roofworks', 'Shingle, feet on the sheathing', 'bollard-light', 'limpet-sheathing', 'pinch-inch'),
  set('shingle-metric', 'Gannet Row Roofworks', 'Shingle, flashed posts', 'hawser-mid', 'windlass-flashed', 'hawser-grip'),
  set('shingle-coupled', 'Gannet Row Roofworks', 'Shingle, coupled frames', 'thole-coupled', 'thole-edge-foot', 'thole-grip'),
  set('tile-hooks', 'Gannet Row Roofworks', 'Tile hooks', 'hawser-mid', 'windlass-tile-hook', 'hawser-grip'),
  set('tile-posts', 'Gannet Row Roofworks', 'Tile posts', 'hawser-mid', 'windlass-tile-post', 'hawser-grip'),
  set('tile-stripped', 'Gannet Row Roofworks', 'Tiles stripped, flashed posts', 'hawser-mid', 'windlass-strip-post', 'hawser-grip'),
  set('slate-hooks', 'Gannet Row Roofworks', 'Slate hooks', 'hawser-mid', 'windlass-slate-hook', 'hawser-grip'),
  set('metal-tile', 'Gannet Row Roofworks', 'Pressed metal tile', 'hawser-mid', 'windlass-metal-tile', 'hawser-grip'),
  set('sheet-screws', 'Gannet Row Roofworks', 'Sheet, in its own screw holes', 'hawser-mid', 'cleat-sheet-foot', 'hawser-grip'),
  set('sheet-screws-deep', 'Gannet Row Roofworks', 'Sheet, in its own screw holes, deep rail', 'bollard-deep', 'cleat-sheet-foot', 'pinch-inch'),
  set('seam-clamps', 'Gannet Row Roofworks', 'Seam clamps', 'hawser-mid', 'cleat-seam', 'hawser-grip'),
]
