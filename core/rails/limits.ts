import type { Rail } from '../catalogue'
import type { ArrayRules } from '../job'
import { MM_PER_INCH, length } from '../units'
import type { Working } from '../working'

/** Common practice where a maker gives no figure: no more than about 24 in past the last fixing. */
export const USUAL_OVERHANG_MM = 24 * MM_PER_INCH
/** Beside every overhang limit stands this share of the next span, by common practice. */
export const OVERHANG_SHARE_OF_SPAN = 0.4

/** The local rules that every rail of an array keeps. */
export interface RailLimits {
  maxSpanMm: number
  maxOverhangMm: number
  spanWorking: Working
  overhangWorking: Working
}

/** Allowed span and overhang: the job's own figure, else the maker's, else common practice. */
export function railLimits(rail: Rail, array: Pick<ArrayRules, 'allowedSpanMm' | 'allowedOverhangMm'>): RailLimits {
  const maxSpanMm = array.allowedSpanMm ?? rail.usualSpanMm
  const maxOverhangMm = array.allowedOverhangMm ?? rail.overhangMm ?? USUAL_OVERHANG_MM
  return {
    maxSpanMm, maxOverhangMm,
    spanWorking: {
      what: 'Allowed span between fixings', formula: array.allowedSpanMm === null ? 's = usual span of the rail' : 's as typed',
      values: [{ symbol: 's', what: rail.name, value: length(rail.usualSpanMm) }],
      result: length(maxSpanMm),
      source: array.allowedSpanMm === null
        ? `${rail.evidence}. Not worked out for this roof’s wind and snow`
        : 'Typed on this job; the person who typed it answers for it',
      basis: array.allowedSpanMm === null ? 'common practice' : 'typed on this job',
    },
    overhangWorking: {
      what: 'Allowed overhang past the last fixing, to the module’s edge',
      formula: array.allowedOverhangMm !== null ? 'o as typed' : rail.overhangMm !== null ? 'o = maker’s limit' : 'o = 24 in',
      values: [{ symbol: 'o', what: rail.name, value: length(rail.overhangMm ?? USUAL_OVERHANG_MM) }],
      result: length(maxOverhangMm),
      source: array.allowedOverhangMm !== null ? 'Typed on this job' : rail.overhangMm !== null ? rail.evidence : 'No maker’s figure: about 24 in by common practice',
      basis: array.allowedOverhangMm !== null ? 'typed on this job' : rail.overhangMm !== null ? 'maker' : 'common practice',
    },
  }
}
