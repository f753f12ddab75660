import { errorFunction } from 'simple-statistics'
import type { Interval } from '../../geometry'
import type { BeliefRow } from './belief'
import { centreIn, numberAt } from './row-state'

/** Probability that a standard normal variable is below z. */
const below = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2

/** The chance, 0 to 1, that a place lies in the timber of any rafter, by the whole belief. */
export function timberAt(rows: BeliefRow[], xMm: number, yMm: number, widthMm: number): number {
  return rows.reduce((sum, row) => {
    // A row that no hit is on may begin anywhere.
    if (!row.own.length) return sum + row.weight * Math.min(1, widthMm / row.mean[1])
    const nearest = numberAt(row, xMm, yMm)
    let inside = 0
    for (let k = nearest - 1; k <= nearest + 1; k++) {
      const { xMm: centreMm, sdMm } = centreIn(row, k, yMm)
      inside += below((xMm - centreMm + widthMm / 2) / sdMm) - below((xMm - centreMm - widthMm / 2) / sdMm)
    }
    return sum + row.weight * Math.min(1, inside)
  }, 0)
}

/** One place that a timber's centre may be at. */
export interface PlaceOfTimber { weight: number, mm: number, sdMm: number }

/** Two timbers stand farther apart than this, mm: what is nearer to a place than this is the timber there. */
const APART_MM = 100

/** Where the nth timber past a place is, to its right or left, by every row. */
export function nthTimber(rows: BeliefRow[], fromMm: number, yMm: number, n: number, side: 'left' | 'right'): PlaceOfTimber[] {
  const sign = side === 'right' ? 1 : -1
  return rows.map((row) => {
    const spacingMm = row.mean[1]
    if (!row.own.length) return { weight: row.weight, mm: fromMm + sign * (APART_MM + (n - 0.5) * spacingMm), sdMm: spacingMm / Math.sqrt(12) }
    let k = numberAt(row, fromMm, yMm)
    while (sign * (centreIn(row, k, yMm).xMm - fromMm) > APART_MM) k -= sign
    while (sign * (centreIn(row, k, yMm).xMm - fromMm) <= APART_MM) k += sign
    const { xMm, sdMm } = centreIn(row, k + sign * (n - 1), yMm)
    return { weight: row.weight, mm: xMm, sdMm }
  })
}

/** The share of belief that a timber's centre lies in a piece. */
export const shareIn = (places: PlaceOfTimber[], { fromMm, toMm }: Interval): number =>
  places.reduce((sum, { weight, mm, sdMm }) => sum + weight * (below((toMm - mm) / sdMm) - below((fromMm - mm) / sdMm)), 0)

/** Grid on which densities are compared, mm. */
const GRID_MM = 1

/** The smallest set of places that holds a timber's centre with such a chance: pieces where spacings rival, in order. */
export function smallestSet(places: PlaceOfTimber[], level = 0.95): Interval[] {
  const reach = 5
  const density = new Map<number, number>()
  for (const { weight, mm, sdMm } of places) {
    const first = Math.floor((mm - reach * sdMm) / GRID_MM)
    let left = below(((first - 0.5) * GRID_MM - mm) / sdMm)
    for (let at = first; at <= (mm + reach * sdMm) / GRID_MM; at++) {
      const right = below(((at + 0.5) * GRID_MM - mm) / sdMm)
      density.set(at, (density.get(at) ?? 0) + weight * (right - left))
      left = right
    }
  }
  const total = places.reduce((sum, one) => sum + one.weight, 0)
  const taken: number[] = []
  let held = 0
  for (const [at, share] of [...density].sort((a, b) => b[1] - a[1])) {
    if (held >= level * total) break
    taken.push(at)
    held += share
  }
  const pieces: Interval[] = []
  for (const at of taken.sort((a, b) => a - b)) {
    const last = pieces.at(-1)
    if (last && at * GRID_MM - last.toMm <= GRID_MM) last.toMm = (at + 0.5) * GRID_MM
    else pieces.push({ fromMm: (at - 0.5) * GRID_MM, toMm: (at + 0.5) * GRID_MM })
  }
  return pieces
}
