import type { FaceClear } from './face'

/**
 * Limits faces to a number of modules wanted on the whole roof: the face that yields most is filled first, of those alike the one
 * that holds most, so that as few faces as may be carry any.
 * @param counts modules that each face holds under its claims
 */
export function limitTo(clears: FaceClear[], counts: number[], wanted: number, weightOf: (face: number) => number): FaceClear[] {
  const order = counts.map((_, i) => i).sort((a, b) => weightOf(b) - weightOf(a) || counts[b]! - counts[a]! || a - b)
  let left = wanted
  const most = new Map<number, number>()
  for (const i of order) {
    most.set(i, Math.min(left, counts[i]!))
    left -= most.get(i)!
  }
  return clears.map((clear, i) => most.get(i)! < counts[i]! ? { ...clear, most: most.get(i)! } : clear)
}
