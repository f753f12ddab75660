/** Tubes that conductors are pulled into. */
export const racewayKinds = ['emt', 'pvc-40', 'pvc-80', 'rmc', 'lfmc', 'conduit-en'] as const
export type RacewayKind = typeof racewayKinds[number]
export const racewayNames: Record<RacewayKind, string> = { 'emt': 'EMT', 'pvc-40': 'PVC schedule 40', 'pvc-80': 'PVC schedule 80', 'rmc': 'Rigid metal conduit', 'lfmc': 'Liquidtight flexible metal', 'conduit-en': 'Plastic conduit' }
export const isMetal = (kind: RacewayKind): boolean => kind === 'emt' || kind === 'rmc' || kind === 'lfmc'

const MM2_PER_IN2 = 645.16
export const tradeSizes = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3'] as const
export const enSizes = ['20', '25', '32', '40', '50'] as const
export const racewaySizes = [...tradeSizes, ...enSizes] as const
export type RacewaySize = typeof racewaySizes[number]

/** Whole inside areas, in² (NEC chapter 9, table 4, from memory). */
const AREA: Record<Exclude<RacewayKind, 'conduit-en'>, number[]> = {
  'emt': [0.304, 0.533, 0.864, 1.496, 2.036, 3.356, 5.858, 8.846],
  'pvc-40': [0.285, 0.508, 0.832, 1.453, 1.986, 3.291, 4.695, 7.268],
  'pvc-80': [0.217, 0.409, 0.688, 1.237, 1.711, 2.874, 4.119, 6.442],
  'rmc': [0.314, 0.549, 0.887, 1.526, 2.071, 3.408, 4.866, 7.499],
  'lfmc': [0.314, 0.541, 0.873, 1.528, 1.981, 3.246, 4.881, 7.475],
}
/** Inside diameters of rigid plastic conduit, medium wall, mm (from memory). */
const INSIDE_EN = [16.9, 21.4, 27.8, 35.4, 44.3]

/** Sizes of a kind, narrowest first, with their whole inside area, mm². */
export const sizesOfRaceway = (kind: RacewayKind): { size: RacewaySize, mm2: number }[] => kind === 'conduit-en'
  ? enSizes.map((size, i) => ({ size, mm2: Math.PI * INSIDE_EN[i]! ** 2 / 4 }))
  : tradeSizes.map((size, i) => ({ size, mm2: AREA[kind][i]! * MM2_PER_IN2 }))

/** Shares that may be filled: one, two, more (NEC chapter 9, table 1), and a nipple to 24 in (note 4). */
export interface FillShares { one: number, two: number, more: number, nipple: number }
export const shareToFill = (shares: FillShares, conductors: number, nipple: boolean): number => nipple ? shares.nipple : conductors === 1 ? shares.one : conductors === 2 ? shares.two : shares.more

export interface Filled { size: RacewaySize, insideMm2: number, takenMm2: number, share: number, limit: number, fits: boolean }

/** How full a raceway of one size is. @throws where the kind has no such size */
export function filled(kind: RacewayKind, size: RacewaySize, areasMm2: number[], shares: FillShares, nipple: boolean): Filled {
  const own = sizesOfRaceway(kind).find(one => one.size === size)
  if (!own) throw new Error(`${kind} is not made in ${size}`)
  const takenMm2 = areasMm2.reduce((sum, mm2) => sum + mm2, 0)
  const limit = shareToFill(shares, areasMm2.length, nipple)
  const share = takenMm2 / own.mm2
  // Of conductors all alike a remainder of 0.8 and more counts as one more (chapter 9, note 7).
  const alike = kind !== 'conduit-en' && areasMm2.length > 2 && areasMm2.every(mm2 => mm2 === areasMm2[0]) && limit * own.mm2 / areasMm2[0]! >= areasMm2.length - 0.2 - 1e-9
  return { size, insideMm2: own.mm2, takenMm2, share, limit, fits: alike || share <= limit + 1e-9 }
}

/** The narrowest that holds them; null where none does. */
export const narrowest = (kind: RacewayKind, areasMm2: number[], shares: FillShares, nipple: boolean): Filled | null =>
  sizesOfRaceway(kind).map(({ size }) => filled(kind, size, areasMm2, shares, nipple)).find(one => one.fits) ?? null

/** Holes in a box’s side for a connector, mm: trade sizes by their punch (common practice), metric ones by name. */
const HOLE: Record<RacewaySize, number> = { '1/2': 22.2, '3/4': 27.8, '1': 34.1, '1-1/4': 43.7, '1-1/2': 50, '2': 62.7, '2-1/2': 73, '3': 88.9, '20': 20.3, '25': 25.3, '32': 32.3, '40': 40.4, '50': 50.4 }
export const holeMm = (size: RacewaySize): number => HOLE[size]
/** Between the middles of two holes side by side, mm: half of both locknuts and room for a wrench (common practice). */
export const holesApartMm = (a: RacewaySize, b: RacewaySize): number => (HOLE[a] + HOLE[b]) / 2 * 1.35 + 10

/** Supports: so far apart and so far from a box, mm (NEC 344.30, 350.30, 352.30, 358.30, from memory; Europe: common practice). */
export function supportsOf(kind: RacewayKind, size: RacewaySize): { everyMm: number, fromBoxMm: number } {
  switch (kind) {
    case 'emt': case 'rmc': return { everyMm: 3048, fromBoxMm: 914 }
    case 'lfmc': return { everyMm: 1372, fromBoxMm: 305 }
    case 'conduit-en': return { everyMm: 1000, fromBoxMm: 300 }
    default: return { everyMm: ['1/2', '3/4', '1'].includes(size) ? 914 : 1524, fromBoxMm: 914 }
  }
}

/** Lengthening of plastic, mm: 6.084e-5 a K (NEC table 352.44); a fitting is wanted from 1/4 in. Metal: none asked for on a house. */
export const expansionMm = (kind: RacewayKind, mm: number, rangeK: number): number => isMetal(kind) ? 0 : 6.084e-5 * mm * rangeK
export const EXPANSION_FITTING_MM = 6.35
