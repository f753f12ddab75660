import type { Interval } from '../geometry'
import type { Tape } from '../roof'
import type { RailLine } from '../supports'
import type { Working } from '../working'

/** Which of its modules' edges a line lies near; `between` holds the edges of two rows at once. */
export type RailSide = 'lower' | 'upper' | 'left' | 'right' | 'between'

/** A module as one of the lines that carry it sees it. */
export interface CarriedModule {
  /** Its row from the eave and its place in that row from the left, both 0 first. */
  row: number
  module: number
  /** Along the line, mm. */
  fromMm: number
  toMm: number
  /** What of the face loads the line through it, mm on the other axis. */
  band: Interval
  /** Width of module that the line bears, mm. */
  bearsMm: number
}

/** One rail, or one line of coupled frames, as it runs across the face or up it. */
export interface RailPlan extends RailLine {
  id: string
  /** Across the roof from the eave, up the slope from the left; 1 first. */
  number: number
  /** The row it carries, the lowest of them where there are several. */
  row: number
  /** Which run of its row it carries, 0 first from the left; up the slope, which column. */
  block: number
  side: RailSide
  /** Clamp zone at this line, on the axis of `lineMm`. */
  zone: Interval
  inZone: boolean
  /** True when a mount under the line sits whole on one course, as far as the line's place decides that. */
  onCourse: boolean
  /** True when there is something under the line to fix it to, as far as its place decides that. */
  onSupport: boolean
  /** The place nearest the middle of the zone that the supports and the covering allow too; null when there is none. */
  bestMm: number | null
  typed: boolean
  /** The rail's own trimmed ends, mm along it; its `reach` ends at the outer edges of its modules, from where overhangs are measured. */
  fromMm: number
  toMm: number
  carries: CarriedModule[]
  /** The module edge that it holds and how far from the corner; null for a line of frames. */
  holds: { edge: 'long' | 'short', fromCornerMm: number } | null
  /** Where frames are coupled, mm along a line of frames; none on a rail. */
  couplers: number[]
  /** Where no mount may stand, mm along the line, whatever the covering says. */
  keepsOff: Interval[]
  working: Working
}

/** Where a place along a rail is on the face, mm. */
export const onFace = ({ way, lineMm }: Pick<RailPlan, 'way' | 'lineMm'>, atMm: number): { xMm: number, yMm: number } =>
  way === 'across' ? { xMm: atMm, yMm: lineMm } : { xMm: lineMm, yMm: atMm }

/** Names of a rail's ends, the first where its tape begins. */
export const endNames = ({ way }: Pick<RailPlan, 'way'>): readonly [string, string] => way === 'across' ? ['left', 'right'] : ['lower', 'upper']

/** The tape off which what lies along a rail is read: its fixings, splices and ends. Its line is read off the other. */
export const runTape = ({ way }: Pick<RailPlan, 'way'>): Tape => way === 'across' ? 'along' : 'up'

/** What a rail carries and where it lies, as in `row 2, lower rail`. */
export function railWords({ side, row, block, way }: Pick<RailPlan, 'side' | 'row' | 'block' | 'way'>): string {
  if (side === 'between') return `between rows ${row + 1} and ${row + 2}`
  return way === 'up' ? `column ${block + 1}, ${side}` : `row ${row + 1}, ${side}`
}

/** A rail when the whole array has moved along the eave, mm to the right. */
export function movedRail(rail: RailPlan, shiftMm: number): RailPlan {
  const moved = (interval: Interval): Interval => ({ fromMm: interval.fromMm + shiftMm, toMm: interval.toMm + shiftMm })
  return rail.way === 'up'
    ? { ...rail, lineMm: rail.lineMm + shiftMm, zone: moved(rail.zone), carries: rail.carries.map(one => ({ ...one, band: moved(one.band) })) }
    : {
        ...rail, reach: moved(rail.reach), ...moved(rail), couplers: rail.couplers.map(mm => mm + shiftMm), keepsOff: rail.keepsOff.map(moved),
        carries: rail.carries.map(one => ({ ...one, ...moved(one) })),
      }
}
