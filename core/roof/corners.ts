import { isInnerCorner } from '../geometry'
import { type Outline, tapedForms, type TapedForm } from '../job'
import { shapeOf } from './outline'

/** Corners are lettered from the eave's left end, anticlockwise: A and B stand on the eave. */
export const cornerLetter = (corner: number): string => String.fromCharCode(65 + corner % 26) + (corner >= 26 ? String(Math.floor(corner / 26)) : '')

/** Every pair of corners that are not neighbours, as a diagonal could be taped between them. */
export const diagonalPairs = (corners: number): [number, number][] =>
  Array.from({ length: corners }, (_, from) => Array.from({ length: corners }, (_, to): [number, number] => [from, to]))
    .flat().filter(([from, to]) => to > from + 1 && !(from === 0 && to === corners - 1))

/** How far off square a face is. */
export interface Squareness {
  /** Angle at the eave's left end, degrees. */
  leftDeg: number
  /** Angle at its right end, degrees. */
  rightDeg: number
  /** How far the left edge's top stands to the right of square above its foot, mm. */
  leanMm: number
}

/** Angles at the eave's two ends, from the fitted shape. */
export function squareness(outline: Outline): Squareness {
  const ring = shapeOf(outline).region[0]!
  const angle = (at: number, one: number, other: number) => {
    const [p, a, b] = [ring[at]!, ring[one]!, ring[other]!]
    const turn = Math.atan2(b.y - p.y, b.x - p.x) - Math.atan2(a.y - p.y, a.x - p.x)
    return ((turn * 180 / Math.PI) + 360) % 360
  }
  const last = ring.length - 1
  return { leftDeg: angle(0, 1, last), rightDeg: angle(1, 2, 0), leanMm: ring[last]!.x - ring[0]!.x }
}

/** The ways an outline can be entered. */
export type OutlineForm = 'rectangle' | TapedForm | 'corners'
export const formOf = (outline: Outline): OutlineForm => outline.kind === 'taped' ? outline.form : outline.kind

const DEFAULT_TAPE_SD_MM = 3

/**
 * The same face as nearly as another form can hold it, so that changing how it is entered loses no more than it must: lengths
 * are read off the present shape, and all of them can then be typed over.
 */
export function outlineAs(outline: Outline, form: OutlineForm): Outline {
  if (formOf(outline) === form) return outline
  const { region, along, up, edges } = shapeOf(outline)
  const ring = region[0]!
  const [wide, high] = [along.toMm - along.fromMm, up.toMm - up.fromMm]
  if (form === 'rectangle') return { kind: 'rectangle', eaveLengthMm: Math.max(500, wide), slopeLengthMm: Math.max(500, high) }
  if (form === 'corners') return { kind: 'corners', corners: ring.map(({ x, y }, i) => ({ xMm: x, yMm: Math.max(0, y), edge: edges[i]!.kind })) }
  const sides = ring.length === tapedForms[form] && ring.every((_, i) => isInnerCorner(ring, i) === (i === INNER_CORNER[form]))
    ? ring.map((from, i) => ({ mm: Math.hypot(ring[(i + 1) % ring.length]!.x - from.x, ring[(i + 1) % ring.length]!.y - from.y), edge: edges[i]!.kind }))
    : usualSides(form, wide, high)
  return { kind: 'taped', form, tapeSdMm: DEFAULT_TAPE_SD_MM, diagonals: [], sides }
}

/** Which corner is the crook of an L; none of the other shapes has one. */
const INNER_CORNER: Record<TapedForm, number | null> = { 'triangle': null, 'quadrilateral': null, 'l-low-right': 3, 'l-low-left': 4 }

/** Sides of a shape that fills a box, for a face that had another number of them. */
function usualSides(form: TapedForm, wide: number, high: number): Extract<Outline, { kind: 'taped' }>['sides'] {
  switch (form) {
    case 'triangle': {
      const slant = Math.hypot(wide / 2, high)
      return [{ mm: wide, edge: 'eave' }, { mm: slant, edge: 'hip' }, { mm: slant, edge: 'hip' }]
    }
    case 'quadrilateral': return [{ mm: wide, edge: 'eave' }, { mm: high, edge: 'rake' }, { mm: wide, edge: 'ridge' }, { mm: high, edge: 'rake' }]
    case 'l-low-right': return [
      { mm: wide, edge: 'eave' }, { mm: high * 0.5, edge: 'rake' }, {
        mm: wide * 0.4,
        edge: 'ridge',
      }, { mm: high * 0.5, edge: 'wall' }, { mm: wide * 0.6, edge: 'ridge' }, { mm: high, edge: 'rake' },
    ]
    case 'l-low-left': return [
      { mm: wide, edge: 'eave' }, { mm: high, edge: 'rake' }, {
        mm: wide * 0.6,
        edge: 'ridge',
      }, { mm: high * 0.5, edge: 'wall' }, { mm: wide * 0.4, edge: 'ridge' }, { mm: high * 0.5, edge: 'rake' },
    ]
  }
}
