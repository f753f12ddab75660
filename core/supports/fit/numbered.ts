import type { RafterSupports } from '../../job'
import { chanceOver, INFERRED_AT, type Spread } from '../chance'
import type { Rafter } from '../rafter'
import { centreIn, emptyRow, type GrowingRow, SPACING_SD_MM, type SpacingPrior, spacingPriors, withReading } from '../belief'

/** A first rafter that is only typed may be out by this (common practice). */
const NOMINAL_SD_MM = 25
/** A place that somebody says a rafter was found at is good to this, mm (common practice). */
const FOUND_SD_MM = 3
/** Rafters found by number say nothing of a lean. */
const NO_LEAN = 1e-9

/**
 * Rafters of which some were found by their number: the row that fits the finds, at the typed spacing or at any other that
 * builders set out to, the typed one likelier. One find moves the whole row; two tell the spacing too. Where none was found the
 * typed first place is all there is, and every rafter a guess.
 * @param toMm the face's right end: the row goes on to it, and at least to the last find
 */
export function numberedRow(supports: RafterSupports, toMm: number, scatterMm: number): Rafter[] {
  const { firstCentreMm, spacingMm, widthMm } = supports
  // Beyond any face, a number is a slip; a finding says so.
  const most = Math.max(1, Math.ceil((toMm - firstCentreMm) / spacingMm) + 2)
  const found = supports.found.filter(find => find.rafter <= most)
  const readings = found.length
    ? found.map(find => ({ k: find.rafter - 1, xMm: find.centreMm, yMm: 0, sdMm: FOUND_SD_MM }))
    : [{ k: 0, xMm: firstCentreMm, yMm: 0, sdMm: NOMINAL_SD_MM }]
  const weighed = weighedRows(supports.spacings.kind === 'free' ? [{ mm: spacingMm, sdMm: SPACING_SD_MM, nominalMm: spacingMm, share: 1 }] : spacingPriors(supports), readings, scatterMm)
  const best = weighed[0]!.row
  let last = Math.max(1, ...found.map(find => find.rafter))
  while (centreIn(best, last, 0).xMm <= toMm) last++
  return Array.from({ length: last }, (_, k): Rafter => {
    const own = centreIn(best, k, 0)
    const spread = weighed.map(({ row, weight }): Spread => {
      const one = centreIn(row, k, 0)
      return { weight, offMm: one.xMm - own.xMm, sdMm: one.sdMm }
    })
    const chance = chanceOver({ fromMm: -widthMm / 2, toMm: widthMm / 2 }, spread)
    const wasFound = found.some(one => one.rafter === k + 1)
    // A find is where it was read, not where the others would have it.
    const at = wasFound ? readings.find(one => one.k === k)!.xMm : found.length ? own.xMm : firstCentreMm + k * spacingMm
    return {
      number: k + 1, nominalMm: firstCentreMm + k * spacingMm, widthMm, lean: 0, centreMm: at, sdMm: wasFound ? FOUND_SD_MM : own.sdMm,
      spread: wasFound ? [{ weight: 1, offMm: 0, sdMm: FOUND_SD_MM }] : spread, state: wasFound ? 'proved' : chance >= INFERRED_AT ? 'inferred' : 'guessed',
    }
  })
}

/** Rows of every spacing with their shares of the whole belief, the likeliest first: each weighed by what it foretold of each next find. */
function weighedRows(spacings: SpacingPrior[], readings: { k: number, xMm: number, yMm: number, sdMm: number }[], scatterMm: number): { row: GrowingRow, weight: number }[] {
  const [first, ...others] = readings
  const rows = spacings.map(({ mm, sdMm, share }) => {
    let row = withReading(emptyRow(mm, sdMm, NO_LEAN, scatterMm, 0, first!.xMm), first!.k, first!.xMm, 0, first!.sdMm)
    let log = Math.log(share)
    for (const { k, xMm, yMm, sdMm: readMm } of others) {
      const centre = centreIn(row, k, yMm)
      const sd = Math.hypot(centre.sdMm, readMm)
      log -= (xMm - centre.xMm) ** 2 / (2 * sd ** 2) + Math.log(sd)
      row = withReading(row, k, xMm, yMm, readMm)
    }
    return { row, log }
  })
  const top = Math.max(...rows.map(one => one.log))
  const total = rows.reduce((sum, one) => sum + Math.exp(one.log - top), 0)
  return rows.map(({ row, log }) => ({ row, weight: Math.exp(log - top) / total })).filter(one => one.weight > 1e-4).sort((a, b) => b.weight - a.weight)
}
