import type { Approval, InRoof, Supply } from '../schema'
import { inventedSource } from './source'

const invented = { source: inventedSource('plausible, not tested'), figureSources: {}, retired: false, replaces: null }

/** Invented systems for an array that replaces the covering. Read a real maker's manual before building. */
export const inRoofs: InRoof[] = [
  {
    ...invented, id: 'saltings-tray', maker: 'Saltings Sheet Works', name: 'Saltings tray', kind: 'tray', coverings: ['interlocking-tile', 'plain-tile', 'slate'],
    leastPitchDeg: 18, greatestPitchDeg: 60, mostRows: 6, waysUp: ['upright', 'on-side'], columnGapMm: 24, rowGapMm: 18, changeCourses: 3, apartMm: 640,
    bottom: { downMm: 300, lapMm: 100, clearMm: 10, stockMm: 1280, overlapMm: 110 }, top: { upMm: 280, lapMm: 120, gapMm: 30, stockMm: 1280, overlapMm: 110 },
    side: { outMm: 210, gapMm: 45, stockMm: 1450, overlapMm: 120 }, innerCorners: true, oneRowSides: false,
    windowSets: [
      { name: 'Cover set, window to 600 x 1000', wideFromMm: 450, wideToMm: 600, highFromMm: 600, highToMm: 1000 },
      { name: 'Cover set, window to 800 x 1200', wideFromMm: 601, wideToMm: 800, highFromMm: 700, highToMm: 1200 },
      { name: 'Cover set, window to 1200 x 1450', wideFromMm: 801, wideToMm: 1200, highFromMm: 700, highToMm: 1450 },
    ],
    window: { nearMm: 60, farMm: 1200, tiledMm: 700 },
    lines: [
      { wayUp: 'upright', fromMm: 330, toMm: 420, screws: 2, insetMm: 70 }, { wayUp: 'upright', fromMm: 850, toMm: 930, screws: 2, insetMm: 70 }, { wayUp: 'upright', fromMm: 1300, toMm: 1390, screws: 2, insetMm: 70 },
      { wayUp: 'on-side', fromMm: 180, toMm: 260, screws: 3, insetMm: 80 }, { wayUp: 'on-side', fromMm: 760, toMm: 850, screws: 3, insetMm: 80 },
    ],
    screw: { name: 'Tray screw 5.5 x 40 mm', diameterMm: 5.5, threadMm: 32, leastMm: 20, edgeMm: 8, pullThrough: [{ format: 'en', n: 900 }, { format: 'asd', n: 560 }] },
    clamps: 4, holds: [{ format: 'en', upPa: 3100, downPa: 5400, slopePa: 1500 }, { format: 'asd', upPa: 1900, downPa: 3600, slopePa: 950 }], relief: null, kitKg: 4.2,
    underlayBelowDeg: 25, underlay: 'below it a closed underlay with taped laps, and 10 mm of air along the eave', cable: 'up through the gland in the tray’s upper corner, then through a collar in the underlay with a drip loop below it',
    moduleMinutes: 26, pieceMinutes: 7, tools: ['Shears for sheet', 'Seamer', 'Saw for battens', 'Torque wrench'],
  },
  {
    ...invented, id: 'foreshore-frame', maker: 'Foreshore Roofing Glass', name: 'Foreshore frame', kind: 'frame', coverings: ['interlocking-tile', 'plain-tile', 'slate'],
    leastPitchDeg: 22, greatestPitchDeg: 55, mostRows: 8, waysUp: ['upright', 'on-side'], columnGapMm: 8, rowGapMm: 6, changeCourses: 4, apartMm: 560,
    bottom: { downMm: 240, lapMm: 90, clearMm: 0, stockMm: 1220, overlapMm: 80 }, top: { upMm: 260, lapMm: 100, gapMm: 25, stockMm: 1220, overlapMm: 80 },
    side: { outMm: 160, gapMm: 35, stockMm: 920, overlapMm: 100 }, innerCorners: true, oneRowSides: true,
    windowSets: [
      { name: 'Window surround, to 700 x 1200', wideFromMm: 450, wideToMm: 700, highFromMm: 600, highToMm: 1200 },
      { name: 'Window surround, to 1100 x 1450', wideFromMm: 701, wideToMm: 1100, highFromMm: 700, highToMm: 1450 },
    ],
    window: { nearMm: 80, farMm: 700, tiledMm: 900 },
    lines: [
      { wayUp: 'upright', fromMm: 110, toMm: 340, screws: 2, insetMm: 28 }, { wayUp: 'upright', fromMm: 800, toMm: 890, screws: 2, insetMm: 28 }, { wayUp: 'upright', fromMm: 1470, toMm: 1560, screws: 2, insetMm: 28 },
      { wayUp: 'on-side', fromMm: 90, toMm: 320, screws: 3, insetMm: 40 }, { wayUp: 'on-side', fromMm: 810, toMm: 900, screws: 3, insetMm: 40 },
    ],
    screw: { name: 'Frame screw 6 x 45 mm, stainless', diameterMm: 6, threadMm: 34, leastMm: 20, edgeMm: 9, pullThrough: [{ format: 'en', n: 1250 }, { format: 'asd', n: 800 }] },
    clamps: 0, holds: [{ format: 'en', upPa: 3600, downPa: 5000, slopePa: 1800 }, { format: 'asd', upPa: 2200, downPa: 3300, slopePa: 1150 }], relief: { share: 0.7, test: 'Foreshore report F-31 (invented): full-size rig, gusts' }, kitKg: 1.9,
    underlayBelowDeg: 30, underlay: 'below it an underlay of the watertight kind, lapped 200 mm, and vents at eave and ridge', cable: 'between two battens under the upper flashing, through a collar in the underlay with a drip loop below it',
    moduleMinutes: 16, pieceMinutes: 5, tools: ['Shears for sheet', 'Torque driver', 'Saw for battens'],
  },
  {
    ...invented, id: 'saltings-low', maker: 'Saltings Sheet Works', name: 'Saltings low tray', kind: 'tray', coverings: ['interlocking-tile', 'slate'],
    leastPitchDeg: 12, greatestPitchDeg: 35, mostRows: 3, waysUp: ['upright'], columnGapMm: 24, rowGapMm: 22, changeCourses: 4, apartMm: 800,
    bottom: { downMm: 420, lapMm: 180, clearMm: 10, stockMm: 1280, overlapMm: 150 }, top: { upMm: 400, lapMm: 200, gapMm: 30, stockMm: 1280, overlapMm: 150 },
    side: { outMm: 260, gapMm: 50, stockMm: 1450, overlapMm: 160 }, innerCorners: false, oneRowSides: false, windowSets: [], window: { nearMm: 0, farMm: 0, tiledMm: 900 },
    lines: [{ wayUp: 'upright', fromMm: 330, toMm: 420, screws: 3, insetMm: 70 }, { wayUp: 'upright', fromMm: 850, toMm: 930, screws: 3, insetMm: 70 }, { wayUp: 'upright', fromMm: 1300, toMm: 1390, screws: 3, insetMm: 70 }],
    screw: { name: 'Tray screw 5.5 x 40 mm', diameterMm: 5.5, threadMm: 32, leastMm: 20, edgeMm: 8, pullThrough: [{ format: 'en', n: 900 }, { format: 'asd', n: 560 }] },
    clamps: 6, holds: [{ format: 'en', upPa: 3100, downPa: 5400, slopePa: null }, { format: 'asd', upPa: 1900, downPa: 3600, slopePa: null }], relief: null, kitKg: 5.6,
    underlayBelowDeg: 35, underlay: 'below it a watertight layer on boards, turned up at its sides', cable: 'up through the gland in the tray’s upper corner, then through a welded collar in the layer below',
    moduleMinutes: 30, pieceMinutes: 9, tools: ['Shears for sheet', 'Seamer', 'Saw for battens', 'Torque wrench'],
  },
]

