import type { PartKind } from '../part-kinds'
import type { Supply } from '../schema'
import { inventedSource } from './source'

const invented = { source: inventedSource('plausible, not weighed'), figureSources: {}, retired: false, replaces: null }
const supply = (id: string, kind: PartKind, maker: string, name: string, massKg: number | null, packOf: number, price: number | null, forId: string | null = null, holds: number | null = null): Supply =>
  ({ id, kind, maker, name, massKg, packOf, price, forId, holds, ...invented })

/** Small parts of the invented makers, by their packs. */
export const supplies: Supply[] = [
  supply('skerry-425-single', 'module', 'Skerry Glassworks', 'Skerry 425', null, 1, 112, 'skerry-425'), supply('skerry-390-single', 'module', 'Skerry Glassworks', 'Skerry 390', null, 1, 101, 'skerry-390'),
  supply('lantern-460-single', 'module', 'Lanternhouse Cells', 'Lantern 460 wide', null, 1, 139, 'lantern-460'),
  supply('bollard-light-splice', 'splice', 'Bollard Extrusions', 'Bollard light splice bar', 0.19, 10, null, 'bollard-light'), supply('bollard-deep-splice', 'splice', 'Bollard Extrusions', 'Bollard deep splice bar', 0.31, 10, null, 'bollard-deep'),
  supply('hawser-splice', 'splice', 'Hawser Profiles', 'Hawser 42 splice bar', 0.22, 10, null, 'hawser-mid'), supply('thole-coupler', 'coupler', 'Thole & Rowlock', 'Thole frame coupler', 0.16, 20, null, 'thole-coupled'),
  supply('bollard-light-cap', 'end-cap', 'Bollard Extrusions', 'Bollard light end cap', 0.01, 20, 0.6, 'bollard-light'), supply('bollard-deep-cap', 'end-cap', 'Bollard Extrusions', 'Bollard deep end cap', 0.015, 20, 0.7, 'bollard-deep'),
  supply('hawser-cap', 'end-cap', 'Hawser Profiles', 'Hawser 42 end cap', 0.01, 20, 0.5, 'hawser-mid'), supply('thole-skirt-end', 'end-cap', 'Thole & Rowlock', 'Thole skirt end', 0.07, 2, 3.9, 'thole-coupled'),
  supply('pinch-inch-mid', 'mid-clamp', 'Bollard Extrusions', 'Pinch mid clamp', 0.085, 20, 1.9, 'pinch-inch'), supply('pinch-inch-end', 'end-clamp', 'Bollard Extrusions', 'Pinch end clamp', 0.095, 10, 2.2, 'pinch-inch'),
  supply('pinch-hidden-mid', 'mid-clamp', 'Bollard Extrusions', 'Pinch slim mid clamp', 0.08, 20, 2.1, 'pinch-hidden'), supply('pinch-hidden-end', 'end-clamp', 'Bollard Extrusions', 'Pinch hidden end clamp', 0.11, 10, 3.4, 'pinch-hidden'),
  supply('hawser-grip-mid', 'mid-clamp', 'Hawser Profiles', 'Hawser grip mid', 0.09, 50, 1.6, 'hawser-grip'), supply('hawser-grip-end', 'end-clamp', 'Hawser Profiles', 'Hawser grip end', 0.1, 20, 1.8, 'hawser-grip'),
  supply('lag-3', 'screw', 'Limpet Fixings', 'Lag screw 5/16 x 3 in', 0.034, 50, 0.42, 'limpet-flashed'), supply('lag-3-half', 'screw', 'Thole & Rowlock', 'Lag screw 5/16 x 3 1/2 in', 0.04, 50, 0.5, 'thole-edge-foot'),
  supply('structural-3', 'screw', 'Limpet Fixings', 'Structural screw 1/4 x 3 in', 0.016, 100, 0.31, 'limpet-four'), supply('sheathing-2', 'screw', 'Limpet Fixings', 'Sheathing screw 1/4 x 2 in', 0.011, 100, 0.22, 'limpet-sheathing'),
  supply('hanger-80', 'screw', 'Windlass Roof Hardware', 'Hanger screw 8 x 80 mm', 0.032, 50, 0.4, 'windlass-flashed'), supply('hook-100', 'screw', 'Windlass Roof Hardware', 'Hook screw 6 x 100 mm', 0.019, 100, 0.24, 'windlass-tile-hook'),
  supply('hook-80', 'screw', 'Windlass Roof Hardware', 'Hook screw 6 x 80 mm', 0.015, 100, 0.2, 'windlass-slate-hook'), supply('hanger-120', 'screw', 'Windlass Roof Hardware', 'Hanger screw 8 x 120 mm', 0.046, 50, 0.55, 'windlass-metal-tile'),
  supply('sheet-90', 'screw', 'Cleat & Thimble', 'Sheet screw 6.3 x 90 mm with gasket', 0.018, 100, 0.28, 'cleat-sheet-foot'), supply('set-m8-bulb', 'screw', 'Cleat & Thimble', 'Set screw M8', 0.009, 100, 0.18, 'cleat-bulb'), supply('set-m8', 'screw', 'Cleat & Thimble', 'Set screw M8', 0.009, 100, 0.18, 'cleat-seam'),
  supply('limpet-flashing', 'flashing', 'Limpet Fixings', 'Limpet flashing 8 x 12 in', 0.24, 10, 3.2, 'limpet-flashed'), supply('thole-flashing', 'flashing', 'Thole & Rowlock', 'Thole flashing 9 x 12 in', 0.26, 10, 3.7, 'thole-edge-foot'),
  supply('windlass-flashing', 'flashing', 'Windlass Roof Hardware', 'Windlass flashing 250 x 300 mm', 0.28, 10, 3.4, 'windlass-flashed'), supply('windlass-slate-flashing', 'flashing', 'Windlass Roof Hardware', 'Windlass slate flashing', 0.34, 10, 4.4, 'windlass-slate-hook'),
  supply('windlass-strip-flashing', 'flashing', 'Windlass Roof Hardware', 'Windlass flashing 250 x 300 mm', 0.28, 10, 3.4, 'windlass-strip-post'), supply('hanger-80-strip', 'screw', 'Windlass Roof Hardware', 'Hanger screw 8 x 80 mm', 0.032, 50, 0.4, 'windlass-strip-post'),
  supply('windlass-post-flashing', 'flashing', 'Windlass Roof Hardware', 'Windlass shaped flashing', 0.62, 5, 11.8, 'windlass-tile-post'), supply('windlass-post-cap', 'cap', 'Windlass Roof Hardware', 'Windlass post cap', 0.05, 10, 1.4, 'windlass-tile-post'),
  supply('windlass-extension', 'extension', 'Windlass Roof Hardware', 'Windlass extension post', 0.38, 10, 4.9, 'windlass-tile-post'), supply('windlass-plate-flashing', 'flashing', 'Windlass Roof Hardware', 'Windlass plate flashing', 0.36, 10, 4.7, 'windlass-slate-plate'),
  supply('windlass-plate-gasket', 'gasket', 'Windlass Roof Hardware', 'Windlass post gasket', 0.02, 20, 0.8, 'windlass-slate-plate'), supply('windlass-slate-clip', 'retaining-clip', 'Windlass Roof Hardware', 'Windlass retaining clip', 0.03, 20, 0.7, 'windlass-slate-hook'),
  supply('windlass-slate-foam', 'foam', 'Windlass Roof Hardware', 'Windlass slot foam', 0.01, 20, 0.6, 'windlass-slate-hook'), supply('windlass-slate-cap', 'cap', 'Windlass Roof Hardware', 'Windlass slot cap', 0.04, 20, 0.9, 'windlass-slate-hook'),
  supply('windlass-metal-gasket', 'gasket', 'Windlass Roof Hardware', 'Windlass pan gasket', 0.02, 20, 0.7, 'windlass-metal-tile'), supply('hook-80-post', 'screw', 'Windlass Roof Hardware', 'Hook screw 6 x 80 mm', 0.015, 100, 0.2, 'windlass-tile-post'),
  supply('hook-80-plate', 'screw', 'Windlass Roof Hardware', 'Hook screw 6 x 80 mm', 0.015, 100, 0.2, 'windlass-slate-plate'), supply('gull-tile-clip', 'unit-clip', 'Gull & Mackerel', 'Tile clip with nail', 0.02, 100, 0.22),
  supply('gull-underlay', 'underlay', 'Gull & Mackerel', 'Underlay patch, self-adhesive', 0.06, 20, 1.1), supply('gull-batten', 'batten', 'Gull & Mackerel', 'Batten, 1 m', 0.5, 10, 1.3), supply('gull-nail', 'nail', 'Gull & Mackerel', 'Roofing nail', 0.003, 500, 0.02),
  supply('gull-ply', 'ply', 'Gull & Mackerel', 'Plywood 1/2 in, 2440 x 1220 mm', 21, 1, 38), supply('gull-disc', 'disc', 'Gull & Mackerel', 'Diamond disc 115 mm', 0.12, 1, 14), supply('gull-respirator', 'respirator', 'Gull & Mackerel', 'Respirator, P3 filters', 0.25, 1, 31),
  supply('gull-batten-long', 'new-batten', 'Gull & Mackerel', 'Batten, treated, 4.8 m', 2.6, 10, 4.9),
  supply('samphire-pan-tile', 'unit', 'Samphire Clay', 'Samphire double pan', 3.4, 6, 2.1, 'samphire-pan'), supply('samphire-plain-tile', 'unit', 'Samphire Clay', 'Samphire plain', 1.25, 12, 0.9, 'samphire-plain'),
  supply('scaur-slate', 'unit', 'Scaur Quarries', 'Scaur 500 x 250', 1.7, 10, 3.8, 'scaur-500'),
  supply('marram-bundle', 'shingle', 'Marram Roofing', 'Shingle, bundle of 3 m²', 26, 1, 41), supply('marram-underlay', 'underlay-roll', 'Marram Roofing', 'Underlay, roll of 10 m²', 14, 1, 52),
  supply('marram-edge', 'edge-flashing', 'Marram Roofing', 'Edge flashing, 2 m', 1.9, 5, 16.5),
  supply('gull-sealant', 'sealant', 'Gull & Mackerel', 'Roof sealant, 300 ml cartridge', 0.44, 1, 6.4, null, 300), supply('gull-lug', 'lug', 'Gull & Mackerel', 'Grounding lug with stainless bolt', 0.06, 10, 3.1),
  supply('gull-tie', 'cable-tie', 'Gull & Mackerel', 'Stainless cable clip', 0.004, 100, 0.14),
  supply('gull-cable', 'building-cable', 'Gull & Mackerel', 'Building cable', 0.3, 1, 1.2), supply('gull-raceway', 'raceway', 'Gull & Mackerel', 'Raceway', 1.4, 1, 9), supply('gull-connector', 'raceway-connector', 'Gull & Mackerel', 'Raceway connector', 0.05, 10, 1.1), supply('gull-coupling', 'raceway-coupling', 'Gull & Mackerel', 'Raceway coupling', 0.05, 10, 0.9), supply('gull-strap', 'raceway-strap', 'Gull & Mackerel', 'Raceway strap', 0.02, 50, 0.3),
  supply('gull-expansion', 'expansion-fitting', 'Gull & Mackerel', 'Expansion fitting', 0.3, 1, 12), supply('gull-pull-box', 'pull-box', 'Gull & Mackerel', 'Pull box', 0.9, 1, 14), supply('gull-fire-stop', 'fire-stop', 'Gull & Mackerel', 'Fire-stop', 0.4, 1, 11), supply('gull-pull-string', 'pull-string', 'Gull & Mackerel', 'Pull string', 0.005, 1, 0.05), supply('gull-anchor', 'ground-anchor', 'Gull & Mackerel', 'Anchor', 0.03, 1, 0.9), supply('gull-label', 'ground-label', 'Gull & Mackerel', 'Label', 0.01, 1, 2.4),
  supply('gull-labels', 'label', 'Gull & Mackerel', 'Label set for one system', 0.05, 1, 14), supply('thole-skirt-length', 'skirt', 'Thole & Rowlock', 'Thole skirt', null, 2, null, 'thole-coupled'),
]
