import type { Point } from '../geometry'
import type { Outline } from '../job'
import { type Adjusted, adjust, type TapedLength } from './adjust'

type Taped = Extract<Outline, { kind: 'taped' }>

/** Every taped length of an outline: sides in order, then diagonals as they were taped. */
export const tapedLengths = ({ sides, diagonals, tapeSdMm }: Taped): TapedLength[] => [
  ...sides.map(({ mm }, i) => ({ from: i, to: (i + 1) % sides.length, mm, sdMm: tapeSdMm })),
  ...diagonals.map(({ from, to, mm }) => ({ from, to, mm, sdMm: tapeSdMm })),
]

/**
 * The corners of a taped outline. Where the lengths do not hold the shape, or no shape has them, the nominal shape stands
 * in, and `adjusted` says so.
 */
export function tapedCorners(outline: Taped): { corners: Point[], adjusted: Adjusted } {
  const start = nominalCorners(outline)
  const adjusted = adjust(start, tapedLengths(outline))
  return { corners: adjusted.kind === 'adjusted' ? adjusted.adjustment.corners : start, adjusted }
}

/** A length between two corners whatever the order they were named in; null when it was not taped. */
const taped = (outline: Taped, a: number, b: number): number | null =>
  outline.diagonals.find(({ from, to }) => (from === a && to === b) || (from === b && to === a))?.mm ?? null

/** Where circles round two points meet, to the left of the way from a to b; the nearest to it where they do not. */
function leftOf(a: Point, radiusA: number, b: Point, radiusB: number): Point {
  const apart = Math.max(Math.hypot(b.x - a.x, b.y - a.y), 1)
  const along = (apart ** 2 + radiusA ** 2 - radiusB ** 2) / (2 * apart)
  // Never quite flat: a fit that starts with all corners on one line could go either way.
  const off = Math.sqrt(Math.max(radiusA ** 2 - along ** 2, (radiusA / 50) ** 2))
  const [ux, uy] = [(b.x - a.x) / apart, (b.y - a.y) / apart]
  return { x: a.x + along * ux - off * uy, y: a.y + along * uy + off * ux }
}

/** The shape one would draw from the sides alone: what the fit starts from, convex where that is the question. */
export function nominalCorners(outline: Taped): Point[] {
  const side = (i: number) => outline.sides[i]!.mm
  const origin = { x: 0, y: 0 }
  const eaveEnd = { x: side(0), y: 0 }
  switch (outline.form) {
    case 'triangle': return [origin, eaveEnd, leftOf(origin, side(2), eaveEnd, side(1))]
    case 'quadrilateral': return quadrilateral(outline, origin, eaveEnd)
    case 'l-low-right': return [
      origin, eaveEnd, { x: side(0), y: side(1) }, { x: side(0) - side(2), y: side(1) },
      { x: side(0) - side(2), y: side(1) + side(3) }, { x: side(0) - side(2) - side(4), y: side(1) + side(3) },
    ]
    case 'l-low-left': return [
      origin, eaveEnd, { x: side(0), y: side(1) }, { x: side(0) - side(2), y: side(1) },
      { x: side(0) - side(2), y: side(1) - side(3) }, { x: side(0) - side(2) - side(4), y: side(1) - side(3) },
    ]
  }
}

function quadrilateral(outline: Taped, origin: Point, eaveEnd: Point): Point[] {
  const [eave, right, top, left] = outline.sides.map(side => side.mm) as [number, number, number, number]
  const risingRight = taped(outline, 0, 2)
  const risingLeft = taped(outline, 1, 3)
  if (risingRight !== null) {
    const upperRight = leftOf(origin, risingRight, eaveEnd, right)
    return [origin, eaveEnd, upperRight, leftOf(origin, left, upperRight, top)]
  }
  if (risingLeft !== null) {
    const upperLeft = leftOf(origin, left, eaveEnd, risingLeft)
    return [origin, eaveEnd, leftOf(upperLeft, top, eaveEnd, right), upperLeft]
  }
  // Top parallel to the eave: the triangle that is left when the top's length is taken out of the eave.
  const base = eave - top
  const lean = Math.abs(base) < 1 ? 0 : (base ** 2 + left ** 2 - right ** 2) / (2 * base)
  const inside = Math.max(-0.99 * left, Math.min(0.99 * left, lean))
  const height = Math.sqrt(left ** 2 - inside ** 2)
  return [origin, eaveEnd, { x: inside + top, y: height }, { x: inside, y: height }]
}
