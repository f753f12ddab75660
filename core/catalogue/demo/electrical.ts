import type { Electronics, Inverter, Service, Supply, Trunk } from '../schema'
import { inventedSource } from './source'

const invented = { source: inventedSource('plausible, not listed by anybody'), figureSources: {}, retired: false, replaces: null }
const at = <T>(split: T, wye: T, single: T): Record<Service, T> => ({ 'split-240': split, 'wye-208': wye, 'single-230': single })
const none = at(null, null, null)
const bolted = { name: 'Unit bolt M8', torqueNm: 12 }

/** Invented electronics. Read a real maker's manual before building. */
export const electronics: Electronics[] = [
  {
    ...invented, id: 'lantern-unit', maker: 'Lanternhouse Cells', name: 'Lantern unit 290', kind: 'ac-unit', on: 'rail', modules: 1,
    outA: at(1.21, 1.4, 1.26), mostPerBranch: at(13, 11, 14), mostDeviceA: 20, inV: 60, inA: 20, inW: 480, string: null, standbyV: null,
    wideMm: 212, highMm: 175, deepMm: 30, massKg: 1.1, price: 118, inLeadMm: 150, outLeadMm: null, up: 'label', drop: 'below', bolt: bolted, shutdown: 'Lantern listing L-9 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
  {
    ...invented, id: 'lantern-small', maker: 'Lanternhouse Cells', name: 'Lantern unit 240', kind: 'ac-unit', on: 'rail', modules: 1,
    outA: at(1, 1.15, 1.04), mostPerBranch: at(16, 13, 16), mostDeviceA: 20, inV: 60, inA: 18, inW: 440, string: null, standbyV: null,
    wideMm: 205, highMm: 170, deepMm: 28, massKg: 1, price: 96, inLeadMm: 150, outLeadMm: null, up: 'label', drop: 'below', bolt: bolted, shutdown: 'Lantern listing L-9 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
  {
    ...invented, id: 'petrel-pair', maker: 'Petrel Converters', name: 'Petrel pair', kind: 'ac-unit', on: 'rail', modules: 2,
    outA: at(3, 3.46, 3.1), mostPerBranch: at(8, 7, 7), mostDeviceA: 30, inV: 60, inA: 20, inW: 500, string: null, standbyV: null,
    wideMm: 262, highMm: 232, deepMm: 42, massKg: 2.8, price: 196, inLeadMm: 900, outLeadMm: null, up: 'label', drop: 'left', bolt: bolted, shutdown: 'Petrel listing P-2 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
  {
    ...invented, id: 'petrel-four', maker: 'Petrel Converters', name: 'Petrel four', kind: 'ac-unit', on: 'rail', modules: 4,
    outA: at(6.2, 7.1, 6.4), mostPerBranch: at(4, 3, 4), mostDeviceA: 40, inV: 60, inA: 20, inW: 520, string: null, standbyV: null,
    wideMm: 330, highMm: 242, deepMm: 46, massKg: 5.1, price: 338, inLeadMm: 1500, outLeadMm: null, up: 'label', drop: 'below', bolt: bolted, shutdown: 'Petrel listing P-2 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
  {
    ...invented, id: 'garnet-optimiser', maker: 'Garnet Power', name: 'Garnet optimiser', kind: 'optimiser', on: 'frame', modules: 1,
    outA: none, mostPerBranch: none, mostDeviceA: null, inV: 60, inA: 16, inW: 500, string: { least: 8, most: 25, mostW: 6200 }, standbyV: 1,
    wideMm: 139, highMm: 128, deepMm: 43, massKg: 0.7, price: 58, inLeadMm: 120, outLeadMm: 1150, up: 'either', drop: 'below', bolt: null, shutdown: 'Garnet listing G-4 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
  {
    ...invented, id: 'tern-shutdown', maker: 'Tern Safety', name: 'Tern shutdown unit', kind: 'shutdown', on: 'frame', modules: 1,
    outA: none, mostPerBranch: none, mostDeviceA: null, inV: 65, inA: 18, inW: 700, string: { least: 1, most: 30, mostW: null }, standbyV: 0.6,
    wideMm: 130, highMm: 36, deepMm: 22, massKg: 0.4, price: 27, inLeadMm: 200, outLeadMm: 1200, up: 'either', drop: 'below', bolt: null, shutdown: 'Tern listing T-1 (invented), rapid-shutdown equipment', bonds: true, plugs: 'Gannet',
  },
]

export const trunks: Trunk[] = [
  { ...invented, id: 'lantern-trunk-upright', maker: 'Lanternhouse Cells', name: 'Lantern trunk, upright', unitIds: ['lantern-unit', 'lantern-small'], for: 'upright', spacingMm: 1300, listedA: 20, conductor: '12 AWG', price: 17.5, massKg: 0.32 },
  { ...invented, id: 'lantern-trunk-side', maker: 'Lanternhouse Cells', name: 'Lantern trunk, on side', unitIds: ['lantern-unit', 'lantern-small'], for: 'on-side', spacingMm: 2060, listedA: 20, conductor: '12 AWG', price: 22.5, massKg: 0.48 },
  { ...invented, id: 'lantern-trunk-metric', maker: 'Lanternhouse Cells', name: 'Lantern trunk, 2.5 mm²', unitIds: ['lantern-unit', 'lantern-small'], for: 'either', spacingMm: 2100, listedA: 20, conductor: '2.5 mm²', price: 21, massKg: 0.44 },
  { ...invented, id: 'petrel-trunk', maker: 'Petrel Converters', name: 'Petrel trunk', unitIds: ['petrel-pair', 'petrel-four'], for: 'either', spacingMm: 2200, listedA: 24, conductor: '10 AWG', price: 34, massKg: 0.7 },
  { ...invented, id: 'petrel-trunk-metric', maker: 'Petrel Converters', name: 'Petrel trunk, 4 mm²', unitIds: ['petrel-pair', 'petrel-four'], for: 'either', spacingMm: 2300, listedA: 25, conductor: '4 mm²', price: 36, massKg: 0.7 },
]

export const inverters: Inverter[] = [
  { ...invented, id: 'quillon-two', maker: 'Quillon Power', name: 'Quillon 5 kW, two trackers', mostV: 600, windowV: { from: 120, to: 500 }, startV: 100, trackers: [{ inputs: 1, workingA: 14, shortA: 20 }, { inputs: 1, workingA: 14, shortA: 20 }], acW: 5000, outA: at(20.8, 24, 21.7), mostDcW: 7500, heldV: null, unitIds: ['tern-shutdown'], massKg: 17, price: 940 },
  { ...invented, id: 'quillon-five', maker: 'Quillon Power', name: 'Quillon 6 kW, 500 V', mostV: 500, windowV: { from: 100, to: 450 }, startV: 90, trackers: [{ inputs: 2, workingA: 25, shortA: 36 }, { inputs: 1, workingA: 14, shortA: 20 }], acW: 6000, outA: at(25, 28.8, 26), mostDcW: 9000, heldV: null, unitIds: ['tern-shutdown'], massKg: 19, price: 1080 },
  { ...invented, id: 'garnet-held', maker: 'Garnet Power', name: 'Garnet 5 kW', mostV: 480, windowV: { from: 350, to: 420 }, startV: 350, trackers: [{ inputs: 2, workingA: 27, shortA: 45 }], acW: 5000, outA: at(21, 24, 21.7), mostDcW: 7750, heldV: 380, unitIds: ['garnet-optimiser'], massKg: 12, price: 1010 },
  { ...invented, id: 'quillon-high', maker: 'Quillon Power', name: 'Quillon 8 kW, 1000 V', mostV: 1000, windowV: { from: 200, to: 800 }, startV: 180, trackers: [{ inputs: 2, workingA: 26, shortA: 40 }, { inputs: 2, workingA: 26, shortA: 40 }], acW: 8000, outA: at(null, null, 34.8), mostDcW: 12_000, heldV: null, unitIds: ['tern-shutdown'], massKg: 24, price: 1460 },
]

const part = (id: string, kind: Supply['kind'], maker: string, name: string, massKg: number, packOf: number, price: number, forId: string | null = null, holds: number | null = null): Supply =>
  ({ ...invented, id, kind, maker, name, massKg, packOf, price, forId, holds })

/** Caps, terminators and jumpers go with one trunk each. */
const ofTrunk = trunks.flatMap(({ id, maker, name }) => {
  const [brand] = name.split(' ')
  return [
    part(`${id}-cap`, 'outlet-cap', maker, `${brand} outlet cap`, 0.01, 10, 2.2, id),
    part(`${id}-end`, 'terminator', maker, `${brand} terminator`, 0.03, 5, 7.5, id),
    part(`${id}-jumper`, 'jumper', maker, `${brand} trunk joint, pair`, 0.09, 2, 19, id),
  ]
})

export const electricalSupplies: Supply[] = [
  ...ofTrunk,
  part('gull-array-wire', 'cable', 'Gull & Mackerel', 'Array wire, single core, 100 m reel', 7.2, 1, 118, null, 100_000),
  part('gull-home-run', 'home-run', 'Gull & Mackerel', 'Branch home run, three core, 30 m reel', 6.9, 1, 92, null, 30_000),
  part('gannet-plugs', 'plug', 'Gannet Connectors', 'Gannet plug and socket', 0.02, 20, 2.9),
  part('gannet-lead', 'lead-extension', 'Gannet Connectors', 'Extension lead with plug and socket, 1 m', 0.08, 10, 6.4),
  part('gannet-box', 'plug-box', 'Gannet Connectors', 'Enclosure for one plug pair', 0.06, 10, 4.8),
  part('gull-fuse', 'string-fuse', 'Gull & Mackerel', 'String fuse with holder', 0.07, 10, 9.6),
  part('gull-earth', 'earth-wire', 'Gull & Mackerel', 'Earth wire, bare or covered, 30 m reel', 3.9, 1, 64, null, 30_000),
  part('gull-bond', 'bond-jumper', 'Gull & Mackerel', 'Bonding jumper over a joint', 0.05, 10, 4.2),
  part('gull-washer', 'bond-washer', 'Gull & Mackerel', 'Toothed washer', 0.004, 100, 0.3),
  part('gull-grip', 'cord-grip', 'Gull & Mackerel', 'Cord grip for a roof box', 0.03, 10, 3.4),
]
