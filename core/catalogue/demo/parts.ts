import type { Catalogue, Fasteners, Resistance } from '../schema'
import { closures } from './closures'
import { coverings } from './coverings'
import { electricalSupplies, electronics, inverters, trunks } from './electrical'
import { approvals, inRoofs, inRoofSupplies } from './in-roofs'
import { inventedSource } from './source'
import { supplies } from './supplies'
import { pairs, sets } from './together'

const invented = { source: inventedSource('plausible, not tested'), figureSources: {}, retired: false, replaces: null }
const inch = (n: number) => n * 25.4
const lb = (n: number) => n * 4.4482216152605
const psi = (n: number) => n * 0.006894757293168361
/** Allowable values by a maker who sells by the pound, and design values by one who sells by the newton. */
const allowable = (up: number, down: number, slope: number): Resistance => ({ format: 'asd', upN: lb(up), downN: lb(down), slopeN: lb(slope) })
const design = (upN: number, downN: number, slopeN: number): Resistance => ({ format: 'en', upN, downN, slopeN })
/** 6005-T5 and 6063-T6 in round figures (from memory). */
const alloy6005 = { eMpa: 69_600, fyMpa: 240, fuMpa: 260, kt: 1 }
const alloy6063 = { eMpa: 69_600, fyMpa: 170, fuMpa: 205, kt: 1 }

/** Screws that several of one maker's mounts take. */
const hookScrew80: Fasteners = { kind: 'wood-screw', diameterMm: 6, lengthMm: 80, tipMm: 6, yieldMpa: 600, pilotMm: 4, edgeDiameters: 2.5, acrossMm: [0], alongMm: 45, threadMm: 60, rootMm: 4.2, approval: 'Windlass approval W-14 (invented): edge 2.5 d, 7 d apart, members from 40 mm' }
const hangerScrew80: Fasteners = { kind: 'wood-screw', diameterMm: 8, lengthMm: 80, tipMm: 8, yieldMpa: 480, pilotMm: 5, edgeDiameters: 1.5, acrossMm: [0], alongMm: 60, threadMm: 64, rootMm: null, approval: 'Windlass approval W-11 (invented): edge 1.5 d, 7 d apart, members from 45 mm' }

/**
 * A small catalogue of invented makers, used by the demo jobs and by the command line when no other is given.
 * None of these parts exists. Read a real maker's manual before buying or fixing anything.
 */
