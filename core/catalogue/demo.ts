import type { Catalogue } from './schema'

const evidence = 'Invented for the demonstration; plausible, not tested'
const inch = (n: number) => n * 25.4

/**
 * A small catalogue of invented makers, used by the demo jobs and by the command line when no other is given.
 * None of these parts exists. Read a real maker's manual before buying or fixing anything.
 */
export const demoCatalogue: Catalogue = {
  modules: [
    {
      id: 'skerry-425', maker: 'Skerry Glassworks', name: 'Skerry 425',
      longMm: 1755, shortMm: 1038, thicknessMm: 32, massKg: 20.4, powerW: 425,
      clampZones: { longEdge: { fromMm: 265, toMm: 455 }, shortEdge: { fromMm: 120, toMm: 255 } }, evidence,
    },
    {
      id: 'skerry-390', maker: 'Skerry Glassworks', name: 'Skerry 390',
      longMm: 1692, shortMm: 1021, thicknessMm: 32, massKg: 18.9, powerW: 390,
      clampZones: { longEdge: { fromMm: 240, toMm: 430 }, shortEdge: { fromMm: 110, toMm: 240 } }, evidence,
    },
    {
      id: 'lantern-460', maker: 'Lanternhouse Cells', name: 'Lantern 460 wide',
      longMm: 1812, shortMm: 1116, thicknessMm: 35, massKg: 23.1, powerW: 460,
      clampZones: { longEdge: { fromMm: 300, toMm: 480 }, shortEdge: { fromMm: 130, toMm: 280 } }, evidence,
    },
  ],
  rails: [
    {
      id: 'bollard-light', maker: 'Bollard Extrusions', name: 'Bollard light rail',
      usualSpanMm: inch(48), overhangMm: null, stockMm: [inch(132), inch(164)], massKgPerM: 0.74,
      splice: { partName: 'Bollard light splice bar', barMm: inch(8), clearMm: inch(1) },
      mountIds: ['limpet-flashed', 'limpet-four', 'limpet-sheathing', 'cleat-sheet-foot', 'cleat-seam'], endCapName: 'Bollard light end cap', evidence,
    },
    {
      id: 'bollard-deep', maker: 'Bollard Extrusions', name: 'Bollard deep rail',
      usualSpanMm: inch(60), overhangMm: inch(26), stockMm: [inch(164), inch(206)], massKgPerM: 1.12,
      splice: { partName: 'Bollard deep splice bar', barMm: inch(10), clearMm: inch(1) },
      mountIds: ['limpet-flashed', 'limpet-four', 'limpet-sheathing', 'cleat-sheet-foot', 'cleat-seam'], endCapName: 'Bollard deep end cap', evidence,
    },
    {
      id: 'hawser-mid', maker: 'Hawser Profiles', name: 'Hawser 42 rail',
      usualSpanMm: 1300, overhangMm: 450, stockMm: [3300, 4400], massKgPerM: 0.86,
      splice: { partName: 'Hawser 42 splice bar', barMm: 220, clearMm: 30 },
      mountIds: ['limpet-four', 'windlass-flashed', 'windlass-tile-hook', 'windlass-slate-hook', 'windlass-metal-tile', 'cleat-sheet-foot', 'cleat-seam'], endCapName: 'Hawser 42 end cap', evidence,
    },
  ],
  mounts: [
    {
      id: 'limpet-flashed', maker: 'Limpet Fixings', name: 'Limpet flashed foot', coverings: ['coursed-shingle'], into: ['rafters'],
      fasteners: { diameterMm: inch(5 / 16), edgeDiameters: 1.5, acrossMm: [0] },
      halfFootprintMm: inch(1.25), screw: { name: 'Lag screw 5/16 x 3 in', perMount: 1, pilot: '3/16 in pilot, about 2 in deep' },
      flashed: true, sealant: 'Inverted U under the flashing, open below', massKg: 0.61, evidence,
    },
    {
      id: 'limpet-four', maker: 'Limpet Fixings', name: 'Limpet four-screw foot', coverings: ['coursed-shingle'], into: ['rafters'],
      fasteners: { diameterMm: inch(1 / 4), edgeDiameters: 1.5, acrossMm: [inch(-0.25), inch(0.25)] },
      halfFootprintMm: inch(2), screw: { name: 'Structural screw 1/4 x 3 in', perMount: 4, pilot: 'No pilot; every screw must be in timber' },
      flashed: false, sealant: 'Butyl pad under the foot, unbroken', massKg: 0.48, evidence,
    },
    {
      id: 'limpet-sheathing', maker: 'Limpet Fixings', name: 'Limpet sheathing foot', coverings: ['coursed-shingle'], into: ['sheathing'], fasteners: null,
      halfFootprintMm: inch(2.25), screw: { name: 'Sheathing screw 1/4 x 2 in', perMount: 6, pilot: 'No pilot; every screw must bite in sound sheathing' },
      flashed: false, sealant: 'Butyl pad under the foot, unbroken', massKg: 0.55, evidence,
    },
    {
      id: 'windlass-flashed', maker: 'Windlass Roof Hardware', name: 'Windlass flashed post', coverings: ['coursed-shingle'], into: ['rafters', 'purlins'],
      fasteners: { diameterMm: 8, edgeDiameters: 1.5, acrossMm: [0] },
      halfFootprintMm: 40, screw: { name: 'Hanger screw 8 x 80 mm', perMount: 2, pilot: '5 mm pilot, 55 mm deep' },
      flashed: true, sealant: 'Inverted U under the flashing, open below', massKg: 0.72, evidence,
    },
    {
      id: 'windlass-tile-hook', maker: 'Windlass Roof Hardware', name: 'Windlass tile hook', coverings: ['interlocking-tile', 'plain-tile'], into: ['rafters'],
      fasteners: { diameterMm: 6, edgeDiameters: 2.5, acrossMm: [0] },
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 100 mm', perMount: 2, pilot: '4 mm pilot, 70 mm deep' },
      flashed: false, sealant: 'None: the tile above is notched and sheds the water', massKg: 0.94, evidence,
    },
    {
      id: 'windlass-slate-hook', maker: 'Windlass Roof Hardware', name: 'Windlass slate hook', coverings: ['slate'], into: ['rafters'],
      fasteners: { diameterMm: 6, edgeDiameters: 2.5, acrossMm: [0] },
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 80 mm', perMount: 2, pilot: '4 mm pilot, 60 mm deep' },
      flashed: true, sealant: 'Flashing over the slot, foam under its cap', massKg: 0.88, evidence,
    },
    {
      id: 'windlass-metal-tile', maker: 'Windlass Roof Hardware', name: 'Windlass metal-tile bracket', coverings: ['pressed-metal-tile'], into: ['rafters', 'purlins'],
      fasteners: { diameterMm: 8, edgeDiameters: 1.5, acrossMm: [0] },
      halfFootprintMm: 35, screw: { name: 'Hanger screw 8 x 120 mm', perMount: 1, pilot: '5 mm pilot, 70 mm deep' },
      flashed: false, sealant: 'Gasket under the flange, bead round the hole', massKg: 0.58, evidence,
    },
    {
      id: 'cleat-sheet-foot', maker: 'Cleat & Thimble', name: 'Cleat sheet foot', coverings: ['screwed-sheet'], into: ['screws', 'purlins'],
      fasteners: { diameterMm: 6.3, edgeDiameters: 1.5, acrossMm: [0] },
      halfFootprintMm: 25, screw: { name: 'Sheet screw 6.3 x 90 mm with gasket', perMount: 1, pilot: 'In the hole of the screw that was taken out' },
      flashed: false, sealant: 'The screw’s own gasket, upright towards the ridge', massKg: 0.31, evidence,
    },
    {
      id: 'cleat-seam', maker: 'Cleat & Thimble', name: 'Cleat seam clamp', coverings: ['standing-seam'], into: ['seams'], fasteners: null,
      halfFootprintMm: 30, screw: { name: 'Set screw M8', perMount: 2, pilot: 'None: nothing goes through the metal' },
      flashed: false, sealant: 'None: the seam is not pierced', massKg: 0.36, evidence,
    },
  ],
  clamps: [
    {
      id: 'pinch-inch', maker: 'Bollard Extrusions', name: 'Pinch clamps, one inch past', thicknessMm: { fromMm: 30, toMm: 40 },
      gapMm: inch(0.5), railPastMm: inch(1), torqueNm: 14, railIds: ['bollard-light', 'bollard-deep'], evidence,
    },
    {
      id: 'pinch-hidden', maker: 'Bollard Extrusions', name: 'Pinch hidden end clamps', thicknessMm: { fromMm: 30, toMm: 33 },
      gapMm: inch(0.25), railPastMm: 0, torqueNm: 11, railIds: ['bollard-light', 'bollard-deep'], evidence,
    },
    {
      id: 'hawser-grip', maker: 'Hawser Profiles', name: 'Hawser grip clamps', thicknessMm: { fromMm: 28, toMm: 38 },
      gapMm: 18, railPastMm: 30, torqueNm: 12, railIds: ['hawser-mid'], evidence,
    },
  ],
}
