import type { PartKind } from '../../catalogue'
import type { Interval, Point } from '../../geometry'
import type { EdgeSide, Loop } from '../outline'

export const pieceKinds = [
  'bottom-flashing',
  'side-flashing',
  'one-row-side',
  'top-flashing',
  'outer-corner',
  'inner-corner',
  'joint-up',
  'joint-across',
  'joint-crossing',
  'joint-cap',
  'window-set',
] as const satisfies readonly PartKind[]

export type PieceKind = (typeof pieceKinds)[number]

export const pieceNames: Record<PieceKind, string> = {
  'bottom-flashing': 'Bottom flashing',
  'side-flashing': 'Side flashing',
  'one-row-side': 'Side for one row',
  'top-flashing': 'Top flashing',
  'outer-corner': 'Outer corner',
  'inner-corner': 'Inner corner',
  'joint-up': 'Upright joint',
  'joint-across': 'Level joint',
  'joint-crossing': 'Crossing',
  'joint-cap': 'Joint cap',
  'window-set': 'Cover set',
}

/** The letter by which pieces of a kind are marked on the drawing and on themselves. */
export const pieceLetters: Record<PieceKind, string> = {
  'bottom-flashing': 'B',
  'side-flashing': 'S',
  'one-row-side': 'S',
  'top-flashing': 'T',
  'outer-corner': 'C',
  'inner-corner': 'D',
  'joint-up': 'J',
  'joint-across': 'L',
  'joint-crossing': 'X',
  'joint-cap': 'E',
  'window-set': 'W',
}

/** One piece of the kit in its place, mm on the face: from and to along the edge it lies on, its lap over the one before it included. */
export interface Piece {
  /** Its letter and number, as `B3`. */
  mark: string
  kind: PieceKind
  /** What it is called where the kind has several, as a cover set by its size. */
  name: string | null
  side: EdgeSide | null
  from: Point
  to: Point
  /** Cut to this length, mm; null for what comes as it is. */
  lengthMm: number | null
  /** The step of the work in which it is laid, 1 first. */
  step: number
}

/** A roof window with what lies round it: the hole in the array it stands in, and how near modules come. */
export interface WindowPlace {
  id: string
  /** The set that covers the whole hole; null where units of the covering lie round the window, or nothing fits. */
  set: string | null
  /** The hole that the set covers: its rectangle, mm; null without a set. */
  covers: { along: Interval, up: Interval } | null
  /** Nearest and farthest module edge, mm, across and up; null where it stands in no hole. */
  gaps: { leastMm: number, mostMm: number } | null
  /** What is wrong: nearer than the kit allows, too wide for a set and too narrow for units, or no set of its size. */
  trouble: 'near' | 'between' | 'no-set' | null
}

/** One step of the work, in order. */
export interface KitStep {
  number: number
  words: string
  marks: string[]
}

export interface Kit {
  pieces: Piece[]
  steps: KitStep[]
  loops: Loop[]
  windows: WindowPlace[]
  /** Length of each side of all outlines that are flashed, mm, laps not counted. */
  edgesMm: Record<EdgeSide, number>
  /** Places where modules meet at a corner only, for which no kit has a piece. */
  pinches: Point[]
}
