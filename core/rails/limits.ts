import type { Mount, Rail } from '../catalogue'
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

/** Allowed span and overhang: the job's own figures; else the makers' greatest span where loads are worked out, else the usual one. */
export function railLimits(rail: Rail, mount: Mount, array: Pick<ArrayRules, 'allowedSpanMm' | 'allowedOverhangMm'>, loaded: boolean): RailLimits {
  const typed = array.allowedSpanMm !== null
  const byRail = loaded ? rail.greatestSpanMm : rail.usualSpanMm
  const maxSpanMm = array.allowedSpanMm ?? Math.min(byRail, mount.greatestSpanMm ?? Infinity)
  const maxOverhangMm = array.allowedOverhangMm ?? rail.overhangMm ?? USUAL_OVERHANG_MM
  return {
    maxSpanMm, maxOverhangMm,
    spanWorking: {
      what: loaded ? 'Greatest span between fixings, whatever the load' : 'Allowed span between fixings',
      formula: typed ? 's as typed' : mount.greatestSpanMm !== null ? 's = min(s₁, s₂)' : 's = s₁',
      values: [
        { symbol: 's₁', what: `${rail.name}, ${loaded ? 'greatest by its maker' : 'usual span'}`, value: length(byRail) },
        ...(mount.greatestSpanMm === null ? [] : [{ symbol: 's₂', what: `${mount.name}, greatest by its maker`, value: length(mount.greatestSpanMm) }]),
      ],
      result: length(maxSpanMm),
      source: typed
        ? 'Typed on this job; the person who typed it answers for it'
        : loaded ? `${rail.evidence}. What this roof’s loads allow is checked rail by rail` : `${rail.evidence}. Not worked out for this roof’s wind and snow`,
      basis: typed ? 'typed on this job' : loaded ? 'maker' : 'common practice',
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