const approval = (id: string, moduleId: string, systemId: string, name: string, test: string, fireClass: Approval['fireClass'], on: string): Approval =>
  ({ ...invented, id, maker: systemId.startsWith('saltings') ? 'Saltings Sheet Works' : 'Foreshore Roofing Glass', name, moduleId, systemId, test, fireClass, on })

/** Modules that the invented makers tested with their systems: the choice is narrow, and newer modules come late. */
export const approvals: Approval[] = [
  approval('skerry-390-saltings-tray', 'skerry-390', 'saltings-tray', 'Skerry 390 on Saltings tray', 'Report S-108 (invented)', 'broof-t4', '2025-03-14'),
  approval('skerry-425-saltings-tray', 'skerry-425', 'saltings-tray', 'Skerry 425 on Saltings tray', 'Report S-131 (invented)', 'broof-t4', '2026-06-02'),
  approval('skerry-390-foreshore-frame', 'skerry-390', 'foreshore-frame', 'Skerry 390 in Foreshore frame', 'Report F-27 (invented)', 'broof-t4', '2025-09-22'),
  approval('skerry-390-saltings-low', 'skerry-390', 'saltings-low', 'Skerry 390 on Saltings low tray', 'Report S-119 (invented)', 'broof-t4', '2025-11-10'),
]

