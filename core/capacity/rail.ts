import type { Format, Rail } from '../catalogue'

/** What a rail's section bears: moments about its two axes, N·mm, and shear, N. */
export interface RailStrength { format: Format, momentX: number, momentY: number, shearN: number, bendingMpa: number, rule: 'yielding' | 'rupture' }

/** Yielding and rupture of the ASD rules for aluminium: Fy/1.65 and Ftu/(kt 1.95); EN 1999-1-1: f_o/1.1. */
export function railStrength({ section }: Rail, format: Format): RailStrength {
  const yielding = section.fyMpa / (format === 'asd' ? 1.65 : 1.1)
  const rupture = format === 'asd' ? section.fuMpa / (section.kt * 1.95) : Infinity
  const bendingMpa = Math.min(yielding, rupture)
  return {
    format, bendingMpa, rule: rupture < yielding ? 'rupture' : 'yielding', momentX: bendingMpa * section.zxMm3, momentY: bendingMpa * section.zyMm3,
    shearN: section.shearAreaMm2 * (format === 'asd' ? 0.6 * section.fyMpa / 1.65 : section.fyMpa / (Math.sqrt(3) * 1.1)),
  }
}
