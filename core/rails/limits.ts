import { evidenceOf, type Mount, type Rail } from '../catalogue'
import type { ArrayRules } from '../job'
import { MM_PER_INCH, length } from '../units'
import type { Working } from '../working'

/** Common practice where a maker gives no figure: no more than about 24 in past the last fixing. */
export const USUAL_OVERHANG_MM = 24 * MM_PER_INCH
/** Beside every overhang limit stands this share of the next span, by common practice. */
export const OVERHANG_SHARE_OF_SPAN = 0.4

/** A typed limit that is over the maker's: it counts only with an engineer's name behind it. */
export interface OverMaker { what: 'span' | 'overhang', typedMm: number, makerMm: number, engineer: string }

/** The local rules that every rail of an array keeps. */
export interface RailLimits {
  maxSpanMm: number
  maxOverhangMm: number
  overMaker: OverMaker[]
  spanWorking: Working
  overhangWorking: Working
}

/** What is typed beside what the maker allows: the smaller governs; a larger one needs an engineer's name. */
function besideMaker(typedMm: number | null, makerMm: number, engineer: string): { mm: number | null, over: boolean } {
  if (typedMm === null) return { mm: null, over: false }
  const over = typedMm > makerMm + 0.05
  return { mm: over && !engineer ? makerMm : typedMm, over }
}

/**
 * Allowed span and overhang: the job's own figures where they are no larger than the maker's or an engineer is named; else the
 * makers' greatest span where loads are worked out, else the usual one.
 * @param engineer who answers for figures over the maker's; empty where nobody does
 */
export function railLimits(rail: Rail, mount: Mount, array: Pick<ArrayRules, 'allowedSpanMm' | 'allowedOverhangMm'>, loaded: boolean, engineer = ''): RailLimits {
  const byRail = loaded ? rail.greatestSpanMm : rail.usualSpanMm
  const makersSpanMm = Math.min(rail.greatestSpanMm, mount.greatestSpanMm ?? Infinity)
  const span = besideMaker(array.allowedSpanMm, makersSpanMm, engineer)
  const maxSpanMm = span.mm ?? Math.min(byRail, mount.greatestSpanMm ?? Infinity)
  const overhang = besideMaker(array.allowedOverhangMm, rail.overhangMm ?? Infinity, engineer)
  const maxOverhangMm = overhang.mm ?? rail.overhangMm ?? USUAL_OVERHANG_MM
  const overMaker: OverMaker[] = [
    ...(span.over ? [{ what: 'span' as const, typedMm: array.allowedSpanMm!, makerMm: makersSpanMm, engineer }] : []),
    ...(overhang.over ? [{ what: 'overhang' as const, typedMm: array.allowedOverhangMm!, makerMm: rail.overhangMm!, engineer }] : []),
  ]
  const answers = (over: boolean) => !over ? 'Typed on this job, inside the maker’s; the person who typed it answers for it' : engineer ? `Typed on this job, over the maker’s: it rests on the work of ${engineer}` : 'The maker’s: what is typed is larger, and no engineer is named for it'
  const typedWins = (one: { mm: number | null, over: boolean }) => one.mm !== null && (!one.over || engineer !== '')
  return {
    maxSpanMm, maxOverhangMm, overMaker,
    spanWorking: {
      what: loaded ? 'Greatest span between fixings, whatever the load' : 'Allowed span between fixings',
      formula: span.mm !== null ? 's = min(typed, maker’s)' : mount.greatestSpanMm !== null ? 's = min(s₁, s₂)' : 's = s₁',
      values: [
        ...(array.allowedSpanMm === null ? [] : [{ symbol: 's', what: 'typed', value: length(array.allowedSpanMm) }]),
        {
          symbol: 's₁',
          what: `${rail.name}, ${loaded || span.mm !== null ? 'greatest by its maker' : 'usual span'}`,
          value: length(span.mm !== null ? rail.greatestSpanMm : byRail),
        },
        ...(mount.greatestSpanMm === null ? [] : [{ symbol: 's₂', what: `${mount.name}, greatest by its maker`, value: length(mount.greatestSpanMm) }]),
      ],
      result: length(maxSpanMm),
      source: span.mm !== null ? answers(span.over) : loaded ? `${evidenceOf(rail, 'greatestSpanMm')}. What this roof’s loads allow is checked rail by rail` : `${evidenceOf(rail, 'usualSpanMm')}. Not worked out for this roof’s wind and snow`,
      basis: typedWins(span) ? 'typed on this job' : span.mm !== null || loaded ? 'maker' : 'common practice',
    },
    overhangWorking: {
      what: 'Allowed overhang past the last fixing, to the module’s edge',
      formula: overhang.mm !== null ? 'o = min(typed, maker’s)' : rail.overhangMm !== null ? 'o = maker’s limit' : 'o = 24 in',
      values: [
        ...(array.allowedOverhangMm === null ? [] : [{ symbol: 'o', what: 'typed', value: length(array.allowedOverhangMm) }]),
        { symbol: 'o₁', what: rail.overhangMm === null ? `${rail.name}: no figure by its maker` : rail.name, value: length(rail.overhangMm ?? USUAL_OVERHANG_MM) },
      ],
      result: length(maxOverhangMm),
      source: overhang.mm !== null ? answers(overhang.over) : rail.overhangMm !== null ? evidenceOf(rail, 'overhangMm') : 'No maker’s figure: about 24 in by common practice',
      basis: typedWins(overhang) ? 'typed on this job' : rail.overhangMm !== null ? 'maker' : 'common practice',
    },
  }
}
