import type { FaceShape } from '#core/roof'

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
export function faceScale({ along, up }: Pick<FaceShape, 'along' | 'up'>, width: number, height: number, margins: Margins): FaceScale {
  const wide = along.toMm - along.fromMm
  const high = up.toMm - up.fromMm
  const roomX = Math.max(50, width - margins.left - margins.right)
  const roomY = Math.max(50, height - margins.top - margins.bottom)
  const pxPerMm = Math.min(roomX / wide, roomY / high)
  const left = margins.left + (roomX - wide * pxPerMm) / 2
  const bottom = margins.top + roomY - (roomY - high * pxPerMm) / 2
  return {
    pxPerMm, left, bottom, right: left + wide * pxPerMm, top: bottom - high * pxPerMm,
    x: mm => left + (mm - along.fromMm) * pxPerMm, y: mm => bottom - (mm - up.fromMm) * pxPerMm,
    xMm: px => along.fromMm + (px - left) / pxPerMm, yMm: px => up.fromMm + (bottom - px) / pxPerMm,
  }
}
