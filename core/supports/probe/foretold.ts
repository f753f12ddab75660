import { centreIn } from '../belief'
import type { Known, Site } from './known'

/** What a reading may come to: a place, mm along the eave, with its share of all that it may come to. */
export interface Outcome { xMm: number, share: number }

/** Nodes and shares of Gauss and Hermite's rule for a normal variable (M. Abramowitz and I. A. Stegun, Handbook of Mathematical Functions, table 25.10). */
const NODES = [[-Math.sqrt(3), 1 / 6], [0, 2 / 3], [Math.sqrt(3), 1 / 6]] as const
/** The mean alone: enough to tell which sites are worth a closer look. */
const MEAN = [[0, 1]] as const
/** Rows less likely than this say too little of what comes. */
const SAYS = 0.005
/** Rows that foretell places nearer than this many of their standard deviations foretell the same. */
const ALIKE = 0.7

interface Foretold { xMm: number, variance: number, weight: number }

/**
 * What a reading may come to by every row; the shares add up to less than one by what is wrong or not foretold.
 * @param closely false for the mean of each place alone
 */
export function foretold({ rows, numberOf, reading: { sdMm, wrongShare } }: Known, site: Site, closely = true): Outcome[] {
  const places: Foretold[] = []
  for (const row of rows) {
    if (!row.own.length || row.weight < SAYS) continue
    const centre = centreIn(row, numberOf(row, site), site.yMm)
    const variance = centre.sdMm ** 2 + sdMm ** 2
    const like = places.find(one => (one.xMm - centre.xMm) ** 2 < ALIKE ** 2 * Math.min(one.variance, variance) && variance < 4 * one.variance && one.variance < 4 * variance)
    if (like) gather(like, { xMm: centre.xMm, variance, weight: row.weight })
    else places.push({ xMm: centre.xMm, variance, weight: row.weight })
  }
  return places.flatMap(({ xMm, variance, weight }) => (closely ? NODES : MEAN).map(([z, share]) => ({ xMm: xMm + z * Math.sqrt(variance), share: weight * share * (1 - wrongShare) })))
}

/** Two that are alike as one with their mean and variance. */
function gather(into: Foretold, { xMm, variance, weight }: Foretold): void {
  const sum = into.weight + weight
  const mean = (into.weight * into.xMm + weight * xMm) / sum
  into.variance = (into.weight * (into.variance + (into.xMm - mean) ** 2) + weight * (variance + (xMm - mean) ** 2)) / sum
  into.xMm = mean
  into.weight = sum
}