export const demoCatalogue: Catalogue = {
  currency: 'USD',
  modules: [
    {
      ...invented, id: 'skerry-425', maker: 'Skerry Glassworks', name: 'Skerry 425',
      longMm: 1755, shortMm: 1038, thicknessMm: 32, massKg: 20.4, powerW: 425,
      plate: { vocV: 38.9, vmpV: 32.4, iscA: 13.9, impA: 13.12, powerPerK: -0.0032, vocPerK: -0.0026, iscPerK: 0.00045, cells: 108, halfCut: true, seriesFuseA: 25, overPlate: null, backGain: null, diodeFactor: 1.08 },
      lipMm: 24, junctionBox: { fromEndMm: 877, fromMiddleMm: 0, leadsApartMm: 620 }, leadMm: 1100, plugs: 'Gannet', warranty: { productYears: 20, powerYears: 25, powerShare: 0.87 },
      clampZones: { longEdge: { fromMm: 265, toMm: 455 }, shortEdge: { fromMm: 120, toMm: 255 } },
      ratings: [
        { edge: 'long', fromMm: 310, toMm: 410, upPa: 2800, downPa: 5400 },
        { edge: 'long', fromMm: 265, toMm: 455, upPa: 2400, downPa: 3600 },
        { edge: 'short', fromMm: 120, toMm: 255, upPa: 1600, downPa: 2400 },
      ],
    },
    {
      ...invented, id: 'skerry-390', maker: 'Skerry Glassworks', name: 'Skerry 390',
      longMm: 1692, shortMm: 1021, thicknessMm: 32, massKg: 18.9, powerW: 390,
      plate: { vocV: 37.2, vmpV: 31.2, iscA: 13.3, impA: 12.5, powerPerK: -0.0034, vocPerK: -0.0027, iscPerK: 0.0005, cells: 108, halfCut: true, seriesFuseA: 25, overPlate: null, backGain: null, diodeFactor: 1.12 },
      lipMm: 24, junctionBox: { fromEndMm: 846, fromMiddleMm: 0, leadsApartMm: 600 }, leadMm: 1100, plugs: 'Gannet', warranty: { productYears: 20, powerYears: 25, powerShare: 0.87 },
      clampZones: { longEdge: { fromMm: 240, toMm: 430 }, shortEdge: { fromMm: 110, toMm: 240 } },
      ratings: [
        { edge: 'long', fromMm: 290, toMm: 390, upPa: 2800, downPa: 5400 },
        { edge: 'long', fromMm: 240, toMm: 430, upPa: 2400, downPa: 4000 },
        { edge: 'short', fromMm: 110, toMm: 240, upPa: 1800, downPa: 2400 },
      ],
    },
    {
      ...invented, id: 'lantern-460', maker: 'Lanternhouse Cells', name: 'Lantern 460 wide',
      longMm: 1812, shortMm: 1116, thicknessMm: 35, massKg: 23.1, powerW: 460,
      plate: { vocV: 41.3, vmpV: 34.5, iscA: 14.1, impA: 13.34, powerPerK: -0.0029, vocPerK: -0.0024, iscPerK: 0.0004, cells: 96, halfCut: false, seriesFuseA: 25, overPlate: null, backGain: null, diodeFactor: 1.04 },
      lipMm: 24, junctionBox: { fromEndMm: 150, fromMiddleMm: 0, leadsApartMm: null }, leadMm: 1100, plugs: 'Gannet', warranty: { productYears: 20, powerYears: 25, powerShare: 0.87 },
      clampZones: { longEdge: { fromMm: 300, toMm: 480 }, shortEdge: { fromMm: 130, toMm: 280 } },
      ratings: [
        { edge: 'long', fromMm: 340, toMm: 440, upPa: 2400, downPa: 5400 },
        { edge: 'long', fromMm: 300, toMm: 480, upPa: 2200, downPa: 3600 },
        { edge: 'short', fromMm: 130, toMm: 280, upPa: 1600, downPa: 2000 },
      ],
    },
  ],
  rails: [
    {
      ...invented, id: 'bollard-light', maker: 'Bollard Extrusions', name: 'Bollard light rail',
      usualSpanMm: inch(48), greatestSpanMm: inch(64), overhangMm: null, stock: [{ mm: inch(132), price: 35.5 }, { mm: inch(164), price: 38.2 }], massKgPerM: 0.74,
      section: { ...alloy6005, ixMm4: 96_000, zxMm3: 3400, iyMm4: 52_000, zyMm3: 2500, shearAreaMm2: 110 }, longestRunMm: inch(40 * 12),
      splice: { partName: 'Bollard light splice bar', price: 4.1, barMm: inch(8), bonds: true, clearMm: inch(1), continuity: 'full', midspanShare: 0, endSpans: true, bridgeMm: inch(0.25) },
      endCapName: 'Bollard light end cap', frame: null,
    },
    {
      ...invented, id: 'bollard-deep', maker: 'Bollard Extrusions', name: 'Bollard deep rail',
      usualSpanMm: inch(60), greatestSpanMm: inch(84), overhangMm: inch(26), stock: [{ mm: inch(164), price: 52.4 }, { mm: inch(206), price: 64.9 }], massKgPerM: 1.12,
      section: { ...alloy6005, ixMm4: 280_000, zxMm3: 7400, iyMm4: 95_000, zyMm3: 4200, shearAreaMm2: 170 }, longestRunMm: inch(40 * 12),
      splice: { partName: 'Bollard deep splice bar', price: 5.3, barMm: inch(10), bonds: true, clearMm: inch(1), continuity: 'full', midspanShare: 0, endSpans: true, bridgeMm: inch(0.25) },
      endCapName: 'Bollard deep end cap', frame: null,
    },
    {
      ...invented, id: 'hawser-mid', maker: 'Hawser Profiles', name: 'Hawser 42 rail',
      usualSpanMm: 1300, greatestSpanMm: 1600, overhangMm: 450, stock: [{ mm: 3300, price: 27.3 }, { mm: 4400, price: 35.8 }], massKgPerM: 0.86,
      section: { ...alloy6063, ixMm4: 79_000, zxMm3: 3600, iyMm4: 56_000, zyMm3: 2800, shearAreaMm2: 130 }, longestRunMm: 12_000,
      splice: { partName: 'Hawser 42 splice bar', price: 3.6, barMm: 220, bonds: true, clearMm: 30, continuity: 'full', midspanShare: 0.2, endSpans: true, bridgeMm: 10 },
      endCapName: 'Hawser 42 end cap', frame: null,
    },
    {
      ...invented, id: 'thole-coupled', maker: 'Thole & Rowlock', name: 'Thole coupled frames (no rail)',
      usualSpanMm: inch(48), greatestSpanMm: inch(72), overhangMm: inch(14), stock: [], massKgPerM: 0,
      section: { ...alloy6063, ixMm4: 74_000, zxMm3: 3900, iyMm4: 21_000, zyMm3: 1300, shearAreaMm2: 120 }, longestRunMm: inch(38 * 12),
      splice: { partName: 'Thole frame coupler', price: 5.8, barMm: inch(3), bonds: true, clearMm: inch(0.75), continuity: 'full', midspanShare: 0, endSpans: true, bridgeMm: 0 },
      endCapName: 'Thole skirt end',
      frame: { rowGapMm: inch(0.5), cornerMm: inch(3), upPa: 2400, downPa: 3600, skirt: { name: 'Thole skirt', mm: inch(86), price: 31.5, massKgPerM: 0.9 } },
    },
  ],
  mounts: [
    {
      ...invented, id: 'thole-edge-foot', maker: 'Thole & Rowlock', name: 'Thole edge foot', coverings: ['coursed-shingle'], into: ['rafters'],
      fasteners: {
        kind: 'lag',
        diameterMm: inch(5 / 16),
        lengthMm: inch(3.5),
        tipMm: inch(0.25),
        yieldMpa: psi(45_000),
        pilotMm: inch(3 / 16),
        edgeDiameters: 1.5,
        acrossMm: [0],
        alongMm: null,
        threadMm: null,
        rootMm: null,
        approval: null,
      },
      resistances: [
        allowable(690, 1080, 460),
        design(4300, 6900, 2900),
      ], underMm: inch(0.25), plateMm: 4.5, offsetMm: 0, heelMm: 52, standoffMm: 70, hook: null, leastSheathingMm: null, greatestSpanMm: inch(72), price: 17.2,
      halfFootprintMm: inch(1.5), screw: { name: 'Lag screw 5/16 x 3 1/2 in', perMount: 1, pilot: '3/16 in pilot, about 2 in deep' }, torqueNm: 16,
      sealant: 'Inverted U under the flashing, open below', tools: [
        '1/2 in hex socket',
        '3/16 in bit with a stop at 2 in',
        'Flat bar for nails and shingle',
      ], massKg: 0.83, closures: closures['thole-edge-foot'],
    },
    {
      ...invented, id: 'limpet-flashed', maker: 'Limpet Fixings', name: 'Limpet flashed foot', coverings: ['coursed-shingle'], into: ['rafters'],
      fasteners: {
        kind: 'lag',
        diameterMm: inch(5 / 16),
        lengthMm: inch(3),
        tipMm: inch(0.25),
        yieldMpa: psi(45_000),
        pilotMm: inch(3 / 16),
        edgeDiameters: 1.5,
        acrossMm: [0],
        alongMm: null,
        threadMm: null,
        rootMm: null,
        approval: null,
      },
      resistances: [allowable(760, 1150, 420)], underMm: inch(0.2), plateMm: 4.8, offsetMm: 12, heelMm: 36, standoffMm: 85, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 11.4,
      halfFootprintMm: inch(1.25), screw: { name: 'Lag screw 5/16 x 3 in', perMount: 1, pilot: '3/16 in pilot, about 2 in deep' }, torqueNm: 14,
      sealant: 'Inverted U under the flashing, open below', tools: [
        '1/2 in hex socket',
        '3/16 in bit with a stop at 2 in',
        'Flat bar for nails and shingle',
      ], massKg: 0.61, closures: closures['limpet-flashed'],
    },
    {
      ...invented, id: 'limpet-four', maker: 'Limpet Fixings', name: 'Limpet four-screw foot', coverings: ['coursed-shingle'], into: ['rafters'],
      fasteners: {
        kind: 'wood-screw',
        diameterMm: inch(1 / 4),
        lengthMm: inch(3),
        tipMm: inch(0.25),
        yieldMpa: psi(110_000),
        pilotMm: null,
        edgeDiameters: 1.5,
        acrossMm: [inch(-0.25), inch(0.25)],
        alongMm: 32,
        threadMm: inch(2),
        rootMm: null,
        approval: 'Limpet approval L-7 (invented): edge 1.5 d, 5 d apart, members from 38 mm',
      },
      resistances: [
        allowable(820, 1240, 520),
        design(5200, 7900, 3300),
      ], underMm: inch(0.25), plateMm: 4, offsetMm: 0, heelMm: 45, standoffMm: 60, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 9.8,
      halfFootprintMm: inch(2), screw: { name: 'Structural screw 1/4 x 3 in', perMount: 4, pilot: 'No pilot; every screw must be in timber' }, torqueNm: 15,
      sealant: 'Butyl pad under the foot, unbroken', tools: ['5/16 in hex driver bit', 'Flat bar for nails and shingle'], massKg: 0.48, closures: closures['limpet-four'],
    },
    {
      ...invented, id: 'limpet-sheathing', maker: 'Limpet Fixings', name: 'Limpet sheathing foot', coverings: ['coursed-shingle'], into: ['sheathing'], fasteners: null,
      resistances: [allowable(265, 900, 240)], underMm: inch(0.25), plateMm: 4, offsetMm: 0, heelMm: 55, standoffMm: 60, hook: null, leastSheathingMm: inch(15 / 32), greatestSpanMm: inch(48), price: 10.6,
      halfFootprintMm: inch(2.25), screw: { name: 'Sheathing screw 1/4 x 2 in', perMount: 6, pilot: 'No pilot; every screw must bite in sound sheathing' }, torqueNm: 13,
      sealant: 'Butyl pad under the foot, unbroken', tools: ['5/16 in hex driver bit'], massKg: 0.55, closures: closures['limpet-sheathing'],
    },
    {
      ...invented, id: 'windlass-flashed', maker: 'Windlass Roof Hardware', name: 'Windlass flashed post', coverings: ['coursed-shingle'], into: ['rafters', 'purlins'],
      fasteners: hangerScrew80,
      resistances: [design(4100, 6200, 2300)], underMm: 6, plateMm: 5, offsetMm: 0, heelMm: 42, standoffMm: 95, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 12.2,
      halfFootprintMm: 40, screw: { name: 'Hanger screw 8 x 80 mm', perMount: 2, pilot: '5 mm pilot, 55 mm deep' }, torqueNm: 15,
      sealant: 'Inverted U under the flashing, open below', tools: [
        '13 mm socket',
        '5 mm bit with a stop at 55 mm',
        'Flat bar for nails and shingle',
      ], massKg: 0.72, closures: closures['windlass-flashed'],
    },
    {
      ...invented, id: 'windlass-tile-hook', maker: 'Windlass Roof Hardware', name: 'Windlass tile hook', coverings: ['interlocking-tile', 'plain-tile'], into: ['rafters'],
      fasteners: {
        kind: 'wood-screw',
        diameterMm: 6,
        lengthMm: 100,
        tipMm: 6,
        yieldMpa: 600,
        pilotMm: 4,
        edgeDiameters: 2.5,
        acrossMm: [0],
        alongMm: 45,
        threadMm: 70,
        rootMm: 4.2,
        approval: 'Windlass approval W-14 (invented): edge 2.5 d, 7 d apart, members from 40 mm',
      },
      resistances: [design(1900, 2350, 1500)], underMm: 5, plateMm: 5, offsetMm: 32, heelMm: 60, standoffMm: 55, hook: {
        stiffnessNPerMm: 420,
        clearMm: 5,
        armMm: 34,
        travelMm: 78,
      }, leastSheathingMm: null, greatestSpanMm: null, price: 13.7,
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 100 mm', perMount: 2, pilot: '4 mm pilot, 70 mm deep' }, torqueNm: 14,
      sealant: 'Notch the tile above until it lies flat: it sheds the water, no sealant', tools: [
        'Torx 30 bit',
        '4 mm bit with a stop at 70 mm',
        'Grinder with a dry diamond disc, for notches',
      ], massKg: 0.94, closures: closures['windlass-tile-hook'],
    },
    {
      ...invented, id: 'windlass-slate-hook', maker: 'Windlass Roof Hardware', name: 'Windlass slate hook', coverings: ['slate'], into: ['rafters'],
      fasteners: hookScrew80,
      resistances: [design(1750, 2250, 1400)], underMm: 4, plateMm: 4, offsetMm: 28, heelMm: 60, standoffMm: 45, hook: {
        stiffnessNPerMm: 460,
        clearMm: 6,
        armMm: 30,
        travelMm: 0,
      }, leastSheathingMm: null, greatestSpanMm: null, price: 14.9,
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 80 mm', perMount: 2, pilot: '4 mm pilot, 60 mm deep' }, torqueNm: 14,
      sealant: 'Flashing over the slot, foam under its cap', tools: [
        'Torx 30 bit',
        '4 mm bit with a stop at 60 mm',
        'Slate ripper',
        'Slate cutter',
      ], massKg: 0.88, closures: closures['windlass-slate-hook'],
    },
    {
      ...invented, id: 'windlass-tile-post', maker: 'Windlass Roof Hardware', name: 'Windlass tile post', coverings: ['interlocking-tile'], into: ['rafters'],
      fasteners: hookScrew80,
      resistances: [design(2300, 4200, 1700)], underMm: 5, plateMm: 5, offsetMm: 0, heelMm: 45, standoffMm: 60, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 16.4,
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 80 mm', perMount: 2, pilot: '4 mm pilot, 60 mm deep' }, torqueNm: 14,
      sealant: 'Shaped flashing over the cored tile, cap over the post', tools: ['Torx 30 bit', '4 mm bit with a stop at 60 mm', '76 mm diamond core, with water'], massKg: 1.06, closures: closures['windlass-tile-post'],
    },
    {
      ...invented, id: 'windlass-strip-post', maker: 'Windlass Roof Hardware', name: 'Windlass strip post', coverings: ['interlocking-tile'], into: ['rafters'],
      fasteners: hangerScrew80,
      resistances: [design(4100, 6200, 2300)], underMm: 6, plateMm: 5, offsetMm: 0, heelMm: 42, standoffMm: 95, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 12.2,
      halfFootprintMm: 40, screw: { name: 'Hanger screw 8 x 80 mm', perMount: 2, pilot: '5 mm pilot, 55 mm deep' }, torqueNm: 15,
      sealant: 'Flashed on the shingle below; tiles go back round the array', tools: [
        '13 mm socket',
        '5 mm bit with a stop at 55 mm',
        'Flat bar for nails and shingle',
      ], massKg: 0.72, closures: closures['windlass-strip-post'],
    },
    {
      ...invented, id: 'windlass-slate-plate', maker: 'Windlass Roof Hardware', name: 'Windlass slate plate', coverings: ['slate'], into: ['rafters'],
      fasteners: hookScrew80,
      resistances: [design(2100, 3600, 1700)], underMm: 5, plateMm: 5, offsetMm: 0, heelMm: 45, standoffMm: 45, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 15.8,
      halfFootprintMm: 45, screw: { name: 'Hook screw 6 x 80 mm', perMount: 2, pilot: '4 mm pilot, 60 mm deep' }, torqueNm: 14,
      sealant: 'Flashing over the holes, gasket on the post', tools: ['Torx 30 bit', '4 mm bit with a stop at 60 mm', 'Slate ripper'], massKg: 0.97, closures: closures['windlass-slate-plate'],
    },
    {
      ...invented, id: 'windlass-metal-tile', maker: 'Windlass Roof Hardware', name: 'Windlass metal-tile bracket', coverings: ['pressed-metal-tile'], into: ['rafters', 'purlins'],
      fasteners: {
        kind: 'wood-screw',
        diameterMm: 8,
        lengthMm: 120,
        tipMm: 8,
        yieldMpa: 480,
        pilotMm: 5,
        edgeDiameters: 1.5,
        acrossMm: [0],
        alongMm: null,
        threadMm: 80,
        rootMm: null,
        approval: 'Windlass approval W-11 (invented): edge 1.5 d, 7 d apart, members from 45 mm',
      },
      resistances: [design(3000, 4600, 1500)], underMm: 45, plateMm: 5, offsetMm: 0, heelMm: 38, standoffMm: 80, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 11.9,
      halfFootprintMm: 35, screw: { name: 'Hanger screw 8 x 120 mm', perMount: 1, pilot: '5 mm pilot, 70 mm deep' }, torqueNm: 12,
      sealant: 'Gasket under the flange, bead round the hole', tools: ['13 mm socket', '5 mm bit with a stop at 70 mm'], massKg: 0.58, closures: closures['windlass-metal-tile'],
    },
    {
      ...invented, id: 'cleat-sheet-foot', maker: 'Cleat & Thimble', name: 'Cleat sheet foot', coverings: ['screwed-sheet'], into: ['screws', 'purlins'],
      fasteners: {
        kind: 'wood-screw',
        diameterMm: 6.3,
        lengthMm: 90,
        tipMm: 8,
        yieldMpa: 550,
        pilotMm: null,
        edgeDiameters: 1.5,
        acrossMm: [0],
        alongMm: null,
        threadMm: 60,
        rootMm: null,
        approval: 'Cleat approval C-3 (invented): edge 1.5 d, members from 40 mm',
      },
      resistances: [
        allowable(330, 820, 260),
        design(2300, 5200, 1700),
      ], underMm: 38, plateMm: 3, offsetMm: 8, heelMm: 30, standoffMm: 70, hook: null, leastSheathingMm: null, greatestSpanMm: null, price: 6.9,
      halfFootprintMm: 25, screw: { name: 'Sheet screw 6.3 x 90 mm with gasket', perMount: 1, pilot: 'In the hole of the screw that was taken out' }, torqueNm: 10,
      sealant: 'The screw’s own gasket, upright towards the ridge', tools: ['10 mm hex driver bit'], massKg: 0.31, closures: closures['cleat-sheet-foot'],
    },
    {
      ...invented, id: 'cleat-seam', maker: 'Cleat & Thimble', name: 'Cleat seam clamp', coverings: ['standing-seam'], into: ['seams'], fasteners: null,
      resistances: [
        allowable(480, 900, 310),
        design(3000, 5600, 1950),
      ], underMm: 0, plateMm: 3, offsetMm: 0, heelMm: 30, standoffMm: 55, hook: null, leastSheathingMm: null, greatestSpanMm: inch(54), price: 8.8,
      halfFootprintMm: 30, screw: { name: 'Set screw M8', perMount: 2, pilot: 'No pilot: pierce nothing' }, torqueNm: 17,
      sealant: 'No sealant: the seam stays whole', tools: ['6 mm hex key bit'], massKg: 0.36, closures: closures['cleat-seam'],
    },
    {
      ...invented, id: 'cleat-bulb', maker: 'Cleat & Thimble', name: 'Cleat bulb clamp', coverings: ['standing-seam'], into: ['seams'], fasteners: null,
      resistances: [
        allowable(360, 900, 260),
        design(2250, 5600, 1600),
      ], underMm: 0, plateMm: 3, offsetMm: 0, heelMm: 30, standoffMm: 55, hook: null, leastSheathingMm: null, greatestSpanMm: inch(54), price: 9.6,
      halfFootprintMm: 30, screw: { name: 'Set screw M8', perMount: 2, pilot: 'No pilot: pierce nothing' }, torqueNm: 17,
      sealant: 'No sealant: the seam stays whole', tools: ['6 mm hex key bit'], massKg: 0.36, closures: closures['cleat-bulb'],
    },
  ],
  clamps: [
    {
      ...invented, id: 'thole-grip', maker: 'Thole & Rowlock', name: 'Thole edge grips (on the foot)', thicknessMm: { fromMm: 30, toMm: 36 },
      gapMm: inch(0.5), railPastMm: 0, torqueNm: 16, bonds: 'Listed for bonding (invented), with its rail', bolt: {
        name: 'Edge grip bolt M8',
        enters: 'slot',
      }, resistances: [allowable(690, 1080, 460)],
    },
    {
      ...invented, id: 'pinch-inch', maker: 'Bollard Extrusions', name: 'Pinch clamps, one inch past', thicknessMm: { fromMm: 30, toMm: 40 },
      gapMm: inch(0.5), railPastMm: inch(1), torqueNm: 14, bonds: 'Listed for bonding (invented), with its rail', bolt: {
        name: 'Twist bolt M8',
        enters: 'slot',
      }, resistances: [allowable(520, 1500, 190)],
    },
    {
      ...invented, id: 'pinch-hidden', maker: 'Bollard Extrusions', name: 'Pinch hidden end clamps', thicknessMm: { fromMm: 30, toMm: 33 },
      gapMm: inch(0.25), railPastMm: 0, torqueNm: 11, bonds: 'Listed for bonding (invented), with its rail', bolt: {
        name: 'Twist bolt M6',
        enters: 'slot',
      }, resistances: [allowable(430, 1500, 160)],
    },
    {
      ...invented, id: 'hawser-grip', maker: 'Hawser Profiles', name: 'Hawser grip clamps', thicknessMm: { fromMm: 28, toMm: 38 },
      gapMm: 18, railPastMm: 30, torqueNm: 12, bonds: 'Listed for bonding (invented), with its rail', bolt: {
        name: 'Hammer-head bolt M8 x 20',
        enters: 'end',
      }, resistances: [design(3300, 9000, 1250)],
    },
  ],
  supplies: [...supplies, ...inRoofSupplies, ...electricalSupplies],
  inRoofs, electronics, trunks, inverters, approvals, coverings, sets, pairs,
}
