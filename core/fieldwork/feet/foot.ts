import type { Feet } from '../../job'

/** One foot to be set: its place in the plane that is sought, the line it stands on, and how high the covering is there. */
export interface Foot {
  id: string
  line: string
  /** Along the eave and up the slope, mm. */
  xMm: number
  yMm: number
  /** Height of the covering above the roof's own mean plane, or along one line above its mean, mm. */
  roofMm: number
}

/** What feet may be set to. */
export type FeetLimits = Pick<Feet, 'lowestMm' | 'highestMm' | 'shimsMm' | 'mostShims' | 'greatestMm'>

/** A plane over the roof's mean plane: height at nought, and rises in mm for each metre along and up. */
export interface SeatPlane { atMm: number, alongPerM: number, upPerM: number }

/** The plane of the seats keeps to so much of the roof, both ways together, degrees. */
export const MOST_TILT_DEG = 2
export const MOST_TILT_PER_M = 1000 * Math.tan(MOST_TILT_DEG * Math.PI / 180)

export const planeAt = ({ atMm, alongPerM, upPerM }: SeatPlane, { xMm, yMm }: Pick<Foot, 'xMm' | 'yMm'>): number => atMm + alongPerM * xMm / 1000 + upPerM * yMm / 1000

/** Heights of a seat, mm, above the covering or above the mean plane. */
export interface Stretch { fromMm: number, toMm: number }

/** Heights between which a seat may come with shims of a thickness under its foot, above the covering, mm. */
export const reachOf = ({ lowestMm, highestMm, greatestMm }: FeetLimits, shimMm: number): Stretch =>
  ({ fromMm: lowestMm + shimMm, toMm: Math.min(highestMm + shimMm, greatestMm ?? Infinity) })

/** Shims under one foot. */
export interface Stack { mm: number, sizes: number[] }

/** Thicknesses that so many shims make, each once, thinnest first. */
export function stacks({ shimsMm }: Pick<FeetLimits, 'shimsMm'>, pieces: number): Stack[] {
  let all: number[][] = [[]]
  for (let k = 0; k < pieces; k++) all = all.flatMap(sizes => shimsMm.filter(mm => mm >= (sizes.at(-1) ?? 0)).map(mm => [...sizes, mm]))
  const byMm = new Map(all.map(sizes => [Math.round(sizes.reduce((a, b) => a + b, 0) * 1000), sizes]))
  return [...byMm].map(([thousandths, sizes]) => ({ mm: thousandths / 1000, sizes })).sort((a, b) => a.mm - b.mm)
}
