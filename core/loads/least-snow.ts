import type { LoadRules } from '../job'
import { angle, factor, PA_PER_PSF, pressure } from '../units'
import type { Working } from '../working'

/** Roofs flatter than this have a least snow load (hip and gable, and monoslopes alike). */
const BELOW_DEG = 15
/** 2010 and 2016: ground snow up to this counts whole, above it this much does. */
const CAP_PSF = 20
/** Caps of the 2022 edition by risk category, psf (table 7.3-4, from memory). */
const CAP_2022_PSF = { I: 25, II: 30, III: 35, IV: 40 }

/**
 * Least snow on a low roof, Pa of plan area, uniform, without Cs, Ce and Ct, and never together with unbalanced, drifted or
 * sliding snow: ASCE 7, 7.3.4 (from memory). Null where the edition asks for none.
 */
export function leastRoofSnow(rules: LoadRules, pitchDeg: number): { pa: number, working: Working } | null {
  if (rules.edition === 'none' || rules.edition === 'en' || pitchDeg >= BELOW_DEG || rules.snow.groundPa <= 0) return null
  const { groundPa } = rules.snow
  const is2022 = rules.edition === 'us-2022'
  const capPa = PA_PER_PSF * (is2022 ? CAP_2022_PSF[rules.snow.riskCategory] : CAP_PSF)
  const importance = is2022 ? 1 : rules.snow.importance
  const pa = importance * Math.min(groundPa, capPa)
  return {
    pa, working: {
      what: 'Least snow on a roof under 15°', formula: is2022 ? 'pm = min(pg, pm,max)' : 'pm = Is min(pg, 20 psf)',
      values: [
        { symbol: 'pg', what: 'ground snow', value: pressure(groundPa) }, {
          symbol: 'cap',
          what: is2022 ? `risk category ${rules.snow.riskCategory}` : 'of the edition',
          value: pressure(capPa),
        },
        ...(is2022 ? [] : [{ symbol: 'Is', what: 'importance', value: factor(importance) }]), { symbol: 'a', what: 'pitch', value: angle(pitchDeg) },
      ],
      result: pressure(pa), source: `ASCE 7-${is2022 ? '22, 7.3.4, table 7.3-4' : rules.edition === 'us-2010' ? '10, 7.3.4' : '16, 7.3.4'} (from memory); a case of its own, uniform, never with unbalanced, drifted or sliding snow`, basis: 'code',
    },
  }
}
