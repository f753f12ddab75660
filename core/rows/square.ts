import { MM_PER_INCH, type UnitSystem } from '../units'

/** A right angle proved by three lengths in the ratio 3 : 4 : 5. */
export interface SquareCheck { alongMm: number, upMm: number, diagonalMm: number }

/** Lengths are whole multiples of these, so that they are round on the tape. */
const STEP_MM: Record<UnitSystem, number> = { imperial: 6 * MM_PER_INCH, metric: 100 }

/**
 * The largest 3-4-5 triangle in round lengths whose legs fit along a row and up the slope beside it: the larger, the less an
 * error of the tape turns the row. Whichever leg fits better lies along the eave. Null where not even the smallest fits.
 */
export function squareFor(alongMm: number, upMm: number, units: UnitSystem): SquareCheck | null {
  const unit = STEP_MM[units]
  const best = ([[4, 3], [3, 4]] as const)
    .map(([along, up]) => ({ along, up, n: Math.floor(Math.min(alongMm / along, upMm / up) / unit + 1e-9) }))
    .reduce((a, b) => b.n > a.n ? b : a)
  return best.n < 1 ? null : { alongMm: best.along * best.n * unit, upMm: best.up * best.n * unit, diagonalMm: 5 * best.n * unit }
}
