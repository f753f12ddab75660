import { inverse, Matrix } from 'ml-matrix'

/** A measurement of rafter `k`'s centre. */
export interface RowObservation { k: number, xMm: number, yMm: number, sdMm: number }

/** What is held of the row of rafters before anything was measured. */
export interface RowPrior {
  spacingMm: number
  spacingSdMm: number
  /** Lean of all rafters alike, mm to the right per mm up the slope, about 0. */
  leanSd: number
  /** Scatter of single rafters about the row, mm. */
  scatterMm: number
}

/** A row of rafters fitted to measurements: x = first + k·spacing + lean·(y − y₀) + the rafter's own scatter. */
export interface RowFit {
  firstMm: number
  firstSeMm: number
  spacingMm: number
  spacingSeMm: number
  lean: number
  leanSe: number
  /** Height that the first centre stands at, mm. */
  atMm: number
  /** Centre of rafter k at a height, and its standard deviation, mm. */
  centreOf: (k: number, yMm: number) => { xMm: number, sdMm: number }
}

/** One row of the design: of first, spacing and lean. */
type Design = [number, number, number]
/** What one rafter's own readings come to: their summed weight, and the weighted means of reading and design row. */
interface Own { weight: number, meanMm: number, mean: Design }

/**
 * Generalised least squares with a random effect for every rafter that was measured, so that a reading says much of its own
 * rafter and something of the others (best linear unbiased prediction; G. K. Robinson, Statistical Science 6, 1991). The
 * rafters' own effects are eliminated, which leaves three unknowns whatever the number of hits.
 */
export function regressRow(observations: RowObservation[], prior: RowPrior): RowFit {
  const atMm = observations.reduce((sum, one) => sum + one.yMm, 0) / Math.max(observations.length, 1)
  const designOf = (k: number, yMm: number): Design => [1, k, yMm - atMm]
  // A flat prior on the first rafter's place would be singular with a single hit; ten metres is as good as flat.
  const information = Matrix.diag([1 / 10_000 ** 2, 1 / prior.spacingSdMm ** 2, 1 / prior.leanSd ** 2])
  const right: Design = [0, prior.spacingMm / prior.spacingSdMm ** 2, 0]
  const add = (row: Design, xMm: number, weight: number) => row.forEach((a, i) => {
    right[i]! += a * xMm * weight
    row.forEach((b, j) => information.set(i, j, information.get(i, j) + a * b * weight))
  })
  const own = new Map<number, Own>()
  for (const k of new Set(observations.map(one => one.k))) {
    const readings = observations.filter(one => one.k === k).map(one => ({ row: designOf(k, one.yMm), xMm: one.xMm, weight: 1 / one.sdMm ** 2 }))
    const weight = readings.reduce((sum, one) => sum + one.weight, 0)
    const mean = [0, 1, 2].map(i => readings.reduce((sum, one) => sum + one.weight * one.row[i]!, 0) / weight) as Design
    const meanMm = readings.reduce((sum, one) => sum + one.weight * one.xMm, 0) / weight
    own.set(k, { weight, mean, meanMm })
    for (const one of readings) add(one.row, one.xMm, one.weight)
    // What the rafter's own scatter takes out again: its readings share it, so together they say less than each by itself.
    add(mean, meanMm, -(weight ** 2) / (1 / prior.scatterMm ** 2 + weight))
  }
  const covariance = inverse(information)
  const solution = covariance.mmul(Matrix.columnVector(right)).to1DArray()
  const se = (i: number) => Math.sqrt(Math.max(0, covariance.get(i, i)))
  const along = (row: Design) => row.reduce((sum, a, i) => sum + a * solution[i]!, 0)
  return {
    firstMm: solution[0]!, firstSeMm: se(0), spacingMm: solution[1]!, spacingSeMm: se(1), lean: solution[2]!, leanSe: se(2), atMm,
    centreOf(k, yMm) {
      const row = designOf(k, yMm)
      const readings = own.get(k)
      const precision = 1 / prior.scatterMm ** 2 + (readings?.weight ?? 0)
      const share = (readings?.weight ?? 0) / precision
      const rest = row.map((a, i) => a - share * (readings?.mean[i] ?? 0)) as Design
      let variance = 1 / precision
      rest.forEach((a, i) => rest.forEach((b, j) => variance += a * b * covariance.get(i, j)))
      return { xMm: along(row) + share * (readings ? readings.meanMm - along(readings.mean) : 0), sdMm: Math.sqrt(Math.max(0, variance)) }
    },
  }
}
