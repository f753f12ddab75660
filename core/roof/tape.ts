import type { Face } from '../job'

/**
 * What the tape along the eave reads at x, mm from the left rake, when it is hooked on the face's datum corner.
 * Its own inverse: the x at a reading is `readingAlong(face, reading)`.
 */
export const readingAlong = (face: Pick<Face, 'datum' | 'outline'>, xMm: number): number =>
  face.datum === 'left' ? xMm : face.outline.eaveLengthMm - xMm

/** Words for the corner the tapes start at. */
export const datumName = (face: Pick<Face, 'datum'>): string => `${face.datum} rake at the eave`
