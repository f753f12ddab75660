import { freeIntervals, intersect, type Interval, type Region } from '../geometry'

/** Where modules of one size may stand: their glass in the usable region, and their flashing on the face and clear of what stands on it. */
export interface Ground {
  region: Region
  /** The face less what flashing can't pass. */
  open: Region
  widthMm: number
  heightMm: number
  /** How far flashing reaches beside, below and above. */
  outMm: number
  downMm: number
  upMm: number
}

/** Places of a module's left edge, mm, where it may stand with its lower edge at a height. */
function leftsExactly({ region, open, widthMm, heightMm, outMm, downMm, upMm }: Ground, bottomMm: number): Interval[] {
  const narrowed = (free: Interval[], leftMm: number, rightMm: number) =>
    free.map(({ fromMm, toMm }) => ({ fromMm: fromMm + leftMm, toMm: toMm - rightMm })).filter(one => one.toMm >= one.fromMm)
  const glass = narrowed(freeIntervals(region, { fromMm: bottomMm, toMm: bottomMm + heightMm }), 0, widthMm)
  return glass.length ? intersect(glass, narrowed(freeIntervals(open, { fromMm: bottomMm - downMm, toMm: bottomMm + heightMm + upMm }), outMm, widthMm + outMm)) : []
}

/** Heights at which the strip or the flashing's strip meets a corner: between two of them places change evenly, but for a kink. */
function eventsOf({ region, open, heightMm, downMm, upMm }: Ground): number[] {
  const corners = (of: Region) => of.flatMap(ring => ring.map(point => point.y))
  return [...new Set([...corners(region).flatMap(y => [y, y - heightMm]), ...corners(open).flatMap(y => [y + downMm, y - heightMm - upMm])])].sort((a, b) => a - b)
}

const NEAR_MM = 1e-6
/** Shorter stretches than this are asked point by point, mm. */
const SHORTEST_MM = 1

interface Piece {
  fromMm: number
  toMm: number
  low: Interval[]
  high: Interval[]
}

/** Places of the left edge at any height; between corners they are read off straight lines, which are checked in their middle. */
export function leftsOver(ground: Ground): { at: (bottomMm: number) => Interval[], events: number[] } {
  const events = eventsOf(ground)
  const known = new Map<number, Piece[]>()
  const exactly = (mm: number) => leftsExactly(ground, mm)
  const split = (fromMm: number, toMm: number, low: Interval[], high: Interval[]): Piece[] => {
    const midMm = (fromMm + toMm) / 2
    const mid = exactly(midMm)
    const even
      = low.length === high.length
        && mid.length === low.length
        && mid.every((one, i) => Math.abs(2 * one.fromMm - low[i]!.fromMm - high[i]!.fromMm) < 1e-4 && Math.abs(2 * one.toMm - low[i]!.toMm - high[i]!.toMm) < 1e-4)
    if (even) return [{ fromMm, toMm, low, high }]
    return toMm - fromMm < SHORTEST_MM ? [] : [...split(fromMm, midMm, low, mid), ...split(midMm, toMm, mid, high)]
  }
  const at = (mm: number): Interval[] => {
    const next = events.findIndex(one => one > mm)
    const [low, high] = [events[next - 1], events[next]]
    if (low === undefined || high === undefined || mm - low < NEAR_MM || high - mm < NEAR_MM) return exactly(mm)
    let pieces = known.get(next)
    if (!pieces)
      known.set(next, (pieces = high - low < 2 * SHORTEST_MM ? [] : split(low + NEAR_MM, high - NEAR_MM, exactly(low + NEAR_MM), exactly(high - NEAR_MM))))
    const own = pieces.find(one => mm >= one.fromMm && mm <= one.toMm)
    if (!own) return exactly(mm)
    const share = (mm - own.fromMm) / (own.toMm - own.fromMm)
    return own.low.map((one, i) => ({ fromMm: one.fromMm + share * (own.high[i]!.fromMm - one.fromMm), toMm: one.toMm + share * (own.high[i]!.toMm - one.toMm) }))
  }
  return { at, events }
}
