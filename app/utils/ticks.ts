import { MM_PER_INCH, type UnitSystem } from '#core/units'

/** One division of a tape as it is drawn. */
export interface Tick { mm: number, half: boolean, numeral: string | null }

/** Divisions of a drawn tape, coarser where there is less room: feet and inches, or metres and tenths. */
export function tapeTicks(lengthMm: number, units: UnitSystem, pxPerMm: number): Tick[] {
  const [step, half, numeral] = units === 'imperial'
    ? pxPerMm * MM_PER_INCH > 3 ? [MM_PER_INCH, 6, 12] : pxPerMm * MM_PER_INCH * 3 > 3 ? [MM_PER_INCH * 3, 2, 4] : [MM_PER_INCH * 6, 1, 2]
    : pxPerMm * 50 > 3 ? [50, 2, 10] : [100, 5, 10]
  const perNumeral = units === 'imperial' ? 12 * MM_PER_INCH : numeral * step
  // Numerals need some 18 px each; where there is less, every second or fifth one is written.
  const every = [1, 2, 5, 10].find(n => n * perNumeral * pxPerMm >= 18) ?? 20
  return Array.from({ length: Math.floor(lengthMm / step + 1e-9) + 1 }, (_, i) => {
    const whole = i / numeral
    const written = i > 0 && Number.isInteger(whole) && whole % every === 0
    return { mm: i * step, half: i % half === 0, numeral: written ? (units === 'imperial' ? `${whole}` : `${Number((i * step / 1000).toFixed(1))}`) : null }
  })
}
