import type { BattenNails } from '../job'
import type { Format } from '../catalogue'
import { MM_PER_INCH, N_PER_LBF } from '../units'

/**
 * What the nails that hold a batten on one rafter bear against suction, N: characteristic for EN, reference before duration for
 * ASD; the lesser of withdrawal from the rafter and of the head pulled through the batten. 0 where too little is in the rafter.
 *
 * EN 1995-1-1, 8.3.2 (from memory): smooth nails f_ax = 20e-6 ρ², from 8 d point side, whole from 12 d; ring-shank nails by their
 * declared f_ax, from 6 d, whole from 8 d; head f_head = 70e-6 ρ² d_h². NDS (from memory): smooth 1380 G^2.5 D (12.2.3), ring-shank
 * 1800 G² D (12.2.3.2), head 690 π D_H G² t up to t = 2.5 D_H (12.2.5).
 */
export function nailsHoldN(nails: BattenNails, battenMm: number, timber: { gravity: number, densityKgM3: number }, format: Format): number {
  const { kind, diameterMm: d, lengthMm, headMm, faxMpa, perRafter } = nails
  const pointMm = Math.max(0, lengthMm - battenMm)
  if (format === 'en') {
    const smooth = kind === 'smooth'
    const whole = smooth ? Math.min(1, Math.max(0, pointMm / (4 * d) - 2)) : Math.min(1, Math.max(0, pointMm / (2 * d) - 3))
    const fax = smooth ? 20e-6 * timber.densityKgM3 ** 2 : faxMpa ?? 0
    return perRafter * Math.min(fax * d * pointMm * whole, 70e-6 * timber.densityKgM3 ** 2 * headMm ** 2 + (smooth ? fax * d * battenMm : 0))
  }
  const [dIn, headIn, pointIn, battenIn] = [d, headMm, pointMm, battenMm].map(mm => mm / MM_PER_INCH) as [number, number, number, number]
  const perInch = kind === 'smooth' ? 1380 * timber.gravity ** 2.5 * dIn : 1800 * timber.gravity ** 2 * dIn
  const head = 690 * Math.PI * headIn * timber.gravity ** 2 * Math.min(battenIn, 2.5 * headIn)
  return perRafter * Math.min(pointMm < 6 * d ? 0 : perInch * pointIn, head) * N_PER_LBF
}
