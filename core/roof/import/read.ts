import type { Obstruction, Outline } from '../../job'

/** A hole in an outline, offered as something that stands on the face; in the face's own plane, mm. */
export type Hole = Pick<Obstruction, 'xMm' | 'yMm' | 'widthMm' | 'heightMm'>

/** A face as a file gives it in its own plane. */
export interface ReadFace { name: string, outline: Outline, holes: Hole[] }

/** What a file could not say, was asked back, or lost on the way in: sentences for the person who imports it. */
export interface Read<T> { faces: T[], said: string[] }

/** The least rectangle round a hole. */
export function holeOf(ring: { x: number, y: number }[]): Hole {
  const [xs, ys] = [ring.map(point => point.x), ring.map(point => point.y)]
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  return { xMm: (left + right) / 2, yMm: (low + high) / 2, widthMm: right - left, heightMm: high - low }
}
