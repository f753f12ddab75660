import type { RafterSupports } from '../../job'
import { MM_PER_INCH } from '../../units'

/** Spacings that builders set out to: 12, 16, 19.2 and 24 in; 400, 450 and 600 mm (common practice). */
export const NOMINAL_SPACINGS_MM = [12, 16, 19.2, 24].map(inches => inches * MM_PER_INCH).concat([400, 450, 600])
/** The typed spacing is so many times likelier than any other that builders set out to (common practice). */
export const TYPED_TIMES = 8
/** Framing keeps to its spacing over a roof to about 2 mm (common practice). */
export const SPACING_SD_MM = 2
/** Rafters that are meant to run true lean 2 mm in a metre at most (common practice). */
export const TRUE_LEAN_SD = 0.002
/** Some are not: they run askew by so much, on one roof in so many (from memory of practice, not measured). */
export const SKEWED_LEAN_SD = 0.05
export const SKEWED_SHARE = 0.03

/** What a row may have been set out to before anything was read: its spacing, about so much, and the share of belief in it. */
export interface SpacingPrior { mm: number, sdMm: number, nominalMm: number | null, share: number }

/** A free range is covered by so many narrow spacings that it is even, mm. */
const FREE_STEP_MM = 12

/** Every spacing that may be there: the usual ones and the typed one, or all of a free range alike. */
export function spacingPriors({ spacings, spacingMm }: Pick<RafterSupports, 'spacings' | 'spacingMm'>): SpacingPrior[] {
  if (spacings.kind === 'free') {
    const n = Math.max(1, Math.ceil((spacings.toMm - spacings.fromMm) / FREE_STEP_MM))
    const step = (spacings.toMm - spacings.fromMm) / n
    return Array.from({ length: n }, (_, i) => ({ mm: spacings.fromMm + (i + 0.5) * step, sdMm: step / 2, nominalMm: null, share: 1 / n }))
  }
  const isTyped = (mm: number) => Math.abs(mm - spacingMm) < 1
  const all = NOMINAL_SPACINGS_MM.some(isTyped) ? NOMINAL_SPACINGS_MM : [...NOMINAL_SPACINGS_MM, spacingMm]
  const total = all.length - 1 + TYPED_TIMES
  return all.map(mm => ({ mm, sdMm: SPACING_SD_MM, nominalMm: mm, share: (isTyped(mm) ? TYPED_TIMES : 1) / total }))
}
