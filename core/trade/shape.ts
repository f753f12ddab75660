import type { Point, Ring } from '../geometry'
import type { Ref } from './ref'

/** How sure or how right a shape is: it is drawn the more plainly the surer. */
export type Tone = 'plain' | 'inferred' | 'guessed' | 'wrong'

/** One thing drawn, mm in the face's own plane: x along the eave from its left end, y up the slope. */
export type Shape = {
  /** What is taken hold of where it is pressed; null where it can't be. */
  ref: Ref | null
  /** What of it is taken hold of where it is pressed again. */
  within?: Ref
  tone: Tone
  /** Of drawings that lie over each other, as of winds from several sides, the one it belongs to: one is looked at at a time. */
  variant?: string
  /** How strongly an area is filled, as a share. */
  weight?: number
  /** What it is called where it is pointed at. */
  name?: string
} & (
  | { kind: 'area', rings: Ring[] }
  /** `apartMm`: one of many lines so far apart, of which every so many is drawn where all would be a grey. */
  | { kind: 'line', from: Point, to: Point, apartMm?: number, index?: number }
  /** A fixing's crayon cross. */
  | { kind: 'cross', at: Point }
  /** A small bar across a line that runs along the eave or up the slope, as at a splice. */
  | { kind: 'bar', at: Point, across: boolean }
  | { kind: 'dot', at: Point }
  /** Words centred at a place, or beginning there; left out on a screen where less than so much room is drawn for them, mm: 0 for paper only. */
  | { kind: 'text', at: Point, text: string, roomMm: number, begins?: true }
)

/** How a layer looks. Colours as `#rrggbb`; widths in points on paper, which are about pixels on a screen. */
export interface LayerStyle {
  fill: string | null
  stroke: string
  width: number
  dash?: [number, number]
  /** Size of its words, points; none on paper for 0. */
  text: number
  ink: string
  /** Round its words on a screen, so that they are read on light and dark alike. */
  halo?: string
  /** AutoCAD colour index of the layer in a DXF. */
  dxfColour: number
  /** Hatched on a screen, so that what lies below shows through. */
  hatched?: true
  /** Drawn without an edge, since its width is a measure. */
  edgeless?: true
  /** What is better otherwise in print, where it is copied, and on a screen, where it shines. */
  paper?: { fill?: string, ink?: string }
  screen?: { fill?: string, stroke?: string }
}

/** One kind of thing on the drawing: screen, sheet, SVG and DXF all draw it from here. */
export interface Layer<A> {
  /** Names the layer in files. */
  id: string
  /** What it is called on the screen, the letter that switches it there with others of that letter, and whether it is on to begin with; null where it always is. */
  toggle: { name: string, key: string, on: boolean, /** Only where arrays are built that way. */ only?: 'on-rails' | 'in-roof' } | null
  /** Where it lies over others, the lowest first. */
  depth: number
  /** Looked at on the screen only: not on sheets and in files. */
  screenOnly?: boolean
  /** Looked at only while rafters are looked for: elsewhere it would lie in the way. */
  whileProbing?: true
  style: LayerStyle
  shapes: (ask: A) => Shape[]
}

type Bare = { [K in Shape['kind']]: Omit<Extract<Shape, { kind: K }>, 'ref' | 'tone'> }[Shape['kind']]

/** A shape of nothing in particular, or of what is named. */
export const shape = (drawn: Bare, ref: Ref | null = null, tone: Tone = 'plain'): Shape => ({ ...drawn, ref, tone }) as Shape