const supply = (id: string, kind: Supply['kind'], systemId: string, name: string, massKg: number, packOf: number, price: number): Supply =>
  ({ ...invented, id, kind, maker: systemId.startsWith('saltings') ? 'Saltings Sheet Works' : 'Foreshore Roofing Glass', name, forId: systemId, massKg, packOf, price, holds: null })

/** The pieces of each kit: kind, name, mass of one, pack, price of one. */
const kits: [string, string, [Supply['kind'], string, number, number, number][]][] = [
  ['saltings-tray', 'Saltings', [
    ['tray', 'tray', 3.6, 2, 41], ['tray-clamp', 'tray clamp', 0.09, 20, 2.6], ['bottom-flashing', 'apron 1280 mm', 1.9, 4, 23], ['side-flashing', 'side 1450 mm', 1.4, 4, 17], ['top-flashing', 'head 1280 mm', 1.6, 4, 19],
    ['outer-corner', 'outer corner', 0.9, 2, 15], ['inner-corner', 'inner corner', 1.1, 2, 21], ['joint-up', 'upright joint', 0.7, 4, 8], ['joint-across', 'level joint', 0.6, 4, 7], ['joint-crossing', 'crossing cap', 0.1, 10, 2.4],
    ['joint-cap', 'joint cap', 0.05, 10, 1.6], ['window-set', 'window cover set', 6.5, 1, 172], ['in-roof-screw', 'tray screw 5.5 x 40 mm', 0.007, 100, 0.16], ['sealing-strip', 'sealing strip, 5 m', 0.3, 1, 11],
  ]],
  ['foreshore-frame', 'Foreshore', [
    ['bottom-flashing', 'apron 1220 mm', 1.5, 4, 21], ['side-flashing', 'side 920 mm', 0.8, 4, 12], ['one-row-side', 'side for one row', 2.3, 2, 34], ['top-flashing', 'head 1220 mm', 1.3, 4, 18],
    ['outer-corner', 'outer corner', 0.6, 2, 13], ['inner-corner', 'inner corner', 0.8, 2, 19], ['joint-up', 'clip joint, upright', 0.4, 4, 6.5], ['joint-across', 'clip joint, level', 0.3, 4, 5.5], ['joint-crossing', 'crossing seal', 0.04, 10, 1.9],
    ['joint-cap', 'joint cap', 0.03, 10, 1.2], ['window-set', 'window surround', 5.4, 1, 148], ['in-roof-screw', 'frame screw 6 x 45 mm', 0.009, 100, 0.24], ['sealing-strip', 'sealing strip, 5 m', 0.3, 1, 11],
  ]],
  ['saltings-low', 'Saltings low', [
    ['tray', 'tray', 4.4, 2, 56], ['tray-clamp', 'tray clamp', 0.09, 20, 2.6], ['bottom-flashing', 'apron 1280 mm', 2.4, 4, 29], ['side-flashing', 'side 1450 mm', 1.9, 4, 23], ['top-flashing', 'head 1280 mm', 2.1, 4, 26],
    ['outer-corner', 'outer corner', 1.2, 2, 21], ['joint-up', 'upright joint', 0.9, 4, 11], ['joint-across', 'level joint', 0.8, 4, 9], ['joint-crossing', 'crossing cap', 0.1, 10, 2.8],
    ['joint-cap', 'joint cap', 0.06, 10, 1.9], ['in-roof-screw', 'tray screw 5.5 x 40 mm', 0.007, 100, 0.16], ['sealing-strip', 'sealing strip, 5 m', 0.3, 1, 11],
  ]],
]

export const inRoofSupplies: Supply[] = kits.flatMap(([systemId, brand, pieces]) => pieces.map(([kind, name, massKg, packOf, price]) => supply(`${systemId}-${kind}`, kind, systemId, `${brand} ${name}`, massKg, packOf, price)))
