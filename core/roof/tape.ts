import type { Face } from '../job'
import { type Edge, shapeOf } from './outline'

/** What places on a face are read from. */
type Read = Pick<Face, 'datum' | 'outline'>

/** What the tape along the eave reads at x when it is hooked on the face's datum corner, mm. */
export function readingAlong({ datum, outline }: Read, xMm: number): number {
  const { eave } = shapeOf(outline)
  return datum === 'left' ? xMm - eave.fromMm : eave.toMm - xMm
}

/** The x at a reading of the tape along the eave: the other way round. */
export function placeAlong({ datum, outline }: Read, readingMm: number): number {
  const { eave } = shapeOf(outline)
  return datum === 'left' ? eave.fromMm + readingMm : eave.toMm - readingMm
}

/** The height of the corner that the tapes are hooked on: out of level, one end of the eave lies higher than the other. */
const datumUpMm = ({ datum, outline }: Read): number => shapeOf(outline).eaveEnds[datum].y

/** What the tape up the slope reads at y when it is hooked on the face's datum corner, mm. */
export const readingUp = (face: Read, yMm: number): number => yMm - datumUpMm(face)

/** The y at a reading of the tape up the slope: the other way round. */
export const placeUp = (face: Read, readingMm: number): number => readingMm + datumUpMm(face)

/** The tape that a reading is taken off: the one along the eave or the one up the slope, both hooked on the datum corner. */
export type Tape = 'along' | 'up'
export const otherTape = (tape: Tape): Tape => tape === 'along' ? 'up' : 'along'

/** What a tape reads at a place, mm, and the place at which it reads so. */
export const readingOn = (face: Read, tape: Tape, mm: number): number => (tape === 'along' ? readingAlong : readingUp)(face, mm)
export const placeOn = (face: Read, tape: Tape, readingMm: number): number => (tape === 'along' ? placeAlong : placeUp)(face, readingMm)

/** The name of the edge that rises from the datum's end of the eave, or from the other end. */
function endName({ datum, outline }: Read, end: 'datum' | 'far'): string {
  const side = (end === 'datum') === (datum === 'left') ? 'left' : 'right'
  const { edges, eaveEnds } = shapeOf(outline)
  const cornerMm = eaveEnds[side].x
  const lowOf = ({ from, to }: Edge) => from.y <= to.y ? from : to
  // The edge that rises from that very corner; a face has others on that side too, as a valley beside a cross gable.
  const own = edges.filter(edge => edge.side === side)
  const rising = own.filter(edge => Math.abs(lowOf(edge).x - cornerMm) < 1).sort((a, b) => lowOf(a).y - lowOf(b).y)[0]
  return (rising ?? own.sort((a, b) => lowOf(a).y - lowOf(b).y)[0])?.name ?? `${side} end`
}

/** Words for the corner the tapes start at. */
export const datumName = (face: Read): string => `${endName(face, 'datum')} at the eave`

/** Words for the other end of the eave, where the tape closes. */
export const farEndName = (face: Read): string => endName(face, 'far')
