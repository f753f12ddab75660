import type { LoadRules } from '../job'
import { BALANCED_SNOW } from './names'
import { angle, factor, length, PA_PER_PSF, pitchFromRise, pressure, radians, SAME_PITCH_DEG, words } from '../units'
import type { Working } from '../working'
import type { Building } from './building'

/** More snow than balanced on the lee slope, Pa of plan area, within a distance in plan from the ridge. */
export interface SnowDrift { pa: number, fromRidgeMm: number }

/** Unbalanced snow on a face that lies to the lee: uniform on a narrow roof, a drift by the ridge on others. */
export interface UnbalancedSnow { uniformPa: number | null, drift: SnowDrift | null, unknown: string[], workings: Working[] }

const none: UnbalancedSnow = { uniformPa: null, drift: null, unknown: [], workings: [] }

/** Slopes with unbalanced snow: 1/2 in 12 to 7 in 12, both with it. */
const FROM_DEG = pitchFromRise(0.5) - SAME_PITCH_DEG
const TO_DEG = pitchFromRise(7) + SAME_PITCH_DEG
const MM_PER_FT = 304.8
/** Roofs up to this from eave to ridge, on plain rafters, take the whole ground snow on the lee slope, ft. */
const NARROW_FT = 20
/** 1 lb/ft³ over 1 ft is 1 psf. */
const MOST_DENSITY_PCF = 30

/** Density of snow, lb/ft³: 0.13 pg + 14, at most 30 (ASCE 7, equation 7.7-1). */
export const snowDensityPcf = (groundPsf: number): number => Math.min(MOST_DENSITY_PCF, 0.13 * groundPsf + 14)

/**
 * Height of a drift, ft, by the edition's own formula (ASCE 7 figure 7-9 and 7.6-1, from memory).
 * @param fetchFt length of roof from which the wind brings the snow; under 20 ft is taken as 20
 */
export function driftHeightFt(rules: Exclude<LoadRules, { edition: 'none' | 'en' }>, fetchFt: number): number {
  const groundPsf = rules.snow.groundPa / PA_PER_PSF
  const fetch = Math.max(NARROW_FT, fetchFt)
  if (rules.edition === 'us-2022') return 1.5 * Math.sqrt(groundPsf ** 0.74 * fetch ** 0.7 * (rules.snow.winterWind ?? 0) ** 1.7 / snowDensityPcf(groundPsf))
  const plain = Math.max(0, 0.43 * Math.cbrt(fetch) * (groundPsf + 10) ** 0.25 - 1.5)
  return rules.edition === 'us-2016' ? plain * Math.sqrt(rules.snow.importance) : plain
}

/**
 * Unbalanced snow of ASCE 7, 7.6.1, on hip and gable roofs: each slope in turn lies to the lee, so every face is loaded as the
 * lee one. (The windward slope has 0.3 ps, less than balanced, and governs nothing here: fixings hold each slope by itself.)
 * @param balancedPa balanced snow, ps, Pa of plan area
 */
export function unbalancedSnow(rules: LoadRules, pitchDeg: number, { form, runMm, framing }: Building, balancedPa: number): UnbalancedSnow {
  if (rules.edition === 'none' || rules.edition === 'en' || form === 'monopitch') return none
  if (pitchDeg < FROM_DEG || pitchDeg > TO_DEG || rules.snow.groundPa <= 0) return none
  const { groundPa } = rules.snow
  const is2022 = rules.edition === 'us-2022'
  const importance = is2022 ? 1 : rules.snow.importance
  const year = { 'us-2010': '10', 'us-2016': '16', 'us-2022': '22' }[rules.edition]
  const values: Working['values'] = [
    { symbol: 'pg', what: 'ground snow', value: pressure(groundPa) },
    { symbol: 'W', what: 'eave to ridge in plan', value: length(runMm) },
    { symbol: 'a', what: 'pitch', value: angle(pitchDeg) },
  ]
  const narrow = runMm <= NARROW_FT * MM_PER_FT
  const found: UnbalancedSnow = { ...none, unknown: [], workings: [] }
  // Where nobody has said what carries a narrow roof, both rules are taken, so that the greater governs.
  if (narrow && framing !== 'other') {
    found.uniformPa = importance * groundPa
    found.workings.push({
      what: 'Unbalanced snow, the lee slope of a narrow roof', formula: is2022 ? 'p = pg' : 'p = Is pg', values: [
        ...values,
        ...(is2022 ? [] : [{ symbol: 'Is', what: 'importance', value: factor(importance) }]),
        { symbol: '', what: 'carried by', value: words(framing === 'rafters' ? 'plain rafters from eave to ridge' : 'not said: both rules are taken') },
      ],
      result: pressure(found.uniformPa), source: `ASCE 7-${year}, 7.6.1 (from memory): up to 20 ft with simply supported rafters of one section from ridge to eave`, basis: 'code',
    })
  }
  if (narrow && framing === 'rafters') return found
  if (is2022 && rules.snow.winterWind === null) {
    return { ...found, unknown: ['Unbalanced snow of the 2022 edition needs the site’s winter wind parameter W2, and nobody has typed it.'] }
  }
  const groundPsf = groundPa / PA_PER_PSF
  const density = snowDensityPcf(groundPsf)
  const heightFt = driftHeightFt(rules, runMm / MM_PER_FT)
  // S is the run for a rise of one.
  const rootS = Math.sqrt(1 / Math.tan(radians(pitchDeg)))
  found.drift = { pa: heightFt * density / rootS * PA_PER_PSF, fromRidgeMm: 8 / 3 * heightFt * rootS * MM_PER_FT }
  found.workings.push({
    what: 'Unbalanced snow, the drift on the lee slope', formula: 'ps + hd γ/√S over (8/3) hd √S from the ridge', values: [
      ...values, { symbol: 'ps', what: 'balanced', value: pressure(balancedPa), from: BALANCED_SNOW }, { symbol: 'hd', what: 'height of the drift', value: length(heightFt * MM_PER_FT) },
      {
        symbol: 'γ',
        what: 'density',
        value: words(`${density.toFixed(1)} lb/ft³ (${Math.round(density * 16.01846)} kg/m³)`),
      }, { symbol: 'S', what: 'run for a rise of one', value: factor(rootS ** 2) },
      { symbol: '', what: 'from the ridge in plan', value: length(found.drift.fromRidgeMm) },
    ],
    result: pressure(balancedPa + found.drift.pa), source: `ASCE 7-${year}, 7.6.1 (from memory); on ps over the rest of the slope`, basis: 'code',
  })
  return found
}
