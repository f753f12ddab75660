import type { EnWind, UsWind, UsWind2016 } from '../job'
import { factor, length, MS_PER_MPH, PA_PER_PSF, pressure, speed } from '../units'
import type { Working } from '../working'

/** Terrain exponents and gradient heights, ft, of the velocity pressure exposure coefficient (ASCE 7 table 26.9-1, from memory). */
const exposures = { B: { alpha: 7, zgFt: 1200 }, C: { alpha: 9.5, zgFt: 900 }, D: { alpha: 11.5, zgFt: 700 } }
const MM_PER_FOOT = 304.8

/** Heights below this are taken as this, ft: for components the 2010 edition goes no lower than 30 ft in exposure B. */
const lowest = { 'us-2010': { B: 30, C: 15, D: 15 }, 'us-2016': { B: 15, C: 15, D: 15 } }

/**
 * Velocity pressure exposure coefficient 2.01 (z/zg)^(2/α). Not rounded: the table's two places may lie below it.
 * @param heightMm mean roof height
 */
export function exposureCoefficient(edition: 'us-2010' | 'us-2016', exposure: 'B' | 'C' | 'D', heightMm: number): number {
  const { alpha, zgFt } = exposures[exposure]
  const zFt = Math.max(heightMm / MM_PER_FOOT, lowest[edition][exposure])
  return 2.01 * (zFt / zgFt) ** (2 / alpha)
}

export interface VelocityPressure { pa: number, working: Working }

/** q_h of a US edition at strength level, Pa. */
export function usVelocityPressure(edition: 'us-2010' | 'us-2016', wind: UsWind | UsWind2016, heightMm: number): VelocityPressure {
  const kh = exposureCoefficient(edition, wind.exposure, heightMm)
  const ke = 'ke' in wind ? wind.ke : 1
  const pa = 0.00256 * PA_PER_PSF * kh * wind.kzt * wind.kd * ke * (wind.speedMs / MS_PER_MPH) ** 2
  const values = [
    { symbol: 'V', what: 'basic wind speed, strength level', value: speed(wind.speedMs) },
    { symbol: 'h', what: 'mean roof height', value: length(heightMm) },
    { symbol: 'Kh', what: `exposure ${wind.exposure}`, value: factor(kh) },
    { symbol: 'Kzt', what: 'topography', value: factor(wind.kzt) }, { symbol: 'Kd', what: 'direction', value: factor(wind.kd) },
    ...('ke' in wind ? [{ symbol: 'Ke', what: 'ground elevation', value: factor(ke) }] : []),
  ]
  return {
    pa, working: {
      what: 'Velocity pressure', formula: `qh = 0.00256 Kh Kzt Kd ${'ke' in wind ? 'Ke ' : ''}V² (psf, mph)`, values, result: pressure(pa),
      source: edition === 'us-2010' ? 'ASCE 7-10, 30.3.2, equation 30.3-1 (from memory)' : 'ASCE 7-16, 26.10.2, equation 26.10-1 (from memory)', basis: 'code',
    },
  }
}

/** Roughness length and least height, m, by terrain category (EN 1991-1-4 table 4.1). */
const terrains = { 0: { z0: 0.003, zMin: 1 }, I: { z0: 0.01, zMin: 1 }, II: { z0: 0.05, zMin: 2 }, III: { z0: 0.3, zMin: 5 }, IV: { z0: 1, zMin: 10 } }

/** Peak velocity pressure q_p(z) of EN 1991-1-4, characteristic, Pa. */
export function enVelocityPressure(wind: EnWind, heightMm: number): VelocityPressure {
  const { z0, zMin } = terrains[wind.terrain]
  const z = Math.max(heightMm / 1000, zMin)
  const kr = 0.19 * (z0 / 0.05) ** 0.07
  const vb = wind.speedMs * wind.altitudeFactor
  const vm = kr * Math.log(z / z0) * wind.orography * vb
  const iv = 1 / (wind.orography * Math.log(z / z0))
  const pa = (1 + 7 * iv) * 0.5 * wind.densityKgM3 * vm ** 2
  return {
    pa, working: {
      what: 'Peak velocity pressure', formula: 'qp = (1 + 7 Iv) ½ ρ vm²,  vm = kr ln(z/z₀) co vb',
      values: [
        { symbol: 'vb', what: 'basic wind speed with the annex’s altitude and direction factors', value: speed(vb) },
        { symbol: 'z', what: `height, not under ${zMin} m in terrain ${wind.terrain}`, value: length(z * 1000) },
        { symbol: 'kr', what: 'terrain factor', value: factor(kr) }, { symbol: 'co', what: 'orography', value: factor(wind.orography) },
        { symbol: 'vm', what: 'mean wind speed', value: speed(vm) }, { symbol: 'Iv', what: 'turbulence intensity', value: factor(iv) },
      ],
      result: pressure(pa), source: 'EN 1991-1-4, 4.3 to 4.5, equations 4.3 to 4.8', basis: 'code',
    },
  }
}
