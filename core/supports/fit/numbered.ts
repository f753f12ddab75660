import type { RafterSupports } from '../../job'
import { chanceOver, INFERRED_AT, type Spread } from '../chance'
import type { Rafter } from '../rafter'
import { spacingRanges, TYPED_TIMES } from './candidates'
import { regressRow, type RowFit } from './regress'

/** A first rafter that is only typed may be out by this (common practice). */
const NOMINAL_SD_MM = 25
/** A place that somebody says a rafter was found at is good to this, mm (common practice). */
const FOUND_SD_MM = 3
/** Framing keeps to its spacing over a roof to about 2 mm (common practice). */
const SPACING_SD_MM = 2
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
  const nominals = supports.spacings.kind === 'free' ? [spacingMm] : [...new Set([spacingMm, ...spacingRanges(supports).map(range => range.nominalMm ?? spacingMm)])]
  const rows = nominals.map((nominalMm) => {
    const fit = regressRow(readings, { spacingMm: nominalMm, spacingSdMm: SPACING_SD_MM, leanSd: NO_LEAN, scatterMm })
    return { fit, evidence: Math.log(nominalMm === spacingMm ? TYPED_TIMES : 1) + evidenceOf(fit, readings, nominalMm, scatterMm) }
  })
  const likeliest = Math.max(...rows.map(row => row.evidence))
  const total = rows.reduce((sum, row) => sum + Math.exp(row.evidence - likeliest), 0)
  const weighed = rows.map(({ fit, evidence }) => ({ fit, weight: Math.exp(evidence - likeliest) / total })).filter(row => row.weight > 1e-4)
  const best = weighed.reduce((a, b) => b.weight > a.weight ? b : a)
  let last = Math.max(1, ...found.map(find => find.rafter))
  while (best.fit.centreOf(last, 0).xMm <= toMm) last++
  return Array.from({ length: last }, (_, k): Rafter => {
    const own = best.fit.centreOf(k, 0)
    const spread = weighed.map(({ fit, weight }): Spread => {
      const one = fit.centreOf(k, 0)
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

/** How well a row of one spacing explains the finds: their misfit, and the fitted spacing's own. */
function evidenceOf(fit: RowFit, readings: { k: number, xMm: number, sdMm: number }[], nominalMm: number, scatterMm: number): number {
  const firstMm = fit.firstMm
  const misfit = readings.reduce((sum, { k, xMm, sdMm }) => sum + (xMm - firstMm - k * fit.spacingMm) ** 2 / (sdMm ** 2 + scatterMm ** 2), 0)
  return -(misfit + ((fit.spacingMm - nominalMm) / SPACING_SD_MM) ** 2) / 2
}
