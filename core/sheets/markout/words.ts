import { formatLength, MM_PER_INCH, readingDivisionMm, type UnitSystem } from '../../units'
import type { GaugeStick, Mark } from '../../trade'

/** What a stick that is cut to the nearest division is off by after all its steps, mm; positive is too far. */
export function gaugeError({ lengthMm, steps }: GaugeStick, units: UnitSystem): { cutMm: number, offMm: number } {
  const division = readingDivisionMm(units)
  const cutMm = Math.round(lengthMm / division) * division
  return { cutMm, offMm: steps * (cutMm - lengthMm) }
}

/** What is off by less than this is true as far as anybody can see, mm. */
const TRUE_MM = 0.05

/** The stick for a step and what it would be off by at its last step: less than a division, so not as a tape would read it. */
export function gaugeWords(gauge: GaugeStick, units: UnitSystem): string {
  const { cutMm, offMm } = gaugeError(gauge, units)
  const off = units === 'imperial' ? `${(Math.abs(offMm) / MM_PER_INCH).toFixed(3)} in` : `${Math.abs(offMm).toFixed(1)} mm`
  return `Gauge stick, ${gauge.what}: ${formatLength(cutMm, units)}. Stepped ${gauge.steps} times it ends ${Math.abs(offMm) < TRUE_MM ? 'true' : `${off} ${offMm > 0 ? 'too far' : 'short'}`}.`
}

/** Readings up the edges between which a line is snapped, with which edge each is read up. */
export const endReadings = ({ endsMm }: Pick<Mark, 'endsMm'>): { where: string, mm: number }[] =>
  (['up the datum’s edge', 'up the far edge'] as const).flatMap((where, i) => endsMm?.[i] == null ? [] : [{ where, mm: endsMm[i] }])
