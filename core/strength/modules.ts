import type { ChosenParts } from '../catalogue'
import type { RailPlan } from '../rails'
import { radians } from '../units'
import type { CheckShare } from './check'
import type { FaceStrength } from './rails'

export const holdKinds = ['module-up', 'module-down', 'clamp-up', 'clamp-slope'] as const
export type HoldKind = typeof holdKinds[number]

/** How far modules and clamps along one rail are used: pressures against the module's declared ones, clamps against their maker's. */
export type ModuleUse = Partial<Record<HoldKind, CheckShare>>

/** The best rating whose stretch holds a rail at this distance from the module's corner; null outside them all. */
export const ratingAt = ({ ratings }: ChosenParts['module'], edge: 'long' | 'short', fromCornerMm: number) =>
  ratings.filter(one => one.edge === edge && fromCornerMm >= one.fromMm - 0.5 && fromCornerMm <= one.toMm + 0.5).sort((a, b) => b.upPa - a.upPa)[0] ?? null

/**
 * Modules and clamps along one rail, at their worst. A module's declared pressures are unfactored, so they are set against the
 * unfactored combinations; one mid clamp holds a whole module's length along the rail of this rail's share.
 */
export function moduleUse({ loads, lines }: FaceStrength, r: number, { holds, carries }: RailPlan, { module, clamps, rail }: ChosenParts): ModuleUse {
  const use: ModuleUse = {}
  const note = (kind: HoldKind, value: number, limit: number | undefined, combination: string, xMm: number) => {
    if (limit === undefined || value <= 0) return
    const share = value / limit
    if (share > (use[kind]?.share ?? -1)) use[kind] = { share, combination, xMm, value, limit }
  }
  const angle = radians(loads.pitchDeg)
  const rating = holds ? ratingAt(module, holds.edge, holds.fromCornerMm) : rail.frame
  // Coupled frames have no clamps of their own: the mount's grip is part of what the mount holds.
  const held = holds ? clamps.resistances.find(one => one.format === loads.format) : undefined
  const clampedMm = Math.max(0, ...carries.map(one => one.toMm - one.fromMm))
  for (const stretch of lines[r]!) {
    const xMm = (stretch.fromMm + stretch.toMm) / 2
    for (const { name, dead, snow, wind, windActs } of loads.combinations.service) {
      const gravity = dead * loads.deadPa * Math.cos(angle) + snow * loads.snowPa * Math.cos(angle) ** 2
      const pa = gravity + (windActs === 'up' ? -wind * stretch.modulePa.upPa : windActs === 'down' ? wind * stretch.modulePa.downPa : 0)
      note(pa < 0 ? 'module-up' : 'module-down', Math.abs(pa), pa < 0 ? rating?.upPa : rating?.downPa, name, xMm)
    }
    for (const { name, dead, snow, wind, windActs } of loads.combinations.strength) {
      const gravity = dead * stretch.dead + snow * stretch.snow
      // The share of a module's height that this rail takes turns its pressure into a line of load.
      const perPa = loads.deadPa > 0 ? stretch.dead / (loads.deadPa * Math.cos(angle)) : 0
      const n = (gravity - (windActs === 'up' ? wind * stretch.modulePa.upPa * perPa : 0)) * clampedMm
      note('clamp-up', -n, held?.upN, name, xMm)
      note('clamp-slope', gravity * Math.tan(angle) * clampedMm, held?.slopeN, name, xMm)
    }
  }
  return use
}
