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
      mountIds: ['limpet-flashed', 'limpet-four'], endCapName: 'Bollard light end cap', evidence,
    },
    {
      id: 'bollard-deep', maker: 'Bollard Extrusions', name: 'Bollard deep rail',
      usualSpanMm: inch(60), overhangMm: inch(26), stockMm: [inch(164), inch(206)], massKgPerM: 1.12,
      splice: { partName: 'Bollard deep splice bar', barMm: inch(10), clearMm: inch(1) },
      mountIds: ['limpet-flashed', 'limpet-four'], endCapName: 'Bollard deep end cap', evidence,
    },
    {
      id: 'hawser-mid', maker: 'Hawser Profiles', name: 'Hawser 42 rail',
      usualSpanMm: 1300, overhangMm: 450, stockMm: [3300, 4400], massKgPerM: 0.86,
      splice: { partName: 'Hawser 42 splice bar', barMm: 220, clearMm: 30 },
      mountIds: ['limpet-four', 'windlass-flashed'], endCapName: 'Hawser 42 end cap', evidence,
    },
  ],
  mounts: [
    {
      id: 'limpet-flashed', maker: 'Limpet Fixings', name: 'Limpet flashed foot', coverings: ['coursed-shingle'],
      halfFootprintMm: inch(1.25), screw: { name: 'Lag screw 5/16 x 3 in', perMount: 1, pilot: '3/16 in pilot, about 2 in deep' },
      flashed: true, sealant: 'Inverted U under the flashing, open below', massKg: 0.61, evidence,
    },
    {
      id: 'limpet-four', maker: 'Limpet Fixings', name: 'Limpet four-screw foot', coverings: ['coursed-shingle'],
      halfFootprintMm: inch(2), screw: { name: 'Structural screw 1/4 x 3 in', perMount: 4, pilot: 'No pilot; every screw must be in timber' },
      flashed: false, sealant: 'Butyl pad under the foot, unbroken', massKg: 0.48, evidence,
    },
    {
      id: 'windlass-flashed', maker: 'Windlass Roof Hardware', name: 'Windlass flashed post', coverings: ['coursed-shingle'],
      halfFootprintMm: 40, screw: { name: 'Hanger screw 8 x 80 mm', perMount: 2, pilot: '5 mm pilot, 55 mm deep' },
      flashed: true, sealant: 'Inverted U under the flashing, open below', massKg: 0.72, evidence,
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
