import { lengthParts, type UnitSystem } from '#core/units'

/** One run of a typeset length: plain figures, or the parts of a real fraction. */
export interface LengthRun { text: string, kind: 'figures' | 'over' | 'slash' | 'under' }

/** Splits a length into runs for HTML or SVG: `12′ 3`, then ¹, ⁄, ₂, then `″`. */
export function lengthRuns(mm: number, units: UnitSystem): LengthRun[] {
  const parts = lengthParts(mm, units)
  const sign = parts.negative ? '−' : ''
  if (parts.units === 'metric') return [{ text: `${sign}${parts.mm} mm`, kind: 'figures' }]
  const feet = parts.feet ? `${parts.feet}′ ` : ''
  if (!parts.numerator) return [{ text: `${sign}${feet}${parts.inches}″`, kind: 'figures' }]
  const whole = parts.inches || !parts.feet ? (parts.inches ? `${parts.inches}` : '') : '0'
  return [
    { text: `${sign}${feet}${whole}`, kind: 'figures' },
    { text: String(parts.numerator), kind: 'over' }, { text: '⁄', kind: 'slash' }, { text: String(parts.denominator), kind: 'under' },
    { text: '″', kind: 'figures' },
  ]
}

/** Rough width of typeset runs in px, for laying tags side by side without measuring each. */
export function runsWidth(runs: LengthRun[], fontPx: number): number {
  return runs.reduce((sum, run) => sum + run.text.length * fontPx * (run.kind === 'figures' ? 0.56 : run.kind === 'slash' ? 0.3 : 0.4), 0)
}
