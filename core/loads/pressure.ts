import { byLogArea } from './coefficients/log-area'
import { equalisation } from './coefficients/us'

/** Wind on one zone as sizes, Pa, at the edition's basic level: strength for US editions, characteristic for EN. */
export interface ZonePressure { upPa: number, downPa: number }

/**
 * Wind on one zone by the area it is averaged over, as plain data. There is no one area to a face: a span, a fixing, a clamp
 * and a module each have their own, so each asks for its own pressure.
 */
export interface ZoneCurve {
  /** Linear in the area's logarithm between these two areas, mm², level beyond both. */
  smallMm2: number
  largeMm2: number
  /** At the small area and at the large one, Pa. */
  upPa: [number, number]
  downPa: [number, number]
  /** Times the 2016 edition's γa, which falls with the area too. */
  equalised: boolean
  /** Never less than this, either way. */
  leastPa: number
}

/** The same pressure on any area, as an engineer types it. */
export const levelCurve = ({ upPa, downPa }: ZonePressure): ZoneCurve => ({
  smallMm2: 1e6,
  largeMm2: 1e7,
  upPa: [upPa, upPa],
  downPa: [downPa, downPa],
  equalised: false,
  leastPa: 0,
})

/** Pressure on a zone for an effective area, mm². Larger areas never have more. */
export function zonePressure({ smallMm2, largeMm2, upPa, downPa, equalised, leastPa }: ZoneCurve, areaMm2: number): ZonePressure {
  const evens = equalised ? equalisation(areaMm2) : 1
  const at = ([small, large]: [number, number]) => Math.max(leastPa, evens * byLogArea(areaMm2, smallMm2, small, largeMm2, large))
  return { upPa: at(upPa), downPa: at(downPa) }
}

/** Effective area of a span by the width of module it bears: never narrower than a third of the span (ASCE 7, 26.2; EN 1991-1-4, 7.2.1, the loaded area). */
export const spanAreaMm2 = (spanMm: number, widthMm: number): number => spanMm * Math.max(widthMm, spanMm / 3)
