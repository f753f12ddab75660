/** Aluminium grows by this share of its length for each kelvin (EN 1999-1-1, table 3.1: 23 millionths; 23.1 from memory). */
export const GROWTH_PER_KELVIN = 23.1e-6
/** A roof's rail sees some 60 K between frost and sun (common practice). */
export const YEAR_K = 60

/** How much a rail of a length grows between frost and sun, mm. */
export const growthMm = (lengthMm: number): number => GROWTH_PER_KELVIN * YEAR_K * lengthMm

/** The fixing from which a rail grows both ways when it is the one drawn tight first, and how far its ends move. */
export interface FixedPoint { fixing: number, endsMoveMm: [number, number] }

/**
 * The fixing nearest the rail's middle: fixed there, the ends move least. Null where there is no fixing.
 * @param ats fixings along the rail, mm, in order
 */
export function fixedPoint({ fromMm, toMm }: { fromMm: number, toMm: number }, ats: number[]): FixedPoint | null {
  if (!ats.length) return null
  const middle = (fromMm + toMm) / 2
  const fixing = ats.reduce((best, at, i) => Math.abs(at - middle) < Math.abs(ats[best]! - middle) ? i : best, 0)
  return { fixing, endsMoveMm: [growthMm(ats[fixing]! - fromMm), growthMm(toMm - ats[fixing]!)] }
}
