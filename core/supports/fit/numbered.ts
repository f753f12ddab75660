import type { RafterSupports } from '../../job'
import { chanceOver, INFERRED_AT, type Spread } from '../chance'
import type { Rafter } from '../rafter'
import { centreIn, emptyRow, type GrowingRow, SPACING_SD_MM, type SpacingPrior, spacingPriors, withReading } from '../belief'

/** A first rafter that is only typed may be out by this (common practice). */
const NOMINAL_SD_MM = 25
/** A place that somebody says a rafter was found at is good to this, mm (common practice). */
export const FOUND_SD_MM = 3
/** Rafters found by number say nothing of a lean. */
const NO_LEAN = 1e-9

/** A row as one number of a find may have it, with its share of the belief. */
export type NumberedRow = GrowingRow & { weight: number }

/** Every row that the finds by number allow, the likeliest first; finds beyond any face are slips, which a finding names. */
export function numberedBelief(supports: RafterSupports, toMm: number, scatterMm: number): NumberedRow[] {
  const { firstCentreMm, spacingMm } = supports
  const found = findsOn(supports, toMm)
  const readings = found.length
    ? found.map(find => ({ k: find.rafter - 1, xMm: find.centreMm, yMm: 0, sdMm: FOUND_SD_MM }))
    : [{ k: 0, xMm: firstCentreMm, yMm: 0, sdMm: NOMINAL_SD_MM }]
  return weighedRows(supports.spacings.kind === 'free' ? [{ mm: spacingMm, sdMm: SPACING_SD_MM, nominalMm: spacingMm, share: 1 }] : spacingPriors(supports), readings, scatterMm)
}

/** Finds that the face has room for. */
const findsOn = ({ firstCentreMm, spacingMm, found }: RafterSupports, toMm: number) => {
  const most = Math.max(1, Math.ceil((toMm - firstCentreMm) / spacingMm) + 2)
  return found.filter(find => find.rafter <= most)
}

/**
 * Rafters of which some were found by their number: the row that fits the finds, at the typed spacing or at any other that
 * builders set out to, the typed one likelier. One find moves the whole row; two tell the spacing too. Where none was found the
 * typed first place is all there is, and every rafter a guess.
 * @param toMm the face's right end: the row goes on to it, and at least to the last find
 */
export function numberedRow(supports: RafterSupports, toMm: number, scatterMm: number): Rafter[] {
  const { firstCentreMm, spacingMm, widthMm } = supports
  const found = findsOn(supports, toMm)
  const rows = numberedBelief(supports, toMm, scatterMm)
  const best = rows[0]!
  let last = Math.max(1, ...found.map(find => find.rafter))
  while (centreIn(best, last, 0).xMm <= toMm) last++
  return Array.from({ length: last }, (_, k): Rafter => {
    const own = centreIn(best, k, 0)
    const spread = rows.map((row): Spread => {
      const one = centreIn(row, k, 0)
      return { weight: row.weight, offMm: one.xMm - own.xMm, sdMm: one.sdMm }
    })
    const chance = chanceOver({ fromMm: -widthMm / 2, toMm: widthMm / 2 }, spread)
    const find = found.find(one => one.rafter === k + 1)
    // A find is where it was read, not where the others would have it.
    const at = find ? find.centreMm : found.length ? own.xMm : firstCentreMm + k * spacingMm
    return {
      number: k + 1, nominalMm: firstCentreMm + k * spacingMm, widthMm, lean: 0, centreMm: at, sdMm: find ? FOUND_SD_MM : own.sdMm,
      spread: find ? [{ weight: 1, offMm: 0, sdMm: FOUND_SD_MM }] : spread, state: find ? 'proved' : chance >= INFERRED_AT ? 'inferred' : 'guessed',
    }
  })
}

/** Rows of every spacing with their shares of the whole belief, the likeliest first: each weighed by what it foretold of each next find. */
function weighedRows(spacings: SpacingPrior[], readings: { k: number, xMm: number, yMm: number, sdMm: number }[], scatterMm: number): NumberedRow[] {
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
  return rows.map(({ row, log }) => ({ ...row, weight: Math.exp(log - top) / total })).filter(one => one.weight > 1e-4).sort((a, b) => b.weight - a.weight)
}
