import type { Outline } from '#core/job'

/** Where the face lies in the drawing: px for mm, with the ridge up. */
export interface FaceScale {
  pxPerMm: number
  left: number
  right: number
  top: number
  bottom: number
  x: (mm: number) => number
  y: (mm: number) => number
  /** Back from the drawing to the face. */
  xMm: (px: number) => number
  yMm: (px: number) => number
}

export interface Margins { left: number, right: number, top: number, bottom: number }

/** Fits a face into a box with margins, to one scale both ways, in the middle. */
export function faceScale(outline: Outline, width: number, height: number, margins: Margins): FaceScale {
  const { eaveLengthMm, slopeLengthMm } = outline
  const roomX = Math.max(50, width - margins.left - margins.right)
  const roomY = Math.max(50, height - margins.top - margins.bottom)
  const pxPerMm = Math.min(roomX / eaveLengthMm, roomY / slopeLengthMm)
  const left = margins.left + (roomX - eaveLengthMm * pxPerMm) / 2
  const bottom = margins.top + roomY - (roomY - slopeLengthMm * pxPerMm) / 2
  return {
    pxPerMm, left, bottom, right: left + eaveLengthMm * pxPerMm, top: bottom - slopeLengthMm * pxPerMm,
    x: mm => left + mm * pxPerMm, y: mm => bottom - mm * pxPerMm,
    xMm: px => (px - left) / pxPerMm, yMm: px => (bottom - px) / pxPerMm,
  }
}
